import { seededRandom } from '../simulate/index.js';
import { gammaQuantile } from './gamma-quantile.js';
import { gammaSample } from './gamma-sample.js';

const N = 20_000;

/** Mean and variance of a gamma distribution are its shape; its quantiles come from the other function. */
test.each([0.3, 1, 4, 30])('shape %d: mean, variance and quantiles are those of the distribution', (shape) => {
  const random = seededRandom(7);
  const drawn = Array.from({ length: N }, () => gammaSample({ shape, uniform: () => random.next() }));
  const mean = drawn.reduce((sum, x) => sum + x, 0) / N;
  const variance = drawn.reduce((sum, x) => sum + (x - mean) ** 2, 0) / N;
  expect(Math.abs(mean / shape - 1)).toBeLessThan(0.04);
  expect(Math.abs(variance / shape - 1)).toBeLessThan(0.08);
  for (const p of [0.1, 0.5, 0.9] as const) {
    const below = drawn.filter((x) => x < gammaQuantile({ shape, p })).length / N;
    expect(Math.abs(below - p)).toBeLessThan(0.015);
  }
});

test('a shape that is none is refused', () => {
  for (const shape of [0, -1, Number.NaN, Infinity])
    expect(() => gammaSample({ shape, uniform: () => 0.5 })).toThrow(/shape/);
});
