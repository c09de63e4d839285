/** A stretch of time in which something was heard to be on, or off. Where nothing was heard there is none. */
export interface Span {
  readonly fromMs: number;
  readonly toMs: number;
  readonly on: boolean;
}

/** A stretch in which something was on; whether somebody saw it begin and end, or was not listening then. */
export interface Interval {
  readonly fromMs: number;
  readonly toMs: number;
  readonly beginSeen: boolean;
  /** `going`: on until the last that was heard. */
  readonly end: 'seen' | 'unseen' | 'going';
}

/**
 * One more reading behind the last, in the order of time. A change lies halfway between the two readings that show it.
 * @param spans what was heard so far; it is changed
 * @param silentMs a longer pause is a silence: nobody knows what was in it
 */
export function hear(spans: Span[], { atMs, on }: { atMs: number; on: boolean }, silentMs: number): void {
  const last = spans.at(-1);
  if (!last || atMs - last.toMs > silentMs) {
    spans.push({ fromMs: atMs, toMs: atMs, on });
    return;
  }
  if (last.on === on) spans[spans.length - 1] = { ...last, toMs: Math.max(last.toMs, atMs) };
  else {
    const changeMs = (last.toMs + atMs) / 2;
    spans[spans.length - 1] = { ...last, toMs: changeMs };
    spans.push({ fromMs: changeMs, toMs: atMs, on });
  }
}

/**
 * A contact that bounces and a current that swings about its limit: off for less than a flap counts as on, since nobody stops a pump
 * for so little; on for less, with off all round, counts as off then.
 */
export function withoutFlaps(spans: readonly Span[], flapMs: number): Span[] {
  return merged(merged(spans, { on: false, flapMs }), { on: true, flapMs });
}

/** Spans of one kind that are shorter than a flap are taken for what lies on both their sides. */
function merged(spans: readonly Span[], short: { readonly on: boolean; readonly flapMs: number }): Span[] {
  const kept: Span[] = [];
  for (const [i, span] of spans.entries()) {
    const before = kept.at(-1);
    const joins = before !== undefined && before.toMs === span.fromMs;
    const goesOn = spans[i + 1]?.fromMs === span.toMs;
    const flaps = joins && goesOn && span.on === short.on && span.toMs - span.fromMs < short.flapMs;
    if (before && joins && (flaps || before.on === span.on)) kept[kept.length - 1] = { ...before, toMs: span.toMs };
    else kept.push(span);
  }
  return kept;
}

/**
 * Where it was on. A silence with the same on both its sides is bridged where it is short; a longer one ends it, unseen.
 * @param bridgeMs the longest silence that is bridged
 */
export function onIntervals(spans: readonly Span[], bridgeMs: number): Interval[] {
  const found: Interval[] = [];
  for (const [i, { fromMs, toMs, on }] of spans.entries()) {
    const beforeMs = spans[i - 1]?.toMs ?? -Infinity;
    const heardBefore = beforeMs === fromMs;
    const last = found.at(-1);
    const open = last?.end === 'going' ? last : null;
    const goesOn = open !== null && on && (heardBefore || fromMs - beforeMs <= bridgeMs);
    if (open) found[found.length - 1] = goesOn ? { ...open, toMs } : { ...open, end: heardBefore ? 'seen' : 'unseen' };
    if (on && !goesOn) found.push({ fromMs, toMs, beginSeen: heardBefore, end: 'going' });
  }
  return found;
}

/** The parts of the first that lie in the second: a part begins and ends as whichever of the two does. */
export function within(inner: readonly Interval[], outer: readonly Interval[]): Interval[] {
  const found: Interval[] = [];
  let o = 0;
  for (const i of inner) {
    while ((outer[o]?.toMs ?? Infinity) <= i.fromMs) o += 1;
    for (let k = o; k < outer.length && (outer[k]?.fromMs ?? 0) < i.toMs; k++) {
      const other = outer[k]!;
      const first = i.fromMs >= other.fromMs ? i : other;
      const last = i.toMs <= other.toMs ? i : other;
      // Both went on to where each was last heard.
      const going = i.end === 'going' && other.end === 'going';
      found.push({
        fromMs: first.fromMs,
        toMs: last.toMs,
        beginSeen: first.beginSeen,
        end: going ? 'going' : last.end === 'going' ? 'unseen' : last.end,
      });
    }
  }
  return found;
}

/** Intervals that lie closer together than this are one. */
export function joined(intervals: readonly Interval[], closerMs: number): Interval[] {
  const kept: Interval[] = [];
  for (const next of intervals) {
    const last = kept.at(-1);
    if (last && next.fromMs - last.toMs <= closerMs)
      kept[kept.length - 1] = { ...last, toMs: Math.max(last.toMs, next.toMs), end: next.end };
    else kept.push(next);
  }
  return kept;
}
