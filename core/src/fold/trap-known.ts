import {
  asSegment,
  fitTrapEfficiency,
  leftAtFactorsUl,
  NOTHING_LEFT,
  type RunWater,
  type RunWaterInput,
  WATER_DEFAULTS,
} from '../water/index.js';
import { KEPT, type OpenStretch, type TrapKnown } from './state.js';

/** A stretch begins when the oil was looked into. @param foundUl found on the charge by then */
export const newStretch = (foundUl: number): OpenStretch => ({ equipmentId: null, foundUl, leftUl: NOTHING_LEFT });

/** The stretch with one run more; it tells nothing where one cannot be estimated, or went on another equipment. */
export function withRun(stretch: OpenStretch, equipmentId: string, run: RunWaterInput, water: RunWater): OpenStretch {
  if (stretch === null || !water.ok || !run.equipment.coldTrap) return null;
  if (stretch.equipmentId !== null && stretch.equipmentId !== equipmentId) return null;
  const left = leftAtFactorsUl(water, factorOf(run));
  return { ...stretch, equipmentId, leftUl: stretch.leftUl.map((ul, i) => ul + (left[i] ?? 0)) };
}

/** What is learnt when a stretch ends. @param foundUl found on its charge by now */
export function withStretch(traps: readonly TrapKnown[], stretch: OpenStretch, foundUl: number): readonly TrapKnown[] {
  if (stretch === null || stretch.equipmentId === null) return traps;
  const { equipmentId, leftUl } = stretch;
  const known = traps.find((t) => t.equipmentId === equipmentId) ?? { equipmentId, stretches: [], fit: null };
  const stretches = [...known.stretches, { foundUl: foundUl - stretch.foundUl, leftUl }].slice(-KEPT.trapStretches);
  const others = traps.filter((t) => t !== known && t.equipmentId !== equipmentId);
  return [...others, { ...known, stretches }].slice(-KEPT.equipments);
}

/** A new charge is expected by what all charges before it have told. */
export const fitted = (traps: readonly TrapKnown[]): TrapKnown[] =>
  traps.map((t, i) => (i < traps.length - 1 ? t : { ...t, fit: fitTrapEfficiency(t.stretches.map(asSegment)) }));

/**
 * A run with its trap as it counts on the charge that goes on: by its history, and as the set-up says where that tells too little.
 * Verdict, budget, run by run and what-if all estimate by it.
 */
export function withKnownTrap(run: RunWaterInput, traps: readonly TrapKnown[], equipmentId: string): RunWaterInput {
  const fit = traps.find((t) => t.equipmentId === equipmentId)?.fit;
  return fit?.ok && fit.knowsEnough ? { ...run, trapEfficiency: fit.efficiency } : run;
}

/** The factor that a run's water is estimated with. */
const factorOf = ({ trapEfficiency, equipment }: Pick<RunWaterInput, 'trapEfficiency' | 'equipment'>): number =>
  trapEfficiency ?? equipment.trapEfficiency ?? WATER_DEFAULTS.trapEfficiency;
