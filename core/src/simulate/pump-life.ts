// Longer than other files: the life of one simulated pump, day by day.
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
import { AS_NEW, SimulatedPump, type Build, type Condition, type Inputs } from './pump.js';
import { seededRandom, type Random } from './random.js';
import { buildOfSetUp, loadOfMaterial } from './set-of-pump.js';

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
const GAUGE_READ_WRONG = [0.92, 1.1] as const;
/** Of the mean length of a run. */
const SHORTEST_AND_LONGEST = [0.75, 1.25] as const;
/** Days of a week; weeks, days and shifts count from the life's own beginning, so that it is the same whenever it is told. */
const WEEKEND = [1, 2];
/** Nobody works then: days from the start of a life, in every half year. */
const HOLIDAY = { from: 60, until: 70, every: 182 } as const;
/** A machine stands still now and then, whatever is planned. */
const STOPPAGE = { chance: 0.006, days: [3, 6] } as const;

/** How a pump is used and looked after in the simulated yard. */
export interface PumpProfile {
  readonly pumpId: string;
  /** Pumps that run with it (a booster in front of it). */
  readonly runsWith?: readonly string[];
  readonly runsPerWeek: number;
  readonly weekends?: boolean;
  /** When a day's run begins, hours. */
  readonly shift: readonly [from: number, until: number];
  /** Of a run, on the mean. */
  readonly hours: number;
  /** Cycles per hour of running; runs are logged in cycles then. */
  readonly cyclesPerHour?: number;
  readonly materials: readonly [string, ...string[]];
  readonly ballast: BallastUse;
  /** As its display is read. */
  readonly trapTempC?: readonly [low: number, high: number];
  /** What of the machine is otherwise than its set-up says, or that does not say. */
  readonly build?: Partial<Build>;
  readonly condition?: Partial<Condition>;
  /** Of bags and seals, anew with every run. */
  readonly leaksPaM3S?: readonly [low: number, high: number];
  /** Meltwater that is drawn in with every run from some run on. */
  readonly meltwater?: { readonly fromRun: number; readonly ml: number };
  /** Chance that work that is due is done before the next run. */
  readonly diligence: number;
  readonly looksEveryRuns: number;
  /** Nobody services the pump in its last days: what is due then stays due. */
  readonly neglectedLastDays?: number;
}

const halfStep = (colour: number): number => Math.min(8, Math.max(0.5, Math.round(colour * 2) / 2));
const RUNS = { running: true, inlet: 'chamber' } as const;
const STANDS: Inputs = { running: false, inlet: 'shut', ballast: 'closed' };

/** Whole days until the next run may begin: free days, a holiday, a stoppage, and days on which there is nothing to run. */
function nextDay(day: number, profile: PumpProfile, random: Random): number {
  const { runsPerWeek, weekends = false, hours } = profile;
  const workdays = weekends ? 7 : 5;
  // A long run takes the days after it.
  const chance = Math.min(0.97, 1 / Math.max(1, workdays / runsPerWeek - Math.floor(hours / 24)));
  for (let next = day; ; next++) {
    const isFree = !weekends && WEEKEND.includes(next % 7);
    const ofHalfYear = next % HOLIDAY.every;
    if (isFree || (ofHalfYear >= HOLIDAY.from && ofHalfYear < HOLIDAY.until)) continue;
    if (random.chance(STOPPAGE.chance)) next += Math.round(random.between(STOPPAGE.days));
    else if (random.chance(chance)) return next;
  }
}

/**
 * The entries of one pump over a span, as its technician would have written them: what a machine does that obeys physics, read as
 * eye, gauge and jar read it. The technician sees the same standing as a user and acts on it with the profile's diligence. The same
 * seed and dates give the same entries.
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
  const fromMs = Date.parse(input.from);
  const untilMs = Date.parse(input.until);
  const entries: Entry[] = [];
  const machine = new SimulatedPump(buildOfSetUp(setUpAt(fromMs), profile.build ?? {}), {
    ...AS_NEW,
    ...profile.condition,
  });
  const seed = Math.floor(random.next() * 2 ** 31);
  const ids = seededRandom(seed);
  /** Anew with every run: what is decided otherwise on another day of the year changes nothing of the runs after it. */
  let luck = seededRandom(seed);
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
    const id = ids.uuid(recordedMs);
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
    const outMl = Math.round((Math.min(chargeMl, machine.oil.oilMl) * luck.between([0.88, 0.97])) / 5) * 5;
    write(
      'change',
      { sump: 'oil', productId: pump.oilProductId ?? '', outMl, inMl: chargeMl, levelAfter: 'right' },
      atMs,
    );
    machine.change();
    machine.oil.colour = product?.freshColour ?? 1;
  }

  const isNeglected = (atMs: number): boolean => atMs > untilMs - (profile.neglectedLastDays ?? 0) * DAY_MS;

  function serviceBefore(startMs: number, stoodHours: number): void {
    const at = startMs - HOUR_MS;
    const setUp = setUpAt(at);
    if (isNeglected(startMs) || setUp.model.kind !== 'vane' || runs === 0) return;
    if (runs % profile.looksEveryRuns === 0) look(at - 30 * MINUTE_MS, stoodHours);
    const todayDay = localDay({ at: new Date(at).toISOString(), zone: setUp.site.zone });
    if (oilChangeDue({ state, setUp, todayDay }) && luck.chance(profile.diligence)) return changeOil(at);
    const bleedDue = standingAt({ state, setUp, now: new Date(at).toISOString(), todayDay }).tasks.find(
      (t) => t.task === 'bleed',
    );
    const { oil } = machine;
    if (bleedDue?.limits.some((l) => l.reached) && oil.waterMl >= 2 && luck.chance(profile.diligence)) {
      const waterMl = Math.round(oil.waterMl * luck.between([0.7, 0.95]));
      const drawnMl = waterMl + Math.round(luck.between([8, 25]));
      oil.waterMl -= waterMl;
      oil.oilMl -= drawnMl - waterMl;
      write('bleed', { sump: 'oil', drawnMl, waterMl, levelAfter: 'right' }, at);
      if (machine.level < 0.25) topUp(at + 10 * MINUTE_MS);
    }
  }

  function topUp(atMs: number): void {
    const { build, oil } = machine;
    const addedMl = Math.max(5, Math.round((build.chargeMl - oil.oilMl) / 5) * 5);
    oil.oilMl += addedMl;
    write(
      'topUp',
      { sump: 'oil', productId: setUpAt(atMs).pump.oilProductId ?? '', addedMl, levelAfter: 'right' },
      atMs,
    );
  }

  function look(atMs: number, stoodHours: number): void {
    const { model, product } = setUpAt(atMs);
    const { oil, level } = machine;
    const heldUpMl = product?.waterBehaviour === 'detergent' ? HELD_UP_SHARE * (model.sumps[0]?.chargeMl ?? 0) : 0;
    write(
      'look',
      {
        sump: 'oil',
        source: 'sightGlass',
        hoursStood: Math.max(0.5, Math.min(72, Math.round(stoodHours))),
        level: level < -0.05 ? 'low' : level > 1.05 ? 'high' : 'right',
        colour: halfStep(oil.colour),
        clarity: Math.round(oil.waterMl) > 12 ? 'hazy' : 'bright',
        freeWaterMl: Math.round(Math.max(0, oil.waterMl - heldUpMl)),
        particles: 'none',
        smell: 'none',
      },
      atMs,
    );
    if (level < 0.1) topUp(atMs + 5 * MINUTE_MS);
  }

  function serviceAfter(endMs: number): void {
    if (isNeglected(endMs)) return;
    const setUp = setUpAt(endMs);
    const { tasks } = standingAt({ state, setUp, now: new Date(endMs).toISOString() });
    const ticked = tasks.filter(
      (t) => t.limits.some((l) => l.reached) && TASKS.some(({ id, doneBy }) => id === t.task && doneBy === 'done'),
    );
    const checked = luck.chance(ROUTINE_CHECK_CHANCE)
      ? tasks.find((t) => ROUTINE_CHECKS.includes(t.task) && t.status !== 'reached')
      : undefined;
    for (const { task } of checked ? [...ticked, checked] : ticked)
      if (luck.chance(profile.diligence)) write('done', { task: task satisfies TaskId }, endMs + 30 * MINUTE_MS);
  }

  function run(startMs: number, minutes: number): void {
    const setUp = setUpAt(startMs);
    const materialId = random.pick(profile.materials);
    const cycles = profile.cyclesPerHour
      ? Math.round((minutes / 60) * profile.cyclesPerHour * random.between([0.8, 1.1]))
      : null;
    const trapC = profile.trapTempC ? random.between(profile.trapTempC) : null;
    const trapTempC = trapC === null ? null : Math.round((trapC + random.between(TRAP_READ_WRONG_K)) * 2) / 2;
    const vents = random.chance(0.9);
    const lowestPa = runMachine({ setUp, materialId, minutes, trapC, vents });
    write(
      'run',
      {
        materialId,
        minutes,
        ...(cycles === null ? {} : { cycles }),
        session: 'run',
        ballast: profile.ballast,
        ...(trapTempC === null ? {} : { trapTempC }),
        lowestPressurePa: Number(lowestPa.toPrecision(2)),
        ventedBeforeStop: vents ? 'yes' : 'no',
      },
      startMs,
      startMs + minutes * MINUTE_MS + 10 * MINUTE_MS,
    );
    runs += 1;
  }

  /** @returns the lowest pressure that its gauge shows */
  function runMachine(of: {
    setUp: PumpSetUp;
    materialId: string;
    minutes: number;
    trapC: number | null;
    vents: boolean;
  }): number {
    const { setUp, materialId, minutes, trapC, vents } = of;
    const load = loadOfMaterial(setUp.house.material[materialId], setUp);
    const { meltwater, leaksPaM3S } = profile;
    if (leaksPaM3S) machine.condition.leakPaM3S = random.between(leaksPaM3S);
    machine.build = { ...machine.build, trapC };
    machine.begin({ ...load, liquidMl: meltwater && runs >= meltwater.fromRun ? meltwater.ml : 0 });
    const purges = profile.ballast === 'purge' ? Math.min(30, minutes / 2) : 0;
    machine.advance((minutes - purges) * 60, { ...RUNS, ballast: profile.ballast === 'open' ? 'open' : 'closed' });
    const lowestPa = machine.gaugePa() * random.between(GAUGE_READ_WRONG);
    machine.advance(purges * 60, { ...RUNS, inlet: 'shut', ballast: 'open' });
    machine.stop(vents);
    machine.defrost();
    return lowestPa;
  }

  const { model } = setUpAt(fromMs);
  let day = 0;
  let endMs = fromMs;
  for (;;) {
    day = nextDay(day, profile, random);
    const wantedMs = fromMs + day * DAY_MS + random.between(profile.shift) * HOUR_MS;
    const startMs = Math.round(Math.max(wantedMs, endMs + 4 * HOUR_MS) / (5 * MINUTE_MS)) * 5 * MINUTE_MS;
    const minutes = Math.max(20, Math.round(profile.hours * random.between(SHORTEST_AND_LONGEST) * 12) * 5);
    if (startMs + minutes * MINUTE_MS > untilMs - 2 * HOUR_MS) return entries;
    if (runs === 0 && model.kind === 'vane') changeOil(startMs - 2 * HOUR_MS);
    machine.advance((startMs - endMs) / 1000, STANDS);
    luck = seededRandom(seed + 1 + runs);
    serviceBefore(startMs, (startMs - endMs) / HOUR_MS - 2);
    run(startMs, minutes);
    endMs = startMs + minutes * MINUTE_MS;
    serviceAfter(endMs);
    day = Math.max(day + 1, Math.floor((endMs - fromMs) / DAY_MS));
  }
}
