import type { Entry, EntryBodies } from '../journal/index.js';
import { judged, QUIET } from '../testing/judged-pump.js';
import { at, bookOf, changeAt, entryAt, lookAt, runAt } from '../testing/small-yard.js';
import { expectedMl } from './judge-look.js';
import { rebuild } from './pump-projection.js';

const chargeOf = (entries: Entry[]) => judged(entries).state.sumps[0]!.charge;
/** 30 h on 6 m³/h with the trap at -40 °C: 17.1 g past it, the trade's own figure. */
const wet = (hours: number, body: Partial<EntryBodies['run']> = {}) =>
  runAt(hours, 30, 'any-empty', { body: { trapTempC: -40, ...body } });
const jar = (hours: number, freeWaterMl: number) =>
  lookAt(hours, { source: 'sample', lookedAtMl: 300, hoursStood: 60, jarTempC: 25, freeWaterMl });

test('each run adds what passes the trap; warm oil and open ballast leave nearly nothing', () => {
  const closed = chargeOf([changeAt(1), wet(10), wet(50)]);
  expect(closed.expectedWaterUl / 1000).toBeCloseTo(34.2, 0);
  expect(closed.unestimatedRuns).toBe(0);
  const open = chargeOf([changeAt(1), wet(10, { ballast: 'open', oilTempC: 70 })]);
  expect(open.expectedWaterUl / 1000).toBeCloseTo(0.05 * 17.1, 0);
  // Into cold oil the ballast adds water: 156 g come with its air, and only 53.6 g leave.
  const cold = chargeOf([changeAt(1), wet(10, { ballast: 'open', oilTempC: 20 })]);
  expect(cold.expectedWaterUl / 1000).toBeGreaterThan(50);
});

test('more than the runs explain is a reason, and how much more', () => {
  const runs = [changeAt(1), wet(10), wet(50)];
  expect(judged([...runs, jar(90, 34)]).codes).not.toContain('waterAboveExpected');
  const found = judged([...runs, jar(90, 60)]);
  expect(found.reasons.find((r) => r.code === 'waterAboveExpected')).toMatchObject({
    level: 'lookSooner',
    foundUl: 60_000,
    expectedUl: expect.closeTo(34_200, -3) as number,
  });
});

test('a run that cannot be estimated, and oil older than the record, leave the expectation open', () => {
  const untold = judged([changeAt(1), wet(10), runAt(50, 30), jar(90, 60)]);
  expect(untold.state.sumps[0]?.charge.unestimatedRuns).toBe(1);
  expect(untold.codes).not.toContain('waterAboveExpected');
  expect(judged([wet(10), wet(50), jar(90, 60)]).codes).not.toContain('waterAboveExpected');
  // A line whose chamber nobody has measured.
  const line = runAt(50, 9, 'vp-meat', { equipmentId: 'line', body: { cycles: 2000 } });
  expect(chargeOf([changeAt(1), line]).unestimatedRuns).toBe(1);
});

test('a purge carries expected water away, but none that was found', () => {
  const runs = [changeAt(1), wet(10), wet(50)];
  const purge = entryAt(85, 'done', { task: 'purge' });
  // 0.6 m³/h at 70 °C and 10 %: 19.2 g in an hour.
  expect(chargeOf([...runs, purge]).expectedWaterUl / 1000).toBeCloseTo(34.2 - 19.2, 0);
  const bled = entryAt(82, 'bleed', { sump: 'oil', drawnMl: 40, waterMl: 30 });
  expect(chargeOf([...runs, bled, purge]).expectedWaterUl).toBe(30_000);
});

test('what was found and answered is not expected again; what was left behind of it still is', () => {
  const bled = (waterMl: number) => entryAt(90, 'bleed', { sump: 'oil', drawnMl: 60, waterMl });
  const after = (waterMl: number) => chargeOf([changeAt(1), wet(10), wet(50), bled(waterMl), jar(160, 0), wet(230)]);
  expect(after(32).answeredWaterUl).toBe(32_000);
  // 51.3 g of three runs, 32 mL of them found.
  expect(expectedMl(after(32))).toBeCloseTo(19.4, 0);
  expect(expectedMl(after(20))).toBeCloseTo(31.4, 0);
  // More was found than two runs explain: the third still brings its own.
  expect(expectedMl(after(50))).toBeCloseTo(17.1, 0);
});

test('no set-up that is allowed makes a run that cannot be folded', () => {
  const vast = runAt(10, 700, 'any-empty', { equipmentId: 'line', body: { cycles: 1_000_000, oilTempC: 200 } });
  const line = { ...bookOf(QUIET).at(at(1)).equipment.line!, chamberVolumeL: 1_000_000, flashGPerCycle: 10_000 };
  const setUp = bookOf(QUIET).pumpAt({ pumpId: 'p1', instant: at(900) })!;
  const book = {
    ...bookOf(QUIET),
    pumpAt: () => ({ ...setUp, house: { ...setUp.house, equipment: { ...setUp.house.equipment, line } } }),
  };
  const { sumps } = rebuild({ pumpId: 'p1', entries: [changeAt(1), vast], book });
  expect(sumps[0]?.charge.unestimatedRuns).toBe(0);
  expect(Number.isFinite(sumps[0]?.charge.expectedWaterUl)).toBe(true);
});
