import { seededRandom } from '../simulate/index.js';
import { judgePumpDown } from './judge-pump-down.js';
import { judgeRise } from './judge-rise.js';

const series = (n: number, stepS: number, at: (s: number) => number) =>
  Array.from({ length: n }, (_, i) => ({ s: i * stepS, pa: at(i * stepS) * (1 + 0.002 * Math.sin(i * 12.9898)) }));
const notes = (judged: { notes: readonly string[] }) => [...judged.notes];

test('a leak up to the air’s own pressure flattens there, and is no moisture: 100 Pa/s in 62 L are 6.2 Pa·m³/s', () => {
  // Laminar through a fine crack it goes by the difference of the squares of both pressures.
  const at = (s: number) => 101_325 * Math.tanh((100 * s) / 101_325) + 10;
  const leak = judgeRise({ points: series(600, 5, at), volumeL: 62 });
  expect(leak.verdict).toBe('leak');
  expect(leak.leakPaM3PerS.p50 / 6.2).toBeCloseTo(1, 1);
  expect(notes(leak)).toContain('nearAtmosphere');
});

test('up there within three readings it is a gross leak by its slope', () => {
  const gross = judgeRise({ points: series(60, 10, (s) => Math.min(101_000, 20 + 2000 * s)), volumeL: 62 });
  expect(gross.verdict).toBe('leak');
  // 2000 Pa/s in 62 L.
  expect(gross.leakPaM3PerS.p10).toBeLessThan(124);
  expect(gross.leakPaM3PerS.p90).toBeGreaterThan(124);
});

test('water that stands in there levels off at 23 hPa, and it is said; far above that it is something else', () => {
  const at = (level: number) =>
    judgeRise({ points: series(400, 6, (s) => 20 + level * (1 - Math.exp(-s / 300))), volumeL: 300 });
  expect([at(2339).verdict, notes(at(2339)).includes('atSaturation')]).toEqual(['moisture', true]);
  expect([at(9000).verdict, notes(at(9000)).includes('aboveSaturation')]).toEqual(['moisture', true]);
});

test('a thermal gauge shows 1.6 times the vapour, and as much leak as there is', () => {
  const at = (gauge: 'thermal' | 'capacitance', shown: number) =>
    judgeRise({ points: series(600, 3, (s) => 3 + 0.003 * s + shown * (1 - Math.exp(-s / 260))), volumeL: 62, gauge });
  const [thermal, capacitance] = [at('thermal', 32), at('capacitance', 20)];
  expect(thermal.levelsOffPa).toBeCloseTo(20, 0);
  expect(capacitance.levelsOffPa).toBeCloseTo(20, 0);
  expect(thermal.leakPaM3PerS.p50).toBeCloseTo(1.86e-4, 5);
});

test('how much readings scatter is told as it is: with a standard deviation of 1 %', () => {
  const random = seededRandom(3);
  const points = Array.from({ length: 800 }, (_, i) => ({
    s: 2 * i,
    pa: (3 + 0.01 * i) * (1 + 0.01 * random.normal()),
  }));
  const { scatterShare } = judgeRise({ points, volumeL: 62 });
  expect(scatterShare).toBeGreaterThan(0.009);
  expect(scatterShare).toBeLessThan(0.011);
});

test('what comes before the valve closed, and after it opened, is not judged', () => {
  const points = series(900, 2, (s) =>
    s < 300 ? 3 + 500 * Math.exp(-s / 40) : s < 1500 ? 3 + 0.01 * (s - 300) : 3 + 12 * Math.exp(-(s - 1500) / 40),
  );
  const { from, to, verdict, leakPaM3PerS } = judgeRise({ points, volumeL: 100 });
  expect(verdict).toBe('leak');
  expect((points[from]?.s ?? 0) >= 200 && (points[to - 1]?.s ?? 0) <= 1510).toBe(true);
  expect(leakPaM3PerS.p50).toBeCloseTo(1e-3, 4);
});

test('of fifty thousand readings each counts, in means of seven: as sure as they are many, and found where they lie', () => {
  const n = 50_000;
  const points = series(n, 0.04, (s) => (s < 200 ? 3 + 400 * Math.exp(-s / 20) : 3 + 0.01 * (s - 200)));
  const { verdict, leakPaM3PerS, from, to } = judgeRise({ points, volumeL: 100, volumeKnownTo: 0.001 });
  expect(verdict).toBe('leak');
  expect(leakPaM3PerS.p50).toBeCloseTo(1e-3, 5);
  expect(points[from]?.s ?? 0).toBeGreaterThan(100);
  expect(to).toBe(n);
});

test.each([
  ['no reading', 0],
  ['a few', 8],
])('of %s nothing is said', (_, n) => {
  const points = series(n, 5, () => 3);
  expect(judgeRise({ points, volumeL: 62 })).toMatchObject({ verdict: 'undecided', notes: ['fewReadings'] });
  const pumpDown = judgePumpDown({ points, volumeL: 62, pumpingSpeedM3h: 6 });
  expect(pumpDown).toMatchObject({ verdict: 'undecided', notes: ['fewReadings'] });
});

test('a volume or a speed that is none is a fault', () => {
  expect(() => judgeRise({ points: [], volumeL: 0 })).toThrow(RangeError);
  expect(() => judgePumpDown({ points: [], volumeL: 62, pumpingSpeedM3h: NaN })).toThrow(RangeError);
});

const pumpDown = (s: number) => 0.6 + 101_325 * Math.exp((-s * 1.65) / 62);

test('a pump-down that ends too early says nothing of where it would end', () => {
  const short = judgePumpDown({ points: series(200, 1, pumpDown), volumeL: 62, pumpingSpeedM3h: 6 });
  expect(short.verdict).toBe('undecided');
  expect(notes(short)).toContain('tooShort');
  expect(short.speedM3h.p50).toBeCloseTo(5.94, 1);
});

test('by a thermal gauge it is judged from 10 hPa down, where that reads', () => {
  // Above it shows far too little.
  const shown = (s: number) => Math.min(pumpDown(s), 1000 + pumpDown(s) / 50);
  const judged = judgePumpDown({
    ...{ points: series(600, 2, shown), volumeL: 62, pumpingSpeedM3h: 6, gauge: 'thermal' },
    ultimatePa: 0.6,
  });
  expect(judged.verdict).toBe('asGood');
  expect(judged.speedM3h.p50).toBeCloseTo(5.94, 0);
  expect(notes(judged)).toContain('thermalAbove');
});

test('a hose is taken off: 1 m of 16 mm costs a pump of 60 m³/h its speed, not the pump', () => {
  const made = judgePumpDown({
    ...{ points: series(600, 2, pumpDown), volumeL: 62, pumpingSpeedM3h: 6 },
    hose: { diameterMm: 40, lengthMm: 500 },
    ultimatePa: 0.6,
  });
  expect(made.speedM3h.p50).toBeGreaterThan(5.9);
  expect(made.speedM3h.p50).toBeLessThan(6.6);
});
