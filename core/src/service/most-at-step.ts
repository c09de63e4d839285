import type { SumpKey } from '../journal/index.js';
import type { PumpModel } from '../set-up/index.js';
import type { Step } from './procedure.js';
import type { GuideStep } from './service-at.js';

type Measure = Extract<Step, { kind: 'measure' }>;

/** More than that is read on a gauge that counts from vacuum. */
const MOST_OVER_AMBIENT_PA = 100_000;

/**
 * What may be said at a step, at any pump: in mL, °C or Pa. A fill has an amount, any other value may stay unsaid; only a temperature
 * can be less than nothing.
 */
export function boundsAtStep({ goes, of }: Measure): { min?: number; max?: number; wanted: boolean } {
  const wanted = goes === 'in';
  if (of === 'temperature') return { wanted };
  if (goes === 'exhaustPa') return { min: 0, max: MOST_OVER_AMBIENT_PA, wanted };
  return { min: wanted ? 1 : 0, wanted };
}

/** What was filled into a sump until now, and not taken off again. */
function inNowMl(done: readonly GuideStep[], key: SumpKey): number {
  let inMl = 0;
  for (const { shown, said } of done) {
    const { step } = shown;
    if (step.kind !== 'measure' || !(step.sumps ?? ['oil']).includes(key)) continue;
    const each = (said?.value ?? 0) / (step.sumps?.length ?? 1);
    if (step.goes === 'in') inMl = each;
    if (step.goes === 'added') inMl += each;
    if (step.goes === 'takenOff') inMl -= each;
  }
  return inMl;
}

/**
 * The most that can be said at a step: a housing holds no more. The journal would refuse it at the end of the job, when it is too late
 * to look again.
 * @returns mL, all sumps of the step together; null where nothing bounds it, or the housing's volume is a stand-in of ours
 */
export function mostAtStep(step: Measure, done: readonly GuideStep[], model: PumpModel): number | null {
  const bounded = ['in', 'added', 'out', 'flushOut', 'drawn'].includes(step.goes ?? '');
  if (step.of !== 'volume' || !bounded) return null;
  const keys = step.sumps ?? ['oil'];
  const rooms = keys.map((key) => {
    const place = model.sumps.findIndex((sump) => sump.key === key);
    const holds = model.sumps[place]?.housingMl ?? Infinity;
    if (model.assumed?.includes(`sumps.${place}.housingMl`)) return Infinity;
    return step.goes === 'added' ? holds - inNowMl(done, key) : holds;
  });
  const most = Math.min(...rooms) * keys.length;
  return Number.isFinite(most) ? Math.max(0, most) : null;
}
