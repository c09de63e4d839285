import { START, at, entryAt, runAt, versionsOf } from '../testing/small-yard.js';
import type { Entry } from '../journal/index.js';
import { setUpBook, type SetUpVersion } from '../set-up/index.js';
import { houseSeen, mayTellOf, seesEntry, stoodInSight, type Sight } from './sight.js';

const version = (kind: SetUpVersion['kind'], subjectId: string, body: object, validFrom = START) =>
  ({
    id: `${kind}-${subjectId}-${validFrom}`,
    kind,
    subjectId,
    validFrom,
    recordedAt: validFrom,
    body,
  }) as SetUpVersion;
const yard = versionsOf();
const p1 = yard.find((v) => v.kind === 'pump' && v.subjectId === 'p1')?.body as object;
const jar = { name: 'Jar', vessel: 'jar', holdsMl: 500 };
// p1 stands at `site` up to hour 100, at `north` from then on, and at `site` again from hour 300.
const book = setUpBook([
  ...yard,
  version('site', 'north', { name: 'North', process: 'packaging', zone: 'Europe/Lisbon' }),
  version('equipment', 'n-line', { name: 'N line', siteId: 'north', process: 'packaging', referenceHours: 8 }),
  version('pump', 'p1', { ...p1, siteId: 'north', equipmentId: 'n-line' }, at(100)),
  version('pump', 'p1', p1, at(300)),
  // Of the records it stands at a line of the other site.
  version('pump', 'p2', { ...p1, equipmentId: 'n-line' }),
  version('container', 'c', { ...jar, siteId: 'site' }),
  version('container', 'n-jar', { ...jar, siteId: 'north' }),
  version('instrument', 'n-gauge', { name: 'Gauge', equipmentId: 'n-line' }),
  version('instrument', 'gauge', { name: 'Gauge', equipmentId: 'chamber' }),
]);
const OWN: Sight = ['site'];
const NORTH: Sight = ['north'];
const about = (hours: number, ...subjects: [type: 'pump' | 'equipment' | 'container' | 'case', id: string][]) => ({
  ...entryAt(hours, 'note', { text: 'x' }),
  subjects: subjects.map(([type, id]) => ({ type, id })),
});

// By hand: where its pumps stood then; without a pump, where the rest of it stood.
test.each([
  ['a run before the move', runAt(50, 2), true, false],
  ['a run while it is away', runAt(150, 2, 'any-empty', { equipmentId: 'n-line' }), false, true],
  ['a run after its return', runAt(350, 2), true, false],
  ['at the hour of the move', runAt(100, 2, 'any-empty', { equipmentId: 'n-line' }), false, true],
  // It ran on another's chamber: it is of the pump all the same.
  ['a run of a borrowed pump', runAt(150, 2, 'any-empty', { equipmentId: 'chamber' }), false, true],
  ['a swap between both', about(50, ['pump', 'd1'], ['pump', 'p1']), true, false],
  ['a swap of two that stand apart', about(150, ['pump', 'd1'], ['pump', 'p1']), true, true],
  ['a word on a chamber', about(50, ['equipment', 'chamber']), true, false],
  ['a pour from one site to the other', about(50, ['container', 'c'], ['container', 'n-jar']), true, true],
  ['a pour at the other site', about(50, ['container', 'n-jar']), false, true],
  ['a word on a case alone', about(50, ['case', 'case-a']), false, false],
  ['a pump that nobody knows', about(50, ['pump', 'constructor']), false, false],
] as const)('%s is seen at the one site: %#', (_, entry, own, north) => {
  expect([seesEntry(OWN, book, entry), seesEntry(NORTH, book, entry)]).toEqual([own, north]);
  expect(seesEntry(null, book, entry)).toBe(true);
  expect(seesEntry(['site', 'north'], book, entry)).toBe(own || north);
  expect(seesEntry([], book, entry)).toBe(false);
});

// Whoever writes must see all that it is about.
const poured = {
  ...entryAt(50, 'transfer', { fromId: 'c', toId: 'n-jar', oilMl: 5 }),
  subjects: [{ type: 'container', id: 'c' }],
} as Entry;
test.each([
  ['a run before the move', runAt(50, 2), true, false],
  ['a run of a borrowed pump', runAt(150, 2, 'any-empty', { equipmentId: 'chamber' }), false, false],
  ['a swap of two that stand apart', about(150, ['pump', 'd1'], ['pump', 'p1']), false, false],
  ['a pour from one site to the other', about(50, ['container', 'c'], ['container', 'n-jar']), false, false],
  // Its body names what its envelope does not.
  ['a pour that goes elsewhere', poured, false, false],
  [
    'a bleed into a jar that stands elsewhere',
    entryAt(50, 'bleed', { sump: 'oil', waterMl: 5, intoContainerId: 'n-jar' }),
    false,
    false,
  ],
  ['a pour at one site', about(50, ['container', 'c']), true, false],
  ['a word on a case alone', about(50, ['case', 'case-a']), false, false],
  ['a test of a pump with its case', about(50, ['pump', 'p1'], ['case', 'case-a']), true, false],
  // What a pump stands at by the records is its own.
  ['a run of one at a foreign line', runAt(50, 2, 'any-empty', { pumpId: 'p2', equipmentId: 'n-line' }), true, false],
] as const)('%s is written by whoever sees the one site, the other: %#', (_, entry, own, north) => {
  expect([mayTellOf(OWN, book, entry), mayTellOf(NORTH, book, entry)]).toEqual([own, north]);
  expect(mayTellOf(null, book, entry)).toBe(true);
  expect(mayTellOf(['site', 'north'], book, entry)).toBe(!entry.subjects.every((s) => s.type === 'case'));
});

test('the set-up is that of the sites, with what is the house’s', () => {
  const house = book.at(at(50));
  const own = houseSeen(OWN, house);
  const ids = (of: typeof own) =>
    (['site', 'pump', 'equipment', 'container', 'instrument'] as const).map((kind) => Object.keys(of[kind]).sort());
  // n-line is where p2 stands, and its gauge stands there.
  expect(ids(own)).toEqual([
    ['site'],
    ['b1', 'd1', 'p1', 'p2'],
    ['chamber', 'line', 'n-line'],
    ['c'],
    ['gauge', 'n-gauge'],
  ]);
  expect(ids(houseSeen(NORTH, house))).toEqual([['north'], [], ['n-line'], ['n-jar'], ['n-gauge']]);
  expect(ids(houseSeen(NORTH, book.at(at(150))))[1]).toEqual(['p1']);
  expect([own.pumpModel, own.material, own.oilProduct]).toEqual([house.pumpModel, house.material, house.oilProduct]);
  expect(houseSeen(null, house)).toBe(house);
  // Asked again it is the same one.
  expect(houseSeen(['site'], house)).toBe(own);
  expect(own.pump.constructor).toBeUndefined();
});

test.each([
  [OWN, 0, 99, true],
  [OWN, 0, 100, false],
  [NORTH, 100, 299, true],
  [NORTH, 100, 400, false],
  [OWN, 300, 400, true],
  [['site', 'north'], 0, 400, true],
  [null, 0, 400, true],
] as const)('with %j a pump stood in sight from hour %d to %d: %s', (sight, from, until, stood) => {
  expect(stoodInSight(sight, book, { pumpId: 'p1', from: at(from), until: at(until) })).toBe(stood);
});
