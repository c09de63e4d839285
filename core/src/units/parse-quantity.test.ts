import { parseQuantity } from './parse-quantity.js';
import { printQuantity } from './print-quantity.js';
import type { Dimension } from './units.js';

const parse = (text: string, dimension: Dimension, defaultUnit: string) =>
  parseQuantity({ text, dimension, defaultUnit });

// Expected values by hand from NIST SP 811: 1 Torr = 101325/760 Pa, 1 US gal = 3785.411784 mL, tablespoon = gal/256.
test.each<[string, Dimension, string, number]>([
  ['1e-3 mbar', 'pressure', 'hPa', 0.1],
  ['10⁻³ mbar', 'pressure', 'hPa', 0.1],
  ['10^-3 mbar', 'pressure', 'hPa', 0.1],
  ['2 × 10⁻² hPa', 'pressure', 'hPa', 2],
  ['35 micron', 'pressure', 'hPa', 4.6662829],
  ['35 mTorr', 'pressure', 'hPa', 4.6662829],
  ['1 Torr', 'pressure', 'hPa', 133.32236842],
  ['0,05', 'pressure', 'hPa', 5],
  ['2 tbsp', 'volume', 'mL', 29.57352956],
  ['1.5 L', 'volume', 'mL', 1500],
  ['½ L', 'volume', 'mL', 500],
  ['12 fl oz', 'volume', 'mL', 354.88235475],
  ['1 qt', 'volume', 'mL', 946.352946],
  ['1 200 mL', 'volume', 'mL', 1200],
  ['25 cm³', 'volume', 'mL', 25],
  ['−41 °C', 'temperature', '°C', -41],
  ['-41', 'temperature', '°C', -41],
  ['-40 F', 'temperature', '°C', -40],
  ['32 °F', 'temperature', '°C', 0],
  ['41 h 30', 'duration', 'h', 2490],
  ['41:30', 'duration', 'h', 2490],
  ['2 d', 'duration', 'h', 2880],
  ['45 min', 'duration', 'h', 45],
  ['1,5', 'duration', 'h', 90],
  // 1 ft = 0.3048 m exactly: 1 cfm = 1.69901082 m³/h.
  ['6', 'flow', 'm³/h', 6],
  ['3.5 cfm', 'flow', 'm³/h', 5.94653787],
  ['2 L/s', 'flow', 'm³/h', 7.2],
  ['26 lb', 'mass', 'kg', 11.79340162],
  ['850 g', 'mass', 'kg', 0.85],
  ['0.02 %', 'share', 'ppm', 200],
  ['180 mg/kg', 'share', 'ppm', 180],
  ['68 cSt', 'viscosity', 'mm²/s', 68],
  ['68 mm²/s', 'viscosity', 'mm²/s', 68],
  ['0,4 mg KOH/g', 'acidNumber', 'mg KOH/g', 0.4],
  ['2 210 /mL', 'count', '/mL', 2210],
])('"%s" as %s is understood', (text, dimension, unit, expected) => {
  const parsed = parse(text, dimension, unit);
  expect(parsed).toMatchObject({ ok: true });
  if (parsed.ok) expect(parsed.value).toBeCloseTo(expected, 6);
});

test.each<[string, Dimension, string, string]>([
  ['', 'volume', 'empty', ''],
  ['some', 'volume', 'notANumber', 'some'],
  ['12 stones', 'volume', 'unknownUnit', 'stones'],
  ['12 hPa', 'volume', 'otherKindOfUnit', 'hPa'],
  ['1.2.3 mL', 'volume', 'notANumber', '1.2.3 mL'],
])('"%s" as %s is refused with an example: %s', (text, dimension, code, part) => {
  const parsed = parse(text, dimension, 'mL');
  expect(parsed).toMatchObject({ ok: false, issue: { code, part } });
  if (!parsed.ok) expect(parsed.issue.example).toBe('25 mL or 2 tbsp');
});

test('bounds are inclusive and in the base unit', () => {
  const at = (text: string) => parseQuantity({ text, dimension: 'volume', defaultUnit: 'L', min: 500, max: 2000 });
  expect(at('0.5')).toMatchObject({ ok: true, value: 500 });
  expect(at('2')).toMatchObject({ ok: true, value: 2000 });
  expect(at('0.4')).toMatchObject({ ok: false, issue: { code: 'belowRange', bound: 500 } });
  expect(at('2.1')).toMatchObject({ ok: false, issue: { code: 'aboveRange', bound: 2000 } });
});

test.each([
  [4.666, 'hPa', '0.047 hPa'],
  [0.0004, 'hPa', '4×10⁻⁶ hPa'],
  [0.000_000_012, 'Pa', '1.2×10⁻⁸ Pa'],
  [0.05, 'hPa', '5×10⁻⁴ hPa'],
  [2933.1, 'mTorr', '22 Torr'],
  [101_325, 'mTorr', '760 Torr'],
  [66.66, 'mTorr', '500 mTorr'],
  [101_325, 'Pa', '101,325 Pa'],
  [900, 'L', '0.9 L'],
  [62, 'L', '62 mL'],
  [0, 'L', '0 L'],
  [25_000, 'L', '25 L'],
  [946.35, 'qt', '1 qt'],
  [62, 'qt', '2.1 fl oz'],
  [6, 'cfm', '3.53 cfm'],
  [133.322, 'Torr', '1 Torr'],
  [-41, '°C', '−41 °C'],
  [-40, '°F', '−40 °F'],
  [17.5, 'mL', '17.5 mL'],
  [700, 'mL', '700 mL'],
  [1500, 'mL', '1,500 mL'],
  [12_345, 'mL', '12.3 L'],
  [150_000, 'mL', '150 L'],
  [700, 'fl oz', '23.7 fl oz'],
  [2490, 'h', '41 h 30'],
  [1200, 'h', '20 h'],
  [72_030, 'h', '1,200 h 30'],
  [45, 'h', '45 min'],
])('%d printed in %s reads "%s"', (value, unit, text) => {
  expect(printQuantity({ value, unit })).toBe(text);
});

test('a symbol that is no unit is a fault of ours', () => {
  expect(() => printQuantity({ value: 1, unit: 'cubit' })).toThrow(RangeError);
});
