import { foundUlOf, toUl, type Judge, type Judged } from './judge.js';
import { isHarder, stepPassed, type LimitLevel } from '../limits/index.js';
import type { Act, FindingOf, OilFinding } from './finding.js';
import { isDenserThanWater } from './settling.js';

const answeredBy = 'bleedOrPurgeThenLook' as const;

/** What answers water of a level: a little is bled, much goes with the oil. On a denser oil it floats: it is skimmed and purged. */
function waterAct(level: LimitLevel, denser: boolean): Act {
  if (denser && level !== 'stop') return 'purge';
  return level === 'lookSooner' ? 'bleed' : 'change';
}

/** Amounts are per charge and not per jar: a normal bleed is half water and means nothing bad. */
export const judgeWater: Judge = (judged) => {
  const { charge, limits, product } = judged;
  const foundUl = foundUlOf(judged);
  const chargeUl = toUl(charge.chargeMl);
  const denser = isDenserThanWater(product);
  const found = { code: 'water', answeredBy, foundUl, chargeUl } as const;
  const share = stepPassed(limits, 'waterPercent', (foundUl / chargeUl) * 100);
  const byShare = share && {
    ...found,
    level: share.level,
    act: waterAct(share.level, denser),
    limitShare: share.limit / 100,
  };
  return [byShare, heldUp(judged), standing(judged)]
    .filter((f) => f !== null)
    .reduce<OilFinding | null>((worst, f) => (worst && !isHarder(f.level, worst.level) ? worst : f), null);
};

/** Free water under a detergent oil: it can hold no more. */
function heldUp({ look, charge, limits, product }: Judged): FindingOf<'water'> | null {
  const level = limits['detergent.freeWater'];
  const foundUl = toUl(look.freeWaterMl);
  if (product.waterBehaviour !== 'detergent' || isDenserThanWater(product) || foundUl === 0 || level === 'runOn')
    return null;
  const chargeUl = toUl(charge.chargeMl);
  return { code: 'water', level, act: 'change', answeredBy, foundUl, chargeUl, limitShare: 0, by: 'heldUp' };
}

/** So much that stands now is near the pick-up of any pump, whatever its share of a large charge. */
function standing({ look, charge, limits, product }: Judged): FindingOf<'water'> | null {
  const foundUl = toUl(look.freeWaterMl);
  const passed = stepPassed(limits, 'freeWaterMl', foundUl / 1000);
  if (!passed) return null;
  const chargeUl = toUl(charge.chargeMl);
  const limitShare = (passed.limit * 1000) / chargeUl;
  // What was bled is out; so much of it asks for a look at what is left.
  const isOut = look.source === 'bleed';
  const level = isOut ? 'lookSooner' : passed.level;
  const act = isOut ? 'look' : isDenserThanWater(product) ? 'purge' : 'bleed';
  return { code: 'water', level, act, answeredBy, foundUl, chargeUl, limitShare, by: 'amount' };
}

/** More than the process explains: both so many times as much and at least so many mL more. */
export const judgeUnexpectedWater: Judge = (judged) => {
  const { charge, limits, product } = judged;
  if (charge.expectedWaterMl === null) return null;
  const expectedUl = toUl(charge.expectedWaterMl);
  const foundUl = foundUlOf(judged);
  const times = expectedUl > 0 ? foundUl / expectedUl : Number.MAX_VALUE;
  const byTimes = stepPassed(limits, 'waterTimesExpected', times);
  const byMl = stepPassed(limits, 'waterMlOverExpected', (foundUl - expectedUl) / 1000);
  if (!byTimes || !byMl) return null;
  const level = isHarder(byTimes.level, byMl.level) ? byMl.level : byTimes.level;
  const limitTimes = limits[`waterTimesExpected.${level}`] ?? byTimes.limit;
  const act = waterAct(level, isDenserThanWater(product));
  return { code: 'waterAboveExpected', level, act, answeredBy, foundUl, expectedUl, limitTimes };
};

export const judgeWaterAtPickUp: Judge = ({ look, limits }) => {
  const level = limits['water.atPickUp'];
  if (!look.waterAtPickUp || level === 'runOn') return null;
  return { code: 'waterAtPickUp', level, act: 'change', answeredBy };
};

/** The level rose above MAX with nothing added, and there is water in the oil. */
export const judgeLevelFromWater: Judge = (judged) => {
  const { look, charge, limits } = judged;
  const level = limits['water.aboveMax'];
  const foundUl = foundUlOf(judged);
  const wet = stepPassed(limits, 'waterPercent', (foundUl / toUl(charge.chargeMl)) * 100);
  if (look.level !== 'high' || charge.addedSinceLevel || !wet || level === 'runOn') return null;
  return { code: 'levelFromWater', level, act: 'change', answeredBy, foundUl };
};
