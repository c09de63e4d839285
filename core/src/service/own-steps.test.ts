import { initialState } from '../fold/index.js';
import type { OwnStep } from '../set-up/index.js';
import { at, bookOf } from '../testing/small-yard.js';
import { guideOf } from './guide.js';
import { onlyWords } from './condition-words.js';
import { mayLeaveOut, ownStepIssue } from './own-steps.js';
import { PROCEDURES } from './procedures/index.js';
import type { ProcedureId } from './procedures/procedure-names.js';
import { serviceAt, serviceOfJob } from './service-at.js';

const pump = bookOf().pumpAt({ pumpId: 'p1', instant: at(1) })!;
const setUpWith = (ownSteps: readonly OwnStep[]) => ({ ...pump, model: { ...pump.model, ownSteps } });
const own = (more: Partial<OwnStep>): OwnStep => ({
  ...{ id: 'a', procedure: 'oilChange', step: 'lock', way: 'before', words: 'Ring the shift leader.' },
  ...more,
});
const stepsWith = (ownSteps: readonly OwnStep[], others: readonly ProcedureId[] = []) =>
  serviceAt('oilChange', initialState('p1'), setUpWith(ownSteps), others).steps;
const idsWith = (ownSteps: readonly OwnStep[]) => stepsWith(ownSteps).map(({ step }) => step.id);
const PLAIN = idsWith([]);

test('a step of the house stands before or after the one it names, in the order in which it was said', () => {
  const ids = idsWith([
    own({}),
    own({ id: 'b', way: 'after', step: 'unlock', words: 'Sign the sheet on the cart.' }),
    own({ id: 'c', words: 'Hang the red sign.' }),
  ]);
  expect(ids.slice(0, 4)).toEqual(['warm', 'own.a', 'own.c', 'lock']);
  expect(ids.slice(-2)).toEqual(['unlock', 'own.b']);
  expect(ids.filter((id) => !id.startsWith('own.'))).toEqual(PLAIN);
});

test('in other words the step stays what it is: its caution, its volume, where its value goes', () => {
  const words = 'Open the yellow tap, bucket 3 beneath.';
  const plain = stepsWith([]).find(({ step }) => step.id === 'drain')!;
  const said = stepsWith([own({ step: 'drain', way: 'reword', words, photoId: 'f'.repeat(64) })]).find(
    ({ step }) => step.id === 'drain',
  )!;
  expect(said.step.words).toBe(words);
  expect(said.step.own).toEqual({ id: 'a', insteadOf: plain.step.words, photoId: 'f'.repeat(64) });
  expect(said.cautions).toEqual(plain.cautions);
  expect(said.cautions).toContain('hotOil');
  expect({ ...said.step, words: plain.step.words, own: undefined, filled: undefined }).toEqual({
    ...plain.step,
    ...{ own: undefined, filled: undefined },
  });
  // Also where other work is done while it runs out.
  const visit = stepsWith([own({ step: 'drain', way: 'reword', words })], ['inlet']);
  expect(visit.find(({ step }) => step.id === 'drain')?.step).toMatchObject({ kind: 'do', words, own: { id: 'a' } });
});

// By hand, from docs/trade.md 8 and 11: what nobody is hurt by, nothing is recorded of and nothing else needs.
test.each<[ProcedureId, readonly string[]]>([
  ['oilChange', ['fillPlug', 'levelBase', 'plug']],
  ['bleed', []],
  ['ballastPurge', ['back']],
  ['inlet', []],
  ['exhaustFilter', []],
  ['overhaul', ['fillPlug', 'turn', 'levelBase', 'plug']],
])('of %s may be left out %p, and nothing else', (id, may) => {
  const { steps } = PROCEDURES[id];
  expect(steps.filter((step) => mayLeaveOut(step, steps)).map((step) => step.id)).toEqual(may);
});

test('what is left out is not come to', () => {
  expect(idsWith([own({ step: 'plug', way: 'leaveOut', words: null })])).toEqual(PLAIN.filter((id) => id !== 'plug'));
});

test.each<[string, Partial<OwnStep>, ReturnType<typeof ownStepIssue>]>([
  ['a step in addition', {}, null],
  ['one that is left out, without words', { step: 'plug', way: 'leaveOut', words: null }, null],
  ['a procedure that nobody knows', { procedure: 'polish' }, 'procedure'],
  ['a name of the language', { procedure: 'constructor' }, 'procedure'],
  ['a step of another procedure', { step: 'coverOff' }, 'step'],
  ['the lock left out', { way: 'leaveOut' }, 'leaveOut'],
  ['a value left out', { step: 'out', way: 'leaveOut' }, 'leaveOut'],
  ['after a step that leads elsewhere', { step: 'addMore', way: 'after' }, 'place'],
  ['no words', { words: '  ' }, 'words'],
])('%s', (_, more, issue) => {
  expect(ownStepIssue(own(more))).toBe(issue);
  // What does not fit is passed over: no caution goes with it.
  if (issue) expect(idsWith([own(more)])).toEqual(PLAIN);
});

test('no step of any procedure loses a caution by anything a house can say', () => {
  for (const id of Object.keys(PROCEDURES) as ProcedureId[]) {
    const { steps } = PROCEDURES[id];
    const all = steps.flatMap((step): OwnStep[] =>
      (['before', 'after', 'reword', 'leaveOut'] as const).map((way) =>
        own({ id: `${step.id}-${way}`, procedure: id, step: step.id, way, words: 'Otherwise.' }),
      ),
    );
    const cautionsWith = (ownSteps: readonly OwnStep[]) =>
      new Set(
        serviceAt(id, initialState('p1'), setUpWith(ownSteps)).steps.flatMap(({ step, cautions }) =>
          cautions.map((caution) => `${step.id}: ${caution}`),
        ),
      );
    const otherwise = cautionsWith(all);
    for (const caution of cautionsWith([])) expect([id, otherwise.has(caution)]).toEqual([id, true]);
  }
});

test('in a visit a step of the house goes with its neighbours', () => {
  const beside = { procedure: 'exhaustFilter', words: 'Weigh the old elements.' };
  const steps = stepsWith(
    [
      own({ ...beside, step: 'out', way: 'after' }),
      own({ ...beside, id: 'b', step: 'backAfter', way: 'before', words: 'Wait for the plume to clear.' }),
      own({ ...beside, id: 'c', step: 'back', way: 'before', words: 'Gauge on.' }),
    ],
    ['exhaustFilter'],
  ).map(({ step }) => step.id);
  const before = (id: string) => steps[steps.indexOf(id) - 1];
  expect(before('exhaustFilter.rust')).toBe('exhaustFilter.own.a');
  expect(before('exhaustFilter.backAfter')).toBe('exhaustFilter.own.b');
  expect(steps[0]).toBe('exhaustFilter.own.c');
});

test('what a house adds behind the step that a job is at leads nobody back', () => {
  const said = ['warm', 'lock', 'vent'].map((step, n) => ({
    ...{ entryId: `${n}`, step, visit: 1, at: at(n), who: null, value: null, choice: null, oil: null },
  }));
  const job = {
    ...{ jobId: 'j', procedure: 'oilChange', with: [], startedAt: at(0), who: null, since: at(0) },
    ...{ foundDrained: false, foundNotWhole: null, paused: null, said, begun: [] },
  };
  const service = serviceOfJob(
    job,
    { ...initialState('p1'), job },
    setUpWith([own({}), own({ id: 'b', step: 'drain' })]),
  );
  const { done, current, ahead } = guideOf(service, job);
  expect(done.map(({ shown }) => shown.step.id)).toEqual(['warm', 'lock', 'vent']);
  expect([current?.shown.step.id, ahead[0]?.step.id]).toEqual(['fillPlug', 'own.b']);
});

test.each<[string, string | null]>([
  ['warm', 'Only without solvent in the oil.'],
  ['cool', 'Only with solvent in the oil.'],
  // How the pump was found is no matter of the house.
  ['drain', null],
  ['lock', null],
])('where the step %s is done at all: %s', (id, words) => {
  expect(onlyWords(PROCEDURES.oilChange.steps.find((step) => step.id === id)!)).toBe(words);
});
