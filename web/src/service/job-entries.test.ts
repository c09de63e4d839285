import { guideOf, initialState, serviceAt, type JobState, type ProcedureId } from '@winter-jar/core';
import { at, bookOf } from '@winter-jar/core/testing';
import { answerOf, endOf, entriesOfJob, momentAfter, startOf, type Answer, type JobDraft } from './job-entries.js';

const JOB_ID = '01a22cd7-b05e-74ba-8ecc-57288084884d';
const setUp = bookOf().pumpAt({ pumpId: 'p1', instant: at(1) })!;
const service = serviceAt('oilChange', initialState('p1'), setUp);
const productOf = () => 'oil-a';
const of = { model: setUp.model, productOf };
const started: JobState = {
  ...{ jobId: JOB_ID, procedure: 'oilChange', with: [], startedAt: at(1), who: null, since: at(1) },
  ...{ foundDrained: false, foundNotWhole: null, paused: null, said: [], begun: [] },
};
const ANSWERS: Readonly<Record<string, Answer>> = {
  out: { value: 650 },
  fill: { value: 700 },
  level: { choice: 'right' },
};

/** As the fold does it: what the drafts say of the steps. */
function after(job: JobState, drafts: readonly JobDraft[]): JobState {
  return drafts.reduce((so, draft) => {
    if (draft.kind !== 'jobStep') return so;
    const { step, visit, phase, until = null, value = null, choice = null, oil = null } = draft.body;
    const said = { entryId: draft.id, step, visit, at: draft.happenedAt, who: null };
    return phase === 'begun'
      ? { ...so, begun: [...so.begun, { ...said, until }] }
      : { ...so, said: [...so.said, { ...said, value, choice, oil }] };
  }, job);
}
/** Answered up to a step, or to the end; a minute for each. */
function upTo(step: string | null): { job: JobState; last: readonly JobDraft[] } {
  let job = after(started, startOf({ jobId: JOB_ID, procedure: 'oilChange', others: [], service, happenedAt: at(1) }));
  for (let n = 1; ; n += 1) {
    const { current } = guideOf(service, job);
    const id = current?.shown.step.id ?? null;
    if (id === step) return { job, last: [] };
    const input = { answer: ANSWERS[id ?? ''] ?? {}, nowMs: Date.parse(at(1)) + n * 60_000, attempt: 1, ...of };
    const { drafts, then } = answerOf(job, service, input);
    job = after(job, drafts);
    if (then.ended) return { job, last: drafts };
  }
}
const words = (drafts: readonly JobDraft[]) =>
  drafts.map(({ kind, body }) =>
    kind === 'jobStep' ? `${body.step} ${body.phase}${body.oil ? ` oil ${body.oil}` : ''}` : kind,
  );
const answer = (job: JobState, said: Answer, more: { nowMs?: number; attempt?: number } = {}) =>
  answerOf(job, service, { answer: said, nowMs: Date.parse(at(3)), attempt: 1, ...of, ...more }).drafts;

test('a job begins with the wait that its first step is', () => {
  const drafts = startOf({ jobId: JOB_ID, procedure: 'oilChange', others: [], service, happenedAt: at(1) });
  expect(words(drafts)).toEqual(['jobStarted', 'warm begun']);
  // Twenty minutes, from the moment at which it is come to.
  expect(drafts[1]?.body).toMatchObject({ until: '2031-01-01T01:20:00.001Z' });
});

test('the oil is out from the moment at which the drain is opened, and in with the fill', () => {
  expect(words(answer(upTo('fillPlug').job, {}))).toEqual(['fillPlug done', 'drain begun oil out']);
  expect(words(answer(upTo('drain').job, {}))).toEqual(['drain done']);
  expect(words(answer(upTo('fill').job, { value: 700 }))).toEqual(['fill done oil in']);
});

test('two devices that answer the same step write under the same id, whenever they do', () => {
  const { job } = upTo('out');
  const [here] = answer(job, { value: 650 });
  const [there] = answer(job, { value: 600 }, { nowMs: Date.parse(at(4)) });
  expect(there?.id).toBe(here?.id);
  // Taken back and answered anew it is another one.
  expect(answer(job, { value: 600 }, { attempt: 2 })[0]?.id).not.toBe(here?.id);
});

test('a clock that is behind puts nothing before what was said', () => {
  const { job } = upTo('out');
  const last = job.said.at(-1)?.at ?? '';
  expect(momentAfter(job, Date.parse(at(0))) > last).toBe(true);
  expect(momentAfter(job, Date.parse(at(9)))).toBe(at(9));
});

test('the last answer writes the record with it, at the times of its steps', () => {
  const { job, last } = upTo(null);
  expect(words(last)).toEqual(['unlock done', 'change', 'jobEnded']);
  const fill = job.said.find(({ step }) => step === 'fill');
  expect(last[1]).toMatchObject({
    happenedAt: fill?.at,
    body: { sump: 'oil', productId: 'oil-a', outMl: 650, inMl: 700, levelAfter: 'right', jarKept: true },
  });
});

test('given up after the fill, the change is kept; before it there is none', () => {
  const end = (step: string) => {
    const { job } = upTo(step);
    return words(endOf(job, guideOf(service, job).done, { how: 'givenUp', happenedAt: at(5), ...of }));
  };
  expect(end('levelBase')).toEqual(['change', 'jobEnded']);
  expect(end('fill')).toEqual(['jobEnded']);
});

test('where a choice leads to another service, that is said', () => {
  const procedure: ProcedureId = 'changeProduct';
  const other = serviceAt(procedure, initialState('p1'), setUp);
  const input = { answer: { choice: 'never' }, nowMs: Date.parse(at(3)), attempt: 1, ...of };
  expect(answerOf({ ...started, procedure }, other, input).then).toEqual({ ended: true, follow: null });
});

test('what was fitted is named as the model has it, each part once', () => {
  const exhaust = serviceAt('exhaustFilter', initialState('p1'), setUp);
  const said = exhaust.steps.map(({ step }, n) => ({
    ...{ entryId: `${n}`, step: step.id, visit: 1, at: at(n), who: null, value: null, oil: null },
    choice: step.kind === 'choose' ? 'clean' : null,
  }));
  const { done } = guideOf(exhaust, { said, begun: [] });
  const model = { ...setUp.model, service: { exhaustFilter: 'E16' } };
  const ended = endOf(started, done, { how: 'done', happenedAt: at(50), model, productOf }).at(-1);
  expect(ended?.body).toEqual({
    how: 'done',
    workedMinutes: expect.any(Number) as number,
    parts: [
      { place: 'exhaustFilter', part: 'E16' },
      { place: 'seals', part: null },
    ],
  });
});

test('all of a job is one deed; its steps are about the job, its record about the pump alone', () => {
  const { last } = upTo(null);
  const shared = { who: 'p', device: 'browser', acknowledged: [], bodyVersion: 1 };
  const entries = entriesOfJob(last, { jobId: JOB_ID, pumpId: 'p1', zone: 'Europe/Lisbon', now: at(6), shared });
  expect(new Set(entries.map(({ actId }) => actId))).toEqual(new Set([JOB_ID]));
  expect(entries.map(({ subjects }) => subjects.map(({ type }) => type).join())).toEqual([
    'pump,job',
    'pump',
    'pump,job',
  ]);
});
