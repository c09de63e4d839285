import {
  dayFromNow,
  dayWords,
  fromLocalField,
  momentWords,
  shortDayWords,
  toLocalField,
  wholeDayWords,
} from './dates.js';

const zone = 'Europe/Lisbon';
const now = '2031-07-09T22:30:00.000Z'; // 23:30 in Lisbon

test.each([
  ['2031-07-09T01:00:00.000Z', 'today'],
  ['2031-07-08T23:30:00.000Z', 'today'], // after midnight in Lisbon
  ['2031-07-08T22:30:00.000Z', 'yesterday'],
  ['2031-07-06T12:00:00.000Z', 'Sun 6 Jul'],
  ['2030-12-31T12:00:00.000Z', '31 Dec 2030'],
])('%s is %s', (at, words) => {
  expect(dayWords(at, zone, now)).toBe(words);
});

test('a moment has its time of the site', () => {
  expect(momentWords('2031-07-06T12:05:00.000Z', zone, now)).toBe('Sun 6 Jul 13:05');
});

test('days from now follow the site’s calendar', () => {
  expect(dayFromNow(now, 0, zone)).toBe('today');
  expect(dayFromNow(now, 9.6, zone)).toBe('Sat 19 Jul');
  expect(dayFromNow(now, -3, zone)).toBe('today');
});

test('a field of local time and back', () => {
  for (const at of ['2031-01-15T08:00:00.000Z', '2031-07-15T08:00:00.000Z'])
    expect(fromLocalField(toLocalField(at, zone), zone)).toBe(at);
  expect(toLocalField('2031-07-15T08:00:00.000Z', zone)).toBe('2031-07-15T09:00');
  for (const text of ['', '2031-07', 'soon']) expect(fromLocalField(text, zone)).toBeNull();
});

test('a day in a list, and a whole day', () => {
  expect(shortDayWords('2031-09-06T23:30:00.000Z', zone)).toBe('7 Sep');
  expect(wholeDayWords('2031-03-09')).toBe('9 March 2031');
});
