import {
  chamberSpeeds,
  INLET_PART_NEEDS,
  laminarBelowPa,
  minutesLost,
  throughInlet,
  type InletPart,
  type InletPartKind,
} from '@winter-jar/core';
import { number } from '../ui/number.js';
import { typedNumber } from '../ui/typed-number.js';

export type InletField = Exclude<keyof InletPart, 'kind'>;
/** A part as it is typed. */
export type TypedPart = { readonly kind: InletPartKind } & Readonly<Partial<Record<InletField, string>>>;

/** Of each figure: the least and the most. */
export const INLET_BOUNDS: Readonly<Record<InletField, { readonly min: number; readonly max: number }>> = {
  diameterMm: { min: 1, max: 1000 },
  lengthMm: { min: 1, max: 100_000 },
  count: { min: 1, max: 50 },
  conductanceLPerS: { min: 0.001, max: 100_000 },
};

export const typedPart = ({ kind, ...figures }: InletPart): TypedPart => ({
  kind,
  ...Object.fromEntries(Object.entries(figures).flatMap(([key, value]) => (value ? [[key, String(value)]] : []))),
});

/** What is wrong with a figure; undefined where it is right. */
export function figureIssue(field: InletField, text: string): string | undefined {
  const { min, max } = INLET_BOUNDS[field];
  const read = typedNumber(text, { min, max });
  if (read.ok && (field !== 'count' || Number.isInteger(read.value))) return undefined;
  return `Right would be a ${field === 'count' ? 'whole ' : ''}number from ${min} to ${number(max)}.`;
}

/** The chain, or null where a figure is missing or wrong. */
export function partsOf(typed: readonly TypedPart[]): InletPart[] | null {
  const parts = typed.map((part): InletPart | null => {
    const figures = INLET_PART_NEEDS[part.kind].map((field) => {
      const text = part[field] ?? '';
      const read = typedNumber(text, INLET_BOUNDS[field]);
      return figureIssue(field, text) === undefined && read.ok ? ([field, read.value] as const) : null;
    });
    return figures.every((f) => f !== null) ? { kind: part.kind, ...Object.fromEntries(figures) } : null;
  });
  return parts.every((p) => p !== null) ? parts : null;
}

/** Bores of hoses that are sold, mm. */
const SIZES = [16, 20, 25, 32, 40, 50, 63, 80, 100];
/** Below that nobody changes a hose. */
export const WORTH_MINUTES = 0.25;
/** From three times what the pump comes to, its own end holds a pump-down up, not its hose. */
const OWN_END_TIMES = 3;
const DECADES_SHOWN = 6;

export interface InletCosts {
  /** Above it flow whirls and nothing is claimed. */
  readonly belowPa: number;
  readonly toPa: number;
  readonly speeds: readonly { readonly chamberPa: number; readonly air: number; readonly vapour: number }[];
  /** A pump-down's minutes from `belowPa` to `toPa`; null where the volume is not known. */
  readonly lostMinutes: number | null;
  /** With all hoses and bends at least so wide. */
  readonly wider: readonly { readonly diameterMm: number; readonly lostMinutes: number; readonly saved: number }[];
  /** The narrowest that is worth it. */
  readonly best: { readonly diameterMm: number; readonly saved: number } | null;
  /** The part that holds up most where the gas is thinnest. */
  readonly most: number | null;
}

const atLeast = (parts: readonly InletPart[], mm: number): InletPart[] =>
  parts.map((p) =>
    p.kind === 'hose' || p.kind === 'bends' ? { ...p, diameterMm: Math.max(mm, p.diameterMm ?? 0) } : p,
  );

/** What lies between chamber and pump costs: speed at some pressures, minutes of a pump-down, and what wider hoses would give back. */
export function inletCosts(input: {
  parts: readonly InletPart[];
  pumpingSpeedM3h: number;
  volumeL: number | null;
  targetPa: number;
  ultimatePa: number;
}): InletCosts {
  const { parts, pumpingSpeedM3h, volumeL } = input;
  const belowPa = laminarBelowPa({ parts, pumpingSpeedM3h });
  const toPa = Math.min(Math.max(input.targetPa, OWN_END_TIMES * input.ultimatePa), belowPa / 10);
  const lostBy = (chain: readonly InletPart[]): number =>
    volumeL === null ? 0 : minutesLost({ parts: chain, pumpingSpeedM3h, volumeL, fromPa: belowPa, toPa });
  const lostMinutes = volumeL === null ? null : lostBy(parts);
  const narrowest = Math.min(...parts.flatMap((p) => (p.kind === 'hose' ? [p.diameterMm ?? Infinity] : [])));
  const wider =
    lostMinutes === null
      ? []
      : SIZES.filter((mm) => mm > narrowest)
          .slice(0, 4)
          .map((diameterMm) => {
            const lost = lostBy(atLeast(parts, diameterMm));
            return { diameterMm, lostMinutes: lost, saved: lostMinutes - lost };
          });
  const most = wider.at(-1)?.saved ?? 0;
  // The first that gives back nearly all that there is to have.
  const best = most < WORTH_MINUTES ? null : (wider.find((w) => w.saved >= 0.8 * most) ?? null);
  const rows = Array.from({ length: DECADES_SHOWN }, (_, i) => 10 ** (4 - i)).filter(
    (pa) => pa <= belowPa && pa >= toPa / 10,
  );
  const [air, vapour] = (['air', 'waterVapour'] as const).map((gas) =>
    chamberSpeeds({ parts, pumpingSpeedM3h, gas, atPa: rows }),
  );
  return {
    ...{ belowPa, toPa, lostMinutes, wider, best },
    speeds: rows.map((chamberPa, i) => ({ chamberPa, air: air?.[i] ?? 0, vapour: vapour?.[i] ?? 0 })),
    most: mostOf(parts, (chain) => throughInlet({ parts: chain, pumpingSpeedM3h, pumpPa: toPa }).chamberPa),
  };
}

/** Which part makes the pressure climb most, by itself. */
function mostOf(parts: readonly InletPart[], climbOf: (chain: readonly InletPart[]) => number): number | null {
  if (parts.length === 0) return null;
  const climbs = parts.map((part) => climbOf([part]));
  return climbs.indexOf(Math.max(...climbs));
}
