import {
  guideOf,
  isProcedure,
  rightOfEntry,
  serviceOfJob,
  type Step,
  type JobMovedBody,
  type JobState,
  type ProcedureId,
} from '@winter-jar/core';
import { useState, type ReactNode } from 'react';
import { Link, useNavigate } from 'react-router';
import { usePrint } from '../device/use-print.js';
import { useWakeLock } from '../device/use-wake-lock.js';
import { WithPump, type EntryPageProps } from '../entry/entry-page.js';
import { Button, LinkButton } from '../ui/button.js';
import { useMayDo } from '../ui/may.js';
import { PageHead } from '../ui/page-head.js';
import { Empty } from '../ui/page-state.js';
import { PageTitle } from '../ui/page-title.js';
import { countOf } from '../ui/number.js';
import { momentWords } from '../words/dates.js';
import { NOT_WHOLE_WORDS } from '../words/safety-state-words.js';
import { personName } from '../words/person-words.js';
import { CurrentStep } from './current-step.js';
import { HandOver } from './hand-over.js';
import { SoFar } from './so-far.js';
import { StepList } from './step-list.js';
import { Told } from './told.js';
import { useJob } from './use-job.js';
import type { Answer } from './job-entries.js';

/** The service under way at a pump: one step after another, beside the pump. */
export function JobPage() {
  const mayDo = useMayDo();
  return (
    <WithPump needsOil={false}>
      {(props) => {
        const { row, state } = props.page;
        if (state.job && mayDo(rightOfEntry('jobStep', state.job))) return <Guided {...props} job={state.job} />;
        return (
          <main>
            <PageTitle title={`Job, ${row.name}`} />
            {state.job ? (
              <Empty title="A technician’s service is under way">
                Your role does what comes before and after a run, bleeds and purges.
                <span className="mt-4 flex flex-wrap gap-3">
                  <LinkButton to={`/pumps/${row.pumpId}`}>Back to {row.name}</LinkButton>
                  <LinkButton to={`/pumps/${row.pumpId}/jobs/${state.job.jobId}`}>How far it is</LinkButton>
                </span>
              </Empty>
            ) : (
              <Empty title={`No job is under way on ${row.name}`}>
                <LinkButton to={`/pumps/${row.pumpId}/job-cards`}>Choose a service</LinkButton>
              </Empty>
            )}
          </main>
        );
      }}
    </WithPump>
  );
}

function Guided({ page, words, job }: EntryPageProps & { job: JobState }) {
  const { row, state, setUp } = page;
  const navigate = useNavigate();
  const print = usePrint();
  const awake = useWakeLock();
  const writing = useJob(page);
  const [asked, setAsked] = useState<'handOver' | 'giveUp' | null>(null);
  const service = serviceOfJob(job, state, setUp);
  const guide = guideOf(service, job);
  const { done, current, ahead } = guide;
  const count = done.length + (current ? 1 : 0) + ahead.length;
  const who = personName(job.who, setUp.house);
  const report = `/pumps/${row.pumpId}/jobs/${job.jobId}`;
  const toPump = `/pumps/${row.pumpId}`;

  /** What was asked for last, to ask for it once more. */
  const [deed, setDeed] = useState<((codes: readonly string[]) => void) | null>(null);
  function does(once: (codes: readonly string[]) => Promise<unknown>) {
    const deedAgain = (codes: readonly string[]) => void once(codes);
    setDeed(() => deedAgain);
    deedAgain([]);
  }
  const answer = (said: Answer) =>
    does(async (codes) => {
      const then = await writing.answer(job, said, codes);
      if (then?.follow) await writing.start(then.follow as ProcedureId);
      else if (then?.ended) await navigate(report);
    });
  const giveUp = () => does(async (codes) => (await writing.giveUp(job, done, codes)) && navigate(report));
  const move = (body: JobMovedBody) =>
    does(async () => {
      if (await writing.move(job, body)) setAsked(null);
    });
  const last = done.at(-1);
  const backIds = [last?.said?.entryId, current?.begun?.entryId].filter((id) => id !== undefined);

  return (
    <main className="flex flex-1 flex-col">
      <PageTitle title={`${service.procedure.name}, ${row.name}`} />
      <div className="flex flex-wrap items-center justify-between gap-x-6 gap-y-2 border-b border-rule bg-sheet px-4 py-2">
        <PageHead back={toPump} backWords={`Back to ${row.name}`} above={`${row.name} · ${row.equipmentName}`}>
          {service.procedure.name}
        </PageHead>
        <div className="flex flex-wrap items-center gap-3">
          <p className="basis-full text-[14px] text-ink-2 sm:basis-auto">
            {who ? `${who} since` : 'Under way since'} {momentWords(job.since, row.zone, words.now)} · usually{' '}
            {print.duration(service.handsMinutes + service.waitMinutes)}
          </p>
          {!job.paused && (
            <Button size="field" onClick={() => move({ how: 'paused' })} disabled={writing.busy}>
              Pause
            </Button>
          )}
          <Button
            size="field"
            onClick={() => setAsked(asked === 'handOver' ? null : 'handOver')}
            aria-expanded={asked === 'handOver'}
          >
            Hand over
          </Button>
        </div>
      </div>
      <div className="h-1.5 bg-rule-soft" aria-hidden="true">
        <div className="h-full bg-ink" style={{ width: `${(100 * done.length) / Math.max(1, count)}%` }} />
      </div>
      <div className="flex flex-1 flex-col wide:grid wide:grid-cols-[304px_minmax(0,1fr)_304px]">
        <StepList guide={guide} words={words} of={{ procedure: job.procedure, modelId: setUp.pump.modelId }} />
        <div className="order-1 flex flex-col gap-6 p-4 wide:order-none wide:px-8">
          {asked === 'handOver' && <HandOver page={page} job={job} onDone={move} onLeave={() => setAsked(null)} />}
          {job.paused && (
            <div className="flex max-w-[640px] flex-col gap-4">
              <p role="status" className="border-l-4 border-oil bg-sheet p-3 font-semibold">
                Paused {momentWords(job.paused.at, row.zone, words.now)}. All steps are kept.
              </p>
              <Button
                size="field"
                look="solid"
                className="justify-center"
                onClick={() => move({ how: 'resumed' })}
                disabled={writing.busy}
              >
                Go on
              </Button>
            </div>
          )}
          {state.notWhole && (
            <NobodyStartsIt pumpId={row.pumpId} what={NOT_WHOLE_WORDS[state.notWhole.how]}>
              since {momentWords(state.notWhole.at, row.zone, words.now)}: nobody may start it so.
            </NobodyStartsIt>
          )}
          {state.drained && (
            <NobodyStartsIt pumpId={row.pumpId} what="No oil in it">
              since {momentWords(state.drained.at, row.zone, words.now)}: nobody may start it until it is filled.
            </NobodyStartsIt>
          )}
          {current && !job.paused && (
            <CurrentStep
              key={`${current.shown.step.id}/${current.visit}`}
              at={current}
              number={done.length + 1}
              count={count}
              done={done}
              page={page}
              words={words}
              busy={writing.busy}
              onAnswer={answer}
            />
          )}
          {current && !job.paused && (
            <Link
              to={`/pumps/${row.pumpId}/job-cards/${otherwise(current.shown.step, service.id)}`}
              className="inline-flex min-h-11 items-center self-start text-[15px] underline underline-offset-4"
            >
              Done otherwise in this house?
            </Link>
          )}
          {writing.told && deed && <Told result={writing.told} done={done} page={page} words={words} onAgain={deed} />}
          <div className="flex flex-wrap gap-3">
            {last && (
              <Button
                size="field"
                look="plain"
                disabled={writing.busy}
                onClick={() => does(() => writing.takeBack(backIds))}
              >
                Take the last step back
              </Button>
            )}
            <Button
              size="field"
              look="plain"
              onClick={() => setAsked(asked === 'giveUp' ? null : 'giveUp')}
              aria-expanded={asked === 'giveUp'}
            >
              Give the job up …
            </Button>
          </div>
          {asked === 'giveUp' && (
            <div role="group" aria-label="Give the job up" className="border-l-4 border-stop bg-sheet p-4">
              <p>
                What was done until now is kept: {countOf(done.length, 'step')}
                {state.drained ? '. The pump has no oil in it, and every page says Stop until it is filled' : ''}
                {state.notWhole
                  ? `. ${NOT_WHOLE_WORDS[state.notWhole.how]}, and every page says Stop until it is not`
                  : ''}
                .
              </p>
              <div className="mt-3 flex flex-wrap gap-3">
                <Button size="field" look="solid" disabled={writing.busy} onClick={giveUp}>
                  Give it up
                </Button>
                <Button size="field" onClick={() => setAsked(null)}>
                  Go on with it
                </Button>
              </div>
            </div>
          )}
          {!awake && (
            <p className="text-[14px] text-ink-2">
              This browser does not keep the screen awake here: it needs https or this machine itself.
            </p>
          )}
        </div>
        <div className="order-2 border-rule bg-sheet p-4 wide:order-none wide:border-l">
          <SoFar guide={guide} atHand={service.procedure.atHand} />
        </div>
      </div>
    </main>
  );
}

/** Where a house says how it does a step: each under its own procedure, also in the middle of another one. */
function otherwise({ id, own }: Step, main: ProcedureId): string {
  const [first = '', ...rest] = id.split('.');
  const [procedure, step] = isProcedure(first) ? [first, rest.join('.')] : [main, id.replace(/\.rest$/, '')];
  return `${procedure}/own-steps?step=${own?.id ?? step}`;
}

/** Why it stands still, with the tag that says so on its switch. */
function NobodyStartsIt({ pumpId, what, children }: { pumpId: string; what: string; children: ReactNode }) {
  return (
    <p role="status" className="border-l-4 border-stop bg-sheet p-3">
      <span className="font-semibold">{what}</span> {children}{' '}
      <Link
        to={`/pumps/${pumpId}/switch-tag`}
        className="inline-flex min-h-11 items-center underline underline-offset-4"
      >
        A tag for its switch
      </Link>
    </p>
  );
}
