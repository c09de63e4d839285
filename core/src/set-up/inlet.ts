/** What gas passes from the chamber to the pump, in its order: hoses, right-angled bends in them, valves, filters. */
export const INLET_PART_KINDS = ['hose', 'bends', 'valve', 'filter'] as const;
export type InletPartKind = (typeof INLET_PART_KINDS)[number];

export interface InletPart {
  readonly kind: InletPartKind;
  /** Inside; of a valve its bore. Not of a filter. */
  readonly diameterMm?: number | null;
  /** Of a hose, and of a valve from flange to flange. */
  readonly lengthMm?: number | null;
  /** Of bends: how many of 90°. */
  readonly count?: number | null;
  /** Of a filter: what its maker says for air at low pressure. */
  readonly conductanceLPerS?: number | null;
}

/** What each kind cannot do without. */
export const INLET_PART_NEEDS: Readonly<Record<InletPartKind, readonly Exclude<keyof InletPart, 'kind'>[]>> = {
  hose: ['diameterMm', 'lengthMm'],
  bends: ['diameterMm', 'count'],
  valve: ['diameterMm', 'lengthMm'],
  filter: ['conductanceLPerS'],
};
