import { median } from '../statistics/index.js';
import { GrowingColumn } from './growing-column.js';

/** A stretch without readings. */
export interface LogGap {
  readonly fromS: number;
  readonly toS: number;
}

export interface Series {
  /** Seconds since the first reading, only rising. */
  readonly s: Float64Array;
  /** Absolute, Pa. */
  readonly pa: Float64Array;
  /** As the stamps had it. */
  readonly firstS: number;
  readonly gaps: readonly LogGap[];
  readonly backward: number;
  readonly repeated: number;
  /** How often the clock was set back, and the log went on from there. */
  readonly setBack: number;
}

/** So many steps without a reading are a gap. */
const GAP_STEPS = 10;
const MOST_GAPS = 50;
const STEPS_LOOKED_AT = 2000;

/** Readings in the order of their stamps: one that stands alone out of order is left out, a clock that was set back goes on. */
export class LogSeries {
  private readonly s = new GrowingColumn();
  private readonly pa = new GrowingColumn();
  private held: { readonly s: number; readonly pa: number } | null = null;
  private last = -Infinity;
  private step = 1;
  private shift = 0;
  private backward = 0;
  private setBack = 0;
  private equal = 0;

  add(stamp: number, pa: number): void {
    const s = stamp + this.shift;
    if (s >= this.last) {
      if (this.held) this.backward += 1;
      this.held = null;
      this.push(s, pa);
      return;
    }
    const { held } = this;
    if (held && s >= held.s) {
      const back = this.last + this.step - held.s;
      this.shift += back;
      this.setBack += 1;
      this.held = null;
      this.push(held.s + back, held.pa);
      this.push(s + back, pa);
      return;
    }
    if (held) this.backward += 1;
    this.held = { s, pa };
  }

  private push(s: number, pa: number): void {
    if (s > this.last && this.last !== -Infinity) this.step = s - this.last;
    if (s === this.last) this.equal += 1;
    this.last = s;
    this.s.push(s);
    this.pa.push(pa);
  }

  get length(): number {
    return this.s.length;
  }

  whole(): Series {
    if (this.held) this.backward += 1;
    this.held = null;
    const firstS = this.s.whole()[0] ?? 0;
    const { s, pa, repeated } = this.equal > 0 ? apart(this.s.whole(), this.pa.whole()) : both(this.s, this.pa);
    for (let i = 0; i < s.length; i++) s[i] = (s[i] ?? 0) - firstS;
    return { s, pa, firstS, gaps: gapsIn(s), backward: this.backward, repeated, setBack: this.setBack };
  }
}

const both = (s: GrowingColumn, pa: GrowingColumn) => ({ s: s.whole(), pa: pa.whole(), repeated: 0 });

/**
 * Readings under one stamp: written twice they are one; otherwise the stamps are coarser than the readings, and they lie evenly
 * between it and the next.
 */
function apart(s: Float64Array, pa: Float64Array): { s: Float64Array; pa: Float64Array; repeated: number } {
  let same = true;
  for (let i = 1; i < s.length && same; i++) same = s[i] !== s[i - 1] || pa[i] === pa[i - 1];
  let kept = 0;
  if (same) {
    for (let i = 0; i < s.length; i++) {
      if (i > 0 && s[i] === s[i - 1]) continue;
      s[kept] = s[i] ?? 0;
      pa[kept] = pa[i] ?? 0;
      kept += 1;
    }
    return { s: s.subarray(0, kept), pa: pa.subarray(0, kept), repeated: s.length - kept };
  }
  let step = 1;
  for (let from = 0; from < s.length;) {
    const stamp = s[from] ?? 0;
    let to = from + 1;
    while (to < s.length && s[to] === stamp) to += 1;
    // A group before a gap is no wider than the one before it.
    const ahead = to < s.length ? (s[to] ?? 0) - stamp : step;
    step = from === 0 ? ahead : Math.min(ahead, step * 2);
    for (let i = from; i < to; i++) s[i] = stamp + ((i - from) * step) / (to - from);
    from = to;
  }
  return { s, pa, repeated: 0 };
}

function gapsIn(s: Float64Array): LogGap[] {
  const every = Math.max(1, Math.floor(s.length / STEPS_LOOKED_AT));
  const steps: number[] = [];
  for (let i = 1; i < s.length; i += every) steps.push((s[i] ?? 0) - (s[i - 1] ?? 0));
  const usual = steps.length > 0 ? (median(steps) ?? 0) : 0;
  const gaps: LogGap[] = [];
  for (let i = 1; i < s.length && gaps.length < MOST_GAPS; i++)
    if (usual > 0 && (s[i] ?? 0) - (s[i - 1] ?? 0) > usual * GAP_STEPS)
      gaps.push({ fromS: s[i - 1] ?? 0, toS: s[i] ?? 0 });
  return gaps;
}
