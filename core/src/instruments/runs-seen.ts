import { hear, joined, onIntervals, within, withoutFlaps, type Interval, type Span } from './spans.js';

const SECOND_MS = 1000;
const MINUTE_MS = 60 * SECOND_MS;

/** What turns signals into runs: defaults of the trade, each with its reason. */
export const RUN_RULES = {
  /** A contact bounces for seconds; nobody stops a pump for less. */
  flapMs: 60 * SECOND_MS,
  /** Three readings missed at the slowest rate that a monitor is set to. */
  silentMs: 3 * MINUTE_MS,
  /** A server that is updated, a network that is mended: what ran before and runs behind it ran meanwhile. */
  bridgeMs: 30 * MINUTE_MS,
  /** The pump tripped and was started again under its load. */
  restartMs: 3 * MINUTE_MS,
  /** Between two cycles: a change of film, a short break. */
  cycleGapMs: 15 * MINUTE_MS,
  /** The gas of a load dies down for a while, as between two stages of drying. */
  loadGapMs: 15 * MINUTE_MS,
  /** A leak test, or a look whether it pulls: shorter loads are no run. */
  shortestMs: 15 * MINUTE_MS,
} as const;
export type RunRules = { readonly [K in keyof typeof RUN_RULES]: number };

/** By which signal a load is told; by the pump’s turning alone where nothing else is known. */
export type LoadBy = 'valveOpen' | 'cycles' | 'pressure' | 'running';

/** What was heard of a pump, pressed together: what it holds does not grow with the number of readings. */
export interface Heard {
  readonly running: Span[];
  readonly valveOpen: Span[];
  /** Of the inlet: on above what the pump comes to by itself. */
  readonly pressure: Span[];
  /** On while the counter moves. */
  readonly cycles: Span[];
  /** Cycles by the minute in which they were counted. */
  readonly counted: { readonly minuteMs: number; readonly cycles: number }[];
  lastCount: { readonly atMs: number; readonly count: number } | null;
}

export const nothingHeard = (): Heard => ({
  ...{ running: [], valveOpen: [], pressure: [], cycles: [], counted: [], lastCount: null },
});

/**
 * One more reading, in the order of time.
 * @param heard what was heard so far; it is changed
 * @param loadAbovePa an inlet pressure above it is a load: more than the pump comes to with its inlet shut, ballast open
 */
export function hearSignal(
  heard: Heard,
  signal: { readonly means: LoadBy; readonly atMs: number; readonly value: number },
  { loadAbovePa, rules = RUN_RULES }: { readonly loadAbovePa: number; readonly rules?: RunRules },
): void {
  const { means, atMs, value } = signal;
  if (means !== 'cycles') {
    hear(heard[means], { atMs, on: means === 'pressure' ? value > loadAbovePa : value > 0 }, rules.silentMs);
    return;
  }
  const { lastCount } = heard;
  heard.lastCount = { atMs, count: value };
  if (!lastCount || value === lastCount.count) return;
  // A counter that begins anew has counted what it shows.
  const cycles = value > lastCount.count ? value - lastCount.count : value;
  if (cycles === 0) return;
  const last = heard.cycles.at(-1);
  const goesOn = last !== undefined && atMs - last.toMs <= rules.cycleGapMs;
  // It was counted between the two readings that show it.
  const countedMs = (lastCount.atMs + atMs) / 2;
  if (goesOn) heard.cycles[heard.cycles.length - 1] = { ...last, toMs: countedMs };
  else heard.cycles.push({ fromMs: countedMs, toMs: countedMs, on: true });
  const minuteMs = Math.floor(atMs / MINUTE_MS) * MINUTE_MS;
  const counted = heard.counted.at(-1);
  if (counted?.minuteMs === minuteMs)
    heard.counted[heard.counted.length - 1] = { minuteMs, cycles: counted.cycles + cycles };
  else heard.counted.push({ minuteMs, cycles });
}

/** A run as the pump itself shows it. */
export interface SeenRun {
  readonly startMs: number;
  /** Null while it goes on. */
  readonly endMs: number | null;
  /** Nobody listened when it began, or ended: it did at the latest, or at the earliest, then. */
  readonly startSeen: boolean;
  readonly endSeen: boolean;
  /** Null where they are not counted. */
  readonly cycles: number | null;
}

export interface SeenRuns {
  readonly runs: readonly SeenRun[];
  /** The pump turned, in all: runs, warming up, purging, drying out and tests. */
  readonly turningMs: number;
}

/**
 * The runs of a pump out of what was heard of it. It is a run while the pump turns under a load of gas; what it turns otherwise is
 * oil time alone. What ended a while ago is settled; a run that may go on yet is told without its end.
 * @param input.loadBy the signal that tells the load
 * @param input.nowMs everything up to then has been heard that comes in time
 */
export function runsSeen(input: { heard: Heard; loadBy: LoadBy; nowMs: number; rules?: RunRules }): SeenRuns {
  const { heard, loadBy, nowMs, rules = RUN_RULES } = input;
  const turning = onIntervals(withoutFlaps(heard.running, rules.flapMs), rules.bridgeMs);
  const load = loadBy === 'running' ? turning : within(loadsOf(heard, loadBy, rules), turning);
  const gapMs = loadBy === 'cycles' ? rules.cycleGapMs : loadBy === 'pressure' ? rules.loadGapMs : rules.restartMs;
  const runs = joined(load, rules.restartMs).map((i) => seenRun(i, gapMs));
  return {
    runs: runs.filter((run) => (run.endMs ?? nowMs) - run.startMs >= rules.shortestMs),
    turningMs: turning.reduce((sum, i) => sum + i.toMs - i.fromMs, 0),
  };

  function seenRun({ fromMs, toMs, beginSeen, end }: Interval, settlesMs: number): SeenRun {
    const lastMs = Math.max(toMs, heard.running.at(-1)?.toMs ?? 0);
    // It may be taken up again yet; and who is silent for long has ended, unseen.
    const isOver =
      end === 'going' ? nowMs - lastMs > rules.bridgeMs : nowMs - toMs > Math.max(settlesMs, rules.restartMs);
    return {
      ...{ startMs: fromMs, endMs: isOver ? toMs : null, startSeen: beginSeen, endSeen: end === 'seen' },
      cycles: heard.lastCount === null ? null : cyclesIn(heard, fromMs, toMs),
    };
  }
}

function loadsOf(heard: Heard, loadBy: Exclude<LoadBy, 'running'>, rules: RunRules): Interval[] {
  if (loadBy === 'valveOpen') return onIntervals(withoutFlaps(heard.valveOpen, rules.flapMs), rules.bridgeMs);
  if (loadBy === 'pressure')
    return joined(onIntervals(withoutFlaps(heard.pressure, rules.flapMs), rules.bridgeMs), rules.loadGapMs);
  const lastMs = heard.lastCount?.atMs ?? 0;
  return joined(
    heard.cycles.map(({ fromMs, toMs }): Interval => ({
      ...{ fromMs, toMs, beginSeen: true },
      end: lastMs - toMs > rules.cycleGapMs ? 'seen' : 'going',
    })),
    rules.cycleGapMs,
  );
}

const cyclesIn = (heard: Heard, fromMs: number, toMs: number): number =>
  heard.counted.reduce(
    (sum, { minuteMs, cycles }) => (minuteMs >= fromMs - MINUTE_MS && minuteMs <= toMs ? sum + cycles : sum),
    0,
  );

/** Forgets what ended before a moment. What is left says the same of what came behind it. */
export function forgetBefore(heard: Heard, ms: number): void {
  for (const spans of [heard.running, heard.valveOpen, heard.pressure, heard.cycles]) drop(spans, (s) => s.toMs < ms);
  drop(heard.counted, (c) => c.minuteMs < ms);
}

/** From the beginning on. */
function drop<T>(list: T[], isOld: (item: T) => boolean): void {
  const first = list.findIndex((item) => !isOld(item));
  list.splice(0, first < 0 ? list.length : first);
}
