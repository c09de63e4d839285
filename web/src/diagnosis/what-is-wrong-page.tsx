import { ChevronLeft } from 'lucide-react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { useDiagnosisQuery } from '../api/house-api.js';
import { dayWords, momentWords } from '../words/dates.js';
import { PageTitle } from '../ui/page-title.js';
import { useLetters } from '../device/use-letters.js';
import { useWide } from '../device/use-wide.js';
import { WithPump, type EntryPageProps } from '../entry/entry-page.js';
import { LinkButton } from '../ui/button.js';
import { Loading, Trouble } from '../ui/page-state.js';
import { causeName, testWords } from '../words/diagnosis-words.js';
import type { DiagnosisProps } from './diagnosis-props.js';
import { EvidenceList } from './evidence-list.js';
import { LikelyCauses } from './likely-causes.js';
import { NextTests, STOPS, type NextTestsProps, type Stop } from './next-tests.js';

/** Find the cause, not the symptom: the evidence, what it speaks for, and the test that tells most. */
export function WhatIsWrongPage() {
  return <WithPump needsOil>{(props) => <WhatIsWrong {...props} />}</WithPump>;
}

function WhatIsWrong(props: EntryPageProps) {
  const { pumpId } = props.page.row;
  const [search, setSearch] = useSearchParams();
  const stop = STOPS.find((s) => s.value === search.get('stop')) ?? STOPS[1];
  const { data, isError, isFetching, refetch } = useDiagnosisQuery({ pumpId, stopWeight: stop.weight });
  const navigate = useNavigate();
  useLetters({ a: () => void navigate(`/pumps/${pumpId}/test`) });
  const choose = (value: Stop) =>
    setSearch(value === STOPS[1].value ? {} : { stop: value }, { replace: true, preventScrollReset: true });
  if (isError && !data)
    return (
      <main>
        <Trouble title="The evidence could not be fetched" onRetry={() => void refetch()}>
          The server does not answer. Nothing that was written is lost.
        </Trouble>
      </main>
    );
  if (!data) return <Loading what="the evidence" />;
  return <Sheets {...props} answer={data} fetching={isFetching} stop={stop.value} onStop={choose} />;
}

function Sheets({ fetching, stop, onStop, ...props }: NextTestsProps) {
  const { page, answer } = props;
  const wide = useWide();
  const evidence = <EvidenceList {...props} />;
  const causes = <LikelyCauses {...props} />;
  const tests = <NextTests {...props} fetching={fetching} stop={stop} onStop={onStop} />;
  const rest = (
    <>
      <Tried {...props} />
      <CaseActs {...props} />
      <Past {...props} />
    </>
  );
  return (
    <main className="flex min-w-0 flex-1 flex-col">
      <PageTitle title={`What is wrong? · ${page.row.name}`} />
      {wide ? (
        <div className="flex flex-1 items-stretch">
          <div className="w-[336px] shrink-0 border-r border-rule p-5">
            <Head {...props} />
            {evidence}
          </div>
          <div className="min-w-0 flex-1 p-5">{causes}</div>
          <aside aria-label="What to do next" className="w-[348px] shrink-0 border-l border-rule bg-sheet p-5">
            {tests}
            {rest}
          </aside>
        </div>
      ) : (
        <div className="flex flex-col gap-6 p-4">
          <Head {...props} />
          {tests}
          {causes}
          {evidence}
          {rest}
        </div>
      )}
      <span className="sr-only" role="status">
        {answer.undecided ? 'Not enough to tell yet' : `Likeliest: ${causeName(answer.causes[0]?.id ?? null)}`}
      </span>
    </main>
  );
}

function Head({ page, answer, words }: DiagnosisProps) {
  const { row } = page;
  const known = answer.case;
  const standing = !known
    ? 'no case open'
    : known.closedAt
      ? `case closed ${dayWords(known.closedAt, words.zone, words.now)}`
      : `case opened ${dayWords(known.openedAt, words.zone, words.now)}`;
  return (
    <div className="flex items-start gap-1">
      <Link
        to={`/pumps/${row.pumpId}`}
        aria-label={`Back to ${row.name}`}
        className="no-print -ml-3 flex size-11 shrink-0 items-center justify-center text-ink"
      >
        <ChevronLeft aria-hidden="true" />
      </Link>
      <div className="min-w-0">
        <p className="text-[14px] text-ink-2">
          <span className="figure">{row.name}</span> · {standing}
        </p>
        <h1 className="text-[26px]">What is wrong?</h1>
        {known && <p className="text-[15px]">{known.complaint}</p>}
      </div>
    </div>
  );
}

/** What was done in this case, the oldest first. */
function Tried({ page, answer, words }: DiagnosisProps) {
  return (
    <section className="mt-6">
      <h2 className="text-[18px]">Tried so far</h2>
      {answer.tried.length === 0 ? (
        <p className="mt-1 text-[14px] text-ink-2">
          Nothing yet. The first test, or the first thing seen, opens a case.
        </p>
      ) : (
        <ol className="mt-1 text-[14px]">
          {answer.tried.map((entry) => (
            <li key={entry.id} className="border-b border-rule-soft py-2">
              <Link to={`/pumps/${page.row.pumpId}/entries/${entry.id}`} className="figure text-ink-2">
                {momentWords(entry.happenedAt, words.zone, words.now)}
              </Link>{' '}
              {testWords(entry.body, words.print)}
              {entry.body.photoId && (
                <a
                  href={`/api/photos/${entry.body.photoId}`}
                  target="_blank"
                  rel="noreferrer"
                  className="ml-2 text-ink"
                >
                  Photograph
                </a>
              )}
            </li>
          ))}
        </ol>
      )}
    </section>
  );
}

function CaseActs({ page, answer }: DiagnosisProps) {
  const { pumpId } = page.row;
  const known = answer.case;
  const top = answer.undecided ? '' : `?cause=${answer.causes[0]?.id ?? ''}`;
  return (
    <div className="no-print mt-6 flex flex-col gap-3">
      {known && !known.closedAt && (
        <LinkButton to={`/pumps/${pumpId}/case-close${top}`}>Confirm a cause and close</LinkButton>
      )}
      {known?.closedAt && <LinkButton to={`/pumps/${pumpId}/case-check`}>Say whether the remedy held</LinkButton>}
      {!known && <LinkButton to={`/pumps/${pumpId}/case-open`}>Open a case in your words</LinkButton>}
      <LinkButton to={`/pumps/${pumpId}/leak-hunt`}>Hunt a leak step by step</LinkButton>
      <LinkButton to={`/suspects?pump=${pumpId}`}>Suspect materials</LinkButton>
      {known && <LinkButton to={`/cases/${known.caseId}`}>Report for the customer</LinkButton>}
    </div>
  );
}

function Past({ answer, words }: DiagnosisProps) {
  const { past, counted } = answer;
  const shifted = counted.thisPump + counted.sameKind > 0;
  if (past.length === 0 && !shifted) return null;
  return (
    <section className="mt-6">
      <h2 className="text-[18px]">Earlier cases</h2>
      <ul className="mt-1 text-[14px]">
        {past.map((c) => (
          <li key={c.caseId} className="border-b border-rule-soft py-2">
            <Link to={`/cases/${c.caseId}`} className="text-ink">
              {causeName(c.causeId)}
            </Link>{' '}
            <span className="text-ink-2">
              {dayWords(c.openedAt, words.zone, words.now)}
              {c.held === null ? '' : c.held ? ', it held' : ', it did not hold'}
            </span>
          </li>
        ))}
      </ul>
      {shifted && (
        <p className="mt-2 text-[14px] text-ink-2">
          The shares begin from confirmed causes too: {counted.thisPump} of this pump, {counted.sameKind} of others in
          the same process. Few cases move them little.
        </p>
      )}
    </section>
  );
}
