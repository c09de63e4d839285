import type { Process } from '../set-up/index.js';
import { NO_LOAD, type Build, type Load } from './pump.js';
import type { Random } from './random.js';

/** How people use a pump: when it runs, with what, and what they do beside it. */
export interface Habits {
  ballast: 'open' | 'closed' | 'purge';
  /** Warmed with the inlet shut before a load. */
  warmsUp: boolean;
  bleeds: boolean;
  vents: boolean;
  defrosts: boolean;
  drainsShut: boolean;
  hasFilter: boolean;
  exhaustFilterLate: boolean;
  screenLate: boolean;
  carriesOver: boolean;
  newWork: boolean;
  manyHours: boolean;
  dustyRoom: boolean;
  load: Load;
}

/** When a run begins, hours from the start, and how long it goes on. */
export interface PlannedRun {
  readonly at: number;
  readonly hours: number;
}

/**
 * Runs by shifts, with free weekends for some, a holiday and a stoppage: no stream of any one distribution.
 * @returns `count` runs, the last of them the newest
 */
export function plannedRuns(random: Random, process: Process, count: number): PlannedRun[] {
  const weekends = random.chance(0.35);
  const shift = random.pick([6, 7.5, 14] as const);
  const hours = { freezeDrying: 26, packaging: 8, composites: 7, industrial: 10 }[process];
  const every = process === 'freezeDrying' ? 2 : 1;
  const holiday = 6 + Math.floor(random.next() * 20);
  const stoppage = 4 + Math.floor(random.next() * 18);
  const runs: PlannedRun[] = [];
  for (let day = 0; runs.length < count; day++) {
    const isFree = (!weekends && day % 7 > 4) || (day > holiday && day < holiday + 8) || day === stoppage;
    if (isFree || day % every !== 0 || random.chance(0.12)) continue;
    runs.push({ at: day * 24 + shift + random.between([-0.4, 0.8]), hours: hours * random.between([0.75, 1.2]) });
  }
  return runs;
}

/** A set as it may stand in such a process. */
export function buildOf(random: Random, process: Process): Build {
  const isCoarse = process === 'packaging';
  const speedM3S = random.between(isCoarse ? [20, 60] : [5, 12]) / 3600;
  const chargeMl = Math.round((isCoarse ? 45_000 : 300_000) * speedM3S * random.between([0.8, 1.2])) || 700;
  const isCold = random.chance(0.12);
  return {
    speedM3S,
    lineM3S: speedM3S * random.between([3, 6]),
    chamberM3: random.between(isCoarse ? [0.03, 0.1] : [0.15, 0.6]),
    ultimatePa: isCoarse ? random.between([30, 60]) : random.between([0.3, 0.9]),
    ballastPa: isCoarse ? random.between([150, 300]) : random.between([4, 9]),
    ballastM3S: speedM3S * 0.1,
    outgasPaM3S: isCoarse ? 0.3 : random.between([0.004, 0.01]),
    boosterTimes: process === 'industrial' ? 6 : 1,
    chargeMl,
    marksMl: chargeMl * random.between([0.15, 0.25]),
    v40: random.pick([46, 68, 68, 100] as const),
    riseK: random.between([42, 55]),
    roomC: isCold ? random.between([2, 9]) : random.between([17, 26]),
    humidity: random.between([0.35, 0.75]),
    trapC: process === 'freezeDrying' ? random.between([-56, -46]) : null,
    trapHoldsG: random.between([6000, 9000]),
  };
}

const yes = (random: Random, chance: number): boolean => random.chance(chance);

/** What people do, well and badly, whatever ails the pump. */
export function habitsOf(random: Random, process: Process, build: Build): Habits {
  const isDryer = process === 'freezeDrying';
  const isCoarse = process === 'packaging';
  const fatty = process !== 'composites' && yes(random, 0.25);
  const resin = process === 'composites' || (process === 'industrial' && yes(random, 0.3));
  const load: Load = {
    ...NO_LOAD,
    waterG: isDryer ? random.between([800, 5000]) : yes(random, 0.3) ? random.between([5, 60]) : 0,
    fat: fatty ? random.between([0.02, 0.25]) : 0,
    fines: yes(random, 0.25) ? random.between([0.016, 0.022]) : random.between([0, 0.005]),
    solventMl: yes(random, 0.12) ? random.between([0.005, 0.02]) : 0,
    resinMl: resin ? random.between([0.002, 0.02]) : 0,
    acid: yes(random, 0.12) ? random.between([0.02, 0.08]) : 0,
    throughput: yes(random, 0.1) ? 3 : 1,
    cyclesM3S: isCoarse ? build.speedM3S * 0.15 : 0,
  };
  const wanted = random.pick(['purge', 'purge', 'open', 'closed'] as const);
  // Who closes the ballast on wet work bleeds, or has the fault that is one of the list.
  const ballast = wanted === 'closed' && load.waterG > 0 && !isDryer ? 'purge' : wanted;
  return {
    ballast,
    warmsUp: yes(random, 0.7),
    bleeds: yes(random, 0.8) || (isDryer && ballast === 'closed'),
    vents: yes(random, 0.8),
    defrosts: isDryer && yes(random, 0.2),
    drainsShut: true,
    hasFilter: yes(random, 0.2),
    exhaustFilterLate: yes(random, 0.15),
    screenLate: yes(random, 0.15),
    carriesOver: yes(random, 0.12),
    newWork: yes(random, 0.12),
    manyHours: yes(random, 0.25),
    dustyRoom: yes(random, 0.15),
    load,
  };
}
