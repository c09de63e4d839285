import type {
  BroughtLine,
  BroughtMeasure,
  InletPart,
  InletPartKind,
  InlineFilterAssumption,
  InlineFilterLine,
} from '@winter-jar/core';
import { number } from '../ui/number.js';

export const INLET_PART_WORDS: Readonly<Record<InletPartKind, { readonly one: string; readonly add: string }>> = {
  hose: { one: 'Hose or pipe', add: 'Add a hose' },
  bends: { one: 'Bends of 90°', add: 'Add bends' },
  valve: { one: 'Valve', add: 'Add a valve' },
  filter: { one: 'In-line filter or trap', add: 'Add a filter' },
};

export const INLET_FIELD_WORDS: Readonly<
  Record<Exclude<keyof InletPart, 'kind'>, { readonly label: string; readonly example: string }>
> = {
  diameterMm: { label: 'Inside, mm', example: '25' },
  lengthMm: { label: 'Length, mm', example: '1500' },
  count: { label: 'How many', example: '2' },
  conductanceLPerS: { label: 'Lets through, L/s', example: '4' },
};

/** A part in a line: “Hose or pipe, 25 mm × 1500 mm”. */
export function partWords({ kind, diameterMm, lengthMm, count, conductanceLPerS }: InletPart): string {
  const { one } = INLET_PART_WORDS[kind];
  switch (kind) {
    case 'hose':
    case 'valve':
      return `${one}, ${number(diameterMm ?? 0, 1)} mm × ${number(lengthMm ?? 0)} mm`;
    case 'bends':
      return `${number(count ?? 0)} bends of 90°, ${number(diameterMm ?? 0, 1)} mm`;
    case 'filter':
      return `${one}, ${number(conductanceLPerS ?? 0, 1)} L/s`;
  }
}

/** Minutes as people say them: “20 s”, “4 min”. */
export const lostWords = (minutes: number): string =>
  minutes < 1 ? `${number(minutes * 60)} s` : `${number(minutes, minutes < 10 ? 1 : 0)} min`;

export const INLINE_LINE_WORDS: Readonly<Record<InlineFilterLine, string>> = {
  oil: 'Oil changes that are kept',
  pump: 'Wear of the pump that is kept',
  housing: 'The housing, over its life',
  elements: 'Elements and their changes',
  joints: 'Leaks at its joints',
  time: 'Time that it costs',
};

export const ASSUMPTION_WORDS: Readonly<Record<InlineFilterAssumption, string>> = {
  particleShare: 'how many of the oil changes particles make',
  wearShare: 'how much of the wear particles make',
  leaksPerJointYear: 'how often its joints leak',
  elementsPerYear: 'how often its element is changed',
};

export const BROUGHT_WORDS: Readonly<Record<BroughtMeasure, { readonly name: string; readonly digits: number }>> = {
  runs: { name: 'Weighted runs', digits: 1 },
  colourRise: { name: 'Darkening per weighted run, steps', digits: 2 },
  ironPpmPer100h: { name: 'Iron per 100\u00a0h, ppm', digits: 1 },
  siliconPpm: { name: 'Silicon, ppm', digits: 1 },
  particleClass: { name: 'Particle class at 6\u00a0µm', digits: 1 },
};

/** "5.1 less (2.0 to 7.3 less)"; where its ends lie on both sides nothing is told. */
export function broughtWords({ measure, shift }: BroughtLine): string {
  const { digits } = BROUGHT_WORDS[measure];
  const one = (value: number): string => `${number(Math.abs(value), digits)} ${value < 0 ? 'less' : 'more'}`;
  if (shift.p10 < 0 && shift.p90 > 0) return `nothing that can be told (${one(shift.p10)} to ${one(shift.p90)})`;
  const [near, far] = shift.p50 < 0 ? [shift.p90, shift.p10] : [shift.p10, shift.p90];
  return `${one(shift.p50)} (${number(Math.abs(near), digits)} to ${number(Math.abs(far), digits)})`;
}
