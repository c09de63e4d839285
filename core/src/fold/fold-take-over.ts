import { localDay, type TakeOverBody } from '../journal/index.js';
import type { Finding } from '../oil/index.js';
import { originOf, type Context } from './fold-context.js';
import { newCharge } from './first-state.js';
import type { PumpState, Since } from './state.js';

/** The record begins here: each sump's charge counts from its last change, with the runs that are known of since then. */
export function foldTakeOver(state: PumpState, context: Context, body: TakeOverBody): PumpState {
  const { setUp, entry } = context;
  const { totals } = state;
  const runs = body.runsSince ?? 0;
  const before = {
    runs,
    weightMilli: runs * 1000,
    minutes: body.minutesSince ?? Math.round(runs * setUp.equipment.referenceHours * 60),
  };
  const counts = {
    ...totals,
    runs: totals.runs - before.runs,
    weightMilli: totals.weightMilli - before.weightMilli,
    minutes: totals.minutes - before.minutes,
  };
  const changedAt = body.oilChangedAt ?? null;
  const since: Since = {
    at: changedAt ?? entry.happenedAt,
    day: changedAt ? localDay({ at: changedAt, zone: setUp.site.zone }) : context.day,
    entryId: entry.id,
    counts,
  };
  const countKnown = (body.runsSince ?? body.minutesSince ?? null) !== null;
  const unknown: Finding | null =
    changedAt && countKnown
      ? null
      : {
          code: 'unknownAge',
          changedKnown: changedAt !== null,
          level: 'lookSooner',
          act: 'look',
          answeredBy: 'look',
          ...originOf(context),
        };
  const sumps = state.sumps.map((sump) => ({
    ...sump,
    charge: newCharge({ number: sump.charge.number, since, productId: sump.charge.productId, filledUl: null }),
    findings: unknown && sump.key === 'oil' ? [unknown] : [],
  }));
  const loggedMinutes = totals.minutes - totals.unloggedMinutes;
  const meterMinutes = body.meterMinutes ?? null;
  const meter =
    meterMinutes === null
      ? state.meter
      : { ...originOf(context), minutes: meterMinutes, loggedMinutes, aheadMinutes: 0 };
  return { ...state, sumps, bars: [], notTold: [], collapsed: before, meter };
}
