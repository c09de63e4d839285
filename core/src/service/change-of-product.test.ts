import { wayOfChange, type Way, type WayReason } from './change-of-product.js';

const MINERAL = { base: 'mineral', waterBehaviour: 'demulsifying' } as const;
const DETERGENT = { ...MINERAL, waterBehaviour: 'detergent' } as const;
const FOOD = { ...MINERAL, foodGrade: true } as const;
const SYNTHETIC = { ...MINERAL, base: 'synthetic' } as const;
const PFPE = { ...MINERAL, base: 'pfpe' } as const;
type Oil = Parameters<typeof wayOfChange>[0]['held'];

// docs/trade.md 4 and 8-J, by hand.
test.each<[string, Oil, Oil, { oxygen?: boolean; food?: boolean }, Way, WayReason]>([
  ['the same kind again', MINERAL, MINERAL, {}, 'same', 'alike'],
  ['PFPE to PFPE', PFPE, PFPE, {}, 'same', 'alike'],
  ['PFPE to PFPE, for oxygen', PFPE, PFPE, { oxygen: true }, 'same', 'alike'],
  ['to one that keeps water in suspension', MINERAL, DETERGENT, {}, 'badly', 'otherWithWater'],
  ['and back', DETERGENT, MINERAL, {}, 'badly', 'otherWithWater'],
  ['mineral to synthetic', MINERAL, SYNTHETIC, {}, 'badly', 'otherBase'],
  ['mineral to PFPE, no oxygen', MINERAL, PFPE, {}, 'badly', 'doNotMix'],
  ['PFPE to mineral', PFPE, MINERAL, {}, 'badly', 'doNotMix'],
  ['mineral to PFPE, for oxygen: never by flushing', MINERAL, PFPE, { oxygen: true }, 'never', 'oxygen'],
  ['mineral into an oxygen pump', PFPE, MINERAL, { oxygen: true }, 'never', 'oxygen'],
  ['nobody knows what is in an oxygen pump', null, PFPE, { oxygen: true }, 'never', 'oxygen'],
  ['nobody knows what is in it', null, MINERAL, {}, 'never', 'unknownOil'],
  ['nobody knows what comes', MINERAL, null, {}, 'never', 'unknownOil'],
  ['to an oil without H1 in a food pump', FOOD, MINERAL, { food: true }, 'never', 'notFood'],
  ['to one with H1 in a food pump', MINERAL, FOOD, { food: true }, 'same', 'alike'],
])('%s', (_, held, added, { oxygen = false, food = false }, way, why) => {
  expect(wayOfChange({ held, added, oxygen, food })).toEqual({ way, why });
});
