import type { PumpState } from '../fold/index.js';
import { HOUSE_RULES_ID, type PumpSetUp } from '../set-up/index.js';
import { DIRT_SCALES, type DirtScale, type DirtScaleId } from './dirt-scales.js';
import { holdUpShare } from './flush.js';
import { flushPlan, type FlushEffort, type FlushPlan } from './flush-plan.js';
import type { Step } from './procedure.js';
import { FLUSH } from './procedures/flush.js';
import { HOUSING_CLEAN } from './procedures/housing-clean.js';
import type { GuideStep } from './service-at.js';

const MINUTES_PER_HOUR = 60;
const ML_PER_L = 1000;
/** After the wash two short flushes, a charge each at most. */
const FILLS_OF_WASH = 2;

/** What the steps of a stretch take, beside so many charges. */
function effortOf(steps: readonly Step[], from: string, to: string, charges: number, setUp: PumpSetUp): FlushEffort {
  const ids = steps.map(({ id }) => id);
  const stretch = steps.slice(ids.indexOf(from), ids.indexOf(to) + 1);
  const sum = (some: readonly Step[]) => some.reduce((all, { minutes }) => all + minutes, 0);
  const minutes = sum(stretch.filter(({ kind }) => kind !== 'wait'));
  const litres = (charges * (setUp.model.sumps[0]?.chargeMl ?? 0)) / ML_PER_L;
  const [perL, perHour] = [setUp.product?.pricePerL, setUp.house.houseRules[HOUSE_RULES_ID]?.hourPrice];
  const isPriced = typeof perL === 'number' && typeof perHour === 'number';
  const money = isPriced ? litres * perL + (minutes / MINUTES_PER_HOUR) * perHour : null;
  return { litres, minutes, hours: sum(stretch) / MINUTES_PER_HOUR, money };
}

/** One fill of a flush, and a wash with its two short flushes, at a pump. */
export const flushEfforts = (setUp: PumpSetUp): { readonly fill: FlushEffort; readonly wash: FlushEffort } => ({
  fill: effortOf(FLUSH.steps, 'fill', 'again', 1, setUp),
  wash: effortOf(HOUSING_CLEAN.steps, 'caseOff', 'flushes', FILLS_OF_WASH, setUp),
});

/** The scale that a flush is read on, from its first reading; null where nobody has read it. */
export function dirtScaleOf(done: readonly GuideStep[]): DirtScaleId | null {
  const start = done.findLast(({ shown: { step } }) => step.kind === 'dirt' && step.asks === 'start');
  const id = start?.said?.choice;
  return id && Object.hasOwn(DIRT_SCALES, id) ? (id as DirtScaleId) : null;
}

/** A reading is so coarse about the target. */
function coarseAt(scale: DirtScale, target: number, fresh: PumpSetUp['product']): number {
  const beside = target + scale.step <= scale.max ? target + scale.step : target - scale.step;
  return Math.abs(scale.dirtOf(beside, fresh) - scale.dirtOf(target, fresh)) / 2;
}

/** What is left of the old product is the start of a change of product. */
const ALL_OF_IT = 100;

/**
 * The plan of the flush that a step belongs to, from what the job has read until now.
 * @returns null where the step is of no flush, nobody has read how dirty the oil is, or the pump has no sump
 */
export function flushPlanAt(step: Step, done: readonly GuideStep[], setUp: PumpSetUp): FlushPlan | null {
  const { model, product } = setUp;
  if (!step.flushes || !model.sumps[0]) return null;
  const efforts = flushEfforts(setUp);
  const holdUp = holdUpShare(model, step.flushes === 'newFilter');
  const dirt = done.filter(({ shown }) => shown.step.kind === 'dirt');
  const read = (asks: string) =>
    dirt.flatMap(({ shown, said }) => (shown.step.kind === 'dirt' && shown.step.asks === asks ? [said?.value] : []));
  const id = step.flushes === 'newFilter' ? 'share' : dirtScaleOf(done);
  if (!id) return null;
  const scale = DIRT_SCALES[id];
  const start = step.flushes === 'newFilter' ? ALL_OF_IT : read('start').at(-1);
  const target = read('target').at(-1) ?? scale.target(product);
  const dirtOf = (reading: number | null | undefined) =>
    typeof reading === 'number' && reading >= scale.min && reading <= scale.max ? scale.dirtOf(reading, product) : null;
  const [startDirt, targetDirt] = [dirtOf(start), dirtOf(target)];
  if (startDirt === null || targetDirt === null || targetDirt <= 0) return null;
  return flushPlan({
    start: startDirt,
    target: targetDirt,
    readings: read('fill').map(dirtOf),
    holdUp,
    film: scale.film ?? false,
    coarse: coarseAt(scale, target, product),
    ...efforts,
  });
}

/** What was last read of it on a scale, in a jar or by the laboratory; null where nobody has. */
export function lastDirt(id: DirtScaleId, { jars, sumps, labCharges }: PumpState): number | null {
  switch (id) {
    case 'colour':
      return jars.findLast(({ colour }) => colour !== null)?.colour ?? null;
    case 'sludge': {
      const jar = jars.findLast(
        ({ sludgeUl, oilUl, waterUl, creamUl }) => sludgeUl > 0 && oilUl + waterUl + creamUl > 0,
      );
      if (!jar) return null;
      const all = jar.sludgeUl + jar.oilUl + jar.waterUl + jar.creamUl;
      return Math.round((1000 * jar.sludgeUl) / all) / 10;
    }
    case 'particles':
      return (
        labCharges.findLast(({ chargeNumber, classes }) => chargeNumber === sumps[0]?.charge.number && classes)
          ?.classes?.[0] ?? null
      );
    case 'share':
      return null;
  }
}
