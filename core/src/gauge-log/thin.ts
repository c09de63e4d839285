/**
 * Readings for a screen: of each stretch its lowest and its highest, in their order, so that no peak is lost. Never for a fit.
 * @param most readings that are kept, about
 * @returns columns as they are where they are few enough
 */
export function thinned(
  { s, pa }: { readonly s: Float64Array; readonly pa: Float64Array },
  most: number,
): { s: Float64Array; pa: Float64Array } {
  if (s.length <= most) return { s, pa };
  const every = Math.ceil((2 * s.length) / most);
  const kept: number[] = [];
  for (let from = 0; from < s.length; from += every) {
    const to = Math.min(s.length, from + every);
    let [low, high] = [from, from];
    for (let i = from; i < to; i++) {
      if ((pa[i] ?? 0) < (pa[low] ?? 0)) low = i;
      if ((pa[i] ?? 0) > (pa[high] ?? 0)) high = i;
    }
    kept.push(...(low === high ? [low] : low < high ? [low, high] : [high, low]));
  }
  return { s: Float64Array.from(kept, (i) => s[i] ?? 0), pa: Float64Array.from(kept, (i) => pa[i] ?? 0) };
}
