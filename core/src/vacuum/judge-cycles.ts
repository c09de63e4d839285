import type { FigureRead, LogVerdict } from '../journal/index.js';
import { median } from '../statistics/index.js';
import { NOTHING } from './belief.js';
import { PULL_DOWN_SLOW_TIMES } from './vacuum-record.js';
import { columnsOf, type Columns, type GaugeSeries } from './gauge-series.js';

export type CyclesVerdict = Extract<LogVerdict, 'asGood' | 'slow' | 'undecided'>;
export const CYCLES_NOTES = ['fewReadings', 'coarse', 'someNotReached', 'noUsual'] as const;
export type CyclesNote = (typeof CYCLES_NOTES)[number];

export interface CyclesJudged {
  readonly verdict: CyclesVerdict;
  /** From the start of the fall to the set pressure, s: of the cycles that came to it. */
  readonly pullDownS: FigureRead;
  /** What it is held against, s; null where nothing says. */
  readonly usualS: number | null;
  readonly toPa: number;
  readonly cycles: number;
  readonly reached: number;
  readonly from: number;
  readonly to: number;
  readonly notes: readonly CyclesNote[];
}

/** Of the highest pressure: from there down a cycle falls, and up to there it has been vented. */
const TOP_SHARE = 0.9;
/** Readings further apart than this share of the pull-down do not time it. */
const COARSE_SHARE = 0.25;
const MOST_CYCLES = 10_000;

interface Cycle {
  readonly seconds: number | null;
  /** Between the readings on either side of its start and of its end, s. */
  readonly unsureS: number;
}

/**
 * Cycles of a packer, empty: seconds from the start of the fall to the set pressure, between readings by the logarithm of the
 * pressure.
 * @param input.points absolute pressures over seconds, one cycle or many
 * @param input.toPa the set pressure, above 0
 * @param input.usualS of earlier tests of this set; else V / S · ln(p0 / p) is taken where the volume is known
 * @throws RangeError where the set pressure is not above 0
 */
export function judgeCycles(input: {
  points: GaugeSeries;
  toPa: number;
  usualS?: number | null;
  volumeL?: number | null;
  pumpingSpeedM3h?: number | null;
}): CyclesJudged {
  const { points, toPa, volumeL, pumpingSpeedM3h } = input;
  if (!(toPa > 0)) throw new RangeError(`toPa: ${toPa} is not above 0`);
  const all = columnsOf(points);
  const top = all.pa.reduce((most, p) => Math.max(most, p), 0);
  const reckoned =
    volumeL && pumpingSpeedM3h && top > toPa ? ((volumeL * 3.6) / pumpingSpeedM3h) * Math.log(top / toPa) : null;
  const usualS = input.usualS ?? reckoned;
  const { cycles, from, to } = cyclesIn(all, top, toPa);
  const timed = cycles.flatMap(({ seconds, unsureS }) => (seconds === null ? [] : [{ seconds, unsureS }]));
  const none = { usualS, toPa, cycles: cycles.length, reached: timed.length, from, to };
  if (cycles.length === 0) return { ...none, verdict: 'undecided', pullDownS: NOTHING, notes: ['fewReadings'] };
  const sorted = timed.map((t) => t.seconds).sort((a, b) => a - b);
  const unsureS = median(timed.map((t) => t.unsureS)) / 2;
  const middle = median(sorted);
  const nth = (share: number) => sorted[Math.round(share * (sorted.length - 1))] ?? 0;
  const pullDownS =
    timed.length === 0
      ? NOTHING
      : {
          p10: Math.max(0, Math.min(nth(0.1), middle - unsureS)),
          p50: middle,
          p90: Math.max(nth(0.9), middle + unsureS),
        };
  const everyS = all.s.length > 1 ? ((all.s.at(-1) ?? 0) - (all.s[0] ?? 0)) / (all.s.length - 1) : 0;
  // A low point that falls between two readings is not seen either.
  const isCoarse = Math.max(2 * unsureS, everyS) > COARSE_SHARE * (usualS ?? middle);
  const slowFrom = usualS === null ? null : PULL_DOWN_SLOW_TIMES * usualS;
  const mostReach = 2 * timed.length > cycles.length;
  const verdict: CyclesVerdict = !mostReach
    ? isCoarse
      ? 'undecided'
      : 'slow'
    : slowFrom === null
      ? 'undecided'
      : middle - (isCoarse ? unsureS : 0) > slowFrom
        ? 'slow'
        : middle + (isCoarse ? unsureS : 0) <= slowFrom
          ? 'asGood'
          : 'undecided';
  return {
    ...none,
    verdict,
    pullDownS,
    notes: [
      ...(isCoarse ? (['coarse'] as const) : []),
      ...(timed.length < cycles.length ? (['someNotReached'] as const) : []),
      ...(usualS === null ? (['noUsual'] as const) : []),
    ],
  };
}

/** Every fall from near the top: it ends at the set pressure, or when it is vented again before. The last one may be cut off. */
function cyclesIn({ s, pa }: Columns, top: number, toPa: number): { cycles: Cycle[]; from: number; to: number } {
  const high = TOP_SHARE * top;
  const cycles: Cycle[] = [];
  let [from, to] = [0, pa.length];
  let fellFrom: number | null = null;
  let isOver = false;
  const crossing = (i: number, level: number): number => {
    const [before, after] = [Math.log(pa[i - 1] ?? 1), Math.log(pa[i] ?? 1)];
    const share = before > after ? (before - Math.log(level)) / (before - after) : 1;
    return (s[i - 1] ?? 0) + Math.min(1, Math.max(0, share)) * ((s[i] ?? 0) - (s[i - 1] ?? 0));
  };
  for (let i = 1; i < pa.length && cycles.length < MOST_CYCLES; i++) {
    const [before, p] = [pa[i - 1] ?? 0, pa[i] ?? 0];
    if (p >= high) {
      if (fellFrom !== null && !isOver) cycles.push({ seconds: null, unsureS: 0 });
      [fellFrom, isOver] = [null, false];
    } else if (before >= high) {
      fellFrom = i;
      if (cycles.length === 0) from = i - 1;
    }
    if (fellFrom !== null && !isOver && p <= toPa) {
      const start = s[fellFrom - 1] ?? 0;
      const gaps = [fellFrom, i].map((at) => (s[at] ?? 0) - (s[at - 1] ?? 0));
      cycles.push({ seconds: crossing(i, toPa) - start, unsureS: Math.max(...gaps) });
      [isOver, to] = [true, i + 1];
    }
  }
  return { cycles, from, to };
}
