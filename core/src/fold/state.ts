// The whole state of a pump in one view: longer than other files.
import type {
  BallastUse,
  Clarity,
  LabReading,
  Level,
  LookSource,
  OrderKey,
  SumpKey,
  YesNo,
  PumpLeft,
} from '../journal/index.js';
import type { JobState } from '../job/index.js';
import type { Finding, GoneCharge } from '../oil/index.js';
import type { MachineFinding } from '../machine/index.js';
import type { TrapFit, TrapStretch } from '../water/index.js';
import type { Load } from './run-weight.js';
import type { TaskId } from '../limits/index.js';
import type { Draw } from './water-found.js';

/** Raised whenever the meaning of a stored state changes; states of another version are rebuilt at start. */
export const FOLD_VERSION = 15;

/** The state keeps at most so many bars; older ones are one collapsed piece. The ruler shows the last twelve. */
export const MAX_BARS = 20;
const RECENT_RUNS = 21;
const LAST_JARS = 4;
/** A laboratory answers within weeks; a report on an older sample is kept, but judged no more. */
const LAST_SAMPLES = 6;
/** Charges that the laboratory's trends reach back over. */
const LAST_LAB_CHARGES = 8;
const LAST_EQUIPMENTS = 3;
const LAST_NOT_TOLD = 20;
const OTHER_PRODUCTS = 6;
const LAST_STRETCHES = 12;
/** A trap that changes is known anew after so many looks for water. */
const LAST_TRAP_STRETCHES = 8;
export const KEPT = {
  bars: MAX_BARS,
  recentRuns: RECENT_RUNS,
  jars: LAST_JARS,
  samples: LAST_SAMPLES,
  labCharges: LAST_LAB_CHARGES,
  equipments: LAST_EQUIPMENTS,
  notTold: LAST_NOT_TOLD,
  products: OTHER_PRODUCTS,
  stretches: LAST_STRETCHES,
  trapStretches: LAST_TRAP_STRETCHES,
} as const;

/** Integer counters since the pump's first entry. */
export interface Counts {
  readonly runs: number;
  /** thousandths of a weighted run */
  readonly weightMilli: number;
  /** Running time: logged runs, and what the hour meter counted beside them. */
  readonly minutes: number;
  /** The part of `minutes` that no run was logged for. */
  readonly unloggedMinutes: number;
  readonly changes: number;
}

/** A moment from which a task or a charge counts. */
export interface Since {
  readonly at: string;
  /** local calendar day of the site */
  readonly day: number;
  readonly entryId: string | null;
  readonly counts: Counts;
}

export interface RulerBar {
  readonly entryId: string;
  readonly at: string;
  readonly weightMilli: number;
  readonly minutes: number;
  readonly load: Load;
  /** Null where nobody has said it yet, and for what only the meter knows. */
  readonly materialId: string | null;
  readonly carriedOver: boolean;
  readonly bled: boolean;
  readonly looked: boolean;
}

/** What has run since the oil was last looked into for water; null where nobody can say what was in it by then. */
export type OpenStretch = (TrapStretch & { readonly equipmentId: string | null }) | null;

/** A trap as this pump's own charges tell of it: its factor times the share of the water that settles and is caught. */
export interface TrapKnown {
  readonly equipmentId: string;
  /** The last of them. */
  readonly stretches: readonly TrapStretch[];
  /** Of the stretches before the charge that goes on: its own water does not explain itself. */
  readonly fit: TrapFit | null;
}

export interface WaterSeen {
  readonly runs: number;
  /** Null where one of its runs could not be estimated, or nobody knows what was in the oil before. */
  readonly expectedUl: number | null;
}

export interface GoneStretch {
  readonly stretch: OpenStretch;
  /** Out of the oil before the change. */
  readonly foundUl: number;
}

export interface Charge {
  /** 0 until the first change that was logged. */
  readonly number: number;
  readonly since: Since;
  readonly productId: string | null;
  readonly filledUl: number | null;
  /** ASTM D1500 at the start: the first look at this charge, at most the fresh oil's own colour. */
  readonly startColour: number | null;
  readonly bledWaterUl: number;
  readonly toppedUpUl: number;
  readonly carriedOverRuns: number;
  /** Water of this charge that a bleed or purge and a clear look after it have answered. */
  readonly answeredWaterUl: number;
  /** Taken out with samples since the change. */
  readonly sampledWaterUl: number;
  /** What its runs should have left in it, and how much of that had been answered with the water found. */
  readonly expectedWaterUl: number;
  readonly answeredExpectedUl: number;
  /** Runs whose water could not be estimated. */
  readonly unestimatedRuns: number;
  /** Free water and half the cream that its last look for them showed in it. */
  readonly standingWaterUl: number;
  /** When it was last bled or looked into for water: its runs until then, and what they should have left. */
  readonly waterSeen: WaterSeen | null;
  /** What has run since the oil was looked into, to learn about the trap from. */
  readonly stretch: OpenStretch;
  /** Of the charge that went out, until its jar is read. */
  readonly goneStretch: GoneStretch | null;
  readonly bledSinceWaterSeen: boolean;
  /** A purge was done since cream or haze was seen. */
  readonly purgedSinceSeen: boolean;
  /** The level was read between the marks, and nothing was added since. */
  readonly levelKnown: boolean;
  /** Jars of its oil that may be read again, the last of them. */
  readonly draws: readonly Draw[];
  /** Products that came to it by top-ups, beside its own. */
  readonly others: readonly string[];
  /** The highest solvent rating that went through it, 0-3. */
  readonly solvent: number;
  /** The charge before it; null for the first on record. */
  readonly gone: GoneCharge | null;
}

export interface SumpState {
  readonly key: SumpKey;
  readonly charge: Charge;
  readonly findings: readonly Finding[];
  /** Products of earlier charges, of which the pump was not stripped clean since. */
  readonly traces: readonly string[];
  /** It was cleaned, and not filled since. */
  readonly cleaned: { readonly by: 'housingClean' | 'stripClean'; readonly at: string } | null;
  /** Gas with more oxygen than air was pumped through it, and it was not stripped clean since. */
  readonly oxygenAt: string | null;
}

/** A look or a drain as a small jar. */
export interface JarSeen {
  readonly entryId: string;
  readonly at: string;
  readonly source: LookSource | 'change';
  /** All the oil, hazy or clear. */
  readonly oilUl: number;
  readonly sludgeUl: number;
  readonly waterUl: number;
  /** Somebody looked for water in it; without that none is not no water. */
  readonly waterRead: boolean;
  readonly creamUl: number;
  readonly hazyUl: number;
  readonly photoId: string | null;
  readonly colour: number | null;
  readonly clarity: Clarity | null;
  readonly level: Level | null;
  readonly hoursStood: number | null;
  /** Of an oil that is denser than water. */
  readonly waterFloats: boolean;
}

/** A bottle drawn for the laboratory, and what has come back of it. */
export interface SampleDrawn {
  readonly entryId: string;
  readonly at: string;
  readonly sump: SumpKey;
  readonly label: string | null;
  readonly chargeNumber: number;
  readonly productId: string | null;
  /** Running time on this oil by then. */
  readonly minutes: number;
  readonly measured: readonly LabReading[];
}

/** Iron that a charge took up, in thousandths of a ppm per 100 h. */
export interface IronRate {
  readonly chargeNumber: number;
  readonly milliPpmPer100h: number;
}

/** What reports have found of a charge beside its iron; the newest word counts. */
export interface LabCharge {
  readonly chargeNumber: number;
  readonly siliconPpm: number | null;
  /** Of ISO 4406, at 6 and at 14 µm; null where they were not counted, or droplets were. */
  readonly classes: readonly [number, number] | null;
}

/** A run that was started and has not ended yet. */
export interface OpenRun {
  readonly entryId: string;
  readonly at: string;
  readonly equipmentId: string;
  readonly materialId: string | null;
}

/** An entry that counts on the cautious side until somebody says what is missing: a run's material, a bleed's water. */
export interface NotTold {
  readonly entryId: string;
  readonly at: string;
  readonly kind: 'run' | 'bleed';
}

/** The hour meter's present segment, from its last reading. */
export interface MeterSegment {
  readonly entryId: string;
  readonly at: string;
  /** On the meter. */
  readonly minutes: number;
  /** Minutes of logged runs at that reading. */
  readonly loggedMinutes: number;
  /** Logged beyond what the meter had counted by then: a run that was still going, or one logged too long. */
  readonly aheadMinutes: number;
  /** The first reading of this meter, or since it was set back. */
  readonly first: { readonly at: string; readonly minutes: number };
}

export interface RecentRun {
  readonly at: string;
  readonly weightMilli: number;
  readonly minutes: number;
  /** On which set, and the lowest pressure that it reached there; null where nobody noted it, or it was not let to. */
  readonly equipmentId: string;
  readonly lowestPa: number | null;
  /** It began before the take-over, and was not counted then. */
  readonly beyondTakeOver?: true;
}

/** The best that a pump has reached on one equipment, Pa; null where nothing was logged. */
export interface BestPressures {
  readonly equipmentId: string;
  readonly firstPa: number | null;
  readonly lowestPa: number | null;
}

/** What the main oil loses as it runs, from top-ups and levels; samples and bleeds taken out. Amounts in µL. */
export interface OilUse {
  /** Running time when its level stood right at a filling; null where nobody has said it since. */
  readonly markMinutes: number | null;
  readonly addedUl: number;
  readonly takenUl: number;
  /** Taken out since somebody read the level. */
  readonly takenSinceLevelUl: number;
  /** Stretches that ran long enough, the newest last. */
  readonly stretches: readonly { readonly ballast: BallastUse; readonly ulPer100h: number }[];
  /** The last top-ups, and those of a seal cup. */
  readonly topUps: readonly string[];
  readonly cups: readonly string[];
}

/** What the next log of a run starts from. */
export interface LastRun {
  readonly entryId: string;
  readonly happenedAt: string;
  readonly equipmentId: string;
  readonly materialId: string | null;
  readonly minutes: number;
  readonly cycles: number | null;
  readonly ballast: BallastUse;
  readonly trapTempC: number | null;
  readonly lowestPressurePa: number | null;
  readonly ventedBeforeStop: YesNo;
}

/** A case of this pump: open, or closed and to be checked after some runs whether the remedy held. */
export type CaseState =
  | { readonly status: 'open'; readonly caseId: string; readonly at: string; readonly complaint: string }
  | {
      readonly status: 'closed';
      readonly caseId: string;
      readonly at: string;
      readonly complaint: string;
      readonly causeId: string | null;
      /** Of `totals.runs`. */
      readonly checkAtRuns: number;
      /** What it ended: it stands again where the remedy did not hold. */
      readonly ended: readonly MachineFinding[];
    };

export interface TakenOver {
  readonly entryId: string;
  readonly at: string;
  /** Told of the charge that it found; null where nobody counted, or what was told is of the oil before. */
  readonly runs: number | null;
  /** No change of the oil that it found is logged. */
  readonly onlyTold: boolean;
}

/** Clock-free state of one pump: what its entries add up to. Bounded in size. */
export interface PumpState {
  readonly foldVersion: number;
  readonly pumpId: string;
  readonly entries: number;
  readonly last: OrderKey | null;
  readonly totals: Counts;
  readonly tasks: { readonly [T in TaskId]?: Since };
  /** Start of the count of tasks never done. */
  readonly start: Since | null;
  readonly sumps: readonly SumpState[];
  readonly bars: readonly RulerBar[];
  readonly collapsed: { readonly runs: number; readonly weightMilli: number; readonly minutes: number };
  readonly recentRuns: readonly RecentRun[];
  readonly jars: readonly JarSeen[];
  readonly lastRun: LastRun | null;
  /** Of its last equipments, the newest last. */
  readonly best: readonly BestPressures[];
  readonly running: readonly OpenRun[];
  /** On the charge that goes on, oldest first. */
  readonly notTold: readonly NotTold[];
  readonly meter: MeterSegment | null;
  readonly samples: readonly SampleDrawn[];
  /** Of the main oil's charges, oldest first. */
  readonly ironRates: readonly IronRate[];
  /** Silicon and particle classes of its charges, oldest first. */
  readonly labCharges: readonly LabCharge[];
  /** When it was new or overhauled, and the running time until then. */
  readonly overhaul: { readonly at: string; readonly minutes: number } | null;
  /** What the pump itself says: pressures, noise, heat, exhaust. */
  readonly machine: readonly MachineFinding[];
  /** Blanked off, on fresh oil, Pa: the first tests, of which its good value is the median. */
  readonly goodPa: readonly number[];
  readonly use: OilUse;
  /** When its record began with what was told of it; null where it began with its entries. */
  readonly takenOver: TakenOver | null;
  /** Of the equipments with a cold trap that it ran on, the newest last. */
  readonly traps: readonly TrapKnown[];
  /** A service under way. */
  readonly job: JobState | null;
  /** A jar of the last change that nobody has read since it can be: of that change, filled at, and readable from. */
  readonly toRead: { readonly entryId: string; readonly at: string; readonly fromAt: string } | null;
  /** A service opened it, or capped it, and nobody has closed or freed it since. */
  readonly notWhole: {
    readonly how: Exclude<PumpLeft, 'closed'>;
    readonly at: string;
    readonly who: string | null;
    readonly jobId: string;
    /** Of the job that did. */
    readonly procedure: string;
  } | null;
  /** Its oil was let out in a service and none filled in since. */
  readonly drained: { readonly at: string; readonly who: string | null; readonly jobId: string } | null;
  /** Null: no case, or the last one held. */
  readonly case: CaseState | null;
}
