import { at, bookOf, changeAt, entryAt, runAt, type YardOptions } from '../testing/small-yard.js';
import type { Entry } from '../journal/index.js';
import { rebuild } from '../fold/index.js';
import { runRuler } from './run-ruler.js';
import { standingAt } from './standing.js';

function ruler(entries: Entry[], nowHours: number, options: YardOptions = {}) {
  const book = bookOf(options);
  const state = rebuild({ pumpId: 'p1', entries, book });
  const setUp = book.pumpAt({ pumpId: 'p1', instant: at(nowHours) });
  if (!setUp) throw new Error('the pump is missing');
  return runRuler({ state, standing: standingAt({ state, setUp, now: at(nowHours) }) });
}
const plain = (count: number, hours = 20) => Array.from({ length: count }, (_, i) => runAt(24 + i * 48, hours));

test('bars are as wide as their weight, the flag stands where the limit will be reached, dashes lead to it', () => {
  const r = ruler([changeAt(1), ...plain(2)], 100);
  expect(r.bars.map((b) => b.weight)).toEqual([1, 1]);
  expect(r.flag).toEqual({ atWeight: 5, measure: 'runs', limit: 5, reached: false });
  expect(r.expected).toHaveLength(3);
  expect(r.expected[0]?.inDays).toBeCloseTo(2, 6);
});

test('a limit that was passed stands inside the bars: 100 h in the middle of the third 40 h run', () => {
  const r = ruler([changeAt(1), ...plain(4, 40)], 24 * 12, {
    limits: { oilChange: { runs: null, weight: null, hours: 100 } },
  });
  expect(r.flag).toMatchObject({ reached: true, measure: 'hours' });
  expect(r.flag?.atWeight).toBeCloseTo(2 * 2 + 0.5 * 2, 6);
  expect(r.expected).toEqual([]);
});

test('long charges collapse all but the last twelve runs into one piece', () => {
  const r = ruler([changeAt(1), ...plain(90)], 24 * 190, {
    limits: { oilChange: { runs: null, weight: null, hours: 3000 } },
  });
  expect(r.bars).toHaveLength(12);
  expect(r.collapsed).toEqual({ runs: 78, weight: 78 });
  expect(r.usedWeight).toBe(90);
});

test('a bleed and a look mark the run before them', () => {
  const r = ruler(
    [changeAt(1), ...plain(1), entryAt(60, 'bleed', { sump: 'oil', drawnMl: 20, waterMl: 9 }), ...plain(2).slice(1)],
    130,
  );
  expect(r.bars.map((b) => [b.bled, b.looked])).toEqual([
    [true, false],
    [false, false],
  ]);
});
