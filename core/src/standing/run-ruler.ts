import { likelyDaysToRun, runsLeftOf, type Usage } from './due-forecast.js';
import type { LimitStanding } from './limit-standing.js';
import type { Measure } from '../limits/index.js';
import type { PumpState, RulerBar } from '../fold/index.js';
import type { Standing } from './standing.js';

const DAY_MS = 86_400_000;
/** Long charges collapse all but the last twelve runs into one piece. */
const SHOWN_BARS = 12;
const MAX_EXPECTED = 6;

/** Everything is measured in weighted runs from the oil change. */
export interface RunRuler {
  readonly collapsed: { readonly runs: number; readonly weight: number } | null;
  readonly bars: readonly (Pick<
    RulerBar,
    'entryId' | 'at' | 'load' | 'materialId' | 'carriedOver' | 'bled' | 'looked' | 'minutes'
  > & {
    readonly weight: number;
  })[];
  /** Runs expected until the flag, with their likely day from now; null where the pump's rate is not known. */
  readonly expected: readonly { readonly weight: number; readonly inDays: number | null }[];
  readonly flag: {
    readonly atWeight: number;
    readonly measure: Measure;
    readonly limit: number;
    readonly reached: boolean;
  } | null;
  readonly usedWeight: number;
}

interface Used {
  runs: number;
  weight: number;
  hours: number;
}

/** Where on the weight axis a limit stands, or where it is expected to fall. Null when the pump's runs never reach it. */
function flagWeight(input: {
  state: PumpState;
  limit: LimitStanding;
  usage: Usage;
  usedWeight: number;
  sinceAt: string;
}): number | null {
  const { state, limit, usage, usedWeight } = input;
  if (limit.measure === 'weight') return limit.limit;
  if (limit.reached) return weightWhenReached(state, limit, input.sinceAt);
  const need = limit.measure === 'days' ? limit.forecast?.runsLeft : runsLeftOf({ ...limit, usage })?.runs;
  return need === null || need === undefined ? null : usedWeight + need * usage.meanWeight;
}

/** Walks the bars to the run that passed the limit. A limit passed in the collapsed part stands at that part's end. */
function weightWhenReached(state: PumpState, limit: LimitStanding, sinceAt: string): number {
  const { collapsed } = state;
  const used: Used = { runs: collapsed.runs, weight: collapsed.weightMilli / 1000, hours: collapsed.minutes / 60 };
  const dueAt = limit.measure === 'days' ? Date.parse(sinceAt) + limit.limit * DAY_MS : Infinity;
  for (const bar of state.bars) {
    if (Date.parse(bar.at) >= dueAt) break;
    const weight = bar.weightMilli / 1000;
    const hours = bar.minutes / 60;
    if (limit.measure === 'hours' && used.hours + hours >= limit.limit) {
      return used.weight + (hours > 0 ? Math.max(0, (limit.limit - used.hours) / hours) * weight : 0);
    }
    if (limit.measure === 'runs' && used.runs >= limit.limit) break;
    if (bar.load !== 'unlogged') used.runs += 1;
    used.weight += weight;
    used.hours += hours;
  }
  return used.weight;
}

function expectedRuns(input: { usage: Usage; usedWeight: number; flagAt: number | null }): RunRuler['expected'] {
  const { usage, usedWeight, flagAt } = input;
  if (flagAt === null || flagAt <= usedWeight || usage.meanWeight <= 0) return [];
  const count = Math.min(MAX_EXPECTED, Math.max(1, Math.ceil((flagAt - usedWeight) / usage.meanWeight - 1e-9)));
  return Array.from({ length: count }, (_, i) => ({
    weight: usage.meanWeight,
    inDays: likelyDaysToRun(usage, i + 1),
  }));
}

/** The run ruler of a pump's present charge, as data. */
export function runRuler(input: { state: PumpState; standing: Standing | null }): RunRuler {
  const { state, standing } = input;
  const hidden = state.bars.length > SHOWN_BARS ? state.bars.length - SHOWN_BARS : 0;
  const weightOf = (bars: readonly RulerBar[]) => bars.reduce((sum, b) => sum + b.weightMilli, 0) / 1000;
  const early = {
    runs: state.collapsed.runs + state.bars.slice(0, hidden).filter((b) => b.load !== 'unlogged').length,
    weight: state.collapsed.weightMilli / 1000 + weightOf(state.bars.slice(0, hidden)),
  };
  const usedWeight = state.collapsed.weightMilli / 1000 + weightOf(state.bars);
  const change = standing?.tasks.find((t) => ['oilChange', 'boosterOil', 'tipSeals'].includes(t.task) && t.decides);
  const flagAt =
    standing && change?.decides && change.sinceAt
      ? flagWeight({ state, limit: change.decides, usage: standing.usage, usedWeight, sinceAt: change.sinceAt })
      : null;
  return {
    collapsed: early.runs > 0 ? early : null,
    bars: state.bars.slice(hidden).map(({ weightMilli, ...bar }) => ({ ...bar, weight: weightMilli / 1000 })),
    expected: standing ? expectedRuns({ usage: standing.usage, usedWeight, flagAt }) : [],
    flag:
      flagAt === null || !change?.decides
        ? null
        : {
            atWeight: flagAt,
            measure: change.decides.measure,
            limit: change.decides.limit,
            reached: change.decides.reached,
          },
    usedWeight,
  };
}
