import { FINDINGS, type CauseId, type FindingId } from '../diagnosis/index.js';
import type { Process } from '../set-up/index.js';
import { seededRandom } from './random.js';
import { EVERY, SIMULATED_FAULTS, yes, type Body, type Draw, type Fault, type Log } from './simulated-faults.js';

/** A pump with one hidden fault, which answers what a test would show. */
export interface AilingPump {
  readonly process: Process;
  readonly fault: CauseId;
  /** What its log says by itself. */
  readonly log: readonly { readonly id: FindingId; readonly state: string }[];
  /** What is found when somebody looks. A finding outside water, colour, level, particles and pressure is as usual. */
  readonly observe: (id: FindingId) => string;
}

/** Speed of the simulated pump, and what its chamber gives off when all is well. */
const SPEED_M3S = 8 / 3600;
const OUTGASSING_PA_M3S = 0.006;
const ULTIMATE_PA = 0.6;
const LINE_M3S = 4 * SPEED_M3S;
const VISIBLE = 2;

/** A random pump whose fault is drawn by how common it is. */
export function ailingPump(seed: number): AilingPump {
  const random = seededRandom(seed);
  const draw: Draw = {
    between: (from, to) => from + (to - from) * random.next(),
    chance: (p) => random.next() < p,
  };
  const process = EVERY[Math.floor(random.next() * EVERY.length)] ?? 'industrial';
  const known = (Object.entries(SIMULATED_FAULTS) as [CauseId, Fault][]).filter(([, f]) =>
    f.processes.includes(process),
  );
  let left = random.next() * known.reduce((sum, [, f]) => sum + f.often, 0);
  const [fault, kind] = known.find(([, f]) => (left -= f.often) <= 0) ?? known[0]!;
  const body = healthy(draw);
  const log = { ...usualLog(process, draw), ...kind.strike(body, draw) };
  return {
    process,
    fault,
    log: (Object.entries(log) as [FindingId, string][]).map(([id, state]) => ({ id, state })),
    observe: (id) => log[id] ?? shown(id, body) ?? usualState(id),
  };
}

const healthy = ({ between }: Draw): Body => ({
  waterRatio: Math.exp(between(-0.35, 0.35)),
  emulsified: between(0, 0.15),
  waterComesAgain: false,
  levelDriftMlPerRun: between(-0.8, 0.8),
  levelShare: between(0.15, 0.85),
  darkerInMinutes: 0,
  darkerInARun: between(0, 0.5),
  darkAfterChange: between(0, 0.5),
  fines: between(0, 1),
  fibres: between(0, 0.5),
  metal: 0,
  rust: between(0, 1),
  black: between(0, 2.2),
  leakPaM3s: 0,
  ultimateTimes: between(0.8, 1.6),
  speedShare: between(0.9, 1),
  lineShare: between(0.85, 1),
  coldShare: 1,
  gaugeTimes: between(0.85, 1.2),
  boosterTimes: 6,
  backPressurePa: between(1000, 8000),
  oilInHoseMl: 0,
  screenOpenShare: between(0.8, 1),
});

/** What the log of a pump holds, whatever ails it. */
const usualLog = (process: Process, { chance }: Draw): Log => ({
  ballast: chance(0.35) ? 'closed' : chance(0.5) ? 'purge' : 'open',
  pumpTemp: chance(0.25) ? 'cold' : 'warm',
  ...(process === 'freezeDrying'
    ? { trap: 'cold', defrosted: yes(chance(0.2)), drain: 'closed', wetLoads: yes(chance(0.6)) }
    : {}),
  ...(process === 'packaging' ? { liquids: yes(chance(0.15)), wetLoads: yes(chance(0.5)) } : {}),
  bled: chance(0.75) ? 'yes' : 'no',
  inLineFilter: chance(0.2) ? 'fitted' : 'none',
  fattyLoads: yes(process !== 'composites' && chance(0.3)),
  dustyLoads: yes(chance(0.25)),
  acidLoads: yes(chance(0.1)),
  hours: chance(0.3) ? 'many' : 'few',
  exhaustFilter: chance(0.2) ? 'overdue' : 'inTime',
  stoppedUnderVacuum: yes(chance(0.2)),
  carriedOver: yes(chance(0.15)),
  newWork: yes(chance(0.15)),
  throughput: chance(0.1) ? 'high' : 'usual',
  room: chance(0.1) ? 'cold' : 'usual',
});

const speedOf = ({ speedShare, lineShare, screenOpenShare }: Body): number =>
  1 / (1 / (SPEED_M3S * speedShare) + 1 / (LINE_M3S * lineShare) + (1 / screenOpenShare - 1) / LINE_M3S);

/** The chamber settles where what comes in meets what the pump takes out; a booster multiplies the speed. */
function chamberPa(body: Body): number {
  const healthySpeed = 1 / (1 / SPEED_M3S + 1 / LINE_M3S);
  const speed = speedOf(body) * (body.boosterTimes / 6);
  return (OUTGASSING_PA_M3S + body.leakPaM3s) / speed + (ULTIMATE_PA * body.ultimateTimes * healthySpeed) / speed;
}
const TARGET_PA = 1.8 * (OUTGASSING_PA_M3S * (1 / SPEED_M3S + 1 / LINE_M3S) + ULTIMATE_PA);

/** The state of a finding that follows from the body; null for one that the faults here do not touch. */
function shown(id: FindingId, body: Body): string | null {
  const reads = chamberPa(body) * body.gaugeTimes;
  const startSpeed = speedOf(body) * body.coldShare * (body.boosterTimes / 6);
  const seen = (count: number): string => yes(count >= VISIBLE);
  switch (id) {
    case 'water':
      return body.waterRatio > 3 ? 'farMore' : body.waterRatio > 1.5 ? 'more' : 'asExpected';
    case 'cream':
      return yes(body.emulsified * body.waterRatio > 0.7);
    case 'haze':
      return body.emulsified * body.waterRatio > 0.35 ? 'hazy' : 'clear';
    case 'crackle':
      return body.emulsified * body.waterRatio > 0.3 ? 'crackles' : 'silent';
    case 'afterPurge':
      return body.waterRatio > 1.5 && body.emulsified > 0.7 ? 'notCleared' : 'cleared';
    case 'waterAgain':
      return yes(body.waterComesAgain && body.waterRatio > 1.5);
    case 'pumpPressureAsIs':
      return body.ultimateTimes > 3 || body.emulsified * body.waterRatio > 0.7 ? 'poor' : 'good';
    case 'levelTrend':
      return body.levelDriftMlPerRun > 1.5 ? 'rising' : body.levelDriftMlPerRun < -1.5 ? 'falling' : 'steady';
    case 'level':
      return body.levelShare < 0 ? 'low' : body.levelShare > 1 ? 'high' : 'right';
    case 'darkening':
      return body.darkerInMinutes >= 1 ? 'inMinutes' : body.darkerInARun >= 1.5 ? 'inOneRun' : 'slowly';
    case 'darkAfterChange':
      return yes(body.darkAfterChange >= 1.5);
    case 'emptyRun':
      return body.darkAfterChange >= 1.5 ? 'same' : 'clean';
    case 'suspectRun':
      return Math.max(body.darkerInMinutes, body.darkAfterChange) >= 1 || body.fines >= 4 ? 'same' : 'clean';
    case 'fines':
      return seen(body.fines);
    case 'fibres':
      return seen(body.fibres);
    case 'glitter':
      return seen(body.metal);
    case 'rustParticles':
      return seen(body.rust);
    case 'blackParticles':
      return seen(body.black);
    case 'inletScreen':
      return body.screenOpenShare < 0.4 ? 'clogged' : 'clean';
    case 'chamberPressure':
      return reads > 5 * TARGET_PA ? 'farAbove' : reads > 1.2 * TARGET_PA ? 'poor' : 'good';
    case 'pumpPressure':
      return body.ultimateTimes > 3 ? 'poor' : 'good';
    case 'hosePressure':
      return body.ultimateTimes > 4 ? 'poor' : 'good';
    case 'rateOfRise':
      return body.leakPaM3s > 0.02 ? 'straight' : 'small';
    case 'joints':
      return body.leakPaM3s > 0.06 ? 'bad' : 'sound';
    case 'bubbles':
      return yes(body.leakPaM3s > 0.08);
    case 'pumpDown':
      return startSpeed < 0.7 / (1 / SPEED_M3S + 1 / LINE_M3S) ? 'slow' : 'usual';
    case 'comesWarm':
      return yes(body.coldShare < 0.7);
    case 'withoutFilter':
      return body.lineShare < 0.4 ? 'better' : 'same';
    case 'gauges':
      return body.gaugeTimes > 1.6 ? 'gapStays' : 'agree';
    case 'sensor':
      return body.gaugeTimes > 4 ? 'wrong' : 'right';
    case 'boosterEffect':
      return body.boosterTimes < 2 ? 'none' : 'usual';
    case 'backPressure':
      return body.backPressurePa > 15_000 ? 'raised' : 'low';
    case 'oilUpHose':
      return body.oilInHoseMl > 15 ? 'always' : body.oilInHoseMl > 2 ? 'now' : 'never';
    default:
      return null;
  }
}

/** The first state of a finding is what is usual; of these conditions nobody logged another. */
const usualState = (id: FindingId): string => Object.keys(FINDINGS[id].states)[0] ?? '';
