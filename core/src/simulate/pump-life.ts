import { initialState, oilChangeDue, step, type PumpState } from '../fold/index.js';
import { standingAt } from '../standing/index.js';
import { TASKS, type TaskId } from '../limits/index.js';
import {
  BODY_VERSION,
  localDay,
  type BallastUse,
  type Entry,
  type EntryBodies,
  type EntryKind,
  type Subject,
} from '../journal/index.js';
import type { PumpSetUp, SetUpBook } from '../set-up/index.js';
import { trapCarryoverG } from '../water/index.js';
import type { Random } from './random.js';

const MINUTE_MS = 60_000;
const HOUR_MS = 60 * MINUTE_MS;
const DAY_MS = 24 * HOUR_MS;

/** Checks that a technician does in passing, now and then. */
const ROUTINE_CHECKS: readonly TaskId[] = ['inletScreen', 'gaugeCheck', 'antiSuckback'];
/** A detergent oil holds so much of its charge of water up before any lies free. */
const HELD_UP_SHARE = 0.03;
const ROUTINE_CHECK_CHANCE = 0.06;
/** A trap's gauge is off by up to so much. */
const TRAP_READ_WRONG_K = [-1.5, 1.5] as const;

/** How a pump is used and looked after in the simulated yard. */
export interface PumpProfile {
  readonly pumpId: string;
  /** Pumps that run with it (a booster in front of it). */
  readonly runsWith?: readonly string[];
  readonly runsPerWeek: number;
  /** Scatter of the intervals between runs. */
  readonly intervalCv: number;
  readonly hours: { readonly mean: number; readonly cv: number };
  /** Cycles per hour of running; runs are logged in cycles then. */
  readonly cyclesPerHour?: number;
  readonly materials: readonly [string, ...string[]];
  readonly ballast: BallastUse;
  readonly trapTempC?: readonly [low: number, high: number];
  readonly pressurePa: readonly [low: number, high: number];
  /** Free water that a run leaves at the bottom of the oil; `trap` takes its place. */
  readonly waterMlPerRun: number;
  /** What nobody has told the technician: how good the trap is, and water that comes beside it from some run on. */
  readonly trap?: {
    readonly efficiency: number;
    readonly meltwater?: { readonly fromRun: number; readonly ml: number };
  };
  /** Steps of ASTM D1500 that a run darkens the oil by. */
  readonly darkeningPerRun: number;
  /** Chance that work that is due is done before the next run. */
  readonly diligence: number;
  readonly looksEveryRuns: number;
  /** Nobody services the pump in its last days: what is due then stays due. */
  readonly neglectedLastDays?: number;
}

interface Oil {
  waterMl: number;
  colour: number;
}

const halfStep = (colour: number): number => Math.min(8, Math.max(0.5, Math.round(colour * 2) / 2));

/**
 * The entries of one pump over a span, as its technician would have written them. The technician sees the same standing
 * as a user and acts on it with the profile's diligence. The same seed and dates give the same entries.
 * @throws RangeError when the pump is not in the set-up
 */
export function simulatePump(input: {
  profile: PumpProfile;
  book: SetUpBook;
  from: string;
  until: string;
  random: Random;
}): Entry[] {
  const { profile, book, random } = input;
  const untilMs = Date.parse(input.until);
  const entries: Entry[] = [];
  const oil: Oil = { waterMl: 0, colour: 1 };
  let state: PumpState = initialState(profile.pumpId);
  let runs = 0;

  function setUpAt(atMs: number): PumpSetUp {
    const setUp = book.pumpAt({ pumpId: profile.pumpId, instant: new Date(atMs).toISOString() });
    if (!setUp) throw new RangeError(`pumpId: ${profile.pumpId} is not in the set-up`);
    return setUp;
  }

  function write<K extends EntryKind>(
    kind: K,
    body: EntryBodies[K],
    atMs: number,
    recordedMs = atMs + 5 * MINUTE_MS,
  ): void {
    const setUp = setUpAt(atMs);
    const id = random.uuid(recordedMs);
    const pumps: Subject[] = [profile.pumpId, ...(kind === 'run' ? (profile.runsWith ?? []) : [])].map((p) => ({
      type: 'pump',
      id: p,
    }));
    const entry = {
      id,
      actId: id,
      kind,
      body,
      subjects: kind === 'run' ? [...pumps, { type: 'equipment', id: setUp.pump.equipmentId }] : pumps,
      happenedAt: new Date(atMs).toISOString(),
      zone: setUp.site.zone,
      precision: 'exact',
      recordedAt: new Date(recordedMs).toISOString(),
      who: null,
      device: 'yard tablet (simulated)',
      acknowledged: [],
      bodyVersion: BODY_VERSION,
    } as unknown as Entry;
    entries.push(entry);
    state = step(state, entry, setUp);
  }

  function changeOil(atMs: number): void {
    const { model, product, pump } = setUpAt(atMs);
    const chargeMl = model.sumps[0]?.chargeMl ?? 1000;
    const outMl = Math.round((chargeMl * random.between([0.88, 0.97])) / 5) * 5;
    write(
      'change',
      { sump: 'oil', productId: pump.oilProductId ?? '', outMl, inMl: chargeMl, levelAfter: 'right' },
      atMs,
    );
    oil.waterMl = 0;
    oil.colour = (product?.freshColour ?? 1) + random.between([0, 0.4]);
  }

  const isNeglected = (atMs: number): boolean => atMs > untilMs - (profile.neglectedLastDays ?? 0) * DAY_MS;

  function serviceBefore(startMs: number, stoodHours: number): void {
    const at = startMs - HOUR_MS;
    const setUp = setUpAt(at);
    if (isNeglected(startMs) || setUp.model.kind !== 'vane' || runs === 0) return;
    if (runs % profile.looksEveryRuns === 0) look(at - 30 * MINUTE_MS, stoodHours);
    const todayDay = localDay({ at: new Date(at).toISOString(), zone: setUp.site.zone });
    if (oilChangeDue({ state, setUp, todayDay }) && random.chance(profile.diligence)) return changeOil(at);
    const bleedDue = standingAt({ state, setUp, now: new Date(at).toISOString(), todayDay }).tasks.find(
      (t) => t.task === 'bleed',
    );
    if (bleedDue?.limits.some((l) => l.reached) && oil.waterMl >= 2 && random.chance(profile.diligence)) {
      const waterMl = Math.round(oil.waterMl * random.between([0.7, 0.95]));
      oil.waterMl -= waterMl;
      write('bleed', { sump: 'oil', drawnMl: waterMl + Math.round(random.between([8, 25])), waterMl }, at);
    }
  }

  function look(atMs: number, stoodHours: number): void {
    const { model, product } = setUpAt(atMs);
    const heldUpMl = product?.waterBehaviour === 'detergent' ? HELD_UP_SHARE * (model.sumps[0]?.chargeMl ?? 0) : 0;
    write(
      'look',
      {
        sump: 'oil',
        source: 'sightGlass',
        hoursStood: Math.max(0.5, Math.min(72, Math.round(stoodHours))),
        level: 'right',
        colour: halfStep(oil.colour),
        clarity: Math.round(oil.waterMl) > 12 ? 'hazy' : 'bright',
        freeWaterMl: Math.round(Math.max(0, oil.waterMl - heldUpMl)),
        particles: 'none',
        smell: 'none',
      },
      atMs,
    );
  }

  function serviceAfter(endMs: number): void {
    if (isNeglected(endMs)) return;
    const setUp = setUpAt(endMs);
    const { tasks } = standingAt({ state, setUp, now: new Date(endMs).toISOString() });
    const ticked = tasks.filter(
      (t) => t.limits.some((l) => l.reached) && TASKS.some(({ id, doneBy }) => id === t.task && doneBy === 'done'),
    );
    const checked = random.chance(ROUTINE_CHECK_CHANCE)
      ? tasks.find((t) => ROUTINE_CHECKS.includes(t.task) && t.status !== 'reached')
      : undefined;
    for (const { task } of checked ? [...ticked, checked] : ticked)
      if (random.chance(profile.diligence)) write('done', { task: task satisfies TaskId }, endMs + 30 * MINUTE_MS);
  }

  function run(startMs: number, minutes: number): void {
    const [low, high] = profile.pressurePa;
    const materialId = random.pick(profile.materials);
    const cycles = profile.cyclesPerHour
      ? Math.round((minutes / 60) * profile.cyclesPerHour * random.between([0.8, 1.1]))
      : null;
    const trapTempC = profile.trapTempC ? Math.round(random.between(profile.trapTempC) * 2) / 2 : null;
    write(
      'run',
      {
        materialId,
        minutes,
        ...(cycles === null ? {} : { cycles }),
        session: 'run',
        ballast: profile.ballast,
        ...(trapTempC === null ? {} : { trapTempC }),
        lowestPressurePa: Number((low * (high / low) ** random.next()).toPrecision(2)),
        ventedBeforeStop: random.chance(0.9) ? 'yes' : 'no',
      },
      startMs,
      startMs + minutes * MINUTE_MS + 10 * MINUTE_MS,
    );
    runs += 1;
    oil.waterMl += waterOf(trapTempC, minutes, startMs);
    oil.colour += profile.darkeningPerRun * random.between([0.5, 1.5]);
  }

  /** What the run really left: past the trap as good as it is and as cold as it really was, or the profile's own amount. */
  function waterOf(readC: number | null, minutes: number, atMs: number): number {
    const { trap, waterMlPerRun } = profile;
    if (!trap || readC === null) return waterMlPerRun > 0 ? random.gamma({ mean: waterMlPerRun, cv: 0.4 }) : 0;
    const { pumpingSpeedM3h } = setUpAt(atMs).model;
    const trapTempC = readC + random.between(TRAP_READ_WRONG_K);
    const past = trapCarryoverG({ trapTempC, pumpingSpeedM3h, hours: minutes / 60, efficiency: trap.efficiency });
    const melted = trap.meltwater && runs >= trap.meltwater.fromRun ? trap.meltwater.ml : 0;
    return past * random.gamma({ mean: 1, cv: 0.12 }) + melted;
  }

  let startMs = Date.parse(input.from) + random.between([8, 14]) * HOUR_MS;
  let lastEndMs = startMs;
  const { model } = setUpAt(startMs);
  if (model.kind === 'vane') changeOil(startMs - 2 * HOUR_MS);
  for (;;) {
    const minutes = Math.max(
      20,
      Math.round(random.gamma(profile.hours.cv > 0 ? profile.hours : { mean: profile.hours.mean, cv: 0.05 }) * 12) * 5,
    );
    const endMs = startMs + minutes * MINUTE_MS;
    if (endMs > untilMs - 2 * HOUR_MS) return entries;
    serviceBefore(startMs, (startMs - lastEndMs) / HOUR_MS - 2);
    run(startMs, minutes);
    serviceAfter(endMs);
    lastEndMs = endMs;
    const gapMs = random.gamma({ mean: 7 / profile.runsPerWeek, cv: profile.intervalCv }) * DAY_MS;
    startMs = Math.round(Math.max(startMs + gapMs, endMs + 4 * HOUR_MS) / (5 * MINUTE_MS)) * 5 * MINUTE_MS;
  }
}
