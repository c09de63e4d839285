import type { MeasuredWhere } from '../journal/index.js';
import type { TaskId, VerdictLevel } from '../limits/index.js';
import type { Act, FindingOrigin } from '../oil/index.js';

/** What the pump itself says, by what answers it; the oil's findings stand beside it. */
export type MachineAnswer =
  /** The test that finds its cause, the pressure that is right again, or the case closed with its cause. */
  | 'causeOrGood'
  /** The case closed with a cause that makes it. */
  | 'cause'
  /** Somebody finds it as usual again, or its cause. */
  | 'usualOrCause'
  /** Where the oil goes is found, or it is used as it always was. */
  | 'leakOrUsual'
  | 'exhaustFilter'
  | 'sealCheck'
  /** A settled look for water, or a filling. */
  | 'lookForWater'
  | 'inspect'
  | 'flushAndFill'
  /** Purge, measure, and change where it does not come back. */
  | 'purgeThenMeasure';

interface MachineBase extends FindingOrigin {
  readonly level: Exclude<VerdictLevel, 'runOn'>;
  readonly act: Act;
  readonly answeredBy: MachineAnswer;
}

/** Against what a pressure is poor: an acceptance target, what this set usually reaches, the pump's own, its model's, its good value. */
export type PressureLimit = 'target' | 'usual' | 'own' | 'model' | 'good';

/** At the exhaust, Pa over ambient: from where its filter is looked at, and from where it is renewed. */
export interface BackPressures {
  readonly lookPa: number;
  readonly renewPa: number;
}

export type MachineFinding = MachineBase &
  (
    | {
        readonly code: 'poorVacuum';
        readonly where: Exclude<MeasuredWhere, 'exhaust'>;
        /** The set that was pumped down; null where the pump itself was blanked off. */
        readonly equipmentId: string | null;
        readonly foundPa: number;
        readonly limitPa: number;
        readonly against: PressureLimit;
        /** Five times its target or usual, or more. */
        readonly isFar: boolean;
      }
    /** Care by the gauge: over its good value, and how far purge and change have come. */
    | {
        readonly code: 'overGood';
        readonly foundPa: number;
        readonly limitPa: number;
        readonly against: PressureLimit;
        readonly phase: 'purge' | 'measure' | 'change' | 'measureNewOil';
      }
    /** Filled up so often in so many days: the pump, or a booster's seal cup. */
    | { readonly code: 'toppedUpOften' | 'sealCupLeak'; readonly times: number; readonly days: number }
    | { readonly code: 'oilUse'; readonly ulPer100h: number; readonly usualUlPer100h: number }
    /** So much should be gone by its usual, and the level stands. */
    | { readonly code: 'levelHolds'; readonly goneUl: number }
    /** Over ambient; null where nobody measured it. */
    | ({ readonly code: 'backPressure'; readonly overPa: number | null; readonly blocked: boolean } & BackPressures)
    | { readonly code: 'runsHot'; readonly oilTempC: number }
    | { readonly code: 'resinInOil' | 'swallowed'; readonly flushedAt: string | null; readonly filledAt: string | null }
    | { readonly code: 'grinding' | 'stiff' | 'trips' | 'louder' | 'slowStart' | 'moreCurrent' | 'hotterCase' }
  );

export type MachineCode = MachineFinding['code'];

/** Work that answers a finding of the pump itself. */
export const MACHINE_WORK: Readonly<Partial<Record<MachineAnswer, readonly TaskId[]>>> = {
  exhaustFilter: ['exhaustFilter'],
  inspect: ['vaneCheck'],
  sealCheck: ['sealCheck'],
};
