import { cautionsAt, CAUTIONS, type CautionId, type Deed } from '../cautions/index.js';
import { rebuild } from '../fold/index.js';
import type { Entry } from '../journal/index.js';
import { TASKS } from '../limits/index.js';
import { SERVICE_CLASSES, setUpBook } from '../set-up/index.js';
import { at, changeAt, lookAt, versionsOf, type YardOptions } from '../testing/small-yard.js';
import { CAUSES } from './all-causes.js';
import { CHECKS } from './all-checks.js';
import { LEAK_STEPS } from './leak-hunt.js';

function saidAt(pumpId: string, entries: Entry[], yard: YardOptions): CautionId[] {
  const versions = versionsOf(yard).map((v) =>
    v.kind === 'pump' ? { ...v, body: { ...v.body, serviceClasses: SERVICE_CLASSES } } : v,
  );
  const book = setUpBook(versions);
  const setUp = book.pumpAt({ pumpId, instant: at(500) })!;
  const state = rebuild({ pumpId, entries, book });
  const deeds: Deed[] = ['change', 'topUp', ...TASKS.map((t) => t.id)];
  return deeds.flatMap((deed) => cautionsAt(deed, state, setUp));
}

test('every caution is said somewhere: at a deed, with a cause, a test or a step of the leak hunt', () => {
  const growth = lookAt(9, { particles: 'few', particleKinds: ['growth'] });
  const said = new Set([
    ...saidAt('p1', [changeAt(1), growth], { base: 'pfpe', model: { hasOilFilter: true } }),
    ...saidAt('b1', [], {}),
    ...[...Object.values(CAUSES), ...Object.values(CHECKS), ...LEAK_STEPS].flatMap((k) => k.cautions),
  ]);
  // Warm is what is drained without solvent; the verdict says Stop, the suspects' page says suspect.
  for (const id of ['drainWarm', 'stop', 'suspect'] as const) said.add(id);
  expect(Object.keys(CAUTIONS).filter((id) => !said.has(id as CautionId))).toEqual([]);
});
