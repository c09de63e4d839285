import { typedDayWords } from './typed-day.js';

test.each([
  ['2031-03-09', 'Sun 9 March 2031'],
  ['2031-03-09T14:05', 'Sun 9 March 2031, 14:05'],
  ['2026-11-30', 'Mon 30 November 2026'],
  ['2031-02-30', null],
  ['', null],
  ['9.3.2031', null],
])('what the field holds as %j is said as %j', (value, words) => {
  expect(typedDayWords(value)).toBe(words);
});
