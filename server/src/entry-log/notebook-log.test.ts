import { at, changeAt, entryAt, lookAt, runAt, START } from '@winter-jar/core/testing';
import { versionOf } from '../testing/served-house.js';
import type { JournalEntry } from '@winter-jar/core';
import { SERVER } from '../journal/actor.js';
import { RoundService } from '../round/round.service.js';
import { exportedLog, importInto, logsOf, readInto } from '../testing/log-files.js';
import { nowMs, openHouse, rebuiltStates, type TestHouse } from '../testing/test-house.js';
import { Readable } from 'node:stream';

const HEADER =
  'line,what,pump,at,precision,minutes,material,product,in_ml,added_ml,hours_stood,level,remark,who,meter_minutes';
const ROWS = [
  '3,change,P-1,2031-03-01T06:00Z,day,,,oil-a,700,,,,,',
  '4,run,P-1,2031-03-02T06:00Z,day,1200,fd-meat,,,,,,smells,Ines',
  '5,topUp,p1,2031-03-03T06:00Z,exact,,,oil-a,,40,,,,',
  '6,look,p1,2031-03-03T07:00Z,exact,,,,,,0,low,,',
  '7,note,p1,2031-03-03T08:00Z,exact,,,,,,,,new hose,',
  '8,meter,p1,2031-03-03T09:00Z,exact,,,,,,,,,,319800',
];
const NOTEBOOK = [HEADER, ...ROWS].join('\n');

let house: TestHouse;
beforeEach(async () => {
  house = await openHouse();
});
afterEach(() => house.close());

const said = (entries: readonly JournalEntry[]) =>
  entries.map((entry) => ({ kind: entry.kind, happenedAt: entry.happenedAt, body: entry.body }));

test('rows of several kinds become the entries that they name', async () => {
  expect(await importInto(house, 'notebook', NOTEBOOK)).toMatchObject({ state: 'done', written: 6, refused: 0 });
  expect(said(house.journal())).toMatchObject([
    { kind: 'change', happenedAt: '2031-03-01T06:00:00.000Z', body: { productId: 'oil-a', inMl: 700, sump: 'oil' } },
    { kind: 'run', body: { minutes: 1200, materialId: 'fd-meat', remark: 'smells' } },
    { kind: 'topUp', body: { productId: 'oil-a', addedMl: 40 } },
    { kind: 'look', body: { level: 'low', hoursStood: 0, source: 'sightGlass' } },
    { kind: 'note', body: { text: 'new hose' } },
    { kind: 'meter', body: { action: 'read', minutes: 319_800 } },
  ]);
  expect(house.journal()[1]).toMatchObject({ precision: 'day', who: 'Ines' });
  expect(house.states().p1?.totals.runs).toBe(1);
  // Read once more, it brings nothing new.
  expect(await importInto(house, 'notebook', NOTEBOOK)).toMatchObject({ written: 0, unchanged: 6 });
});

test.each([
  ['9,drain,p1,2031-03-03T08:00Z,exact,,,,,,,,,', 'what', /one of run, change, topUp, look, meter, note/],
  ['9,change,p1,2031-03-03T08:00Z,exact,,,oil-a,,,,,,', 'in_ml', /a volume in mL, such as 700/],
  ['9,topUp,p1,2031-03-03T08:00Z,exact,,,oil-x,,40,,,,', 'product', /the id or the name of an oil/],
  ['9,run,p1,,exact,600,fd-meat,,,,,,,', 'started', /when the run started/],
  ['9,note,p1,2031-03-03T08:00Z,exact,,,,,,,,,', 'remark', /text of 1 to 2,000/],
])('%s is refused at its column, with the line of the notebook', async (row, field, right) => {
  const { firstRefused } = (await readInto(house, 'notebook', `${HEADER}\n${row}`)).answer();
  expect(firstRefused).toMatchObject([{ line: 9, issues: [{ field }] }]);
  expect(firstRefused[0]?.issues[0]?.right).toMatch(right);
});

test('what it would change, asked before it is written, is what stands afterwards', async () => {
  house.write(changeAt(1), runAt(30, 20), runAt(60, 20));
  const logs = logsOf(house);
  const job = await logs.begin(SERVER, 'notebook', Readable.from([Buffer.from(NOTEBOOK)]));
  await job.atRest();
  const before = house.everyState();
  const { effects } = logs.effectOf(SERVER, job.id);
  expect(house.everyState()).toEqual(before);
  expect(effects).toMatchObject([{ pumpId: 'p1' }]);
  job.write(false);
  await job.atRest();
  const { rows } = new RoundService({ nowMs }, house.reading, house.store).round(null);
  expect(effects?.[0]?.after).toEqual(rows.find(({ pumpId }) => pumpId === 'p1'));
});

test('mineral oil in a notebook of an oxygen pump is a Stop before it is written, and stays one', async () => {
  const oxygen = versionOf(house, 'pump', 'p1', START, { serviceClasses: ['oxygen'] });
  expect(house.writer.writeSetUp(SERVER, [oxygen])).toEqual([]);
  const logs = logsOf(house);
  const text = `${HEADER}\n3,change,P-1,2031-03-01T06:00Z,day,,,oil-a,700,,,,,,`;
  const job = await logs.begin(SERVER, 'notebook', Readable.from([Buffer.from(text)]));
  await job.atRest();
  expect(logs.effectOf(SERVER, job.id).effects).toMatchObject([{ pumpId: 'p1', after: { verdict: 'stop' } }]);
  job.write(false);
  await job.atRest();
  const { rows } = new RoundService({ nowMs }, house.reading, house.store).round(null);
  expect(rows.find(({ pumpId }) => pumpId === 'p1')?.verdict).toBe('stop');
});

test('a long import is not tried beforehand', async () => {
  const rows = Array.from({ length: 501 }, (_, i) => `${i},run,p1,${at(10 + i * 3)},exact,60,any-empty,,,,,,,`);
  const logs = logsOf(house);
  const job = await logs.begin(SERVER, 'notebook', Readable.from([Buffer.from([HEADER, ...rows].join('\n'))]));
  await job.atRest();
  expect(job.answer().fresh).toBe(501);
  expect(logs.effectOf(SERVER, job.id)).toEqual({ effects: null });
});

test('undone it leaves the house as it was, beside what others wrote since', async () => {
  house.write(changeAt(1), runAt(30, 20));
  const before = house.journal();
  const job = await readInto(house, 'notebook', NOTEBOOK);
  expect(job.undo()).toBe('notDone');
  job.write(false);
  await job.atRest();
  expect(job.answer()).toMatchObject({ state: 'done', canBeUndone: true });
  const since = lookAt(8000, {});
  house.write(since);
  expect(job.undo()).toBe('begun');
  await job.atRest();
  expect(job.answer()).toMatchObject({ state: 'undone', written: 0, canBeUndone: false });
  expect(house.journal()).toEqual([...before, since]);
  expect(house.everyState()).toEqual(rebuiltStates(house));
  expect(job.undo()).toBe('notDone');
});

test('an import of which an entry was corrected is not taken back as a whole', async () => {
  const job = await readInto(house, 'notebook', NOTEBOOK);
  job.write(false);
  await job.atRest();
  const run = house.journal().find(({ kind }) => kind === 'run');
  if (!run) throw new Error('no run');
  const correction = { targetId: run.id, supersedes: null, saw: [], action: 'void' };
  expect(
    house.write({
      ...run,
      id: '30000000-0000-4000-8000-000000000001',
      actId: run.id,
      kind: 'correction',
      body: correction,
    }),
  ).toEqual(['written']);
  expect(job.undo()).toBe('corrected');
  expect(house.journal()).toHaveLength(7);
});

test('an undo that a crash cuts off is finished when the folder is opened', async () => {
  house.write(changeAt(1), runAt(30, 20));
  const before = house.everyState();
  const job = await readInto(house, 'notebook', NOTEBOOK);
  job.write(false);
  await job.atRest();
  house.writer.bulk.reopen(job.id, 2);
  house.started();
  expect(house.journal()).toHaveLength(2);
  expect(house.everyState()).toEqual(before);
});

test('changes of oil go out with names beside the ids, and come back as the same entries', async () => {
  const change = entryAt(5, 'change', { sump: 'oil', productId: 'oil-a', inMl: 640, outMl: 655, levelAfter: 'right' });
  house.write(change);
  const text = await exportedLog(house, 'changes');
  expect(text).toContain('P-1');
  expect(text).toContain('Oil A');
  const other = await openHouse();
  expect(await importInto(other, 'changes', text)).toMatchObject({ written: 1, refused: 0 });
  expect(other.journal()[0]).toMatchObject({ id: change.id, body: change.body, happenedAt: change.happenedAt });
  await other.close();
});
