import {
  guessColumns,
  knownNames,
  MATERIAL_LIBRARY,
  NO_ANSWERS,
  readNotebook,
  sheetOf,
  type HouseSetUp,
  type NotebookRow,
} from '@winter-jar/core';
import { bookOf, START } from '@winter-jar/core/testing';
import Papa from 'papaparse';
import { encodingOf, fileOfRows, linesOf, templateFor, textOf } from './notebook-text.js';

const house = bookOf().at(START);
const bytes = (text: string, encoding: BufferEncoding) => new Uint8Array(Buffer.from(text, encoding));

test.each([
  ['Öl', bytes('Öl, gewechselt am 3. März', 'utf8'), 'utf-8'],
  ['a mark', bytes('\uFEFFdate,pump', 'utf8'), 'utf-8'],
  ['plain letters', bytes('date,pump', 'latin1'), 'utf-8'],
  ['an old spreadsheet', bytes('Datum;Pumpe;Öl gewechselt, Kühlfalle geprüft, für März', 'latin1'), 'windows-1252'],
  ['sixteen bits', bytes('date\tpump\r\n9.3.2031\tP-1', 'utf16le'), 'utf-16le'],
  ['sixteen bits with a mark', bytes('\uFEFFdate\tpump', 'utf16le'), 'utf-16le'],
  ['nothing', new Uint8Array(), 'utf-8'],
])('%s is read as what it is', (_, file, encoding) => {
  expect(encodingOf(file)).toBe(encoding);
});

test('the same letters come out of every encoding, without the mark', () => {
  for (const encoding of ['utf8', 'latin1', 'utf16le'] as const) {
    const file = bytes('Pumpe;Kühlfalle;für Öl;März', encoding);
    expect(textOf(file, encodingOf(file))).toBe('Pumpe;Kühlfalle;für Öl;März');
  }
  expect(textOf(bytes('\uFEFFdate', 'utf8'), 'utf-8')).toBe('date');
});

test.each([
  [
    'copied cells',
    'Date\tPump\n9.3.31\t"P-1\tspare"',
    [
      ['Date', 'Pump'],
      ['9.3.31', 'P-1\tspare'],
    ],
  ],
  [
    'semicolons with decimal commas',
    'a;b\n0,5;1,5',
    [
      ['a', 'b'],
      ['0,5', '1,5'],
    ],
  ],
  [
    'commas with quotes',
    'a,b\n"x, y",2',
    [
      ['a', 'b'],
      ['x, y', '2'],
    ],
  ],
])('%s are parted', (_, text, lines) => {
  expect(linesOf(text)).toEqual(lines);
});

test('a row goes out in the columns of the server, and harms no spreadsheet', () => {
  const row: NotebookRow = {
    line: 7,
    kind: 'run',
    pumpId: 'p1',
    at: '2031-03-09T06:00:00.000Z',
    dayOnly: true,
    minutes: 1200,
    cells: { material: 'fd-meat' },
    remark: '=1+1, or so',
    who: '',
  };
  expect(Papa.parse(fileOfRows([row]), { header: true }).data).toEqual([
    {
      line: '7',
      what: 'run',
      pump: 'p1',
      at: '2031-03-09T06:00:00.000Z',
      precision: 'day',
      minutes: '1200',
      material: 'fd-meat',
      who: '',
      remark: "'=1+1, or so",
    },
  ]);
});

test('every column of the template is known, its examples are passed over, and a row filled in like them is read', () => {
  const now = new Date('2031-03-09T20:00:00Z');
  const readAs = (text: string, house: HouseSetUp) => {
    const sheet = sheetOf(linesOf(text), '2031-03-09');
    const columns = guessColumns(sheet, { known: knownNames(house), today: '2031-03-09' });
    expect(columns.filter(({ field }) => field === null)).toEqual([]);
    return readNotebook({ sheet, columns, answers: NO_ANSWERS, house, nowMs: now.getTime() });
  };
  const template = templateFor(house, now);
  expect(readAs(template, house)).toMatchObject({ rows: [], wrong: [], questions: [], leftOut: 3 });
  const filled = readAs(template.replaceAll('example: rows that begin so are passed over', ''), house);
  expect(filled).toMatchObject({
    wrong: [],
    questions: [],
    rows: [
      { kind: 'run', minutes: 1200, cells: { trap_temp_c: '-41', lowest_pressure_pa: '5', ballast: 'closed' } },
      { kind: 'change', cells: { in_ml: '700', level_after: 'right' } },
      { kind: 'topUp', cells: { added_ml: '40' } },
    ],
  });
  expect(Object.values(MATERIAL_LIBRARY).map(({ name }) => name)).toContain(
    house.material[filled.rows[0]?.cells.material ?? '']?.name,
  );
});
