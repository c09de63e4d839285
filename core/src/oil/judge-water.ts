import { foundUlOf, toUl, type Judge } from './judge.js';
import { isHarder, stepPassed, type LimitLevel } from '../limits/index.js';
import type { Act } from './finding.js';
import { isDenserThanWater } from './settling.js';

const answeredBy = 'bleedOrPurgeThenLook' as const;

/** What answers water of a level: a little is bled, much goes with the oil. On a denser oil it floats and cannot be bled. */
const waterAct = (level: LimitLevel, denser: boolean): Act =>
  level === 'lookSooner' ? (denser ? 'look' : 'bleed') : 'change';

/** Amounts are per charge and not per jar: a normal bleed is half water and means nothing bad. */
export const judgeWater: Judge = (judged) => {
  const { charge, limits, product } = judged;
  const foundUl = foundUlOf(judged);
  const chargeUl = toUl(charge.chargeMl);
  const passed = stepPassed(limits, 'waterPercent', (foundUl / chargeUl) * 100);
  if (!passed) return null;
  const act = waterAct(passed.level, isDenserThanWater(product));
  return { code: 'water', level: passed.level, act, answeredBy, foundUl, chargeUl, limitShare: passed.limit / 100 };
};

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
