import type { LabReading, LabValues, WearSign } from '../journal/index.js';
import type { OilProduct } from '../set-up/index.js';
import type { Act, FindingCode, OilFinding } from './finding.js';
import { stepPassed, type LimitLevel, type OilLimits } from '../limits/index.js';
import { median } from '../statistics/index.js';
import { classesOf, iso4406Code } from './particle-code.js';
import { waterSolubilityPpm } from './water-solubility.js';

export type LabProduct = Pick<OilProduct, 'base' | 'waterBehaviour' | 'densityKgM3'> &
  Partial<Pick<OilProduct, 'viscosity40Mm2s' | 'freshAcidMgKohG' | 'freshBaseMgKohG' | 'freshIronPpm'>>;

/** What is known of the charge that the sample was drawn from. */
export interface LabCharge {
  /** On this oil when the sample was drawn. */
  readonly hours: number;
  readonly runningOilTempC: number;
  /** Iron per 100 h of earlier charges, ppm. */
  readonly earlierIronRates: readonly number[];
  /** Silicon of earlier charges, ppm. */
  readonly earlierSilicon: readonly number[];
  /** Their classes of ISO 4406 at 6 and at 14 µm. */
  readonly earlierClasses: readonly (readonly [six: number, fourteen: number])[];
  /** Metal glittered in a jar or in the glass. */
  readonly glitterSeen: boolean;
}

export interface JudgedLab {
  readonly values: LabValues;
  readonly wearSigns: readonly WearSign[];
  readonly product: LabProduct;
  readonly charge: LabCharge;
  readonly limits: OilLimits;
}

interface LabJudge {
  readonly code: FindingCode;
  readonly reading: LabReading;
  readonly judge: (lab: JudgedLab) => OilFinding | null;
}

/** What people call cold oil when they ask for its saturation. */
const COLD_C = 20;
/** Above it the line of solubility ends, and no pump should run. */
const HOTTEST_C = 110;
/** A rate over fewer hours is the scatter of the reading; a median of fewer charges says little. */
export const IRON_RATE = { leastHours: 50, leastCharges: 3 } as const;
/** A laboratory tells metals apart by so much, ppm (docs/trade.md 6). */
const NOISE_PPM = 5;
/** Over the median of earlier charges: silicon so many times, and particles so many classes of ISO 4406. */
const SILICON_TIMES = 2;
const CLASSES_UP = 2;

const sampleOr = (level: LimitLevel, act: Act): Act => (level === 'lookSooner' ? 'sample' : act);
const answeredBy = 'changeOrSample' as const;

/** By how many percent the oil is thicker than unused, below 0 thinner; null where one of the two is not known. */
function thickerPercent({ values, product }: Pick<JudgedLab, 'values' | 'product'>): number | null {
  const found = values.viscosity40Mm2s ?? null;
  const fresh = product.viscosity40Mm2s ?? null;
  // To a millionth: 61.2 of 68 is 10 % thinner and not 9.999…
  return found === null || fresh === null ? null : Math.round((found / fresh - 1) * 1e8) / 1e6;
}

const viscosity = (lab: JudgedLab): OilFinding | null => {
  const percent = thickerPercent(lab);
  if (percent === null) return null;
  const thinner = percent < 0;
  const passed = stepPassed(lab.limits, thinner ? 'thinnerPercent' : 'thickerPercent', Math.abs(percent));
  if (!passed) return null;
  return {
    code: 'viscosity',
    level: passed.level,
    act: sampleOr(passed.level, 'change'),
    // So thin an oil holds solvent, and leaves some behind: as with the smell, the new oil must show that it is gone.
    answeredBy: thinner && passed.level === 'stop' ? 'changeThenViscosity' : answeredBy,
    foundMm2s: lab.values.viscosity40Mm2s ?? 0,
    freshMm2s: lab.product.viscosity40Mm2s ?? 0,
    thinner,
    limitPercent: passed.limit,
  };
};

/** Oil that thins may hold solvent: then never purge with air. */
function waterAct(lab: JudgedLab, level: LimitLevel): Act {
  const mayHoldSolvent = viscosity(lab) !== null && (thickerPercent(lab) ?? 0) < 0;
  if (mayHoldSolvent) return level === 'lookSooner' ? 'look' : 'change';
  // What a laboratory finds is dissolved while the oil is warm: there is nothing to bleed.
  return 'purge';
}

/** The limits on water that speak for this oil, with what each means. */
function waterLimits({ product, limits, charge }: JudgedLab, ppm: number) {
  const own = stepPassed(limits, 'labWaterPpm', ppm);
  const plain = (passed: typeof own) =>
    passed ? { level: passed.level, limitPpm: passed.limit, saturatedAtC: null } : null;
  if (product.waterBehaviour === 'detergent')
    return [plain(own), plain(stepPassed(limits, 'labWaterPpmDetergent', ppm))];
  if (product.base !== 'mineral') return [plain(own)];
  const saturated = (tempC: number, sign: 'labWater.overSaturation20' | 'labWater.overSaturationRunning') => {
    const limitPpm = waterSolubilityPpm({ tempC });
    const level = limits[sign];
    return ppm > limitPpm && level !== 'runOn' ? { level, limitPpm, saturatedAtC: tempC } : null;
  };
  return [
    plain(own),
    saturated(COLD_C, 'labWater.overSaturation20'),
    saturated(Math.min(charge.runningOilTempC, HOTTEST_C), 'labWater.overSaturationRunning'),
  ];
}

const water = (lab: JudgedLab): OilFinding | null => {
  const foundPpm = lab.values.waterPpm ?? null;
  if (foundPpm === null) return null;
  const spoken = waterLimits(lab, foundPpm).filter((w) => w !== null);
  const rank: Record<LimitLevel, number> = { lookSooner: 0, beforeNextRun: 1, stop: 2 };
  const [worst] = spoken.sort((a, b) => rank[b.level] - rank[a.level]);
  if (!worst) return null;
  const { level, limitPpm, saturatedAtC } = worst;
  return {
    code: 'labWater',
    level,
    act: waterAct(lab, level),
    answeredBy: 'bleedOrPurgeThenLook',
    foundPpm,
    limitPpm,
    saturatedAtC,
  };
};

/** Iron above the unused oil's own; an oil whose analysis is not known is taken to have had none. */
const ironAbove = ({ values, product }: Pick<JudgedLab, 'values' | 'product'>): number | null =>
  (values.ironPpm ?? null) === null ? null : Math.max(0, (values.ironPpm ?? 0) - (product.freshIronPpm ?? 0));

/** ppm per 100 h on this oil; null while it has run too little for a rate. */
export function ironRatePer100h(lab: Pick<JudgedLab, 'values' | 'product'> & { hours: number }): number | null {
  const above = ironAbove(lab);
  return above === null || lab.hours < IRON_RATE.leastHours ? null : (above / lab.hours) * 100;
}

const iron = (lab: JudgedLab): OilFinding | null => {
  const abovePpm = ironAbove(lab);
  const passed = abovePpm === null ? null : stepPassed(lab.limits, 'ironPpm', abovePpm);
  if (abovePpm === null || !passed) return null;
  const { level, limit: limitPpm } = passed;
  return { code: 'iron', level, act: sampleOr(level, 'change'), answeredBy, abovePpm, limitPpm };
};

const ironRate = (lab: JudgedLab): OilFinding | null => {
  const { earlierIronRates, hours } = lab.charge;
  const per100h = ironRatePer100h({ ...lab, hours });
  if (per100h === null || earlierIronRates.length < IRON_RATE.leastCharges) return null;
  const usualPer100h = median(earlierIronRates);
  if (usualPer100h <= 0 || (ironAbove(lab) ?? 0) <= NOISE_PPM) return null;
  const passed = stepPassed(lab.limits, 'ironTimesUsual', per100h / usualPer100h);
  if (!passed) return null;
  const act = sampleOr(passed.level, 'change');
  return { code: 'ironRate', level: passed.level, act, answeredBy, per100h, usualPer100h, limitTimes: passed.limit };
};

/** Silicon has no limit of the trade: what is unusual for this pump is dust, or silicone where no aluminium comes with it. */
const silicon = ({ values, charge }: JudgedLab): OilFinding | null => {
  const foundPpm = values.siliconPpm ?? null;
  if (foundPpm === null || charge.earlierSilicon.length < IRON_RATE.leastCharges) return null;
  const usualPpm = median(charge.earlierSilicon);
  if (foundPpm <= SILICON_TIMES * usualPpm || foundPpm - usualPpm <= NOISE_PPM) return null;
  const withAluminium = (values.aluminiumPpm ?? 0) > 0;
  return { code: 'silicon', level: 'lookSooner', act: 'findCause', answeredBy, foundPpm, usualPpm, withAluminium };
};

/** In oil that holds free water an optical count counts droplets: void unless it was dried (ASTM D7647). */
export const countsDroplets = (lab: JudgedLab): boolean => water(lab) !== null;

const particleCode = (lab: JudgedLab): OilFinding | null => {
  const { values, charge } = lab;
  const classes = classesOf(values);
  if (classes === null || charge.earlierClasses.length < IRON_RATE.leastCharges || countsDroplets(lab)) return null;
  const up = classes.map((c, i) => c - median(charge.earlierClasses.map((e) => e[i] ?? 0)));
  const classesUp = Math.max(...up);
  if (classesUp < CLASSES_UP) return null;
  const counts = [values.count4PerMl ?? 0, values.count6PerMl ?? 0, values.count14PerMl ?? 0] as const;
  return {
    code: 'particleCode',
    level: 'lookSooner',
    act: 'sample',
    answeredBy,
    found: iso4406Code({ counts }),
    classesUp,
  };
};

/** So much iron is wear: change and inspect, and Stop where the pump says so too. */
const wear = (lab: JudgedLab): OilFinding | null => {
  const abovePpm = ironAbove(lab);
  const passed = abovePpm === null ? null : stepPassed(lab.limits, 'wearIronPpm', abovePpm);
  if (abovePpm === null || !passed) return null;
  const glitter: readonly WearSign[] = lab.charge.glitterSeen ? ['glitter'] : [];
  const signs = [...new Set([...lab.wearSigns, ...glitter])];
  const confirmed = lab.limits['wear.confirmed'];
  const level = signs.length > 0 && confirmed === 'stop' ? 'stop' : passed.level;
  return { code: 'wear', level, act: 'inspect', answeredBy: 'inspectAndChange', abovePpm, signs };
};

/** A detergent oil is told by its base number, and PFPE neither oxidises nor has an acid of its own. */
export const hasAcidNumber = ({ waterBehaviour, base: kind }: Pick<LabProduct, 'waterBehaviour' | 'base'>): boolean =>
  waterBehaviour !== 'detergent' && kind !== 'pfpe';

/** Detergent oils hold their own bases: there the base number speaks, not the acid number. */
const acid = ({ values, product, limits }: JudgedLab): OilFinding | null => {
  const foundMgKohG = values.acidMgKohG ?? null;
  const freshMgKohG = product.freshAcidMgKohG ?? null;
  if (foundMgKohG === null || freshMgKohG === null || !hasAcidNumber(product)) return null;
  const rise = Math.round((foundMgKohG - freshMgKohG) * 1e6) / 1e6;
  const passed = stepPassed(limits, 'acidRise', rise);
  if (!passed) return null;
  const act = sampleOr(passed.level, 'change');
  return { code: 'acid', level: passed.level, act, answeredBy, foundMgKohG, freshMgKohG, limitRise: passed.limit };
};

const base = ({ values, product, limits }: JudgedLab): OilFinding | null => {
  const foundMgKohG = values.baseMgKohG ?? null;
  const freshMgKohG = product.freshBaseMgKohG ?? null;
  if (foundMgKohG === null || !freshMgKohG || product.waterBehaviour !== 'detergent') return null;
  const passed = stepPassed(limits, 'baseLostPercent', Math.round((1 - foundMgKohG / freshMgKohG) * 1e8) / 1e6);
  if (!passed) return null;
  return {
    code: 'base',
    level: passed.level,
    act: sampleOr(passed.level, 'change'),
    answeredBy,
    foundMgKohG,
    freshMgKohG,
  };
};

/** Every figure of a report that is judged. A new one is one more entry here. */
export const LAB_JUDGES: readonly LabJudge[] = [
  { code: 'viscosity', reading: 'viscosity40Mm2s', judge: viscosity },
  { code: 'labWater', reading: 'waterPpm', judge: water },
  { code: 'iron', reading: 'ironPpm', judge: iron },
  { code: 'ironRate', reading: 'ironPpm', judge: ironRate },
  { code: 'wear', reading: 'ironPpm', judge: wear },
  { code: 'silicon', reading: 'siliconPpm', judge: silicon },
  { code: 'particleCode', reading: 'count6PerMl', judge: particleCode },
  { code: 'acid', reading: 'acidMgKohG', judge: acid },
  { code: 'base', reading: 'baseMgKohG', judge: base },
];

/** The figure that a finding comes from; undefined for one that no laboratory made. */
export const labReadingOf = ({ code }: Pick<OilFinding, 'code'>): LabReading | undefined =>
  LAB_JUDGES.find((j) => j.code === code)?.reading;
