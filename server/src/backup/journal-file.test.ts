import { ServedHouses, download, leftovers, type ServedHouse, upload } from '../testing/served-house.js';
import { rebuiltStates } from '../testing/test-house.js';
import type { JournalFileResult } from '@winter-jar/contracts';
import { at, changeAt, correctionAt, entryAt, lookAt, runAt, START } from '@winter-jar/core/testing';
import request from 'supertest';

const houses = new ServedHouses();
const serve: ServedHouses['serve'] = (options) => houses.serve(options);
let one: ServedHouse;
beforeEach(async () => {
  one = await serve();
  one.house.write(runAt(10, 20, 'fd-meat'), lookAt(40, { clarity: 'hazy' }), changeAt(50), runAt(60, 20));
});
afterEach(async () => {
  await houses.close();
});

const importJournal = async (served: ServedHouse, body: Buffer | string) =>
  (await upload(served, '/api/journal', 'application/x-ndjson', body).expect(200)).body as JournalFileResult;
const round = async (served: ServedHouse) =>
  (await request(served.server).get('/api/round').set('Host', 'localhost').expect(200)).body as object;

const lines = async (of = one) => (await download(of, 'everything')).toString().trim().split('\n');

test('imported into an empty folder it gives equal states, corrections and set-up history included', async () => {
  const run = runAt(200, 20);
  const id = '30000000-0000-4000-8000-000000000001';
  const said = { targetId: run.id, supersedes: null, action: 'replace', body: run.body, happenedAt: at(190) };
  one.house.write(run);
  one.house.write({ ...run, id, actId: id, kind: 'correction', recordedAt: at(300), body: said });
  const moved = { ...one.house.store.book.at(START).pump.p1!, equipmentId: 'line' };
  const version = {
    id: '30000000-0000-4000-8000-000000000002',
    kind: 'pump',
    subjectId: 'p1',
    validFrom: at(100),
    recordedAt: at(100),
    body: moved,
  };
  await one.post('/api/set-up', { versions: [version] }).expect(201);
  const two = await serve({ empty: true });
  const done = await importJournal(two, (await lines()).join('\r\n'));
  expect(done).toMatchObject({ issue: null, entries: 6 });
  const states = (served: ServedHouse) => {
    const rows = served.house.database.reader.prepare('SELECT subjectType, subjectId, state FROM subject_state').all();
    return Object.fromEntries(
      (rows as { subjectType: string; subjectId: string; state: string }[]).map((r) => [
        `${r.subjectType}:${r.subjectId}`,
        JSON.parse(r.state) as object,
      ]),
    );
  };
  expect(states(two)).toEqual(states(one));
  expect(states(one)).toEqual(rebuiltStates(one.house));
  expect(await round(two)).toEqual(await round(one));
  const text = (served: ServedHouse) => download(served, 'everything').then((b) => b.toString());
  expect(await text(two)).toBe(await text(one));
});

test.each<[string, (text: string[]) => string[], number | null, string]>([
  ['cut short', (t) => t.slice(0, -1), null, 'notWhole'],
  ['cut in a line', (t) => [...t.slice(0, 5), t[5]!.slice(0, 20)], 6, 'notJson'],
  ['of another format', (t) => ['{"format":"diary","version":1}', ...t.slice(1)], 1, 'otherFormat'],
  ['of another version', (t) => [t[0]!.replace('"version":2', '"version":7'), ...t.slice(1)], 1, 'otherVersion'],
  [
    'with an id twice, the content another',
    (t) => [...t.slice(0, -1), t.at(-2)!.replace('"minutes":1200', '"minutes":1201'), t.at(-1)!],
    null,
    'twice',
  ],
  [
    'with an entry of an unknown kind',
    (t) => [...t.slice(0, -1), t.at(-2)!.replace('"kind":"run"', '"kind":"=cmd()"'), t.at(-1)!],
    null,
    'notRight',
  ],
  ['with a foreign line', (t) => [...t.slice(0, 3), '{"recipe":1}', ...t.slice(3)], 4, 'unknownLine'],
  ['that counts otherwise', (t) => [...t.slice(0, -1), '{"end":{"setUpVersions":1,"entries":1}}'], null, 'otherCount'],
  ['with a line of null', (t) => [...t.slice(0, 3), 'null', ...t.slice(3)], 4, 'notJson'],
  ['with a line that is a number', (t) => ['7', ...t.slice(1)], 1, 'notJson'],
  ['with an entry of null', (t) => [...t.slice(0, -1), '{"entry":null}', t.at(-1)!], null, 'notAnObject'],
  ['with a set-up of null', (t) => [t[0]!, '{"setUp":null}', ...t.slice(1)], 2, 'notAnObject'],
  ['with an end of null', (t) => [...t.slice(0, -1), '{"end":null}'], null, 'unknownLine'],
  ['that is empty', () => [''], null, 'notWhole'],
  ['with an hour altered', (t) => t.map((l) => l.replace('"minutes":1200', '"minutes":1260')), null, 'otherCheckSum'],
  [
    'without its check sum',
    (t) => [...t.slice(0, -1), t.at(-1)!.replace(/,"sha256":"\w+"/, '')],
    null,
    'otherCheckSum',
  ],
  [
    'with an entry in a state that there is not',
    (t) => [...t.slice(0, -1), t.at(-2)!.replace(/}$/, ',"unsettled":{"state":"lost"}}'), t.at(-1)!],
    null,
    'notRight',
  ],
])('a file %s is refused whole, with its line', async (_, spoil, line, code) => {
  const two = await serve({ empty: true });
  const done = await importJournal(two, spoil(await lines()).join('\n'));
  expect(done).toMatchObject({ issue: { code }, entries: 0 });
  if (line !== null) expect(done.line).toBe(line);
  expect(two.house.database.reader.prepare('SELECT COUNT(*) FROM set_up_version').pluck().get()).toBe(0);
  expect(leftovers(two.house)).toEqual([]);
});

test('what does not count there does not count here either, and says why', async () => {
  const run = runAt(200, 20);
  const saying = (hours: number, body: object) => correctionAt(hours, run, { action: 'replace', body: body });
  const [waiting, wrong, decided] = [
    correctionAt(1000, runAt(900, 5), { action: 'void' }),
    saying(1000, { ...run.body, materialId: 'none' }),
    saying(1001, { ...run.body, materialId: 'nothing' }),
  ];
  one.house.write(waiting, wrong, decided);
  one.house.write(run, correctionAt(1002, run, { action: 'setAside', saw: [decided.id] }));
  const two = await serve({ empty: true });
  expect(await importJournal(two, (await lines()).join('\n'))).toMatchObject({ issue: null });
  const here = two.house.unsettled();
  expect([waiting, wrong, decided].map((c) => here.get(c.id)?.state)).toEqual(['waits', 'toSettle', 'aside']);
  expect(here).toEqual(one.house.unsettled());
  expect(await round(two)).toMatchObject({ unsettled: 2 });
  expect((await lines(two)).slice(1)).toEqual((await lines()).slice(1));
});

test('a correction that cannot be, from a file of before, is kept to be settled', async () => {
  const run = runAt(200, 20);
  one.house.write(run);
  const wrong = correctionAt(1000, run, { action: 'replace', body: { ...run.body, materialId: 'none' } });
  const all = await lines();
  const end = { end: { setUpVersions: all.filter((l) => l.startsWith('{"setUp"')).length, entries: 6 } };
  const old = [
    all[0]!.replace('"version":2', '"version":1'),
    ...all.slice(1, -1),
    JSON.stringify({ entry: wrong }),
    JSON.stringify(end),
  ];
  const two = await serve({ empty: true });
  expect(await importJournal(two, old.join('\n'))).toMatchObject({ issue: null, entries: 6 });
  expect(two.house.unsettled().get(wrong.id)).toMatchObject({ state: 'toSettle' });
});

test('ids in capitals, as they were taken before, become one spelling together', async () => {
  const id = 'abcdef00-0000-4000-8000-00000000000a';
  const note = entryAt(300, 'note', { text: 'kept' }, { id });
  one.house.write(note, correctionAt(1000, note, { action: 'void' }));
  const all = (await lines()).map((l) => l.replaceAll(id, id.toUpperCase()));
  const end = JSON.parse(all.at(-1)!) as { end: object };
  const old = [all[0]!.replace('"version":2', '"version":1'), ...all.slice(1, -1), JSON.stringify(end)];
  const two = await serve({ empty: true });
  expect(await importJournal(two, old.join('\n'))).toMatchObject({ issue: null });
  expect(two.house.journal().map((e) => e.id)).toEqual(one.house.journal().map((e) => e.id));
  expect(await round(two)).toEqual(await round(one));
});

test('a line of 50 MB is named, and nothing is taken', async () => {
  const two = await serve({ empty: true });
  const [head] = await lines();
  const done = await importJournal(two, `${head}\n${'x'.repeat(50_000_000)}`);
  expect(done).toMatchObject({ issue: { code: 'notJson' }, line: 2 });
});

test('a folder that is not empty takes nothing in', async () => {
  const done = await importJournal(one, (await lines()).join('\n'));
  expect(done).toMatchObject({ issue: { code: 'notEmpty' }, entries: 0 });
});

test('a remark that begins with = stays as it is', async () => {
  const odd = entryAt(300, 'note', { text: '=HYPERLINK("x")' });
  one.house.write(odd);
  const two = await serve({ empty: true });
  await importJournal(two, (await lines()).join('\n'));
  const [stored] = two.house.database.reader
    .prepare("SELECT content FROM journal_entry WHERE kind = 'note'")
    .pluck()
    .all();
  expect(JSON.parse(stored as string)).toMatchObject({ body: odd.body });
});
