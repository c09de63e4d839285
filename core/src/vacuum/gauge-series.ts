/** Readings of a gauge: points, or columns where there are many. Seconds only rise; pressures are absolute. */
export type GaugeSeries =
  | readonly { readonly s: number; readonly pa: number }[]
  | { readonly s: ArrayLike<number>; readonly pa: ArrayLike<number> };

export interface Columns {
  readonly s: Float64Array;
  readonly pa: Float64Array;
}

export function columnsOf(series: GaugeSeries): Columns {
  if ('pa' in series) return { s: new Float64Array(series.s), pa: new Float64Array(series.pa) };
  const columns = { s: new Float64Array(series.length), pa: new Float64Array(series.length) };
  // Of many readings a loop takes a tenth of the time that a function per reading does.
  for (let i = 0; i < series.length; i++) {
    const point = series[i] as { s: number; pa: number };
    columns.s[i] = point.s;
    columns.pa[i] = point.pa;
  }
  return columns;
}

/** From one reading up to before another; no copy. */
export const cut = ({ s, pa }: Columns, from: number, to: number): Columns => ({
  s: s.subarray(from, to),
  pa: pa.subarray(from, to),
});

/**
 * Means of stretches of equally many readings, where they are too many to fit each: nothing that changes over more than a stretch is
 * lost by it, and the scatter falls as it does in a fit of all.
 * @param left out of the means: spikes, 1 for each
 */
export function averaged({ s, pa }: Columns, most: number, left: Uint8Array): { columns: Columns; every: number } {
  const every = Math.max(1, Math.ceil(s.length / most));
  if (every === 1) return { columns: { s, pa }, every };
  const n = Math.ceil(s.length / every);
  const columns = { s: new Float64Array(n), pa: new Float64Array(n) };
  for (let k = 0; k < n; k++) {
    const [from, to] = [k * every, Math.min(s.length, (k + 1) * every)];
    let sumS = 0;
    let sumPa = 0;
    let kept = 0;
    for (let i = from; i < to; i++) {
      if (left[i]) continue;
      sumS += s[i] ?? 0;
      sumPa += pa[i] ?? 0;
      kept += 1;
    }
    columns.s[k] = kept > 0 ? sumS / kept : (s[from] ?? 0);
    columns.pa[k] = kept > 0 ? sumPa / kept : (pa[from] ?? 0);
  }
  return { columns, every };
}

/** Medians of as many stretches of equally many readings, or the readings themselves where they are fewer. */
export function inStretches({ s, pa }: Columns, most: number): { s: number[]; pa: number[]; first: number[] } {
  const every = Math.max(1, Math.ceil(s.length / most));
  const found = { s: [] as number[], pa: [] as number[], first: [] as number[] };
  for (let from = 0; from < s.length; from += every) {
    const to = Math.min(s.length, from + every);
    const sorted = pa.slice(from, to).sort();
    found.s.push(((s[from] ?? 0) + (s[to - 1] ?? 0)) / 2);
    found.pa.push(sorted[(to - from) >> 1] ?? 0);
    found.first.push(from);
  }
  return found;
}
