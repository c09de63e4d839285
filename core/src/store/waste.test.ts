import type { OilProduct, WasteKind } from '../set-up/index.js';
import type { Part } from './part.js';
import { NO_FACTS } from './reuse-facts.js';
import { wrongWaste } from './waste.js';

const OIL: OilProduct = {
  ...{ name: 'A', grade: 'VG 68', base: 'mineral', waterBehaviour: 'demulsifying', freshColour: 1, densityKgM3: 870 },
};
const products = { a: OIL, f: { ...OIL, base: 'pfpe' as const } };
const of = (productId: string): Part[] => [{ phase: 'oil', lot: null, productId, rounds: 1, passes: 0, uL: 1000 }];
const RESIN = { ...NO_FACTS, materials: [{ materialId: 'm', solvent: 2, acid: 0 }] };

/** From docs/trade.md 9 and 11: kinds of waste are kept apart. */
test.each([
  ['used oil', 'a', NO_FACTS, false, 'oil', null],
  ['used oil to the water', 'a', NO_FACTS, false, 'waterWithOil', null],
  ['PFPE to the oil', 'f', NO_FACTS, false, 'oil', 'pfpe'],
  ['PFPE to its own', 'f', NO_FACTS, false, 'pfpe', null],
  ['oil to the PFPE', 'a', NO_FACTS, false, 'pfpe', 'notPfpe'],
  ['resin ran', 'a', RESIN, false, 'oil', 'solvent'],
  ['resin ran, to its own', 'a', RESIN, false, 'oilWithSolvent', null],
  ['it smelt of solvent', 'a', NO_FACTS, true, 'oil', 'solvent'],
] as const)('%s', (_name, productId, facts, smelt, wasteKind, expected) => {
  const kind: WasteKind = wasteKind;
  expect(wrongWaste({ parts: of(productId), products, facts, smelt, wasteKind: kind })).toBe(expected);
});
