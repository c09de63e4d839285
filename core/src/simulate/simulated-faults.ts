import type { CauseId, FindingId } from '../diagnosis/index.js';
import type { Process } from '../set-up/index.js';
import { iceVapourPressurePa } from '../water/index.js';

/** What a hidden fault does to a pump, in quantities; nothing here knows how diagnosis weighs a finding. */
export interface Body {
  /** Water found over the charge against what its runs should have left. */
  waterRatio: number;
  /** Of that water, what is beaten into the oil. */
  emulsified: number;
  /** Whether the water comes again with each run. */
  waterComesAgain: boolean;
  levelDriftMlPerRun: number;
  /** Level between the marks: 0 MIN, 1 MAX. */
  levelShare: number;
  /** Steps of D1500 in the first minutes, in a run, and right after a change. */
  darkerInMinutes: number;
  darkerInARun: number;
  darkAfterChange: number;
  /** Particles of each kind, per mL, that an eye may see. */
  fines: number;
  fibres: number;
  metal: number;
  rust: number;
  black: number;
  /** Gas let in at the chamber, Pa·m³/s. */
  leakPaM3s: number;
  /** Of this pump blanked off, against its own when new. */
  ultimateTimes: number;
  /** Of its speed when new, at the inlet; of the line's conductance; of both while cold. */
  speedShare: number;
  lineShare: number;
  coldShare: number;
  /** A gauge that shows so many times the pressure. */
  gaugeTimes: number;
  boosterTimes: number;
  backPressurePa: number;
  oilInHoseMl: number;
  screenOpenShare: number;
}

export type Log = Partial<Record<FindingId, string>>;

export interface Fault {
  /** How often it is drawn. */
  readonly often: number;
  readonly processes: readonly Process[];
  /** Changes the body, and says what the log of its runs is likely to hold. */
  readonly strike: (body: Body, draw: Draw) => Log;
}

export interface Draw {
  readonly between: (from: number, to: number) => number;
  readonly chance: (p: number) => boolean;
}

export const EVERY: readonly Process[] = ['freezeDrying', 'packaging', 'composites', 'industrial'];
export const yes = (happened: boolean): string => (happened ? 'yes' : 'no');

/** Faults that act only through water, colour, level, particles and pressure. */
export const SIMULATED_FAULTS: Readonly<Partial<Record<CauseId, Fault>>> = {
  condensation: {
    often: 4,
    processes: EVERY,
    strike(body, { between, chance }) {
      Object.assign(body, { waterRatio: between(1.6, 3.5), emulsified: between(0.2, 0.8), waterComesAgain: true });
      body.levelDriftMlPerRun = between(1, 6);
      return {
        ballast: chance(0.9) ? 'closed' : 'purge',
        pumpTemp: chance(0.7) ? 'cold' : 'warm',
        wetLoads: yes(chance(0.9)),
      };
    },
  },
  warmTrap: {
    often: 3,
    processes: ['freezeDrying'],
    strike(body, { between, chance }) {
      const [shouldC, isC] = [-50, -50 + between(8, 20)];
      body.waterRatio = iceVapourPressurePa({ tempC: isC }) / iceVapourPressurePa({ tempC: shouldC }) / 2;
      body.leakPaM3s += between(0.01, 0.03);
      Object.assign(body, { emulsified: between(0, 0.5), levelDriftMlPerRun: between(2, 8), waterComesAgain: true });
      return { trap: chance(0.85) ? 'warm' : 'cold', wetLoads: yes(chance(0.8)) };
    },
  },
  meltwater: {
    often: 3,
    processes: ['freezeDrying'],
    strike(body, { between, chance }) {
      Object.assign(body, {
        waterRatio: between(3.2, 8),
        emulsified: between(0, 0.5),
        levelDriftMlPerRun: between(4, 15),
      });
      body.levelShare = between(0.8, 1.3);
      return { defrosted: yes(chance(0.85)), drain: chance(0.5) ? 'open' : 'closed', trap: 'cold' };
    },
  },
  waterNeverBled: {
    often: 2,
    processes: ['freezeDrying', 'industrial'],
    strike(body, { between }) {
      Object.assign(body, {
        waterRatio: between(1.6, 3),
        levelDriftMlPerRun: between(1, 5),
        emulsified: between(0, 0.15),
      });
      body.waterComesAgain = true;
      return { bled: 'no', trap: 'cold' };
    },
  },
  liquidCarryOver: {
    often: 3,
    processes: ['packaging'],
    strike(body, { between, chance }) {
      Object.assign(body, {
        waterRatio: between(2.5, 8),
        emulsified: between(0.2, 0.9),
        levelDriftMlPerRun: between(3, 12),
      });
      return { liquids: yes(chance(0.9)) };
    },
  },
  humidLeak: {
    often: 1,
    processes: EVERY,
    strike(body, { between, chance }) {
      body.leakPaM3s += between(1, 4);
      Object.assign(body, { waterRatio: between(1.5, 5), emulsified: between(0.1, 0.7), waterComesAgain: true });
      return { newWork: yes(chance(0.5)), humidRoom: chance(0.6) ? 'humid' : 'usual' };
    },
  },
  leakAtChamber: {
    often: 4,
    processes: EVERY,
    strike(body, { between, chance }) {
      body.leakPaM3s += between(0.04, 0.3);
      return { newWork: yes(chance(0.4)) };
    },
  },
  wornVanes: {
    often: 3,
    processes: EVERY,
    strike(body, { between, chance }) {
      Object.assign(body, { ultimateTimes: between(8, 60), speedShare: between(0.4, 0.8), black: between(0, 6) });
      return { hours: chance(0.8) ? 'many' : 'few' };
    },
  },
  restriction: {
    often: 2,
    processes: EVERY,
    strike(body, { between, chance }) {
      body.lineShare = between(0.08, 0.3);
      return { inLineFilter: chance(0.6) ? 'fitted' : 'none' };
    },
  },
  cloggedScreen: {
    often: 2,
    processes: EVERY,
    strike(body, { between, chance }) {
      body.screenOpenShare = between(0.05, 0.25);
      body.fines = between(0, 4);
      return { dustyLoads: yes(chance(0.6)) };
    },
  },
  gaugeFault: {
    often: 2,
    processes: EVERY,
    strike(body, { between }) {
      body.gaugeTimes = between(2.5, 12);
      return {};
    },
  },
  coldOil: {
    often: 1.5,
    processes: EVERY,
    strike(body, { between, chance }) {
      body.coldShare = between(0.3, 0.6);
      return { room: chance(0.85) ? 'cold' : 'usual' };
    },
  },
  boosterBypass: {
    often: 2,
    processes: ['industrial'],
    strike(body, { between }) {
      body.boosterTimes = between(1, 1.3);
      return {};
    },
  },
  blockedExhaust: {
    often: 3,
    processes: EVERY,
    strike(body, { between, chance }) {
      body.backPressurePa = between(30_000, 90_000);
      body.ultimateTimes = between(1, 4);
      return { exhaustFilter: chance(0.8) ? 'overdue' : 'inTime' };
    },
  },
  levelLow: {
    often: 2,
    processes: EVERY,
    strike(body, { between }) {
      Object.assign(body, {
        levelShare: between(-0.6, -0.1),
        levelDriftMlPerRun: between(-8, -2),
        ultimateTimes: between(1, 8),
      });
      return {};
    },
  },
  levelHigh: {
    often: 1.5,
    processes: EVERY,
    strike(body, { between }) {
      body.levelShare = between(1.15, 1.6);
      return {};
    },
  },
  oilLost: {
    often: 1.5,
    processes: ['industrial', 'packaging'],
    strike(body, { between, chance }) {
      body.levelDriftMlPerRun = between(-15, -5);
      return { throughput: chance(0.85) ? 'high' : 'usual' };
    },
  },
  suckback: {
    often: 2,
    processes: EVERY,
    strike(body, { between, chance }) {
      Object.assign(body, { oilInHoseMl: between(3, 30), levelDriftMlPerRun: between(-6, 0) });
      return { stoppedUnderVacuum: yes(chance(0.85)) };
    },
  },
  fatVapour: {
    often: 3,
    processes: ['freezeDrying', 'packaging', 'industrial'],
    strike(body, { between, chance }) {
      Object.assign(body, { darkerInMinutes: between(0.8, 3), darkerInARun: between(1.5, 4), black: between(0, 4) });
      return { fattyLoads: yes(chance(0.9)) };
    },
  },
  oldDeposits: {
    often: 3,
    processes: EVERY,
    strike(body, { between, chance }) {
      Object.assign(body, { darkAfterChange: between(1.5, 4), darkerInARun: between(0.5, 2.5), black: between(0, 6) });
      return { carriedOver: yes(chance(0.4)) };
    },
  },
  productFines: {
    often: 2.5,
    processes: EVERY,
    strike(body, { between, chance }) {
      body.fines = between(4, 40);
      return { dustyLoads: yes(chance(0.85)) };
    },
  },
  shedFibres: {
    often: 1.5,
    processes: EVERY,
    strike(body, { between }) {
      body.fibres = between(3, 30);
      return { inLineFilter: 'fitted' };
    },
  },
  wearDebris: {
    often: 2.5,
    processes: EVERY,
    strike(body, { between, chance }) {
      Object.assign(body, { metal: between(2, 30), black: between(0, 15) });
      return { newPump: yes(chance(0.2)), hours: chance(0.6) ? 'many' : 'few' };
    },
  },
  rustFromAcid: {
    often: 2,
    processes: ['freezeDrying', 'packaging', 'industrial'],
    strike(body, { between, chance }) {
      body.rust = between(3, 30);
      return { ballast: chance(0.65) ? 'closed' : 'purge', acidLoads: yes(chance(0.5)) };
    },
  },
};
