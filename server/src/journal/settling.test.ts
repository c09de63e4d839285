import type { Correction, CorrectionBody, Entry } from '@winter-jar/core';
import { changeAt, correctionAt, entryAt, lookAt, runAt } from '@winter-jar/core/testing';
import { v7 as newId } from 'uuid';
import { NOW_HOURS, nowMs, openHouse, rebuiltStates, type TestHouse } from '../testing/test-house.js';
import { PumpReader } from '../house/pump-reader.js';
import { RoundService } from '../round/round.service.js';
import { SERVER } from './actor.js';

let house: TestHouse;
beforeEach(async () => {
  house = await openHouse();
});
afterEach(async () => {
  // Whatever was kept, waits or was set aside: the states are what the journal alone says.
  expect(house.everyState()).toEqual(rebuiltStates(house));
  house.writer.rebuildAll();
  expect(house.everyState()).toEqual(rebuiltStates(house));
  await house.close();
});

const runs = () => house.states().p1?.totals.runs ?? 0;
const minutes = () => house.states().p1?.totals.minutes ?? 0;
const stateOf = ({ id }: { id: string }) => house.unsettled().get(id)?.state ?? 'counts';
const saying = (target: Entry, body: object, more: Partial<CorrectionBody> = {}) =>
  correctionAt(5000, target, { action: 'replace', body: body, ...more });
/** As a file brings it: whoever wrote it cannot be asked any more. */
const fromFile = (...entries: (Entry | Correction)[]) =>
  house.writer.writeTogether(SERVER, entries).map((a) => a.status);

const run = () => runAt(10, 20, 'fd-meat');
const bleed = () => entryAt(12, 'bleed', { sump: 'oil', drawnMl: 12, waterMl: 4 });

test.each<[string, () => Entry, object]>([
  ['a trap that is read until minute 1e300', run, { ...run().body, trapProfile: [{ minutes: 1e300, tempC: -40 }] }],
  ['text where mL belong', bleed, { sump: 'oil', drawnMl: 'abc', waterMl: -5000 }],
  ['a test that says nothing', run, { findings: [] }],
  ['a field of no kind', run, { ...run().body, constructor: 1 }],
])('what is right for no kind of entry is refused before its entry comes: %s', (_what, target, body) => {
  const original = target();
  const [answer] = house.writer.write(SERVER, [saying(original, body)]);
  expect(answer).toMatchObject({ status: 'refused' });
  expect(answer?.status === 'refused' && answer.issues[0]?.field).toMatch(/^body\.body/);
  expect(house.write(original)).toEqual(['written']);
});

// The entry comes after what is said about it: what counts in the end, and why.
test.each<[string, object, string, string | null]>([
  ['the run as it was', { ...run().body, minutes: 600 }, 'counts', null],
  ['an empty body: one of some kind', {}, 'toSettle', 'body.body.ballast'],
  ['the body of another kind', { text: 'a note' }, 'toSettle', 'body.body.text'],
  [
    'a material that the set-up does not know',
    { ...run().body, materialId: 'moon dust' },
    'toSettle',
    'body.body.materialId',
  ],
])('a correction before its entry waits, and is checked when that comes: %s', (_what, body, state, field) => {
  const original = run();
  const early = saying(original, body);
  expect(house.writer.write(SERVER, [early])).toMatchObject([{ status: 'kept', unsettled: { state: 'waits' } }]);
  expect(house.write(early)).toEqual(['alreadyWritten']);
  expect(house.write(original)).toEqual(['written']);
  expect(stateOf(early)).toBe(state);
  expect(minutes()).toBe(state === 'counts' ? 600 : 1200);
  const unsettled = house.unsettled().get(early.id);
  expect(unsettled?.state === 'toSettle' ? unsettled.issues.map((i) => i.field) : []).toEqual(
    field ? expect.arrayContaining([field]) : [],
  );
});

test('one that comes with its entry is answered as it stands in the end', () => {
  const original = run();
  const early = { ...saying(original, { ...run().body, minutes: 600 }), actId: original.actId };
  expect(house.write(early, original)).toEqual(['written', 'written']);
  expect([stateOf(early), minutes()]).toEqual(['counts', 600]);
});

test('of two that came early the wrong one does not count, be it the later one', () => {
  const original = run();
  const right = saying(original, { ...run().body, minutes: 600 });
  const wrong = correctionAt(5001, original, {
    action: 'replace',
    body: { ...run().body, materialId: 'none' },
  });
  expect(house.write(wrong, right)).toEqual(['kept', 'kept']);
  house.write(original);
  expect([stateOf(right), stateOf(wrong), minutes()]).toEqual(['counts', 'toSettle', 600]);
});

test('a deed is taken back whole, early too', () => {
  const actId = newId();
  const change = { ...changeAt(5), actId };
  const flush = { ...entryAt(5, 'done', { task: 'flush' }), actId };
  const [half, ...whole] = [change, flush].map((e) => correctionAt(5000, e, { action: 'void' }));
  expect(house.write(half)).toEqual(['kept']);
  expect(house.write(change, flush)).toEqual(['written', 'written']);
  expect(stateOf(half!)).toBe('toSettle');
  expect(house.states().p1?.sumps[0]?.charge.number).toBe(1);

  const again = { ...changeAt(50), actId: newId() };
  const besides = { ...entryAt(50, 'done', { task: 'flush' }), actId: again.actId };
  const both = [again, besides].map((e) => correctionAt(5001, e, { action: 'void' }));
  house.write(...both);
  house.write(again, besides);
  expect(both.map(stateOf)).toEqual(['counts', 'counts']);
  expect(whole).toHaveLength(1);
  expect(house.states().p1?.sumps[0]?.charge.number).toBe(1);
});

test('what names a correction is never its entry', () => {
  const original = run();
  const first = saying(original, { ...run().body, minutes: 600 });
  const second = correctionAt(5001, first as never, { action: 'void' });
  expect(house.write(second)).toEqual(['kept']);
  expect(house.write(original, first)).toEqual(['written', 'written']);
  expect(stateOf(second)).toBe('toSettle');
  expect(minutes()).toBe(600);
});

test('of a pump with something to settle nobody says run on, and settling ends that', () => {
  const clock = { nowMs };
  const standing = () => new PumpReader(clock, house.reading, house.store).pump('p1').standing;
  const row = () => new RoundService(clock, house.reading, house.store).round(null).rows.find((r) => r.pumpId === 'p1');
  const soon = NOW_HOURS - 1;
  const look = lookAt(soon - 20, { clarity: 'bright', level: 'right' });
  house.write(changeAt(soon - 100), look);
  expect(standing().verdict).toBe('runOn');
  // Somebody saw glitter, but the jar that is named does not exist: it cannot count, nor be forgotten.
  const glitter = { ...look.body, particles: 'many', particleKinds: ['glitter'] };
  const other = lookAt(soon - 10, { clarity: 'bright', level: 'right' });
  const wrong = saying(other, { ...glitter, source: 'bleed', lookedAtMl: 50, jarShapeId: 'none' });
  house.write(wrong);
  for (const seen of [standing(), row()]) {
    expect(seen?.verdict).toBe('lookSooner');
    expect(seen?.reasons[0]).toMatchObject({ code: 'unsettled', corrections: 1 });
  }
  house.write(other);
  expect([stateOf(wrong), standing().verdict]).toEqual(['toSettle', 'lookSooner']);
  house.write(correctionAt(6000, other, { action: 'setAside', saw: [wrong.id] }));
  expect([standing().verdict, row()?.verdict]).toEqual(['runOn', 'runOn']);
});

describe('one that is to settle ends', () => {
  const kept = () => {
    const original = run();
    const wrong = saying(original, { ...run().body, materialId: 'none' });
    house.write(wrong);
    house.write(original);
    expect(stateOf(wrong)).toBe('toSettle');
    return { original, wrong };
  };

  test('by a correction whose writer saw it', () => {
    const { original, wrong } = kept();
    const blind = correctionAt(6000, original, { action: 'replace', body: { ...original.body, minutes: 60 } });
    house.write(blind);
    expect([stateOf(wrong), minutes()]).toEqual(['toSettle', 60]);
    house.write(correctionAt(6001, original, { action: 'replace', body: original.body, saw: [wrong.id, blind.id] }));
    expect([stateOf(wrong), minutes()]).toEqual(['aside', 1200]);
  });

  test('by leaving the entry as it is', () => {
    const { original, wrong } = kept();
    const aside = correctionAt(6000, original, { action: 'setAside', saw: [wrong.id] });
    expect(house.write(aside)).toEqual(['written']);
    expect([stateOf(wrong), stateOf(aside), minutes()]).toEqual(['aside', 'counts', 1200]);
    // It says nothing of the entry itself.
    expect(house.reading.sql.countedById.get(original.id)).toMatchObject({ correctionId: null, contradicted: 0 });
  });
});

test('what waits for an entry that never comes can be set aside, and the entry counts as sent if it comes after all', () => {
  const original = run();
  const early = saying(original, { ...run().body, minutes: 600 });
  house.write(early);
  expect(house.write(correctionAt(5001, original, { action: 'setAside', saw: [early.id] }))).toEqual(['written']);
  expect(stateOf(early)).toBe('aside');
  house.write(original);
  expect([stateOf(early), minutes()]).toEqual(['aside', 1200]);
});

test('set aside before it comes: it is kept, and left out', () => {
  const original = run();
  house.write(original);
  const late = saying(original, { ...run().body, minutes: 600 });
  house.write(correctionAt(5001, original, { action: 'setAside', saw: [late.id] }));
  expect(house.writer.write(SERVER, [late])).toMatchObject([{ status: 'kept', unsettled: { state: 'aside' } }]);
  expect(minutes()).toBe(1200);
});

test('only what does not count is set aside, and it has to be named', () => {
  const original = run();
  const counting = saying(original, { ...run().body, minutes: 600 });
  house.write(original, counting);
  const aside = (saw: string[]) =>
    house.writer.write(SERVER, [correctionAt(6000, original, { action: 'setAside', saw })])[0];
  expect(aside([counting.id])).toMatchObject({ status: 'refused', issues: [{ field: 'body.saw.0', code: 'counts' }] });
  expect(aside([original.id])).toMatchObject({ status: 'refused', issues: [{ field: 'body.saw.0' }] });
  expect(aside([])).toMatchObject({ status: 'refused', issues: [{ field: 'body.saw', code: 'missing' }] });
  expect(minutes()).toBe(600);
});

test('of a file nothing is refused that was accepted once: it is kept, to settle', () => {
  const original = run();
  const wrong = saying(original, { ...run().body, materialId: 'none' });
  expect(house.write(original, wrong)).toEqual(['written', 'refused']);
  expect(fromFile(wrong)).toEqual(['kept']);
  expect([stateOf(wrong), minutes()]).toEqual(['toSettle', 1200]);
});

test('an import brings what was waited for, and what it said waits again when the import is taken back', () => {
  const original = run();
  const early = saying(original, { ...run().body, minutes: 600 });
  const wrong = correctionAt(5001, original, {
    action: 'replace',
    body: { ...run().body, materialId: 'none' },
  });
  house.write(early, wrong);
  const { bulk } = house.writer;
  bulk.open('an import');
  const text = { contentHash: 'x', content: JSON.stringify(original) };
  expect(bulk.write(SERVER, 'an import', [{ entry: original, ...text }])).toEqual([{ status: 'written' }]);
  while (bulk.catchUp() !== null);
  expect([stateOf(early), stateOf(wrong), minutes()]).toEqual(['counts', 'toSettle', 600]);
  while (bulk.takeBack('an import'));
  while (bulk.catchUp() !== null);
  expect([stateOf(early), stateOf(wrong), runs()]).toEqual(['waits', 'waits', 0]);
  house.write(original);
  expect([stateOf(early), stateOf(wrong), minutes()]).toEqual(['counts', 'toSettle', 600]);
});

test('each deed of a batch is answered truly, also where the server fails at one of them', () => {
  const [first, second, third] = [runAt(10, 5), runAt(50, 5), runAt(100, 5)];
  house.database.writer.exec(
    `CREATE TEMP TRIGGER failing BEFORE INSERT ON journal_entry WHEN NEW.id = '${second.id}' BEGIN SELECT RAISE(ABORT, 'broken'); END`,
  );
  expect(house.write(first, second, third)).toEqual(['written', 'failed', 'written']);
  expect(runs()).toBe(2);
  expect(() => house.write(second)).toThrow('broken');
  house.database.writer.exec('DROP TRIGGER failing');
  expect(house.write(first, second, third)).toEqual(['alreadyWritten', 'written', 'alreadyWritten']);
});
