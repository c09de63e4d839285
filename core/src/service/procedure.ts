import type { CautionId, Place, Risk } from '../cautions/index.js';
import type { PumpKind, TaskId } from '../limits/index.js';

/** What is so at a pump, as far as a service goes by it. */
export interface ServicePlace extends Place {
  /** Water floats on its oil. */
  readonly denser: boolean;
  readonly coldTrap: boolean;
  /** It holds oil: a dry pump does not. */
  readonly oil: boolean;
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
  /** What fills leave of what was there is told beside it; `newFilter` where the oil filter is renewed first. */
  readonly flushes?: 'oldFilter' | 'newFilter';
}

export type MeasureOf = 'volume' | 'temperature' | 'pressure';

/** One thing to do beside the pump. */
export type Step = StepBase &
  (
    | { readonly kind: 'do'; readonly minutes: number }
    /** @property minutes how long it usually takes; hands are free meanwhile */
    | { readonly kind: 'wait'; readonly minutes: number }
    | { readonly kind: 'measure'; readonly minutes: number; readonly label: string; readonly of: MeasureOf }
    /** The oil is read: in the glass, or in a jar of what was drawn. */
    | { readonly kind: 'look'; readonly minutes: number; readonly at: 'glass' | 'jar' }
    | { readonly kind: 'choose'; readonly minutes: number; readonly choices: readonly string[] }
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
  readonly atHand: readonly string[];
  readonly steps: readonly Step[];
}
