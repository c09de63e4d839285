import {
  QUESTION_CODES,
  type ContainerAnswer,
  type EntriesAnswer,
  type StoreAnswer,
  type StoreCostAnswer,
  type TraceAnswer,
  type WasteAnswer,
} from '@winter-jar/contracts';
import type { Container, Entry, EntryBodies, HouseRules, JournalEntry, SetUpVersion } from '@winter-jar/core';
import { at, changeAt, correctionAt, entryAt, runAt } from '@winter-jar/core/testing';
import { serveHouse, type ServedHouse } from '../testing/served-house.js';
import { nowMs, rebuiltStates } from '../testing/test-house.js';

const container = (subjectId: string, body: Partial<Container>) => ({
  ...{ kind: 'container', subjectId },
  body: { name: subjectId, vessel: 'can', holdsMl: 20_000, siteId: 'site', ...body },
});
const RULES: HouseRules = { limits: {}, reuseSchool: 'reuse', hourPrice: 60, wastePricePerL: 2 };

let served: ServedHouse;
let made = 0;
beforeEach(async () => {
  served = await serveHouse();
  const records = [
    container('can', {}),
    container('jar', { vessel: 'jar', holdsMl: 1000, tempC: 20 }),
    container('bottle', { vessel: 'bottle', holdsMl: 2000 }),
    container('drum', { vessel: 'drum', holdsMl: 60_000, wasteKind: 'oil' }),
    { kind: 'houseRules', subjectId: 'house', body: RULES },
  ];
  const versions = records.map((record) => {
    made += 1;
    const id = `80000000-0000-4000-8000-${String(made).padStart(12, '0')}`;
    return { id, ...record, validFrom: at(0), recordedAt: at(0) } as SetUpVersion;
  });
  expect((await served.post('/api/set-up', { versions })).status).toBe(201);
});
afterEach(() => served.close());

const ofStore = <K extends 'transfer' | 'stocktake' | 'opened' | 'mediaChange'>(
  hours: number,
  kind: K,
  id: string,
  body: EntryBodies[K],
) => ({ ...entryAt(hours, kind, body), subjects: [{ type: 'container', id }] }) as Entry;
const buy = (hours: number, id = 'can', oilMl = 10_000) =>
  ofStore(hours, 'transfer', id, { toId: id, outside: 'bought', productId: 'oil-a', oilMl });
const drawn = (hours: number, body: Partial<EntryBodies['change']> = {}) =>
  entryAt(hours, 'change', {
    ...{ sump: 'oil', productId: 'oil-a', outMl: 640, inMl: 700, levelAfter: 'right' },
    ...{ fromContainerId: 'can', intoContainerId: 'jar' },
    ...body,
  });

const shelf = async () => (await served.get('/api/store')).body as StoreAnswer;
const one = async (id: string) => {
  const found = (await shelf()).containers.find((c) => c.id === id);
  if (!found) throw new Error(`no container ${id}`);
  return found;
};
const send = async (...entries: Entry[]) =>
  ((await served.post('/api/entries', { entries })).body as EntriesAnswer).answers;

/** Whatever is asked is said yes to. */
async function write(...entries: readonly JournalEntry[]): Promise<void> {
  const told = entries.map((e) => ({ ...e, acknowledged: QUESTION_CODES }));
  const { answers } = (await served.post('/api/entries', { entries: told })).body as EntriesAnswer;
  expect(answers).toMatchObject(entries.map(() => ({ status: 'written' })));
}

test('an empty shelf says so, and a container that is not there is none', async () => {
  const { containers, stock, reuses, sumps } = await shelf();
  expect(containers.map((c) => [c.id, c.shelf.group])).toEqual([
    ['can', 'empty'],
    ['jar', 'empty'],
    ['bottle', 'empty'],
    ['drum', 'waste'],
  ]);
  expect([stock, reuses, sumps]).toEqual([[], true, []]);
  expect((await served.get('/api/store/containers/gone')).status).toBe(404);
  expect((await served.get('/api/store/containers/gone/trace')).status).toBe(404);
  expect((await served.get('/api/store/cost?days=0')).status).toBe(400);
});

test('bought, filled and drained: the shelf, the stock and the pump agree', async () => {
  await write(buy(1), drawn(2));
  const { stock, sumps } = await shelf();
  expect(stock).toEqual([
    { productId: 'oil-a', newMl: 9300, readyMl: 0, waitingMl: 640, refusedMl: 0, inFiltersMl: 0 },
  ]);
  expect(sumps).toMatchObject([{ pumpId: 'p1', sump: 'oil', oilMl: 700, worstRounds: 0, namedMl: 700 }]);
  const { container: jar, journal } = (await served.get('/api/store/containers/jar')).body as ContainerAnswer;
  expect(jar.shelf).toMatchObject({ heldMl: 640, blend: { worstRounds: 1 } });
  expect(journal.lines.map(({ entry }) => entry.kind)).toEqual(['change']);
});

test('what a filter that has run through still holds is locked up in it', async () => {
  await write(
    buy(1, 'can', 2000),
    ofStore(2, 'mediaChange', 'bottle', { mediaId: 'paper-gravity', holdUpMl: 180 }),
    ofStore(3, 'transfer', 'can', { fromId: 'can', toId: 'bottle', oilMl: 500 }),
    ofStore(40, 'transfer', 'bottle', { fromId: 'bottle', toId: 'can', oilMl: 320, throughHours: 30 }),
  );
  expect((await shelf()).stock).toMatchObject([{ productId: 'oil-a', newMl: 1820, inFiltersMl: 180 }]);
  expect((await one('bottle')).state.media?.timed).toMatchObject([{ pouredUL: 500_000, hours: 30 }]);
});

test('what ran in the pump stays with its oil: solvent bars it, and it says what', async () => {
  await write(changeAt(1), runAt(10, 20, 'co-infusion'), drawn(40, { fromContainerId: null }));
  const { facts, shelf: jar } = await one('jar');
  expect(facts.materials.map((m) => m.materialId)).toEqual(['co-infusion']);
  expect(jar.group).toBe('refused');
  expect(jar.reuse?.refusals).toContainEqual({ code: 'material', materialId: 'co-infusion', stays: 'solvent' });
});

test('a report on a sample of that charge speaks for the jar, however late it comes', async () => {
  const sample = entryAt(5, 'labSample', { sump: 'oil', drawnMl: 100 });
  await write(changeAt(1), sample, drawn(40, { fromContainerId: null }));
  expect((await one('jar')).facts.lab).toBeNull();
  await write(entryAt(300, 'labResult', { sampleId: sample.id, acidMgKohG: 1.4 }));
  expect((await one('jar')).shelf.reuse?.refusals).toContainEqual(
    expect.objectContaining({ code: 'lab', figure: 'acidMgKohG', value: 1.4 }),
  );
});

test.each([
  [
    'more than is there',
    () => ofStore(3, 'transfer', 'can', { fromId: 'can', toId: 'bottle', oilMl: 1500 }),
    { code: 'moreThanThere', containerId: 'can', bookMl: 1000, missingMl: 500 },
  ],
  [
    'more than it holds',
    () => ofStore(3, 'transfer', 'jar', { toId: 'jar', outside: 'bought', productId: 'oil-a', oilMl: 1200 }),
    { code: 'overfull', containerId: 'jar', ml: 1200, holdsMl: 1000 },
  ],
  [
    'two products',
    () => ofStore(3, 'transfer', 'can', { toId: 'can', outside: 'bought', productId: 'oil-b', oilMl: 900 }),
    { code: 'mixesProducts', containerId: 'can', productIds: ['oil-a', 'oil-b'] },
  ],
] as const)('%s is asked before it is written, and may be said yes to', async (_name, entry, question) => {
  await write(buy(1, 'can', 1000));
  const sent = entry();
  expect(await send(sent)).toMatchObject([{ status: 'asked', questions: [question] }]);
  expect((await one('can')).shelf.heldMl).toBe(1000);
  expect(await send({ ...sent, acknowledged: [question.code] })).toMatchObject([{ status: 'written' }]);
});

test('used oil that is not read, and any for a pump of food, is asked about when it is filled', async () => {
  await write(buy(1), drawn(2));
  const filled = drawn(50, { fromContainerId: 'jar', intoContainerId: null, inMl: 600 });
  expect(await send(filled)).toMatchObject([
    { status: 'asked', questions: [{ code: 'usedOil', containerId: 'jar', why: 'refused' }] },
  ]);
  await write(ofStore(49, 'stocktake', 'jar', { oilMl: 640, clarity: 'bright' }));
  expect(await send(filled)).toMatchObject([{ status: 'written' }]);
  const { sumps } = await shelf();
  expect(sumps[0]).toMatchObject({ worstRounds: 1, oilMl: 660 });
});

test('a can that holds another oil than is said is asked about, for a fill and for a flush', async () => {
  await write(
    buy(1),
    ofStore(1, 'transfer', 'bottle', { toId: 'bottle', outside: 'bought', productId: 'oil-b', oilMl: 900 }),
  );
  const other = { code: 'otherOil', containerId: 'bottle', productIds: ['oil-b'], unfit: null };
  const filled = drawn(2, { fromContainerId: 'bottle', intoContainerId: null, inMl: 500 });
  expect(await send(filled)).toMatchObject([{ status: 'asked', questions: [other] }]);
  const flushed = [{ inMl: 300, fromContainerId: 'bottle', intoContainerId: 'drum' }];
  expect(await send(drawn(3, { flushed }))).toMatchObject([{ status: 'asked', questions: [other] }]);
  // What is said is what is in the can, or the can is the right one.
  expect(
    await send(drawn(4, { fromContainerId: 'bottle', intoContainerId: null, productId: 'oil-b', inMl: 300 })),
  ).toMatchObject([{ status: 'written' }]);
  expect(await send({ ...filled, acknowledged: ['otherOil'] })).toMatchObject([{ status: 'written' }]);
});

test('a flush: each fill leaves its can, what came out fills its drum, and used oil is asked about there too', async () => {
  await write(buy(1), drawn(2), ofStore(49, 'stocktake', 'jar', { oilMl: 640, clarity: 'hazy' }));
  const flushed = [
    { inMl: 650, fromContainerId: 'can', outMl: 640, intoContainerId: 'drum' },
    { inMl: 600, fromContainerId: 'jar', intoContainerId: 'drum' },
  ];
  const flush = drawn(50, { intoContainerId: 'drum', flushed });
  expect(await send(flush)).toMatchObject([
    { status: 'asked', questions: [{ code: 'usedOil', containerId: 'jar', why: 'refused' }] },
  ]);
  await write(flush);
  // 10,000 less three fills of 700, 650 and 700; the drum: 640 of the charge, 640 and 600 of the fills.
  expect((await one('can')).shelf.heldMl).toBe(7950);
  expect((await one('drum')).shelf.heldMl).toBe(1880);
  expect((await one('jar')).shelf.heldMl).toBe(40);
  const [none] = await send(drawn(60, { flushed: [{ inMl: 0 }] }));
  expect(none).toMatchObject({ status: 'refused', issues: [{ field: 'body.flushed.0.inMl' }] });
});

test('clear oil that resin ran in is still asked about when it is filled', async () => {
  await write(changeAt(1), runAt(10, 20, 'co-infusion'), drawn(40, { fromContainerId: null }));
  await write(ofStore(90, 'stocktake', 'jar', { oilMl: 640, clarity: 'bright' }));
  expect(await send(drawn(100, { fromContainerId: 'jar', intoContainerId: null, inMl: 600 }))).toMatchObject([
    { status: 'asked', questions: [{ code: 'usedOil', containerId: 'jar', why: 'refused' }] },
  ]);
});

/** Nothing of these is written: one house does for all. */
const REFUSED: readonly (readonly [what: string, wrong: object, field: string])[] = [
  ['a container that is not there', { toId: 'gone' }, 'body'],
  ['an oil that is not there', { productId: 'gone' }, 'body.productId'],
  ['no end at all', { toId: null }, 'body.fromId'],
  ['into itself', { fromId: 'can', outside: null }, 'body.toId'],
  ['bought out of a container', { fromId: 'can', toId: null }, 'body.outside'],
  ['nothing moved', { oilMl: 0 }, 'body.oilMl'],
  ['no oil said', { productId: null }, 'body.productId'],
  ['less than nothing', { oilMl: -5 }, 'body.oilMl'],
  ['more than a tanker', { oilMl: 1e12 }, 'body.oilMl'],
  ['hotter than oil is', { tempC: 900 }, 'body.tempC'],
];
test('a movement that cannot be is refused at its field', async () => {
  for (const [what, wrong, field] of REFUSED) {
    const entry = buy(1);
    const [answer] = await send({ ...entry, body: { ...entry.body, ...wrong } } as Entry);
    const fields = answer?.status === 'refused' ? answer.issues.map((i) => i.field) : [];
    expect([what, answer?.status, fields]).toEqual([what, 'refused', expect.arrayContaining([field])]);
  }
});

test('a wrong container is corrected, and a late purchase mends what was short; states are those of a rebuild', async () => {
  const poured = ofStore(5, 'transfer', 'can', { fromId: 'can', toId: 'bottle', oilMl: 500 });
  await write(poured, drawn(6));
  expect((await one('can')).state.shortUL).toBe(1_200_000);
  await write(buy(1));
  expect((await one('can')).state.shortUL).toBe(0);
  // It was the jar, not the bottle.
  const said = { fromId: 'can', toId: 'jar', oilMl: 300 };
  await write(correctionAt(20, poured, { action: 'replace', body: said }));
  expect((await one('bottle')).shelf.heldMl).toBe(0);
  expect((await one('jar')).shelf.heldMl).toBe(940);
  await write(correctionAt(21, poured, { action: 'void', supersedes: null }));
  expect((await one('jar')).shelf.heldMl).toBe(640);
  expect(served.house.everyState()).toEqual(rebuiltStates(served.house));
});

test('traced back to the pump and what ran there, and on to where its lot is now', async () => {
  const lot = buy(1);
  await write(lot, drawn(2, { intoContainerId: null }), runAt(10, 20, 'fd-meat'), drawn(40));
  const { stays, back, on } = (await served.get('/api/store/containers/jar/trace')).body as TraceAnswer;
  expect(stays).toMatchObject([
    { pumpId: 'p1', from: at(2), until: at(40), runs: 1, materialIds: ['fd-meat'], uL: 640_000 },
  ]);
  expect(back.ends).toEqual([{ place: 'bought', uL: 640_000 }]);
  // 10 L: 8.6 in the can, the rest in the pump and the jar.
  expect(on.ends.map((e) => [e.place, e.uL])).toEqual([
    ['container:can', 8_600_000],
    ['sump:p1/oil', 760_000],
    ['container:jar', 640_000],
  ]);
  // Of an unknown past it is known at least which pump it came from.
  await write(drawn(1.5, { fromContainerId: null, intoContainerId: 'bottle' }));
  const older = (await served.get('/api/store/containers/bottle/trace')).body as TraceAnswer;
  expect(older).toMatchObject({ stays: [{ pumpId: 'p1', uL: 640_000 }], back: { ends: [{ place: 'shortage' }] } });
});

test('what a span cost: new oil, hands and waste, beside the other school on the same fills', async () => {
  await write(buy(1), drawn(24), runAt(30, 20), runAt(60, 20), drawn(100, { intoContainerId: 'drum' }));
  const answer = (await served.get('/api/store/cost?days=3660')).body as StoreCostAnswer;
  expect(answer).toMatchObject({
    runs: 2,
    account: { newUL: 1_400_000, keptUL: 640_000, wastedUL: 640_000, fills: 2 },
  });
  expect(answer.cost).toMatchObject({ otherSchool: 'reuse', actual: { newL: 1.4, money: null } });
  expect(answer.pumps).toMatchObject([{ pumpId: 'p1', runs: 2 }]);
  expect(answer.lasts).toMatchObject([
    { productId: 'oil-a', newMl: 8600, sites: [{ siteId: 'site', newMl: 8600 }], order: { ml: 0, days: 90 } },
  ]);
});

test('a can that was drawn empty is still told of: it runs out now, and what to order is said', async () => {
  const lately = (hoursAgo: number) => (nowMs() - Date.parse(at(0))) / 3_600_000 - hoursAgo;
  await write(buy(lately(900), 'can', 1400), drawn(lately(600)), drawn(lately(100), { intoContainerId: 'drum' }));
  const { lasts } = (await served.get('/api/store/cost?days=3660')).body as StoreCostAnswer;
  expect(lasts).toMatchObject([{ productId: 'oil-a', newMl: 0, sites: [] }]);
  // Charges of 700 mL, so often as they came.
  const [{ order }] = lasts as [StoreCostAnswer['lasts'][number]];
  expect([order.days, order.ml > 0, order.ml % 700]).toEqual([90, true, 0]);
});

test('a collection stands in the waste record with its note, and is gone when it is taken back', async () => {
  await write(buy(1), drawn(24, { intoContainerId: 'drum' }));
  const gone = ofStore(60, 'transfer', 'drum', {
    ...{ fromId: 'drum', outside: 'carrier', oilMl: 640, carrier: 'Saltway', noteNumber: '7' },
  });
  await write(gone);
  const waste = async () => ((await served.get('/api/store/waste')).body as WasteAnswer).lines;
  expect(await waste()).toMatchObject([{ containerId: 'drum', oilMl: 640, carrier: 'Saltway', noteNumber: '7' }]);
  await write(correctionAt(70, gone, { action: 'void' }));
  expect(await waste()).toEqual([]);
});
