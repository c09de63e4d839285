import type { CautionId, Place, Risk } from '../cautions/index.js';
import type { FlushVerdict } from './flush-plan.js';
import type { Level, OilLeft, PumpLeft, SumpKey } from '../journal/index.js';
import type { PumpKind, TaskId } from '../limits/index.js';
import type { ModelFact } from '../set-up/index.js';

/** What is so at a pump, as far as a service goes by it. */
export interface ServicePlace extends Place {
  /** Water floats on its oil. */
  readonly denser: boolean;
  readonly coldTrap: boolean;
  /** It holds oil: a dry pump does not. */
  readonly oil: boolean;
  /** Its oil was out already when the service began. */
  readonly drained: boolean;
  /** It stood open, or capped, when it began. */
  readonly open: boolean;
  readonly capped: boolean;
}
/** Must hold, or with `!` must not. */
export type Condition = keyof ServicePlace | `!${keyof ServicePlace}`;

/** Volumes that the pump's model knows, named where a step says `{amount}`. */
export type Amount = 'charge' | 'filterHoldUp' | 'rinse';

interface StepBase {
  /** Its own within the procedure. */
  readonly id: string;
  readonly words: string;
  /** All of them must hold; missing means always. */
  readonly when?: readonly Condition[];
  /** What of it can hurt: its cautions follow, see cautions-at.ts. */
  readonly risks?: readonly Risk[];
  /** Whatever the place. */
  readonly cautions?: readonly CautionId[];
  readonly amount?: Amount;
  /** What the model says of it; what nobody has said is asked for there, and kept. */
  readonly knows?: readonly ModelFact[];
  /** Parts of the model that are new then. */
  readonly uses?: readonly ModelFact[];
  /** What fills leave of what was there, or the plan of the flush, is told beside it; `newFilter` where the oil filter is renewed first. */
  readonly flushes?: 'oldFilter' | 'newFilter';
  /** Tasks that are done with it. */
  readonly does?: readonly TaskId[];
  /** What it leaves the pump in: a wait from its beginning on, any other step once it is answered. */
  readonly oil?: OilLeft;
  /** And its case and lines, in the same way. */
  readonly pump?: PumpLeft;
  /** Only where that was chosen the last time; without a choice, where anything was. */
  readonly onlyAfter?: { readonly step: string; readonly choice?: string };
  /** Where it goes on after it, instead of at the next step: that one is come to once more. */
  readonly then?: string;
  /**
   * In a visit that does more, see visit.ts: before the pump is stopped, while the other waits, or after it. Missing: the other does
   * the like of it already.
   */
  readonly inVisit?: 'running' | 'meanwhile' | 'after';
  /** What a house makes of it, see own-steps.ts. */
  readonly own?: {
    readonly id: string;
    /** As the procedure says it; missing where it is a step in addition. */
    readonly insteadOf?: string;
    readonly photoId: string | null;
  };
}

/** What can be chosen at a step. */
export interface Choice {
  /** Its own within the step. */
  readonly id: string;
  readonly words: string;
  /** Where it goes on, instead of at the next step. */
  readonly goTo?: string;
  /** The service ends here. */
  readonly ends?: true;
  /** And another one begins: an id of procedures/index.ts. */
  readonly follow?: string;
  /** What it says of the pump: a finding of core/diagnosis and its state. */
  readonly finds?: { readonly id: string; readonly state: string };
  /** What the plan of a flush says when it calls for it. */
  readonly verdict?: FlushVerdict;
  /** The level that it says. */
  readonly level?: Level;
}

/**
 * Where a measured value goes in the record: a sump's oil out, in, added or taken off down to the mark; what it was flushed with, and
 * what came out of the fill before; a bleed and its water; the pressure at the exhaust, or blanked off. Missing: it stays with the step.
 */
export type MeasureGoes =
  'out' | 'in' | 'added' | 'takenOff' | 'flushed' | 'flushOut' | 'drawn' | 'water' | 'exhaustPa' | 'blankOffPa';

export type MeasureOf = 'volume' | 'temperature' | 'pressure';

/** One thing to do beside the pump. */
export type Step = StepBase &
  (
    | {
        readonly kind: 'do';
        readonly minutes: number;
        /** What comes off then goes into the bag of this number. */
        readonly bag?: number;
        /** It is photographed as it was. */
        readonly photographed?: true;
        /** The step at which it was. */
        readonly shows?: string;
        /** The set-up is told that it was overhauled. */
        readonly overhauls?: true;
      }
    /**
     * @property minutes how long it usually takes; hands are free meanwhile
     * @property until what is waited for, where that decides and not the clock
     * @property filled other work of the visit fills it: how it is begun then, where something is opened for it, and what is waited for after
     */
    | {
        readonly kind: 'wait';
        readonly minutes: number;
        readonly until?: string;
        readonly filled?: { readonly opens?: string; readonly rest: string };
        /** It lasts as purge-plan.ts reckons by the warmth that was read at this step. */
        readonly purgesAt?: string;
      }
    /**
     * @property sumps the main oil where missing; of several each gets the same share
     * @property byGlass the step at which the level was tapped: by that it is about so much
     * @property asksProduct which oil it is
     */
    | {
        readonly kind: 'measure';
        readonly minutes: number;
        readonly label: string;
        readonly of: MeasureOf;
        readonly goes?: MeasureGoes;
        readonly sumps?: readonly SumpKey[];
        readonly byGlass?: string;
        readonly asksProduct?: true;
      }
    /** How dirty it is, on a scale of dirt-scales.ts that is chosen at the start: at first, as it shall be, after a fill. */
    | {
        readonly kind: 'dirt';
        readonly minutes: number;
        readonly label: string;
        readonly asks: 'start' | 'target' | 'fill';
      }
    /** The oil is read: in the glass, or in a jar of what was drawn. */
    /** @property hoursStood of a pump that stands; missing where it runs */
    | { readonly kind: 'look'; readonly minutes: number; readonly at: 'glass' | 'jar'; readonly hoursStood?: number }
    /**
     * @property inGlass the level is read: it can be tapped in the glass as the model has it
     * @property leakStep of the leak hunt: the first choice says that it passed
     * @property asksProduct which oil comes: what is milder than change-of-product.ts allows cannot be chosen
     */
    | {
        readonly kind: 'choose';
        readonly minutes: number;
        readonly choices: readonly Choice[];
        readonly inGlass?: true;
        readonly leakStep?: string;
        readonly asksProduct?: true;
      }
  );
export type StepKind = Step['kind'];

/** Who may do it: whoever runs the pump, who services pumps, or a specialist, where the house allows it. */
export type Skill = 'operator' | 'technician' | 'specialist';

/** A piece of service from beginning to end. A new one is a file and a line in procedures/index.ts. */
export interface Procedure {
  /** docs/trade.md 8. */
  readonly letter: string;
  readonly name: string;
  /** The tasks that it does. */
  readonly tasks: readonly TaskId[];
  readonly kinds: readonly PumpKind[];
  /** Where it does not apply it is not offered. */
  readonly when?: readonly Condition[];
  readonly skill: Skill;
  /** Others may be done in the middle of it, see visit.ts. */
  readonly carries?: true;
  readonly atHand: readonly string[];
  readonly steps: readonly Step[];
}
