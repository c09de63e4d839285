import type { InletPart } from '../set-up/index.js';
import { chamberSpeeds, laminarBelowPa, minutesLost, throughInlet } from './inlet-chain.js';

const hose = (diameterMm: number, lengthMm: number): InletPart => ({ kind: 'hose', diameterMm, lengthMm });
const SIX = 6 / 3.6;

// By hand from the reference: 2.5 cm × 100 cm at a mean of 0.1 mbar conducts 6.811 L/s. Behind 1.6667 L/s the chamber stands
// 1 + 1.6667 / 6.811 = 1.2447 above the pump; with 8.910 Pa there the mean is 10 Pa. 6 m³/h / 1.2447 are left.
test('6 m³/h behind a metre of 25 mm', () => {
  const found = throughInlet({ parts: [hose(25, 1000)], pumpingSpeedM3h: 6, pumpPa: 8.91 });
  expect(found.chamberPa).toBeCloseTo(11.09, 2);
  expect(found.speedM3h).toBeCloseTo(4.82, 2);
});

test.each<[string, InletPart[], number]>([
  ['nothing between them', [], 6],
  // 1 / S = 1 / 1.6667 + 1 / 0.5 L/s, whatever the pressure.
  ['a filter of 0.5 L/s', [{ kind: 'filter', conductanceLPerS: 0.5 }], 3.6 / (1 / SIX + 2)],
  // A hose of two metres is two of one.
  ['two in a row', [hose(25, 1000), hose(25, 1000)], NaN],
])('deep down, behind %s', (_, parts, speedM3h) => {
  const one = throughInlet({ parts, pumpingSpeedM3h: 6, pumpPa: 0.01 }).speedM3h;
  const expected = Number.isNaN(speedM3h)
    ? throughInlet({ parts: [hose(25, 2000)], pumpingSpeedM3h: 6, pumpPa: 0.01 }).speedM3h
    : speedM3h;
  // Each at its own mean pressure: a hair apart.
  expect(one).toBeCloseTo(expected, 3);
});

// By hand, molecular end: C = 12.1 d³ / l · 1, d in cm. A bend of 25 mm counts as 0.67 d, 1.667 cm of hose: 12.1 · 15.625 / 1.667 = 113 L/s; a
// valve of 16 mm bore and 60 mm as 6 + 1.333 · 1.6 = 8.133 cm: 12.1 · 4.096 / 8.133 = 6.094 L/s.
test.each<[string, InletPart, number]>([
  ['a bend', { kind: 'bends', diameterMm: 25, count: 1 }, 113.4],
  ['three bends', { kind: 'bends', diameterMm: 25, count: 3 }, 37.8],
  ['a valve', { kind: 'valve', diameterMm: 16, lengthMm: 60 }, 6.094],
])('%s, deep down', (_, part, conductance) => {
  const { speedM3h } = throughInlet({ parts: [part], pumpingSpeedM3h: 6, pumpPa: 1e-4 });
  expect(speedM3h).toBeCloseTo(3.6 / (1 / SIX + 1 / conductance), 2);
});

test('water vapour passes 1.27 times as well deep down and 1.8 times where it is dense', () => {
  const lossOf = (pumpPa: number, gas: 'air' | 'waterVapour') =>
    1 / throughInlet({ parts: [hose(5, 3000)], pumpingSpeedM3h: 0.01, pumpPa, gas }).speedM3h - 1 / 0.01;
  expect(lossOf(1e-3, 'air') / lossOf(1e-3, 'waterVapour')).toBeCloseTo(1.27, 2);
  expect(lossOf(5000, 'air') / lossOf(5000, 'waterVapour')).toBeCloseTo(1.8, 2);
});

// By hand: Re = 4 p M / (R T) · S / (π d η) = 2300 with M = 0.02896 kg/mol, T = 293 K, η = 1.82e-5 Pa·s. 63 m³/h through 25 mm:
// p = 2300 · π · 0.025 · 1.82e-5 · 8.314 · 293.15 / (4 · 0.02896 · 0.0175) = 3954 Pa; 6 m³/h: ten and a half times that, cut at 100 hPa.
test.each([
  [63, 25, 3954],
  [6, 25, 10_000],
  [250, 16, 638],
])('%d m³/h through %d mm flows calmly below %d Pa', (pumpingSpeedM3h, mm, pa) => {
  expect(laminarBelowPa({ parts: [hose(mm, 1000)], pumpingSpeedM3h })).toBeCloseTo(pa, -1);
});

/** The same pump-down in very small steps, with a hose of its own formula: d and l in cm, p in mbar. */
function minutesByHand({
  d,
  l,
  litres,
  fromPa,
  toPa,
}: Record<'d' | 'l' | 'litres' | 'fromPa' | 'toPa', number>): number {
  let [p, t] = [fromPa, 0];
  while (p > toPa) {
    // What stands at the pump so that what it takes is what the hose lets through.
    let [low, high] = [0, p];
    for (let i = 0; i < 60; i++) {
      const at = (low + high) / 2;
      const mean = (p + at) / 200;
      const c = (135 * d ** 4 * mean) / l + ((12.1 * d ** 3) / l) * ((1 + 192 * d * mean) / (1 + 237 * d * mean));
      if (c * (p - at) > SIX * at) low = at;
      else high = at;
    }
    const speed = (SIX * low) / p;
    const dt = (0.002 * litres) / speed;
    p *= Math.exp((-speed * dt) / litres);
    t += dt;
  }
  return t / 60;
}

test.each([
  [25, 1000],
  [16, 1500],
  [10, 2000],
])('minutes lost by a hose of %d mm and %d mm length, against small steps', (mm, length) => {
  const range = { fromPa: 10_000, toPa: 5 };
  const lost = minutesLost({ parts: [hose(mm, length)], pumpingSpeedM3h: 6, volumeL: 62, ...range });
  const alone = ((62 / SIX) * Math.log(2000)) / 60;
  expect(lost).toBeCloseTo(minutesByHand({ d: mm / 10, l: length / 10, litres: 62, ...range }) - alone, 1);
});

test('speeds at the chamber fall with the pressure; what is not right is refused', () => {
  const speeds = chamberSpeeds({ parts: [hose(16, 1500)], pumpingSpeedM3h: 6, atPa: [10_000, 1000, 100, 10, 1] });
  expect(speeds).toEqual([...speeds].sort((a, b) => b - a));
  expect(speeds[0]).toBeCloseTo(6, 1);
  expect(() => throughInlet({ parts: [hose(0, 1000)], pumpingSpeedM3h: 6, pumpPa: 1 })).toThrow(RangeError);
  expect(() => throughInlet({ parts: [{ kind: 'filter' }], pumpingSpeedM3h: 6, pumpPa: 1 })).toThrow(RangeError);
  expect(() => minutesLost({ parts: [], pumpingSpeedM3h: 6, volumeL: 0, fromPa: 10, toPa: 1 })).toThrow(RangeError);
});
