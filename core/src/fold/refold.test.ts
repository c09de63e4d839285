import fc from 'fast-check';
import { at, bookOf, changeAt, entryAt, lookAt, runAt } from '../testing/small-yard.js';
import { compareOrder, effectiveEntries, type Correction, type Entry, type JournalEntry } from '../journal/index.js';
import { rebuild, refoldPump } from './pump-projection.js';
import { CHECKPOINT_EVERY } from './refold.js';
import { initialState } from './first-state.js';
import { MAX_BARS } from './state.js';

const book = bookOf();
const fold = (entries: Entry[]) =>
  refoldPump({ from: initialState('p1'), entries: [...entries].sort(compareOrder), book });

const hour = fc.integer({ min: 0, max: 2000 });
const LAB_DAYS = 24;
const anySample = fc
  .record({
    hours: hour,
    days: fc.integer({ min: 0, max: 20 }),
    iron: fc.option(fc.integer({ min: 0, max: 150 })),
    water: fc.option(fc.integer({ min: 0, max: 900 })),
  })
  .map(({ hours, days, iron, water }) => {
    const sample = entryAt(hours, 'labSample', { sump: 'oil', drawnMl: 100 });
    const values = { ironPpm: iron, waterPpm: water, acidMgKohG: 0.1 };
    return [sample, entryAt(hours + days * LAB_DAYS, 'labResult', { sampleId: sample.id, ...values })];
  });
const anyEntry = fc.oneof(
  fc
    .record({
      hours: hour,
      length: fc.integer({ min: 1, max: 60 }),
      material: fc.constantFrom('any-empty', 'fd-meat', 'co-polyester'),
    })
    .map((r) => runAt(r.hours, r.length, r.material)),
  fc
    .record({ hours: hour, water: fc.integer({ min: 0, max: 90 }), colour: fc.integer({ min: 1, max: 16 }) })
    .map((r) => lookAt(r.hours, { freeWaterMl: r.water, colour: r.colour / 2 })),
  fc
    .record({ hours: hour, water: fc.integer({ min: 0, max: 40 }) })
    .map((r) => entryAt(r.hours, 'bleed', { sump: 'oil', drawnMl: r.water + 10, waterMl: r.water })),
  hour.map((h) => changeAt(h)),
);

function correctionOf(target: Entry, n: number, hours: number, kind: 'void' | 'move'): Correction {
  const id = `20000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
  const body =
    kind === 'void'
      ? { targetId: target.id, supersedes: null, action: 'void' as const }
      : { targetId: target.id, supersedes: null, action: 'replace' as const, body: target.body, happenedAt: at(hours) };
  return { ...target, id, actId: id, kind: 'correction', recordedAt: at(3000 + n), body };
}

const anyJournal = fc
  .tuple(fc.array(anyEntry, { minLength: 1, maxLength: 60 }), fc.array(anySample, { maxLength: 6 }))
  .map(([entries, lab]) => [...entries, ...lab.flat()])
  .chain((entries) =>
    fc.tuple(
      fc.constant(entries),
      fc.array(
        fc.record({
          which: fc.nat(entries.length - 1),
          hours: hour,
          kind: fc.constantFrom('void' as const, 'move' as const),
        }),
        { maxLength: 20 },
      ),
    ),
  )
  .map(([entries, changes]): JournalEntry[] => [
    ...entries,
    ...changes.flatMap(({ which, hours, kind }, n) =>
      entries[which] ? [correctionOf(entries[which], n, hours, kind)] : [],
    ),
  ]);

test('a journal counts the same in any order of arrival, with duplicates', () => {
  fc.assert(
    fc.property(anyJournal, fc.infiniteStream(fc.nat()), (journal, keys) => {
      const arrival = [...journal, ...journal.slice(0, 5)]
        .map((e) => ({ e, k: keys.next().value as number }))
        .sort((a, b) => a.k - b.k);
      expect(effectiveEntries(arrival.map((x) => x.e))).toEqual(effectiveEntries(journal));
    }),
    { numRuns: 100 },
  );
});

test('going on from any state on the way gives the state of a rebuild, bit for bit', () => {
  fc.assert(
    fc.property(anyJournal, fc.nat(60), (journal, cut) => {
      const entries = effectiveEntries(journal);
      const first = refoldPump({ from: initialState('p1'), entries: entries.slice(0, cut), book });
      const stored = JSON.parse(JSON.stringify(first.state)) as typeof first.state;
      const rest = refoldPump({ from: stored, entries: entries.slice(cut), book });
      expect(JSON.stringify(rest.state)).toBe(JSON.stringify(rebuild({ pumpId: 'p1', entries, book })));
    }),
    { numRuns: 100 },
  );
});

test('checkpoints stand at each charge’s end and at least every 200 entries', () => {
  const runs = Array.from({ length: 450 }, (_, i) => runAt(10 + i * 3, 1));
  const { checkpoints } = fold([changeAt(1), ...runs, changeAt(2000), runAt(2010, 5)]);
  expect(checkpoints.filter((c) => c.endedPeriod === null).map((c) => c.state.entries)).toEqual([
    CHECKPOINT_EVERY,
    2 * CHECKPOINT_EVERY,
  ]);
  const [ended] = checkpoints.filter((c) => c.endedPeriod !== null);
  expect(ended).toMatchObject({ endedPeriod: 1, state: { entries: 451, totals: { runs: 450, minutes: 27_000 } } });
});

test('the state stays small however long the charge', () => {
  const { state } = fold([changeAt(1), ...Array.from({ length: 300 }, (_, i) => runAt(10 + i * 3, 1))]);
  expect(state.bars).toHaveLength(MAX_BARS);
  expect(state.collapsed).toMatchObject({ runs: 280, weightMilli: 140_000, minutes: 16_800 });
  expect(JSON.stringify(state).length).toBeLessThan(10_000);
});

test('an entry out of order, or of another pump, is a fault and is named', () => {
  const run = runAt(10, 5);
  expect(() => refoldPump({ from: initialState('p1'), entries: [run, run], book })).toThrow(/does not come after/);
  expect(() => refoldPump({ from: initialState('d1'), entries: [run], book })).toThrow(/does not name pump d1/);
  const elsewhere = { ...run, subjects: [{ type: 'pump' as const, id: 'nobody' }] };
  expect(() => rebuild({ pumpId: 'nobody', entries: [elsewhere], book })).toThrow(/nobody is not in the set-up/);
});
