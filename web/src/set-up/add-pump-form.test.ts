import { draftIds } from '../forms/draft-ids.js';
import { checkEntry, checkRecord } from '@winter-jar/contracts';
import { setUpBook, type PumpModel, type SetUpVersion } from '@winter-jar/core';
import { bookOf, START } from '@winter-jar/core/testing';
import { unitsOf } from '../device/units-of.js';
import { addPumpDefaults, NEW, readAddPump, type AddPumpValues } from './add-pump-form.js';

const units = unitsOf({ pressure: 'hPa', volume: 'mL', temperature: '°C', flow: 'm³/h' });
const NOW = '2031-06-01T10:00:00.000Z';
const { idFor } = draftIds();
let made = 0;
const context = (house: ReturnType<typeof emptyHouse>) => ({
  house,
  units,
  zone: 'Europe/Lisbon',
  now: NOW,
  idFor,
  newId: () => `0199cccc-0000-7000-8000-${String((made += 1)).padStart(12, '0')}`,
  shared: { who: null, device: 'browser', acknowledged: [], bodyVersion: 1 },
});
const emptyHouse = () => setUpBook([]).at(NOW);
const house = bookOf().at(START);

const FIRST: Partial<AddPumpValues> = {
  name: 'Cart 1',
  siteName: 'Marsh Archive',
  equipmentName: 'Long chamber',
  modelName: 'Capstan 8',
  speed: '8',
  charge: '0,9 L',
  changedDay: '2031-05-20',
  runsSince: '2',
};
const read = (values: Partial<AddPumpValues>, of = emptyHouse()) =>
  readAddPump({ ...addPumpDefaults(of), ...values }, context(of));
const bodyOf = (versions: readonly SetUpVersion[], kind: string) => versions.find((v) => v.kind === kind)?.body;

test('a first pump brings site, equipment, model, oil, materials and its take-over, and all of it is right', () => {
  const answer = read(FIRST);
  if (!answer.ok) throw new Error(JSON.stringify(answer.issues));
  for (const v of answer.versions) expect([v.kind, checkRecord(v.kind, v.body).ok]).toEqual([v.kind, true]);
  expect(checkEntry(answer.entry, Date.parse(NOW))).toMatchObject({ ok: true });
  const pump = setUpBook(answer.versions).pumpAt({ pumpId: answer.pumpId, instant: NOW });
  expect(pump).toMatchObject({
    pump: { name: 'Cart 1', preset: 'bleedAndCount' },
    site: { name: 'Marsh Archive', zone: 'Europe/Lisbon' },
    equipment: { name: 'Long chamber', referenceHours: 24, coldTrap: true },
    model: { pumpingSpeedM3h: 8, sumps: [{ chargeMl: 900 }] },
    product: { name: 'Mineral VG 68', grade: 'VG 68' },
  });
  expect(Object.keys(pump?.house.material ?? {}).length).toBeGreaterThan(20);
  expect(answer.entry.body).toMatchObject({ runsSince: 2, oilChangedAt: '2031-05-20T05:00:00.000Z' });
});

test('what no manual said is marked, and what was said is not', () => {
  const all = read({ ...FIRST, marks: '250 mL', holdUp: '60 mL' });
  const some = read(FIRST);
  const assumed = (answer: typeof all) =>
    answer.ok ? (bodyOf(answer.versions, 'pumpModel') as PumpModel).assumed : [];
  expect(assumed(some)).toEqual(
    expect.arrayContaining(['sumps.0.holdUpMl', 'sumps.0.betweenMarksMl', 'operatingOilTempC']),
  );
  expect(assumed(all)).not.toContain('sumps.0.holdUpMl');
  expect(assumed(all)).not.toContain('pumpingSpeedM3h');
  expect(all.ok && bodyOf(all.versions, 'equipment')).toMatchObject({ assumed: ['referenceHours', 'coldTrap'] });
});

test('what we take for granted refuses nothing, up to the largest and down to the smallest charge', () => {
  for (const [charge, housingMl] of [
    ['200 L', 200_000],
    ['150 L', 200_000],
    ['1 mL', 1.5],
  ] as const) {
    const answer = read({ ...FIRST, charge });
    expect(answer.ok && bodyOf(answer.versions, 'pumpModel')).toMatchObject({ sumps: [{ housingMl }] });
  }
});

test('in a house that has them only the pump and its take-over are written', () => {
  const answer = read({ name: 'P-2', equipment: 'chamber', changed: 'unknown' }, house);
  expect(answer).toMatchObject({
    ok: true,
    versions: [{ kind: 'pump', body: { modelId: 'vane', siteId: 'site', oilProductId: 'oil-a' } }],
    entry: { kind: 'takeOver', body: { oilChangedAt: null, runsSince: null } },
  });
});

test('a dry pump has no oil', () => {
  const answer = read({ name: 'D-2', equipment: 'chamber', model: 'dry', meter: '12000' }, house);
  expect(answer).toMatchObject({ ok: true, entry: { body: { meterMinutes: 720_000, oilChangedAt: null } } });
  expect(answer.ok && bodyOf(answer.versions, 'pump')).not.toHaveProperty('oilProductId');
});

test('sent again it has the same ids, so that a lost answer makes no second pump', () => {
  const [a, b] = [read(FIRST), read(FIRST)];
  expect(a.ok && b.ok && [a.pumpId, a.entry.id]).toEqual(b.ok && [b.pumpId, b.entry.id]);
});

test('each wrong field has its message, all at once', () => {
  const answer = read({
    ...FIRST,
    name: ' ',
    siteName: '',
    speed: 'fast',
    charge: '',
    runsSince: '2.5',
    changedDay: '2031-07-01',
    meter: 'much',
    oil: NEW,
    oilName: 'x'.repeat(70),
  });
  expect(answer).toMatchObject({
    ok: false,
    issues: {
      name: expect.stringMatching(/a name of 1 to 60/),
      siteName: expect.stringMatching(/a name of 1 to 60/),
      speed: expect.stringMatching(/not a number with a unit/),
      charge: expect.stringMatching(/Say how much/),
      runsSince: expect.stringMatching(/a whole number/),
      changedDay: expect.stringMatching(/has not come yet/),
      meter: expect.stringMatching(/not a number/),
      oilName: expect.stringMatching(/a name of 1 to 60/),
    },
  });
});
