import type { VerdictLevel } from './verdict-level.js';

/** House defaults of docs/trade.md 6 as one set: amounts that lead to a verdict, and signs that are one. */
export type LimitLevel = Exclude<VerdictLevel, 'runOn'>;
export const LIMIT_LEVELS: readonly LimitLevel[] = ['lookSooner', 'beforeNextRun', 'stop'];

/** Readings with a number, by eye. `over` means that the limit itself is still good. */
const EYE_STEPS = [
  { id: 'waterPercent', over: true },
  { id: 'freeWaterMl', over: false },
  { id: 'waterTimesExpected', over: true },
  { id: 'waterMlOverExpected', over: false },
  { id: 'creamPercent', over: true },
  { id: 'colourRise', over: false },
  { id: 'colourRiseDark', over: false },
  { id: 'sludgePercent', over: false },
] as const;
/** Figures of a laboratory's report. */
export const LAB_STEPS = [
  { id: 'thinnerPercent', over: false },
  { id: 'thickerPercent', over: false },
  { id: 'labWaterPpm', over: false },
  { id: 'labWaterPpmDetergent', over: false },
  { id: 'ironPpm', over: false },
  { id: 'ironTimesUsual', over: true },
  { id: 'wearIronPpm', over: false },
  { id: 'acidRise', over: false },
  { id: 'baseLostPercent', over: true },
] as const;
export type StepId = (typeof EYE_STEPS)[number]['id'] | (typeof LAB_STEPS)[number]['id'];
export const OIL_STEPS: readonly { readonly id: StepId; readonly over: boolean }[] = [...EYE_STEPS, ...LAB_STEPS];
export type StepKey = `${StepId}.${LimitLevel}`;

/** Readings that are a word, by eye. */
const EYE_SIGNS = [
  'clarity.hazy',
  'clarity.cloudy',
  'clarity.opaque',
  'running.opaque',
  'running.cream',
  'detergent.cloudy',
  'detergent.opaque',
  'detergent.freeWater',
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
export const LAB_SIGNS = ['labWater.overSaturation20', 'labWater.overSaturationRunning', 'wear.confirmed'] as const;
export type SignId = (typeof EYE_SIGNS)[number] | (typeof LAB_SIGNS)[number];
export const OIL_SIGNS: readonly SignId[] = [...EYE_SIGNS, ...LAB_SIGNS];

export type OilLimits = { readonly [K in StepKey]: number | null } & { readonly [K in SignId]: VerdictLevel };
export type SparseOilLimits = { readonly [K in StepKey]?: number | null } & { readonly [K in SignId]?: VerdictLevel };

/** Source of every value: the table of house defaults, docs/trade.md 6. Percent of water, cream and sludge are of the oil charge, of viscosity and base number of the unused oil’s own; colour in steps of ASTM D1500. */
export const OIL_LIMITS: OilLimits = {
  'waterPercent.lookSooner': 2,
  'waterPercent.beforeNextRun': 5,
  'waterPercent.stop': 10,
  'freeWaterMl.lookSooner': null,
  'freeWaterMl.beforeNextRun': 50,
  'freeWaterMl.stop': null,
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
  'thinnerPercent.lookSooner': 10,
  'thinnerPercent.beforeNextRun': 15,
  'thinnerPercent.stop': 25,
  'thickerPercent.lookSooner': 15,
  'thickerPercent.beforeNextRun': 25,
  'thickerPercent.stop': null,
  'labWaterPpm.lookSooner': null,
  'labWaterPpm.beforeNextRun': null,
  'labWaterPpm.stop': null,
  'labWaterPpmDetergent.lookSooner': 500,
  'labWaterPpmDetergent.beforeNextRun': 1000,
  'labWaterPpmDetergent.stop': null,
  'ironPpm.lookSooner': 15,
  'ironPpm.beforeNextRun': 40,
  'ironPpm.stop': null,
  'ironTimesUsual.lookSooner': 2,
  'ironTimesUsual.beforeNextRun': null,
  'ironTimesUsual.stop': null,
  'wearIronPpm.lookSooner': null,
  'wearIronPpm.beforeNextRun': 100,
  'wearIronPpm.stop': null,
  'acidRise.lookSooner': 0.5,
  'acidRise.beforeNextRun': 1,
  'acidRise.stop': null,
  'baseLostPercent.lookSooner': null,
  'baseLostPercent.beforeNextRun': 50,
  'baseLostPercent.stop': null,
  'clarity.hazy': 'lookSooner',
  'clarity.cloudy': 'beforeNextRun',
  'clarity.opaque': 'beforeNextRun',
  'running.opaque': 'stop',
  'running.cream': 'stop',
  'detergent.cloudy': 'lookSooner',
  'detergent.opaque': 'beforeNextRun',
  'detergent.freeWater': 'beforeNextRun',
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
  'labWater.overSaturation20': 'lookSooner',
  'labWater.overSaturationRunning': 'beforeNextRun',
  'wear.confirmed': 'stop',
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
