import { cautionWords } from '@winter-jar/core';
import type { CaseAnswer } from '@winter-jar/contracts';
import type { Entry } from '@winter-jar/core';
import { ChevronLeft, Printer } from 'lucide-react';
import type { ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { useCaseInFullQuery } from '../api/house-api.js';
import { dayWords, momentWords } from '../words/dates.js';
import { PageTitle } from '../ui/page-title.js';
import { useNow } from '../device/use-now.js';
import { usePrint } from '../device/use-print.js';
import type { Words } from '../words/words.js';
import { entryWords } from '../words/entry-words.js';
import { KIND_WORDS } from '../words/kind-words.js';
import { Button } from '../ui/button.js';
import { Loading, NotFetched } from '../ui/page-state.js';
import { causeName, causeOf } from '../words/diagnosis-words.js';

/** A case on one page, for the customer: what was wrong, what was tried, what it was, what was done, whether it held. */
export function CaseReportPage() {
  const { caseId = '' } = useParams();
  const { data, isError, error, refetch } = useCaseInFullQuery(caseId);
  const print = usePrint();
  const now = useNow();
  if (isError && !data)
    return (
      <NotFetched
        what="case"
        error={error}
        none={'Open it from the page of its pump.'}
        onRetry={() => void refetch()}
      />
    );
  if (!data) return <Loading what="the case" />;
  const answer = data;
  return <Report answer={answer} words={{ print, zone: answer.setUp.site.zone, now }} />;
}

/** So that no day is called today. */
const NO_DAY = '1970-01-01T00:00:00.000Z';

const photoOf = (entry: Entry): string | null =>
  (entry.kind === 'test' || entry.kind === 'look') && entry.body.photoId ? entry.body.photoId : null;

function Report({ answer, words }: { answer: CaseAnswer; words: Words }) {
  const { case: known, setUp, entries } = answer;
  const { pump, site, equipment, model, house } = setUp;
  // A report is read in other years too.
  const day = (at: string) => dayWords(at, words.zone, NO_DAY);
  const moment = (at: string) => momentWords(at, words.zone, NO_DAY);
  const photos = entries.flatMap((e) => photoOf(e) ?? []);
  const history = entries.filter((e) => e.kind !== 'caseOpened' && e.kind !== 'caseClosed' && e.kind !== 'caseChecked');
  const cause = known.causeId ? causeOf(known.causeId) : null;
  return (
    <main className="mx-auto w-full max-w-[800px] p-4 wide:p-8 print:max-w-none print:p-0">
      <PageTitle title={`Case report · ${pump.name}`} />
      <div className="no-print mb-4 flex items-center justify-between gap-3">
        <Link to={`/pumps/${known.pumpId}/what-is-wrong`} className="flex min-h-11 items-center gap-1 text-ink">
          <ChevronLeft size={18} aria-hidden="true" />
          What is wrong?
        </Link>
        <Button onClick={() => window.print()}>
          <Printer size={16} aria-hidden="true" />
          Print
        </Button>
      </div>
      <p className="text-[14px] text-ink-2">
        {site.name} · {equipment.name}
      </p>
      <h1 className="text-[26px] wrap-anywhere">
        Case report: <span className="figure">{pump.name}</span>
      </h1>
      <dl className="mt-3 grid grid-cols-[112px_1fr] gap-x-4 gap-y-2 text-[15px] wide:grid-cols-[152px_1fr]">
        <Line name="Pump">
          {model.name}, {words.print.flow(model.pumpingSpeedM3h)}
        </Line>
        <Line name="What was wrong">{known.complaint}</Line>
        <Line name="Opened">{day(known.openedAt)}</Line>
        <Line name="Closed">{known.closedAt ? day(known.closedAt) : 'not yet'}</Line>
        <Line name="Cause">
          <strong>{known.closedAt ? causeName(known.causeId) : 'not confirmed yet'}</strong>
          {cause && <span className="block text-ink-2">{cause.looksLike}</span>}
        </Line>
        <Line name="What was done">{known.remedy ?? 'nothing yet'}</Line>
        {cause && <Line name="From now on">{cause.prevention}</Line>}
        <Line name="Did it hold?">
          {known.held === null
            ? 'not checked yet'
            : known.held
              ? 'It held.'
              : 'It did not hold; the case is open again.'}
        </Line>
      </dl>
      <h2 className="mt-6 text-[20px]">What was tried and written</h2>
      {history.length === 0 ? (
        <p className="mt-1 text-[15px] text-ink-2">Nothing but the case itself.</p>
      ) : (
        <ol className="mt-1">
          {history.map((entry) => (
            <li
              key={entry.id}
              className="grid grid-cols-[144px_minmax(0,1fr)] gap-x-3 border-b border-rule-soft py-1.5 text-[14px] wide:grid-cols-[152px_96px_minmax(0,1fr)] print:grid-cols-[152px_96px_minmax(0,1fr)]"
            >
              <span className="figure text-ink-2">{moment(entry.happenedAt)}</span>
              <span className="font-semibold">{KIND_WORDS[entry.kind]}</span>
              <span className="col-span-2 wide:col-span-1 print:col-span-1">{entryWords(entry, house, words)}</span>
            </li>
          ))}
        </ol>
      )}
      {photos.length > 0 && (
        <section className="mt-6">
          <h2 className="text-[20px]">Photographs</h2>
          <div className="mt-2 flex flex-wrap gap-3">
            {photos.map((photoId) => (
              <img
                key={photoId}
                src={`/api/photos/${photoId}/thumb`}
                alt="Photograph of this case"
                className="h-32 rounded-[6px] border border-edge object-cover"
              />
            ))}
          </div>
        </section>
      )}
      {cause && cause.cautions.length > 0 && (
        <p className="mt-6 border-l-4 border-oil pl-3 text-[14px]">
          {cautionWords(cause.cautions).join(' ')} Site rules, local codes and the maker’s manual come first.
        </p>
      )}
      <p className="mt-8 hidden border-t border-rule pt-2 text-[13px] text-ink-2 print:block">
        Printed {moment(words.now)} · signed: ______________________________
      </p>
    </main>
  );
}

function Line({ name, children }: { name: string; children: ReactNode }) {
  return (
    <>
      <dt className="text-ink-2">{name}</dt>
      <dd className="min-w-0">{children}</dd>
    </>
  );
}
