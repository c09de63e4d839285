import type { ParticleKind } from '../journal/index.js';
import { toUl, type Judge, type Judged } from './judge.js';
import { worstLevel, type VerdictLevel, METAL_EXPECTED_HOURS, stepPassed } from '../limits/index.js';

const SLUDGE_ACTS = { lookSooner: 'look', beforeNextRun: 'flush', stop: 'washHousing' } as const;

/** Sludge, as a share of the charge: a trace warns, much calls for the housing to be washed before any new oil. */
export const judgeSludge: Judge = ({ look, charge, limits }) => {
  const sludgeUl = toUl(look.sludgeMl);
  const chargeUl = toUl(charge.chargeMl);
  const passed = stepPassed(limits, 'sludgePercent', (sludgeUl / chargeUl) * 100);
  if (!passed) return null;
  const { level } = passed;
  const answeredBy = level === 'stop' ? 'flushAndChange' : 'change';
  return {
    code: 'sludge',
    level,
    act: SLUDGE_ACTS[level],
    answeredBy,
    sludgeUl,
    chargeUl,
    limitShare: passed.limit / 100,
  };
};

/** Kinds that say more than their number; the others count by amount alone. */
function kindLevel(kind: ParticleKind, { limits }: Judged, runningIn: boolean): VerdictLevel {
  if (kind === 'glitter') return limits[runningIn ? 'particles.glitterRunningIn' : 'particles.glitter'];
  return kind === 'rustRed' || kind === 'growth' ? limits[`particles.${kind}`] : 'runOn';
}

/** Metal of a pump in its first hours is looked at with a magnet and goes out with the change; later it stops the pump. */
export const judgeParticles: Judge = (judged) => {
  const { look, charge, limits } = judged;
  const kinds = look.particleKinds ?? [];
  const amount = look.particles === 'none' || !look.particles ? (kinds.length > 0 ? 'few' : null) : look.particles;
  if (!amount) return null;
  const runningIn = charge.pumpHours !== null && charge.pumpHours < METAL_EXPECTED_HOURS;
  const level = worstLevel([limits[`particles.${amount}`], ...kinds.map((k) => kindLevel(k, judged, runningIn))]);
  if (level === 'runOn') return null;
  const found = { code: 'particles', amount, kinds, runningIn: runningIn && kinds.includes('glitter') } as const;
  if (kinds.includes('glitter') && level === 'stop')
    return { ...found, level, act: 'inspect', answeredBy: 'inspectAndChange' };
  // It feeds on what clings to the housing: new oil alone is grown through in a week.
  if (kinds.includes('growth') && level !== 'lookSooner')
    return { ...found, level, act: 'washHousing', answeredBy: 'washAndChange' };
  return level === 'lookSooner'
    ? { ...found, level, act: 'look', answeredBy: 'changeOrClearLook' }
    : { ...found, level, act: 'change', answeredBy: 'change' };
};
