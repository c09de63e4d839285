import { ENTRY_KINDS, type EntryKind } from '@winter-jar/core';

/** What each kind of entry is called. */
export const KIND_WORDS: Readonly<Record<EntryKind, string>> = {
  run: 'Run',
  look: 'Look',
  bleed: 'Bleed',
  topUp: 'Top-up',
  change: 'Oil change',
  done: 'Done',
  labSample: 'Lab sample',
  labResult: 'Lab report',
  meter: 'Hour meter',
  takeOver: 'Take-over',
  test: 'Test',
  caseOpened: 'Case opened',
  caseClosed: 'Case closed',
  caseChecked: 'Remedy checked',
  jobStarted: 'Job',
  jobStep: 'Step of a job',
  jobMoved: 'Job',
  jobEnded: 'Job ended',
  transfer: 'Poured',
  stocktake: 'Stocktake',
  opened: 'Opened',
  mediaChange: 'Filter media',
  note: 'Note',
};

/** Told by the job that they are of: a list of everything leaves them out. */
const WITHIN_A_JOB: readonly EntryKind[] = ['jobStep', 'jobMoved', 'jobEnded'];
export const TOLD_KINDS: readonly EntryKind[] = ENTRY_KINDS.filter((kind) => !WITHIN_A_JOB.includes(kind));

/** As a source of evidence some are called by where they stand. */
const AS_SOURCE: Readonly<Partial<Record<EntryKind | 'setUp', string>>> = {
  setUp: 'Time of year at this site',
  run: 'Run log',
  look: 'Look at the oil',
  done: 'Service',
  test: 'Seen or tested',
  caseOpened: 'Case',
  caseClosed: 'Case',
  caseChecked: 'Case',
};
export const kindAsSource = (kind: EntryKind | 'setUp'): string =>
  AS_SOURCE[kind] ?? (kind === 'setUp' ? 'Set-up' : KIND_WORDS[kind]);
