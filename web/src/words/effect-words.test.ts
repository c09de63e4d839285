import type { PumpEffect, RoundRow } from '@winter-jar/contracts';
import type { Words } from './words.js';
import { countWords, standingWords } from './effect-words.js';

const row = (more: Partial<RoundRow>): RoundRow =>
  ({ verdict: 'runOn', act: null, reasons: [], nextTask: null, carriedOverRuns: 0, ...more }) as RoundRow;
const effect = (more: Partial<PumpEffect>): PumpEffect => ({
  pumpId: 'p1',
  name: 'P-1',
  before: row({}),
  after: row({}),
  runsBefore: 12,
  runsAfter: 12,
  hoursBefore: 240,
  hoursAfter: 240,
  weightBefore: 15,
  weightAfter: 15,
  ...more,
});
const words = { print: {}, zone: 'Europe/Lisbon', now: '2031-06-01T10:00:00.000Z' } as Words;

test('only the counts that move are said, with the digits that show', () => {
  expect(countWords(effect({}))).toEqual([]);
  expect(countWords(effect({ runsAfter: 13, hoursAfter: 260.4, weightAfter: 16.65 }))).toEqual([
    '12 → 13 runs in all',
    '240 → 260 h in all',
    '15 → 16.7 weighted runs in all',
  ]);
  expect(countWords(effect({ weightAfter: 15.01 }))).toEqual([]);
  expect(countWords(effect({ after: row({ carriedOverRuns: 2 }) }))).toEqual(['0 → 2 runs on oil carried over']);
});

test('how a pump stands is said twice only when it differs', () => {
  expect(standingWords(effect({}), words)).toEqual({ before: 'Run on · Nothing logged yet', after: null });
  const changed = effect({ after: row({ verdict: 'beforeNextRun', act: 'change' }) });
  expect(standingWords(changed, words).after).toMatch(/^Change before next run/);
  expect(standingWords(effect({ after: null }), words).after).toBe('not on the Round');
});
