import { oneOrMore, uncapital } from '../ui/number.js';
import type { NamedKind, NotebookAssumption, NotebookFault, NotebookField, NotebookKind } from '@winter-jar/core';

export const FIELD_WORDS: Readonly<Record<NotebookField, string>> = {
  pump: 'Pump',
  date: 'Day, or day and time',
  time: 'Start, or from – to',
  end: 'End',
  length: 'Length of the run',
  what: 'What it was: run, oil change …',
  material: 'What went in',
  equipment: 'Chamber or line',
  cycles: 'Cycles',
  ballast: 'Gas ballast',
  loadKg: 'Weight put in',
  trapTempC: 'Trap temperature',
  pressurePa: 'Lowest pressure',
  oilTempC: 'Oil temperature',
  meter: 'Hour meter',
  oil: 'Which oil',
  inMl: 'Oil filled in',
  outMl: 'Oil drained',
  level: 'Oil level',
  clarity: 'How the oil looks',
  who: 'Who',
  remark: 'Remark',
};

export const NOTEBOOK_KIND_WORDS: Readonly<Record<NotebookKind, string>> = {
  run: 'run',
  change: 'oil change',
  topUp: 'top-up',
  look: 'look at the oil',
  meter: 'hour meter',
  note: 'note',
};

export const NAMED_KIND_WORDS: Readonly<Record<NamedKind, { readonly one: string; readonly none: string }>> = {
  pump: { one: 'pump', none: 'none of them: leave these rows out' },
  material: { one: 'material', none: 'nobody knows: it stays in the remark' },
  equipment: { one: 'chamber or line', none: 'the pump’s own: it stays in the remark' },
  oilProduct: { one: 'oil', none: 'the pump’s own oil: it stays in the remark' },
};

/** What is wrong at a cell, and what would be right. */
export const FAULT_WORDS: Readonly<Record<NotebookFault, string>> = {
  noDay: 'No day. Right would be 9 Mar 2031 or 2031-03-09.',
  notADay: 'Not a day that has been. Right would be 9 Mar 2031 or 2031-03-09.',
  noPump: 'No pump. Right would be its name.',
  notATime: 'Not a time. Right would be 14:05, or 8:00-14:30.',
  ahead: 'This has not come yet. Right would be a moment that has passed.',
  noLength: 'No length. Right would be 6 h, 6:30, an end, or cycles.',
  notALength: 'Not a length. Right would be 6 h, 6:30 or 90 min.',
  notANumber: 'Not a number. Right would be 700 mL, or 1200 for cycles.',
  contradicts: 'It contradicts start and end of this row.',
  noOil: 'The pump has no oil of its own. Right would be the name of the oil.',
  noVolume: 'No volume. Right would be 40 mL.',
  twoWays: 'It can be read two ways. Right would be 1200, or 1.2.',
  outOfBounds: 'More or less than can be. A run takes 1 minute to 30 days.',
};

export function assumedWords(what: NotebookAssumption, rows: number): string {
  const n = oneOrMore(rows, 'row');
  switch (what) {
    case 'dayOnly':
      return `${n} without a time of day: in the order of the rows, from six in the morning.`;
    case 'oilOfPump':
      return `${n} without the name of an oil: the pump’s own.`;
    case 'chargeOfPump':
      return `${n} of an oil change without a volume: the pump’s charge.`;
    case 'pumpRunning':
      return `${n} of a look: through the sight glass, with the pump running.`;
    case 'materialNotSaid':
      return `${n} of a run without what went in: it counts on the cautious side until you tell it.`;
  }
}

export const rowsWords = (n: number): string => uncapital(oneOrMore(n, 'row'));
