import type { Entry, LabResultBody } from '../journal/index.js';
import { judged, QUIET } from '../testing/judged-pump.js';
import { at, bookOf, changeAt, entryAt, lookAt, runAt } from '../testing/small-yard.js';
import { rebuild } from './pump-projection.js';

const sampleAt = (hours: number) => entryAt(hours, 'labSample', { sump: 'oil', drawnMl: 100, label: `S-${hours}` });
const reportAt = (hours: number, sample: Entry, values: Omit<LabResultBody, 'sampleId'>) =>
  entryAt(hours, 'labResult', { sampleId: sample.id, ...values });
const done = (hours: number, task: string) => entryAt(hours, 'done', { task });
const clear = (hours: number) =>
  lookAt(hours, { source: 'sample', lookedAtMl: 200, hoursStood: 60, jarTempC: 25, freeWaterMl: 0, clarity: 'bright' });
const RUNS = [changeAt(1), runAt(10, 30), runAt(50, 30)];

test('a report names its sample’s day, and counts the sample as drawn', () => {
  const sample = sampleAt(90);
  const seen = judged([...RUNS, sample, runAt(100, 20), reportAt(200, sample, { ironPpm: 50 })]);
  expect(seen).toMatchObject({ verdict: 'beforeNextRun', act: 'change', codes: ['iron'] });
  expect(seen.reasons[0]).toMatchObject({ at: at(90), abovePpm: 50, limitPpm: 40 });
  expect(seen.state.tasks.labSample?.at).toBe(at(90));
  expect(seen.state.samples).toMatchObject([{ minutes: 60 * 60, chargeNumber: 1, measured: ['ironPpm'] }]);
  // 50 ppm in 60 h
  expect(seen.state.ironRates).toEqual([{ chargeNumber: 1, milliPpmPer100h: 83_333 }]);
});

test('a report on a charge that is gone leaves an open cause; metal and solvent stand', () => {
  const sample = sampleAt(90);
  const gone = (values: Omit<LabResultBody, 'sampleId'>) =>
    judged([...RUNS, sample, changeAt(100), reportAt(200, sample, values)]);
  expect(gone({ ironPpm: 50 })).toMatchObject({ verdict: 'lookSooner', codes: ['goneCharge'] });
  expect(gone({ ironPpm: 20 })).toMatchObject({ verdict: 'runOn', codes: [] });
  expect(gone({ ironPpm: 130, wearSigns: ['noise'] })).toMatchObject({ verdict: 'stop', act: 'inspect' });
});

test('wear outlives the change: change first, then inspect', () => {
  const sample = sampleAt(90);
  const worn = [...RUNS, sample, reportAt(200, sample, { ironPpm: 130 })];
  expect(judged(worn)).toMatchObject({ act: 'change', codes: ['iron', 'wear'] });
  const changed = [...worn, changeAt(210)];
  expect(judged(changed)).toMatchObject({ verdict: 'beforeNextRun', act: 'inspect', codes: ['wear'] });
  const next = sampleAt(300);
  expect(judged([...changed, next, reportAt(400, next, { ironPpm: 2 })]).codes).toEqual(['wear']);
  expect(judged([...changed, done(220, 'vaneCheck')]).verdict).toBe('runOn');
});

test('what was done between the sample and its report is not asked for again', () => {
  const sample = sampleAt(90);
  const wet = { waterPpm: 500 };
  expect(judged([...RUNS, sample, reportAt(200, sample, wet)])).toMatchObject({ act: 'purge', codes: ['labWater'] });
  const purged = [...RUNS, sample, done(95, 'purge')];
  expect(judged([...purged, reportAt(200, sample, wet)]).codes).toEqual(['labWater']);
  expect(judged([...purged, reportAt(200, sample, wet), clear(210)]).codes).toEqual([]);
  expect(judged([...purged, clear(98), reportAt(200, sample, wet)]).codes).toEqual([]);
  // A bleed before the sample answers nothing that the sample found.
  const bledBefore = [...RUNS, entryAt(85, 'bleed', { sump: 'oil', drawnMl: 20, waterMl: 5 }), sample];
  expect(judged([...bledBefore, reportAt(200, sample, wet), clear(210)]).codes).toEqual(['labWater']);
  const worn = { ironPpm: 130 };
  expect(judged([...RUNS, sample, done(95, 'vaneCheck'), reportAt(200, sample, worn)]).codes).toEqual(['iron']);
});

test('a later sample has the last word, in whichever order the reports come', () => {
  const first = sampleAt(90);
  const second = sampleAt(190);
  const bad = reportAt(300, first, { acidMgKohG: 0.5, ironPpm: 50 });
  const good = reportAt(310, second, { ironPpm: 3 });
  const lateBad = reportAt(320, first, { ironPpm: 50 });
  expect(judged([...RUNS, first, second, bad]).codes).toEqual(['iron']);
  expect(judged([...RUNS, first, second, bad, good]).codes).toEqual([]);
  expect(judged([...RUNS, first, second, good, lateBad]).codes).toEqual([]);
  const rates = judged([...RUNS, first, second, good, lateBad]).state.ironRates;
  expect(rates).toEqual([{ chargeNumber: 1, milliPpmPer100h: 5000 }]);
});

test('solvent by viscosity stands until a sample of the new oil is thick enough', () => {
  const book = bookOf(QUIET);
  const sample = sampleAt(90);
  const withFresh = { ...book.at(at(90)).oilProduct['oil-a']!, viscosity40Mm2s: 68 };
  const setUp = book.pumpAt({ pumpId: 'p1', instant: at(900) })!;
  const house = { ...setUp.house, oilProduct: { ...setUp.house.oilProduct, 'oil-a': withFresh } };
  const thin = { ...book, pumpAt: () => ({ ...setUp, house }) };
  const codes = (entries: Entry[]) =>
    rebuild({ pumpId: 'p1', entries, book: thin }).sumps[0]?.findings.map((f) => f.code);
  const found = [...RUNS, sample, reportAt(200, sample, { viscosity40Mm2s: 50 })];
  expect(codes([...found, changeAt(210)])).toEqual(['viscosity']);
  expect(codes([...found, changeAt(210), lookAt(220, { smell: 'none' })])).toEqual(['viscosity']);
  const after = { ...sample, id: '10000000-0000-4000-9000-000000000001', happenedAt: at(230), recordedAt: at(230) };
  expect(codes([...found, changeAt(210), after, reportAt(300, after, { viscosity40Mm2s: 66 })])).toEqual([]);
  // 13 % thinner: what the pump held has gone into the new oil.
  expect(codes([...found, changeAt(210), after, reportAt(300, after, { viscosity40Mm2s: 59 })])).toEqual(['viscosity']);
});

test('a report on a sample that was taken back says nothing', () => {
  const sample = sampleAt(90);
  expect(judged([...RUNS, reportAt(200, sample, { ironPpm: 300 })])).toMatchObject({ verdict: 'runOn', codes: [] });
});
