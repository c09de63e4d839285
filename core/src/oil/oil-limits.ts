import type { VerdictLevel } from './finding.js';

/** House defaults of domain section 6 as one set: amounts that lead to a verdict, and signs that are one. */
export type LimitLevel = Exclude<VerdictLevel, 'runOn'>;
export const LIMIT_LEVELS: readonly LimitLevel[] = ['lookSooner', 'beforeNextRun', 'stop'];

/** Readings with a number. `over` means that the limit itself is still good. */
export const OIL_STEPS = [
  { id: 'waterPercent', over: true },
  { id: 'waterTimesExpected', over: true },
  { id: 'waterMlOverExpected', over: false },
  { id: 'creamPercent', over: true },
  { id: 'colourRise', over: false },
  { id: 'colourRiseDark', over: false },
  { id: 'sludgePercent', over: false },
] as const;
export type StepId = (typeof OIL_STEPS)[number]['id'];
export type StepKey = `${StepId}.${LimitLevel}`;

/** Readings that are a word. */
export const OIL_SIGNS = [
  'clarity.hazy',
  'clarity.cloudy',
  'clarity.opaque',
  'running.opaque',
  'running.cream',
  'detergent.cloudy',
  'detergent.opaque',
  'purge.didNotClear',
  'darkAgain',
  'water.atPickUp',
  'water.aboveMax',
  'particles.few',
  'particles.many',
  'particles.rustRed',
  'particles.growth',
  'particles.glitter',
  'particles.glitterRunningIn',
  'smell.rancid',
  'smell.sour',
  'smell.burnt',
  'smell.fishy',
  'smell.ammonia',
  'smell.solvent',
  'foam.stays',
  'foam.withHaze',
] as const;
export type SignId = (typeof OIL_SIGNS)[number];

export type OilLimits = { readonly [K in StepKey]: number | null } & { readonly [K in SignId]: VerdictLevel };
export type SparseOilLimits = { readonly [K in StepKey]?: number | null } & { readonly [K in SignId]?: VerdictLevel };

/** Source of every value: the table of house defaults, domain section 6. Percent are of the oil charge, colour in steps of ASTM D1500. */
export const OIL_LIMITS: OilLimits = {
  'waterPercent.lookSooner': 2,
  'waterPercent.beforeNextRun': 5,
  'waterPercent.stop': 10,
  'waterTimesExpected.lookSooner': 1.5,
  'waterTimesExpected.beforeNextRun': 3,
  'waterTimesExpected.stop': null,
  'waterMlOverExpected.lookSooner': 5,
  'waterMlOverExpected.beforeNextRun': 15,
  'waterMlOverExpected.stop': null,
  'creamPercent.lookSooner': 0,
  'creamPercent.beforeNextRun': 3,
  'creamPercent.stop': null,
  'colourRise.lookSooner': 1.5,
  'colourRise.beforeNextRun': 3,
  'colourRise.stop': null,
  'colourRiseDark.lookSooner': 2,
  'colourRiseDark.beforeNextRun': 4,
  'colourRiseDark.stop': null,
  'sludgePercent.lookSooner': 0,
  'sludgePercent.beforeNextRun': 1,
  'sludgePercent.stop': 5,
  'clarity.hazy': 'lookSooner',
  'clarity.cloudy': 'beforeNextRun',
  'clarity.opaque': 'beforeNextRun',
  'running.opaque': 'stop',
  'running.cream': 'stop',
  'detergent.cloudy': 'lookSooner',
  'detergent.opaque': 'beforeNextRun',
  'purge.didNotClear': 'beforeNextRun',
  darkAgain: 'beforeNextRun',
  'water.atPickUp': 'stop',
  'water.aboveMax': 'stop',
  'particles.few': 'lookSooner',
  'particles.many': 'beforeNextRun',
  'particles.rustRed': 'beforeNextRun',
  'particles.growth': 'beforeNextRun',
  'particles.glitter': 'stop',
  'particles.glitterRunningIn': 'beforeNextRun',
  'smell.rancid': 'lookSooner',
  'smell.sour': 'beforeNextRun',
  'smell.burnt': 'beforeNextRun',
  'smell.fishy': 'beforeNextRun',
  'smell.ammonia': 'beforeNextRun',
  'smell.solvent': 'stop',
  'foam.stays': 'lookSooner',
  'foam.withHaze': 'beforeNextRun',
};

/** Metal in the oil of a new or overhauled pump is expected for so many hours. */
export const METAL_EXPECTED_HOURS = 100;
/** Dark again means within so many runs after a change. */
export const DARK_AGAIN_RUNS = 1;

/** Sparse limits laid over the house defaults, the last one winning: house → oil product → pump. */
export const resolveOilLimits = (...layers: (SparseOilLimits | null | undefined)[]): OilLimits =>
  Object.assign({}, OIL_LIMITS, ...layers) as OilLimits;

/** The hardest limit that an amount passes. */
export function stepPassed(limits: OilLimits, id: StepId, amount: number): { level: LimitLevel; limit: number } | null {
  const over = OIL_STEPS.find((s) => s.id === id)?.over;
  for (const level of [...LIMIT_LEVELS].reverse()) {
    const limit = limits[`${id}.${level}`];
    if (limit !== null && amount > 0 && (over ? amount > limit : amount >= limit)) return { level, limit };
  }
  return null;
}
