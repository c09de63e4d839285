import type { Correction, Entry } from '@winter-jar/core';
import { at, runAt } from '@winter-jar/core/testing';
import { clockWords, revisionsOf } from './revisions.js';

const run = { ...runAt(10, 20), who: 'wren' } as Extract<Entry, { kind: 'run' }>;
const correction = (n: number, body: Partial<Correction['body']>): Correction => ({
  ...run,
  id: `20000000-0000-4000-8000-00000000000${n}`,
  kind: 'correction',
  who: 'corin',
  recordedAt: at(100 + n),
  body: { targetId: run.id, supersedes: null, action: 'replace', ...body },
});
const historyOf = (...corrections: Correction[]) => ({
  original: run,
  corrections,
  unsettled: [],
  asks: [],
  counts: null,
  actEntryIds: [],
  contradicted: false,
});

test('an entry that nobody corrected says one thing, and it counts', () => {
  expect(revisionsOf(historyOf())).toEqual([
    { key: run.id, said: run, who: 'wren', recordedAt: run.recordedAt, counts: true, clockAheadS: 0 },
  ]);
});

test('sayings stand in the order of writing, whatever the order of arrival; the last one counts', () => {
  const moved = correction(1, { body: run.body, happenedAt: at(12) });
  const longer = correction(2, { body: { ...run.body, minutes: 1500 } });
  const sayings = revisionsOf(historyOf(longer, moved));
  expect(sayings.map((s) => [s.key, s.counts])).toEqual([
    [run.id, false],
    [moved.id, false],
    [longer.id, true],
  ]);
  expect(sayings[1]?.said).toMatchObject({ happenedAt: at(12), body: run.body });
  // A correction that says no time keeps the original's.
  expect(sayings[2]?.said).toMatchObject({ happenedAt: at(10), body: { minutes: 1500 } });
  expect(sayings[2]?.who).toBe('corin');
});

// By how much it was ahead, as it is said.
test.each([
  [2820, /47\smin ahead: its times were written 47\smin later/],
  [-3600, /60\smin behind: its times were written 60\smin earlier/],
  [10_800, /3\sh ahead/],
  [-864_000, /10\sdays behind/],
])('a clock that was off by %i s', (aheadS, words) => {
  expect(clockWords(aheadS)).toMatch(words);
});

test('what was taken back says nothing any more', () => {
  const [, taken] = revisionsOf(historyOf(correction(1, { action: 'void' })));
  expect(taken).toMatchObject({ said: null, counts: true });
});
