import type { LabFigure, ReuseFacts } from './reuse-facts.js';
import { isDenserThanWater } from '../oil/index.js';
import type { HouseRules, OilProduct, Pump, ReuseSchool, ServiceClass } from '../set-up/index.js';
import type { AccountState } from './account-state.js';
import { blendOf } from './blend.js';
import { totalUL } from './part.js';

/** Defaults of docs/trade.md 9, each a house's own to change but the services that bar it. */
export const REUSE_DEFAULTS = {
  /** Each round loses additives and gathers what no filter takes. */
  most: 3,
  newPercent: 20,
  /** ASTM D1500 above the unused oil. */
  colourRise: 1.5,
  acidRise: 0.5,
  viscosityPercent: 10,
} as const;

/** Oil of these goes back nowhere, and none goes into these. */
export const BARRED_SERVICES: readonly ServiceClass[] = ['oxygen', 'toxic', 'biological', 'corrosive', 'food'];
const BARRED_SMELLS = ['burnt', 'solvent', 'ammonia', 'sour'] as const;
const BARRED_PARTICLES = ['glitter', 'growth'] as const;
const CLEAR = 'bright';
/** Ratings of a material from which its vapour or acid stays in the oil. */
export const SOLVENT_STAYS = 2;
const ACID_STAYS = 3;

/** Why an oil may not go back into a pump, and what that rests on. `mends`: what would let it. */
export type Refusal =
  | { readonly code: 'newOnly' }
  | { readonly code: 'service'; readonly service: ServiceClass }
  | { readonly code: 'smell'; readonly smell: (typeof BARRED_SMELLS)[number] }
  | { readonly code: 'particles'; readonly kind: (typeof BARRED_PARTICLES)[number] }
  | { readonly code: 'material'; readonly materialId: string; readonly stays: 'solvent' | 'acid' }
  | { readonly code: 'lab'; readonly figure: LabFigure; readonly value: number; readonly limit: number }
  | { readonly code: 'colour'; readonly colour: number; readonly fresh: number; readonly most: number }
  | { readonly code: 'mixed'; readonly productIds: readonly string[] }
  | { readonly code: 'unknownOil' }
  | { readonly code: 'rounds'; readonly rounds: number; readonly most: number }
  | { readonly code: 'pfpe' }
  | { readonly code: 'waste' }
  | { readonly code: 'notRead' }
  | { readonly code: 'pourOff'; readonly waterMl: number; readonly creamMl: number; readonly sludgeMl: number }
  | { readonly code: 'notClear' };

/** Those that time, a reading or a pour can still end; the others stand for good. */
const MENDS: readonly Refusal['code'][] = ['notRead', 'pourOff', 'notClear'];
export const canMend = ({ code }: Refusal): boolean => MENDS.includes(code);

export interface ReuseVerdict {
  readonly fit: boolean;
  /** New oil, and no question of reuse. */
  readonly isNew: boolean;
  readonly refusals: readonly Refusal[];
  /** The round it would begin in a pump: 1 for new oil. */
  readonly nextRound: number;
  readonly newPercent: number;
}

type Rules = Pick<HouseRules, 'reuseSchool' | 'reuseMost' | 'reuseNewPercent'> | undefined;
export const reuseSchoolOf = (rules: Rules): ReuseSchool => rules?.reuseSchool ?? 'newOnly';

/** Whether anybody is asked about used oil at all. */
export const reuses = (rules: Rules): boolean => reuseSchoolOf(rules) !== 'newOnly';

/**
 * What a container's oil may become (docs/trade.md 9). Each refusal stands by itself; a house's rules move the limits, never the
 * services that bar it.
 */
export function reuseOf(input: {
  state: Pick<AccountState, 'parts' | 'marks' | 'reading'>;
  isWaste: boolean;
  products: Readonly<Record<string, OilProduct>>;
  rules: Rules;
  facts: ReuseFacts;
}): ReuseVerdict {
  const { state, isWaste, products, rules, facts } = input;
  const { parts, marks, reading } = state;
  const oil = parts.filter((p) => p.phase === 'oil');
  const worst = Math.max(0, ...parts.map((p) => p.rounds));
  const most = rules?.reuseMost ?? REUSE_DEFAULTS.most;
  const newPercent = rules?.reuseNewPercent ?? REUSE_DEFAULTS.newPercent;
  const { productIds } = blendOf({ parts, products });
  const base = { isNew: worst === 0, nextRound: worst + 1, newPercent };
  const refusals: Refusal[] = [];
  if (isWaste) refusals.push({ code: 'waste' });
  if (productIds.length > 1) refusals.push({ code: 'mixed', productIds });
  if (productIds.length === 0 || oil.some((p) => p.productId === null)) refusals.push({ code: 'unknownOil' });
  if (worst === 0) return { ...base, fit: refusals.length === 0, refusals };

  if (!reuses(rules)) refusals.push({ code: 'newOnly' });
  for (const service of BARRED_SERVICES)
    if (marks.services.includes(service)) refusals.push({ code: 'service', service });
  for (const smell of BARRED_SMELLS) if (marks.smells.includes(smell)) refusals.push({ code: 'smell', smell });
  for (const kind of BARRED_PARTICLES)
    if (marks.particleKinds.includes(kind)) refusals.push({ code: 'particles', kind });
  for (const { materialId, solvent, acid } of facts.materials) {
    if (solvent >= SOLVENT_STAYS) refusals.push({ code: 'material', materialId, stays: 'solvent' });
    else if (acid >= ACID_STAYS) refusals.push({ code: 'material', materialId, stays: 'acid' });
  }
  const product = productIds.length === 1 ? (products[productIds[0] ?? ''] ?? null) : null;
  refusals.push(...labRefusals(facts, product));
  if (product && (product.base === 'pfpe' || isDenserThanWater(product))) refusals.push({ code: 'pfpe' });
  if (product && reading?.colour != null && !product.dyed) {
    const fresh = product.freshColour;
    if (reading.colour > fresh + REUSE_DEFAULTS.colourRise)
      refusals.push({ code: 'colour', colour: reading.colour, fresh, most: REUSE_DEFAULTS.colourRise });
  }
  if (worst > most) refusals.push({ code: 'rounds', rounds: worst, most });
  const mL = (phase: 'water' | 'cream' | 'sludge') => totalUL(parts, phase) / 1000;
  const layers = { waterMl: mL('water'), creamMl: mL('cream'), sludgeMl: mL('sludge') };
  if (layers.waterMl + layers.creamMl + layers.sludgeMl > 0) refusals.push({ code: 'pourOff', ...layers });
  if (reading === null) refusals.push({ code: 'notRead' });
  else if ((reading.clarity !== null && reading.clarity !== CLEAR) || reading.hazyUL > 0)
    refusals.push({ code: 'notClear' });
  return { ...base, fit: refusals.length === 0, refusals };
}

function labRefusals(facts: ReuseFacts, product: OilProduct | null): Refusal[] {
  const { acidMgKohG, viscosity40Mm2s } = facts.lab ?? {};
  const refusals: Refusal[] = [];
  const freshAcid = product?.freshAcidMgKohG ?? 0;
  if (acidMgKohG != null && acidMgKohG - freshAcid > REUSE_DEFAULTS.acidRise)
    refusals.push({
      code: 'lab',
      figure: 'acidMgKohG',
      value: acidMgKohG,
      limit: freshAcid + REUSE_DEFAULTS.acidRise,
    });
  const fresh = product?.viscosity40Mm2s;
  if (viscosity40Mm2s != null && fresh) {
    const off = (Math.abs(viscosity40Mm2s - fresh) / fresh) * 100;
    if (off > REUSE_DEFAULTS.viscosityPercent)
      refusals.push({ code: 'lab', figure: 'viscosity40Mm2s', value: viscosity40Mm2s, limit: fresh });
  }
  return refusals;
}

/** Why used oil does not go into this pump; null where it may. */
export type NotInto = 'newOnly' | 'notChosen' | 'service' | 'rounds' | 'otherProduct';

export function notInto(input: {
  pump: Pick<Pump, 'takesReused' | 'reuseMost' | 'oilProductId'>;
  service: readonly ServiceClass[];
  rules: Rules;
  productId: string | null;
  /** Of the oil, as often as the worst of it has been round. */
  worstRounds: number;
}): NotInto | null {
  const { pump, service, rules, productId, worstRounds } = input;
  const school = reuseSchoolOf(rules);
  if (school === 'newOnly') return 'newOnly';
  if (service.some((s) => BARRED_SERVICES.includes(s))) return 'service';
  if (school === 'chosenPumps' && pump.takesReused !== true) return 'notChosen';
  if (worstRounds > (pump.reuseMost ?? Infinity)) return 'rounds';
  return productId !== null && pump.oilProductId && productId !== pump.oilProductId ? 'otherProduct' : null;
}
