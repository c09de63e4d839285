import type { LookBody } from '../journal/index.js';
import { isHarder, type VerdictLevel } from '../limits/index.js';
import type { Act } from './finding.js';
import { readOil, type LookInContext } from './read-oil.js';

/** Readings that a person drags or steps. */
export type Dragged = 'freeWaterMl' | 'creamMl' | 'sludgeMl' | 'colour' | 'hoursStood';

/** One reading that, on its own, would give another verdict. */
export interface VerdictChange {
  readonly reading: Dragged;
  readonly from: number;
  readonly to: number;
  readonly level: VerdictLevel;
  readonly act: Act | null;
}

const LAYERS = ['freeWaterMl', 'creamMl', 'sludgeMl'] as const;
/** Finer than anyone reads a jar. */
const STEP_ML = 1;
const COLOURS = Array.from({ length: 16 }, (_, i) => (i + 1) / 2);

/**
 * What would change this verdict: for each reading the nearest value that makes it harder, and the one that makes it milder.
 * Layers are searched by halving in whole mL, which holds because more of any of them never makes a verdict milder.
 */
export function whatWouldChange(context: LookInContext): VerdictChange[] {
  const now = readOil(context).level;
  const levelWith = (change: Partial<LookBody>) => readOil({ ...context, look: { ...context.look, ...change } });
  const tip = (reading: Dragged, from: number, to: number): VerdictChange => {
    const { level, act } = levelWith({ [reading]: to });
    return { reading, from, to, level, act };
  };
  const found: VerdictChange[] = [];
  for (const layer of LAYERS) {
    const from = context.look[layer] ?? 0;
    const most = Math.max(from, roomFor(context, layer));
    const isHarderAt = (to: number) => isHarder(levelWith({ [layer]: to }).level, now);
    const isMilderAt = (to: number) => isHarder(now, levelWith({ [layer]: to }).level);
    if (isHarderAt(most)) found.push(tip(layer, from, smallest(from, most, isHarderAt)));
    if (from > 0 && isMilderAt(0))
      found.push(tip(layer, from, from - smallest(0, from, (less) => isMilderAt(from - less))));
  }
  const { colour } = context.look;
  if (colour !== null && colour !== undefined) {
    const darker = COLOURS.find((c) => c > colour && isHarder(levelWith({ colour: c }).level, now));
    const lighter = COLOURS.findLast((c) => c < colour && isHarder(now, levelWith({ colour: c }).level));
    for (const to of [darker, lighter]) if (to !== undefined) found.push(tip('colour', colour, to));
  }
  const { settling } = readOil(context);
  if (!settling.settled && context.look.hoursStood > 0) {
    const stood = tip('hoursStood', context.look.hoursStood, settling.neededHours);
    if (stood.level !== now) found.push(stood);
  }
  return found;
}

/** What a layer could grow to: the oil in the jar, or the charge behind the glass. */
function roomFor({ look, charge }: LookInContext, layer: (typeof LAYERS)[number]): number {
  if (look.source === 'sightGlass') return charge.chargeMl;
  const others = LAYERS.filter((l) => l !== layer).reduce((sum, l) => sum + (look[l] ?? 0), 0);
  return Math.max(0, (look.lookedAtMl ?? 0) - others);
}

/** The smallest whole number of mL above `low` for which it holds; it is known to hold at `high`. */
function smallest(low: number, high: number, holds: (value: number) => boolean): number {
  let no = low;
  let yes = high;
  while (yes - no > STEP_ML) {
    const middle = Math.round((no + yes) / 2 / STEP_ML) * STEP_ML;
    if (middle <= no || middle >= yes) break;
    if (holds(middle)) yes = middle;
    else no = middle;
  }
  return yes;
}
