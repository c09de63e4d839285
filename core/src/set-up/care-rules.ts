import type { Equipment, HouseRules, OilProduct, Pump, PumpModel } from './records.js';
import {
  CALENDAR_LIMIT_DAYS,
  HOUSE_LIMITS,
  MEASURES,
  OIL_LIFE_HALVES,
  SCHOOLS,
  RUNNING_IN_HOURS,
  type Measure,
  type SchoolId,
  tasksOf,
  type TaskId,
} from '../limits/index.js';

/** Where a limit's value comes from, the nearest to the pump winning. */
export type LimitSource = 'preset' | 'house' | 'model' | 'product' | 'pump' | 'calendar' | 'runningIn';

export interface ResolvedLimit {
  readonly measure: Measure;
  /** runs, weighted runs, hours, days or changes */
  readonly value: number;
  readonly from: LimitSource;
}

export interface CareRules {
  readonly preset: SchoolId;
  readonly tasks: readonly { readonly task: TaskId; readonly limits: readonly ResolvedLimit[] }[];
  /** Hours limit of the first charge of a new or overhauled pump. */
  readonly runningInHours: number;
}

/**
 * Share of its hours that a mineral oil keeps at a running temperature: halves per 10 K above 80 °C (docs/trade.md 4).
 * Example: 90 °C → 0.5; 75 °C → 1. Valid for any finite temperature; below 80 °C it is 1.
 */
export function oilLifeFactor({ oilTempC }: { oilTempC: number }): number {
  if (!Number.isFinite(oilTempC)) throw new RangeError(`oilTempC: ${oilTempC} is not a temperature in °C`);
  return Math.min(1, 2 ** (-(oilTempC - OIL_LIFE_HALVES.aboveC) / OIL_LIFE_HALVES.perK));
}

/** Sparse limits laid over one another: house defaults → preset → house → model → product → pump; null takes away, missing inherits. */
export function resolveRules(input: {
  pump: Pick<Pump, 'preset' | 'limits'>;
  model: PumpModel;
  product: OilProduct | null;
  equipment: Pick<Equipment, 'process' | 'wetness'>;
  house: HouseRules | undefined;
}): CareRules {
  const layers = [
    { from: 'house', limits: HOUSE_LIMITS },
    { from: 'preset', limits: SCHOOLS[input.pump.preset].limits },
    { from: 'house', limits: input.house?.limits },
    { from: 'model', limits: input.model.limits },
    { from: 'product', limits: input.product?.limits },
    { from: 'pump', limits: input.pump.limits },
  ] as const;
  const mineral = input.product?.base === 'mineral';

  const tasks = tasksOf(input.model).map(({ id }) => {
    const limits: ResolvedLimit[] = [];
    for (const measure of MEASURES) {
      const layer = layers.findLast((l) => l.limits?.[id]?.[measure] !== undefined);
      const value = layer?.limits?.[id]?.[measure];
      if (layer && value !== null && value !== undefined) limits.push({ measure, value, from: layer.from });
    }
    if (id !== 'oilChange') return { task: id, limits };
    return {
      task: id,
      limits: oilChangeLimits(limits, isWetWork(input.equipment), mineral ? input.model.operatingOilTempC : 0),
    };
  });
  return { preset: input.pump.preset, tasks, runningInHours: RUNNING_IN_HOURS };
}

/** Where water, brine or juice stands in the oil for weeks it rusts (docs/trade.md 4). */
export const isWetWork = ({ process, wetness }: Pick<Equipment, 'process' | 'wetness'>): boolean =>
  process === 'freezeDrying' || wetness === 'wet';

function oilChangeLimits(limits: ResolvedLimit[], wet: boolean, mineralOilTempC: number): ResolvedLimit[] {
  const factor = oilLifeFactor({ oilTempC: mineralOilTempC });
  const scaled = limits.map((l) => (l.measure === 'hours' ? { ...l, value: Math.round(l.value * factor) } : l));
  if (scaled.some((l) => l.measure === 'days')) return scaled;
  const days = wet ? CALENDAR_LIMIT_DAYS.wet : CALENDAR_LIMIT_DAYS.dry;
  return [...scaled, { measure: 'days', value: days, from: 'calendar' }];
}
