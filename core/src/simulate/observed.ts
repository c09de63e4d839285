// Longer than a file should be: one list of all that can be found, each read from the machine by what the trade measures.
import type { FindingId, StateOf } from '../diagnosis/index.js';
import type { Process } from '../set-up/index.js';
import type { RunSeen } from './live.js';
import { cloned as tried } from './cloned.js';
import type { Inputs, SimulatedPump } from './pump.js';
import type { Habits } from './use.js';

/** A pump with what its last runs showed, beside the same pump with nothing broken. */
export interface Seen {
  readonly process: Process;
  readonly pump: SimulatedPump;
  readonly habits: Habits;
  readonly since: readonly RunSeen[];
  readonly usual: readonly RunSeen[];
  readonly healthy: readonly RunSeen[];
  readonly twin: SimulatedPump;
  readonly chance: (what: string, p: number) => boolean;
}

type State<F extends FindingId> = (seen: Seen) => StateOf<F>;

const yes = (is: boolean): 'yes' | 'no' => (is ? 'yes' : 'no');
const last = <T>(of: readonly T[]): T => of.at(-1)!;
const lastOf = ({ since, usual }: Seen) => ({ is: last(since), was: last(usual) });
const waterFound = ({ pump, since }: Seen): number => pump.oil.waterMl + since.reduce((sum, r) => sum + r.bledMl, 0);
/** By a trap or by cycles it can be reckoned; elsewhere nobody expects any. */
const waterUsual = ({ process, twin, usual }: Seen): number =>
  process === 'freezeDrying' || process === 'packaging'
    ? twin.oil.waterMl + usual.reduce((sum, r) => sum + r.bledMl, 0)
    : 0;
/** Of the oil's water, what an hour's run beats into it. */
const beaten = ({ pump }: Seen): number => pump.waterShare * (0.35 + pump.oil.resinMl / pump.build.chargeMl);
const particles = ({ oil }: SimulatedPump): number =>
  oil.fines + oil.black + oil.metal + oil.rust + oil.dustPpm / 3 + oil.fibres / 2;
const own = (pump: SimulatedPump): number => pump.ownPa('closed');

/** Warm, with the inlet shut and the ballast open for an hour. */
function purged({ pump }: Seen): SimulatedPump {
  const copy = tried(pump);
  copy.advance(3000, { running: true, inlet: 'shut', ballast: 'closed' });
  copy.advance(3600, { running: true, inlet: 'shut', ballast: 'open' });
  return copy;
}

/** Pressures in the shut chamber over a quarter of an hour, from where the last run left it. */
function rise({ pump, since }: Seen): readonly [small: number, early: number, late: number] {
  const copy = tried(pump);
  copy.airPa = Math.max(0.1, last(since).lowestPa / copy.condition.gaugeTimes - copy.vapourPa);
  copy.condition.gaugeTimes = 1;
  const shut: Inputs = { running: false, inlet: 'shut', ballast: 'closed', trapIsolated: true };
  copy.vapourPa = 0;
  // A dryer is emptied and dried for it; what is bagged or built in stays.
  if (copy.build.trapC !== null) copy.chamberWaterG = 0;
  const start = copy.gaugePa();
  const at = [300, 300, 300].map((s) => {
    copy.advance(s, shut);
    return copy.gaugePa();
  });
  return [at[2]! - start, at[0]! - start, at[2]! - at[1]!];
}

const riseUsual = ({ pump }: Seen): number => (pump.build.outgasPaM3S * 900) / pump.build.chamberM3;

/** Each finding from the machine; thresholds are those of the trade (docs/trade.md 6 and 7), not of what weighs them. */
export const SHOWN: { readonly [F in FindingId]: State<F> } = {
  water: (s) => {
    const [found, usual] = [waterFound(s), waterUsual(s)];
    if (found > 3 * usual && found - usual >= 15) return 'farMore';
    return found > 1.5 * usual && found - usual >= 5 ? 'more' : 'asExpected';
  },
  cream: (s) => yes(beaten(s) > 0.006),
  haze: (s) => (beaten(s) > 0.0015 || s.pump.oil.otherShare > 0.12 || s.pump.oil.siliconeMl > 0.8 ? 'hazy' : 'clear'),
  levelTrend: ({ since, pump }) => {
    const change = pump.level - since[0]!.level + since[0]!.bledMl / pump.build.marksMl;
    return change > 0.15 ? 'rising' : change < -0.15 ? 'falling' : 'steady';
  },
  level: ({ pump }) => (pump.level < -0.05 ? 'low' : pump.level > 1.05 ? 'high' : 'right'),
  darkening: (s) => {
    const { is } = lastOf(s);
    return is.darkerAtOnce >= 0.8 ? 'inMinutes' : is.darker >= 1.5 ? 'inOneRun' : 'slowly';
  },
  colour: ({ pump }) => (pump.oil.colour >= 4 ? 'farDarker' : pump.oil.colour >= 2.5 ? 'darker' : 'asStart'),
  darkAfterChange: ({ since }) => yes(since[0]!.darker >= 1.5),
  blackParticles: ({ pump }) => yes(pump.oil.black > 3.5),
  rustParticles: ({ pump }) => yes(pump.oil.rust > 1.5),
  glitter: ({ pump }) => yes(pump.oil.metal > 12),
  fibres: ({ pump }) => yes(pump.oil.fibres > 2),
  fines: ({ pump }) => yes(pump.oil.fines > 4),
  growth: ({ pump }) => yes(pump.oil.growth >= 2),
  sludge: ({ pump }) => yes(pump.oil.sludgeMl > 2.5),
  smell: ({ pump, habits, chance }) => {
    const { oil, build } = pump;
    if (oil.solventMl > build.chargeMl * 0.012) return 'solvent';
    if (oil.resinMl > build.chargeMl * 0.012) return chance('amine', 0.25) ? 'fishy' : 'sharp';
    if (oil.burntHours > 12) return 'burnt';
    if (oil.growth >= 2 || oil.acid > 1.4) return 'sour';
    return habits.load.fat > 0.5 && chance('rancid', 0.4) ? 'rancid' : 'none';
  },
  foam: ({ pump }) => yes(pump.oil.siliconeMl > 0.25 || pump.oil.otherShare > 0.12),
  thickness: ({ pump }) => {
    const { thicker, oil, build } = pump;
    if (oil.resinMl > build.chargeMl * 0.08) return 'gels';
    return thicker > 1.15 ? 'thick' : thicker < 0.9 ? 'thin' : 'asFresh';
  },
  varnish: ({ pump, chance }) =>
    yes(pump.oil.resinMl > pump.build.chargeMl * 0.015 ? chance('varnish', 0.6) : pump.oil.burntHours > 25),
  crackle: (s) => (beaten(s) > 0.0008 ? 'crackles' : 'silent'),
  rust: ({ pump }) => yes(pump.oil.rust > 1.2),
  acid: ({ pump }) => (pump.oil.acid >= 0.6 ? 'raised' : 'normal'),
  iron: ({ pump, twin }) => (pump.oil.ironPpm - twin.oil.ironPpm > 8 ? 'raised' : 'normal'),
  silicon: ({ pump }) => (pump.oil.dustPpm > 8 ? 'withAluminium' : pump.oil.siliconeMl > 0.2 ? 'alone' : 'normal'),
  particleCode: ({ pump, twin }) => (particles(pump) > 4 * (particles(twin) + 1) ? 'raised' : 'usual'),
  afterPurge: (s) => {
    const copy = purged(s);
    const stays = s.pump.oil.otherShare > 0.12 || s.pump.oil.siliconeMl > 0.8;
    return stays || copy.waterShare * 0.35 > 0.004 ? 'notCleared' : 'cleared';
  },
  waterAgain: (s) => {
    const { is, was } = lastOf(s);
    const share = is.waterMl / s.pump.build.chargeMl;
    return yes(share > 0.006 || (is.waterMl > 4 && is.waterMl > 2 * Math.max(0.5, was.waterMl)));
  },
  chamberPressure: (s) => {
    const times = last(s.since).lowestPa / last(s.healthy).lowestPa;
    return times > 5 ? 'farAbove' : times > 1.5 ? 'poor' : 'good';
  },
  pumpPressureAsIs: ({ pump }) => (own(pump) > 3 * pump.build.ultimatePa * 1.3 ? 'poor' : 'good'),
  ballastClosed: ({ pump }) => {
    const gap = pump.ownPa('open') - pump.ownPa('closed');
    return gap < 0.6 * pump.build.ballastPa ? 'same' : 'usual';
  },
  pumpPressure: ({ pump }) => {
    const copy = tried(pump);
    copy.change();
    return own(copy) > 3 * pump.build.ultimatePa * 1.3 ? 'poor' : 'good';
  },
  hosePressure: ({ pump }) => (own(pump) > 4 * pump.build.ultimatePa * 1.3 ? 'poor' : 'good'),
  rateOfRise: (s) => {
    const [all, early, late] = rise(s);
    if (all < 1.8 * riseUsual(s) + 1) return 'small';
    return late > 0.7 * early ? 'straight' : 'flattens';
  },
  pumpDown: ({ since, healthy }) => (last(since).firstPa > 1.6 * last(healthy).firstPa ? 'slow' : 'usual'),
  joints: ({ pump, chance }) =>
    pump.condition.leakPaM3S > 0 && chance('joints', pump.condition.leakPaM3S > 0.1 ? 0.6 : 0.35) ? 'bad' : 'sound',
  flicker: ({ pump, chance }) => yes(pump.condition.leakPaM3S > 0 && chance('flicker', 0.3)),
  gauges: ({ pump, since }) => {
    if (pump.condition.gaugeTimes > 1.6) return 'gapStays';
    const { vapourThen, vapourAtEnd } = last(since);
    return vapourThen > 0.3 && vapourAtEnd < 0.7 * vapourThen ? 'gapCloses' : 'agree';
  },
  sensor: ({ pump, chance }) => (pump.condition.gaugeTimes > 1.6 && chance('sensor', 0.75) ? 'wrong' : 'right'),
  bubbles: ({ pump, chance }) => yes(pump.condition.leakPaM3S > 0 && chance('bubbles', 0.6)),
  comesWarm: ({ pump, since }) => yes(last(since).startLoad > 0.75 && pump.build.roomC < 12),
  stopperHelps: ({ pump, chance }) =>
    yes((pump.condition.leakPaM3S > 0 && chance('stopper', 0.3)) || pump.condition.ballastLeak > 0.3),
  withoutFilter: ({ pump }) => (pump.condition.lineShare < 0.4 ? 'better' : 'same'),
  boosterEffect: ({ pump }) => (pump.build.boosterTimes > 1 && pump.condition.boosterShare < 0.3 ? 'none' : 'usual'),
  boosterOil: () => 'right',
  oilUpHose: ({ pump, habits }) =>
    pump.hoseOilMl <= 2
      ? 'never'
      : habits.vents || pump.condition.suckMl < pump.build.chargeMl * 0.05
        ? 'now'
        : 'always',
  suckbackBall: ({ pump }) => (pump.condition.suckMl > 2 || pump.condition.valveShare < 0.5 ? 'bad' : 'sound'),
  inletScreen: ({ pump }) => (pump.condition.screenShare < 0.4 ? 'clogged' : 'clean'),
  backPressure: ({ pump }) => (pump.condition.backPa >= 25_000 ? 'raised' : 'low'),
  exhaustMist: ({ pump, habits }) => {
    if (pump.level > 1.3) return 'thrown';
    const mist = pump.condition.mistTimes * habits.load.throughput;
    return mist > 4 || pump.condition.ballastLeak > 0.6 || pump.level > 1.1 ? 'mist' : 'no';
  },
  waterInExhaust: ({ pump }) => yes(pump.condition.pipeRises),
  pumpWeeps: ({ pump }) => yes(pump.condition.weepMlPerH > 0.06),
  caseTemp: (s) => (last(s.since).endC - last(s.healthy).endC >= 10 ? 'hotter' : 'usual'),
  current: (s) => (last(s.since).current >= 1.15 * last(s.healthy).current ? 'higher' : 'usual'),
  starts: ({ since }) => (last(since).startLoad > 1.4 ? 'trips' : last(since).startLoad > 0.8 ? 'slow' : 'usual'),
  swallowed: ({ habits, process, chance }) =>
    yes(process === 'packaging' && habits.load.liquidMl > 20 && chance('swallowed', 0.4)),
  cooling: ({ pump }) => (pump.condition.coolingShare < 0.8 ? 'poor' : 'sound'),
  noise: (s) => {
    if (s.pump.condition.wearPpmPerH > 0.6) return 'grinding';
    return last(s.since).noise - last(s.healthy).noise > 0.45 ? 'louder' : 'usual';
  },
  emptyRun: ({ pump, chance, habits }) =>
    pump.condition.deposits >= 1.5 || (habits.load.waterG > 400 && pump.build.trapC === null && chance('empty', 0.25))
      ? 'same'
      : 'clean',
  suspectRun: ({ pump, habits }) =>
    habits.load.fat > 0.5 || pump.condition.deposits >= 1.5 || habits.load.fines > 0.1 ? 'same' : 'clean',
  vanes: ({ pump }) => (pump.condition.vanes > 4 || pump.condition.wearPpmPerH > 0.3 ? 'worn' : 'sound'),
  ballast: ({ habits }) => habits.ballast,
  pumpTemp: ({ since }) => (last(since).startC >= 60 ? 'warm' : 'cold'),
  trap: ({ pump, chance }) => (pump.condition.trapWarmerK > 5 && chance('sensor at the coil', 0.8) ? 'warm' : 'cold'),
  trapLoad: ({ pump, habits }) => (habits.load.waterG > pump.build.trapHoldsG ? 'over' : 'within'),
  defrosted: ({ habits }) => yes(habits.defrosts),
  drain: ({ habits }) => (habits.drainsShut ? 'closed' : 'open'),
  bled: ({ habits }) => yes(habits.bleeds),
  exhaustPipe: ({ pump, chance }) => (pump.condition.pipeRises || chance('pipe', 0.25) ? 'rises' : 'down'),
  exhaustOutlet: ({ chance }) => (chance('outlet', 0.4) ? 'outdoors' : 'inside'),
  liquids: ({ habits, process, chance }) =>
    yes(process === 'packaging' && (habits.load.liquidMl > 0 ? chance('liquids', 0.9) : chance('liquids', 0.12))),
  humidRoom: ({ pump }) => (pump.build.humidity > 0.7 ? 'humid' : 'usual'),
  wetLoads: ({ habits, pump }) => yes(habits.load.waterG > (pump.build.trapC === null ? 40 : 2000)),
  fattyLoads: ({ habits, chance }) => yes(habits.load.fat > 0.05 && chance('fatty', 0.95)),
  dustyLoads: ({ habits }) => yes(habits.load.fines > 0.015),
  solventLoads: ({ habits }) => yes(habits.load.solventMl > 0),
  resinLoads: ({ habits, chance }) =>
    yes(habits.load.resinMl > 0 || (habits.load.siliconeMl > 0 && chance('resin', 0.5))),
  acidLoads: ({ habits }) => yes(habits.load.acid > 0),
  catchPot: ({ habits, pump, chance }) =>
    habits.load.resinMl > pump.build.chargeMl * 0.001 && chance('pot', 0.5) ? 'failed' : 'sound',
  idle: ({ since, pump }) => (pump.oil.growth >= 2 || last(since).idleH > 48 ? 'days' : 'no'),
  inLineFilter: ({ habits }) => (habits.hasFilter ? 'fitted' : 'none'),
  carriedOver: ({ habits }) => yes(habits.carriesOver),
  ranHot: ({ since }) => yes(last(since).endC > 90),
  exhaustFilter: ({ habits }) => (habits.exhaustFilterLate ? 'overdue' : 'inTime'),
  screenDue: ({ habits }) => (habits.screenLate ? 'overdue' : 'inTime'),
  hours: ({ habits }) => (habits.manyHours ? 'many' : 'few'),
  newPump: ({ pump, chance }) => yes(pump.condition.wearPpmPerH > 0.15 && chance('new', 0.15)),
  productChanged: ({ pump, chance }) => yes(pump.oil.otherShare > 0 ? chance('told', 0.85) : chance('other', 0.05)),
  newWork: ({ habits }) => yes(habits.newWork),
  stoppedUnderVacuum: ({ habits }) => yes(!habits.vents),
  throughput: ({ habits }) => (habits.load.throughput > 2 ? 'high' : 'usual'),
  dustyRoom: ({ habits }) => yes(habits.dustyRoom),
  oilGrade: ({ pump }) => (pump.build.v40 >= 100 && pump.build.roomC < 12 ? 'tooThick' : 'fits'),
  room: ({ pump }) => (pump.build.roomC < 12 ? 'cold' : 'usual'),
};
