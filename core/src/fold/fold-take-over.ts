import { localDay, type TakeOverBody } from '../journal/index.js';
import { afterChange, type Finding } from '../oil/index.js';
import { originOf, type Context } from './fold-context.js';
import { newCharge } from './first-state.js';
import type { PumpState, Since, SumpState } from './state.js';

/** What was found stands until it is answered: a take-over says what is known, and answers only what a change since then does. */
const stillFound = ({ findings }: SumpState, changedAt: string | null): Finding[] =>
  findings
    .filter((f) => f.code !== 'unknownAge')
    .map((f) => (changedAt !== null && f.at < changedAt ? afterChange(f, changedAt) : f))
    .filter((f) => f !== null);

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
    charge: {
      ...newCharge({ number: sump.charge.number, since, productId: sump.charge.productId, filledUl: null }),
      // What went in before may be in it still: only a change that is logged says that it is not.
      others: sump.charge.others,
      solvent: sump.charge.solvent,
    },
    findings: [...stillFound(sump, changedAt), ...(unknown && sump.key === 'oil' ? [unknown] : [])],
  }));
  const loggedMinutes = totals.minutes - totals.unloggedMinutes;
  const meterMinutes = body.meterMinutes ?? null;
  const meter =
    meterMinutes === null
      ? state.meter
      : { ...originOf(context), minutes: meterMinutes, loggedMinutes, aheadMinutes: 0 };
  return { ...state, sumps, bars: [], notTold: [], collapsed: before, meter };
}
