import { QUESTION_CODES, type SetUpEffect } from '@winter-jar/contracts';
import type { Entry, SetUpKind, SetUpVersion } from '@winter-jar/core';
import { SERVER } from '../journal/actor.js';
import { serveHouse, versionOf, type ServedHouse } from '../testing/served-house.js';
import { openHouse, rebuiltStates, type TestHouse } from '../testing/test-house.js';
import { at, changeAt, entryAt, runAt, START } from '@winter-jar/core/testing';
import fc from 'fast-check';
import { v7 as newId } from 'uuid';

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

/** A busy machine answers with what was found so far. */
async function wholeEffect(versions: readonly SetUpVersion[]): Promise<SetUpEffect> {
  let answer = (await post('/api/set-up/preview', { versions }).expect(200)).body as SetUpEffect;
  while (answer.id !== null) {
    await new Promise((wait) => setTimeout(wait, 50));
    answer = (await get(`/api/set-up/preview/${answer.id}`).expect(200)).body as SetUpEffect;
  }
  return answer;
}

/** Names of pumps whose state is written while `act` runs. */
function refolded(act: () => void): string[] {
  const { writer } = house.database;
  writer.exec(
    "CREATE TEMP TABLE IF NOT EXISTS seen (p); DELETE FROM seen; CREATE TEMP TRIGGER IF NOT EXISTS see AFTER UPDATE ON subject_state WHEN new.subjectType = 'pump' BEGIN INSERT INTO seen VALUES (new.subjectId); END",
  );
  act();
  return [...new Set((writer.prepare('SELECT p FROM seen').all() as { p: string }[]).map((r) => r.p))].sort();
}

describe('changes and corrections', () => {
  beforeEach(() => {
    house.write(runAt(10, 20, 'fd-meat'), runAt(100, 20, 'any-empty'));
    house.write(runAt(10, 20, 'any-empty', { pumpId: 'd1' }));
    house.write(runAt(12, 5, 'any-empty', { pumpId: 'b1', equipmentId: 'line' }));
  });
  const weights = () => house.states().p1?.bars.map((b) => b.weightMilli);

  test('a change of rules rewrites no past run; the correction of a wrong value moves them', () => {
    const before = weights();
    const change = version('equipment', 'chamber', at(200), { referenceHours: 10 });
    expect(house.writer.writeSetUp(SERVER, [change])).toEqual([]);
    expect(weights()).toEqual(before);
    const correction = version('equipment', 'chamber', START, { referenceHours: 10 });
    expect(house.writer.writeSetUp(SERVER, [correction])).toEqual([]);
    // 20 h where 10 h are a plain run: twice the weight, for both runs.
    expect(weights()).toEqual(before?.map((w) => w * 2));
    expect(house.everyState()).toEqual(rebuiltStates(house));
  });

  test('a correction refolds only what it touches', () => {
    const material = version('material', 'fd-meat', START, { fat: 0 });
    expect(refolded(() => house.writer.writeSetUp(SERVER, [material]))).toEqual(['p1']);
    const line = version('equipment', 'line', START, { referenceHours: 4 });
    expect(refolded(() => house.writer.writeSetUp(SERVER, [line]))).toEqual(['b1']);
    const person = { ...version('person', 'wren', at(8000), {}), body: { name: 'Wren' } } as SetUpVersion;
    expect(refolded(() => house.writer.writeSetUp(SERVER, [person]))).toEqual([]);
    const dry = version('pump', 'd1', START, { name: 'D-9' });
    expect(refolded(() => house.writer.writeSetUp(SERVER, [dry]))).toEqual(['d1']);
  });

  test('of a run counted in cycles the end follows a corrected cycle time', () => {
    const cycles = entryAt(
      300,
      'run',
      { materialId: 'any-empty', cycles: 1200, session: 'run', ballast: 'open', ventedBeforeStop: 'yes' },
      { equipmentId: 'line' },
    );
    house.write(cycles);
    const endOf = () => house.reading.sql.countedById.get(cycles.id)?.endedAt;
    expect(endOf()).toBe(at(310)); // 1,200 cycles of 30 s
    house.writer.writeSetUp(SERVER, [version('equipment', 'line', START, { cycleTimeS: 60 })]);
    expect(endOf()).toBe(at(320));
  });

  test('what a set-up would move is shown without moving it', async () => {
    const before = JSON.stringify(house.states());
    const correction = version('equipment', 'chamber', START, { referenceHours: 10 });
    const answer = await wholeEffect([correction]);
    expect(answer).toMatchObject({
      issues: [],
      // Two plain runs and one with meat on p1, one on d1; the booster ran elsewhere.
      effects: [{ pumpId: 'p1', weightBefore: expect.any(Number) as number }, { pumpId: 'd1' }],
    });
    const [p1] = answer.effects;
    expect(p1?.weightAfter).toBeCloseTo((p1?.weightBefore ?? 0) * 2);
    expect(JSON.stringify(house.states())).toBe(before);
    expect(house.store.versions.some((v) => v.id === correction.id)).toBe(false);
  });

  test('a version that is sent twice at once is one; another under its id is refused', async () => {
    const named = version('pump', 'p1', at(8000), { name: 'Once' });
    await post('/api/set-up', { versions: [named, named] }).expect(201);
    const other = { ...version('pump', 'd1', at(8000), { name: 'Two' }), id: named.id };
    const fresh = version('pump', 'p1', at(8001), { name: 'Three' });
    for (const versions of [[other], [fresh, { ...other, id: fresh.id }]])
      expect((await post('/api/set-up', { versions }).expect(400)).body).toMatchObject({
        issues: [{ code: 'idTaken' }],
      });
  });

  test('an edit that saw an older version is refused, one of another record is not', async () => {
    const { tag } = (await get('/api/set-up').expect(200)).body as { tag: string };
    const mine = version('pump', 'p1', at(8000), { name: 'Mine' });
    await post('/api/set-up', { versions: [mine] }, { 'If-Match': `"${tag}"` }).expect(201);
    const theirs = version('pump', 'p1', at(8001), { name: 'Theirs' });
    const refused = await post('/api/set-up', { versions: [theirs] }, { 'If-Match': `"${tag}"` }).expect(412);
    expect(refused.body).toMatchObject({ code: 'changedMeanwhile', issues: [{ field: 'pump p1' }] });
    const other = version('pump', 'd1', at(8001), { name: 'Other' });
    await post('/api/set-up', { versions: [other] }, { 'If-Match': `"${tag}"` }).expect(201);
    // A retry whose answer was lost is no edit of an older version.
    await post('/api/set-up', { versions: [mine] }, { 'If-Match': `"${tag}"` }).expect(201);
  });

  test.each<[string, SetUpKind, string, object, string, RegExp]>([
    ['a name of blanks', 'pump', 'p1', { name: '   ' }, 'name', /a name of 1 to 60/],
    [
      'a charge above the housing',
      'pumpModel',
      'vane',
      { sumps: [{ key: 'oil', chargeMl: 900, housingMl: 800, holdUpMl: 20 }] },
      'sumps.0.housingMl',
      /at least the charge, 900/,
    ],
    ['a vane pump without oil', 'pumpModel', 'vane', { sumps: [] }, 'sumps', /the sumps oil/],
    [
      'a dry pump with oil',
      'pumpModel',
      'dry',
      { sumps: [{ key: 'oil', chargeMl: 9, housingMl: 9, holdUpMl: 0 }] },
      'sumps',
      /no sump/,
    ],
    [
      'a lock that a house leaves out',
      'pumpModel',
      'vane',
      { ownSteps: [{ id: 'a', procedure: 'oilChange', step: 'lock', way: 'leaveOut' }] },
      'ownSteps.0.way',
      /^reword: a step with a caution/,
    ],
    [
      'a step of a house without words',
      'pumpModel',
      'vane',
      { ownSteps: [{ id: 'a', procedure: 'oilChange', step: 'lock', way: 'before' }] },
      'ownSteps.0.words',
      /^what is to be done/,
    ],
    [
      'the same step of a house twice',
      'pumpModel',
      'vane',
      { ownSteps: ['x', 'y'].map((words) => ({ id: 'a', procedure: 'inlet', step: 'off', way: 'before', words })) },
      'ownSteps',
      /each own step once/,
    ],
    ['a rating of 4', 'material', 'fd-meat', { fat: 4 }, 'fat', /a rating from 0 to 3/],
    ['a limit of nought', 'pump', 'p1', { limits: { oilChange: { runs: 0 } } }, 'limits', /a number above 0/],
    ['a zone that is none', 'site', 'site', { zone: 'Moon/Base' }, 'zone', /an IANA time zone/],
    ['a place that is none', 'pump', 'p1', { place: 'lost' }, 'place', /one of inService/],
  ])('%s is refused at its field', async (_, kind, id, changes, field, right) => {
    const answer = await post('/api/set-up', { versions: [version(kind, id, START, changes)] }).expect(400);
    expect(answer.body).toMatchObject({ issues: [{ field: `versions.0.body.${field}` }] });
    expect((answer.body as { issues: { right: string }[] }).issues[0]?.right).toMatch(right);
  });

  test('an entry’s effect is shown without writing it', async () => {
    const late = changeAt(50);
    const answer = await post('/api/entries/preview', { entries: [late] }).expect(200);
    expect(answer.body).toMatchObject({
      answers: [{ status: 'written' }],
      effects: [{ pumpId: 'p1', runsBefore: 2, runsAfter: 2 }],
    });
    expect(house.journal().map((e) => e.id)).not.toContain(late.id);
  });
});

test('set-up changes, moved pumps, replaced meters, runs that go on and corrections: in any order the states equal a rebuild', async () => {
  const hour = fc.integer({ min: 1, max: 2000 });
  const entry = fc.oneof(
    fc
      .tuple(hour, fc.constantFrom('chamber', 'line'))
      .map(([h, equipmentId]) => runAt(h, 9, 'fd-meat', { equipmentId })),
    hour.map((h) => changeAt(h)),
    fc.tuple(hour, fc.nat(3000)).map(([h, m]) => entryAt(h, 'meter', { action: 'read', minutes: m * 60 })),
    fc
      .tuple(hour, fc.nat(3000))
      .map(([h, m]) => entryAt(h, 'meter', { action: 'replaced', minutes: m * 60, newMinutes: 60 })),
    fc.tuple(hour, fc.nat(9)).map(([h, runsSince]) => entryAt(h, 'takeOver', { oilChangedAt: at(h - 1), runsSince })),
    hour.map((h) =>
      entryAt(
        h,
        'run',
        { materialId: 'any-empty', stillRunning: true, session: 'run', ballast: 'open', ventedBeforeStop: 'yes' },
        { equipmentId: 'chamber' },
      ),
    ),
  );
  const setUp = fc.tuple(
    fc.constantFrom<[SetUpKind, string, object]>(
      ['pump', 'p1', { equipmentId: 'line' }],
      ['pump', 'p1', { limits: { oilChange: { runs: 2 } } }],
      ['equipment', 'chamber', { referenceHours: 7 }],
      ['equipment', 'line', { referenceHours: 3, cycleTimeS: 10 }],
      ['material', 'fd-meat', { fat: 0 }],
      ['site', 'site', { zone: 'Pacific/Auckland' }],
      ['pumpModel', 'vane', { operatingOilTempC: 95 }],
      ['houseRules', 'house', { limits: { oilChange: { hours: 40 } } }],
    ),
    fc.oneof(
      hour.map((h) => at(h)),
      fc.constant(START),
    ),
  );
  const correct = fc.tuple(fc.nat(), fc.boolean(), hour);
  await fc.assert(
    fc.asyncProperty(
      fc.array(
        fc.oneof(
          { weight: 4, arbitrary: entry.map((e) => ({ do: 'entry' as const, e })) },
          { weight: 1, arbitrary: setUp.map((s) => ({ do: 'setUp' as const, s })) },
          { weight: 1, arbitrary: correct.map((c) => ({ do: 'correct' as const, c })) },
        ),
        { minLength: 5, maxLength: 40 },
      ),
      async (acts) => {
        const own = await openHouse();
        try {
          const written: Entry[] = [];
          acts.forEach((act, n) => {
            if (act.do === 'entry') {
              const e = { ...act.e, id: newId(), acknowledged: QUESTION_CODES } as Entry;
              const sent = { ...e, actId: e.id };
              expect(own.write(sent)).toEqual(['written']);
              written.push(sent);
            } else if (act.do === 'setUp') {
              const [[kind, subjectId, changes], validFrom] = act.s;
              const body = { ...(own.store.book.at(validFrom)[kind][subjectId] as object | undefined), ...changes };
              const v = { id: newId(), kind, subjectId, validFrom, recordedAt: at(7000 + n), body } as SetUpVersion;
              expect(own.writer.writeSetUp(SERVER, [v])).toEqual([]);
            } else if (written.length > 0) {
              const target = written[act.c[0] % written.length]!;
              const id = newId();
              const body = act.c[1]
                ? { action: 'void' }
                : { action: 'replace', body: target.body, happenedAt: at(act.c[2]) };
              const fits = target.kind !== 'takeOver' || act.c[1];
              if (!fits) return;
              const said = { targetId: target.id, supersedes: null, ...body };
              expect(
                own.write({ ...target, id, actId: id, kind: 'correction', recordedAt: at(6000 + n), body: said }),
              ).toEqual(['written']);
            }
          });
          expect(own.everyState()).toEqual(rebuiltStates(own));
          const ends = () => own.database.reader.prepare('SELECT entryId, endedAt FROM counted_entry ORDER BY 1').all();
          const kept = ends();
          own.writer.rebuildAll();
          expect(own.everyState()).toEqual(rebuiltStates(own));
          expect(ends()).toEqual(kept);
        } finally {
          await own.close();
        }
      },
    ),
    { numRuns: 25 },
  );
}, 600_000);
