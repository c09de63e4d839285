import type { MeterBody } from '../journal/index.js';
import { originOf, withBar, type Context } from './fold-context.js';
import type { PumpState } from './state.js';

/**
 * Meter minus logged runs is unlogged time: it counts on the oil as plain running. A run logged in full while the meter had
 * counted only a part of it puts the log ahead; later readings make that good first.
 */
export function foldMeter(state: PumpState, context: Context, body: MeterBody): PumpState {
  const { meter } = state;
  const loggedMinutes = state.totals.minutes - state.totals.unloggedMinutes;
  const onMeter = body.action === 'replaced' ? (body.newMinutes ?? 0) : body.minutes;
  const goesOn = meter !== null && body.action !== 'replaced' && body.minutes >= meter.minutes;
  const { at } = originOf(context);
  const first = goesOn ? meter.first : { at, minutes: onMeter };
  const segment = { ...originOf(context), minutes: onMeter, loggedMinutes, first };
  if (!meter || body.minutes < meter.minutes) return { ...state, meter: { ...segment, aheadMinutes: 0 } };
  const balance = body.minutes - meter.minutes - (loggedMinutes - meter.loggedMinutes) - meter.aheadMinutes;
  const read = { ...state, meter: { ...segment, aheadMinutes: Math.max(0, -balance) } };
  return balance > 0 ? withUnlogged(read, context, balance) : read;
}

function withUnlogged(state: PumpState, context: Context, minutes: number): PumpState {
  const { totals } = state;
  const weightMilli = Math.round((minutes / 60 / context.setUp.equipment.referenceHours) * 1000);
  const bar = {
    entryId: context.entry.id,
    at: context.entry.happenedAt,
    weightMilli,
    minutes,
    load: 'unlogged',
    materialId: null,
    carriedOver: false,
    bled: false,
    looked: false,
  } as const;
  return {
    ...withBar(state, bar),
    totals: {
      ...totals,
      minutes: totals.minutes + minutes,
      unloggedMinutes: totals.unloggedMinutes + minutes,
      weightMilli: totals.weightMilli + weightMilli,
    },
  };
}
