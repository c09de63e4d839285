import { at, runAt } from '../testing/small-yard.js';
import { correctionsConflict, effectiveEntries, effectiveEntry } from './corrections.js';
import type { Correction, CorrectionBody } from './entry.js';
import { isZone, localDay, localTime } from './local-day.js';

const run = runAt(10, 5);
const correction = (n: number, recordedHours: number, body: Partial<CorrectionBody>): Correction => ({
  ...run,
  id: `30000000-0000-4000-8000-${String(n).padStart(12, '0')}`,
  kind: 'correction',
  recordedAt: at(recordedHours),
  body: { targetId: run.id, supersedes: null, action: 'void', ...body },
});

test('the greatest (recordedAt, id) wins', () => {
  const moved = correction(1, 100, { action: 'replace', body: run.body, happenedAt: at(12) });
  const voided = correction(2, 101, { supersedes: moved.id });
  expect(effectiveEntry(run, [voided, moved])).toBeNull();
  expect(effectiveEntry(run, [moved])).toMatchObject({ id: run.id, happenedAt: at(12) });
  const sameMoment = correction(3, 101, {
    action: 'replace',
    body: run.body,
    happenedAt: at(14),
    supersedes: moved.id,
  });
  expect(effectiveEntry(run, [sameMoment, voided, moved])?.happenedAt).toBe(at(14));
});

test('two that saw the same predecessor are flagged', () => {
  const a = correction(1, 100, {});
  const b = correction(2, 101, {});
  const c = correction(3, 102, { supersedes: a.id });
  expect(correctionsConflict([a])).toBe(false);
  expect(correctionsConflict([a, c])).toBe(false);
  expect(correctionsConflict([a, b])).toBe(true);
  // c knew of a alone; b lies between them.
  expect(correctionsConflict([b, c, a])).toBe(true);
});

test('a later correction that saw both settles the matter, until another one that it did not see arrives', () => {
  const a = correction(1, 100, {});
  const b = correction(2, 101, {});
  const settled = correction(3, 102, { supersedes: b.id, saw: [a.id, b.id] });
  expect(correctionsConflict([settled, a, b])).toBe(false);
  expect(correctionsConflict([settled, a, b, correction(4, 100.5, {})])).toBe(true);
});

test('a correction whose target is not here yet waits', () => {
  const waiting = correction(1, 100, {});
  expect(effectiveEntries([waiting])).toEqual([]);
  expect(effectiveEntries([waiting, run])).toEqual([]);
});

test('what was set aside says nothing, nor do the words by which it was, in any order of arrival', () => {
  const wrong = correction(1, 100, { action: 'replace', body: run.body, happenedAt: at(12) });
  const aside = correction(2, 101, { action: 'setAside', saw: [wrong.id] });
  const moved = correction(3, 99, { action: 'replace', body: run.body, happenedAt: at(14) });
  for (const said of [
    [wrong, aside, moved],
    [aside, moved, wrong],
  ]) {
    expect(effectiveEntry(run, said)?.happenedAt).toBe(at(14));
    expect(correctionsConflict(said)).toBe(false);
  }
  expect(effectiveEntry(run, [aside, wrong])).toEqual(run);
  expect(effectiveEntries([aside])).toEqual([]);
});

// Lisbon keeps UTC in winter and is an hour ahead in summer; 2031-03-30 is the change.
test.each([
  ['2031-01-10T23:30:00.000Z', 'Europe/Lisbon', '2031-01-10'],
  ['2031-07-10T23:30:00.000Z', 'Europe/Lisbon', '2031-07-11'],
  ['2031-03-29T23:59:00.000Z', 'Europe/Lisbon', '2031-03-29'],
  ['2031-03-30T23:30:00.000Z', 'Europe/Lisbon', '2031-03-31'],
  ['2031-01-10T02:00:00.000Z', 'America/New_York', '2031-01-09'],
])('%s in %s is the day %s', (instant, zone, day) => {
  expect(localDay({ at: instant, zone })).toBe(Date.parse(`${day}T00:00:00Z`) / 86_400_000);
});

// The same change of the clocks: 01:00 UTC; New York is five hours behind in winter.
test.each([
  ['2031-01-10T23:30:00.000Z', 'Europe/Lisbon', '23:30'],
  ['2031-03-30T00:59:00.000Z', 'Europe/Lisbon', '00:59'],
  ['2031-03-30T01:00:00.000Z', 'Europe/Lisbon', '02:00'],
  ['2031-01-10T02:05:00.000Z', 'America/New_York', '21:05'],
  ['2031-01-10T18:45:00.000Z', 'Asia/Calcutta', '00:15'],
])('%s in %s is %s on the clock', (at, zone, time) => expect(localTime({ at, zone })).toBe(time));

test('an instant or a zone that does not exist is named', () => {
  expect(() => localDay({ at: 'yesterday', zone: 'Europe/Lisbon' })).toThrow(/"yesterday"/);
  expect(() => localDay({ at: at(1), zone: 'Moon/Base' })).toThrow(/"Moon\/Base"/);
});

test.each([
  ['Europe/Lisbon', true],
  ['UTC', true],
  ['Asia/Calcutta', true],
  ['America/Argentina/Buenos_Aires', true],
  ['Etc/GMT+5', true],
  ['europe/lisbon', false],
  ['Europe/LISBON', false],
  ['GMT', false],
  ['EST', false],
  ['+01:00', false],
  ['Europe/Nowhere', false],
  ['', false],
  ['__proto__', false],
])('%s is a zone of the real list: %s', (zone, is) => expect(isZone(zone)).toBe(is));
