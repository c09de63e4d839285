/** What an eye and a nose find in oil. Of its clarity `cream` is white throughout. */
export const CLARITIES = ['bright', 'hazy', 'cloudy', 'opaque', 'cream'] as const;
export type Clarity = (typeof CLARITIES)[number];
export const PARTICLE_AMOUNTS = ['none', 'few', 'many'] as const;
export type ParticleAmount = (typeof PARTICLE_AMOUNTS)[number];
export const PARTICLE_KINDS = ['black', 'brown', 'rustRed', 'fibres', 'glitter', 'growth'] as const;
export type ParticleKind = (typeof PARTICLE_KINDS)[number];
export const SMELLS = ['none', 'sour', 'burnt', 'solvent', 'rancid', 'fishy', 'ammonia'] as const;
export type Smell = (typeof SMELLS)[number];
export const FOAMS = ['none', 'settles', 'stays'] as const;
export type Foam = (typeof FOAMS)[number];
