import { NOTEBOOK_KINDS, type EntryKind, type NotebookKind } from '@winter-jar/core';
import { CHANGE_LOG } from './change-log.js';
import type { Row } from './csv-table.js';
import { NAME_COLUMNS, SHARED_COLUMNS, type EntryLog, type LogFile } from './entry-log.js';
import { LOOK_LOG } from './look-log.js';
import { RUN_LOG } from './run-log.js';

const WHEN = { column: 'at', missing: 'when it happened, such as 2031-03-09T14:05+01:00' } as const;
const OIL_COLUMNS = ['sump', 'product', 'added_ml', 'level_after'];
const FREE_TEXT = ['remark', 'who', 'pump', 'product', ...NAME_COLUMNS];

const TOP_UP_LOG: EntryLog<'topUp'> = {
  kind: 'topUp',
  columns: {
    all: [...SHARED_COLUMNS.first, 'at', ...OIL_COLUMNS, ...SHARED_COLUMNS.last],
    required: ['pump', 'at', 'added_ml'],
    freeText: FREE_TEXT,
  },
  when: WHEN,
  columnOf: { 'body.productId': 'product', 'body.addedMl': 'added_ml', 'body.levelAfter': 'level_after' },
  tellsApart: ['productId', 'addedMl'],
  readBody(cells, house) {
    return {
      sump: cells.text('sump') || 'oil',
      productId: cells.known('product', cells.text('product'), house.oilProduct, 'an oil'),
      addedMl: cells.needed('added_ml', 'a volume in mL, such as 40'),
      ...(cells.text('level_after') ? { levelAfter: cells.text('level_after') } : {}),
    };
  },
  write: ({ body }) => ({
    sump: body.sump,
    product: body.productId,
    added_ml: body.addedMl,
    level_after: body.levelAfter,
  }),
};

const METER_LOG: EntryLog<'meter'> = {
  kind: 'meter',
  columns: {
    all: [...SHARED_COLUMNS.first, 'at', 'meter_minutes', ...SHARED_COLUMNS.last],
    required: ['pump', 'at', 'meter_minutes'],
    freeText: FREE_TEXT,
  },
  when: WHEN,
  columnOf: { 'body.minutes': 'meter_minutes' },
  tellsApart: ['minutes'],
  readBody: (cells) => ({
    action: 'read',
    minutes: cells.needed('meter_minutes', 'whole minutes on the hour meter, such as 319800'),
  }),
  write: ({ body }) => ({ meter_minutes: body.minutes }),
};

/** A note keeps its text where the others have their remark. */
const NOTE_LOG: EntryLog<'note'> = {
  kind: 'note',
  columns: {
    all: [...SHARED_COLUMNS.first, 'at', ...SHARED_COLUMNS.last],
    required: ['pump', 'at', 'remark'],
    freeText: FREE_TEXT,
  },
  when: WHEN,
  columnOf: { 'body.text': 'remark' },
  tellsApart: ['text'],
  readBody: (cells) => ({ text: cells.text('remark') }),
  hasRemark: false,
  write: ({ body }) => ({ remark: body.text }),
};

const LOG_OF: Readonly<Record<NotebookKind, EntryLog<EntryKind>>> = {
  run: RUN_LOG,
  change: CHANGE_LOG,
  topUp: TOP_UP_LOG,
  look: LOOK_LOG,
  meter: METER_LOG,
  note: NOTE_LOG,
} as unknown as Record<NotebookKind, EntryLog<EntryKind>>;

const ALL_LOGS = Object.values(LOG_OF);
const isKind = (text: string | undefined): text is NotebookKind => NOTEBOOK_KINDS.some((kind) => kind === text);

/** Rows of several kinds: `what` names the kind, `at` its moment, `line` the row of the notebook that it comes from. */
export const NOTEBOOK_FILE: LogFile = {
  columns: {
    all: [...new Set(['what', 'line', 'at', ...ALL_LOGS.flatMap(({ columns }) => columns.all)])],
    required: ['what', 'pump', 'at'],
    freeText: [...new Set(ALL_LOGS.flatMap(({ columns }) => columns.freeText))],
  },
  when: WHEN.column,
  kinds: NOTEBOOK_KINDS,
  logOf: ({ what }) => (isKind(what) ? LOG_OF[what] : null),
  asRowOf: (log, row): Row => ({ ...row, [log.when.column]: row.at }),
};
