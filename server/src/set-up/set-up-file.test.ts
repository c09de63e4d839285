import type { SetUpFile, SetUpFilePreview, SetUpFileResult } from '@winter-jar/contracts';
import { SET_UP_KINDS, type SetUpKind } from '@winter-jar/core';
import { at } from '@winter-jar/core/testing';
import { Ajv2020 } from 'ajv/dist/2020.js';
import { serveHouse, versionOf, type ServedHouse } from '../testing/served-house.js';
import type { TestHouse } from '../testing/test-house.js';
import schema from './set-up.schema.json' with { type: 'json' };

let served: ServedHouse;
let house: TestHouse;
beforeEach(async () => {
  served = await serveHouse();
  ({ house } = served);
});
afterEach(() => served.close());

const get = (path: string) => served.get(path);
const post: ServedHouse['post'] = (...sent) => served.post(...sent);
const version = (kind: SetUpKind, subjectId: string, validFrom: string, changes: object) =>
  versionOf(house, kind, subjectId, validFrom, changes);

describe('the set-up as a file', () => {
  const exported = async () => (await get('/api/set-up/file').expect(200)).body as SetUpFile;
  const preview = async (file: object) =>
    (await post('/api/set-up/file/preview', file).expect(200)).body as SetUpFilePreview;
  const imported = async (file: object, conflicting = 'keep') =>
    (await post(`/api/set-up/file?conflicting=${conflicting}`, file).expect(200)).body as SetUpFileResult;
  const statuses = ({ rows }: SetUpFilePreview) => [...new Set(rows.map((r) => r.status))];
  const edit = (file: SetUpFile, id: string, changes: object): SetUpFile => ({
    ...file,
    records: file.records.map((r) => (r.id === id ? ({ ...r, body: { ...r.body, ...changes } } as typeof r) : r)),
  });

  test('what is exported fits the published schema, and changes nothing when it comes back', async () => {
    const file = await exported();
    const validate = new Ajv2020({ strict: false }).compile(schema);
    expect(validate(file) ? [] : validate.errors).toEqual([]);
    expect(validate({ ...file, records: [{ kind: 'site', id: 'x', body: { name: '' } }] })).toBe(false);
    expect(statuses(await preview(file))).toEqual(['same']);
    expect(await imported(file)).toMatchObject({ written: 0 });
  });

  test('it fills an empty house, which then exports the same records', async () => {
    const file = await exported();
    const other = await serveHouse({ empty: true });
    const filled = await other.post('/api/set-up/file?conflicting=keep', file).expect(200);
    expect(filled.body).toMatchObject({ written: file.records.length });
    const back = await other.get('/api/set-up/file');
    const plain = (f: SetUpFile) => f.records.map(({ kind, id, body }) => ({ kind, id, body }));
    expect(plain(back.body as SetUpFile)).toEqual(plain(file));
    await other.close();
  });

  test('a changed record is changed from now; one that was changed here too is a conflict that only a word takes', async () => {
    const file = edit(await exported(), 'p1', { name: 'From the file' });
    expect((await preview(file)).rows.find((r) => r.id === 'p1')).toMatchObject({
      status: 'changed',
      fields: ['name'],
    });
    await post('/api/set-up', { versions: [version('pump', 'p1', at(8000), { note: 'here' })] }).expect(201);
    const again = await preview(file);
    expect(again.rows.find((r) => r.id === 'p1')).toMatchObject({ status: 'conflicting', issues: [{ field: 'seen' }] });
    expect(await imported(file)).toMatchObject({ written: 0 });
    expect(await imported(file, 'take')).toMatchObject({ written: 1 });
    expect((await exported()).records.find((r) => r.id === 'p1')?.body).toMatchObject({ name: 'From the file' });
  });

  test('refused records are named with their place and reason, and what depends on them goes with them', async () => {
    const file = await exported();
    const pump = file.records.find((r) => r.id === 'p1')!.body;
    const records = [
      { kind: 'site', id: 'new-site', body: { name: 'New', process: 'moonshine', zone: 'Europe/Lisbon' } },
      {
        kind: 'equipment',
        id: 'new-kit',
        body: { name: 'Kit', siteId: 'new-site', process: 'packaging', referenceHours: 8, coldTrap: false },
      },
      { kind: 'pump', id: 'new-pump', body: { ...pump, name: 'N-1', siteId: 'new-site', equipmentId: 'new-kit' } },
      { kind: 'pump', id: 'p2', body: { ...pump, name: 'P-2' } },
      { kind: 'pump', id: 'p2', body: { ...pump, name: 'P-2 again' } },
      { kind: 'pump', id: 'p3', body: { ...pump, name: 'p-1' } },
      { kind: 'rocket', id: 'r', body: {} },
      { kind: 'pump', id: '=cmd()', body: pump },
      7,
    ];
    const seen = await preview({ ...file, records });
    expect(seen.rows.map((r) => [r.place, r.status, r.issues[0]?.code ?? null])).toEqual([
      [1, 'refused', 'notRight'],
      [2, 'refused', 'unknownId'],
      [3, 'refused', 'unknownId'],
      [4, 'new', null],
      [5, 'refused', 'twice'],
      [6, 'conflicting', 'sameName'],
      [7, 'refused', 'unknownKind'],
      [8, 'refused', 'notAnId'],
      [9, 'refused', 'unknownKind'],
    ]);
    expect(await imported({ ...file, records })).toMatchObject({ written: 1 });
  });

  test.each([
    ['another format', { format: 'recipes', version: 1, records: [] }, 'otherFormat'],
    ['another version', { format: 'winter-jar-set-up', version: 9, records: [] }, 'otherVersion'],
    ['no records', { format: 'winter-jar-set-up', version: 1 }, 'notAList'],
    ['nothing', {}, 'otherFormat'],
  ])('a file of %s is refused whole', async (_, file, code) => {
    expect((await preview(file)).fileIssue).toMatchObject({ code });
    expect(await imported(file)).toMatchObject({ written: 0, fileIssue: { code } });
  });

  test('a file cut short, and one of 50 MB, get a clear answer', async () => {
    const text = JSON.stringify(await exported());
    const send = (body: string) => post('/api/set-up/file/preview', body, { 'Content-Type': 'application/json' });
    await send(text.slice(0, 5000)).expect(400, { code: 'notJson', right: 'a JSON body', issues: [] });
    await send(`"${'x'.repeat(50_000_000)}"`).expect(413, {
      code: 'tooLarge',
      right: 'at most 5,000,000 bytes',
      issues: [],
    });
  });

  test('every kind of record is in the schema', () => {
    const kinds = schema.properties.records.items.oneOf.map((r) => r.properties.kind.const);
    expect(kinds.sort()).toEqual([...SET_UP_KINDS].sort());
  });
});
