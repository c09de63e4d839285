import { daysToRun, isIdle, runStream } from '../standing/run-stream.js';

/** The band of 8 in 10 of the n-th run from now, from when the last ones began, in days; null for an idle pump. */
export function bandOfUse(starts: readonly number[], now: number, runs: number): readonly [number, number] | null {
  const gaps = starts.slice(1).map((at, i) => Math.max(1e-3, at - (starts[i] ?? at)));
  const since = now - (starts.at(-1) ?? now);
  if (isIdle(gaps, since)) return null;
  const [p10, , p90] = daysToRun(runStream(gaps, since), { runs });
  return [p10, p90];
}
