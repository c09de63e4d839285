import type { Entry, EntryKind } from '@winter-jar/core';

/** The screen on which each kind of entry is written and corrected. */
export const ENTRY_SCREENS: Readonly<Record<EntryKind, string>> = {
  run: 'run',
  look: 'look',
  bleed: 'bleed',
  change: 'change',
  topUp: 'top-up',
  done: 'done',
  labSample: 'lab-sample',
  labResult: 'lab-report',
  meter: 'meter',
  takeOver: 'take-over',
  test: 'test',
  caseOpened: 'case-open',
  caseClosed: 'case-close',
  caseChecked: 'case-check',
  note: 'note',
};

export const correctPath = (pumpId: string, { kind, id }: Pick<Entry, 'kind' | 'id'>): string =>
  `/pumps/${pumpId}/${ENTRY_SCREENS[kind]}?correct=${id}`;

export const isStillRunning = (entry: Entry | null): boolean =>
  entry?.kind === 'run' && entry.body.stillRunning === true;
