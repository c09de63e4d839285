import type { HouseSetUp, LabResultBody, ReuseFacts, Stay } from '@winter-jar/core';
import type { ReadingStatements } from '../database/statements.js';

type Sql = Pick<ReadingStatements, 'materialsBetween' | 'reportsBetween' | 'changeBefore'>;

/** What ran in the pumps while this oil was in them, and what the last report on it found. */
export function reuseFactsOf(sql: Sql, stays: readonly Stay[], house: HouseSetUp): ReuseFacts {
  const materials = new Map<string, ReuseFacts['materials'][number]>();
  const found = { acidMgKohG: null as number | null, viscosity40Mm2s: null as number | null };
  for (const stay of stays) {
    const span = spanOf(sql, stay);
    for (const { materialId } of sql.materialsBetween.all(span)) {
      const material = materialId === null ? null : house.material[materialId];
      if (materialId === null || !material) continue;
      materials.set(materialId, { materialId, solvent: material.solvent, acid: material.acid });
    }
    for (const { content } of sql.reportsBetween.all(span)) {
      const { body } = JSON.parse(content) as { body: LabResultBody };
      found.acidMgKohG = body.acidMgKohG ?? found.acidMgKohG;
      found.viscosity40Mm2s = body.viscosity40Mm2s ?? found.viscosity40Mm2s;
    }
  }
  const lab = found.acidMgKohG === null && found.viscosity40Mm2s === null ? null : found;
  return { materials: [...materials.values()].sort((a, b) => (a.materialId < b.materialId ? -1 : 1)), lab };
}

/** Where nobody has said when it was filled: since the change before, or ever. */
export function spanOf(
  sql: Pick<Sql, 'changeBefore'>,
  { pumpId, from, until }: Stay,
): { pumpId: string; from: string; until: string } {
  const since = from ?? sql.changeBefore.get({ pumpId, until })?.happenedAt ?? '';
  return { pumpId, from: since, until };
}
