import { foundUlOf, inOilUlOf, standingUlOf, takenOutUlOf, toUl, type Judge, type Judged } from './judge.js';
import { isHarder, stepPassed, type LimitLevel } from '../limits/index.js';
import type { Act, FindingOf, OilFinding } from './finding.js';
import { isDenserThanWater } from './settling.js';

const answeredBy = 'bleedOrPurgeThenLook' as const;

/** What answers water of a level: a little is bled, much goes with the oil. On a denser oil it floats: it is skimmed and purged. */
function waterAct(level: LimitLevel, denser: boolean): Act {
  if (denser && level !== 'stop') return 'purge';
  return level === 'lookSooner' ? 'bleed' : 'change';
}

/** Shares are of the charge and not of the jar, and of what is in the oil: what was bled is out. */
export const judgeWater: Judge = (judged) => {
  const { charge, limits, product } = judged;
  const foundUl = inOilUlOf(judged);
  const chargeUl = toUl(charge.chargeMl);
  const found = { code: 'water', answeredBy, foundUl, chargeUl } as const;
  const share = stepPassed(limits, 'waterPercent', (foundUl / chargeUl) * 100);
  const free = stepPassed(limits, 'waterPercent', (standingUlOf(judged) / chargeUl) * 100);
  // Cream cannot be bled, and a purge comes before a change of the oil.
  const byCream = share?.level === 'beforeNextRun' && free?.level !== share.level && judged.look.smell !== 'solvent';
  const byShare = share && {
    ...found,
    level: share.level,
    act: byCream ? ('purge' as const) : waterAct(share.level, isDenserThanWater(product)),
    ...(byCream ? { by: 'cream' as const } : {}),
    limitShare: share.limit / 100,
  };
  return [byShare, heldUp(judged), standing(judged), drawn(judged)]
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
function standing(judged: Judged): FindingOf<'water'> | null {
  const { charge, limits, product } = judged;
  const foundUl = standingUlOf(judged);
  const passed = stepPassed(limits, 'freeWaterMl', foundUl / 1000);
  if (!passed) return null;
  const chargeUl = toUl(charge.chargeMl);
  const limitShare = (passed.limit * 1000) / chargeUl;
  const act = isDenserThanWater(product) ? 'purge' : 'bleed';
  return { code: 'water', level: passed.level, act, answeredBy, foundUl, chargeUl, limitShare, by: 'amount' };
}

/** Water that one jar took out is gone; so much of it, where it would have been too much in the oil, asks for a look at what is left. */
function drawn({ look, charge, limits }: Judged): FindingOf<'water'> | null {
  const foundUl = takenOutUlOf(look);
  const chargeUl = toUl(charge.chargeMl);
  const share = limits['waterPercent.beforeNextRun'];
  const amountMl = limits['freeWaterMl.beforeNextRun'];
  const most = Math.min((share ?? Infinity) / 100, ((amountMl ?? Infinity) * 1000) / chargeUl);
  if (foundUl === 0 || foundUl / chargeUl <= most) return null;
  const seen = { foundUl, chargeUl, limitShare: most, by: 'drawn' } as const;
  return { code: 'water', level: 'lookSooner', act: 'look', answeredBy, ...seen };
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
  const since = charge.waterAnswered ? { sinceAnswer: true } : {};
  return { code: 'waterAboveExpected', level, act, answeredBy, foundUl, expectedUl, limitTimes, ...since };
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
  const foundUl = inOilUlOf(judged);
  const wet = stepPassed(limits, 'waterPercent', (foundUl / toUl(charge.chargeMl)) * 100);
  if (look.level !== 'high' || charge.addedSinceLevel || !wet || level === 'runOn') return null;
  return { code: 'levelFromWater', level, act: 'change', answeredBy, foundUl };
};
