import { readGaugeLog } from './read-gauge-log.js';
import type { LogSettings } from '../journal/index.js';

const TORR = 101_325 / 760;
/** Rows of a small log by what they hold: from them each dialect is written, and its points reckoned by hand. */
const rows = (count: number, row: (i: number) => string): string =>
  Array.from({ length: count }, (_, i) => row(i)).join('\n');
const two = (n: number) => String(n).padStart(2, '0');
const clock = (s: number) => `${two(Math.floor(s / 3600))}:${two(Math.floor(s / 60) % 60)}:${two(s % 60)}`;
const dec = (v: number, digits = 3) => v.toFixed(digits).replace('.', ',');
/** 1, 1.5, 2 … of whatever unit. */
const value = (i: number) => 1 + i / 2;

interface Dialect {
  readonly name: string;
  readonly text: string;
  readonly said?: LogSettings;
  /** Of the first reading, in Pa, and from each to the next, in s. */
  readonly firstPa: number;
  readonly secondPa: number;
  readonly stepS: number;
  readonly startedAt?: string | null;
  readonly doubts?: readonly string[];
}

const DIALECTS: readonly Dialect[] = [
  {
    name: 'comma, header, ISO with Z, hPa in the heading',
    text: `time,pressure_hPa\n${rows(9, (i) => `2031-03-09T07:30:${two(i * 2)}Z,${value(i)}`)}`,
    ...{ firstPa: 100, secondPa: 150, stepS: 2, startedAt: '2031-03-09T07:30:00.000Z', doubts: [] },
  },
  {
    name: 'an offset behind the clock, and a comma as the mark of its fractions',
    text: `stamp;p [mbar]\n${rows(9, (i) => `2031-03-09 07:30:00,${i}+02:00;${dec(value(i))}`)}`,
    ...{ firstPa: 100, secondPa: 150, stepS: 0.1, startedAt: '2031-03-09T05:30:00.000Z', doubts: ['decimal'] },
  },
  {
    name: 'semicolons, decimal comma, day and time in two columns, scientific',
    text: `Datum;Uhrzeit;Druck (mbar)\n${rows(9, (i) => `09.03.2031;${clock(27_000 + 3 * i)};${dec(value(i) * 10, 4)}E-01`)}`,
    said: { zone: 'Europe/Berlin' },
    ...{ firstPa: 100, secondPa: 150, stepS: 3, startedAt: '2031-03-09T06:30:00.000Z', doubts: [] },
  },
  {
    name: 'summer time of the zone',
    text: `Date;Time;mbar\n${rows(9, (i) => `09.07.2031;${clock(27_000 + i)};${value(i)}`)}`,
    said: { zone: 'Europe/Berlin' },
    ...{ firstPa: 100, secondPa: 150, stepS: 1, startedAt: '2031-07-09T05:30:00.000Z', doubts: [] },
  },
  {
    name: 'month first by a day that is none, and halves of the day',
    text: `Date,Time,Torr\n${rows(9, (i) => `3/19/2031,7:30:${two(i)} PM,${value(i)}`)}`,
    ...{ firstPa: TORR, secondPa: 1.5 * TORR, stepS: 1, startedAt: '2031-03-19T19:30:00.000Z', doubts: ['zone'] },
  },
  {
    name: 'halves of the day parted by blanks, month first since they are written so',
    text: rows(9, (i) => `3/9/2031 7:30:${two(i)} AM ${value(i)} mTorr`),
    ...{ firstPa: TORR / 1000, secondPa: (1.5 * TORR) / 1000, stepS: 1, startedAt: '2031-03-09T07:30:00.000Z' },
    doubts: ['dayOrder', 'zone'],
  },
  {
    name: 'day first where both could be, and it is asked',
    text: `Date,Time,hPa\n${rows(9, (i) => `04/03/2031,07:30:${two(i)},${value(i)}`)}`,
    ...{ firstPa: 100, secondPa: 150, stepS: 1, startedAt: '2031-03-04T07:30:00.000Z', doubts: ['dayOrder', 'zone'] },
  },
  {
    name: 'the same, where a person says that the month is first',
    text: `Date,Time,hPa\n${rows(9, (i) => `04/03/2031,07:30:${two(i)},${value(i)}`)}`,
    said: { dayOrder: 'monthFirst', zone: 'UTC' },
    ...{ firstPa: 100, secondPa: 150, stepS: 1, startedAt: '2031-04-03T07:30:00.000Z', doubts: [] },
  },
  {
    name: 'tabs, comments, elapsed minutes',
    text: `# gauge export\n# channel 1\nt_min\tTorr\n${rows(9, (i) => `${(i * 0.05).toFixed(4)}\t${value(i)}`)}`,
    ...{ firstPa: TORR, secondPa: 1.5 * TORR, stepS: 3, startedAt: null, doubts: ['start'] },
  },
  {
    name: 'blanks, no header at all, seconds taken for granted, unit by a person',
    text: rows(9, (i) => `  ${i * 5}   ${value(i)}`),
    said: { unit: 'Pa' },
    ...{ firstPa: 1, secondPa: 1.5, stepS: 5, startedAt: null, doubts: ['elapsedUnit', 'start'] },
  },
  {
    name: 'a heading in a comment, kPa, hours',
    text: `% Time (h), Pressure (kPa)\n${rows(9, (i) => `${i * 0.5},${value(i)}`)}`,
    ...{ firstPa: 1000, secondPa: 1500, stepS: 1800, startedAt: null, doubts: ['start'] },
  },
  {
    name: 'milliseconds and microns',
    text: `elapsed ms;microns\n${rows(9, (i) => `${i * 100};${value(i)}`)}`,
    ...{ firstPa: TORR / 1000, secondPa: (1.5 * TORR) / 1000, stepS: 0.1, startedAt: null, doubts: ['start'] },
  },
  {
    name: 'names and units in two lines',
    text: `Time;Chamber;Oil temp\ns;mbar;°C\n${rows(9, (i) => `${i};${dec(value(i))};61,5`)}`,
    ...{ firstPa: 100, secondPa: 150, stepS: 1, startedAt: null, doubts: ['start'] },
  },
  {
    name: 'several channels: the first pressure, and no temperature',
    text: `Time (s),Temp (°C),P1 (mbar),P2 (mbar)\n${rows(9, (i) => `${i},${20 + i},${value(i)},${value(i) * 2}`)}`,
    ...{ firstPa: 100, secondPa: 150, stepS: 1, startedAt: null, doubts: ['start'] },
  },
  {
    name: 'the second channel, where a person says so',
    text: `Time (s),Temp (°C),P1 (mbar),P2 (mbar)\n${rows(9, (i) => `${i},${20 + i},${value(i)},${value(i) * 2}`)}`,
    said: { pressureColumn: 3 },
    ...{ firstPa: 200, secondPa: 300, stepS: 1, startedAt: null, doubts: ['start'] },
  },
  {
    name: 'a number of the row before the time',
    text: `No.;Time [s];Vakuum [hPa]\n${rows(9, (i) => `${i + 1};${i * 2};${dec(value(i))}`)}`,
    ...{ firstPa: 100, secondPa: 150, stepS: 2, startedAt: null, doubts: ['decimal', 'start'] },
  },
  {
    name: 'quoted cells, thousands by comma',
    text: `"Time, s","Pressure, mbar"\n${rows(9, (i) => `"${i}","1,0${10 + i}.5"`)}`,
    ...{ firstPa: 101_050, secondPa: 101_150, stepS: 1, startedAt: null, doubts: ['start'] },
  },
  {
    name: 'a byte-order mark and line ends of two signs',
    text: `\uFEFFtime_s,bar\r\n${rows(9, (i) => `${i},${value(i) / 10}`).replaceAll('\n', '\r\n')}\r\n`,
    ...{ firstPa: 10_000, secondPa: 15_000, stepS: 1, startedAt: null, doubts: ['start'] },
  },
  {
    name: 'psi over ambient',
    text: `s,psig\n${rows(9, (i) => `${i},${(-10 - i / 2).toFixed(2)}`)}`,
    said: { ambientPa: 100_000 },
    ...{ firstPa: 100_000 - 10 * 6894.757293, secondPa: 100_000 - 10.5 * 6894.757293, stepS: 1, startedAt: null },
    doubts: ['start'],
  },
  {
    name: 'inches of mercury of vacuum, at an altitude: 1500 m are 84,556 Pa',
    text: `s,Vacuum inHg\n${rows(9, (i) => `${i},${20 + i / 2}`)}`,
    said: { altitudeM: 1500 },
    ...{ firstPa: 84_556 - 20 * 3386.389, secondPa: 84_556 - 20.5 * 3386.389, stepS: 1, startedAt: null },
    doubts: ['start'],
  },
  {
    name: 'inches of mercury without a word: below ambient, and it is asked',
    text: `s,inHg\n${rows(9, (i) => `${i},${20 + i / 2}`)}`,
    ...{ firstPa: 101_325 - 20 * 3386.389, secondPa: 101_325 - 20.5 * 3386.389, stepS: 1, startedAt: null },
    doubts: ['reference', 'start', 'ambient'],
  },
  {
    name: 'bar, all negative: over ambient, since less than nothing is none',
    text: `s;bar\n${rows(9, (i) => `${i};-0,9${i}`)}`,
    said: { ambientPa: 101_000 },
    ...{ firstPa: 11_000, secondPa: 10_000, stepS: 1, startedAt: null, doubts: ['start'] },
  },
  {
    name: 'minus bar, positive: what is missing',
    text: `s;Vakuum [-bar]\n${rows(9, (i) => `${i};0,9${i}`)}`,
    said: { ambientPa: 101_000 },
    ...{ firstPa: 11_000, secondPa: 10_000, stepS: 1, startedAt: null, doubts: ['start'] },
  },
  {
    name: 'percent of vacuum',
    text: `s,% vacuum\n${rows(9, (i) => `${i},${90 + i / 2}`)}`,
    said: { ambientPa: 100_000 },
    ...{ firstPa: 10_000, secondPa: 9500, stepS: 1, startedAt: null, doubts: ['start'] },
  },
  {
    name: 'kPa over ambient',
    text: `s,kPa(g)\n${rows(9, (i) => `${i},${-90 - i}`)}`,
    said: { ambientPa: 100_000 },
    ...{ firstPa: 10_000, secondPa: 9000, stepS: 1, startedAt: null, doubts: ['start'] },
  },
  {
    name: 'no unit, but the air around is in it: 1013 are hPa',
    text: `s,value\n${rows(9, (i) => `${i},${1013 - i * 100}`)}`,
    ...{ firstPa: 101_300, secondPa: 91_300, stepS: 1, startedAt: null, doubts: ['start', 'unitByAmbient'] },
  },
  {
    name: 'seconds since 1970',
    text: `timestamp,mbar\n${rows(9, (i) => `${1_930_000_000 + i},${value(i)}`)}`,
    ...{ firstPa: 100, secondPa: 150, stepS: 1, startedAt: '2031-02-27T23:06:40.000Z', doubts: [] },
  },
  {
    name: 'days of a spreadsheet: 47916.3125 is 9 March 2031, 07:30',
    text: `Zeit;mbar\n${rows(9, (i) => `${dec(47_916.3125 + i / 86_400, 8)};${dec(value(i))}`)}`,
    said: { zone: 'UTC' },
    ...{ firstPa: 100, secondPa: 150, stepS: 1, startedAt: '2031-03-09T07:30:00.000Z', doubts: [] },
  },
  {
    name: 'a clock alone that passes midnight',
    text: `Time;mbar\n${rows(9, (i) => `${clock((86_396 + i) % 86_400)};${value(i)}`)}`,
    ...{ firstPa: 100, secondPa: 150, stepS: 1, startedAt: null, doubts: ['start'] },
  },
  {
    name: 'minutes and seconds that went by',
    text: `Elapsed (mm:ss),mbar\n${rows(9, (i) => `${two(Math.floor(i / 2))}:${two((i % 2) * 30)},${value(i)}`)}`,
    ...{ firstPa: 100, secondPa: 150, stepS: 30, startedAt: null, doubts: ['start'] },
  },
  {
    name: 'no time at all, four seconds apart as a person says',
    text: `mbar\n${rows(9, (i) => String(value(i)))}`,
    said: { stepS: 4 },
    ...{ firstPa: 100, secondPa: 150, stepS: 4, startedAt: null, doubts: ['start'] },
  },
  {
    name: 'unit in a cell of its own',
    text: `Time,Pressure,Unit\n${rows(9, (i) => `${i},${value(i)},Torr`)}`,
    ...{ firstPa: TORR, secondPa: 1.5 * TORR, stepS: 1, startedAt: null, doubts: ['elapsedUnit', 'start'] },
  },
  {
    name: 'unit in a comment far above',
    text: `# site 4\n# unit: mbar\n# ---\ns,value\n${rows(9, (i) => `${i},${value(i)}`)}`,
    ...{ firstPa: 100, secondPa: 150, stepS: 1, startedAt: null, doubts: ['start'] },
  },
];

test.each(DIALECTS)('$name', ({ text, said = {}, firstPa, secondPa, stepS, startedAt = null, doubts = [] }) => {
  const log = readGaugeLog({ text, ...said });
  if (!log.ok) throw new Error(`${log.issue.code} ${JSON.stringify(log.layout)}`);
  expect(log.points).toHaveLength(9);
  const [first, second] = log.points;
  expect(first?.s).toBe(0);
  expect(second?.s).toBeCloseTo(stepS, 3);
  expect((first?.pa ?? 0) / firstPa).toBeCloseTo(1, 5);
  expect((second?.pa ?? 0) / secondPa).toBeCloseTo(1, 5);
  expect(log.startedAt).toBe(startedAt);
  expect([...log.understood.doubts].sort()).toEqual([...doubts].sort());
});

const BODY = (cells: readonly string[]) => `s,mbar\n${cells.map((c, i) => `${i},${c}`).join('\n')}`;

test('error words, gaps and what cannot be are left out, each counted with its line', () => {
  const text = BODY(['1', 'OR', '1.1', '', 'UNDER', '1.2', '-0.1', '9.9E+09', 'sensor off', '1.3', '1.4']);
  const log = readGaugeLog({ text });
  if (!log.ok) throw new Error(log.issue.code);
  expect(log.points.map((p) => [p.s, Math.round(p.pa)])).toEqual([
    [0, 100],
    [2, 110],
    [5, 120],
    [9, 130],
    [10, 140],
  ]);
  expect(log.understood.leftOut).toEqual({ over: 1, blank: 1, under: 1, belowZero: 1, tooHigh: 1, word: 1 });
  expect(log.understood.leftOutRows[0]).toEqual({ line: 3, text: '1,OR', why: 'over' });
});

test('one stamp out of order is left out; a clock that was set back goes on', () => {
  const at = (...s: number[]) => readGaugeLog({ text: `s,mbar\n${s.map((t, i) => `${t},${1 + i / 10}`).join('\n')}` });
  const once = at(100, 101, 50, 102, 103, 104);
  const back = at(4000, 4001, 4002, 402, 403, 404);
  if (!once.ok || !back.ok) throw new Error('not read');
  expect(once.points.map((p) => p.s)).toEqual([0, 1, 2, 3, 4]);
  expect(once.understood).toMatchObject({ backward: 1, setBack: 0 });
  expect(back.points.map((p) => p.s)).toEqual([0, 1, 2, 3, 4, 5]);
  expect(back.understood).toMatchObject({ backward: 0, setBack: 1 });
});

test('rows written twice are one; rows under one coarse stamp lie evenly after it', () => {
  const twice = readGaugeLog({ text: 's,mbar\n0,1\n0,1\n1,2\n1,2\n2,3\n2,3' });
  const coarse = readGaugeLog({ text: 's,mbar\n0,1\n0,2\n1,3\n1,4\n2,5\n2,6' });
  if (!twice.ok || !coarse.ok) throw new Error('not read');
  expect(twice.points).toHaveLength(3);
  expect(twice.understood.repeated).toBe(3);
  expect(coarse.points.map((p) => p.s)).toEqual([0, 0.5, 1, 1.5, 2, 2.5]);
});

test('a gap is told with its ends', () => {
  const log = readGaugeLog({ text: `s,mbar\n${[0, 1, 2, 3, 60, 61, 62].map((s) => `${s},1.${s}`).join('\n')}` });
  expect(log.ok && log.understood.gaps).toEqual([{ fromS: 3, toS: 60 }]);
});

test.each([
  ['nothing', '', {}, 'empty'],
  ['words alone', 'hello\nthere', {}, 'noReadings'],
  ['no unit and nothing to tell it by', 's,x\n0,1\n1,2\n2,3', {}, 'unitUnknown'],
  ['no time', 'mbar\n3\n2\n1', {}, 'timeUnknown'],
  ['one reading', 's,mbar\n0,1', {}, 'tooFew'],
  ['a picture', '\u0089PNG\u0000\u0001\u0002', {}, 'noText'],
  ['a line without an end', 'x'.repeat(30_000), {}, 'lineTooLong'],
] as const)('%s: %s', (_, text, said, code) => {
  expect(readGaugeLog({ text, ...said })).toMatchObject({ ok: false, issue: { code } });
});

test('cut into pieces anywhere, it reads the same', async () => {
  const { gaugeLogReader } = await import('./log-reader.js');
  const [{ text }] = DIALECTS as [Dialect];
  const whole = readGaugeLog({ text: text.replaceAll('\n', '\r\n') });
  for (const size of [1, 2, 3, 7, 50]) {
    const reader = gaugeLogReader();
    const windows = text.replaceAll('\n', '\r\n');
    for (let at = 0; at < windows.length; at += size) reader.push(windows.slice(at, at + size));
    const read = reader.end();
    if (!read.ok || !whole.ok) throw new Error('not read');
    expect(Array.from(read.pa)).toEqual(whole.points.map((p) => p.pa));
    expect(read.understood).toEqual({ ...whole.understood, name: undefined });
  }
});
