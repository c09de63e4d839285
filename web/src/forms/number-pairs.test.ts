import { readNumberPairs } from './number-pairs.js';

test.each([
  [
    '0 0\n40 90',
    [
      [0, 0],
      [40, 90],
    ],
  ],
  [
    'minutes;temperature\n0;-41,5\n60;−38',
    [
      [0, -41.5],
      [60, -38],
    ],
  ],
  [
    '0,-41.5\r\n60,-38\r\n',
    [
      [0, -41.5],
      [60, -38],
    ],
  ],
  ['55: 250', [[55, 250]]],
  ['', []],
])('%j is read', (text, pairs) => {
  expect(readNumberPairs(text)).toEqual({ ok: true, pairs });
});

test.each([
  ['0 0\nbrim', 2, 'brim'],
  ['1 2 3', 1, '1 2 3'],
  ['0 0\n\n5', 3, '5'],
  ['0 0\n4 -', 2, '4 -'],
])('%j is wrong in line %d', (text, line, part) => {
  expect(readNumberPairs(text)).toEqual({ ok: false, line, text: part });
});
