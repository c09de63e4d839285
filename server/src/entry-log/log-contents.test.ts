import type { SetUpVersion } from '@winter-jar/core';
import { at, changeAt, runAt } from '@winter-jar/core/testing';
import { v7 as newId } from 'uuid';
import { SERVER } from '../journal/actor.js';
import { jobTools, openHouse, type TestHouse } from '../testing/test-house.js';
import { LOG_CONTENTS_JOB } from './log-contents.js';

let house: TestHouse;
beforeEach(async () => (house = await openHouse()));
afterEach(() => house.close());

test('a log says what it holds by pump and month, the newest first, and only of its kind', async () => {
  expect(await LOG_CONTENTS_JOB.run(jobTools(house), { log: 'runs', sight: null })).toEqual({
    entries: 0,
    months: [],
    pumps: [],
  });
  const [january, march] = [5 * 24, (31 + 28 + 8) * 24];
  const d1 = { pumpId: 'd1' };
  house.write(runAt(january, 2), runAt(january + 30, 2), runAt(march, 2), runAt(march + 5, 2, 'any-empty', d1));
  house.write(changeAt(march + 50));
  expect(await LOG_CONTENTS_JOB.run(jobTools(house), { log: 'runs', sight: null })).toEqual({
    entries: 4,
    months: ['2031-03', '2031-01'],
    pumps: [
      { pumpId: 'd1', entries: 1, byMonth: [1, 0] },
      { pumpId: 'p1', entries: 3, byMonth: [1, 2] },
    ],
  });
  expect(await LOG_CONTENTS_JOB.run(jobTools(house), { log: 'changes', sight: null })).toMatchObject({
    entries: 1,
    months: ['2031-03'],
  });
});

test('to whoever is bound to a site it says what its file would hold: of a pump that moved, what ran there', async () => {
  const { pump, site, equipment } = house.store.book.at(at(0));
  const version = (kind: string, subjectId: string, body: object | undefined, validFrom: string) =>
    ({ id: newId(), kind, subjectId, validFrom, recordedAt: at(0), body }) as SetUpVersion;
  const away = { siteId: 'north', equipmentId: 'n-line' };
  house.writer.writeSetUp(SERVER, [
    version('site', 'north', { ...site.site, name: 'North' }, at(0)),
    version('equipment', 'n-line', { ...equipment.line, siteId: 'north' }, at(0)),
    version('pump', 'p1', { ...pump.p1, ...away }, at(60 * 24)),
  ]);
  const n = (hours: number) => runAt(hours, 2, 'any-empty', { equipmentId: 'n-line' });
  const days = (d: number) => d * 24;
  house.write(runAt(days(5), 2), runAt(days(40), 2), n(days(61)), n(days(62)), n(days(100)), changeAt(days(101)));
  house.write(runAt(days(200), 2, 'any-empty', { pumpId: 'd1' }));
  const said = (log: 'runs' | 'changes', sight: string[]) => LOG_CONTENTS_JOB.run(jobTools(house), { log, sight });
  expect(await said('runs', ['site'])).toEqual({
    entries: 3,
    months: ['2031-07', '2031-02', '2031-01'],
    pumps: [
      { pumpId: 'p1', entries: 2, byMonth: [0, 1, 1] },
      { pumpId: 'd1', entries: 1, byMonth: [1, 0, 0] },
    ],
  });
  expect(await said('runs', ['north'])).toEqual({
    entries: 3,
    months: ['2031-04', '2031-03'],
    pumps: [{ pumpId: 'p1', entries: 3, byMonth: [1, 2] }],
  });
  expect(await said('changes', ['site'])).toEqual({ entries: 0, months: [], pumps: [] });
  expect(await said('changes', ['north'])).toMatchObject({ entries: 1 });
});
