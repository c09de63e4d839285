import { ENTRY_KINDS, TASKS, type Act, type Reason, type Right } from '@winter-jar/core';
import {
  actionOfTask,
  actionPath,
  actionsOffered,
  correctPath,
  PUMP_ACTIONS,
  rightAction,
  rightOfAnswer,
  serviceOf,
} from './pump-actions.js';

const pump = { reasons: [], untouched: false, nextTask: null, place: 'inService' } as const;

test.each([
  ['change', '/pumps/p/change'],
  ['topUp', '/pumps/p/top-up'],
  ['bleed', '/pumps/p/bleed'],
  ['look', '/pumps/p/look'],
  ['sample', '/pumps/p/lab-sample'],
  ['drainToMark', '/pumps/p/bleed'],
  ['purge', '/pumps/p/done?task=purge'],
  ['flush', '/pumps/p/done?task=flush'],
  ['washHousing', '/pumps/p/done?task=housingClean'],
  ['inspect', '/pumps/p/done?task=vaneCheck'],
  ['findCause', '/pumps/p/what-is-wrong'],
  ['checkRemedy', '/pumps/p/case-check'],
  [null, '/pumps/p/run'],
] as const)('the one right action for the act %s leads to %s', (act, path) => {
  const { words: _, ...address } = rightAction({ ...pump, act });
  expect(actionPath('p', address)).toBe(path);
});

test('with nothing against the next run, a bleed that is due comes first; a pump nobody knows is taken over', () => {
  const nextTask = { task: 'bleed', status: 'reached' } as const;
  expect(rightAction({ ...pump, act: null, nextTask }).action).toBe('bleed');
  expect(rightAction({ ...pump, act: 'look', untouched: true }).action).toBe('takeOver');
});

const open = { code: 'jobOpen' } as Reason;
test('a service under way comes before whatever else is wanted', () => {
  expect(rightAction({ ...pump, act: 'change', reasons: [open] }).action).toBe('job');
});

test('what stands open or capped is closed step by step', () => {
  expect(rightAction({ ...pump, act: 'closeUp' })).toEqual({
    action: 'jobCards',
    words: 'Close and free it, step by step',
  });
});

test.each<[string, Parameters<typeof serviceOf>[0]['act'], string, readonly Reason[], string | null, Right | null]>([
  ['a change', 'change', 'vane', [], '/pumps/p/job-cards?task=oilChange', 'write'],
  ['a change of a booster', 'change', 'booster', [], '/pumps/p/job-cards?task=boosterOil', 'write'],
  ['a bleed of a booster', 'bleed', 'booster', [], '/pumps/p/job-cards?task=boosterOil', 'write'],
  // Purging and bleeding are an operator's work, led by the guide.
  ['a purge', 'purge', 'vane', [], '/pumps/p/job-cards?task=purge', 'log'],
  ['a bleed', 'bleed', 'vane', [], '/pumps/p/job-cards?task=bleed', 'log'],
  ['too much in it', 'drainToMark', 'vane', [], '/pumps/p/job-cards?task=bleed', 'log'],
  ['a wash', 'washHousing', 'vane', [], '/pumps/p/job-cards?task=housingClean', 'write'],
  ['a look is no service', 'look', 'vane', [], null, null],
  ['nothing wanted', null, 'vane', [], null, null],
  ['one is under way', 'change', 'vane', [open], null, null],
])('%s is led step by step from its reason', (_, act, kind, reasons, path, needs) => {
  expect(serviceOf({ pumpId: 'p', kind, act, reasons })).toEqual(path === null ? null : { path, needs });
});

test.each<[string, Act | null, readonly Reason[], Right]>([
  ['nothing under way', 'change', [], 'read'],
  ['a technician’s service', 'change', [{ ...open, procedure: 'overhaul' } as Reason], 'write'],
  ['what comes after a run', null, [{ ...open, procedure: 'afterRun' } as Reason], 'log'],
  ['it stands open', 'closeUp', [], 'write'],
])('with %s the right action is theirs who may go on with it', (_, act, reasons, right) => {
  expect(rightOfAnswer({ act, reasons })).toBe(right);
});

test('a retired pump is offered no new run, and all else', () => {
  expect(rightAction({ ...pump, act: null, place: 'retired' }).action).toBe('note');
  expect(rightAction({ ...pump, act: 'change', place: 'retired' }).action).toBe('change');
  const offered = actionsOffered({ kind: 'vane', place: 'retired' }, 'sheet').map((a) => a.id);
  expect(offered).toEqual(['look', 'bleed', 'change', 'topUp', 'findCause']);
});

test('a low gear chamber leads to the form of that end, so that doing it ends it', () => {
  const low = { code: 'level', sump: 'gearB', act: 'topUp', level: 'beforeNextRun' } as Reason;
  const { words, ...address } = rightAction({ ...pump, act: 'topUp', reasons: [low] });
  expect([words, actionPath('p', address)]).toEqual(['Top up', '/pumps/p/top-up?sump=gearB']);
});

test('what is offered on each kind of pump', () => {
  const ids = (kind: string, at: 'sheet' | 'link', bleeds = true) =>
    actionsOffered({ kind, bleeds }, at).map((a) => a.id);
  expect(ids('vane', 'sheet')).toEqual(['run', 'look', 'bleed', 'change', 'topUp', 'findCause']);
  expect(ids('vane', 'sheet', false)).not.toContain('bleed');
  expect(ids('booster', 'sheet')).toEqual(['run', 'change', 'topUp']);
  expect(ids('dry', 'sheet')).toEqual(['run']);
  expect(ids('dry', 'link')).toEqual(['meter', 'label', 'jobCards']);
});

test('every kind of entry has the one page on which it is corrected', () => {
  const written = Object.values(PUMP_ACTIONS).flatMap((a) => ('entry' in a ? [a.entry] : []));
  // What is said of a container is taken back in its journal, and written anew.
  const ofStore: readonly string[] = ['transfer', 'stocktake', 'opened', 'mediaChange'];
  const others = ENTRY_KINDS.filter((kind) => !kind.startsWith('job') && !ofStore.includes(kind));
  expect([...written].sort()).toEqual([...others].sort());
  expect(correctPath('p', { kind: 'topUp', id: 'e', subjects: [] })).toBe('/pumps/p/top-up?correct=e');
  // What a job says is seen, and taken back, on the job's own page.
  const subjects = [{ type: 'job', id: 'j' }] as const;
  expect(correctPath('p', { kind: 'jobStarted', id: 'e', subjects })).toBe('/pumps/p/jobs/j');
});

test('every task is done on a page of its own, or ticked off', () => {
  for (const { id, doneBy } of TASKS) expect([id, actionOfTask(id) === null]).toEqual([id, doneBy === 'done']);
});

test('no two letters are the same', () => {
  const letters = Object.values(PUMP_ACTIONS).flatMap((a) => ('letter' in a ? [a.letter] : []));
  expect(new Set(letters).size).toBe(letters.length);
});
