import { unitsOf } from '../device/units-of.js';
import { derivedValues } from './derived-fields.js';

const units = unitsOf({ pressure: 'hPa', volume: 'mL', temperature: '°C', flow: 'm³/h' });
const values = { assumed: 'stages sumps.0.housingMl sumps.0.holdUpMl ballastFlowM3h', 'sumps/0/holdUpMl': '72 mL' };
const derived = (path: string, text: string, dimension: 'volume' | 'flow' = 'volume', more: object = {}) =>
  derivedValues(path, text, { values: { ...values, ...more }, units, dimension });

test('what stands in for a manual follows the charge that is corrected; what was typed stays', () => {
  // 1.2 L: half as much again in the housing, 8 % behind after a drain; the marks were typed.
  expect(derived('sumps.0.chargeMl', '1.2 L')).toEqual({ 'sumps/0/housingMl': '1800 mL', 'sumps/0/holdUpMl': '96 mL' });
  expect(derived('sumps.0.chargeMl', '1,200')).toEqual(derived('sumps.0.chargeMl', '1200'));
  expect(derived('sumps.0.chargeMl', '900', 'volume', { assumed: 'stages' })).toEqual({});
  expect(derived('pumpingSpeedM3h', '25', 'flow')).toEqual({ ballastFlowM3h: '2.5 m³/h' });
});

test('half a number moves nothing, nor does a field that nothing follows', () => {
  expect(derived('sumps.0.chargeMl', 'x')).toEqual({});
  expect(derived('sumps.0.chargeMl', '')).toEqual({});
  expect(derived('ultimatePa', '5')).toEqual({});
});
