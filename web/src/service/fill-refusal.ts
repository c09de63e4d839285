import type { PumpPage } from '@winter-jar/contracts';
import { changeOfProduct, unfitFill, WAYS, type Step, type Way } from '@winter-jar/core';
import { UNFIT_FILLS } from '../words/issue-words.js';
import { WAY_WORDS } from '../words/product-change-words.js';

type Fill = Extract<Step, { kind: 'measure' }>;

/** Whether oil comes into the main sump with it. */
const fillsMain = ({ goes, sumps }: Fill): boolean =>
  (goes === 'in' || goes === 'added') && (sumps?.[0] ?? 'oil') === 'oil';

/** Why an oil is not filled in at a step, before it is; null where nothing speaks against it. */
export function fillRefusal({ state, setUp }: PumpPage, step: Fill, productId: string): string | null {
  if (!fillsMain(step)) return null;
  const unfit = unfitFill(productId, setUp, () => state);
  if (unfit === 'oxygen') return UNFIT_FILLS.oxygen;
  // A change of product is meant: what the two oils allow decides.
  if (!step.asksProduct) return unfit === 'pfpe' ? UNFIT_FILLS.pfpe : null;
  const { way, why } = changeOfProduct(state, setUp, productId);
  const chosen = state.job?.said.find(({ choice }) => WAYS.some((one) => one === choice))?.choice as Way | undefined;
  return WAYS.indexOf(way) > WAYS.indexOf(chosen ?? 'same') ? WAY_WORDS[why] : null;
}
