import { PROCEDURES } from './procedures/index.js';
import type { GuideStep } from './service-at.js';
import { minutesByStep, ownMinutes, personKind, timesFor, workedMinutes } from './worked-minutes.js';

const at = (minutes: number) => new Date(Date.parse('2031-01-01T08:00:00.000Z') + minutes * 60_000).toISOString();
const done = (...steps: readonly (readonly [id: string, minutes: number])[]): GuideStep[] =>
  steps.map(([id, minutes]) => ({
    shown: {
      step: PROCEDURES.oilChange.steps.find((s) => s.id === id)!,
      ...{ amountMl: null, flushes: [], purge: null, cautions: [] },
    },
    ...{ visit: 1, begun: null },
    said: { entryId: id, step: id, visit: 1, at: at(minutes), who: null, value: null, choice: null, oil: null },
  }));

// By hand: what lies between two answers, but for waits.
test.each<[string, GuideStep[], number]>([
  ['nothing done', [], 0],
  ['a wait of twenty minutes, then three of work', done(['warm', 20], ['lock', 23]), 3],
  ['a wait between two pieces of work', done(['lock', 4], ['drain', 16], ['tilt', 19]), 4 + 3],
  [
    'a lunch of an hour between: it counts as the three minutes that it usually takes',
    done(['vent', 2], ['lock', 62]),
    2 + 3,
  ],
  ['half an hour at a plug is half an hour', done(['lock', 30]), 30],
])('%s', (_, steps, minutes) => expect(workedMinutes(steps, at(0))).toBe(minutes));

test.each<[readonly number[], number | null]>([
  [[], null],
  [[20, 30, 40, 50], null],
  [[20, 30, 40, 50, 300], 40],
])('%j: %s', (worked, minutes) => expect(ownMinutes(worked)).toBe(minutes));

test('each step has its own minutes, and a wait none', () => {
  expect(minutesByStep(done(['warm', 20], ['lock', 24], ['vent', 25.5]), at(0))).toEqual([
    { step: 'lock', minutes: 4 },
    { step: 'vent', minutes: 1.5 },
  ]);
});

test('the minutes are those of the same kind of people once there are five of them, else of everybody', () => {
  const of = { procedure: 'oilChange', modelId: 'vane' };
  const by = (kind: 'specialist' | 'technician', ...minutes: number[]) => ({ ...of, kind, minutes });
  const few = [by('specialist', 20, 21), by('technician', 40, 41, 42)];
  expect(timesFor(few, { ...of, kind: 'specialist' })).toEqual([20, 21, 40, 41, 42]);
  const many = [by('specialist', 20, 21, 22, 23, 24), by('technician', 40, 41, 42)];
  expect(timesFor(many, { ...of, kind: 'specialist' })).toEqual([20, 21, 22, 23, 24]);
  expect(timesFor(many, { ...of, kind: 'technician' })).toHaveLength(8);
  expect(timesFor(many, { ...of, modelId: 'booster', kind: 'specialist' })).toEqual([]);
  expect([personKind({ maySpecialist: true }), personKind({}), personKind(undefined)]).toEqual([
    'specialist',
    'technician',
    'technician',
  ]);
});
