import { pumpUltimatePa } from '../machine/index.js';
import type { Instrument, PumpSetUp } from '../set-up/index.js';
import type { LoadBy } from './runs-seen.js';

/** What a valve says is surest, then a counter of cycles, then the gas at the inlet. */
const SUREST: readonly LoadBy[] = ['valveOpen', 'cycles', 'pressure'];

/** By which of its channels an instrument tells that a load is on the pump; null where it does not even tell that the pump turns. */
export function loadByOf({ channels }: Pick<Instrument, 'channels'>): LoadBy | null {
  const means = new Set((channels ?? []).map((c) => c.means));
  if (!means.has('running')) return null;
  return SUREST.find((by) => means.has(by)) ?? 'running';
}

const OVER_ULTIMATE_TIMES = 5;
const OVER_BALLAST_TIMES = 2;
/** Of rotary vane pumps: with the ballast open they come to some six times what they come to without. */
const BALLAST_TIMES = 6;

/**
 * Inlet pressure above which gas flows, Pa: what its record says, else well above what the pump comes to with its inlet shut, its
 * ballast open as in a purge.
 */
export function loadAbovePaOf({ loadAbovePa }: Pick<Instrument, 'loadAbovePa'>, setUp: PumpSetUp): number {
  const ownPa = pumpUltimatePa([], setUp);
  const ballastPa = setUp.model.ultimateBallastPa ?? BALLAST_TIMES * ownPa;
  return loadAbovePa ?? Math.max(OVER_ULTIMATE_TIMES * ownPa, OVER_BALLAST_TIMES * ballastPa);
}
