import type { Entry, EntryBodies, SetUpVersion } from '@winter-jar/core';
import { at, entryAt } from '@winter-jar/core/testing';
import { SERVER } from '../journal/actor.js';
import { exportedLog, importInto, readInto } from '../testing/log-files.js';
import { openHouse, rebuiltStates, type TestHouse } from '../testing/test-house.js';

let first: TestHouse;
let second: TestHouse;
beforeEach(async () => {
  first = await openHouse();
  second = await openHouse();
  for (const house of [first, second]) {
    const versions = ['can', 'jar'].map((subjectId, i) => ({
      ...{ id: `90000000-0000-4000-8000-00000000000${i}`, kind: 'container', subjectId },
      ...{ validFrom: at(0), recordedAt: at(0) },
      body: { name: `Big ${subjectId}`, vessel: 'can', holdsMl: 20_000, siteId: 'site' },
    }));
    expect(house.writer.writeSetUp(SERVER, versions as SetUpVersion[])).toEqual([]);
  }
});
afterEach(async () => {
  await first.close();
  await second.close();
});

const pour = (hours: number, body: EntryBodies['transfer']): Entry => {
  const subjects = [{ type: 'container', id: body.fromId ?? body.toId ?? '' }];
  return { ...entryAt(hours, 'transfer', body), subjects } as Entry;
};

test('movements that were exported give equal states where they are imported', async () => {
  const pours = [
    pour(1, {
      toId: 'can',
      outside: 'bought',
      productId: 'oil-a',
      oilMl: 20_000,
      batch: '=K-7',
      remark: 'from the van',
    }),
    pour(2, {
      fromId: 'can',
      toId: 'jar',
      oilMl: 640.5,
      waterMl: 12,
      creamMl: 3,
      sludgeMl: 1,
      tempC: 45,
      estimated: true,
      throughHours: 5.5,
    }),
    pour(3, { fromId: 'jar', outside: 'carrier', oilMl: 100, carrier: 'Saltway', noteNumber: '7' }),
  ];
  first.writer.writeTogether(SERVER, pours);
  const text = await exportedLog(first, 'pours');
  expect(await importInto(second, 'pours', text)).toMatchObject({ rows: 3, fresh: 3, written: 3 });
  expect(second.everyState()).toEqual(first.everyState());
  expect(second.everyState()).toEqual(rebuiltStates(second));
  expect(await exportedLog(second, 'pours')).toBe(text);
  expect(await importInto(first, 'pours', text)).toMatchObject({ unchanged: 3, written: 0 });
});

test('a short list by hand: names of containers and oils do, twice the same row is one movement', async () => {
  const rows = 'poured,from,to,outside,product,oil_ml\n2031-01-05T10:00Z,,Big can,bought,Oil A,5000\n';
  expect(await importInto(first, 'pours', rows)).toMatchObject({ fresh: 1, written: 1 });
  expect(await importInto(first, 'pours', rows)).toMatchObject({ unchanged: 1, written: 0 });
  expect(first.journal().at(-1)).toMatchObject({
    ...{ subjects: [{ type: 'container', id: 'can' }], zone: 'Europe/Lisbon' },
    body: { toId: 'can', outside: 'bought', productId: 'oil-a', oilMl: 5000 },
  });
});

test.each([
  ['2031-01-05T10:00Z,,Tub,bought,oil-a,5000', 'to', /a container/],
  ['2031-01-05T10:00Z,can,can,,,5000', 'to', /another container/],
  ['2031-01-05T10:00Z,,can,bought,,5000', 'product', /the oil that came in/],
  ['2031-01-05T10:00Z,can,,bought,,5000', 'outside', /one of spill, carrier/],
  ['2031-01-05T10:00Z,can,jar,,,some', 'oil_ml', /a volume in mL/],
  ['2031-01-05T10:00Z,can,jar,,,0', 'oil_ml', /above 0/],
  [',can,jar,,,50', 'poured', /when it was poured/],
])('%s names its column and what would be right', async (row, field, right) => {
  const read = await readInto(first, 'pours', `poured,from,to,outside,product,oil_ml\n${row}\n`);
  const [issue] = read.answer().firstRefused[0]?.issues ?? [];
  expect(issue).toMatchObject({ field, right: expect.stringMatching(right) as string });
});

test('which containers a change drew from and was caught in goes out and comes in with it', async () => {
  const body = {
    ...{ sump: 'oil' as const, productId: 'oil-a', outMl: 650, inMl: 700, outTempC: 55, flushed: [{ inMl: 500 }] },
    ...{ fromContainerId: 'can', intoContainerId: 'jar' },
  };
  const look = entryAt(40, 'look', {
    ...{ sump: 'oil', source: 'drained', hoursStood: 30, lookedAtMl: 640, containerId: 'jar', clarity: 'bright' },
  });
  first.writer.writeTogether(SERVER, [entryAt(5, 'change', body), look]);
  await importInto(second, 'changes', await exportedLog(first, 'changes'));
  await importInto(second, 'looks', await exportedLog(first, 'looks'));
  expect(second.everyState()).toEqual(first.everyState());
});
