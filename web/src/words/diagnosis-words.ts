import { logWords } from './vacuum-words.js';
import { percent } from '../ui/number.js';
import type { Print } from '../device/use-print.js';
import {
  CAUSES,
  CHECKS,
  FINDINGS,
  LEAK_STEPS,
  type Cause,
  type Check,
  type FindingId,
  type TestBody,
  namedNow,
} from '@winter-jar/core';

/** Ids come over the wire as text; one that this version does not know has no words but itself. */
const isOf = <T extends object>(list: T, id: string): id is keyof T & string => Object.hasOwn(list, id);

export const causeOf = (id: string): Cause | null => (isOf(CAUSES, id) ? CAUSES[id] : null);
/** Whether a finding speaks of a cause itself, and not only of others that would explain it. */
export const isLinked = (causeId: string, findingId: string): boolean => {
  const cause = causeOf(causeId);
  return cause ? [...cause.brings, ...cause.after].some((link) => link.finding === findingId) : false;
};
export const causeName = (id: string | null): string =>
  id === null ? 'no cause found' : (causeOf(id)?.name ?? `cause “${id}”`);
export const checkOf = (id: string): Check | null => (isOf(CHECKS, id) ? CHECKS[id] : null);
export const checkName = (id: string): string => checkOf(id)?.name ?? `test “${id}”`;

/** Names that are too long for a line beside others. */
const SHORT_NAMES: Readonly<Partial<Record<FindingId, string>>> = {
  water: 'Water',
  levelTrend: 'Level',
  level: 'Level',
  darkening: 'Darkens',
  thickness: 'Oil',
  crackle: 'Drop on a hot plate',
  rust: 'Rust in drain or exhaust filter',
  acid: 'Acid',
  iron: 'Iron',
  silicon: 'Silicon',
  chamberPressure: 'Chamber pressure',
  pumpPressure: 'Pump blanked off',
  hosePressure: 'At the hose’s end',
  rateOfRise: 'Closed chamber',
  pumpDown: 'Pump-down',
  flicker: 'Gauge flickers at one valve',
  gauges: 'Thermal against capacitance gauge',
  sensor: 'Sensor and wiring',
  joints: 'Gaskets, drain, hoses, connections',
  comesWarm: 'Comes right once warm',
  stopperHelps: 'A stopper helps',
  withoutFilter: 'Without filter or long hose',
  suckbackBall: 'Anti-suckback valve',
  inletScreen: 'Inlet screen',
  exhaustMist: 'Oil from the exhaust',
  waterInExhaust: 'Water in the exhaust pipe',
  pumpWeeps: 'Oil weeps at the pump',
  caseTemp: 'Case',
  current: 'Motor current',
  emptyRun: 'Empty run',
  suspectRun: 'Suspect alone',
  vanes: 'Vanes and seals',
  ballast: 'Gas ballast',
  pumpTemp: 'Pump',
  trap: 'Cold trap',
  drain: 'Chamber drain',
  bled: 'Bled before runs',
  resinLoads: 'Resin or styrene',
  idle: 'Idle',
  inLineFilter: 'In-line filter',
  newPump: 'New or just overhauled',
  hours: 'Hours since the overhaul',
  productChanged: 'Another oil filled',
  newWork: 'Worked on lately',
  stoppedUnderVacuum: 'Stopped under vacuum',
};
const STATES_ALONE: Readonly<Record<string, string>> = { no: 'no', yes: '' };

export const findingName = (id: string): string => (isOf(FINDINGS, id) ? FINDINGS[id].name : id);
export const stateName = (id: string, state: string): string =>
  isOf(FINDINGS, id) ? ((FINDINGS[id].states as Record<string, string>)[state] ?? state) : state;

/** "Haze: hazy", "Foam that stays", "Foam that stays: no". */
export function foundWords(foundId: string, foundState: string): string {
  const { id, state } = namedNow({ id: foundId, state: foundState });
  const name = SHORT_NAMES[id as FindingId] ?? findingName(id);
  const alone = STATES_ALONE[state];
  if (alone === '') return name;
  return `${name}: ${alone ?? stateName(id, state)}`;
}

/** A share of 1 and of 0 are never certain. */
export function shareWords(share: number): string {
  if (share < 0.01) return 'under 1\u00a0%';
  return share > 0.99 ? 'over 99\u00a0%' : percent(share);
}

/** A rate per run: small ones with one more digit. */
export const rateWords = (rate: number): string => percent(rate);

/** How sure somebody is, as they say it; each with the certainty that it counts for. */
export const SURENESS = [
  { value: 'sure', words: 'sure', certainty: 0.97 },
  { value: 'fairly', words: 'fairly sure', certainty: 0.8 },
  { value: 'unsure', words: 'not sure', certainty: 0.55 },
] as const;
export type Sureness = (typeof SURENESS)[number]['value'];
export const surenessOf = (certainty: number): Sureness =>
  SURENESS.find((s) => certainty >= s.certainty - 0.1)?.value ?? 'unsure';

/** A bullet by how much a finding still says: full, hollow, a question. */
export const FULL_FROM = 0.6;

export const leakStepOf = (id: string) => LEAK_STEPS.find((s) => s.id === id) ?? null;

/** What a test says in one line of the journal. */
export function testWords(
  { checkId, leakStep, passed, findings, measured, log, photoId, remark }: TestBody,
  print: Pick<Print, 'pressure' | 'temperature'>,
): string {
  const step = leakStep ? leakStepOf(leakStep) : null;
  const named = step ? `Leak hunt, ${step.name.toLowerCase()}` : checkId ? checkName(checkId) : null;
  const outcome = step ? (passed ? step.passed.words : step.failed.words) : null;
  if (log) return [logWords(log, print), remark].filter(Boolean).join(' · ');
  const found = step ? [] : findings.map((f) => foundWords(f.id, f.state));
  const doubt = findings.some((f) => surenessOf(f.certainty) === 'unsure') ? 'not sure' : null;
  const read = (measured ?? []).map((m) =>
    [print.pressure(m.pa), typeof m.oilTempC === 'number' ? `oil ${print.temperature(m.oilTempC)}` : null, m.gauge]
      .filter(Boolean)
      .join(', '),
  );
  const parts = [...read, outcome ?? found.join(', '), doubt, photoId ? 'with a photograph' : null, remark].filter(
    Boolean,
  );
  return named ? [named, parts.join(' · ')].filter(Boolean).join(': ') : parts.join(' · ');
}
