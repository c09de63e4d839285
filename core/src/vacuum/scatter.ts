import { median } from '../statistics/index.js';
import type { Columns } from './gauge-series.js';

/** Of a median of absolute values to the standard deviation of a normal distribution, 1 / 0.6745. */
const MAD_TO_SIGMA = 1.4826;
/** A value less the mean of its neighbours has 3/2 of the variance of one. */
const OF_SECOND_DIFFERENCE = Math.sqrt(1.5);

/** How much a gauge's readings scatter: a part that stays and one that grows with the pressure. */
export interface Scatter {
  readonly pa: number;
  /** Of the pressure, 0-1. */
  readonly share: number;
}

/** Standard deviation of a reading at a pressure. */
export const sigmaAt = ({ pa, share }: Scatter, at: number): number => Math.hypot(pa, share * at);

const STRETCHES = 16;

/**
 * How much readings scatter about a smooth line, from each against its two neighbours (Rice 1984, Ann. Stat. 12, 1215, with medians, so
 * that spikes and steps do not count), by least squares of variance over pressure squared. A gauge's steps of digits are the least.
 */
export function scatterOf({ s, pa }: Columns): Scatter {
  const every = Math.max(8, Math.floor(pa.length / STRETCHES));
  const levels: { readonly p2: number; readonly variance: number }[] = [];
  for (let from = 1; from + 1 < pa.length; from += every) {
    const differences: number[] = [];
    let sum = 0;
    for (let i = from; i < Math.min(from + every, pa.length - 1); i++) {
      const [before, at, after] = [pa[i - 1] ?? 0, pa[i] ?? 0, pa[i + 1] ?? 0];
      const wide = (s[i + 1] ?? 0) - (s[i - 1] ?? 0);
      const share = wide > 0 ? ((s[i] ?? 0) - (s[i - 1] ?? 0)) / wide : 0.5;
      differences.push(Math.abs(at - before - share * (after - before)));
      sum += at;
    }
    if (differences.length < 4) continue;
    const sigma = (median(differences) * MAD_TO_SIGMA) / OF_SECOND_DIFFERENCE;
    levels.push({ p2: (sum / differences.length) ** 2, variance: sigma ** 2 });
  }
  return { ...variances(levels), ...atLeast(pa, levels) };
}

/** Both parts, neither below nothing; relative errors count alike, so that one loud stretch does not decide. */
function variances(levels: readonly { readonly p2: number; readonly variance: number }[]): Scatter {
  const rows = levels.filter((l) => l.variance > 0);
  if (rows.length === 0) return { pa: 0, share: 0 };
  const middle = median(rows.map((r) => r.variance));
  let [ww, wp, wpp, wv, wpv] = [0, 0, 0, 0, 0];
  for (const { p2, variance } of rows) {
    const w = 1 / (variance + middle) ** 2;
    [ww, wp, wpp, wv, wpv] = [ww + w, wp + w * p2, wpp + w * p2 * p2, wv + w * variance, wpv + w * p2 * variance];
  }
  const determinant = ww * wpp - wp * wp;
  const constant = determinant > 1e-12 * ww * wpp ? (wpp * wv - wp * wpv) / determinant : -1;
  const growing = determinant > 1e-12 * ww * wpp ? (ww * wpv - wp * wv) / determinant : -1;
  if (growing < 0) return { pa: Math.sqrt(wv / ww), share: 0 };
  if (constant < 0) return { pa: 0, share: Math.sqrt(wpv / wpp) };
  return { pa: Math.sqrt(constant), share: Math.sqrt(growing) };
}

/** Digits: the smallest step between two readings, evenly spread, has a standard deviation of its twelfth root. */
function atLeast(
  pa: Float64Array,
  levels: readonly { readonly p2: number; readonly variance: number }[],
): Partial<Scatter> {
  let step = Infinity;
  for (let i = 1; i < Math.min(pa.length, 2000); i++) {
    const d = Math.abs((pa[i] ?? 0) - (pa[i - 1] ?? 0));
    if (d > 0 && d < step) step = d;
  }
  const sigma = Number.isFinite(step) ? step / Math.sqrt(12) : 0;
  const { pa: constant, share } = variances(levels);
  const usual = Math.sqrt(median(levels.map((l) => l.p2)));
  if (Math.hypot(constant, share * usual) >= sigma) return {};
  return { pa: Math.max(constant, sigma, usual * 1e-6) };
}
