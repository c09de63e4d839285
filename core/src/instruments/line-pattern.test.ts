import { matchLine, readPattern } from './line-pattern.js';

const found = (pattern: string, line: string) => {
  const read = readPattern(pattern);
  if (!read.ok) throw new Error(read.issue.code);
  const match = matchLine(read.pattern, line);
  return match && [match.value, match.unit, match.time];
};

test.each<[pattern: string, line: string, found: (string | null)[] | null]>([
  ['P1 {value} {unit}', 'P1 1.234E-02 mbar', ['1.234E-02', 'mbar', null]],
  ['P1 {value} {unit}', '  P1   7,5   Pa ', ['7,5', 'Pa', null]],
  ['P1 {value} {unit}', 'P2 1.234E-02 mbar', null],
  ['P1 {value} {unit}', 'P1 OVER mbar', ['OVER', 'mbar', null]],
  ['{value}', '-0.998', ['-0.998', null, null]],
  ['{value}', '.5', ['.5', null, null]],
  ['{value}{unit}', '3.2Torr', ['3.2', 'Torr', null]],
  ['{time};{value};{unit}', '2031-03-09T14:05:00Z;12;Pa', ['12', 'Pa', '2031-03-09T14:05:00Z']],
  ['{time} P={value}', '2031-03-09 14:05:00 P=12', ['12', null, '2031-03-09 14:05:00']],
  ['{*} p={value}', 'status ok, ch 3, p=0.31', ['0.31', null, null]],
  ['CH1 {*}{value} {unit}', 'CH1 gauge on 4.4E+0 Pa', ['4.4E+0', 'Pa', null]],
  ['P1 {value}', 'P1', null],
  ['RUN {value}', 'RUN on', ['on', null, null]],
  ['P1={value},', 'P1=1.0E-3,2', ['1.0E-3', null, null]],
])('%s reads %s', (pattern, line, expected) => expect(found(pattern, line)).toEqual(expected));

test.each([
  ['P1 {pressure}', 'unknownPlace', '{pressure}'],
  ['P1 {unit}', 'noValue', 'P1 {unit}'],
  ['{value} {value}', 'twoValues', '{value}'],
  ['{*}{*}{value}', 'twoInOne', '{*}'],
  ['', 'noValue', ''],
  ['P1 {value', 'unknownPlace', '{'],
])('“%s” is refused: %s', (pattern, code, part) =>
  expect(readPattern(pattern)).toEqual({ ok: false, issue: { code, found: part } }),
);

test('no line can make it try for long', () => {
  const read = readPattern('{*} a {*} b {*} c {*} d {value} e');
  if (!read.ok) throw new Error('not read');
  for (const line of ['a '.repeat(50_000), ' b a '.repeat(20_000), '1'.repeat(100_000)])
    expect(matchLine(read.pattern, line)).toBeNull();
});
