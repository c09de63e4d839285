import type { OrderKey } from '../journal/index.js';

/** Raised whenever the meaning of a stored state changes; states of another version are rebuilt at start. */
export const EQUIPMENT_FOLD_VERSION = 1;

/** Runs of one pump on it; none yet where only something else was written of both. */
export interface PumpOnEquipment {
  readonly pumpId: string;
  readonly runs: number;
  readonly minutes: number;
  readonly lastAt: string;
}

/** What an equipment's own record adds up to: clock-free, bounded by the number of pumps. */
export interface EquipmentState {
  readonly foldVersion: number;
  readonly equipmentId: string;
  readonly entries: number;
  readonly last: OrderKey | null;
  /** Runs on it by whatever pump, and their hours; a run of two pumps is one. */
  readonly runs: number;
  readonly minutes: number;
  /** All that an entry named beside it, the newest last. */
  readonly pumps: readonly PumpOnEquipment[];
  readonly lastRun: {
    readonly entryId: string;
    readonly at: string;
    readonly pumpIds: readonly string[];
    /** Null while nobody has said it. */
    readonly materialId: string | null;
    readonly minutes: number;
  } | null;
  /** Its own hour meter, as last read. */
  readonly meter: { readonly entryId: string; readonly at: string; readonly minutes: number } | null;
  /** How the pressure rose when it was last tested closed: a state of the finding `rateOfRise`. */
  readonly lastRise: { readonly entryId: string; readonly at: string; readonly state: string } | null;
}
