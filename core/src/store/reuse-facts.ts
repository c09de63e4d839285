import type { Material } from '../set-up/index.js';

export type LabFigure = 'acidMgKohG' | 'viscosity40Mm2s';

/** What the journal says of an oil's stays in pumps: what ran then, and what the last report of them found. */
export interface ReuseFacts {
  readonly materials: readonly ({ readonly materialId: string } & Pick<Material, 'solvent' | 'acid'>)[];
  readonly lab: { readonly [F in LabFigure]?: number | null } | null;
}

export const NO_FACTS: ReuseFacts = { materials: [], lab: null };
