import type { ParticleKind, Smell } from '../journal/index.js';
import type { FindingId } from './all-findings.js';

/** What a look calls by its own words, among the signs of the diagnosis. */
export const SMELL_SIGNS = {
  none: 'none',
  sour: 'sour',
  burnt: 'burnt',
  solvent: 'solvent',
  rancid: 'rancid',
  fishy: 'fishy',
  ammonia: 'fishy',
} as const satisfies Readonly<Record<Smell, string>>;

/** Brown ones are of no one cause. */
export const PARTICLE_SIGNS = {
  black: 'blackParticles',
  rustRed: 'rustParticles',
  glitter: 'glitter',
  fibres: 'fibres',
  growth: 'growth',
} as const satisfies Readonly<Record<Exclude<ParticleKind, 'brown'>, FindingId>>;
