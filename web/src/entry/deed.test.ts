import { draftIds } from '../forms/draft-ids.js';
import { entriesOf, exactly, type Deed, type EntryDraft } from './deed.js';

const AT = '2031-03-09T14:05:00.000Z';
const NOW = '2031-03-09T15:00:00.000Z';
const shared = { who: 'Corin', device: 'browser', acknowledged: ['overlap'], bodyVersion: 1 };
const writing = { subject: { type: 'pump', id: 'p1' }, zone: 'Europe/Lisbon', now: NOW, shared } as const;
const change = exactly('change', AT, { sump: 'oil', productId: 'oil-a', inMl: 700 }).deed.main as EntryDraft;
const filter = { kind: 'done', body: { task: 'oilFilter' }, happenedAt: AT, precision: 'day' } as const;

test('a deed is written as entries of one deed id, in its order', () => {
  const { idFor } = draftIds();
  const chamber = { type: 'equipment', id: 'chamber' } as const;
  const opening = { kind: 'caseOpened', body: { complaint: 'hums' }, happenedAt: AT, precision: 'exact' } as const;
  const deed: Deed = { before: [opening], main: { ...change, alsoAbout: [chamber] }, after: [filter] };
  const { main, all } = entriesOf(deed, { ...writing, idFor });
  expect(all.map((e) => e.kind)).toEqual(['caseOpened', 'change', 'done']);
  expect(new Set(all.map((e) => e.actId)).size).toBe(1);
  expect(all[1]).toBe(main);
  expect(main).toEqual({
    ...shared,
    id: idFor('change'),
    actId: idFor('deed'),
    kind: 'change',
    subjects: [{ type: 'pump', id: 'p1' }, chamber],
    happenedAt: AT,
    precision: 'exact',
    zone: 'Europe/Lisbon',
    recordedAt: NOW,
    body: { sump: 'oil', productId: 'oil-a', inMl: 700 },
  });
  expect(all[2]).toMatchObject({ id: idFor('done'), subjects: [writing.subject], precision: 'day' });
});

test('sent again, also after a reload and with another entry in it, each keeps its id', () => {
  const before = draftIds();
  const idsOf = (deed: Deed, ids = before) => entriesOf(deed, { ...writing, idFor: ids.idFor }).all.map((e) => e.id);
  const [alone] = idsOf({ main: change });
  const kept = draftIds(JSON.parse(JSON.stringify(before.made())) as Record<string, string>);
  expect(idsOf({ main: change, after: [filter] }, kept)[0]).toBe(alone);
  expect(idsOf({ before: [filter], main: change }, kept)).toEqual(
    idsOf({ main: change, after: [filter] }, kept).reverse(),
  );
});

test('two of one kind are told apart by their names', () => {
  const after: EntryDraft[] = [{ ...filter, name: 'flush', body: { task: 'flush' } }];
  const { all } = entriesOf({ main: filter, after }, { ...writing, idFor: draftIds().idFor });
  expect(new Set(all.map((e) => e.id)).size).toBe(2);
});
