import { correctionAt, runAt } from '@winter-jar/core/testing';
import { clockAheadS, heldAgainst, timedRight } from './clock.js';

const SERVER = '2031-03-09T12:00:00.000Z';
const NOON = Date.parse(SERVER);

// Asked, heard by the device; what it is found to be ahead by.
test.each<[string, number, number, number | null]>([
  ['a minute is no wrong clock', NOON + 60_000, NOON + 60_200, 0],
  ['47 minutes ahead', NOON + 47 * 60_000, NOON + 47 * 60_000, 2820],
  ['a battery that ran empty: a day behind', NOON - 86_400_000, NOON - 86_400_000, -86_400],
  ['an answer of eight seconds is taken at its middle', NOON + 3_600_000 - 4000, NOON + 3_600_000 + 4000, 3600],
])('%s', (_what, asked, heard, ahead) => {
  heldAgainst(SERVER, asked, heard);
  expect(clockAheadS()).toBe(ahead);
});

test('an answer that took too long says nothing', () => {
  heldAgainst(SERVER, NOON, NOON);
  heldAgainst(SERVER, NOON + 3_600_000, NOON + 3_620_000);
  expect(clockAheadS()).toBe(0);
});

test('times are put right, and how far they were off stays with them; what the server said before keeps its moment', () => {
  const run = { ...runAt(10, 2), happenedAt: '2031-03-09T12:47:00.000Z', recordedAt: '2031-03-09T12:50:00.000Z' };
  const right = timedRight(run, 2820, () => true);
  expect([right.happenedAt, right.recordedAt, right.clockAheadS]).toEqual([
    '2031-03-09T12:00:00.000Z',
    '2031-03-09T12:03:00.000Z',
    2820,
  ]);
  expect(timedRight(run, 0, () => true)).toBe(run);
  const word = correctionAt(20, run, { action: 'replace', body: run.body, happenedAt: run.happenedAt });
  const moved = (isOwn: boolean) => {
    const timed = timedRight(word, 2820, () => isOwn);
    return timed.kind === 'correction' && timed.body.happenedAt;
  };
  expect([moved(true), moved(false)]).toEqual(['2031-03-09T12:00:00.000Z', run.happenedAt]);
});
