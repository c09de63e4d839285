import { rebuild } from '../fold/index.js';
import type { PumpModel, SetUpVersion } from '../set-up/index.js';
import { setUpBook } from '../set-up/index.js';
import { standingAt } from '../standing/index.js';
import { at, changeAt, entryAt, versionsOf } from '../testing/small-yard.js';
import { backPressuresOf } from './index.js';

type Said = Pick<PumpModel, 'exhaustLookPa' | 'exhaustRenewPa'>;
const OUTSIDE: Said = { exhaustLookPa: 15_000, exhaustRenewPa: 15_000 };

// docs/trade.md 8-H, by hand. Over ambient.
test.each<[string, Said, number, number]>([
  ['built in, where nobody has said otherwise', {}, 30_000, 60_000],
  ['a mist filter outside on a small pump', OUTSIDE, 15_000, 15_000],
  ['renewed from less than it is looked at: looked at from there', { exhaustRenewPa: 20_000 }, 20_000, 20_000],
  ['looked at from more than it is renewed: renewed from there', { exhaustLookPa: 80_000 }, 80_000, 80_000],
  ['renewed later', { exhaustRenewPa: 70_000 }, 30_000, 70_000],
])('%s', (_, said, lookPa, renewPa) => {
  expect(backPressuresOf(said)).toEqual({ lookPa, renewPa });
});

test.each<[string, Said, number, string | null]>([
  ['built in, little', {}, 16_000, null],
  ['built in, enough to look', {}, 31_000, 'lookSooner'],
  ['built in, full', {}, 61_000, 'beforeNextRun'],
  ['outside, full by then', OUTSIDE, 16_000, 'beforeNextRun'],
  ['outside, little', OUTSIDE, 9000, null],
])('%s', (_, said, pa, level) => {
  const book = setUpBook(
    versionsOf({}).map((v) => ({ ...v, body: { ...v.body, ...(v.subjectId === 'vane' ? said : {}) } }) as SetUpVersion),
  );
  const measured = (hours: number, over: number) =>
    entryAt(hours, 'test', { findings: [], measured: [{ pa: over, where: 'exhaust' }] });
  const levelAfter = (...tests: ReturnType<typeof measured>[]) => {
    const state = rebuild({ pumpId: 'p1', entries: [changeAt(1), ...tests], book });
    const setUp = book.pumpAt({ pumpId: 'p1', instant: at(20) })!;
    return standingAt({ state, setUp, now: at(20) }).reasons.find(({ code }) => code === 'backPressure')?.level ?? null;
  };
  expect(levelAfter(measured(10, pa))).toBe(level);
  // Low again, and it is answered.
  expect(levelAfter(measured(10, pa), measured(11, 5000))).toBeNull();
});
