import { creamUlOf, mayBeAir, purgeOr, toUl, type Judge } from './judge.js';
import type { LookBody } from '../journal/index.js';
import { worstLevel, type VerdictLevel, stepPassed, type OilLimits } from '../limits/index.js';
import type { Act } from './finding.js';

const ASK_AGAIN = 'changeOrClearLook' as const;

/** A purge that did not clear it makes it harder, and leaves the change. */
const afterPurgeLevel = (level: VerdictLevel, afterPurge: boolean, limits: OilLimits): VerdictLevel =>
  afterPurge ? worstLevel([level, limits['purge.didNotClear']]) : level;

/** White from top to bottom, give or take what the scale shows. */
const ALL_OF_A_JAR = 0.9;

const isAllCream = ({ source, lookedAtMl, creamMl, clarity }: LookBody): boolean =>
  source !== 'sightGlass' && (clarity === 'cream' || (creamMl ?? 0) >= ALL_OF_A_JAR * (lookedAtMl ?? Infinity));

/** Cream is emulsified water that stays: purge, and change if it does not clear. Before it has settled it may be air. */
export const judgeCream: Judge = (judged) => {
  const { look, charge, limits, settled } = judged;
  const creamUl = creamUlOf(judged);
  const chargeUl = toUl(charge.chargeMl);
  const passed = stepPassed(limits, 'creamPercent', (creamUl / chargeUl) * 100);
  if (!passed) return null;
  const afterPurge = charge.purgedSinceSeen;
  const isCream = !mayBeAir(look, settled);
  // Air or cream: half an hour tells, and nobody starts before.
  const unsure = isAllCream(look) ? 'beforeNextRun' : 'lookSooner';
  const level = isCream ? afterPurgeLevel(passed.level, afterPurge, limits) : unsure;
  if (level === 'runOn') return null;
  const act: Act = !isCream ? 'look' : afterPurge ? 'change' : purgeOr(judged, 'change');
  const found = { code: 'cream', creamUl, chargeUl, limitShare: passed.limit / 100, afterPurge } as const;
  // What may be air asks for no more than a look.
  return { ...found, level, act, answeredBy: isCream ? 'bleedOrPurgeThenLook' : ASK_AGAIN };
};

/** The running oil is cream throughout: drain, do not purge. */
export const judgeCreamThroughout: Judge = ({ look, limits, running }) => {
  const level = limits['running.cream'];
  if (look.clarity !== 'cream' || !running || level === 'runOn') return null;
  return { code: 'creamThroughout', level, act: 'change', answeredBy: 'change' };
};

/** Clarity by the oil's way with water: a demulsifying oil lets it drop, a detergent oil holds it up and needs no settling. */
export const judgeClarity: Judge = (judged) => {
  const { look, product, charge, limits, settled, running } = judged;
  const hazyLayer = (look.hazyMl ?? 0) > 0 ? ('hazy' as const) : null;
  const clarity = look.clarity && look.clarity !== 'bright' ? look.clarity : hazyLayer;
  if (!clarity || (clarity === 'cream' && running)) return null;
  const detergent = product.waterBehaviour === 'detergent';
  const seen = clarity === 'cream' ? 'opaque' : clarity;
  const afterPurge = charge.purgedSinceSeen && (settled || detergent) && !(detergent && seen === 'hazy');
  const found = { code: 'clarity', clarity, hoursStood: look.hoursStood, running, afterPurge } as const;
  const raise = (level: VerdictLevel, act: Act) => {
    const raised = afterPurgeLevel(level, afterPurge, limits);
    if (raised === 'runOn') return null;
    const answeredBy = raised === 'stop' ? ('change' as const) : ASK_AGAIN;
    return { ...found, level: raised, act: afterPurge || raised === 'stop' ? ('change' as const) : act, answeredBy };
  };
  if (detergent) {
    if (seen === 'hazy') return null;
    return seen === 'opaque'
      ? raise(limits['detergent.opaque'], 'change')
      : raise(limits['detergent.cloudy'], purgeOr(judged, 'change'));
  }
  if (running && seen === 'opaque') return raise(limits['running.opaque'], 'change');
  if (!settled) return seen === 'hazy' ? null : raise('lookSooner', 'look');
  return raise(limits[`clarity.${seen}`], seen === 'hazy' ? 'look' : 'change');
};

/** Foam that stays speaks of wrong or mixed oil; with haze after another product it is certain enough to flush. */
export const judgeFoam: Judge = ({ look, charge, limits }) => {
  if (look.foam !== 'stays') return null;
  const hazy =
    (look.hazyMl ?? 0) > 0 || (look.clarity !== null && look.clarity !== undefined && look.clarity !== 'bright');
  const withHaze = hazy && charge.productChanged;
  const level = withHaze ? worstLevel([limits['foam.stays'], limits['foam.withHaze']]) : limits['foam.stays'];
  if (level === 'runOn') return null;
  return {
    code: 'foam',
    level,
    act: withHaze ? 'flush' : 'look',
    answeredBy: withHaze ? 'flush' : ASK_AGAIN,
    withHaze,
  };
};
