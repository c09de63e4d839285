import { seededRandom } from '../simulate/index.js';
import { judgePumpDown } from './judge-pump-down.js';
import { judgeRise } from './judge-rise.js';
import { periodOf } from './swing.js';

/** Up for two fifths of a period, down for the rest: a compressor that goes on and off. */
const saw = (s: number, period: number): number => {
  const x = (s % period) / period;
  return x < 0.4 ? x / 0.4 : (1 - x) / 0.6;
};

interface Made {
  readonly leak: number;
  readonly moist: number;
  readonly swing: number;
  readonly period: number;
}
const logOf = ({ leak, moist, swing, period }: Made, seed = 3) => {
  const random = seededRandom(seed);
  return Array.from({ length: 600 }, (_, i) => {
    const s = 4 * i;
    const pa = 5 + leak * s - moist * Math.expm1(-s / 300) + swing * saw(s, period);
    return { s, pa: pa * (1 + 0.003 * random.normal()) };
  });
};

test.each<[string, Made, string, number]>([
  ['a leak', { leak: 0.05, moist: 0, swing: 8, period: 300 }, 'leak', 1],
  ['a leak, slowly', { leak: 0.05, moist: 0, swing: 8, period: 700 }, 'leak', 1],
  ['nothing', { leak: 1e-4, moist: 0, swing: 3, period: 240 }, 'tight', NaN],
  ['moisture', { leak: 1e-4, moist: 60, swing: 6, period: 300 }, 'moisture', NaN],
  ['both', { leak: 0.03, moist: 60, swing: 6, period: 420 }, 'leakAndMoisture', 1],
])('a trap that cannot be isolated swings over %s', (_, made, verdict, times) => {
  const found = judgeRise({ points: logOf(made), volumeL: 62 });
  expect(found.verdict).toBe(verdict);
  expect(found.notes).toContain('refrigerationCycle');
  if (times === 1) expect(found.leakPaM3PerS.p50 / (made.leak * 0.062)).toBeCloseTo(1, 1);
});

test.each([1, 2, 3])('without a swing none is seen, and no change of range either: %d', (seed) => {
  const { notes } = judgeRise({ points: logOf({ leak: 0.05, moist: 0, swing: 0, period: 300 }, seed), volumeL: 62 });
  expect(notes).toEqual([]);
});

test('a period, by what it was made of', () => {
  const random = seededRandom(9);
  const s = Float64Array.from({ length: 500 }, (_, i) => 2 * i);
  const wave = (noise: number) => s.map((t) => Math.sin((2 * Math.PI * t) / 125) + noise * random.normal());
  const all = new Float64Array(500).fill(1);
  expect(Math.abs(periodOf(s, wave(0.3), all)! / 125 - 1)).toBeLessThan(0.02);
  // Noise ten times as large hides it; noise alone has none.
  expect(periodOf(s, wave(10), all)).toBeNull();
  expect(
    periodOf(
      s,
      s.map(() => random.normal()),
      all,
    ),
  ).toBeNull();
});

/** 62 L behind 6 m³/h, in small steps: what comes off rubber falls with the root of time, off metal with time. */
function pumpedDown(power: number, gas: number) {
  const random = seededRandom(4);
  let [t, pa] = [0, 101_325];
  return Array.from({ length: 600 }, (_, i) => {
    while (t < i * 4) {
      pa += ((-(6 / 3600) * (pa - 0.5) + gas * (t + 1) ** -power) / 0.062) * 0.05;
      t += 0.05;
    }
    return { s: i * 4, pa: pa * (1 + 0.005 * random.normal()) };
  });
}

test.each([
  // Of 0.3 Pa·m³/s after a second the root of 2400 s leaves 0.0061; over 1.667e-3 m³/s that is 3.7 Pa.
  ['rubber', 0.5, 0.3, true, 3.67],
  // Of 0.6 a 2400th is left: 0.15 Pa.
  ['metal', 1, 0.6, false, 0.15],
])('what comes off %s', (_, power, gas, seeps, outgassingPa) => {
  const found = judgePumpDown({ points: pumpedDown(power, gas), volumeL: 62, pumpingSpeedM3h: 6, ultimatePa: 0.5 });
  expect(found.notes.includes('seeps')).toBe(seeps);
  expect(Math.abs(found.outgassingPa / outgassingPa - 1)).toBeLessThan(0.25);
  expect(Math.abs(found.speedM3h.p50 / 6 - 1)).toBeLessThan(0.03);
});
