import type { LogName } from '@winter-jar/contracts';

export interface LogWords {
  readonly title: string;
  readonly one: string;
  readonly many: string;
  readonly when: string;
  /** Columns that a short list needs. */
  readonly example: string;
}

/** Every log by its address. A new one is one more entry. */
export const LOGS: Readonly<Record<LogName, LogWords>> = {
  runs: { title: 'Run log', one: 'run', many: 'runs', when: 'Started', example: 'pump, started, minutes, material' },
  looks: {
    title: 'Look log',
    one: 'look',
    many: 'looks',
    when: 'Looked at',
    example: 'pump, looked_at, hours_stood, colour',
  },
  changes: {
    title: 'Oil changes',
    one: 'oil change',
    many: 'oil changes',
    when: 'Changed',
    example: 'pump, changed, product, in_ml',
  },
  pours: {
    title: 'Oil store',
    one: 'movement',
    many: 'movements of oil',
    when: 'Poured',
    example: 'poured, from, to, oil_ml',
  },
  stocktakes: {
    title: 'Stocktakes',
    one: 'stocktake',
    many: 'stocktakes',
    when: 'Counted',
    example: 'counted, container, oil_ml',
  },
};

export const NOTEBOOK: LogWords = {
  title: 'Notebook',
  one: 'entry',
  many: 'entries',
  when: 'When',
  example: 'what, pump, at',
};
