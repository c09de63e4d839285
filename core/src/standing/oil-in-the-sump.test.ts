import { rebuild } from '../fold/index.js';
import type { Entry } from '../journal/index.js';
import { setUpBook, withOilIn, type SetUpVersion } from '../set-up/index.js';
import { QUIET } from '../testing/judged-pump.js';
import { at, changeAt, lookAt, runAt, versionsOf } from '../testing/small-yard.js';
import { standingAt } from './standing.js';

/** The set-up names oil A; oil B is to be changed every two runs, and from colour 2 on. */
const book = setUpBook(
  versionsOf(QUIET).map((v) => {
    if (v.subjectId !== 'oil-b' && v.subjectId !== 'p1') return v;
    const own =
      v.kind === 'pump'
        ? { limits: {} }
        : { limits: { oilChange: { runs: 2 } }, oilLimits: { 'colourRise.beforeNextRun': 1 } };
    return { ...v, body: { ...v.body, ...own } } as SetUpVersion;
  }),
);
const setUp = book.pumpAt({ pumpId: 'p1', instant: at(90) })!;
function reasonsAfter(...entries: Entry[]) {
  const state = rebuild({ pumpId: 'p1', entries, book });
  return standingAt({ state, setUp, now: at(90) }).reasons.map((r) => `${r.code} ${r.level}`);
}
const runs = [runAt(10, 10), runAt(30, 10)];

test('the limits of the oil that is in the sump count, not those of the oil that the set-up names', () => {
  expect(reasonsAfter(changeAt(1), ...runs)).not.toContain('changeDue beforeNextRun');
  expect(reasonsAfter(changeAt(1, 'oil-b'), ...runs)).toContain('changeDue beforeNextRun');
  expect(reasonsAfter(changeAt(1, 'oil-b'), ...runs, changeAt(50), runAt(60, 10))).not.toContain(
    'changeDue beforeNextRun',
  );
});

test('a look is judged by the oil that is in', () => {
  const dark = lookAt(60, { colour: 2 });
  expect(reasonsAfter(changeAt(1), ...runs, dark)).not.toContain('colour beforeNextRun');
  expect(reasonsAfter(changeAt(1, 'oil-b'), ...runs, dark)).toContain('colour beforeNextRun');
});

test('where nobody has said what is in it, the oil of the set-up counts', () => {
  expect(withOilIn(setUp, null)).toBe(setUp);
  expect(withOilIn(setUp, 'oil-a')).toBe(setUp);
  expect(withOilIn(setUp, 'oil-b')).toBe(withOilIn(setUp, 'oil-b'));
  expect(withOilIn(setUp, 'oil-b').product?.name).toBe('Oil B');
});
