import { leakWaterGPerDay } from './leak-water.js';

test.each([
  // By hand: 1.6e-4 / (8.3145 · 293.15) mol/s · 1169.6 / 101,325 · 18.015 g/mol · 86,400 s.
  [{ leakPaM3PerS: 1.6e-4 }, 0.001_179],
  // 18 hPa·L/s for 30 h bring 17 g of damp air (docs/trade.md 5): 13.6 g a day.
  [{ leakPaM3PerS: 1.8, humidity: 0.5 }, 13.27],
  [{ leakPaM3PerS: 0 }, 0],
  [{ leakPaM3PerS: 1, roomTempC: 30, humidity: 0.8 }, 20.75],
])('%o brings %d g a day', (input, expected) => {
  expect(leakWaterGPerDay(input)).toBeCloseTo(expected, expected < 1 ? 5 : 1);
});

test.each([{ leakPaM3PerS: -1 }, { roomTempC: 90 }, { humidity: 1.2 }])('outside: %o', (wrong) => {
  expect(() => leakWaterGPerDay({ leakPaM3PerS: 1, ...wrong })).toThrow(RangeError);
});
