import type { BallastUse, Level, LookBody, SumpKey } from '../journal/index.js';
import { withMachineFinding, type MachineFinding } from '../machine/index.js';
import { levelFinding, SETTLING, toUl } from '../oil/index.js';
import { median } from '../statistics/index.js';
import type { PumpModel } from '../set-up/index.js';
import { onSump, originOf, type Context } from './fold-context.js';
import { raise } from './judge-look.js';
import { KEPT, type OilUse, type PumpState } from './state.js';
import { saysWater } from './water-found.js';

const DAY_MS = 86_400_000;
/** Hours that a stretch runs at least before its use of oil is a figure (docs/trade.md 6). */
const LEAST_HOURS = 50;
/** Stretches before a pump has a usual of its own, and how many times it is too much. */
const LEAST_STRETCHES = 3;
const MANY_TIMES = 2;
/** Of what stands between the marks, per 100 h: less than that is no use of oil to speak of, however little was usual. */
const LEAST_USE_SHARE = 0.1;
/** Filled up so often in so many days, whatever was usual; a seal cup weekly is usual, oftener is not (docs/trade.md 7-G). */
const OFTEN = { times: 5, days: 10 } as const;
const CUP_OFTEN = { times: 3, days: 12 } as const;
/** Of the charge, between the marks, where the model does not say it. */
const MARKS_SHARE = 0.1;
/** Of what stands between the marks: so much taken out, and somebody reads the level. */
const READ_LEVEL_SHARE = 1 / 3;

export const NO_USE: OilUse = {
  markMinutes: null,
  addedUl: 0,
  takenUl: 0,
  takenSinceLevelUl: 0,
  stretches: [],
  topUps: [],
  cups: [],
};

const marksUl = ({ sumps }: PumpModel): number => {
  const sump = sumps.find((s) => s.key === 'oil');
  return toUl(sump?.betweenMarksMl ?? (sump?.chargeMl ?? 0) * MARKS_SHARE);
};

/** From here on what is filled up is what was used: the level stands right. */
const fromMark = (use: OilUse, minutes: number, level: Level | null | undefined): OilUse => ({
  ...use,
  markMinutes: level === 'right' ? minutes : null,
  addedUl: 0,
  takenUl: 0,
  takenSinceLevelUl: 0,
});

const ofBallast = (use: OilUse, ballast: BallastUse): number[] =>
  use.stretches.flatMap((s) => (s.ballast === ballast ? [s.ulPer100h] : []));

const without = (findings: readonly MachineFinding[], ...codes: MachineFinding['code'][]): MachineFinding[] =>
  findings.filter((f) => !codes.includes(f.code));

const ASKS = { level: 'lookSooner', act: 'findCause', answeredBy: 'leakOrUsual' } as const;

/** So many in so many days, the newest being now. */
const within = (times: readonly string[], { times: most, days }: { times: number; days: number }): boolean => {
  const first = times.at(-most);
  return first !== undefined && Date.parse(times.at(-1) ?? first) - Date.parse(first) <= days * DAY_MS;
};

/** What happens so often is found; once that is answered (it was found, and stands no more) it is counted anew. */
function countOften(
  machine: readonly MachineFinding[],
  { times, most, found }: { times: readonly string[]; most: typeof OFTEN | typeof CUP_OFTEN; found: MachineFinding },
): { machine: MachineFinding[]; times: string[] } {
  const answered = within(times, most) && !machine.some((f) => f.code === found.code);
  const next = [...(answered ? [] : times), found.at].slice(-most.times);
  return {
    machine: within(next, most) ? withMachineFinding(machine, found) : without(machine, found.code),
    times: next,
  };
}

/** A new charge begins a stretch of its own. */
export const useAfterChange = (state: PumpState, level: Level | null | undefined): PumpState => ({
  ...state,
  machine: without(state.machine, 'levelHolds'),
  use: fromMark(state.use, state.totals.minutes, level),
});

/** A top-up: how often, and how much of what a stretch of running used. */
export function useAfterTopUp(
  state: PumpState,
  context: Context,
  { sump, addedMl, levelAfter }: { sump: SumpKey; addedMl: number; levelAfter?: Level | null },
): PumpState {
  const origin = originOf(context);
  if (sump === 'sealCup') {
    const { machine, times } = countOften(state.machine, {
      ...{ times: state.use.cups, most: CUP_OFTEN },
      found: {
        ...{ code: 'sealCupLeak', ...CUP_OFTEN, ...origin },
        ...{ level: 'lookSooner', act: 'sealCheck', answeredBy: 'sealCheck' },
      },
    });
    return { ...state, machine, use: { ...state.use, cups: times } };
  }
  if (sump !== 'oil') return state;
  const { machine, times } = countOften(state.machine, {
    ...{ times: state.use.topUps, most: OFTEN },
    found: { code: 'toppedUpOften', ...OFTEN, ...ASKS, ...origin },
  });
  const use = { ...state.use, topUps: times, addedUl: state.use.addedUl + toUl(addedMl) };
  return stretchEnded({ ...state, machine: without(machine, 'levelHolds'), use }, context, levelAfter);
}

/** Where the level stands right again after hours enough, what was filled up less what was taken out is what was used. */
function stretchEnded(state: PumpState, context: Context, level: Level | null | undefined): PumpState {
  const { use, totals } = state;
  if (use.markMinutes === null) return { ...state, use: fromMark(use, totals.minutes, level) };
  const hours = (totals.minutes - use.markMinutes) / 60;
  const read = level ? { ...use, takenSinceLevelUl: 0 } : use;
  if (level !== 'right' || hours < LEAST_HOURS) return { ...state, use: read };
  const ballast = state.lastRun?.ballast ?? 'unknown';
  const ulPer100h = Math.max(0, Math.round(((use.addedUl - use.takenUl) * 100) / hours));
  const earlier = ofBallast(use, ballast);
  const usual = earlier.length >= LEAST_STRETCHES ? median(earlier) : null;
  const least = LEAST_USE_SHARE * marksUl(context.setUp.model);
  const tooMuch = usual !== null && ulPer100h > Math.max(MANY_TIMES * usual, least);
  const found: MachineFinding = {
    ...{ code: 'oilUse', ulPer100h, usualUlPer100h: usual ?? 0 },
    ...ASKS,
    ...originOf(context),
  };
  const stretches = [...use.stretches, { ballast, ulPer100h }].slice(-KEPT.stretches);
  return {
    ...state,
    machine: tooMuch ? withMachineFinding(state.machine, found) : without(state.machine, 'oilUse'),
    use: fromMark({ ...use, stretches }, totals.minutes, level),
  };
}

/** Oil that was drawn: the level is as it was said to be, or somebody reads it once enough is out. */
export function useAfterDraw(
  state: PumpState,
  context: Context,
  { oilUl, levelAfter = null }: { oilUl: number; levelAfter?: Level | null },
): PumpState {
  const { use } = state;
  const drawn = { ...use, takenUl: use.takenUl + oilUl, takenSinceLevelUl: use.takenSinceLevelUl + oilUl };
  if (levelAfter) return withLevel({ ...state, use: { ...drawn, takenSinceLevelUl: 0 } }, context, levelAfter);
  return { ...state, use: drawn };
}

/** What samples and bleeds have taken out since somebody read the level; null while it is too little to tell in the glass. */
export const takenSinceLevelUl = ({ use }: Pick<PumpState, 'use'>, model: PumpModel): number | null =>
  use.takenSinceLevelUl > 0 && use.takenSinceLevelUl >= READ_LEVEL_SHARE * marksUl(model)
    ? use.takenSinceLevelUl
    : null;

/** The level as it was read after work; where no oil stood in the glass that stays until somebody says where it went. */
const withLevel = (state: PumpState, context: Context, level: Level): PumpState =>
  onSump(state, 'oil', (s) => {
    const left = s.findings.filter((f) => f.code !== 'level' || f.answeredBy === 'whereItWent');
    const found = levelFinding(level);
    return raise({ ...s, findings: left }, found ? [found] : [], originOf(context));
  });

/** So long the oil has stood before a look for water says that there is none. */
const STOOD_HOURS = SETTLING.leastHours;

/**
 * A look at the level: oil that always fell and stands as it did has water in its place. Whoever has looked for water in oil that
 * stood has answered it, and from that level on it is reckoned anew.
 */
export function useAfterLook(state: PumpState, context: Context, look: LookBody): PumpState {
  const level = look.source === 'sightGlass' ? (look.level ?? null) : null;
  if (saysWater(look) && look.hoursStood >= STOOD_HOURS) {
    const read = level === null ? state.use : { ...state.use, takenSinceLevelUl: 0 };
    const use = level === 'right' ? fromMark(read, state.totals.minutes, level) : read;
    return { ...state, use, machine: without(state.machine, 'levelHolds') };
  }
  if (!level) return state;
  const use = { ...state.use, takenSinceLevelUl: 0 };
  const next = { ...state, use, machine: without(state.machine, 'levelHolds') };
  const usual = ofBallast(use, state.lastRun?.ballast ?? 'unknown');
  if ((level !== 'right' && level !== 'high') || use.markMinutes === null || usual.length < LEAST_STRETCHES)
    return next;
  const hours = (state.totals.minutes - use.markMinutes) / 60;
  const goneUl = Math.round((median(usual) * hours) / 100 + use.takenUl - use.addedUl);
  if (goneUl <= marksUl(context.setUp.model)) return next;
  const asks = { level: 'lookSooner', act: 'look', answeredBy: 'lookForWater' } as const;
  return {
    ...next,
    machine: withMachineFinding(next.machine, { code: 'levelHolds', goneUl, ...asks, ...originOf(context) }),
  };
}
