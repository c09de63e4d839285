import { bookOf } from '../testing/small-yard.js';
import {
  guessColumns,
  knownNames,
  NO_ANSWERS,
  readNotebook,
  sheetOf,
  type NotebookAnswers,
  type NotebookRow,
} from './index.js';

/** Lisbon: as UTC in winter, an hour ahead from 30 March. */
const NOW = Date.parse('2031-04-20T12:00:00Z');
const TODAY = '2031-04-20';
const house = bookOf().at('2031-04-20T12:00:00.000Z');

const sheet = (text: string) =>
  sheetOf(
    text
      .trim()
      .split('\n')
      .map((line) => line.split('|')),
    TODAY,
  );
function read(text: string, answers: Partial<NotebookAnswers> = {}) {
  const read = sheet(text);
  const columns = guessColumns(read, { known: knownNames(house), today: TODAY });
  return readNotebook({ sheet: read, columns, answers: { ...NO_ANSWERS, ...answers }, house, nowMs: NOW });
}
const short = ({ line, kind, at, minutes, dayOnly }: NotebookRow) =>
  `${line} ${kind} ${at.slice(0, 16)}${minutes === null ? '' : ` ${minutes}`}${dayOnly ? ' day' : ''}`;
const rowsOf = (text: string, answers: Partial<NotebookAnswers> = {}) => read(text, answers).rows.map(short);

test.each([
  ['Date|Pump|Hours|Material|Remark', 'date pump length material remark'],
  ['DATUM|Pumpe|Dauer (min)|Ware|Bemerkung', 'date pump length material remark'],
  [
    'Day|pump no.|from|to|what went in|Vacuum (mbar)|Trap °C|by',
    'date pump time end material pressurePa trapTempC who',
  ],
  ['date|what|pump|oil in (L)|drained|oil level', 'date what pump inMl outMl level'],
  ['Date|Chamber|Pump|Cycles|Gas ballast|Kettle', 'date equipment pump cycles ballast -'],
])('%s names its columns', (header, expected) => {
  const columns = guessColumns(sheet(header), { known: knownNames(house), today: TODAY });
  expect(columns.map(({ field }) => field ?? '-').join(' ')).toBe(expected);
});

test('units stand in the headings, else follow from what is written', () => {
  const units = (text: string) =>
    guessColumns(sheet(text), { known: knownNames(house), today: TODAY, preferred: { pressure: 'Torr' } }).map(
      ({ unit }) => unit,
    );
  expect(units('Date|Dauer (min)|Vacuum (mbar)|Trap °F|oil in (L)')).toEqual([null, 'min', 'mbar', '°F', 'L']);
  expect(units('Length|vacuum|filled\n1200|0.05|1\n900|0.04|0.7')).toEqual(['min', 'Torr', 'L']);
  expect(units('Length|filled\n20|700\n6|350')).toEqual(['h', 'mL']);
});

test('a unit that is written nowhere is a guess, and said so', () => {
  const guesses = (text: string) =>
    guessColumns(sheet(text), { known: knownNames(house), today: TODAY }).map(({ isGuess = false }) => isGuess);
  expect(guesses('Vacuum|Vacuum (mbar)|Trap °C|Pump\n35|35|-41|P-1')).toEqual([true, false, false, false]);
  expect(guesses('Vacuum\n35\n40 micron')).toEqual([false]);
  const mixed = guessColumns(sheet('Vacuum|Load\n35|10\n40 micron|12 lb'), { known: knownNames(house), today: TODAY });
  expect(mixed.map(({ unit }) => unit)).toEqual(['mTorr', 'lb']);
});

test('without a header the cells show what they are', () => {
  const columns = guessColumns(sheet('9.3.2031|P-1|6 h|Meat or fish\n10.3.2031|p1|6:30|Cheese'), {
    known: knownNames(house),
    today: TODAY,
  });
  expect(columns.map(({ field }) => field)).toEqual(['date', 'pump', 'length', 'material']);
});

test('rows by the day follow one another from six in the morning, by the clock stand where it says', () => {
  const text = `Date|Pump|Start|Hours|Material
9.3.2031|P-1||4|Cheese
9.3.2031|p 1||6 h 30|Cheese
9.3.2031|D-1||2|Cheese
10.3.2031|P1|14:05|2|Cheese
10.3.2031|P1||1|Cheese
31.3.2031|P1|8:00|1|Cheese`;
  expect(rowsOf(text)).toEqual([
    '2 run 2031-03-09T06:00 240 day',
    '3 run 2031-03-09T10:00 390 day',
    '4 run 2031-03-09T06:00 120 day',
    '5 run 2031-03-10T14:05 120',
    '6 run 2031-03-10T16:05 60 day',
    '7 run 2031-03-31T07:00 60',
  ]);
  // The same notebook kept the other way round.
  const [head = '', ...lines] = text.split('\n');
  const turned = rowsOf([head, ...lines.reverse()].join('\n'));
  expect(turned.map((row) => row.slice(2)).reverse()).toEqual(rowsOf(text).map((row) => row.slice(2)));
});

test.each([
  ['20 h', 1200],
  ['6:30', 390],
  ['6,5', 390],
  ['6 1/2', 390],
  ['6½ h', 390],
  ['45 min', 45],
  ['1 d 2 h', 1560],
  ['2 days', 2880],
  ['6h30', 390],
  ['41 hrs', 2460],
  ['20 Std.', 1200],
])('a length of %j is %s minutes', (length, minutes) => {
  expect(read(`Date|Pump|Hours|Material\n9.3.2031|P-1|${length}|Cheese`).rows[0]?.minutes).toBe(minutes);
});

test('an end says the length: the same day, after midnight, with its day, as from and to', () => {
  expect(
    rowsOf(`Date|Pump|Start|End|Hours
9.3.2031|P-1|8:00|14:30|
9.3.2031|P-1|22:00|6:00|
10.3.2031|P-1|20:00|12.3. 6:00|
13.3.2031|P-1|8:00-9:15||
14.3.2031|P-1|8:00|10:00|26`),
  ).toEqual([
    '2 run 2031-03-09T08:00 390',
    '3 run 2031-03-09T22:00 480',
    '4 run 2031-03-10T20:00 2040',
    '5 run 2031-03-13T08:00 75',
    '6 run 2031-03-14T08:00 1560',
  ]);
});

test('the kind of a row is its own column, or what stands where goods or length would, or what the remark tells', () => {
  const text = `Date|Pump|Hours|Material|Oil in|Oil level|Remark
9.3.2031|P-1|20|Cheese|||
10.3.2031|P-1||oil change|700 ml|ok|
11.3.2031|P-1||||low|
11.3.2031|P-1|top up||50 ml||
12.3.2031|P-1|||200 ml||
13.3.2031|P-1|||||changed the oil, black
14.3.2031|P-1|20|Cheese|||needs oil change soon`;
  const { rows, assumed } = read(text);
  expect(rows.map(short)).toEqual([
    '2 run 2031-03-09T06:00 1200 day',
    '3 change 2031-03-10T06:00 day',
    '4 look 2031-03-11T06:00 day',
    '5 topUp 2031-03-11T06:01 day',
    '6 topUp 2031-03-12T06:00 day',
    '7 change 2031-03-13T06:00 day',
    '8 run 2031-03-14T06:00 1200 day',
  ]);
  expect(rows.map(({ cells }) => cells)).toEqual([
    { material: 'vp-cheese' },
    { product: 'oil-a', in_ml: '700', level_after: 'right' },
    { hours_stood: '0', level: 'low' },
    { product: 'oil-a', added_ml: '50' },
    { product: 'oil-a', added_ml: '200' },
    { product: 'oil-a', in_ml: '700' },
    { material: 'vp-cheese' },
  ]);
  expect(assumed).toEqual({ dayOnly: 7, oilOfPump: 4, chargeOfPump: 1, pumpRunning: 1 });
});

test('a row that says nothing of a run is a note; an hour meter is read by itself, or at the end of a run', () => {
  const text = `Date|Pump|Hours|Meter (h)|Material|Remark
9.3.2031|P-1||||milky again
10.3.2031|P-1||5,330||
11.3.2031|P-1|12|5342|Cheese|`;
  const { rows, questions, wrong } = read(text);
  expect([questions, wrong]).toEqual([[], []]);
  expect(rows.map(short)).toEqual([
    '2 note 2031-03-09T06:00 day',
    '3 meter 2031-03-10T06:00 day',
    '4 run 2031-03-11T06:00 720 day',
    '4 meter 2031-03-11T18:00 day',
  ]);
  expect(rows.map(({ cells }) => cells.meter_minutes ?? '-')).toEqual(['-', '319800', '-', '320520']);
});

test('a run whose remark tells of a change is asked about once, and followed by the change where it was one', () => {
  const text = `Date|Pump|Hours|Material|Remark
9.3.2031|P-1|20|Cheese|oil changed after
10.3.2031|P-1|20|Cheese|new oil afterwards`;
  expect(read(text)).toMatchObject({
    rows: [],
    questions: [{ about: 'changesInRemarks', rows: 2, text: 'oil changed after' }],
  });
  expect(rowsOf(text, { changesInRemarks: false })).toHaveLength(2);
  expect(rowsOf(text, { changesInRemarks: true })).toEqual([
    '2 run 2031-03-09T06:00 1200 day',
    '2 change 2031-03-10T02:00 day',
    '3 run 2031-03-10T06:00 1200 day',
    '3 change 2031-03-11T02:00 day',
  ]);
});

test('names are found in any case, with accents and blanks as they come; others are asked once for all their rows', () => {
  const text = `Date|Pump|Hours|Material
9.3.2031|p1|20|meat or fish
10.3.2031|P 1|20|beef
11.3.2031|furnace pmp|20|Beef
12.3.2031|furnace pmp|20|CHEESE`;
  const asked = read(text);
  expect(asked.rows.map(short)).toEqual(['2 run 2031-03-09T06:00 1200 day']);
  expect(asked.questions).toEqual([
    { about: 'name', kind: 'material', text: 'beef', rows: 1 },
    { about: 'name', kind: 'pump', text: 'furnace pmp', rows: 2 },
  ]);
  const names = { ...NO_ANSWERS.names, pump: { 'furnace pmp': 'd1' }, material: { beef: 'fd-meat' } };
  expect(read(text, { names }).rows.map(({ pumpId, cells }) => `${pumpId} ${cells.material}`)).toEqual([
    'p1 fd-meat',
    'p1 fd-meat',
    'd1 fd-meat',
    'd1 vp-cheese',
  ]);
  // Nobody knows what beef was: it stays in the remark, and the rows of that pump are left out.
  const without = { ...NO_ANSWERS.names, pump: { 'furnace pmp': null }, material: { beef: null } };
  expect(read(text, { names: without })).toMatchObject({
    leftOut: 2,
    rows: [{ remark: '' }, { cells: {}, remark: 'Material: beef' }],
    assumed: { materialNotSaid: 1 },
  });
});

test('which of day and month comes first is asked once, with an example, where nothing tells it', () => {
  const text = (more: string) => `Date|Pump|Hours\n3/4/2031|P-1|2\n${more}|P-1|2`;
  expect(read(text('1/2/2031'))).toMatchObject({
    rows: [],
    questions: [{ about: 'dayOrder', rows: 2, text: '3/4/2031', dayFirst: '2031-04-03', monthFirst: '2031-03-04' }],
  });
  expect(rowsOf(text('1/2/2031'), { dayOrder: 'monthFirst' })[0]).toBe('2 run 2031-03-04T06:00 120 day');
  expect(rowsOf(text('25/3/2031'))[0]).toBe('2 run 2031-04-03T05:00 120 day');
});

test.each([
  ['|P-1|2|Cheese', 'date', 'noDay'],
  ['last week|P-1|2|Cheese', 'date', 'notADay'],
  ['31.2.2031|P-1|2|Cheese', 'date', 'notADay'],
  ['9.3.2031 around|P-1|2|Cheese', 'date', 'notATime'],
  ['9.3.2031||2|Cheese', 'pump', 'noPump'],
  ['9.3.2031|P-1|all night|Cheese', 'length', 'notALength'],
  ['9.3.2031|P-1|900|Cheese', 'length', 'outOfBounds'],
  ['9.3.2031|P-1||Cheese', 'length', 'noLength'],
  ['20.4.2031 23:00|P-1|1|Cheese', 'date', 'ahead'],
])('%s is named at its cell', (row, field, fault) => {
  const { rows, wrong } = read(`Date|Pump|Hours|Material\n${row}`);
  expect(rows).toEqual([]);
  expect(wrong).toMatchObject([{ line: 2, field, fault }]);
});

test('what is not needed and not understood stays in the remark; a dash says nothing', () => {
  const { rows } = read(`Date|Pump|Hours|Material|Trap|Vacuum (mbar)|Ballast|Level|Notes
9.3.2031|P-1|20|-|cold|0,05|half|-|smells
10.3.2031|P-1|20|–|-41|60 micron|shut|ok|`);
  expect(rows.map(({ cells, remark }) => ({ ...cells, remark }))).toEqual([
    { lowest_pressure_pa: '5', remark: 'smells; Ballast: half; Trap: cold' },
    { trap_temp_c: '-41', lowest_pressure_pa: '7.99934210526', ballast: 'closed', remark: 'Level: ok' },
  ]);
});

test('a trap that is written without its minus is asked about, once for all', () => {
  const text =
    'Date|Pump|Hours|Trap\n9.3.2031|P-1|20|41\n10.3.2031|P-1|20|-43\n11.3.2031|P-1|20|+45 °C\n12.3.2031|P-1|20|5';
  expect(read(text)).toMatchObject({
    rows: [{ line: 3 }, { line: 5 }],
    questions: [{ about: 'trapSign', rows: 2, text: '41' }],
  });
  const traps = (trapsBelowZero: boolean) => read(text, { trapsBelowZero }).rows.map(({ cells }) => cells.trap_temp_c);
  expect(traps(true)).toEqual(['-41', '-43', '-45', '5']);
  expect(traps(false)).toEqual(['41', '-43', '45', '5']);
});

test('a run of today without its hour ended by now', () => {
  expect(rowsOf('Date|Pump|Hours\n20.4.2031|P-1|10')).toEqual(['2 run 2031-04-20T02:00 600 day']);
});

test('cycles say the length where the equipment has a cycle time, else it is asked once', () => {
  // The line takes 30 s a cycle, the chamber says nothing.
  const text = `Date|Pump|Cycles|Chamber
9.3.2031|P-1|2,000|Line
10.3.2031|P-1|1.950|Chamber
11.3.2031|P-1|1000|`;
  expect(read(text)).toMatchObject({
    rows: [{ line: 2, minutes: null, cells: { cycles: '2000', equipment: 'line' } }],
    questions: [{ about: 'cycleTime', rows: 2, equipmentId: 'chamber', name: 'Chamber' }],
  });
  // 1,950 x 12 s = 390 min, 1,000 x 12 s = 200 min.
  expect(read(text, { cycleSeconds: { chamber: 12 } }).rows.map(({ minutes }) => minutes)).toEqual([null, 390, 200]);
});

test('a name of the house is that person, another stays as it is written', () => {
  const people = { ...house, person: { 'ines-1': { name: 'Inês' } } };
  const rows = sheet('Date|Pump|Hours|Who\n9.3.2031|P-1|2|INES\n10.3.2031|P-1|2|Olu');
  const columns = guessColumns(rows, { known: knownNames(people), today: TODAY });
  const said = readNotebook({ sheet: rows, columns, answers: NO_ANSWERS, house: people, nowMs: NOW });
  expect(said.rows.map(({ who }) => who)).toEqual(['ines-1', 'Olu']);
});

test('a title may stand above the names of the columns, and empty lines anywhere', () => {
  expect(rowsOf('Pump book 2031||\n||\nDate|Pump|Hours\n||\n9.3.2031|P-1|2')).toEqual([
    '5 run 2031-03-09T06:00 120 day',
  ]);
});
