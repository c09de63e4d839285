import { jobIdOf, jobStory, localTime, stepsAnswered, type GuideStep } from '@winter-jar/core';
import { Printer } from 'lucide-react';
import { useParams } from 'react-router';
import { useJobQuery } from '../api/house-api.js';
import { usePrint } from '../device/use-print.js';
import { WithPump, type EntryPageProps } from '../entry/entry-page.js';
import { Button, LinkButton } from '../ui/button.js';
import { PageHead } from '../ui/page-head.js';
import { Loading, NotFetched } from '../ui/page-state.js';
import { PageTitle } from '../ui/page-title.js';
import { momentWords } from '../words/dates.js';
import { entryWords } from '../words/entry-words.js';
import { KIND_WORDS } from '../words/kind-words.js';
import { partWords } from '../words/model-words.js';
import { jobName } from '../words/procedure-words.js';
import { personName } from '../words/person-words.js';
import type { Words } from '../words/words.js';
import { valueWords } from './so-far.js';
import { StepPhoto } from './step-photo.js';
import { headOf } from './step-words.js';
import { UndoJob } from './undo-job.js';

/** A service as it was done: its steps with their times and values, and what it left in the record. */
export function JobReportPage() {
  return <WithPump needsOil={false}>{(props) => <Report {...props} />}</WithPump>;
}

function Report({ page, words }: EntryPageProps) {
  const { pumpId = '', jobId = '' } = useParams();
  const { data, error, refetch } = useJobQuery({ pumpId, jobId });
  if (error && !data)
    return (
      <NotFetched
        what="job"
        error={error}
        none="It may have been undone: the pump’s journal has what was taken back."
        onRetry={() => void refetch()}
      />
    );
  const entries = data?.entries ?? [];
  const story = jobStory(entries);
  if (!story) return <Loading what="the job" />;
  const { job, ended } = story;
  const name = jobName(job.procedure, job.with);
  const record = entries.filter((entry) => jobIdOf(entry) === null);
  const parts = entries.flatMap((entry) => (entry.kind === 'jobEnded' ? (entry.body.parts ?? []) : []));
  const said = (at: string) => momentWords(at, words.zone, words.now);
  const who = (id: string | null) => personName(id, page.setUp.house) ?? 'somebody';
  return (
    <main className="mx-auto w-full max-w-[760px] px-4 pb-10 pt-4 print:p-0">
      <PageTitle title={`${name}, ${page.row.name}`} />
      <div className="flex flex-wrap items-start justify-between gap-3">
        <PageHead back={`/pumps/${pumpId}`} backWords={`Back to ${page.row.name}`} above={`Job on ${page.row.name}`}>
          {name}
        </PageHead>
        <div className="no-print flex flex-wrap gap-3">
          {!ended && (
            <LinkButton look="solid" to={`/pumps/${pumpId}/job`}>
              Go on with it
            </LinkButton>
          )}
          <Button onClick={() => window.print()}>
            <Printer size={18} aria-hidden="true" /> Print
          </Button>
        </div>
      </div>
      <p className="mt-2">
        Begun {said(job.startedAt)}
        {ended
          ? `, ${ended.how === 'done' ? 'done' : 'given up'} ${said(ended.at)} by ${who(ended.who)}.`
          : `, under way: ${who(job.who)} is at it.`}
      </p>
      {record.length > 0 && (
        <section className="mt-6">
          <h2 className="text-[19px]">What it left in the record</h2>
          <ul className="mt-2">
            {record.map((entry) => (
              <li key={entry.id} className="grid grid-cols-[128px_1fr] gap-3 border-b border-rule-soft py-2">
                <span className="font-semibold">{KIND_WORDS[entry.kind]}</span>
                <span className="wrap-anywhere">{entryWords(entry, page.setUp.house, words)}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
      {parts.length > 0 && (
        <section className="mt-6">
          <h2 className="text-[19px]">Parts</h2>
          <ul className="mt-2">
            {parts.map(({ place, part }) => (
              <li key={place} className="grid grid-cols-[128px_1fr] gap-3 border-b border-rule-soft py-2">
                <span className="font-semibold">{partWords(place)}</span>
                <span className="wrap-anywhere">{part ?? 'which one nobody has said'}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
      <Steps steps={stepsAnswered(job, page.setUp)} words={words} who={who} />
      {ended && <UndoJob entryId={entries[0]?.id ?? ''} back={`/pumps/${pumpId}`} />}
    </main>
  );
}

function Steps({
  steps,
  words,
  who,
}: {
  steps: readonly GuideStep[];
  words: Words;
  who: (id: string | null) => string;
}) {
  const print = usePrint();
  return (
    <section className="mt-6">
      <h2 className="text-[19px]">Steps</h2>
      <ol className="mt-2">
        {steps.map((at) => {
          const { shown, visit, said } = at;
          const { step } = shown;
          const chosen = step.kind === 'choose' ? step.choices.find(({ id }) => id === said?.choice)?.words : null;
          return (
            <li
              key={`${step.id}/${visit}`}
              className="grid grid-cols-[56px_1fr_minmax(0,auto)] gap-3 border-b border-rule-soft py-2 text-[15px]"
            >
              <span className="figure text-ink-2">{said && localTime({ at: said.at, zone: words.zone })}</span>
              <span className="wrap-anywhere">
                {headOf(shown, print)}
                {chosen && <span className="font-semibold">: {chosen}</span>}
                {said?.photoId && (
                  <span className="block">
                    <StepPhoto photoId={said.photoId} alt="As it was" small />
                  </span>
                )}
              </span>
              <span className="max-w-[136px] text-right sm:max-w-none">
                <span className="figure block font-semibold">{valueWords(at, print, steps)}</span>
                <span className="block text-[14px] text-ink-2">{said?.who ? who(said.who) : null}</span>
              </span>
            </li>
          );
        })}
      </ol>
    </section>
  );
}
