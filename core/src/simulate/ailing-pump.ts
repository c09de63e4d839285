import { FINDINGS, type CauseId, type FindingId } from '../diagnosis/index.js';
import type { Process } from '../set-up/index.js';
import { FAULTS, type Fault } from './faults.js';
import { SHOWN, type Seen } from './observed.js';
import { cloned } from './cloned.js';
import { live } from './live.js';
import { AS_NEW, SimulatedPump } from './pump.js';
import { seededRandom } from './random.js';
import { buildOf, habitsOf, plannedRuns } from './use.js';

/** A pump with one hidden fault, which answers what a test would show. */
export interface AilingPump {
  readonly process: Process;
  readonly fault: CauseId;
  /** What made somebody ask: one of the unusual things that it shows. */
  readonly complaint: { readonly id: FindingId; readonly state: string };
  /** What its log says by itself. */
  readonly log: readonly { readonly id: FindingId; readonly state: string }[];
  /** What is found when somebody looks. */
  readonly observe: (id: FindingId) => string;
}

const PROCESSES: readonly [Process, ...Process[]] = ['freezeDrying', 'packaging', 'composites', 'industrial'];
/** Runs before the last change, and those that the fault has had since. */
const [BEFORE, SINCE] = [4, 5];

/** What the journal of such a pump says by itself; the rest somebody has to look for. */
const LOGGED: readonly FindingId[] = [
  ...(['ballast', 'pumpTemp', 'trap', 'defrosted', 'drain', 'bled', 'wetLoads', 'fattyLoads', 'dustyLoads'] as const),
  ...(['solventLoads', 'resinLoads', 'acidLoads', 'inLineFilter', 'carriedOver', 'ranHot', 'exhaustFilter'] as const),
  ...(['screenDue', 'hours', 'newWork', 'stoppedUnderVacuum', 'throughput', 'room', 'idle', 'productChanged'] as const),
];
const OF_DRYERS: readonly FindingId[] = ['trap', 'defrosted', 'drain'];

/** What somebody comes upon without a test: seen, heard, measured in passing, or in a report. */
const NOTICED: readonly FindingId[] = [
  ...(['chamberPressure', 'pumpDown', 'water', 'cream', 'haze', 'levelTrend', 'level', 'darkening', 'colour'] as const),
  ...(['darkAfterChange', 'blackParticles', 'rustParticles', 'glitter', 'fibres', 'fines', 'growth'] as const),
  ...(['sludge', 'smell', 'foam', 'oilUpHose', 'exhaustMist', 'pumpWeeps', 'caseTemp', 'noise', 'starts'] as const),
  ...(['current', 'iron', 'acid', 'silicon', 'thickness', 'particleCode'] as const),
];
const usualOf = (id: FindingId): string => Object.keys(FINDINGS[id].states)[0] ?? '';

/** A random pump whose fault is drawn by how common it is, and of which somebody has noticed something. */
export function ailingPump(seed: number): AilingPump {
  for (let attempt = 0; ; attempt++) {
    const pump = drawnPump(seed + attempt * 1_000_003);
    if (pump) return pump;
  }
}

/** Null where nothing shows yet: nobody would ask. */
function drawnPump(seed: number): AilingPump | null {
  const random = seededRandom(seed);
  const process = random.pick(PROCESSES);
  const known = (Object.entries(FAULTS) as [CauseId, Fault][]).filter(([, f]) => f.processes.includes(process));
  let left = random.next() * known.reduce((sum, [, f]) => sum + f.often, 0);
  const [fault, { strike }] = known.find(([, f]) => (left -= f.often) <= 0) ?? known[0]!;
  const build = buildOf(random, process);
  const habits = habitsOf(random, process, build);
  const runs = plannedRuns(random, process, BEFORE + SINCE);
  const pump = new SimulatedPump(build, { ...AS_NEW, backPa: random.between([1000, 6000]) });
  const healthy = live(pump, runs.slice(0, BEFORE), habits);
  pump.change();
  const [twin, spared] = [cloned(pump), cloned(pump)];
  const struck = { ...habits, load: { ...habits.load } };
  strike({ pump, habits: struck, random });
  // What its log would lead somebody to expect: the same use with nothing broken, and nothing drawn in.
  twin.build = pump.build;
  const usual = live(twin, runs.slice(BEFORE), { ...struck, load: { ...struck.load, liquidMl: 0 } });
  const since = live(pump, runs.slice(BEFORE), struck);
  const seen: Seen = { process, pump, habits: struck, since, usual, healthy, twin, chance: chanceOf(seed) };
  const state = (id: FindingId): string => SHOWN[id](seen);
  const unbroken: Seen = { ...seen, pump: spared, habits, since: live(spared, runs.slice(BEFORE), habits) };
  const unusual = NOTICED.filter((id) => state(id) !== usualOf(id) && SHOWN[id](unbroken) !== state(id));
  const [first, ...more] = unusual;
  if (!first) return null;
  const complaint = random.pick([first, ...more]);
  const logged = LOGGED.filter((id) => process === 'freezeDrying' || !OF_DRYERS.includes(id));
  return {
    process,
    fault,
    complaint: { id: complaint, state: state(complaint) },
    log: logged.map((id) => ({ id, state: state(id) })),
    observe: (id) => state(id),
  };
}

/** The same chance for the same question: a test that is asked twice answers the same. */
const chanceOf =
  (seed: number) =>
  (what: string, p: number): boolean => {
    let hash = seed * 2_654_435_761;
    for (const c of what) hash = Math.imul(hash ^ c.charCodeAt(0), 16_777_619);
    return seededRandom(hash).next() < p;
  };
