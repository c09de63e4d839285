import { at, caseAt, changeAt, entryAt, runAt } from '@winter-jar/core/testing';
import { SERVER } from '../journal/actor.js';
import { openHouse, type TestHouse } from '../testing/test-house.js';

let house: TestHouse;
beforeEach(async () => (house = await openHouse()));
afterEach(() => house.close());

const idsOf = (entries: readonly { id: string }[]) => entries.map((e) => e.id);

test('a page goes on where the one before it ended, also among entries of one moment', async () => {
  const notes = Array.from({ length: 5 }, (_, i) => entryAt(10, 'note', { text: `${i}` }));
  house.write(...notes);
  const subject = { type: 'pump', id: 'p1' };
  const { records } = house.reading;
  const first = await records.page(subject, { before: null, kinds: [], limit: 3 });
  const more = await records.page(subject, {
    before: await records.keyOf(first[2]?.entry.id ?? ''),
    kinds: [],
    limit: 3,
  });
  expect([...first, ...more].map((l) => l.entry.id)).toEqual(idsOf(notes).sort().reverse());
  expect(await records.keyOf('nothing')).toBeNull();
  expect(await records.page({ type: 'equipment', id: 'line' }, { before: null, kinds: ['run'], limit: 3 })).toEqual([]);
});

test('what was found is read up to a key, with it; between two instants with both ends', async () => {
  const tests = [5, 10, 15].map((h) => entryAt(h, 'test', { findings: [{ id: 'haze', state: 'hazy', certainty: 1 }] }));
  house.write(changeAt(1), runAt(2, 1), ...tests);
  const { records } = house.reading;
  const key = await records.keyOf(tests[1]?.id ?? '');
  expect(idsOf(await records.foundUntil('p1', key!))).toEqual(idsOf(tests.slice(0, 2)));
  expect(await records.between('p1', { from: at(2), until: at(10) })).toHaveLength(3);
  expect(await records.foundUntil('b1', key!)).toEqual([]);
});

test('corrected entries come as they count, voided ones not at all', async () => {
  const [run, other] = [runAt(10, 1), runAt(20, 1)];
  const correction = (target: typeof run, body: object) => {
    const id = `0199aaaa-0000-7000-8000-0000000000${target === run ? '0a' : '0b'}`;
    return {
      ...target,
      id,
      actId: id,
      kind: 'correction',
      body: { targetId: target.id, supersedes: null, saw: [], ...body },
    };
  };
  const moved = correction(run, { action: 'replace', body: run.body, happenedAt: at(12) });
  house.write(run, other, moved, correction(other, { action: 'void' }));
  const { records } = house.reading;
  expect(await records.page({ type: 'pump', id: 'p1' }, { before: null, kinds: [], limit: 9 })).toMatchObject([
    { entry: { id: run.id }, correctionId: moved.id, contradicted: false },
  ]);
  expect(await records.original(run.id)).toMatchObject({ kind: 'run', entry: { happenedAt: at(10) } });
  expect(await records.original(moved.id)).toMatchObject({ kind: 'correction' });
  expect(await records.countedOfDeed(other.actId)).toEqual([]);
  expect(idsOf(await records.correctionsOf(run.id))).toEqual([moved.id]);
});

test('changes are counted on, and what a client has not seen is told', async () => {
  const { records } = house.reading;
  const { first, last } = await records.changesKept();
  house.writer.write(SERVER, [runAt(10, 1)]);
  expect(first).toBe(1);
  expect(await records.changesSince(last ?? 0)).toMatchObject([{ seq: (last ?? 0) + 1, kind: 'entries' }]);
  expect(await records.fact('nothing')).toBeNull();
});

test('of cases all is read but their tests, in order', async () => {
  const [opened, closed] = [caseAt.opened(5), caseAt.closed(9)];
  const found = { findings: [{ id: 'haze', state: 'hazy', certainty: 1 }] };
  house.write(opened, closed, entryAt(7, 'test', found, { caseId: 'case-a' }));
  expect(idsOf(await house.reading.records.ofCases())).toEqual(idsOf([opened, closed]));
});
