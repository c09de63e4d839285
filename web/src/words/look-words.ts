import type { Clarity, Foam, LookSource, OilWent, ParticleAmount, ParticleKind, Smell } from '@winter-jar/core';

/** Words for what a look can say, shared by the form, the journal and the reasons. */
export const SOURCE_WORDS: Readonly<Record<LookSource, string>> = {
  sightGlass: 'sight glass',
  sample: 'sample',
  bleed: 'what was bled',
  drained: 'full change',
};

export const CLARITY_WORDS: Readonly<Record<Clarity, string>> = {
  bright: 'bright',
  hazy: 'hazy',
  cloudy: 'cloudy',
  opaque: 'opaque',
  cream: 'cream throughout',
};

export const PARTICLE_WORDS: Readonly<Record<ParticleAmount, string>> = { none: 'none', few: 'few', many: 'many' };

export const PARTICLE_KIND_WORDS: Readonly<Record<ParticleKind, string>> = {
  black: 'black',
  brown: 'brown',
  rustRed: 'rust-red',
  fibres: 'fibres',
  glitter: 'glitter',
  growth: 'growth (skin, fluff)',
};

export const SMELL_WORDS: Readonly<Record<Smell, string>> = {
  none: 'none',
  sour: 'sour or fermented',
  burnt: 'burnt',
  solvent: 'solvent',
  rancid: 'rancid',
  fishy: 'fishy',
  ammonia: 'ammonia',
};

export const FOAM_WORDS: Readonly<Record<Foam, string>> = { none: 'none', settles: 'settles', stays: 'stays' };

export const chipsOf = <V extends string>(words: Readonly<Record<V, string>>): { value: V; words: string }[] =>
  Object.entries<string>(words).map(([value, w]) => ({ value: value as V, words: w }));

/** Where the oil went that was missing in the glass. */
export const OIL_WENT_WORDS: Readonly<Record<OilWent, string>> = {
  leak: 'out by a leak',
  exhaust: 'out of the exhaust',
  suckedBack: 'back up the hose',
};
