import type { VerdictLevel } from '../limits/index.js';
import type { Clarity, Level, OilWent, ParticleAmount, ParticleKind, Smell, WearSign } from '../journal/index.js';

/** What the third verdict says before "before next run", and what the large button offers. */
export type Act =
  | 'change'
  | 'purge'
  | 'flush'
  | 'washHousing'
  /** Strip and solvent clean, by a specialist. */
  | 'stripClean'
  | 'inspect'
  | 'topUp'
  | 'drainToMark'
  | 'look'
  | 'bleed'
  | 'sample'
  /** The sample is drawn: its report is waited for. */
  | 'report'
  | 'findCause'
  | 'exhaustFilter'
  | 'sealCheck'
  /** Blank the pump off and measure. */
  | 'blankOff'
  | 'checkRemedy'
  /** Go on with the service that is under way. */
  | 'goOn'
  /** Close what a service left open, take off its caps. */
  | 'closeUp';

export type AnsweredBy =
  | 'closing'
  | 'change'
  /** A change, or a later sample that is good again. */
  | 'changeOrSample'
  | 'bleedOrPurgeThenLook'
  | 'changeOrClearLook'
  /** A change, and then a sample of the new oil that is no thinner than it should be. */
  | 'changeThenViscosity'
  | 'topUp'
  | 'drainToMark'
  | 'flush'
  | 'inspect'
  /** Work at the pump and clean oil, see answering.ts. */
  | 'inspectAndChange'
  | 'flushAndChange'
  | 'washAndChange'
  | 'stripAndChange'
  /** Somebody says where the oil went. */
  | 'whereItWent'
  | 'look'
  | 'case'
  /** The service is ended, done or given up. */
  | 'job';

export type FindingCode =
  | 'water'
  | 'waterAboveExpected'
  | 'waterAtPickUp'
  | 'levelFromWater'
  | 'cream'
  | 'creamThroughout'
  | 'clarity'
  | 'colour'
  | 'darkAgain'
  | 'sludge'
  | 'particles'
  | 'smell'
  | 'foam'
  | 'level'
  | 'oilLost'
  | 'thrownOil'
  | 'viscosity'
  | 'labWater'
  | 'iron'
  | 'silicon'
  | 'particleCode'
  | 'ironRate'
  | 'wear'
  | 'acid'
  | 'base'
  | 'otherProduct'
  | 'unknownAge'
  | 'goneCharge';

/** Outside the marks; or filled, and nobody said how high it stands since. */
export type LevelFound = Exclude<Level, 'right'> | 'notTold';

interface FindingBase {
  readonly level: Exclude<VerdictLevel, 'runOn'>;
  readonly act: Act;
  readonly answeredBy: AnsweredBy;
  /** Of two deeds that answer it, the one that was done. */
  readonly half?: { readonly done: 'oil' | 'pump'; readonly at: string };
  /** Bled or purged since: only the look is left. */
  readonly drainedAt?: string;
}

/** A reason as data: what was found, and the limit it was held against. Amounts in microlitres, shares of the oil charge. */
export type OilFinding = FindingBase &
  (
    | {
        readonly code: 'water';
        readonly foundUl: number;
        readonly chargeUl: number;
        readonly limitShare: number;
        /** What decided where it was not the share that is in the oil: so much that stands, any of it under an oil that holds water up, so much drawn at once, or cream. */
        readonly by?: 'amount' | 'heldUp' | 'drawn' | 'cream';
      }
    | {
        readonly code: 'waterAboveExpected';
        readonly foundUl: number;
        readonly expectedUl: number;
        /** Since a clear look had answered what was found before. */
        readonly sinceAnswer?: boolean;
        readonly limitTimes: number;
      }
    | { readonly code: 'waterAtPickUp' }
    | { readonly code: 'levelFromWater'; readonly foundUl: number }
    | {
        readonly code: 'cream';
        readonly creamUl: number;
        readonly chargeUl: number;
        readonly limitShare: number;
        readonly afterPurge: boolean;
      }
    | { readonly code: 'creamThroughout' }
    | {
        readonly code: 'clarity';
        readonly clarity: Exclude<Clarity, 'bright'>;
        readonly hoursStood: number;
        readonly running: boolean;
        readonly afterPurge: boolean;
      }
    | { readonly code: 'colour'; readonly colour: number; readonly startColour: number; readonly limitRise: number }
    | { readonly code: 'darkAgain'; readonly colour: number; readonly startColour: number; readonly runs: number }
    | { readonly code: 'sludge'; readonly sludgeUl: number; readonly chargeUl: number; readonly limitShare: number }
    | {
        readonly code: 'particles';
        readonly amount: Exclude<ParticleAmount, 'none'>;
        readonly kinds: readonly ParticleKind[];
        /** Metal in a new or overhauled pump's first hours. */
        readonly runningIn: boolean;
      }
    | { readonly code: 'smell'; readonly smell: Exclude<Smell, 'none'> }
    | { readonly code: 'foam'; readonly withHaze: boolean }
    | {
        readonly code: 'level';
        readonly found: LevelFound;
        readonly nothingAdded: boolean;
        readonly filled?: boolean;
      }
    /** It was filled up again, and somebody said where it had gone. */
    | { readonly code: 'oilLost'; readonly where: OilWent }
    | { readonly code: 'thrownOil' }
    /** Kinematic at 40 °C, against the unused oil's own. */
    | {
        readonly code: 'viscosity';
        readonly foundMm2s: number;
        readonly freshMm2s: number;
        readonly thinner: boolean;
        readonly limitPercent: number;
      }
    | {
        readonly code: 'labWater';
        readonly foundPpm: number;
        readonly limitPpm: number;
        /** The oil's temperature at which so much stays dissolved; null for a plain number. */
        readonly saturatedAtC: number | null;
      }
    /** Above the unused oil's own. */
    | { readonly code: 'iron'; readonly abovePpm: number; readonly limitPpm: number }
    | {
        readonly code: 'ironRate';
        readonly per100h: number;
        readonly usualPer100h: number;
        readonly limitTimes: number;
      }
    /** Against earlier charges of this pump; with aluminium it is dust. */
    | {
        readonly code: 'silicon';
        readonly foundPpm: number;
        readonly usualPpm: number;
        readonly withAluminium: boolean;
      }
    /** Classes of ISO 4406 over those of earlier charges, at 6 or at 14 µm, whichever rose more. */
    | { readonly code: 'particleCode'; readonly found: string; readonly classesUp: number }
    | { readonly code: 'wear'; readonly abovePpm: number; readonly signs: readonly WearSign[] }
    | {
        readonly code: 'acid';
        readonly foundMgKohG: number;
        readonly freshMgKohG: number;
        readonly limitRise: number;
      }
    | { readonly code: 'base'; readonly foundMgKohG: number; readonly freshMgKohG: number }
    | { readonly code: 'otherProduct'; readonly beforeId: string; readonly afterId: string }
    | { readonly code: 'unknownAge'; readonly changedKnown: boolean }
    | { readonly code: 'goneCharge'; readonly cause: FindingCode }
  );

/** A finding with the entry that it came from. */
export type Finding = OilFinding & FindingOrigin;

export interface FindingOrigin {
  readonly entryId: string;
  readonly at: string;
  /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
  readonly drawnId?: string;
}

export type FindingOf<C extends FindingCode> = Extract<OilFinding, { readonly code: C }>;

/** Level is a task, not a state of the oil. */
export const isLevelTask = ({ code }: Pick<OilFinding, 'code'>): boolean =>
  code === 'level' || code === 'oilLost' || code === 'thrownOil';
