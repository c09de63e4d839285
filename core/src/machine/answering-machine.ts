import type { TestBody } from '../journal/index.js';
import { isHarder, type TaskId } from '../limits/index.js';
import { MACHINE_WORK, type BackPressures, type MachineCode, type MachineFinding } from './machine-finding.js';

/** Causes that make a Stop of the pump itself; closed with another one it stands. Where none is named any cause will do. */
const CAUSES_OF: Readonly<Partial<Record<MachineCode, readonly string[]>>> = {
  trips: [
    'motorFault',
    'coldOil',
    'blockedExhaust',
    'levelHigh',
    'resinVapour',
    'wearDebris',
    'wornVanes',
    'overheatedOil',
    'coolingLost',
    'levelLow',
  ],
  runsHot: [
    ...['coolingLost', 'blockedExhaust', 'levelLow', 'levelHigh', 'overheatedOil', 'resinVapour', 'wearDebris'],
    'wornVanes',
  ],
  grinding: ['wearDebris', 'wornVanes'],
  stiff: ['wearDebris', 'wornVanes', 'resinVapour', 'coldOil'],
  backPressure: ['blockedExhaust'],
  resinInOil: [],
  swallowed: [],
  overGood: [],
};

/** After a case was closed with its cause: what was found and mended stands no more. */
export const afterCause = (findings: readonly MachineFinding[], causeId: string): MachineFinding[] =>
  findings.filter((f) => !(CAUSES_OF[f.code]?.includes(causeId) ?? true));

/** After a task was ticked off. */
export function afterMachineWork(findings: readonly MachineFinding[], task: TaskId, at: string): MachineFinding[] {
  return findings.flatMap((f): MachineFinding[] => {
    if (MACHINE_WORK[f.answeredBy]?.includes(task)) return [];
    if (f.code === 'overGood' && task === 'purge' && f.phase === 'purge')
      return [{ ...f, phase: 'measure', act: 'blankOff' }];
    const flushes = task === 'flush' || task === 'housingClean' || task === 'stripClean';
    if ((f.code !== 'resinInOil' && f.code !== 'swallowed') || !flushes) return [f];
    // Filled in the same deed, it is clean oil in a clean pump.
    return f.filledAt === at ? [] : [{ ...f, flushedAt: at, act: 'change' }];
  });
}

/** After a change of the oil: of what came with the oil half is done, of care by the gauge the new oil is to be measured. */
export function afterNewOil(findings: readonly MachineFinding[], at: string): MachineFinding[] {
  return findings.flatMap((f): MachineFinding[] => {
    if (f.code === 'overGood') return [{ ...f, phase: 'measureNewOil', act: 'blankOff', level: 'lookSooner' }];
    if (f.code !== 'resinInOil' && f.code !== 'swallowed') return [f];
    return f.flushedAt === null ? [{ ...f, filledAt: at }] : [];
  });
}

/** Found as usual again, by finding: what it answers. */
const USUAL: Readonly<Record<string, { readonly state: string; readonly codes: readonly MachineCode[] }>> = {
  current: { state: 'usual', codes: ['moreCurrent'] },
  caseTemp: { state: 'usual', codes: ['hotterCase'] },
  noise: { state: 'usual', codes: ['louder'] },
  starts: { state: 'usual', codes: ['slowStart'] },
};

/** Signs that say where a poor pressure comes from. */
const FINDS_THE_CAUSE: ReadonlySet<string> = new Set([
  ...['rateOfRise/straight', 'rateOfRise/flattens', 'joints/bad', 'flicker/yes', 'bubbles/yes', 'stopperHelps/yes'],
  ...['withoutFilter/better', 'gauges/gapStays', 'sensor/wrong', 'inletScreen/clogged', 'suckbackBall/bad'],
  ...['boosterEffect/none', 'ballastClosed/better', 'ballastClosed/same', 'vanes/worn', 'backPressure/blocked'],
  ...['pumpWeeps/yes', 'comesWarm/yes'],
]);

/** Signs that say where the oil goes. */
const FINDS_THE_OIL: ReadonlySet<string> = new Set([
  ...['pumpWeeps/yes', 'exhaustMist/mist', 'exhaustMist/thrown', 'oilUpHose/now', 'oilUpHose/always', 'boosterOil/low'],
]);

/** After a test: what it finds as usual again, and the cause of a poor pressure. */
export function afterTest(
  findings: readonly MachineFinding[],
  body: TestBody,
  { lookPa }: BackPressures,
): MachineFinding[] {
  const usual = body.findings.flatMap(({ id, state }) => (USUAL[id]?.state === state ? USUAL[id].codes : []));
  const foundCause = body.findings.some(({ id, state }) => FINDS_THE_CAUSE.has(`${id}/${state}`));
  const foundOil = body.findings.some(({ id, state }) => FINDS_THE_OIL.has(`${id}/${state}`));
  const low =
    body.findings.some(({ id, state }) => id === 'backPressure' && state === 'low') ||
    (body.measured ?? []).some((m) => m.where === 'exhaust' && m.pa < lookPa);
  return findings.filter(
    (f) =>
      !usual.includes(f.code) &&
      !(f.code === 'poorVacuum' && foundCause) &&
      !(f.answeredBy === 'leakOrUsual' && foundOil) &&
      // What was blocked is opened by hand, not by a reading.
      !(f.code === 'backPressure' && low && !f.blocked),
  );
}

/** The hardest of each kind stands; of one as hard the newer. */
export const withMachineFinding = (findings: readonly MachineFinding[], found: MachineFinding): MachineFinding[] => {
  const stands = findings.find((f) => f.code === found.code);
  if (stands && isHarder(stands.level, found.level)) return [...findings];
  return [...findings.filter((f) => f.code !== found.code), found];
};
