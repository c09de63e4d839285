import {
  jobIdOf,
  rightOfEntry,
  type Act,
  type Entry,
  type EntryKind,
  type PumpKind,
  type ProcedureId,
  type PumpPlace,
  type Reason,
  type Right,
  type SumpKey,
  type TaskId,
} from '@winter-jar/core';
import type { NextTask } from '@winter-jar/contracts';

/** Where an action is offered besides being the right one: on the pump's sheet, among its plain links, in the search. */
type Offered = 'sheet' | 'link' | 'search';

export interface PumpAction {
  /** Its page, beneath the pump's own address. */
  readonly path: string;
  readonly words: string;
  /** On a button of half a column, or in a line of links. */
  readonly short?: string;
  readonly kinds: readonly PumpKind[];
  readonly offered: readonly Offered[];
  /** Key on the Round and on the pump's page. */
  readonly letter?: string;
  /** The entry that its page writes and corrects. */
  readonly entry?: EntryKind;
  /** Tasks that are done on its page. */
  readonly tasks?: readonly TaskId[];
  /** Not where a pump is retired. */
  readonly runs?: true;
  /** Only where water lies beneath the oil. */
  readonly bleeds?: true;
}

const ALL: readonly PumpKind[] = ['vane', 'booster', 'dry'];
const OILED: readonly PumpKind[] = ['vane', 'booster'];
const VANE: readonly PumpKind[] = ['vane'];
const EVERYWHERE: readonly Offered[] = ['sheet', 'search'];

/**
 * All that can be done on a pump, in the order in which it is offered. Routes, sheet, search, keys, task list and the way to a
 * correction follow from it: a new page is one entry here, and its component in app/routes.tsx.
 */
export const PUMP_ACTIONS = {
  run: { path: 'run', words: 'Log a run', kinds: ALL, offered: EVERYWHERE, letter: 'R', entry: 'run', runs: true },
  look: {
    path: 'look',
    words: 'Look at oil',
    kinds: VANE,
    offered: EVERYWHERE,
    letter: 'L',
    entry: 'look',
    tasks: ['look'],
  },
  bleed: {
    path: 'bleed',
    words: 'Bleed settled water',
    short: 'Bleed',
    kinds: VANE,
    offered: EVERYWHERE,
    letter: 'B',
    entry: 'bleed',
    tasks: ['bleed'],
    bleeds: true,
  },
  change: {
    path: 'change',
    words: 'Change oil',
    kinds: OILED,
    offered: EVERYWHERE,
    letter: 'S',
    entry: 'change',
    tasks: ['oilChange', 'boosterOil'],
  },
  topUp: { path: 'top-up', words: 'Top up', kinds: OILED, offered: EVERYWHERE, entry: 'topUp', tasks: ['sealCup'] },
  labSample: {
    path: 'lab-sample',
    words: 'Draw a lab sample',
    short: 'Lab sample',
    kinds: OILED,
    offered: ['link', 'search'],
    entry: 'labSample',
    tasks: ['labSample'],
  },
  labReport: {
    path: 'lab-report',
    words: 'Enter a lab report',
    short: 'Lab report',
    kinds: OILED,
    offered: ['link', 'search'],
    entry: 'labResult',
  },
  findCause: { path: 'what-is-wrong', words: 'Find the cause', kinds: VANE, offered: EVERYWHERE, letter: 'D' },
  leakHunt: { path: 'leak-hunt', words: 'Hunt a leak', kinds: VANE, offered: ['search'] },
  meter: {
    path: 'meter',
    words: 'Read the hour meter',
    short: 'Hour meter',
    kinds: ALL,
    offered: ['link', 'search'],
    entry: 'meter',
  },
  done: { path: 'done', words: 'Task done', kinds: ALL, offered: ['search'], entry: 'done' },
  job: { path: 'job', words: 'Go on with the job', kinds: ALL, offered: [] },
  label: { path: 'label', words: 'Cart label', kinds: ALL, offered: ['link', 'search'] },
  jobCards: {
    path: 'job-cards',
    words: 'Service it, step by step',
    short: 'Service',
    kinds: ALL,
    offered: ['link', 'search'],
  },
  takeOver: { path: 'take-over', words: 'Take it over', kinds: ALL, offered: [], entry: 'takeOver' },
  test: { path: 'test', words: 'A test, or a thing seen', kinds: ALL, offered: [], entry: 'test' },
  blankOff: {
    path: 'blank-off',
    words: 'Blank off and measure',
    kinds: VANE,
    offered: ['search'],
    tasks: ['blankOff'],
  },
  gaugeLog: {
    path: 'gauge-log',
    words: 'Read a gauge log',
    short: 'Gauge log',
    kinds: VANE,
    offered: ['link', 'search'],
  },
  vacuumRecord: {
    path: 'vacuum-record',
    words: 'Vacuum record of its set',
    short: 'Vacuum record',
    kinds: VANE,
    offered: ['link', 'search'],
  },
  inlet: {
    path: 'inlet',
    words: 'Hose and in-line filter',
    short: 'Hose',
    kinds: VANE,
    offered: ['search'],
  },
  switchTag: { path: 'switch-tag', words: 'Print a switch tag', kinds: ALL, offered: ['search'] },
  openCase: { path: 'case-open', words: 'Open a case', kinds: ALL, offered: [], entry: 'caseOpened' },
  closeCase: { path: 'case-close', words: 'Close the case', kinds: ALL, offered: [], entry: 'caseClosed' },
  checkRemedy: { path: 'case-check', words: 'Say whether it held', kinds: ALL, offered: [], entry: 'caseChecked' },
  note: { path: 'note', words: 'Write a note', kinds: ALL, offered: [], entry: 'note' },
} as const satisfies Readonly<Record<string, PumpAction>>;

export type PumpActionId = keyof typeof PUMP_ACTIONS;
const ACTIONS = Object.entries(PUMP_ACTIONS) as [PumpActionId, PumpAction][];

/** The page of an action, and what it begins with. */
export interface ActionAddress {
  readonly action: PumpActionId;
  readonly task?: TaskId;
  readonly sump?: SumpKey;
  readonly correct?: string;
}

export function actionPath(pumpId: string, { action, ...begins }: ActionAddress): string {
  const search = new URLSearchParams(Object.entries(begins).filter(([, value]) => value !== undefined)).toString();
  return `/pumps/${pumpId}/${PUMP_ACTIONS[action].path}${search ? `?${search}` : ''}`;
}

/** What is offered on a pump at one place, in order. */
export const actionsOffered = (
  pump: { readonly kind: string; readonly bleeds?: boolean; readonly place?: PumpPlace },
  at: Offered,
): (PumpAction & { readonly id: PumpActionId })[] =>
  ACTIONS.filter(([, a]) => a.offered.includes(at) && a.kinds.includes(pump.kind as PumpKind))
    .filter(([, a]) => !a.bleeds || pump.bleeds !== false)
    .filter(([, a]) => !a.runs || pump.place !== 'retired')
    .map(([id, action]) => ({ id, ...action }));

/** Letters with the page that each opens. */
export const actionLetters = (): { letter: string; words: string; action: PumpActionId }[] =>
  ACTIONS.flatMap(([action, { letter, words }]) => (letter ? [{ letter, words, action }] : []));

/** What each letter does, for the keys of a page. */
export const letterKeys = (act: (action: PumpActionId) => void): Record<string, () => void> =>
  Object.fromEntries(actionLetters().map(({ letter, action }) => [letter.toLowerCase(), () => act(action)]));

export const letterOf = (action: PumpActionId): string | undefined => (PUMP_ACTIONS[action] as PumpAction).letter;

/** The page on which a task is done; null for one that is only ticked off. */
export const actionOfTask = (task: TaskId): PumpActionId | null =>
  ACTIONS.find(([, { tasks }]) => tasks?.includes(task))?.[0] ?? null;

/** The page on which an entry is corrected. */
export function correctPath(
  pumpId: string,
  entry: Pick<Entry, 'kind' | 'id' | 'subjects'> & { readonly body?: object },
): string {
  const { kind, id, subjects, body = {} } = entry;
  const jobId = kind.startsWith('job') ? jobIdOf({ subjects }) : null;
  if (jobId !== null) return `/pumps/${pumpId}/jobs/${jobId}`;
  const hasLog = kind === 'test' && 'log' in body && Boolean(body.log);
  const action = hasLog ? 'gaugeLog' : (ACTIONS.find(([, a]) => a.entry === kind)?.[0] ?? 'note');
  return actionPath(pumpId, { action, correct: id });
}

/** What answers each act of a verdict, as the large button says it. */
const ANSWERS: Readonly<Record<Act, ActionAddress & { readonly words: string }>> = {
  change: { action: 'change', words: 'Change oil' },
  flush: { action: 'done', task: 'flush', words: 'Flush, then log it' },
  washHousing: { action: 'done', task: 'housingClean', words: 'Wash the housing, then log it' },
  stripClean: { action: 'done', task: 'stripClean', words: 'Strip and clean, then log it' },
  inspect: { action: 'done', task: 'vaneCheck', words: 'Inspect, then log it' },
  topUp: { action: 'topUp', words: 'Top up' },
  drainToMark: { action: 'bleed', words: 'Bleed and drain to the mark' },
  bleed: { action: 'bleed', words: 'Bleed, then look' },
  purge: { action: 'done', task: 'purge', words: 'Purge, then log it' },
  look: { action: 'look', words: 'Look at oil' },
  sample: { action: 'labSample', words: 'Draw a lab sample' },
  report: { action: 'labReport', words: 'Enter the lab report' },
  findCause: { action: 'findCause', words: 'Find the cause' },
  exhaustFilter: { action: 'done', task: 'exhaustFilter', words: 'Renew the exhaust filter, then log it' },
  sealCheck: { action: 'done', task: 'sealCheck', words: 'Look at the shaft seal, then log it' },
  blankOff: { action: 'blankOff', words: 'Blank off and measure' },
  checkRemedy: { action: 'checkRemedy', words: 'Say whether it held' },
  goOn: { action: 'job', words: 'Go on with the job' },
  closeUp: { action: 'jobCards', words: 'Close and free it, step by step' },
};

/** What an act does, where a service of it is led step by step. */
const SERVICE_OF_ACT: { readonly [A in Act]?: { readonly task: TaskId; readonly procedure: ProcedureId } } = {
  change: { task: 'oilChange', procedure: 'oilChange' },
  flush: { task: 'flush', procedure: 'flush' },
  washHousing: { task: 'housingClean', procedure: 'housingClean' },
  purge: { task: 'purge', procedure: 'ballastPurge' },
  bleed: { task: 'bleed', procedure: 'bleed' },
  drainToMark: { task: 'bleed', procedure: 'bleed' },
  exhaustFilter: { task: 'exhaustFilter', procedure: 'exhaustFilter' },
};

/** The service that answers the worst reason, and where it is started; null where none does, or one is under way. */
export function serviceOf(row: {
  pumpId: string;
  kind: string;
  act: Act | null;
  reasons: readonly Reason[];
}): { readonly path: string; readonly needs: Right } | null {
  const known = row.act === null ? undefined : SERVICE_OF_ACT[row.act];
  if (!known || row.kind === 'dry' || jobOpen(row)) return null;
  const { task, procedure } = row.kind === 'booster' ? BOOSTER_OIL : known;
  const path = actionPath(row.pumpId, { action: 'jobCards', task });
  return { path, needs: rightOfEntry('jobStarted', { procedure }) };
}
const BOOSTER_OIL = { task: 'boosterOil', procedure: 'boosterOil' } as const;
const jobOpen = ({ reasons }: { reasons: readonly Reason[] }) =>
  reasons.find((reason) => reason.code === 'jobOpen') ?? null;

/** What the right action needs beyond its page being open to somebody: the job that it goes on with may be another's work. */
export function rightOfAnswer(row: { act: Act | null; reasons: readonly Reason[] }): Right {
  const procedure = jobOpen(row)?.procedure ?? (row.act === 'closeUp' ? 'closeUp' : null);
  return procedure === null ? 'read' : rightOfEntry('jobStep', { procedure });
}

/** The one right action: what answers the worst reason, in the sump that it is about. */
export function rightAction(row: {
  act: Act | null;
  reasons: readonly Reason[];
  nextTask: Pick<NextTask, 'task' | 'status'> | null;
  untouched: boolean;
  place: PumpPlace;
}): ActionAddress & { readonly words: string } {
  if (row.untouched) return { action: 'takeOver', words: 'Take it over' };
  // A service under way comes first, whatever else is wanted: it may be what answers it.
  if (jobOpen(row)) return ANSWERS.goOn;
  if (row.act !== null) {
    const [worst] = row.reasons;
    if (worst?.code === 'jarToRead') return { action: 'look', words: 'Read the jar' };
    if (worst?.code === 'level' && worst.filled) return { action: 'look', words: 'Say where the oil went' };
    const elsewhere = worst && 'sump' in worst && worst.sump !== 'oil' ? { sump: worst.sump } : {};
    return { ...ANSWERS[row.act], ...elsewhere };
  }
  if (row.reasons[0]?.code === 'madeAnew') return ANSWERS.look;
  if (row.nextTask?.task === 'bleed' && (row.nextTask.status === 'now' || row.nextTask.status === 'reached'))
    return { action: 'bleed', words: 'Bleed settled water' };
  // What is retired takes no new runs.
  return row.place === 'retired' ? { action: 'note', words: 'Write a note' } : { action: 'run', words: 'Log a run' };
}
