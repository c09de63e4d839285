import type { RoundAnswer, RoundRow } from '@winter-jar/contracts';
import { RoundPartsService } from './round-parts.js';

const row = (pumpId: string, runsLeft: number) => ({ pumpId, runsLeft }) as RoundRow;
const round = (...rows: RoundRow[]): RoundAnswer => ({
  ...{ at: '2031-03-09T14:05:00.000Z', pumps: rows.length, needHands: 0, overdue: 0, unsettled: 0 },
  rows,
});

test('who holds an answer is sent the rows that are otherwise, and the order of all', () => {
  const parts = new RoundPartsService();
  const first = parts.of(round(row('p', 4), row('q', 2), row('r', 1)), undefined);
  expect(first).toMatchObject({ over: null, order: ['p', 'q', 'r'], rows: { length: 3 } });
  const next = parts.of(round(row('q', 2), row('p', 3), row('s', 9)), first.tag);
  expect(next).toMatchObject({ over: first.tag, order: ['q', 'p', 's'], rows: [row('p', 3), row('s', 9)], pumps: 3 });
  expect(parts.of(round(row('q', 2), row('p', 3), row('s', 9)), next.tag)).toMatchObject({ rows: [], tag: next.tag });
});

test('a tag that nobody gave, or that is long past, is sent all', () => {
  const parts = new RoundPartsService();
  expect(parts.of(round(row('p', 4)), 'constructor')).toMatchObject({ over: null, rows: [row('p', 4)] });
  const { tag } = parts.of(round(row('p', 4)), undefined);
  for (let i = 0; i < 60; i++) parts.of(round(row('p', 100 + i)), undefined);
  expect(parts.of(round(row('p', 4)), tag)).toMatchObject({ over: null, rows: [row('p', 4)] });
});
