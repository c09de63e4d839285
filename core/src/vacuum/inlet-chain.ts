import { INLET_PART_NEEDS, type InletPart } from '../set-up/index.js';
import { hoseConductanceLPerS } from './hose-conductance.js';

export type InletGas = 'air' | 'waterVapour';

/** Against air: deep down by the lighter molecule, the root of 29 / 18; where it is dense by its viscosity (docs/trade.md 6). */
const BETTER: Readonly<Record<InletGas, { readonly molecular: number; readonly viscous: number }>> = {
  air: { molecular: 1, viscous: 1 },
  waterVapour: { molecular: 1.27, viscous: 1.8 },
};
/** What an opening adds to the length of a short tube, and a bend of 90° to its hose, in diameters (O'Hanlon 2003, A User's Guide to Vacuum Technology, 3.2). */
const OPENING = 4 / 3;
const BEND = 2 / 3;
/** Up there the formula says more than flows. */
const HIGHEST_PA = 10_000;

interface Inlet {
  readonly parts: readonly InletPart[];
  /** At the pump's inlet, above 0. */
  readonly pumpingSpeedM3h: number;
  readonly gas?: InletGas;
}

function needed(part: InletPart): void {
  for (const field of INLET_PART_NEEDS[part.kind])
    if (!((part[field] ?? 0) > 0)) throw new RangeError(`${part.kind}.${field}: ${part[field]} is not above 0`);
}

/** Straight round tube that a part counts as, cm; null of a filter. */
function tubeOf({ kind, diameterMm, lengthMm, count }: InletPart): { diameterCm: number; lengthCm: number } | null {
  const diameterCm = (diameterMm ?? 0) / 10;
  const length = (lengthMm ?? 0) / 10;
  switch (kind) {
    case 'hose':
      return { diameterCm, lengthCm: length };
    case 'valve':
      return { diameterCm, lengthCm: length + OPENING * diameterCm };
    case 'bends':
      return { diameterCm, lengthCm: (count ?? 0) * BEND * diameterCm };
    case 'filter':
      return null;
  }
}

/** Conductance of one part at a mean pressure, L/s: what grows with it (per Pa) and the rest, which hardly does. */
function conductanceOf(
  part: InletPart,
  meanPa: number,
  gas: InletGas,
): { readonly perPa: number; readonly rest: number } {
  const tube = tubeOf(part);
  const { molecular, viscous } = BETTER[gas];
  if (!tube) return { perPa: 0, rest: (part.conductanceLPerS ?? 0) * molecular };
  const meanPressureMbar = Math.min(meanPa, HIGHEST_PA) / 100;
  const perMbar = (135 * tube.diameterCm ** 4) / tube.lengthCm;
  const rest = molecular * (hoseConductanceLPerS({ ...tube, meanPressureMbar }) - perMbar * meanPressureMbar);
  const perPa = (viscous * perMbar) / 100;
  // Up there more is not believed.
  return meanPa > HIGHEST_PA ? { perPa: 0, rest: rest + perPa * HIGHEST_PA } : { perPa, rest };
}

/** Of a chain at one pressure, L/s: as if it stood at each of its parts. Infinity of none. */
export const inletConductanceLPerS = (parts: readonly InletPart[], meanPa: number, gas: InletGas = 'air'): number =>
  1 /
  parts.reduce((sum, part) => {
    const { perPa, rest } = conductanceOf(part, meanPa, gas);
    return sum + 1 / (perPa * meanPa + rest);
  }, 0);

/** The rest hardly changes: it is known after so many. */
const ROUNDS = 4;

/** Pressure before a part that lets a flow through, Pa: Q = (perPa · mean + rest) · (p1 − p2) solved for p1. @param flow L·Pa/s */
function above(part: InletPart, below: number, flow: number, gas: InletGas): number {
  let pa = below;
  for (let i = 0; i < ROUNDS; i++) {
    const { perPa, rest } = conductanceOf(part, (pa + below) / 2, gas);
    const all = (perPa / 2) * below * below + rest * below + flow;
    pa = (2 * all) / (rest + Math.sqrt(rest * rest + 2 * perPa * all));
  }
  return pa;
}

/**
 * What reaches the chamber of a pump's speed: the pressure climbs from the pump through each part, Q = C(mean) · (p1 − p2).
 * @param input.parts from the chamber to the pump
 * @param input.pumpPa at the pump's inlet
 * @returns the pressure at the chamber, Pa, and the speed there, m³/h
 * @throws RangeError where a part lacks what it needs, or the speed is not above 0. Example: a metre of 25 mm, 6 m³/h, 8.91 Pa → 11.09 Pa, 4.82 m³/h
 */
export function throughInlet(input: Inlet & { pumpPa: number }): {
  readonly chamberPa: number;
  readonly speedM3h: number;
} {
  const { parts, pumpingSpeedM3h, pumpPa, gas = 'air' } = input;
  if (!(pumpingSpeedM3h > 0)) throw new RangeError(`pumpingSpeedM3h: ${pumpingSpeedM3h} is not above 0`);
  parts.forEach(needed);
  const speedLPerS = pumpingSpeedM3h / 3.6;
  const flow = speedLPerS * pumpPa;
  const chamberPa = parts.toReversed().reduce((below, part) => above(part, below, flow, gas), pumpPa);
  return { chamberPa, speedM3h: (pumpingSpeedM3h * pumpPa) / chamberPa };
}

/** Pressure at the pump that gives one at the chamber, Pa. */
function pumpPaAt(inlet: Inlet, chamberPa: number): number {
  let [low, high] = [0, chamberPa];
  for (let i = 0; i < 50; i++) {
    const middle = (low + high) / 2;
    if (throughInlet({ ...inlet, pumpPa: middle }).chamberPa > chamberPa) high = middle;
    else low = middle;
  }
  return (low + high) / 2;
}

/** Speeds at the chamber, m³/h, where it stands at some pressures. @throws RangeError as {@link throughInlet} */
export const chamberSpeeds = (input: Inlet & { atPa: readonly number[] }): number[] =>
  input.atPa.map((pa) => (input.pumpingSpeedM3h * pumpPaAt(input, pa)) / pa);

/** Gas constant, J/(mol K); of air at 20 °C: molar mass, kg/mol, and viscosity, Pa·s; where a pipe's flow begins to whirl. */
const [R, T, AIR_KG, AIR_PA_S, WHIRLS] = [8.314, 293.15, 0.02896, 1.82e-5, 2300];

/**
 * Below which pressure air flows calmly in every part: Re = 4 ρ S / (π d η) under 2300, and at most 100 hPa. Above it no speed and no
 * minutes are claimed.
 */
export function laminarBelowPa({ parts, pumpingSpeedM3h }: Pick<Inlet, 'parts' | 'pumpingSpeedM3h'>): number {
  const narrowest = Math.min(...parts.flatMap((p) => (p.diameterMm ? [p.diameterMm / 1000] : [])));
  if (!Number.isFinite(narrowest)) return HIGHEST_PA;
  const pa = (WHIRLS * Math.PI * narrowest * AIR_PA_S * R * T) / (4 * AIR_KG * (pumpingSpeedM3h / 3600));
  return Math.min(HIGHEST_PA, pa);
}

const STEPS = 60;

/**
 * Minutes that a pump-down takes longer by what lies between chamber and pump, over a range of pressures: V ∫ (1/S' − 1/S) dp/p.
 * @param input.volumeL above 0
 * @param input.fromPa no higher than {@link laminarBelowPa}
 * @param input.toPa above 0 and below `fromPa`; well above the pump's ultimate
 * @throws RangeError where the volume or a pressure is not right
 */
export function minutesLost(input: Inlet & { volumeL: number; fromPa: number; toPa: number }): number {
  const { volumeL, fromPa, toPa, pumpingSpeedM3h } = input;
  if (!(volumeL > 0)) throw new RangeError(`volumeL: ${volumeL} is not above 0`);
  if (!(toPa > 0 && toPa < fromPa)) throw new RangeError(`toPa: ${toPa} is not between 0 and ${fromPa}`);
  const [low, high] = [Math.log(pumpPaAt(input, toPa)), Math.log(pumpPaAt(input, fromPa))];
  // By the pressure at the pump, of which the chamber's follows at once.
  const points = Array.from({ length: STEPS + 1 }, (_, i) => {
    const { chamberPa, speedM3h } = throughInlet({ ...input, pumpPa: Math.exp(low + ((high - low) * i) / STEPS) });
    return { at: Math.log(chamberPa), hours: (volumeL / 1000) * (1 / speedM3h - 1 / pumpingSpeedM3h) };
  });
  const hours = points.slice(1).reduce((sum, { at, hours }, i) => {
    const before = points[i]!;
    return sum + ((before.hours + hours) / 2) * (at - before.at);
  }, 0);
  return hours * 60;
}
