import type { RoundRow } from '@winter-jar/contracts';
import { roundGroups, sentenceOfService, sentenceOfTheDay } from './round-order.js';

const row = (
  pumpId: string,
  verdict: RoundRow['verdict'],
  siteId: string,
  runsLeft: number | null,
  dueDays: number | null,
  overdue: readonly string[] = [],
): RoundRow =>
  ({
    pumpId,
    verdict,
    siteId,
    siteName: `Site ${siteId}`,
    siteNote: null,
    runsLeft,
    overdue,
    nextTask: dueDays === null ? null : { status: dueDays === 0 ? 'reached' : 'ok', forecast: { p50Days: dueDays } },
  }) as unknown as RoundRow;
const rows = [
  row('a', 'stop', '1', 0, 0),
  row('b', 'lookSooner', '2', 5, 3),
  row('c', 'runOn', '2', 9, 40),
  row('d', 'runOn', '1', 2, 5),
  row('e', 'runOn', '1', null, 0),
];
const names = (order: 'site' | 'runs' | 'day') =>
  roundGroups(rows, order).map((g) => [g.title, g.rows.map((r) => r.pumpId).join('')]);

test('what needs hands comes first in every order', () => {
  expect(names('site')).toEqual([
    ['Needs hands', 'a'],
    ['Wants a look', 'b'],
    ['Site 2', 'c'],
    ['Site 1', 'de'],
  ]);
  expect(names('runs')).toEqual([
    ['Needs hands', 'a'],
    ['Wants a look', 'b'],
    ['By runs left', 'dce'],
  ]);
  expect(names('day')).toEqual([
    ['Needs hands', 'a'],
    ['Wants a look', 'b'],
    ['Due now', 'e'],
    ['Within a week', 'd'],
    ['Later', 'c'],
  ]);
});

test('service that is overdue stands second, and is no verdict', () => {
  const groups = roundGroups([...rows, row('f', 'runOn', '1', 4, 0, ['exhaustFilter'])], 'site');
  expect(groups.map((g) => [g.title, g.rows.map((r) => r.pumpId).join('')])).toEqual([
    ['Needs hands', 'a'],
    ['Wants a look', 'b'],
    ['Service overdue', 'f'],
    ['Site 2', 'c'],
    ['Site 1', 'de'],
  ]);
});

test.each([
  [0, 3, ''],
  [1, 0, 'One has service overdue.'],
  [2, 3, 'Two more have service overdue.'],
])('%d overdue beside %d: “%s”', (overdue, needHands, sentence) => {
  expect(sentenceOfService(overdue, needHands)).toBe(sentence);
});

test.each([
  [0, 0, 'No pump needs hands today'],
  [0, 2, 'No pump must be stopped or changed today, two want a look'],
  [1, 0, 'One pump needs hands today'],
  [3, 1, 'Three pumps need hands today, one wants a look'],
  [40, 14, '40 pumps need hands today, 14 want a look'],
])('%d, and %d looks: %s', (count, looks, sentence) => {
  expect(sentenceOfTheDay(count, looks)).toBe(sentence);
});
