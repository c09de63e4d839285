import type { PumpPage } from '@winter-jar/contracts';
import { rebuild, standingAt, type Entry } from '@winter-jar/core';
import { at, bookOf, changeAt, runAt } from '@winter-jar/core/testing';
import { likeTheLast, whatIf } from './what-if.js';

const NOW = at(100);
function pageOf(entries: Entry[]): PumpPage {
  const book = bookOf();
  const setUp = book.pumpAt({ pumpId: 'p1', instant: NOW })!;
  const state = rebuild({ pumpId: 'p1', entries, book });
  return {
    row: { pumpId: 'p1' },
    setUp,
    state,
    standing: standingAt({ state, setUp, now: NOW }),
  } as unknown as PumpPage;
}
const run = runAt(10, 30, 'fd-paper-wet', { body: { trapTempC: -40 } });
const page = pageOf([changeAt(1), run]);
const like = likeTheLast(page);

test('it begins with a run like the last one', () => {
  expect(like).toEqual({ trapTempC: -40, ballast: 'closed', oilTempC: 70, hours: 30 });
});

test('water, weight and the count towards the change follow what is changed', () => {
  const same = whatIf(page, like, NOW)!;
  // The trade's own figure: 17 g at -40 °C, 6 m³/h and 30 h; 30 h of wet paper where 20 h are plain.
  expect(same.water.ok && same.water.leftG).toBeCloseTo(17.1, 1);
  expect(same.weight).toBeCloseTo(page.state.totals.weightMilli / 1000, 3);
  const warmer = whatIf(page, { ...like, trapTempC: -35 }, NOW)!;
  expect(warmer.water.ok && warmer.water.leftG).toBeCloseTo(29.7, 1);
  const open = whatIf(page, { ...like, ballast: 'open' }, NOW)!;
  expect(open.water.ok && open.water.leftG).toBeLessThan(1);
  expect(open.water.ok && open.water.takenInG).toBeGreaterThan(170);
  expect(whatIf(page, { ...like, hours: 10 }, NOW)!.weight).toBeLessThan(same.weight);
  const used = (answer: typeof same) =>
    answer.after?.tasks.find((t) => t.task === 'oilChange')?.limits.find((l) => l.measure === 'runs')?.used;
  expect(used(same)).toBe(2);
  // Nothing of it is written.
  expect(page.state.totals.runs).toBe(1);
});

test('without a run there is nothing to be like', () => {
  expect(whatIf(pageOf([changeAt(1)]), like, NOW)).toBeNull();
});
