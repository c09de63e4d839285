import { checkRecord } from '@winter-jar/contracts';
import { MATERIAL_LIBRARY, SET_UP_KINDS, type SetUpKind } from '@winter-jar/core';
import { bookOf, START } from '@winter-jar/core/testing';
import { unitsOf } from '../device/units-of.js';
import { nameOf, type RecordValues } from './field-specs.js';
import { fieldsOf, initialValues, notAssumed, readRecord, valuesOf } from './record-form.js';

const units = unitsOf({ pressure: 'hPa', volume: 'mL', temperature: '°C', flow: 'm³/h' });
const other = { ...unitsOf({ pressure: 'mTorr', volume: 'fl oz', temperature: '°F', flow: 'm³/h' }), flow: 'cfm' };
const house = bookOf().at(START);
const records = SET_UP_KINDS.flatMap((kind) =>
  Object.entries(house[kind]).map(([id, body]) => [`${kind} ${id}`, kind, body as Record<string, unknown>] as const),
);

test.each(records)('%s comes back as it is, in any units', (_, kind, body) => {
  for (const shown of [units, other]) {
    const values = valuesOf(kind, body, shown);
    const read = readRecord(kind, values, shown, { body, values });
    expect(read).toMatchObject({ ok: true });
    if (!read.ok) return;
    const { limits, ...said } = read.body as { limits?: object };
    const { limits: stored, ...rest } = body as { limits?: object };
    const plain = (o: object) => JSON.parse(JSON.stringify(o)) as object;
    expect(plain(said)).toEqual(plain(rest));
    expect(limits ?? {}).toEqual(stored ?? {});
  }
});

test('what a house does otherwise in a service has no field here, and stays', () => {
  const ownSteps = [{ id: 'a', procedure: 'oilChange', step: 'lock', way: 'before', words: 'Ring the shift leader.' }];
  const body = { ...house.pumpModel.vane, ownSteps } as unknown as Record<string, unknown>;
  const values = { ...valuesOf('pumpModel', body, units), name: 'Another name' };
  const read = readRecord('pumpModel', values, units, { body, values: valuesOf('pumpModel', body, units) });
  expect(read).toMatchObject({ ok: true, body: { name: 'Another name', ownSteps } });
});

const vane = valuesOf('pumpModel', house.pumpModel.vane as never, units);
const issuesOf = (kind: SetUpKind, values: RecordValues) => {
  const read = readRecord(kind, values, units);
  return read.ok ? {} : read.issues;
};

test.each<[SetUpKind, RecordValues, string, RegExp]>([
  ['pumpModel', { ...vane, pumpingSpeedM3h: 'fast' }, 'pumpingSpeedM3h', /“fast” is not a number with a unit/],
  ['pumpModel', { ...vane, pumpingSpeedM3h: '6 mL' }, 'pumpingSpeedM3h', /measures something else/],
  ['pumpModel', { ...vane, name: '' }, 'name', /^Say this: it cannot stay empty/],
  ['pumpModel', { ...vane, 'sumps/0/housingMl': '300' }, 'sumps/0/housingMl', /at least the charge, 700 mL/],
  ['pumpModel', { ...vane, 'sumps/0/holdUpMl': '' }, 'sumps/0/holdUpMl', /^Say this/],
  ['pumpModel', { ...vane, operatingOilTempC: '300' }, 'operatingOilTempC', /from 0 to 150/],
  ['pumpModel', { ...vane, stages: 'two' }, 'stages', /“two” is not a number/],
  ['material', { ...initialValues('material'), name: 'Peat' }, 'process', /^Say this/],
  ['site', { ...initialValues('site'), name: 'A', process: 'packaging', zone: 'Moon' }, 'zone', /an IANA time zone/],
  ['pumpModel', { ...vane, 'limits/oilChange/runs': '-2' }, 'limits/oilChange/runs', /“-2” is not a limit/],
  ['pumpModel', { ...vane, name: 'x'.repeat(61) }, 'name', /a name of 1 to 60/],
])('a wrong value of %s gets its message at its field', (kind, values, field, words) => {
  expect(issuesOf(kind, values)[field]).toMatch(words);
});

test('limits: empty inherits, "none" takes away, a number with a comma is one', () => {
  const read = readRecord(
    'houseRules',
    {
      ...initialValues('houseRules'),
      'limits/oilChange/weight': '7,5',
      'limits/look/days': 'None',
      'limits/bleed/runs': '',
    },
    units,
  );
  expect(read).toEqual({
    ok: true,
    body: { limits: { oilChange: { weight: 7.5 }, look: { days: null } }, opensModules: false, reuseSchool: 'newOnly' },
  });
});

test('a booster has three sumps, a dry pump none, and each asks only for its own', () => {
  const values = { ...vane, kind: 'dry' };
  expect(fieldsOf('pumpModel', values).some((f) => f.path.startsWith('sumps'))).toBe(false);
  expect(readRecord('pumpModel', values, units)).toMatchObject({ ok: true, body: { sumps: [] } });
  const booster = valuesOf('pumpModel', house.pumpModel.booster as never, units);
  expect(readRecord('pumpModel', booster, units)).toMatchObject({
    ok: true,
    body: { sumps: [{ key: 'gearA' }, { key: 'gearB' }, { key: 'sealCup' }] },
  });
});

test('what a person types is no default of ours any more', () => {
  const values = { assumed: 'stages sumps.0.holdUpMl' };
  expect(notAssumed(values, nameOf('sumps.0.holdUpMl'))).toBe('stages');
  expect(notAssumed(values, 'name')).toBe('stages sumps.0.holdUpMl');
});

test('what a new record starts with is marked as ours until it is said, and only where it is asked for', () => {
  const equipment = {
    ...initialValues('equipment'),
    name: 'Chamber',
    siteId: 'site',
    process: 'packaging',
    referenceHours: '8',
  };
  expect(readRecord('equipment', equipment, units)).toMatchObject({ ok: true, body: { assumed: ['coldTrap'] } });
  expect(initialValues('material').assumed).toBe('moisture fat fines solvent acid');
  const model = initialValues('pumpModel');
  const booster = {
    ...model,
    ...valuesOf('pumpModel', house.pumpModel.booster as never, units),
    assumed: model.assumed ?? '',
  };
  const read = readRecord('pumpModel', booster, units);
  // It has no stages, and whoever opened the form chose its kind.
  expect(read.ok && 'assumed' in read.body && read.body.assumed).toEqual([
    'operatingOilTempC',
    'hasOilFilter',
    'ballastRule',
    'hasHourMeter',
  ]);
});

test('the whole house library of materials is right', () => {
  for (const [id, body] of Object.entries(MATERIAL_LIBRARY))
    expect([id, checkRecord('material', body).ok]).toEqual([id, true]);
});
