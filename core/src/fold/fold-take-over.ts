import { localDay, type TakeOverBody } from '../journal/index.js';
import { afterChange, type Finding } from '../oil/index.js';
import { originOf, type Context } from './fold-context.js';
import { newCharge } from './first-state.js';
import type { Counts, PumpState, Since, SumpState } from './state.js';

type Used = Pick<Counts, 'runs' | 'weightMilli' | 'minutes'>;

const NONE: Used = { runs: 0, weightMilli: 0, minutes: 0 };
const sumOf = (uses: readonly Used[]): Used =>
  uses.reduce(
    (sum, u) => ({
      runs: sum.runs + u.runs,
      weightMilli: sum.weightMilli + u.weightMilli,
      minutes: sum.minutes + u.minutes,
    }),
    NONE,
  );
const asUsed = (run: PumpState['recentRuns'][number]): Used => ({ ...run, runs: 1 });

/** What was found stands until it is answered: a take-over says what is known, and answers only what a change since then does. */
const stillFound = ({ findings }: SumpState, changedAt: string | null): Finding[] =>
  findings
    .filter((f) => f.code !== 'unknownAge')
    .map((f) => (changedAt !== null && f.at < changedAt ? afterChange(f, changedAt) : f))
    .filter((f) => f !== null);

/** The day of a sump's last change that was logged; null where its charge was only told of. */
const loggedOn = ({ charge }: SumpState): number | null => (charge.filledUl === null ? null : charge.since.day);

/** What the log has of the oil that is in the pump: since its logged change, else since the change that was told of. */
function loggedUse(state: PumpState, since: Since | null, changedAt: string | null): Used {
  const { totals, recentRuns } = state;
  if (since === null && changedAt !== null) return sumOf(recentRuns.filter((r) => r.at >= changedAt).map(asUsed));
  const from = since?.counts ?? state.sumps[0]?.charge.since.counts;
  return {
    runs: totals.runs - (from?.runs ?? 0),
    weightMilli: totals.weightMilli - (from?.weightMilli ?? 0),
    minutes: totals.minutes - (from?.minutes ?? 0),
  };
}

/**
 * What was counted beyond the log when the pump was taken over. Runs that the log has from before then are among those that were
 * counted, unless somebody said that they came on top.
 */
function notLogged(body: TakeOverBody, logged: Used, onTop: Used, referenceHours: number): Used {
  const runs = Math.max(0, (body.runsSince ?? 0) - (logged.runs - onTop.runs));
  const told = body.minutesSince ?? null;
  const minutes =
    told === null ? Math.round(runs * referenceHours * 60) : Math.max(0, told - (logged.minutes - onTop.minutes));
  return { runs, weightMilli: runs * 1000, minutes };
}

/**
 * The record begins here. What is told of a charge counts where the log knows less: a change that was logged later than the one
 * that was told of stays, with its runs, and what was told of the oil before it says nothing of it.
 */
export function foldTakeOver(state: PumpState, context: Context, body: TakeOverBody): PumpState {
  const { setUp, entry } = context;
  const { totals } = state;
  const changedAt = body.oilChangedAt ?? null;
  const changedDay = changedAt === null ? null : localDay({ at: changedAt, zone: setUp.site.zone });
  const isLogged = (sump: SumpState): boolean => {
    const day = loggedOn(sump);
    return day !== null && (changedDay === null || day >= changedDay);
  };
  const oil = state.sumps.find((s) => s.key === 'oil');
  const own = oil && isLogged(oil) ? oil.charge.since : null;
  const logged = loggedUse(state, own, changedAt);
  const begins = own?.at ?? changedAt ?? '';
  const onTop = sumOf(state.recentRuns.filter((r) => r.beyondTakeOver && r.at >= begins).map(asUsed));
  const speaksOfIt = own === null || changedDay === null || own.day === changedDay;
  const extra = speaksOfIt ? notLogged(body, logged, onTop, setUp.equipment.referenceHours) : NONE;
  const before = sumOf([logged, extra]);
  const usedBefore: Used = {
    runs: totals.runs - before.runs,
    weightMilli: totals.weightMilli - before.weightMilli,
    minutes: totals.minutes - before.minutes,
  };
  const told: Since = {
    at: changedAt ?? entry.happenedAt,
    day: changedDay ?? context.day,
    // Of a change that nobody knows of there is no entry: its limits are counted from here.
    entryId: changedAt === null ? null : entry.id,
    counts: { ...totals, ...usedBefore },
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
  const sumps = state.sumps.map((sump): SumpState => {
    const { charge } = sump;
    if (isLogged(sump))
      return {
        ...sump,
        charge: {
          ...charge,
          since: { ...charge.since, counts: { ...charge.since.counts, ...usedBefore } },
          // Of runs that nobody logged nobody knows the water.
          unestimatedRuns: charge.unestimatedRuns + extra.runs,
          stretch: extra.runs > 0 ? null : charge.stretch,
        },
      };
    return {
      ...sump,
      charge: {
        ...newCharge({ number: charge.number, since: told, productId: charge.productId, filledUl: null }),
        unestimatedRuns: before.runs,
        // What went in before may be in it still: only a change that is logged says that it is not.
        others: charge.others,
        solvent: charge.solvent,
      },
      findings: [...stillFound(sump, changedAt), ...(unknown && sump.key === 'oil' ? [unknown] : [])],
    };
  });
  const loggedMinutes = totals.minutes - totals.unloggedMinutes;
  const meterMinutes = body.meterMinutes ?? null;
  const meter =
    meterMinutes === null
      ? state.meter
      : {
          ...originOf(context),
          minutes: meterMinutes,
          loggedMinutes,
          aheadMinutes: 0,
          first: { at: entry.happenedAt, minutes: meterMinutes },
        };
  const bars = state.bars.filter((b) => b.at >= begins);
  const older = sumOf(bars.map((b) => ({ ...b, runs: b.load === 'unlogged' ? 0 : 1 })));
  return {
    ...state,
    sumps,
    bars,
    notTold: state.notTold.filter((n) => n.at >= begins),
    collapsed: {
      runs: before.runs - older.runs,
      weightMilli: before.weightMilli - older.weightMilli,
      minutes: before.minutes - older.minutes,
    },
    meter,
    takenOver: {
      ...originOf(context),
      runs: speaksOfIt ? (body.runsSince ?? null) : null,
      onlyTold: own === null,
    },
  };
}
