import type { Entry, SetUpVersion } from '@winter-jar/core';
import { at, entryAt } from '@winter-jar/core/testing';
import { SERVER } from '../journal/actor.js';
import { LOG_CONTENTS_JOB } from './log-contents.js';
import { exportedLog, importInto, readInto } from '../testing/log-files.js';
import { jobTools, openHouse, rebuiltStates, type TestHouse } from '../testing/test-house.js';

let first: TestHouse;
let second: TestHouse;
beforeEach(async () => {
  first = await openHouse();
  second = await openHouse();
  const can = {
    ...{ id: '90000000-0000-4000-8000-000000000000', kind: 'container', subjectId: 'can' },
    ...{ validFrom: at(0), recordedAt: at(0) },
    body: { name: 'Big can', vessel: 'can', holdsMl: 20_000, siteId: 'site' },
  } as SetUpVersion;
  for (const house of [first, second]) expect(house.writer.writeSetUp(SERVER, [can])).toEqual([]);
});
afterEach(async () => {
  await first.close();
  await second.close();
});

test('stocktakes that were exported give equal states where they are imported', async () => {
  const counted = (hours: number, body: object) =>
    ({ ...entryAt(hours, 'stocktake', { oilMl: 0, ...body }), subjects: [{ type: 'container', id: 'can' }] }) as Entry;
  first.writer.writeTogether(SERVER, [
    counted(1, { oilMl: 9000.5, hazyMl: 20, waterMl: 12, creamMl: 3, sludgeMl: 1, tempC: 45 }),
    counted(9, { oilMl: 8000, clarity: 'bright', colour: 2.5, smell: 'none', particleKinds: ['fibres'], remark: '=x' }),
  ]);
  const text = await exportedLog(first, 'stocktakes');
  expect(await importInto(second, 'stocktakes', text)).toMatchObject({ rows: 2, fresh: 2, written: 2 });
  expect(second.everyState()).toEqual(first.everyState());
  expect(second.everyState()).toEqual(rebuiltStates(second));
  expect(await exportedLog(second, 'stocktakes')).toBe(text);
  expect(await LOG_CONTENTS_JOB.run(jobTools(second), { log: 'stocktakes', sight: null })).toMatchObject({
    entries: 2,
    pumps: [{ pumpId: 'can', entries: 2 }],
  });
});

test('a list by hand: the name of a container does, and what is wrong names its column', async () => {
  const rows = (row: string) => `counted,container,oil_ml\n${row}\n`;
  expect(await importInto(first, 'stocktakes', rows('2031-01-05T10:00Z,Big can,5000'))).toMatchObject({ written: 1 });
  expect(first.journal().at(-1)).toMatchObject({ subjects: [{ type: 'container', id: 'can' }], body: { oilMl: 5000 } });
  for (const [row, field] of [
    ['2031-01-05T10:00Z,Tub,5000', 'container'],
    ['2031-01-05T10:00Z,can,', 'oil_ml'],
    [',can,5000', 'counted'],
  ] as const) {
    const [issue] = (await readInto(first, 'stocktakes', rows(row))).answer().firstRefused[0]?.issues ?? [];
    expect(issue?.field).toBe(field);
  }
});
