// How often the forecast's band of 8 in 10 holds what came, by how people use a pump.
import { join } from 'node:path';
import { root } from './build.mjs';

/** @returns per kind of use how often it was asked, and how often the band held what came */
export async function coverageByUse({ seed = 11, lives = 300 } = {}) {
  const at = (file) => import(join(root, 'core/dist', file));
  const [{ coverageOf, KINDS_OF_USE }, { bandOfUse }, { seededRandom }] = await Promise.all([
    at('testing/kinds-of-use.js'),
    at('testing/band-of-use.js'),
    at('simulate/index.js'),
  ]);
  return Object.fromEntries(
    Object.entries(KINDS_OF_USE).map(([use, kind]) => {
      const random = seededRandom(seed);
      return [use, coverageOf({ kind, uniform: () => random.next(), lives, band: bandOfUse })];
    }),
  );
}
