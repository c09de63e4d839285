import { countOf } from './number.js';
import type { RunRuler } from '@winter-jar/core';

export interface PlacedBar {
  readonly x: number;
  readonly width: number;
}

export interface RulerLayout {
  readonly collapsed: (PlacedBar & { readonly label: string }) | null;
  readonly bars: readonly (PlacedBar & { readonly bar: RunRuler['bars'][number] })[];
  readonly expected: readonly (PlacedBar & { readonly inDays: number | null })[];
  /** `beyond`: the limit lies further right than the ruler reaches. */
  readonly flag: { readonly x: number; readonly beyond: boolean } | null;
  /** One tick per plain run. */
  readonly ticks: readonly number[];
  readonly end: number;
}

const START = 8;
const GAP = 3;
const COLLAPSED_WIDTH = 84;
const FLAG_ROOM = 36;
/** Weighted runs shown at least, so that a single run does not fill the ruler. */
const MIN_EXTENT = 5;
const MAX_TICKS = 24;

/** Places a run ruler on a width in px, with room at the right for the flag and its text. The collapsed piece has a width of its own, all else is to scale. */
export function layOutRuler(ruler: RunRuler, width: number, flagTextWidth = 0): RulerLayout {
  const hidden = ruler.collapsed?.weight ?? 0;
  const origin = START + (ruler.collapsed ? COLLAPSED_WIDTH + GAP : 0);
  const used = ruler.usedWeight - hidden;
  const ahead = ruler.expected.reduce((sum, e) => sum + e.weight, 0);
  const flagWeight = ruler.flag ? ruler.flag.atWeight - hidden : null;
  const shown = Math.max(MIN_EXTENT, used + ahead);
  const beyond = flagWeight !== null && flagWeight > shown * 1.02;
  const extent = Math.max(shown, beyond ? 0 : (flagWeight ?? 0));
  const perWeight = (width - origin - FLAG_ROOM - flagTextWidth) / extent;
  const place = (from: number, weight: number): PlacedBar => ({
    x: origin + from * perWeight,
    width: Math.max(3, weight * perWeight - GAP),
  });

  let at = 0;
  const next = (weight: number) => {
    const placed = place(at, weight);
    at += weight;
    return placed;
  };
  const bars = ruler.bars.map((bar) => ({ ...next(bar.weight), bar }));
  const expected = ruler.expected.map((e) => ({ ...next(e.weight), inDays: e.inDays }));
  const end = origin + extent * perWeight;
  const flagX =
    flagWeight === null ? null : beyond ? end + 16 : Math.max(START, origin + flagWeight * perWeight - GAP / 2);
  const step = Math.max(1, Math.ceil(extent / MAX_TICKS));
  const ticks = Array.from({ length: Math.floor(extent / step) }, (_, i) => origin + (i + 1) * step * perWeight);
  return {
    collapsed: ruler.collapsed
      ? {
          x: START,
          width: COLLAPSED_WIDTH,
          label: `+${countOf(ruler.collapsed.runs, 'run')}`,
        }
      : null,
    bars,
    expected,
    flag: flagX === null ? null : { x: flagX, beyond },
    ticks,
    end,
  };
}
