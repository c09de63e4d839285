import { isDenserThanWater } from '../oil/index.js';
import { HOUSE_RULES_ID, type HouseSetUp, type OilProduct, type SetUpBodies } from '../set-up/index.js';
import { jarShapeOf } from '../limits/index.js';
import { PHASES, type Phase } from '../journal/index.js';
import type { AccountState } from './account-state.js';
import { blendOf, notTogether, type Blend } from './blend.js';
import { totalUL } from './part.js';
import { canMend, reuseOf, reuses, type ReuseVerdict } from './reuse.js';
import type { ReuseFacts } from './reuse-facts.js';
import { settleOf, type Settle } from './settle-jar.js';

/** Where a container stands in the life of an oil. */
export const SHELF_GROUPS = [
  'new',
  'settling',
  'toRead',
  'toPour',
  'toFilter',
  'filter',
  'ready',
  'refused',
  'spent',
  'waste',
  'empty',
] as const;
export type ShelfGroup = (typeof SHELF_GROUPS)[number];

export interface Layer {
  readonly phase: Phase | 'hazy';
  readonly ml: number;
}

/** A container as it stands on the shelf. */
export interface OnShelf {
  readonly group: ShelfGroup;
  /** From the bottom; oil denser than water has them turned round. */
  readonly layers: readonly Layer[];
  readonly heldMl: number;
  readonly blend: Blend;
  readonly mixed: 'immiscible' | 'otherAdditives' | null;
  readonly settle: Settle | null;
  readonly reuse: ReuseVerdict | null;
  /** Of waste: the mark at which it is collected is reached. */
  readonly full: boolean;
}

const FULL_PERCENT = 90;
const DREGS_ML = 0.5;

/** From the bottom; on an oil denser than water the water floats. */
const orderOf = (product: OilProduct | undefined): readonly Phase[] =>
  product && isDenserThanWater(product) ? ['sludge', 'oil', 'cream', 'water'] : PHASES;

/** What stands in a container and what it waits for; pure and cheap, for reading and for a pour that is not saved yet. */
export function onShelf(input: {
  state: AccountState;
  container: SetUpBodies['container'];
  house: HouseSetUp;
  facts: ReuseFacts;
  nowMs: number;
  settlingFactor?: number;
}): OnShelf {
  const { state, container, house, facts, nowMs, settlingFactor } = input;
  const products = house.oilProduct;
  const rules = house.houseRules[HOUSE_RULES_ID];
  const { parts, reading, filledAt } = state;
  const heldMl = totalUL(parts) / 1000;
  const blend = blendOf({ parts, products });
  const isWaste = Boolean(container.wasteKind);
  const used = parts.some((p) => p.rounds > 0 || p.phase !== 'oil');
  const isFilter = container.vessel === 'filter' || state.media !== null;
  const filtered = parts.some((p) => p.passes > 0);
  const settle =
    used && !isWaste && !isFilter && !filtered && filledAt !== null && heldMl > 0
      ? settleOf({
          product: products[blend.productIds[0] ?? ''] ?? null,
          ml: heldMl,
          tempC: container.tempC ?? null,
          shape: jarShapeOf({ id: container.jarShapeId, own: house.jarShape }),
          filledAt,
          nowMs,
          ...(settlingFactor === undefined ? {} : { ownFactor: settlingFactor }),
        })
      : null;
  const reuse = heldMl > 0 ? reuseOf({ state, isWaste, products, rules, facts }) : null;
  const full = isWaste && heldMl >= (container.holdsMl * (container.fullPercent ?? FULL_PERCENT)) / 100;
  const layers = orderOf(products[blend.productIds[0] ?? '']).flatMap((phase): Layer[] => {
    const ml = totalUL(parts, phase) / 1000;
    if (ml === 0) return [];
    const hazy = phase === 'oil' ? Math.min(ml, (reading?.hazyUL ?? 0) / 1000) : 0;
    return [
      ...(hazy > 0 ? [{ phase: 'hazy' as const, ml: hazy }] : []),
      ...(ml > hazy ? [{ phase, ml: ml - hazy }] : []),
    ];
  });
  const mixed = notTogether(blend.productIds, products);
  return { group: groupOf(), layers, heldMl, blend, mixed, settle, reuse, full };

  function groupOf(): ShelfGroup {
    if (isWaste) return 'waste';
    if (isFilter) return 'filter';
    // What clings to the wall is nothing to read.
    if (heldMl < DREGS_ML) return 'empty';
    if (!used) return reuse?.refusals.some((r) => r.code === 'mixed') ? 'refused' : 'new';
    // Where none goes back, used oil is used oil.
    if (!reuses(rules)) return 'spent';
    if (reuse?.refusals.some((r) => !canMend(r))) return 'refused';
    if (settle && (settle.how === 'settles' || settle.how === 'freezes') && !settle.ready && !reading)
      return 'settling';
    if (reading === null) return 'toRead';
    if (reuse?.refusals.some((r) => r.code === 'pourOff')) return 'toPour';
    return reuse?.fit ? 'ready' : 'toFilter';
  }
}
