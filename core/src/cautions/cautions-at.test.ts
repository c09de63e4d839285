import { rebuild } from '../fold/index.js';
import type { Entry } from '../journal/index.js';
import { TASKS } from '../limits/index.js';
import { setUpBook, type ServiceClass, type SetUpVersion } from '../set-up/index.js';
import { at, changeAt, lookAt, runAt, versionsOf, type YardOptions } from '../testing/small-yard.js';
import { cautionsAt, dangersOf, type Deed } from './cautions-at.js';
import type { CautionId } from './cautions.js';

interface Place extends YardOptions {
  readonly service?: readonly ServiceClass[];
  readonly pumpId?: string;
  readonly entries?: readonly Entry[];
}

function pumpAt({ service = [], pumpId = 'p1', entries = [], ...yard }: Place) {
  const versions = versionsOf(yard).map((v) =>
    v.subjectId === pumpId ? ({ ...v, body: { ...v.body, serviceClasses: service } } as SetUpVersion) : v,
  );
  const book = setUpBook(versions);
  const state = rebuild({ pumpId, entries: [...entries], book });
  return { state, setUp: book.pumpAt({ pumpId, instant: at(500) })! };
}

function cautionsOf(deed: Deed, place: Place = {}): CautionId[] {
  const { state, setUp } = pumpAt(place);
  return cautionsAt(deed, state, setUp);
}
/** Styrene, of rating 3. */
const SOLVENT = [changeAt(1), runAt(10, 10, 'co-polyester')];

test.each<[string, Deed, Place, readonly CautionId[], readonly CautionId[]]>([
  [
    'a plain change',
    'change',
    {},
    ['standing', 'drainWarm', 'waste', 'rags'],
    ['drainCold', 'oxygen', 'food', 'hotFilter'],
  ],
  ['a change in oxygen service', 'change', { service: ['oxygen'] }, ['oxygen', 'standing'], []],
  ['a change with solvent in the oil', 'change', { entries: SOLVENT }, ['drainCold'], ['drainWarm']],
  ['a change of PFPE', 'change', { base: 'pfpe' }, ['pfpeHeat'], []],
  ['a change with an oil filter', 'change', { model: { hasOilFilter: true } }, ['hotFilter'], []],
  ['a top-up', 'topUp', {}, ['standing'], ['drainWarm']],
  ['a top-up in a food area', 'topUp', { service: ['food'] }, ['standing', 'food'], []],
  ['a purge', 'purge', {}, ['exhaust', 'exhaustOpen'], ['noAir', 'nitrogen']],
  ['a purge with solvent in the oil', 'purge', { entries: SOLVENT }, ['noAir', 'nitrogen', 'exhaust'], []],
  ['a purge where flammable gas is pumped', 'purge', { service: ['flammable'] }, ['noAir', 'nitrogen'], []],
  ['a look in biological work', 'look', { service: ['biological'] }, ['biological'], ['residues']],
  [
    'a look at growth',
    'look',
    { entries: [changeAt(1), lookAt(9, { particles: 'few', particleKinds: ['growth'] })] },
    ['growth'],
    [],
  ],
  ['a sample in toxic work', 'labSample', { service: ['toxic'] }, ['residues', 'hotOil'], []],
  ['a wash after strong acid', 'housingClean', { service: ['corrosive'] }, ['corrosive', 'lockOut', 'vent'], []],
  ['a vane check', 'vaneCheck', {}, ['lockOut', 'capacitor', 'heavy'], []],
  ['gear oil of a booster', 'boosterOil', { pumpId: 'b1' }, ['standing', 'boosterVent'], []],
])('%s', (_, deed, place, wanted, never) => {
  const said = cautionsOf(deed, place);
  expect(said).toEqual(expect.arrayContaining([...wanted]));
  expect(said.filter((c) => never.includes(c))).toEqual([]);
});

test('what kills comes first', () => {
  expect(cautionsOf('change', { service: ['oxygen', 'food'] })[0]).toBe('oxygen');
});

test('no work at a pump is without a caution, and none is said twice', () => {
  const work = TASKS.filter((t) => t.id !== 'look' && t.id !== 'oilChange');
  for (const { id } of work) {
    const said = cautionsOf(id, { service: ['oxygen', 'flammable', 'toxic', 'biological', 'corrosive', 'food'] });
    expect([id, said.length > 0, said.length]).toEqual([id, true, new Set(said).size]);
  }
});

test.each<[string, Place, readonly CautionId[]]>([
  ['a plain pump', {}, []],
  ['solvent in the oil', { entries: SOLVENT }, ['noAir']],
  ['PFPE in oxygen service', { base: 'pfpe', service: ['oxygen'] }, ['oxygen', 'pfpeHeat']],
  ['cultures in a food area', { service: ['food', 'biological'] }, ['biological', 'food']],
  ['a booster behind acid', { pumpId: 'b1', service: ['corrosive'] }, ['corrosive', 'boosterVent']],
])('a label says of %s what is dangerous about it', (_, place, said) => {
  const { state, setUp } = pumpAt(place);
  expect(dangersOf(state, setUp)).toEqual(said);
});
