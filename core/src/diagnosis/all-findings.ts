// One list of all findings, in one view: longer than other files.
import { condition, sign } from './finding.js';

const NO_YES = { no: 'no', yes: 'yes' };

/**
 * All findings in the trade's words (docs/trade.md 6 and 7). How often a state is usual says how much its being there means:
 * a little haze is seen on many pumps that are well, glitter on next to none.
 */
export const FINDINGS = {
  // What the oil shows
  water: sign(
    'Water found against what the runs should have left',
    { asExpected: 'as much as expected, or none', more: 'more than expected', farMore: 'far more than expected' },
    { more: 0.04, farMore: 0.008 },
    'jar',
    30,
  ),
  cream: sign('Cream in the oil', NO_YES, { yes: 0.04 }, 'jar', 14),
  haze: sign('Haze', { clear: 'clear', hazy: 'hazy' }, { hazy: 0.1 }, 'look', 14),
  levelTrend: sign(
    'Level over the last looks, nothing added or drained',
    { steady: 'steady', rising: 'rising', falling: 'falling' },
    { rising: 0.02, falling: 0.05 },
    'look',
    30,
  ),
  level: sign(
    'Level now',
    { right: 'between the marks', low: 'below MIN', high: 'above MAX' },
    { low: 0.03, high: 0.03 },
    'look',
    7,
  ),
  darkening: sign(
    'How the oil darkens',
    { slowly: 'slowly, over many runs', inOneRun: 'within one run', inMinutes: 'within minutes' },
    { inOneRun: 0.04, inMinutes: 0.006 },
    'look',
    30,
  ),
  darkAfterChange: sign('Dark again right after a change', NO_YES, { yes: 0.03 }, 'log', 60),
  blackParticles: sign('Black particles', NO_YES, { yes: 0.08 }, 'jar', 30),
  rustParticles: sign('Rust-red particles', NO_YES, { yes: 0.02 }, 'jar', 60),
  glitter: sign('Glitter of metal', NO_YES, { yes: 0.008 }, 'jar', 60),
  fibres: sign('Fibres', NO_YES, { yes: 0.01 }, 'jar', 60),
  fines: sign('Grains or powder of the product', NO_YES, { yes: 0.04 }, 'jar', 30),
  growth: sign('Skin or fluff', NO_YES, { yes: 0.006 }, 'jar', 30),
  sludge: sign('Sludge', NO_YES, { yes: 0.05 }, 'jar', 60),
  smell: sign(
    'Smell of the oil',
    {
      none: 'none',
      sour: 'sour or fermented',
      rancid: 'rancid or fishy',
      burnt: 'burnt',
      sharp: 'sharp, of resin or styrene',
      solvent: 'of solvent',
    },
    { sour: 0.01, rancid: 0.01, burnt: 0.01, sharp: 0.006, solvent: 0.006 },
    'jar',
    30,
  ),
  foam: sign('Foam that stays', NO_YES, { yes: 0.02 }, 'look', 14),
  thickness: sign(
    'How thick the oil is against fresh oil',
    { asFresh: 'as fresh', thin: 'thinner', thick: 'thicker, or it gels' },
    { thin: 0.02, thick: 0.03 },
    'lab',
    90,
  ),
  varnish: sign('Varnish or resin on parts', NO_YES, { yes: 0.02 }, 'hand', 365),
  crackle: sign(
    'Drop of oil on a hot plate',
    { silent: 'silent', crackles: 'crackles' },
    { crackles: 0.06 },
    'hand',
    7,
  ),
  rust: sign('Rust in the drain or the exhaust filter', NO_YES, { yes: 0.03 }, 'hand', 365),
  acid: sign(
    'Acid number, or base number used up',
    { normal: 'normal', raised: 'raised' },
    { raised: 0.04 },
    'lab',
    120,
  ),
  iron: sign('Iron in the oil', { normal: 'normal', raised: 'raised' }, { raised: 0.04 }, 'lab', 120),
  silicon: sign(
    'Silicon in the oil',
    { normal: 'normal', alone: 'raised alone', withAluminium: 'raised together with aluminium' },
    { alone: 0.02, withAluminium: 0.01 },
    'lab',
    120,
  ),
  afterPurge: sign(
    'After a warm purge of an hour',
    { cleared: 'cleared', notCleared: 'not cleared', waterAgain: 'cleared, and water again after the next run' },
    { notCleared: 0.03, waterAgain: 0.03 },
    'look',
    14,
  ),

  // What the vacuum shows
  chamberPressure: sign(
    'Pressure at the chamber',
    { good: 'at its target or usual', poor: 'above its target or usual', severalHpa: 'stands at several hPa' },
    { poor: 0.05, severalHpa: 0.006 },
    'gauge',
    14,
  ),
  pumpPressure: sign(
    'Pressure at the pump, blanked off, with fresh warm oil',
    { good: 'good', poor: 'poor' },
    { poor: 0.02 },
    'gauge',
    60,
  ),
  hosePressure: sign(
    'Pressure at the end of the hose, chamber port blanked off',
    { good: 'good', poor: 'poor' },
    { poor: 0.02 },
    'gauge',
    60,
  ),
  rateOfRise: sign(
    'Rise of pressure in the closed chamber, trap isolated',
    { small: 'small', flattens: 'rises and flattens', straight: 'rises in a straight line' },
    { flattens: 0.1, straight: 0.01 },
    'gauge',
    30,
  ),
  pumpDown: sign('Pump-down in the first minutes', { usual: 'as usual', slow: 'slower' }, { slow: 0.05 }, 'gauge', 14),
  joints: sign(
    'Gaskets, drain, hoses and connections, by eye and by hand',
    { sound: 'clean and sound', bad: 'one is dirty, hard, torn or loose' },
    { bad: 0.05 },
    'hand',
    60,
  ),
  flicker: sign('Gauge flickers when one valve is turned', NO_YES, { yes: 0.005 }, 'gauge', 60),
  gauges: sign(
    'A thermal gauge against a capacitance gauge',
    { agree: 'agree', gapCloses: 'a gap that closes late in drying', gapStays: 'a gap that stays' },
    { gapCloses: 0.2, gapStays: 0.02 },
    'gauge',
    90,
  ),
  sensor: sign(
    'Sensor and its wiring against the data sheet',
    { right: 'right', wrong: 'wrong' },
    { wrong: 0.01 },
    'hand',
    180,
  ),
  bubbles: sign('Bubbles at the water-level check', NO_YES, { yes: 0.004 }, 'hand', 60),
  comesWarm: sign('Pressure comes right once the pump is warm', NO_YES, { yes: 0.04 }, 'gauge', 14),
  stopperHelps: sign('A stopper in place of a valve or hose helps', NO_YES, { yes: 0.004 }, 'hand', 60),
  withoutFilter: sign(
    'With the in-line filter or a shorter hose taken out',
    { same: 'the same', better: 'better' },
    { better: 0.01 },
    'gauge',
    60,
  ),
  boosterEffect: sign('What the booster adds', { usual: 'as usual', none: 'nothing' }, { none: 0.006 }, 'gauge', 30),

  // What the pump shows
  oilUpHose: sign(
    'Oil up the hose',
    { never: 'never', now: 'now and then', always: 'after every stop' },
    { now: 0.01, always: 0.003 },
    'look',
    60,
  ),
  suckbackBall: sign(
    'Anti-suckback valve taken out',
    { sound: 'sound', bad: 'pitted, gritty or stuck' },
    { bad: 0.03 },
    'hand',
    365,
  ),
  inletScreen: sign('Inlet screen taken out', { clean: 'clean', clogged: 'clogged' }, { clogged: 0.03 }, 'hand', 120),
  backPressure: sign('Back-pressure at the exhaust', { low: 'low', raised: 'raised' }, { raised: 0.02 }, 'hand', 60),
  exhaustMist: sign(
    'Oil from the exhaust, after the first five minutes',
    { no: 'no', mist: 'more mist than usual', thrown: 'thrown out' },
    { mist: 0.04, thrown: 0.006 },
    'look',
    14,
  ),
  waterInExhaust: sign('Water standing or dripping in the exhaust pipe', NO_YES, { yes: 0.02 }, 'look', 60),
  pumpWeeps: sign('Oil weeps at a seal, gasket, plug or glass of the pump', NO_YES, { yes: 0.03 }, 'look', 60),
  caseTemp: sign(
    'Case temperature against its own',
    { usual: 'usual', hotter: 'hotter by 10 K or more' },
    { hotter: 0.04 },
    'hand',
    14,
  ),
  current: sign(
    'Motor current against its own',
    { usual: 'usual', higher: 'higher by 15 % or more' },
    { higher: 0.03 },
    'hand',
    14,
  ),
  noise: sign('Noise', { usual: 'as usual', louder: 'louder, or knocking' }, { louder: 0.03 }, 'look', 14),
  emptyRun: sign(
    'An empty run as a control',
    { clean: 'clean', same: 'the same as with product' },
    { same: 0.05 },
    'log',
    30,
  ),
  suspectRun: sign(
    'The suspect material alone, in a small load',
    { clean: 'clean', same: 'the same as before' },
    { same: 0.03 },
    'log',
    90,
  ),
  vanes: sign('Vanes and seals on the bench', { sound: 'sound', worn: 'worn or scored' }, { worn: 0.04 }, 'hand', 365),

  // What was there before
  ballast: condition(
    'Gas ballast over the last runs',
    { open: 'open', purge: 'open to purge', closed: 'closed' },
    { closed: 0.35, purge: 0.3 },
    'log',
    30,
  ),
  pumpTemp: condition(
    'Pump when wet load comes',
    { warm: 'warm, oil at 60 °C or more', cold: 'cold' },
    { cold: 0.3 },
    'log',
    30,
  ),
  trap: condition(
    'Cold trap over the last runs',
    { cold: 'as cold as it should be', warm: 'too warm, or full of ice' },
    { warm: 0.1 },
    'log',
    30,
  ),
  defrosted: condition('Defrosted before the run', NO_YES, { yes: 0.2 }, 'log', 14),
  drain: condition('Drain of the chamber', { closed: 'closed', open: 'was left open' }, { open: 0.04 }, 'log', 14),
  bled: condition('Settled water bled before runs', { yes: 'yes', no: 'no' }, { no: 0.25 }, 'log', 30),
  exhaustPipe: condition(
    'Exhaust pipe',
    { down: 'falls away, or has a drip leg', rises: 'rises without a drip leg' },
    { rises: 0.3 },
    'set-up',
    3650,
  ),
  liquids: condition('Brine, juice or liquid in the packs', NO_YES, { yes: 0.15 }, 'log', 30),
  humidRoom: condition(
    'Air of the room',
    { usual: 'usual', humid: 'humid, or a cold pump in warm air' },
    { humid: 0.3 },
    'set-up',
    60,
  ),
  wetLoads: condition('Wet loads', NO_YES, { yes: 0.5 }, 'log', 30),
  fattyLoads: condition('Fatty, sugary or waxy loads', NO_YES, { yes: 0.3 }, 'log', 60),
  dustyLoads: condition('Dusty or powdery loads', NO_YES, { yes: 0.25 }, 'log', 60),
  solventLoads: condition('Solvent in the loads', NO_YES, { yes: 0.15 }, 'log', 60),
  resinLoads: condition('Resin, styrene or amine hardener', NO_YES, { yes: 0.15 }, 'log', 60),
  acidLoads: condition('Acid in the loads', NO_YES, { yes: 0.1 }, 'log', 90),
  catchPot: condition('Catch pot', { sound: 'sound', failed: 'full, or it failed' }, { failed: 0.06 }, 'log', 30),
  idle: condition(
    'Stood idle',
    { no: 'no', days: '2 days or more at 15-35 °C, with oil in it' },
    { days: 0.2 },
    'log',
    180,
  ),
  inLineFilter: condition(
    'In-line filter before the pump',
    { none: 'none', fitted: 'fitted' },
    { fitted: 0.3 },
    'log',
    90,
  ),
  carriedOver: condition('Oil carried over past its change', NO_YES, { yes: 0.15 }, 'log', 60),
  ranHot: condition('Oil ran hot', { no: 'no', yes: 'above 90 °C, or far above its usual' }, { yes: 0.08 }, 'log', 60),
  exhaustFilter: condition(
    'Exhaust filter',
    { inTime: 'changed in time', overdue: 'overdue' },
    { overdue: 0.2 },
    'log',
    90,
  ),
  hours: condition(
    'Running hours since the overhaul',
    { few: 'few', many: 'more than the vanes usually last' },
    { many: 0.3 },
    'log',
    365,
  ),
  newPump: condition('New or just overhauled, under 100 h', NO_YES, { yes: 0.08 }, 'log', 60),
  productChanged: condition('Another oil was filled or topped up', NO_YES, { yes: 0.1 }, 'log', 90),
  newWork: condition('Door, hose, valve or fitting worked on lately', NO_YES, { yes: 0.15 }, 'log', 60),
  stoppedUnderVacuum: condition('Stopped under vacuum, pump side not vented', NO_YES, { yes: 0.2 }, 'log', 30),
  throughput: condition('Gas throughput', { usual: 'usual', high: 'high, for long' }, { high: 0.15 }, 'log', 30),
  dustyRoom: condition('Dust in the room or at the vent', NO_YES, { yes: 0.2 }, 'set-up', 365),
  room: condition('Room at the start', { usual: 'usual', cold: 'cold, oil below 12 °C' }, { cold: 0.1 }, 'log', 14),
} as const;

export type FindingId = keyof typeof FINDINGS;
export type StateOf<F extends FindingId> = keyof (typeof FINDINGS)[F]['states'] & string;

/** A finding as it was made. */
export interface Found {
  readonly id: FindingId;
  readonly state: string;
  /** How sure it is, from 0 (says nothing) to 1; 1 when left out. Age lowers it too. */
  readonly certainty?: number;
}
