import { leakAtPump } from './leak-at-pump.js';

test.each([
  // By hand: Q · 3600 / S.
  ['a small leak of a small pump', { leakPaM3PerS: 1.6e-4, pumpingSpeedM3h: 6, targetPa: 1.8 }, 0.096, false],
  [
    'the same where a hundredth of that is wanted',
    { leakPaM3PerS: 1.6e-4, pumpingSpeedM3h: 6, targetPa: 0.02 },
    0.096,
    true,
  ],
  ['18 hPa·L/s hold 6 m³/h near 11 hPa', { leakPaM3PerS: 1.8, pumpingSpeedM3h: 6, targetPa: 10 }, 1080, true],
  [
    'a packer of 63 m³/h that is to come to 5 hPa',
    { leakPaM3PerS: 0.5, pumpingSpeedM3h: 63, targetPa: 500 },
    28.6,
    false,
  ],
  ['none', { leakPaM3PerS: 0, pumpingSpeedM3h: 6, targetPa: 1 }, 0, false],
])('%s', (_, input, addsPa, matters) => {
  const found = leakAtPump(input);
  expect(found.addsPa).toBeCloseTo(addsPa, addsPa < 1 ? 3 : 0);
  expect(found.matters).toBe(matters);
});

test.each([{ pumpingSpeedM3h: 0 }, { targetPa: 0 }])('outside: %o', (wrong) => {
  expect(() => leakAtPump({ leakPaM3PerS: 1, pumpingSpeedM3h: 6, targetPa: 1, ...wrong })).toThrow(RangeError);
});
