import type { PumpPage } from '@winter-jar/contracts';
import { compareOrder, rebuild, standingAt, type Entry, type Standing } from '@winter-jar/core';
import { at, bookOf, changeAt, entryAt, lookAt, runAt } from '@winter-jar/core/testing';
import fc from 'fast-check';
import { isLate } from '../held/fold-on.js';
import { previewOfLast } from './use-preview.js';

const book = bookOf({ limits: { look: { runs: null, days: null } } });
const stored = [changeAt(1), ...Array.from({ length: 4 }, (_, i) => runAt(24 + i * 48, 20))];

test('shows what the server would say after the entry: the fifth of five runs flips the verdict', () => {
  const now = at(300);
  const setUp = book.pumpAt({ pumpId: 'p1', instant: now });
  if (!setUp) throw new Error('the pump is missing');
  const state = rebuild({ pumpId: 'p1', entries: stored, book });
  const page = { setUp, state, standing: standingAt({ state, setUp, now }) } as unknown as PumpPage;
  const entry: Entry = runAt(250, 20);
  const shown = previewOfLast(page, entry, now);
  expect(shown).toMatchObject({
    kind: 'shown',
    state: rebuild({ pumpId: 'p1', entries: [...stored, entry], book }),
    before: { verdict: 'runOn' },
    after: { verdict: 'beforeNextRun', act: 'change' },
  });
  expect(shown.kind === 'shown' && shown.ruler.bars).toHaveLength(5);
});

const HOURS = 600;
const hour = fc.integer({ min: 1, max: HOURS - 1 });
const anEntry: fc.Arbitrary<Entry> = fc.oneof(
  {
    weight: 6,
    arbitrary: fc
      .tuple(hour, fc.boolean())
      .map(([h, onTop]) => runAt(h, 8, 'any-empty', { body: { beyondTakeOver: onTop } })),
  },
  { weight: 2, arbitrary: hour.map((h) => changeAt(h)) },
  {
    weight: 2,
    arbitrary: fc
      .tuple(hour, fc.constantFrom('bright', 'hazy', 'cloudy' as const))
      .map(([h, clarity]) => lookAt(h, { clarity, freeWaterMl: clarity === 'bright' ? 0 : 20 })),
  },
  {
    weight: 1,
    arbitrary: fc
      .tuple(hour, hour, fc.option(fc.nat(6), { nil: null }))
      .map(([h, ago, runsSince]) => entryAt(h, 'takeOver', { oilChangedAt: at(Math.max(0, h - ago)), runsSince })),
  },
  { weight: 1, arbitrary: hour.map((h) => entryAt(h, 'bleed', { sump: 'oil', drawnMl: 30, waterMl: 15 })) },
  { weight: 1, arbitrary: hour.map((h) => entryAt(h, 'done', { task: 'purge' })) },
);
const told = ({ verdict, act, tasks }: Standing) => ({
  verdict,
  act,
  used: tasks.find((t) => t.task === 'oilChange')?.limits.map((l) => [l.measure, l.used]),
});

test('what is shown before saving is what stands after it, whenever the entry happened and whatever the pump was told', () => {
  const now = at(HOURS);
  const setUp = book.pumpAt({ pumpId: 'p1', instant: now })!;
  let shownHere = 0;
  fc.assert(
    fc.property(fc.array(anEntry, { minLength: 1, maxLength: 12 }), anEntry, (some, entry) => {
      const entries = [...some].sort(compareOrder);
      const state = rebuild({ pumpId: 'p1', entries, book });
      const page = { setUp, state, standing: standingAt({ state, setUp, now }) } as unknown as PumpPage;
      // The server is asked about the others.
      if (isLate(state, entry)) return;
      shownHere += 1;
      const preview = previewOfLast(page, entry, now);
      const all = [...entries, entry].sort(compareOrder);
      const stands = standingAt({ state: rebuild({ pumpId: 'p1', entries: all, book }), setUp, now });
      expect(preview.kind === 'shown' && told(preview.after)).toEqual(told(stands));
    }),
    { numRuns: 400, seed: 14 },
  );
  expect(shownHere).toBeGreaterThan(100);
});
