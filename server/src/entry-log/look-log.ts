import { NAME_COLUMNS, SHARED_COLUMNS, type EntryLog } from './entry-log.js';

/** Columns that hold one number of the body. */
const NUMBERS = [
  { column: 'looked_at_ml', field: 'lookedAtMl', right: 'mL in the jar, such as 300' },
  { column: 'jar_temp_c', field: 'jarTempC', right: 'a temperature in °C, such as 20' },
  { column: 'colour', field: 'colour', right: 'a half step of ASTM D1500 from 0.5 to 8' },
  { column: 'sludge_ml', field: 'sludgeMl', right: 'mL, such as 4' },
  { column: 'free_water_ml', field: 'freeWaterMl', right: 'mL, such as 12' },
  { column: 'cream_ml', field: 'creamMl', right: 'mL, such as 6' },
  { column: 'hazy_ml', field: 'hazyMl', right: 'mL, such as 80' },
] as const;
/** Columns that hold one word of the body, as the field's own list has it. */
const WORDS = [
  { column: 'level', field: 'level' },
  { column: 'oil_went', field: 'oilWent' },
  { column: 'clarity', field: 'clarity' },
  { column: 'particles', field: 'particles' },
  { column: 'smell', field: 'smell' },
  { column: 'foam', field: 'foam' },
  { column: 'photo', field: 'photoId' },
] as const;

/** Every look that counts as a row: the same fields as on the screen. */
export const LOOK_LOG: EntryLog<'look'> = {
  kind: 'look',
  columns: {
    all: [
      ...SHARED_COLUMNS.first,
      'looked_at',
      'precision',
      'sump',
      'source',
      'looked_at_ml',
      'hours_stood',
      'jar',
      'jar_temp_c',
      'level',
      'oil_went',
      'colour',
      'clarity',
      'sludge_ml',
      'free_water_ml',
      'cream_ml',
      'hazy_ml',
      'particles',
      'particle_kinds',
      'smell',
      'foam',
      'water_at_pick_up',
      'thrown_from_exhaust',
      'photo',
      'container',
      ...SHARED_COLUMNS.last,
    ],
    required: ['pump', 'looked_at', 'hours_stood'],
    freeText: ['remark', 'who', 'pump', 'jar', 'container', ...NAME_COLUMNS],
  },
  when: { column: 'looked_at', missing: 'when the oil was looked at, such as 2031-03-09T14:05+01:00' },
  columnOf: {
    'body.sump': 'sump',
    'body.source': 'source',
    'body.hoursStood': 'hours_stood',
    'body.jarShapeId': 'jar',
    'body.containerId': 'container',
    'body.particleKinds': 'particle_kinds',
    'body.waterAtPickUp': 'water_at_pick_up',
    'body.thrownFromExhaust': 'thrown_from_exhaust',
    ...Object.fromEntries([...NUMBERS, ...WORDS].map(({ column, field }) => [`body.${field}`, column])),
  },
  tellsApart: ['sump', 'source'],
  readBody(cells, house) {
    const hoursStood = cells.number('hours_stood', 'hours that the oil had stood; 0 while the pump was running');
    if (cells.text('hours_stood') === '')
      cells.refuse('hours_stood', '', 'missing', 'hours that the oil had stood; 0 while the pump was running');
    const numbers = NUMBERS.map(({ column, field, right }): [string, unknown] => [field, cells.number(column, right)]);
    const words = WORDS.map(({ column, field }): [string, unknown] => [field, cells.text(column) || null]);
    const said = cells.text('container');
    const container = said ? cells.known('container', said, house.container, 'a container') : null;
    const kinds = cells.text('particle_kinds').split(' ').filter(Boolean);
    return {
      sump: cells.text('sump') || 'oil',
      source: cells.text('source') || 'sightGlass',
      hoursStood,
      ...Object.fromEntries([...numbers, ...words].filter(([, value]) => value !== null)),
      ...(cells.text('jar') ? { jarShapeId: cells.text('jar') } : {}),
      ...(container ? { containerId: container } : {}),
      ...(kinds.length > 0 ? { particleKinds: kinds } : {}),
      ...(cells.yes('water_at_pick_up') ? { waterAtPickUp: true } : {}),
      ...(cells.yes('thrown_from_exhaust') ? { thrownFromExhaust: true } : {}),
    };
  },
  write({ body }) {
    return {
      sump: body.sump,
      source: body.source,
      hours_stood: body.hoursStood,
      jar: body.jarShapeId,
      container: body.containerId,
      particle_kinds: body.particleKinds?.join(' '),
      water_at_pick_up: body.waterAtPickUp ? 'yes' : null,
      thrown_from_exhaust: body.thrownFromExhaust ? 'yes' : null,
      ...Object.fromEntries([...NUMBERS, ...WORDS].map(({ column, field }) => [column, body[field]])),
    };
  },
};
