import { QUESTION_CODES, type RoundRow } from '@winter-jar/contracts';
import { ENTRY_KINDS, type Correction, type Entry, type EntryKind, type SetUpVersion } from '@winter-jar/core';
import { at, caseAt, entryAt, jobAt, lookAt, runAt, versionsOf } from '@winter-jar/core/testing';
import fc from 'fast-check';
import { SERVER } from '../journal/actor.js';
import { contentHash } from '../journal/content-hash.js';
import { RoundService } from '../round/round.service.js';
import { nowMs, openHouse, rebuiltStates, type TestHouse } from '../testing/test-house.js';
import { EffectService } from './effect.service.js';

const RUNS = Number(process.env.PREVIEW_RUNS ?? 60);
const HOURS = 600;
const hour = fc.integer({ min: 2, max: HOURS });
const SAMPLE = entryAt(1, 'labSample', { sump: 'oil', drawnMl: 100 });
const CASE = caseAt.opened(1);
const JOB = jobAt.started(1, 'oilChange');

/** An entry of each kind, at any time; reports speak of a sample, cases of a case and steps of a job that each pump has. */
const MAKE: Readonly<Record<EntryKind, (h: number, n: number) => Entry>> = {
  run: (h, n) => runAt(h, 1 + (n % 30), n % 2 ? 'fd-meat' : 'any-empty', { equipmentId: 'chamber' }),
  look: (h, n) => lookAt(h, n % 3 ? { clarity: 'bright', freeWaterMl: 0 } : { clarity: 'cloudy', freeWaterMl: 40 }),
  bleed: (h, n) => entryAt(h, 'bleed', { sump: 'oil', drawnMl: 40, waterMl: n % 2 ? 20 : null }),
  topUp: (h) => entryAt(h, 'topUp', { sump: 'oil', productId: 'oil-a', addedMl: 50 }),
  change: (h, n) =>
    entryAt(h, 'change', {
      ...{ sump: 'oil', productId: n % 4 ? 'oil-a' : 'oil-b', inMl: 700 },
      ...(n % 3 ? {} : { fromContainerId: 'can', intoContainerId: 'jar' }),
    }),
  done: (h, n) => entryAt(h, 'done', { task: n % 2 ? 'purge' : 'exhaustFilter' }),
  labSample: (h) => entryAt(h, 'labSample', { sump: 'oil', drawnMl: 100 }),
  labResult: (h, n) => entryAt(h, 'labResult', { sampleId: SAMPLE.id, waterPpm: n * 40, acidMgKohG: n % 5 }),
  meter: (h, n) => entryAt(h, 'meter', { action: 'read', minutes: h * 60 + n }),
  takeOver: (h, n) => entryAt(h, 'takeOver', { oilChangedAt: at(Math.max(0, h - n * 5)), runsSince: n % 7 }),
  test: (h, n) =>
    entryAt(h, 'test', { findings: [{ id: 'noise', state: n % 2 ? 'grinding' : 'usual', certainty: 1 }] }),
  note: (h) => entryAt(h, 'note', { text: 'seen' }),
  caseOpened: (h, n) => caseAt.opened(h, `case-${n}`),
  caseClosed: (h, n) => caseAt.closed(h, n % 3 ? 'condensation' : null),
  caseChecked: (h, n) => caseAt.checked(h, n % 2 === 0),
  jobStarted: (h, n) => jobAt.started(h, 'bleed', `job-${n}`),
  jobStep: (h, n) =>
    n % 2
      ? jobAt.step(h, 'drain', { visit: 1 + n, phase: 'begun', until: at(h + 1), oil: 'out' })
      : jobAt.step(h, 'fill', { visit: 1 + n, value: 700, oil: 'in' }),
  jobMoved: (h, n) => jobAt.moved(h, { how: n % 2 ? 'paused' : 'resumed' }),
  jobEnded: (h, n) => jobAt.ended(h, n % 2 ? 'done' : 'givenUp'),
  transfer: (h, n) => ofContainer('jar', entryAt(h, 'transfer', { fromId: 'jar', toId: 'can', oilMl: 1 + n })),
  stocktake: (h, n) => ofContainer('jar', entryAt(h, 'stocktake', { oilMl: n * 20, waterMl: n })),
  opened: (h) => ofContainer('can', entryAt(h, 'opened', {})),
  mediaChange: (h) => ofContainer('jar', entryAt(h, 'mediaChange', { mediaId: 'spin-on', holdUpMl: 30 })),
};
const ofContainer = (id: string, entry: Entry): Entry => ({ ...entry, subjects: [{ type: 'container', id }] });
const CONTAINERS = ['can', 'jar'].map((subjectId, i) => ({
  ...{ id: `70000000-0000-4000-8000-${String(i).padStart(12, '0')}`, kind: 'container', subjectId },
  ...{ validFrom: at(0), recordedAt: at(0) },
  body: { name: subjectId, vessel: 'can', holdsMl: 20_000, siteId: 'site' },
}));
const anEntry = fc.tuple(fc.constantFrom(...ENTRY_KINDS), hour, fc.nat(40)).map(([kind, h, n]) => MAKE[kind](h, n));

type Deed =
  | { readonly how: 'written' | 'imported'; readonly entry: Entry }
  | { readonly how: 'voided' | 'moved in time'; readonly which: number; readonly to: number };
const aDeed: fc.Arbitrary<Deed> = fc.oneof(
  anEntry.map((entry) => ({ how: 'written', entry }) as const),
  anEntry.map((entry) => ({ how: 'imported', entry }) as const),
  fc.tuple(fc.nat(20), hour).map(([which, to]) => ({ how: 'voided', which, to }) as const),
  fc.tuple(fc.nat(20), hour).map(([which, to]) => ({ how: 'moved in time', which, to }) as const),
);

let house: TestHouse;
beforeAll(async () => {
  house = await openHouse();
  const pump = versionsOf().find((v) => v.subjectId === 'p1') as SetUpVersion;
  const more = Array.from({ length: RUNS * 3 }, (_, i) => ({
    ...pump,
    id: `50000000-0000-4000-8000-${String(i).padStart(12, '0')}`,
    subjectId: `q${i}`,
    body: { ...pump.body, name: `Q-${i}` },
  }));
  expect(house.writer.writeSetUp(SERVER, [...more, ...CONTAINERS] as SetUpVersion[])).toEqual([]);
});
afterAll(() => house.close());

let made = 0;
/** The same entry of another pump, with an id of its own. */
const of = (pumpId: string, entry: Entry, sampleId: string): Entry => {
  made += 1;
  const id = `60000000-0000-4000-8000-${String(made).padStart(12, '0')}`;
  const own = {
    pump: () => pumpId,
    case: (caseId: string) => `${caseId}-${pumpId}`,
    job: (jobId: string) => `${jobId}-${pumpId}`,
    equipment: (one: string) => one,
    container: (one: string) => one,
  };
  const subjects = entry.subjects.map((s) => ({ ...s, id: own[s.type](s.id) }));
  const body = entry.kind === 'labResult' ? { ...entry.body, sampleId } : entry.body;
  return { ...entry, id, actId: id, subjects, body, acknowledged: QUESTION_CODES } as Entry;
};

test('what is shown before is what stands after: any kind at any time, corrected, taken back, or imported', () => {
  const effect = new EffectService({ nowMs }, house.store, house.writer);
  const rowOf = (pumpId: string): RoundRow | undefined =>
    new RoundService({ nowMs }, house.reading, house.store).round(null).rows.find((row) => row.pumpId === pumpId);
  let pumps = 0;
  let shown = 0;
  fc.assert(
    fc.property(fc.array(anEntry, { minLength: 1, maxLength: 8 }), aDeed, (some, deed) => {
      const pumpId = `q${pumps++}`;
      const sample = of(pumpId, SAMPLE, '');
      const entries = [
        sample,
        of(pumpId, CASE, ''),
        of(pumpId, JOB, ''),
        ...some.map((entry) => of(pumpId, entry, sample.id)),
      ];
      house.write(...entries);
      const sent = sentBy(deed, entries, pumpId, sample.id);
      const before = rowOf(pumpId);
      const { effects, answers } = effect.ofEntries(SERVER, [sent]);
      expect(rowOf(pumpId)).toEqual(before);
      if (answers[0]?.status !== 'written') return;
      if (deed.how === 'imported') importAlone(sent as Entry);
      else expect(house.write(sent)).toEqual(['written']);
      const after = rowOf(pumpId);
      const told = effects.find((one) => one.pumpId === pumpId);
      // What changes nothing but a date is not told.
      if (told) shown += 1;
      expect(told?.after ?? after).toEqual(after);
    }),
    { numRuns: RUNS, seed: 14 },
  );
  expect(shown).toBeGreaterThan(RUNS / 3);
  expect(house.everyState()).toEqual(rebuiltStates(house));
});

function sentBy(deed: Deed, entries: readonly Entry[], pumpId: string, sampleId: string): Entry | Correction {
  if ('entry' in deed) return of(pumpId, deed.entry, sampleId);
  const target = entries[1 + (deed.which % (entries.length - 1))] ?? entries[0];
  if (!target) throw new Error('no entry');
  const { id, kind: _kind, body, ...envelope } = of(pumpId, target, sampleId);
  const said = deed.how === 'voided' ? { action: 'void' } : { action: 'replace', body, happenedAt: at(deed.to) };
  const correction = { targetId: target.id, supersedes: null, saw: [], ...said };
  return { ...envelope, id, kind: 'correction', body: correction, recordedAt: at(HOURS + 1) } as Correction;
}

function importAlone(entry: Entry): void {
  const { bulk } = house.writer;
  bulk.open(entry.id);
  bulk.write(SERVER, entry.id, [{ entry, contentHash: contentHash(entry), content: JSON.stringify(entry) }]);
  while (bulk.catchUp() !== null);
  bulk.close(entry.id);
}
