import { TASKS, type SumpKey } from '@winter-jar/core';

export const MAX_BODY_BYTES = 1_000_000;
/** A log of runs or looks: half a million rows that say all they can. */
export const MAX_LOG_BYTES = 200_000_000;
export const MAX_SET_UP_FILE_BYTES = 5_000_000;
/** A backup, or everything as JSON lines. */
export const MAX_BACKUP_BYTES = 4_000_000_000;
/** A phone's photograph at its best. */
export const MAX_PHOTO_BYTES = 30_000_000;
export const PHOTO_TYPES: readonly string[] = ['image/jpeg', 'image/png', 'image/webp'];
/** A gauge log: a reading ten times a second over two days. */
export const MAX_GAUGE_LOG_BYTES = 60_000_000;
/** Sent as this whatever they are: a plain text another site's page could send unasked. */
export const GAUGE_LOG_TYPES: readonly string[] = ['text/csv'];
export const MAX_ENTRIES_PER_POST = 500;
/** Corrections that are shown at once where somebody has to decide. */
export const MAX_UNSETTLED = 100;
/** In one container of the oil store: a tanker. */
export const MAX_STORE_ML = 30_000_000;
export const MAX_METER_MINUTES = 60_000_000;
export const MAX_RUN_MINUTES = 30 * 24 * 60;
/** Of a limit on the oil: ppm reach that far. */
export const MAX_OIL_LIMIT = 10_000;
/** A profile of the trap: one reading per five minutes over two days, and to spare. */
export const MAX_TRAP_READINGS = 600;
/** Device clocks may be ahead by so much. */
export const FUTURE_TOLERANCE_MS = 10 * 60_000;

/** Tasks that are ticked off with a `done` entry; the others have entries of their own. */
export const SERVICE_TASKS: readonly string[] = TASKS.filter((t) => t.doneBy === 'done').map((t) => t.id);

export const SUMPS: readonly SumpKey[] = ['oil', 'gearA', 'gearB', 'sealCup'];

/** Findings of one test or one look at the pump. */
export const MAX_FINDINGS = 30;
export const MAX_MEASURED = 6;
/** Runs after which a remedy is checked. */
export const MAX_CHECK_RUNS = 100;

/** A step that is come to oftener goes in circles. */
/** Procedures beside the first of one visit. */
export const MAX_RIDERS = 8;

/** Steps of a house's own, of one model, and the words of each. */
export const MAX_OWN_STEPS = 100;
/** Channels of one instrument. */
export const MAX_CHANNELS = 12;
export const MAX_INLET_PARTS = 20;
export const MAX_OWN_WORDS = 400;

/** Parts of one service. */
export const MAX_PARTS = 40;
export const MAX_STEP_VISITS = 50;

/** Questions that one entry may be asked: more than there are. */
export const MAX_ACKNOWLEDGED = 30;
