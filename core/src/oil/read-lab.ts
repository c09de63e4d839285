import { LAB_READINGS, type LabReading } from '../journal/index.js';
import type { Act, OilFinding } from './finding.js';
import type { VerdictLevel } from '../limits/index.js';
import { countsDroplets, hasAcidNumber, IRON_RATE, LAB_JUDGES, type JudgedLab } from './judge-lab.js';
import { worstFirst } from './read-oil.js';

/** Why a figure of the report is kept but not judged. */
export type NotJudged = 'noFreshValue' | 'noLimitForThisOil' | 'tooFewCharges' | 'dropletsCount';

export interface LabReport {
  readonly level: VerdictLevel;
  /** Of the worst finding; null when nothing is wanted. */
  readonly act: Act | null;
  /** All that speak, worst first. */
  readonly findings: readonly OilFinding[];
  readonly notJudged: readonly { readonly reading: LabReading; readonly why: NotJudged }[];
}

function whyNotJudged(reading: LabReading, lab: JudgedLab): NotJudged | null {
  const { product, limits, charge } = lab;
  const isNew = (earlier: readonly unknown[]) => (earlier.length < IRON_RATE.leastCharges ? 'tooFewCharges' : null);
  const detergent = product.waterBehaviour === 'detergent';
  const isKnown = (fresh: number | null | undefined) => ((fresh ?? null) === null ? 'noFreshValue' : null);
  switch (reading) {
    case 'waterPpm': {
      const own = limits['labWaterPpm.lookSooner'] ?? limits['labWaterPpm.beforeNextRun'] ?? limits['labWaterPpm.stop'];
      return detergent || product.base === 'mineral' || own !== null ? null : 'noLimitForThisOil';
    }
    case 'viscosity40Mm2s':
      return isKnown(product.viscosity40Mm2s);
    case 'ironPpm':
      return null;
    case 'acidMgKohG':
      return hasAcidNumber(product) ? isKnown(product.freshAcidMgKohG) : 'noLimitForThisOil';
    case 'baseMgKohG':
      return detergent ? isKnown(product.freshBaseMgKohG) : 'noLimitForThisOil';
    case 'siliconPpm':
      return isNew(charge.earlierSilicon);
    case 'count6PerMl':
      return countsDroplets(lab) ? 'dropletsCount' : isNew(charge.earlierClasses);
  }
}

/**
 * What a laboratory's report says about the oil it was drawn from: the lab rows of the table of house defaults (docs/trade.md 6).
 * Pure; figures in the units of their names, each held against the unused oil of the product.
 */
export function readLab(lab: JudgedLab): LabReport {
  const given = LAB_READINGS.filter((r) => (lab.values[r] ?? null) !== null);
  const found = LAB_JUDGES.map(({ judge }) => judge(lab)).filter((f) => f !== null);
  const notJudged = given.flatMap((reading) => {
    const why = whyNotJudged(reading, lab);
    return why ? [{ reading, why }] : [];
  });
  return { ...worstFirst(found), notJudged };
}
