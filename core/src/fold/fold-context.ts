import type { Entry, SumpKey } from '../journal/index.js';
import type { PumpSetUp } from '../set-up/index.js';
import { KEPT, type NotTold, type PumpState, type RulerBar, type Since, type SumpState } from './state.js';
import type { TaskId } from '../limits/index.js';

/** What every fold of one entry needs to know. */
export interface Context {
  readonly setUp: PumpSetUp;
  /** Local day of the site on which it happened. */
  readonly day: number;
  readonly entry: Entry;
}

export const originOf = ({ entry }: Context) => ({ entryId: entry.id, at: entry.happenedAt });

export function sinceNow(state: PumpState, { entry, day }: Context): Since {
  return { at: entry.happenedAt, day, entryId: entry.id, counts: state.totals };
}

/** The state with tasks counted as done now. */
export const done = (state: PumpState, context: Context, ...tasks: TaskId[]): PumpState => ({
  ...state,
  tasks: { ...state.tasks, ...Object.fromEntries(tasks.map((t) => [t, sinceNow(state, context)])) },
});

export const onSump = (state: PumpState, key: SumpKey, change: (sump: SumpState) => SumpState): PumpState => ({
  ...state,
  sumps: state.sumps.map((s) => (s.key === key ? change(s) : s)),
});

/** One more that counts on the cautious side; of very many the oldest are not named any more. */
export const withNotTold = (known: readonly NotTold[], one: NotTold): NotTold[] => [...known, one].slice(-KEPT.notTold);

/** The state with one more bar; the oldest goes into the collapsed piece when there are too many. */
export function withBar(state: PumpState, bar: RulerBar): PumpState {
  const bars = [...state.bars, bar];
  const over = bars.length > KEPT.bars ? bars[0] : undefined;
  if (!over) return { ...state, bars };
  return {
    ...state,
    bars: bars.slice(1),
    collapsed: {
      runs: state.collapsed.runs + (over.load === 'unlogged' ? 0 : 1),
      weightMilli: state.collapsed.weightMilli + over.weightMilli,
      minutes: state.collapsed.minutes + over.minutes,
    },
  };
}
