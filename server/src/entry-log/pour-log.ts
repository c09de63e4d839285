import { SHARED_COLUMNS, type EntryLog } from './entry-log.js';

const VOLUME = 'a volume in mL, such as 700';
const VOLUMES = [
  { column: 'oil_ml', field: 'oilMl' },
  { column: 'water_ml', field: 'waterMl' },
  { column: 'cream_ml', field: 'creamMl' },
  { column: 'sludge_ml', field: 'sludgeMl' },
] as const;
const TEXTS = [
  { column: 'outside', field: 'outside' },
  { column: 'batch', field: 'batch' },
  { column: 'carrier', field: 'carrier' },
  { column: 'note_number', field: 'noteNumber' },
] as const;

/** Every movement of oil between containers, and into and out of the house. */
export const POUR_LOG: EntryLog<'transfer'> = {
  kind: 'transfer',
  ofContainers: true,
  columns: {
    all: [
      'id',
      'poured',
      'precision',
      'from',
      'to',
      'outside',
      'product',
      'product_name',
      'batch',
      ...VOLUMES.map(({ column }) => column),
      'temp_c',
      'estimated',
      'through_h',
      'carrier',
      'note_number',
      ...SHARED_COLUMNS.last,
    ],
    required: ['poured', 'oil_ml'],
    freeText: ['remark', 'who', 'from', 'to', 'product', 'product_name', 'batch', 'carrier', 'note_number'],
  },
  when: { column: 'poured', missing: 'when it was poured, such as 2031-03-09T14:05+01:00' },
  columnOf: {
    'body.fromId': 'from',
    'body.toId': 'to',
    'body.productId': 'product',
    'body.tempC': 'temp_c',
    'body.estimated': 'estimated',
    'body.throughHours': 'through_h',
    ...Object.fromEntries([...VOLUMES, ...TEXTS].map(({ column, field }) => [`body.${field}`, column])),
  },
  tellsApart: ['fromId', 'toId', 'outside', 'oilMl'],
  readBody(cells, house) {
    const known = (column: 'from' | 'to') => {
      const said = cells.text(column);
      return said ? cells.known(column, said, house.container, 'a container') : null;
    };
    const [from, to] = [known('from'), known('to')];
    const said = cells.text('product');
    const product = said ? cells.known('product', said, house.oilProduct, 'an oil') : null;
    const tempC = cells.number('temp_c', 'a temperature in °C, such as 45');
    const throughHours = cells.number('through_h', 'hours, such as 14.5');
    const volumes = VOLUMES.map(({ column, field }) => [field, cells.number(column, VOLUME)] as const);
    return {
      ...(from ? { fromId: from } : {}),
      ...(to ? { toId: to } : {}),
      ...(product ? { productId: product } : {}),
      oilMl: 0,
      ...Object.fromEntries(volumes.filter(([, ml]) => ml !== null)),
      ...(tempC === null ? {} : { tempC }),
      ...(cells.yes('estimated') ? { estimated: true } : {}),
      ...(throughHours === null ? {} : { throughHours }),
      ...Object.fromEntries(
        TEXTS.flatMap(({ column, field }) => (cells.text(column) ? [[field, cells.text(column)]] : [])),
      ),
    };
  },
  readSubjects(cells, house) {
    const id = cells.text('from') || cells.text('to');
    const byName = Object.entries(house.container).find(([, c]) => c.name === id)?.[0];
    return id ? [{ type: 'container', id: house.container[id] ? id : (byName ?? id) }] : [];
  },
  write(entry) {
    const { body } = entry;
    return {
      from: body.fromId,
      to: body.toId,
      product: body.productId,
      temp_c: body.tempC,
      estimated: body.estimated ? 'yes' : null,
      through_h: body.throughHours,
      ...Object.fromEntries([...VOLUMES, ...TEXTS].map(({ column, field }) => [column, body[field]])),
    };
  },
};
