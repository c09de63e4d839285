/** What is known of a pump and its yard, and what is assumed of a filter between chamber and pump. Money in the house's own. */
export interface InlineFilterCase {
  readonly runsPerYear: number;
  readonly oilChangesPerYear: number;
  /** New oil, hands and waste of one. */
  readonly oilChangePrice: number;
  /** Of the oil changes, how many particles make, 0-1. */
  readonly particleShare: number;
  /** Of the particles, how many it catches, 0-1. */
  readonly caughtShare: number;
  readonly overhaulPrice: number;
  readonly overhaulEveryYears: number;
  /** Of the wear, how much particles make, 0-1. */
  readonly wearShare: number;
  readonly filterPrice: number;
  readonly filterLastsYears: number;
  readonly elementPrice: number;
  readonly elementsPerYear: number;
  readonly elementMinutes: number;
  /** Each is a chance of a leak. */
  readonly joints: number;
  readonly leaksPerJointYear: number;
  readonly huntHours: number;
  readonly minutesLostPerRun: number;
  readonly hourPrice: number;
  /** What an hour of the set is worth. */
  readonly machineHourPrice: number;
  /** The other way: the oil is filtered after every run. */
  readonly oilFilterMinutes: number;
  readonly oilFilterMediaPrice: number;
}

export type InlineFilterLine = 'oil' | 'pump' | 'housing' | 'elements' | 'joints' | 'time';

export interface InlineFilterWorth {
  /** A year: kept above nothing, spent below. */
  readonly yearly: Readonly<Record<InlineFilterLine, number>>;
  readonly net: number;
  /** Net of a year of filtering the oil after every run: it keeps the oil, not the vanes. */
  readonly otherWay: number;
  /** From which `particleShare` on it pays, 0-1; null where it never does. */
  readonly breakEvenShare: number | null;
  /** The assumption of which half or twice as much moves the net most. */
  readonly hangsOn: InlineFilterAssumption;
}

/** What nobody has measured. */
export const INLINE_FILTER_ASSUMPTIONS = [
  'particleShare',
  'wearShare',
  'leaksPerJointYear',
  'elementsPerYear',
] as const;
export type InlineFilterAssumption = (typeof INLINE_FILTER_ASSUMPTIONS)[number];

const SHARES = ['particleShare', 'caughtShare', 'wearShare'] as const;
const ABOVE_NOTHING = ['overhaulEveryYears', 'filterLastsYears'] as const;

function yearlyOf(of: InlineFilterCase): Record<InlineFilterLine, number> {
  return {
    oil: of.oilChangesPerYear * of.particleShare * of.caughtShare * of.oilChangePrice,
    pump: (of.overhaulPrice / of.overhaulEveryYears) * of.wearShare * of.caughtShare,
    housing: -of.filterPrice / of.filterLastsYears,
    elements: -of.elementsPerYear * (of.elementPrice + (of.elementMinutes / 60) * of.hourPrice),
    joints: -of.joints * of.leaksPerJointYear * of.huntHours * of.hourPrice,
    time: -(of.runsPerYear * of.minutesLostPerRun * of.machineHourPrice) / 60,
  };
}
const sum = (lines: Readonly<Record<string, number>>): number => Object.values(lines).reduce((a, b) => a + b, 0);

/**
 * Whether a particle filter between chamber and pump pays, in a year, and what that hangs on (docs/trade.md 4: both sides).
 * @throws RangeError where a share is not from 0 to 1, a life not above 0, or something below 0
 */
export function inlineFilterWorth(of: InlineFilterCase): InlineFilterWorth {
  for (const [key, value] of Object.entries(of) as [keyof InlineFilterCase, number][])
    if (!(value >= 0)) throw new RangeError(`${key}: ${value} is below 0`);
  for (const key of SHARES) if (of[key] > 1) throw new RangeError(`${key}: ${of[key]} is above 1`);
  for (const key of ABOVE_NOTHING) if (of[key] === 0) throw new RangeError(`${key}: is not above 0`);
  const yearly = yearlyOf(of);
  const net = sum(yearly);
  const ofAllChanges = of.oilChangesPerYear * of.caughtShare * of.oilChangePrice;
  const needed = ofAllChanges > 0 ? (yearly.oil - net) / ofAllChanges : net >= 0 ? 0 : Infinity;
  const moves = (key: InlineFilterAssumption): number => {
    const most = key === 'particleShare' || key === 'wearShare' ? 1 : Infinity;
    const at = (times: number) => sum(yearlyOf({ ...of, [key]: Math.min(most, of[key] * times) }));
    return Math.abs(at(2) - at(0.5));
  };
  return {
    yearly,
    net,
    otherWay: yearly.oil - of.runsPerYear * ((of.oilFilterMinutes / 60) * of.hourPrice + of.oilFilterMediaPrice),
    breakEvenShare: needed > 1 ? null : Math.max(0, needed),
    hangsOn: INLINE_FILTER_ASSUMPTIONS.reduce((a, b) => (moves(b) > moves(a) ? b : a)),
  };
}
