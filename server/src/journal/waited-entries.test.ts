import type { Correction, Entry, SetUpVersion } from '@winter-jar/core';
import { at, changeAt, correctionAt, entryAt, runAt, versionsOf } from '@winter-jar/core/testing';
import fc from 'fast-check';
import { PumpReader } from '../house/pump-reader.js';
import { openHouse, rebuiltStates, type TestHouse } from '../testing/test-house.js';
import { SERVER } from './actor.js';

let house: TestHouse;
beforeEach(async () => {
  house = await openHouse();
});
afterEach(async () => {
  expect(house.everyState()).toEqual(rebuiltStates(house));
  house.writer.rebuildAll();
  expect(house.everyState()).toEqual(rebuiltStates(house));
  await house.close();
});

const JOB = '20000000-0000-4000-8000-000000000001';
const byWhom = <E extends Entry | Correction>(entry: E, who: string): E => ({ ...entry, who });
/** As a device sends it that had no connection when it was written. */
const waited = (...entries: (Entry | Correction)[]) =>
  house.writer.write(SERVER, entries, 'waited').map((a) => a.status);
const runs = () => house.states().p1?.totals.runs ?? 0;
const changes = () => house.states().p1?.sumps[0]?.charge.number ?? 0;
const asked = () =>
  [...house.unsettled()].flatMap(([id, u]) => (u.state === 'asks' ? [[id, u.questions.map((q) => q.code)]] : []));

// Hours from the start, and hours that a run takes.
test('what nobody doubts counts at once, whoever was asked or not', () => {
  const run = runAt(10, 8, 'fd-meat');
  expect(waited(run)).toEqual(['written']);
  expect(waited(run)).toEqual(['alreadyWritten']);
  expect([runs(), asked()]).toEqual([1, []]);
});

test('a run that overlaps is kept and does not count; typed again at the desk it would have been asked about', () => {
  expect(waited(runAt(10, 8, 'fd-meat'))).toEqual(['written']);
  const other = runAt(12, 8, 'fd-meat');
  expect(house.write(other)).toEqual(['asked']);
  expect(waited(other)).toEqual(['kept']);
  expect([runs(), asked()]).toEqual([1, [[other.id, ['overlap']]]]);
});

test('a word on it from somebody at the desk settles it: it counts as they say, or not at all', () => {
  waited(runAt(10, 8, 'fd-meat'));
  const [kept, wrong] = [runAt(12, 8, 'fd-meat'), runAt(14, 8, 'fd-meat')];
  expect(waited(kept)).toEqual(['kept']);
  expect(waited(wrong)).toEqual(['kept']);
  expect(house.write(correctionAt(5000, kept, { action: 'replace', body: kept.body }))).toEqual(['written']);
  expect([runs(), asked().map(([id]) => id)]).toEqual([2, [wrong.id]]);
  expect(house.write(correctionAt(5001, wrong, { action: 'void' }))).toEqual(['written']);
  expect([runs(), asked()]).toEqual([2, []]);
});

test('the device that wrote it corrects it before it was seen: it is asked about as it says then', () => {
  waited(runAt(10, 8, 'fd-meat'));
  const other = runAt(12, 8, 'fd-meat');
  waited(other);
  const later = correctionAt(13, other, {
    action: 'replace',
    body: other.body,
    happenedAt: runAt(30, 1, 'fd-meat').happenedAt,
  });
  expect(waited(later)).toEqual(['written']);
  expect([runs(), asked()]).toEqual([2, []]);
});

test('settled without a connection: the questions that were said yes to are not asked again', () => {
  waited(runAt(10, 8, 'fd-meat'));
  const other = runAt(12, 8, 'fd-meat');
  waited(other);
  const yes = { ...correctionAt(50, other, { action: 'replace', body: other.body }), acknowledged: ['overlap'] };
  waited(yes);
  expect([runs(), asked()]).toEqual([2, []]);
});

test('a second change of a day by somebody else is asked about at the desk too; by the same person, or on another day, it is not', () => {
  const first = byWhom(changeAt(34), 'ada');
  expect(house.write(first)).toEqual(['written']);
  expect(house.write(byWhom(changeAt(36), 'bo'))).toEqual(['asked']);
  expect(house.write(byWhom(changeAt(37), 'ada'))).toEqual(['written']);
  expect(house.write(byWhom(changeAt(34 + 24), 'bo'))).toEqual(['written']);
  // Who did not say who they are may be either of them.
  expect(house.write(changeAt(38))).toEqual(['written']);
});

test.each([
  ['the earlier comes first', [0, 1]],
  ['the later comes first', [1, 0]],
])('two devices changed one pump without knowing of each other: %s', (_order, order) => {
  const both = [byWhom(changeAt(34), 'ada'), byWhom(changeAt(36), 'bo')];
  for (const i of order) waited(both[i]!);
  expect(asked()).toEqual([[both[1]!.id, ['changedAlready']]]);
  expect(changes()).toBe(1);
});

test('oil that does not belong there has been poured: it counts, and the pump stands at Stop', () => {
  const base = versionsOf().find((v) => v.subjectId === 'p1')!;
  const body = { ...base.body, serviceClasses: ['oxygen'] };
  const version = { ...base, id: '30000000-0000-4000-8000-000000000001', body, recordedAt: at(1) } as SetUpVersion;
  expect(house.writer.writeSetUp(SERVER, [version])).toEqual([]);
  const change = changeAt(20);
  expect(house.write(change)).toEqual(['asked']);
  expect(waited(change)).toEqual(['written']);
  expect(asked()).toEqual([]);
  const clock = { nowMs: () => Date.parse(at(21)) };
  expect(new PumpReader(clock, house.reading, house.store).pump('p1').standing.verdict).toBe('stop');
});

test('what was said in a job counts as it comes: a pump that stands open says so', () => {
  waited(runAt(10, 8, 'fd-meat'));
  const [started] = [entryAt(12, 'jobStarted', { procedure: 'oilChange' }, { jobId: JOB })];
  expect(waited(started)).toEqual(['written']);
  const drained = { ...changeAt(14), actId: started.actId, subjects: started.subjects };
  const odd = { ...drained, body: { ...drained.body, outMl: 950 } } as Entry;
  expect(house.write(odd)).toEqual(['asked']);
  expect(waited(odd)).toEqual(['written']);
  expect([asked(), house.states().p1?.job?.jobId]).toEqual([[], JOB]);
});

/** Runs and changes of three devices within four days, many of them at the same hours. */
const deeds = fc.array(
  fc.record({
    who: fc.constantFrom('ada', 'bo', 'cy'),
    hour: fc.integer({ min: 10, max: 96 }),
    kind: fc.constantFrom('run', 'change'),
  }),
  { minLength: 2, maxLength: 9 },
);

test('whichever device comes first, and whatever is sent twice, it ends the same', async () => {
  await fc.assert(
    fc.asyncProperty(deeds, fc.infiniteStream(fc.nat()), async (made, chance) => {
      const entries = made.map(({ who, hour, kind }) =>
        byWhom<Entry>(kind === 'run' ? runAt(hour, 6, 'fd-meat') : changeAt(hour), who),
      );
      const ends: unknown[] = [];
      for (const isShuffled of [false, true]) {
        const one = await openHouse();
        const rest = [...entries];
        while (rest.length > 0) {
          const [entry] = rest.splice(isShuffled ? (chance.next().value as number) % rest.length : 0, 1);
          one.writer.write(SERVER, [entry], 'waited');
          if ((chance.next().value as number) % 3 === 0) one.writer.write(SERVER, [entry], 'waited');
        }
        expect(one.journal()).toHaveLength(entries.length);
        expect(one.everyState()).toEqual(rebuiltStates(one));
        ends.push([one.everyState(), [...one.unsettled()].sort()]);
        await one.close();
      }
      expect(ends[1]).toEqual(ends[0]);
    }),
    { seed: Number(process.env.SEED ?? 18), numRuns: 40 },
  );
}, 120_000);
