import type { Entry, LabValues } from '../journal/index.js';
import { stepPassed, type OilLimits } from '../oil/index.js';
import type { OilProduct, PumpSetUp } from '../set-up/index.js';
import { says, type SaidOfFinding } from './evidence.js';

interface Held {
  readonly values: LabValues;
  readonly product: OilProduct;
  readonly limits: OilLimits;
}

/**
 * What reports say, by the same limits that judge the oil: the first of them passed is a finding. Silicon has no limit of the trade;
 * whoever reads the report says it.
 */
export function evidenceOfLab(entries: readonly Entry[], { product, oilLimits }: PumpSetUp): SaidOfFinding[] {
  if (!product) return [];
  return entries.flatMap((entry) => {
    if (entry.kind !== 'labResult') return [];
    const sample = entries.find((e) => e.id === entry.body.sampleId);
    if (sample?.kind !== 'labSample' || sample.body.sump !== 'oil') return [];
    // A report speaks for the day of its sample.
    const ofSample = { at: sample.happenedAt };
    const held = { values: entry.body, product, limits: oilLimits };
    const [thick, iron, acid] = [thicknessOf(held), ironOf(held), acidOf(held)];
    return [
      ...(thick ? [{ ...says(entry, 'thickness', thick), ...ofSample }] : []),
      ...(iron ? [{ ...says(entry, 'iron', iron), ...ofSample }] : []),
      ...(acid ? [{ ...says(entry, 'acid', acid), ...ofSample }] : []),
    ];
  });
}

function thicknessOf({ values, product, limits }: Held): 'asFresh' | 'thin' | 'thick' | null {
  const [found, fresh] = [values.viscosity40Mm2s ?? null, product.viscosity40Mm2s ?? null];
  if (found === null || !fresh) return null;
  const percent = (found / fresh - 1) * 100;
  if (stepPassed(limits, 'thickerPercent', percent)) return 'thick';
  return stepPassed(limits, 'thinnerPercent', -percent) ? 'thin' : 'asFresh';
}

function ironOf({ values, product, limits }: Held): 'normal' | 'raised' | null {
  const found = values.ironPpm ?? null;
  if (found === null) return null;
  return stepPassed(limits, 'ironPpm', found - (product.freshIronPpm ?? 0)) ? 'raised' : 'normal';
}

/** Detergent oils hold their own bases: there the base number speaks. */
function acidOf({ values, product, limits }: Held): 'normal' | 'raised' | null {
  const detergent = product.waterBehaviour === 'detergent';
  const [found, fresh] = detergent
    ? [values.baseMgKohG ?? null, product.freshBaseMgKohG ?? null]
    : [values.acidMgKohG ?? null, product.freshAcidMgKohG ?? null];
  if (found === null || fresh === null || (detergent && fresh === 0)) return null;
  const passed = detergent
    ? stepPassed(limits, 'baseLostPercent', (1 - found / fresh) * 100)
    : stepPassed(limits, 'acidRise', found - fresh);
  return passed ? 'raised' : 'normal';
}
