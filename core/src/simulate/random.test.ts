import { seededRandom } from './random.js';

const many = (draw: () => number, n = 20_000) => {
  const values = Array.from({ length: n }, draw);
  const mean = values.reduce((a, b) => a + b, 0) / n;
  const variance = values.reduce((a, b) => a + (b - mean) ** 2, 0) / (n - 1);
  return { values, mean, sd: Math.sqrt(variance) };
};

test('uniform numbers fill [0, 1) evenly', () => {
  const random = seededRandom(1);
  const { values, mean, sd } = many(() => random.next());
  expect(values.every((v) => v >= 0 && v < 1)).toBe(true);
  expect(mean).toBeCloseTo(0.5, 1);
  expect(sd).toBeCloseTo(1 / Math.sqrt(12), 2);
});

test('normal numbers are standard', () => {
  const random = seededRandom(3);
  const { mean, sd } = many(() => random.normal());
  expect(Math.abs(mean)).toBeLessThan(0.03);
  expect(sd).toBeCloseTo(1, 1);
});

test('ids are UUID v7 that carry their moment and sort by it', () => {
  const random = seededRandom(4);
  const early = random.uuid(Date.UTC(2031, 0, 1));
  const late = random.uuid(Date.UTC(2031, 0, 2));
  expect(early).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
  expect(parseInt(early.replaceAll('-', '').slice(0, 12), 16)).toBe(Date.UTC(2031, 0, 1));
  expect(early < late).toBe(true);
});

test('pick takes all of a list, chance keeps its odds', () => {
  const random = seededRandom(5);
  expect(new Set(Array.from({ length: 100 }, () => random.pick(['a', 'b', 'c'])))).toEqual(new Set(['a', 'b', 'c']));
  expect(many(() => Number(random.chance(0.3))).mean).toBeCloseTo(0.3, 1);
});
