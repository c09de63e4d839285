import type { InletPart } from '../set-up/index.js';
import { inletConductanceLPerS } from './inlet-chain.js';

export interface Hose {
  readonly diameterMm: number;
  readonly lengthMm: number;
}
/** What lies between chamber and pump: one hose, or a chain from the chamber on. */
export type Between = Hose | readonly InletPart[];
const partsOf = (between: Between): readonly InletPart[] =>
  'diameterMm' in between ? [{ kind: 'hose', ...between }] : between;

/** A pump-down as what takes gas out and what lets it in. */
export interface PumpDownWay {
  /** At the pump's inlet, m³/s. */
  readonly speedM3s: number;
  /** Where it would end without outgassing: the pump's own ultimate and what a leak adds, Pa. */
  readonly basePa: number;
  /** Outgassing after the first second, Pa·m³/s (0: none), and with which power of time it falls: 1 off metal, 0.5 out of rubber, resin and cores. */
  readonly outgassing: number;
  readonly outgassingPower: number;
  /** Pressure when it began. */
  readonly startPa: number;
  /** Conductance in molecular flow of something narrow in the way, m³/s; null where there is none. */
  readonly narrowM3s: number | null;
  /** Vapour of a wet load: what it levels off at, how fast it gives off (m³/s), and how much until it is dry (Pa·m³); null for a dry one. */
  readonly wet: { readonly vapourPa: number; readonly rateM3s: number; readonly amount: number } | null;
}

/** Of a narrow place of some 16 mm the flow is as much viscous as molecular at this pressure (Knudsen's formula, both terms alike). */
const NARROW_TURNS_PA = 5.6;
const LEAST_AGE_S = 1;
const LAST_SHARE = 0.1;

/** Speed at the chamber, m³/s. */
export function speedAtChamber(
  way: Pick<PumpDownWay, 'speedM3s' | 'narrowM3s'>,
  pa: number,
  hose: Between | null,
): number {
  let resistance = 1 / way.speedM3s;
  if (way.narrowM3s !== null) resistance += 1 / (way.narrowM3s * (1 + pa / NARROW_TURNS_PA));
  // Half of it stands at the pump's end, nearly.
  if (hose) resistance += 1000 / inletConductanceLPerS(partsOf(hose), pa * 0.75);
  return 1 / resistance;
}

/** What still comes off the walls after so many seconds, Pa·m³/s. */
export const outgassingAt = ({ outgassing, outgassingPower }: PumpDownWay, s: number): number =>
  outgassing * (s + LEAST_AGE_S) ** -outgassingPower;

/** Steps of a fraction of the time in which the pressure falls by e. */
const STEP = 0.2;
const MOST_STEPS = 6000;

/**
 * Logarithm of the pressure at each time: V dp/dt = −S(p) (p − p_base) + outgassing / t + what a wet load gives off. Each step is taken with
 * the exact solution for a speed that stays (exponential Euler with its middle; Hairer & Wanner 1996, Solving ODEs II, IV.2).
 * @param seconds since the pump began, only rising
 */
export function logPressures(
  way: PumpDownWay,
  { seconds, volumeM3, hose }: { seconds: Float64Array; volumeM3: number; hose: Between | null },
): Float64Array {
  const found = new Float64Array(seconds.length);
  const last = seconds[seconds.length - 1] ?? 0;
  const least = last / MOST_STEPS;
  let [t, p, at, left] = [0, way.startPa, 0, way.wet?.amount ?? 0];
  while (at < seconds.length) {
    const quick = speedAtChamber(way, p, hose);
    const step = Math.max(least, Math.min((STEP * volumeM3) / quick, STEP * (t + 5)));
    // The speed in the middle of the step.
    const rough = course(t, p, quick, step / 2);
    const speed = speedAtChamber(way, rough.p, hose);
    const { towards, rate, p: end } = course(t, p, speed, step);
    while (at < seconds.length && (seconds[at] ?? 0) <= t + step) {
      const inside = towards + (p - towards) * Math.exp(-rate * ((seconds[at] ?? 0) - t));
      found[at] = Math.log(Math.max(inside, 1e-9));
      at += 1;
    }
    if (way.wet && left > 0) left -= Math.max(0, giving(way.wet).rateM3s * (way.wet.vapourPa - (p + end) / 2)) * step;
    t += step;
    p = end;
  }
  return found;

  /** The last of it gives off less and less. */
  function giving(wet: NonNullable<PumpDownWay['wet']>) {
    return { ...wet, rateM3s: wet.rateM3s * Math.min(1, left / (LAST_SHARE * wet.amount)) };
  }

  function course(from: number, start: number, speed: number, step: number) {
    const wet = way.wet && left > 0 && start < way.wet.vapourPa ? giving(way.wet) : null;
    const gas = outgassingAt(way, from + step / 2);
    const out = speed + (wet?.rateM3s ?? 0);
    const towards = (speed * way.basePa + gas + (wet ? wet.rateM3s * wet.vapourPa : 0)) / out;
    const rate = out / volumeM3;
    return { towards, rate, p: towards + (start - towards) * Math.exp(-rate * step) };
  }
}
