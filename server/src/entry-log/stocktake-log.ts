import { SHARED_COLUMNS, type EntryLog } from './entry-log.js';

const VOLUME = 'a volume in mL, such as 700';
const NUMBERS = [
  { column: 'oil_ml', field: 'oilMl', right: VOLUME },
  { column: 'hazy_ml', field: 'hazyMl', right: VOLUME },
  { column: 'water_ml', field: 'waterMl', right: VOLUME },
  { column: 'cream_ml', field: 'creamMl', right: VOLUME },
  { column: 'sludge_ml', field: 'sludgeMl', right: VOLUME },
  { column: 'temp_c', field: 'tempC', right: 'a temperature in °C, such as 20' },
  { column: 'colour', field: 'colour', right: 'a half step of ASTM D1500 from 0.5 to 8' },
] as const;
const WORDS = [
  { column: 'clarity', field: 'clarity' },
  { column: 'smell', field: 'smell' },
] as const;

/** What was counted and read on the shelf: a row per container and time. */
export const STOCKTAKE_LOG: EntryLog<'stocktake'> = {
  kind: 'stocktake',
  ofContainers: true,
  columns: {
    all: [
      'id',
      'counted',
      'precision',
      'container',
      ...NUMBERS.map(({ column }) => column),
      ...WORDS.map(({ column }) => column),
      'particle_kinds',
      ...SHARED_COLUMNS.last,
    ],
    required: ['counted', 'container', 'oil_ml'],
    freeText: ['remark', 'who', 'container'],
  },
  when: { column: 'counted', missing: 'when it was counted, such as 2031-03-09T14:05+01:00' },
  columnOf: {
    'subjects.0.id': 'container',
    'body.particleKinds': 'particle_kinds',
    ...Object.fromEntries([...NUMBERS, ...WORDS].map(({ column, field }) => [`body.${field}`, column])),
  },
  tellsApart: ['oilMl'],
  readBody(cells) {
    const numbers = NUMBERS.map(({ column, field, right }): [string, unknown] => [
      field,
      field === 'oilMl' ? cells.needed(column, right) : cells.number(column, right),
    ]);
    const words = WORDS.map(({ column, field }): [string, unknown] => [field, cells.text(column) || null]);
    const kinds = cells.text('particle_kinds').split(' ').filter(Boolean);
    return {
      ...Object.fromEntries([...numbers, ...words].filter(([, value]) => value !== null)),
      ...(kinds.length > 0 ? { particleKinds: kinds } : {}),
    };
  },
  readSubjects(cells, house) {
    const said = cells.text('container');
    const id = said ? cells.known('container', said, house.container, 'a container') : null;
    return id ? [{ type: 'container', id }] : [];
  },
  write({ subjects, body }) {
    return {
      container: subjects.find((s) => s.type === 'container')?.id,
      particle_kinds: body.particleKinds?.join(' '),
      ...Object.fromEntries([...NUMBERS, ...WORDS].map(({ column, field }) => [column, body[field]])),
    };
  },
};
