// Longer than other files: all that the one writer promises, side by side.
import type { Correction, Entry, PumpState } from '@winter-jar/core';
import { SERVER } from './actor.js';
import { versionOf } from '../testing/served-house.js';
import { openHouse, rebuiltStates, type TestHouse } from '../testing/test-house.js';
import { at, changeAt, entryAt, lookAt, runAt } from '@winter-jar/core/testing';
import fc from 'fast-check';
import { v7 as newId } from 'uuid';

let house: TestHouse;
beforeEach(async () => {
  house = await openHouse();
});
afterEach(() => house.close());

const runs = () => house.states().p1?.totals.runs ?? 0;

function correction(
  target: Entry,
  body: Partial<Correction['body']>,
  recordedHours = 5000,
  more: Partial<Correction> = {},
): Correction {
  const id = newId();
  return {
    ...target,
    id,
    actId: id,
    kind: 'correction',
    happenedAt: at(recordedHours),
    recordedAt: at(recordedHours),
    body: { targetId: target.id, supersedes: null, action: 'void', ...body },
    ...more,
  };
}

test('same id and content is written once, other content is a conflict with both', () => {
  const run = runAt(10, 20);
  expect(house.write(run)).toEqual(['written']);
  expect(house.write({ ...run, recordedAt: at(40), device: 'another' })).toEqual(['alreadyWritten']);
  expect(runs()).toBe(1);
  const [answer] = house.writer.write(SERVER, [{ ...run, happenedAt: at(11) }]);
  expect(answer).toMatchObject({ status: 'conflict', stored: { happenedAt: at(10) }, sent: { happenedAt: at(11) } });
  expect(runs()).toBe(1);
});

test('a correction is checked as what it makes of its entry, with the field named inside it', () => {
  const run = runAt(10, 20);
  house.write(run);
  const issuesOf = (body: object) => {
    const [answer] = house.writer.write(SERVER, [correction(run, { action: 'replace', ...body } as never)]);
    return answer?.status === 'refused' ? answer.issues : answer?.status;
  };
  expect(issuesOf({ body: { ...run.body, minutes: -5 } })).toMatchObject([{ field: 'body.body.minutes', value: -5 }]);
  expect(issuesOf({ body: { ...run.body, materialId: 'moon dust' } })).toMatchObject([
    { field: 'body.body.materialId' },
  ]);
  const late = { body: { ...run.body, minutes: 6000 }, happenedAt: at(365 * 24 - 1) };
  expect(issuesOf(late)).toMatchObject([{ field: 'body.body.minutes', code: 'endsInTheFuture' }]);
  expect(issuesOf({ body: { ...run.body, minutes: 60 } })).toBe('written');
});

test('entries of one act are written together or not at all', () => {
  const actId = newId();
  const good = { ...changeAt(10), actId };
  const bad = { ...entryAt(10, 'done', { task: 'tipSeals' }), actId };
  expect(house.write(good, bad)).toEqual(['heldBack', 'refused']);
  const malformed = { ...bad, body: { task: 7 } };
  expect(house.write(good, malformed)).toEqual(['heldBack', 'refused']);
  expect(house.journal()).toEqual([]);
  expect(house.write(good, { ...bad, body: { task: 'flush' } })).toEqual(['written', 'written']);
});

test('a failing write between succeeding ones loses nothing and leaves nothing', () => {
  const entries = Array.from({ length: 30 }, (_, i) =>
    i % 3 === 1 ? { ...runAt(10 + i * 30, 20), body: { materialId: 'moon dust' } } : runAt(10 + i * 30, 20),
  );
  const unknown = {
    ...entryAt(700, 'change', { sump: 'oil', productId: 'none', outMl: 1, inMl: 600, levelAfter: 'right' }),
  };
  const answers = [...entries, unknown].map((e) => house.write(e)[0]);
  expect(answers.filter((a) => a === 'written')).toHaveLength(20);
  expect(answers.filter((a) => a === 'refused')).toHaveLength(11);
  expect(house.journal()).toHaveLength(20);
  expect(runs()).toBe(20);
  expect(house.everyState()).toEqual(rebuiltStates(house));
});

test('a fault inside the transaction takes the whole act back, and the next write goes through', () => {
  const { book } = house.store;
  const sound = book.pumpAt.bind(book);
  house.store.book.pumpAt = (input) => {
    const pump = sound(input);
    return (
      pump && {
        ...pump,
        house: {
          ...pump.house,
          material: new Proxy(pump.house.material, {
            get: (m, k) => (faulty() ? undefined : (Reflect.get(m, k) as unknown)),
          }),
        },
      }
    );
  };
  let reads = 0;
  const faulty = () => ++reads > 1;
  expect(() => house.writer.write(SERVER, [runAt(10, 20)])).toThrow(/materialId/);
  expect(house.journal()).toEqual([]);
  house.store.book.pumpAt = sound;
  expect(house.write(runAt(10, 20))).toEqual(['written']);
  expect(runs()).toBe(1);
});

test('a run that begins in the minute in which the last one ended does not overlap it', () => {
  house.write(runAt(10, 20));
  const [minute, hours] = [1 / 60, 3];
  expect(house.write(runAt(30 - minute / 2, hours))).toEqual(['written']);
  expect(house.write(runAt(30 + hours - 2 * minute, hours))).toEqual(['asked']);
});

test('overlap and a drain larger than the charge are asked, not refused', () => {
  house.write(runAt(10, 20));
  const overlapping = runAt(15, 10);
  expect(house.writer.write(SERVER, [overlapping])[0]).toMatchObject({
    status: 'asked',
    questions: [{ code: 'overlap', otherFrom: at(10), otherUntil: at(30) }],
  });
  expect(house.write({ ...overlapping, acknowledged: ['overlap'] })).toEqual(['written']);
  const drain = entryAt(60, 'bleed', { sump: 'oil', drawnMl: 760, waterMl: 90 });
  expect(house.writer.write(SERVER, [drain])[0]).toMatchObject({
    status: 'asked',
    questions: [{ code: 'drainAboveCharge', outMl: 760, chargeMl: 700 }],
  });
  expect(house.write({ ...drain, acknowledged: ['drainAboveCharge'] })).toEqual(['written']);
  expect(house.write(runAt(30, 5))).toEqual(['written']);
  expect(house.write({ ...runAt(12, 5), precision: 'day' })).toEqual(['written']);
});

test('more oil than the housing holds is refused where its maker says so, and asked where we took it for granted', () => {
  const filled = () =>
    entryAt(60, 'change', { sump: 'oil', productId: 'oil-a', outMl: null, inMl: 1500, levelAfter: null });
  expect(house.writer.write(SERVER, [filled()])[0]).toMatchObject({
    status: 'refused',
    issues: [{ field: 'body.inMl', code: 'aboveHousing' }],
  });
  const marked = versionOf(house, 'pumpModel', 'vane', at(1), { assumed: ['sumps.0.housingMl'] });
  expect(house.writer.writeSetUp(SERVER, [marked])).toEqual([]);
  const entry = filled();
  const holdsMl = house.store.book.at(at(60)).pumpModel.vane?.sumps[0]?.housingMl;
  expect(house.writer.write(SERVER, [entry])[0]).toMatchObject({
    status: 'asked',
    questions: [{ code: 'aboveAssumedHousing', ml: 1500, holdsMl }],
  });
  expect(house.write({ ...entry, acknowledged: ['aboveAssumedHousing'] })).toEqual(['written']);
});

test('an undo takes the entries of a deed back together', () => {
  const actId = newId();
  const change = { ...changeAt(100), actId };
  const flush = { ...entryAt(100, 'done', { task: 'flush' }), actId };
  house.write(runAt(10, 20), change, flush);
  expect(house.states().p1?.sumps[0]?.charge.number).toBe(1);
  const [alone] = house.writer.write(SERVER, [correction(change, {})]);
  expect(alone).toMatchObject({
    status: 'refused',
    issues: [{ code: 'restOfAct', right: expect.stringContaining(flush.id) as string }],
  });
  const undo = newId();
  expect(
    house.write(correction(change, {}, 5000, { actId: undo }), correction(flush, {}, 5000, { actId: undo })),
  ).toEqual(['written', 'written']);
  expect(house.states().p1?.sumps[0]?.charge.number).toBe(0);
  expect(house.everyState()).toEqual(rebuiltStates(house));
});

test('a correction refolds; one that names a correction is refused; one without its target waits', () => {
  const run = runAt(10, 20);
  const waiting = correction(run, { action: 'replace', body: { ...run.body, minutes: 600 } });
  expect(house.write(waiting)).toEqual(['kept']);
  expect(house.states()).toEqual({});
  expect(house.write(run)).toEqual(['written']);
  expect(house.states().p1?.totals.minutes).toBe(600);
  expect(house.writer.write(SERVER, [correction(waiting as never, {})])[0]).toMatchObject({
    status: 'refused',
    issues: [{ code: 'namesACorrection' }],
  });
  const moved = correction(
    run,
    { action: 'replace', body: run.body, happenedAt: at(50), supersedes: waiting.id },
    5001,
  );
  expect(house.write(moved)).toEqual(['written']);
  expect(house.states().p1).toMatchObject({ totals: { minutes: 1200 }, last: { happenedAt: at(50) } });
  const wrong = correction(run, { action: 'replace', body: { ...run.body, materialId: 'none' } }, 5002);
  expect(house.writer.write(SERVER, [wrong])[0]).toMatchObject({
    status: 'refused',
    issues: [{ field: 'body.body.materialId', value: 'none' }],
  });
});

test('late entries refold from the last checkpoint before them', async () => {
  house.write(
    changeAt(1),
    ...Array.from({ length: 8 }, (_, i) => runAt(100 + i * 40, 20)),
    changeAt(500),
    runAt(510, 20),
  );
  expect(house.states().p1?.bars).toHaveLength(1);
  house.write(changeAt(290), lookAt(515, { colour: 3 }), runAt(50, 20));
  expect(house.everyState()).toEqual(rebuiltStates(house));
  const ended = await house.reading.records.endedCharges<PumpState>('p1', 10);
  expect(ended.map((c) => c.totals.runs)).toEqual([9, 6]);
});

test('a change that is taken back leaves no end of a charge behind, and later entries fold right', async () => {
  const change = changeAt(200);
  house.write(changeAt(1), runAt(10, 20), runAt(100, 20), change, runAt(210, 20), changeAt(300), runAt(310, 20));
  expect(await house.reading.records.endedCharges('p1', 10)).toHaveLength(2);
  house.write(correction(change, {}));
  const [ended, ...more] = await house.reading.records.endedCharges<PumpState>('p1', 10);
  expect(more).toEqual([]);
  expect(ended).toMatchObject({ totals: { runs: 3 } });
  house.write(runAt(220, 5), lookAt(150, { level: 'right' }), lookAt(290, { level: 'right' }));
  expect(await house.reading.records.endedCharges('p1', 10)).toHaveLength(1);
  expect(house.everyState()).toEqual(rebuiltStates(house));
});

test('a change of the set-up rewrites no past run, a correction of a wrong value refolds', () => {
  house.write(runAt(10, 20, 'fd-meat'), runAt(100, 20, 'fd-meat'));
  const before = house.states().p1?.bars.map((b) => b.weightMilli);
  const meat = house.store.book.at(at(1)).material['fd-meat'];
  const version = (validFrom: string) => ({
    id: newId(),
    kind: 'material' as const,
    subjectId: 'fd-meat',
    validFrom,
    recordedAt: at(9000),
    body: { ...meat!, fat: 0 },
  });
  expect(house.writer.writeSetUp(SERVER, [version(at(200))])).toEqual([]);
  expect(house.states().p1?.bars.map((b) => b.weightMilli)).toEqual(before);
  expect(house.writer.writeSetUp(SERVER, [version(at(50))])).toEqual([]);
  expect(house.states().p1?.bars.map((b) => b.weightMilli)).toEqual([before?.[0], 1650]);
  expect(house.everyState()).toEqual(rebuiltStates(house));
});

test('a heavier material moves the runs of which nobody has said what went in', () => {
  const untold = (hours: number) => runAt(hours, 20, 'any-empty', { body: { materialId: null } });
  house.write(untold(10), untold(100));
  const meat = house.store.book.at(at(1)).material['fd-meat'];
  const heavier = {
    id: newId(),
    kind: 'material' as const,
    subjectId: 'fd-brine',
    validFrom: at(50),
    recordedAt: at(9000),
    body: { ...meat!, name: 'Brine', acid: 3 },
  };
  expect(house.writer.writeSetUp(SERVER, [heavier])).toEqual([]);
  // 2.55, and three points of acid more; the first version of a record holds from the beginning.
  expect(house.states().p1?.bars.map((b) => b.weightMilli)).toEqual([3150, 3150]);
  expect(house.everyState()).toEqual(rebuiltStates(house));
});

test('a set-up that names what is not there is refused whole', () => {
  const pump = house.store.book.at(at(1)).pump.p1;
  const issues = house.writer.writeSetUp(SERVER, [
    {
      id: newId(),
      kind: 'pump',
      subjectId: 'p9',
      validFrom: at(1),
      recordedAt: at(1),
      body: { ...pump!, modelId: 'none' },
    },
  ]);
  expect(issues).toMatchObject([{ field: 'pump p9: modelId', value: 'none' }]);
  expect(house.store.book.at(at(2)).pump.p9).toBeUndefined();
});

test('whatever the order of arrival, with corrections and duplicates, the stored states equal a rebuild', async () => {
  const hour = fc.integer({ min: 1, max: 3000 });
  const anyEntry = fc.oneof(
    {
      weight: 5,
      arbitrary: fc
        .tuple(hour, fc.integer({ min: 1, max: 40 }))
        .map(([h, length]): Entry => ({ ...runAt(h, length, 'fd-meat'), acknowledged: ['overlap'] })),
    },
    { weight: 2, arbitrary: fc.tuple(hour, fc.nat(60)).map(([h, freeWaterMl]) => lookAt(h, { freeWaterMl })) },
    { weight: 1, arbitrary: hour.map((h) => changeAt(h)) },
  );
  await fc.assert(
    fc.asyncProperty(
      fc.array(anyEntry, { minLength: 3, maxLength: 40 }),
      fc.array(fc.tuple(fc.nat(), fc.nat(), hour), { maxLength: 12 }),
      fc.infiniteStream(fc.nat()),
      async (entries, changes, keys) => {
        const own = await openHouse();
        try {
          const corrections = changes.map(([which, kind, h], n) => {
            const target = entries[which % entries.length]!;
            const body =
              kind % 2 === 0
                ? ({ action: 'void' } as const)
                : ({ action: 'replace', body: target.body, happenedAt: at(h) } as const);
            return correction(target, body, 4000 + n);
          });
          const arrival = [...entries, ...corrections, ...entries.slice(0, 3)]
            .map((e) => ({ e, k: keys.next().value as number }))
            .sort((a, b) => a.k - b.k);
          for (const { e } of arrival) expect(own.write(e)[0]).toMatch(/ritten$|kept/);
          expect(JSON.stringify(own.everyState())).toBe(
            JSON.stringify(sortedLike(own.everyState(), rebuiltStates(own))),
          );
          const ends = () => own.reading.records.endedCharges('p1', 100);
          const kept = await ends();
          own.writer.rebuildAll();
          expect(own.everyState()).toEqual(rebuiltStates(own));
          expect(await ends()).toEqual(kept);
        } finally {
          await own.close();
        }
      },
    ),
    { numRuns: 15 },
  );
}, 300_000);

const sortedLike = (order: object, values: Record<string, unknown>) =>
  Object.fromEntries(Object.keys(order).map((k) => [k, values[k]]));
