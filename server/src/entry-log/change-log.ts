import { NAME_COLUMNS, SHARED_COLUMNS, type EntryLog } from './entry-log.js';

const VOLUME = 'a volume in mL, such as 700';

/** Every change of oil that counts as a row. */
export const CHANGE_LOG: EntryLog<'change'> = {
  kind: 'change',
  columns: {
    all: [
      ...SHARED_COLUMNS.first,
      'changed',
      'precision',
      'sump',
      'product',
      'product_name',
      'in_ml',
      'out_ml',
      'oil_went',
      'level_after',
      'jar_kept',
      'from_container',
      'into_container',
      'out_temp_c',
      'flushed_ml',
      ...SHARED_COLUMNS.last,
    ],
    required: ['pump', 'changed', 'product', 'in_ml'],
    freeText: ['remark', 'who', 'pump', 'product', 'from_container', 'into_container', ...NAME_COLUMNS],
  },
  when: { column: 'changed', missing: 'when the oil was changed, such as 2031-03-09T14:05+01:00' },
  columnOf: {
    'body.sump': 'sump',
    'body.productId': 'product',
    'body.inMl': 'in_ml',
    'body.outMl': 'out_ml',
    'body.oilWent': 'oil_went',
    'body.levelAfter': 'level_after',
    'body.jarKept': 'jar_kept',
    'body.fromContainerId': 'from_container',
    'body.intoContainerId': 'into_container',
    'body.outTempC': 'out_temp_c',
    'body.flushed.0.inMl': 'flushed_ml',
  },
  tellsApart: ['sump', 'productId', 'inMl'],
  readBody(cells, house) {
    const outMl = cells.number('out_ml', VOLUME);
    const outTempC = cells.number('out_temp_c', 'a temperature in °C, such as 45');
    const flushedMl = cells.number('flushed_ml', VOLUME);
    const container = (column: string) => {
      const said = cells.text(column);
      return said ? cells.known(column, said, house.container, 'a container') : null;
    };
    const [from, into] = [container('from_container'), container('into_container')];
    return {
      sump: cells.text('sump') || 'oil',
      productId: cells.known('product', cells.text('product'), house.oilProduct, 'an oil'),
      inMl: cells.needed('in_ml', VOLUME),
      ...(outMl === null ? {} : { outMl }),
      ...(cells.text('oil_went') ? { oilWent: cells.text('oil_went') } : {}),
      ...(cells.text('level_after') ? { levelAfter: cells.text('level_after') } : {}),
      ...(cells.yes('jar_kept') ? { jarKept: true } : {}),
      ...(from ? { fromContainerId: from } : {}),
      ...(into ? { intoContainerId: into } : {}),
      ...(outTempC === null ? {} : { outTempC }),
      ...(flushedMl === null ? {} : { flushed: [{ inMl: flushedMl }] }),
    };
  },
  write({ body }) {
    return {
      sump: body.sump,
      product: body.productId,
      in_ml: body.inMl,
      out_ml: body.outMl,
      oil_went: body.oilWent,
      level_after: body.levelAfter,
      jar_kept: body.jarKept ? 'yes' : null,
      from_container: body.fromContainerId,
      into_container: body.intoContainerId,
      out_temp_c: body.outTempC,
      // All fills together: where each came from and went stands in everything as lines.
      flushed_ml: body.flushed?.length ? body.flushed.reduce((sum, f) => sum + f.inMl, 0) : null,
    };
  },
};
