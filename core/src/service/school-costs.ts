import { SCHOOLS, type Measure, type SchoolId, type TaskId } from '../limits/index.js';
import { HOUSE_RULES_ID, resolveRules, type PumpSetUp } from '../set-up/index.js';
import type { Usage } from '../standing/index.js';
import { PROCEDURES } from './procedures/index.js';
import type { ProcedureId } from './procedures/procedure-names.js';
import { handsMinutesOf } from './service-at.js';
import { ownMinutes, type ServiceTime } from './worked-minutes.js';

/** What a school asks for in a year on a pump's own use. */
export interface SchoolCost {
  readonly school: SchoolId;
  readonly changes: number;
  /** New oil, with the flushes. */
  readonly litres: number;
  readonly minutes: number;
  /** Null where the set-up does not say what oil, an hour's work or a report costs. */
  readonly money: number | null;
  /** Its people change by what they find: the calendar is the least. */
  readonly atLeast: boolean;
  /** Drained oil is settled, filtered and goes in again. */
  readonly reused: boolean;
}

/** Tasks that a procedure does, and minutes of hands for those that need none. */
const PROCEDURE_OF: { readonly [T in TaskId]?: ProcedureId } = { bleed: 'bleed', flush: 'flush' };
const MINUTES: { readonly [T in TaskId]?: number } = { look: 5, labSample: 10, blankOff: 30 };
const DAYS = 365;
/** Of a charge that is used again, so much is new (docs/trade.md 9). */
const NEW_SHARE = 0.2;
/** They change by what they see or measure, and by the calendar at the latest. */
const BY_FINDINGS: readonly SchoolId[] = ['byTheLook', 'byTheLab', 'byTheGauge'];

/** Drained oil of these is not used again, or cannot be settled (docs/trade.md 9). */
const isReusable = ({ service, product }: PumpSetUp): boolean =>
  product?.waterBehaviour === 'demulsifying' &&
  product.base !== 'pfpe' &&
  !(['food', 'oxygen', 'toxic', 'biological', 'corrosive'] as const).some((s) => service.includes(s));

/**
 * Litres, minutes and money of each school in a year, from the rate at which this pump runs. The pump's own limits are left out: they
 * would be the same for every school.
 * @param input.times how long services took in this house: their median stands for what they usually take, once there are five
 * @returns nothing for a pump without a rate, or that holds no oil
 */
export function schoolCosts(input: {
  setUp: PumpSetUp;
  use: Pick<Usage, 'runsPerDay' | 'meanWeight' | 'meanHours'>;
  times?: readonly ServiceTime[];
}): SchoolCost[] {
  const { setUp, use, times = [] } = input;
  const { model, product, equipment, house } = setUp;
  const charge = model.sumps.find((s) => s.key === 'oil');
  if (use.runsPerDay === null || !charge) return [];
  const runs = use.runsPerDay * DAYS;
  const rules = house.houseRules[HOUSE_RULES_ID];
  const minutesOf = (task: TaskId): number => {
    const id = task === 'oilChange' ? (model.hasOilFilter ? 'oilAndFilter' : 'oilChange') : PROCEDURE_OF[task];
    if (!id) return MINUTES[task] ?? 0;
    const here = times.filter((t) => t.procedure === id && t.modelId === setUp.pump.modelId);
    return ownMinutes(here.flatMap(({ minutes }) => minutes)) ?? handsMinutesOf(PROCEDURES[id].steps);
  };
  return (Object.keys(SCHOOLS) as SchoolId[]).map((school) => {
    const resolved = resolveRules({ pump: { preset: school, limits: null }, model, product, equipment, house: rules });
    const perYear = (task: TaskId, changes = 0): number => {
      const used: Readonly<Record<Measure, number>> = {
        runs,
        weight: runs * use.meanWeight,
        hours: runs * use.meanHours,
        days: DAYS,
        changes,
      };
      const limits = resolved.tasks.find((t) => t.task === task)?.limits ?? [];
      return Math.max(0, ...limits.map((l) => used[l.measure] / l.value));
    };
    const changes = perYear('oilChange');
    const flushes = perYear('flush', changes);
    const reports = perYear('labSample');
    const reused = school === 'freshEveryRun' && isReusable(setUp);
    const litres = (charge.chargeMl / 1000) * (changes * (reused ? NEW_SHARE : 1) + flushes);
    const often: readonly (readonly [TaskId, number])[] = [
      ['oilChange', changes],
      ['flush', flushes],
      ['labSample', reports],
      ...(['bleed', 'look', 'blankOff'] as const).map((task) => [task, perYear(task)] as const),
    ];
    const minutes = often.reduce((sum, [task, count]) => sum + count * minutesOf(task), 0);
    const [perL, perHour, perReport] = [product?.pricePerL, rules?.hourPrice, rules?.labPrice];
    const isPriced =
      typeof perL === 'number' && typeof perHour === 'number' && (reports === 0 || typeof perReport === 'number');
    const money = isPriced ? litres * perL + (minutes / 60) * perHour + reports * (perReport ?? 0) : null;
    return { school, changes, litres, minutes, money, atLeast: BY_FINDINGS.includes(school), reused };
  });
}
