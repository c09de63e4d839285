// Longer than a file should be: one list of all that can go wrong, each by what it does to the machine or to its use.
import type { CauseId } from '../diagnosis/index.js';
import type { Process } from '../set-up/index.js';
import type { SimulatedPump } from './pump.js';
import type { Random } from './random.js';
import type { Habits } from './use.js';

/** A set that a fault strikes: its machine, its make and how it is used. */
export interface Struck {
  readonly pump: SimulatedPump;
  readonly habits: Habits;
  readonly random: Random;
}

export interface Fault {
  /** How often it is drawn. */
  readonly often: number;
  readonly processes: readonly Process[];
  /** Changes the machine or its use from now on; the oil has just been changed. */
  readonly strike: (struck: Struck) => void;
}

const EVERY: readonly Process[] = ['freezeDrying', 'packaging', 'composites', 'industrial'];
const NOT_DRYERS: readonly Process[] = ['packaging', 'composites', 'industrial'];

const withLoad = (habits: Habits, load: Partial<Habits['load']>): void => {
  habits.load = { ...habits.load, ...load };
};

export const FAULTS: Readonly<Record<CauseId, Fault>> = {
  condensation: {
    often: 4,
    processes: EVERY,
    strike: ({ habits, random, pump }) => {
      Object.assign(habits, { ballast: 'closed', warmsUp: false, bleeds: false });
      const isDryer = pump.build.trapC !== null;
      withLoad(habits, { waterG: isDryer ? random.between([3000, 6000]) : random.between([8, 35]) });
    },
  },
  warmTrap: {
    often: 3,
    processes: ['freezeDrying'],
    strike: ({ pump, random }) => {
      pump.condition.trapWarmerK = random.between([10, 20]);
    },
  },
  meltwater: {
    often: 3,
    processes: ['freezeDrying'],
    strike: ({ habits, random }) => {
      Object.assign(habits, { defrosts: true, drainsShut: random.chance(0.5) });
      withLoad(habits, { liquidMl: random.between([25, 90]) });
    },
  },
  ballastAir: {
    often: 1.5,
    processes: EVERY,
    strike: ({ pump, habits, random }) => {
      Object.assign(habits, { ballast: 'open', warmsUp: false, bleeds: false });
      pump.build = { ...pump.build, roomC: random.between([4, 10]), riseK: random.between([6, 12]), humidity: 0.9 };
    },
  },
  exhaustCondensate: {
    often: 1.5,
    processes: EVERY,
    strike: ({ pump, habits, random }) => {
      pump.condition.pipeRises = true;
      habits.ballast = 'open';
      withLoad(habits, { waterG: Math.max(habits.load.waterG, random.between([20, 120])) });
    },
  },
  humidLeak: {
    often: 1,
    processes: EVERY,
    strike: ({ pump, habits, random }) => {
      const { build } = pump;
      pump.condition.leakPaM3S = random.between([6, 25]) * (build.speedM3S / 0.0022);
      habits.newWork = random.chance(0.5);
      pump.build = { ...pump.build, humidity: random.between([0.75, 0.95]) };
    },
  },
  waterNeverBled: {
    often: 2,
    processes: ['freezeDrying'],
    strike: ({ habits }) => {
      Object.assign(habits, { bleeds: false, ballast: 'closed', warmsUp: true });
    },
  },
  liquidCarryOver: {
    often: 3,
    processes: ['packaging'],
    strike: ({ habits, random }) => withLoad(habits, { liquidMl: random.between([60, 300]), fat: 0.25 }),
  },
  productFines: {
    often: 2.5,
    processes: EVERY,
    strike: ({ habits, random }) => withLoad(habits, { fines: random.between([0.3, 1.5]) }),
  },
  growth: {
    often: 1,
    processes: ['freezeDrying', 'packaging', 'industrial'],
    strike: ({ pump, habits, random }) => {
      withLoad(habits, { fines: random.between([0.15, 0.4]) });
      pump.oil.waterMl += pump.build.chargeMl * 0.02;
      pump.oil.growth = random.between([2, 6]);
    },
  },
  wearDebris: {
    often: 2.5,
    processes: EVERY,
    strike: ({ pump, habits, random }) => {
      pump.condition.wearPpmPerH = random.between([0.2, 0.8]);
      habits.manyHours = random.chance(0.55);
    },
  },
  rustFromAcid: {
    often: 2,
    processes: ['freezeDrying', 'packaging', 'industrial'],
    strike: ({ pump, habits, random }) => {
      habits.ballast = 'closed';
      withLoad(habits, { acid: random.between([0.15, 0.4]), waterG: Math.max(100, habits.load.waterG) });
      pump.oil.waterMl += pump.build.chargeMl * 0.005;
      habits.bleeds = false;
    },
  },
  shedFibres: {
    often: 1.5,
    processes: EVERY,
    strike: ({ pump, habits, random }) => {
      habits.hasFilter = true;
      pump.condition.fibresPerH = random.between([0.15, 1]);
    },
  },
  oldDeposits: {
    often: 3,
    processes: EVERY,
    strike: ({ pump, habits, random }) => {
      pump.condition.deposits = random.between([3, 6]);
      habits.carriesOver = random.chance(0.4);
    },
  },
  externalDust: {
    often: 1,
    processes: EVERY,
    strike: ({ pump, habits, random }) => {
      pump.condition.dustPpmPerH = random.between([0.4, 1.5]);
      habits.dustyRoom = random.chance(0.7);
    },
  },
  fatVapour: {
    often: 3,
    processes: ['freezeDrying', 'packaging', 'industrial'],
    strike: ({ habits, random }) => withLoad(habits, { fat: random.between([1.1, 2.6]) }),
  },
  resinVapour: {
    often: 3,
    processes: ['composites', 'industrial'],
    strike: ({ pump, habits, random }) =>
      withLoad(habits, { resinMl: pump.build.chargeMl * random.between([0.0006, 0.0025]) }),
  },
  solventDilution: {
    often: 2,
    processes: ['freezeDrying', 'composites', 'industrial'],
    strike: ({ pump, habits, random }) =>
      withLoad(habits, { solventMl: pump.build.chargeMl * random.between([0.0006, 0.002]) }),
  },
  acidVapour: {
    often: 1,
    processes: EVERY,
    strike: ({ habits, random }) => {
      habits.ballast = 'open';
      withLoad(habits, { acid: random.between([0.3, 0.8]), waterG: 0 });
    },
  },
  overheatedOil: {
    often: 2,
    processes: EVERY,
    strike: ({ pump, random }) => {
      pump.build = { ...pump.build, riseK: random.between([74, 84]) };
      pump.oil.acid += 0.5;
      pump.oil.colour += random.between([1.5, 3]);
    },
  },
  wrongOil: {
    often: 1,
    processes: EVERY,
    strike: ({ pump, random }) => {
      pump.oil.otherShare = random.between([0.15, 0.8]);
    },
  },
  siliconeCarryOver: {
    often: 1,
    processes: ['packaging', 'composites', 'industrial'],
    strike: ({ habits, random }) => withLoad(habits, { siliconeMl: random.between([0.01, 0.05]) }),
  },
  leakAtChamber: {
    often: 4,
    processes: EVERY,
    strike: ({ pump, habits, random }) => {
      const { build } = pump;
      pump.condition.leakPaM3S =
        random.between([2.5, 12]) * Math.max(build.ultimatePa * build.speedM3S * 4, build.outgasPaM3S);
      habits.newWork = random.chance(0.4);
    },
  },
  leakAtPump: {
    often: 2,
    processes: EVERY,
    strike: ({ pump, random }) => {
      const { build } = pump;
      pump.condition.pumpLeakPaM3S = random.between([6, 40]) * build.ultimatePa * build.speedM3S;
      pump.condition.weepMlPerH = random.between([0, 0.3]);
    },
  },
  gaugeFault: {
    often: 2,
    processes: EVERY,
    strike: ({ pump, random }) => {
      pump.condition.gaugeTimes = random.between([2.2, 9]);
    },
  },
  wornVanes: {
    often: 3,
    processes: EVERY,
    strike: ({ pump, habits, random }) => {
      Object.assign(pump.condition, { vanes: random.between([5, 30]), speedShare: random.between([0.45, 0.8]) });
      pump.condition.wearPpmPerH = random.between([0.02, 0.12]);
      habits.manyHours = random.chance(0.8);
    },
  },
  cloggedScreen: {
    often: 2,
    processes: EVERY,
    strike: ({ pump, habits, random }) => {
      pump.condition.screenShare = random.between([0.04, 0.15]);
      habits.screenLate = random.chance(0.6);
      if (random.chance(0.5)) withLoad(habits, { fines: random.between([0.05, 0.4]) });
    },
  },
  suckback: {
    often: 2,
    processes: EVERY,
    strike: ({ pump, habits, random }) => {
      pump.condition.suckMl = pump.build.chargeMl * random.between([0.02, 0.08]);
      if (random.chance(0.3)) pump.condition.valveShare = random.between([0.1, 0.3]);
      habits.vents = false;
    },
  },
  blockedExhaust: {
    often: 3,
    processes: EVERY,
    strike: ({ pump, habits, random }) => {
      pump.condition.backPa = random.between([30_000, 90_000]);
      pump.condition.mistTimes = random.between([2, 7]);
      habits.exhaustFilterLate = random.chance(0.8);
    },
  },
  levelLow: {
    often: 2,
    processes: EVERY,
    strike: ({ pump, random }) => {
      pump.oil.oilMl -= pump.build.marksMl * random.between([0.7, 1.2]);
      pump.condition.weepMlPerH = random.between([0, 0.05]);
    },
  },
  levelHigh: {
    often: 1.5,
    processes: EVERY,
    strike: ({ pump, random }) => {
      pump.oil.oilMl += pump.build.marksMl * random.between([0.75, 1.3]);
    },
  },
  oilLost: {
    often: 1.5,
    processes: ['industrial', 'packaging'],
    strike: ({ pump, habits, random }) => {
      withLoad(habits, { throughput: random.between([4, 7]) });
      pump.condition.mistTimes = random.between([3, 6]);
    },
  },
  ballastLeak: {
    often: 2,
    processes: EVERY,
    strike: ({ pump, habits, random }) => {
      pump.condition.ballastLeak = random.between([0.5, 1]);
      habits.ballast = random.pick(['closed', 'purge'] as const);
    },
  },
  coldOil: {
    often: 1.5,
    processes: NOT_DRYERS,
    strike: ({ pump, habits, random }) => {
      pump.build = { ...pump.build, roomC: random.between([-4, 5]), v40: random.pick([100, 150] as const) };
      habits.warmsUp = false;
    },
  },
  boosterBypass: {
    often: 2,
    processes: ['industrial'],
    strike: ({ pump, random }) => {
      pump.condition.boosterShare = random.between([0.17, 0.22]);
    },
  },
  restriction: {
    often: 2,
    processes: EVERY,
    strike: ({ pump, habits, random }) => {
      pump.condition.lineShare = random.between([0.04, 0.13]);
      habits.hasFilter = random.chance(0.6);
    },
  },
  wetLoad: {
    often: 2,
    processes: NOT_DRYERS,
    strike: ({ habits, random }) => {
      habits.ballast = 'open';
      withLoad(habits, { waterG: random.between([400, 2500]) });
    },
  },
  coolingLost: {
    often: 2,
    processes: EVERY,
    strike: ({ pump, random }) => {
      pump.condition.coolingShare = random.between([0.55, 0.72]);
    },
  },
  motorFault: {
    often: 1.5,
    processes: EVERY,
    strike: ({ pump, random }) => {
      pump.condition.torqueShare = random.between([0.4, 0.6]);
    },
  },
};
