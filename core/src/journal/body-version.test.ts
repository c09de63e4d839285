import { at, runAt } from '../testing/small-yard.js';
import { BODY_UPGRADES, BODY_VERSION, upgradedBody, type BodyUpgrade } from './body-version.js';
import { effectiveEntry } from './corrections.js';
import type { Correction, RunBody } from './entry.js';

/** Two steps that might have been: hours became minutes, then a ballast that nobody named became "unknown". */
const steps: BodyUpgrade[] = [
  (kind, body) => {
    if (kind !== 'run') return body;
    const { hours, ...rest } = body as RunBody & { hours?: number };
    return { ...rest, ...(hours === undefined ? {} : { minutes: hours * 60 }) };
  },
  (kind, body) => (kind === 'run' && !(body as RunBody).ballast ? { ...(body as RunBody), ballast: 'unknown' } : body),
];
const { minutes: _minutes, ballast: _ballast, ...oldest } = runAt(10, 5).body as RunBody;
const first = { ...runAt(10, 5), bodyVersion: 1, body: { ...oldest, hours: 5 } } as unknown as ReturnType<typeof runAt>;

test.each([
  [1, { hours: 5 }, { minutes: 300, ballast: 'unknown' }],
  [2, { minutes: 240 }, { minutes: 240, ballast: 'unknown' }],
  [3, { minutes: 240, ballast: 'open' }, { minutes: 240, ballast: 'open' }],
])('a body of version %i is read as one of today', (bodyVersion, body, today) => {
  expect(upgradedBody('run', { body: body as RunBody, bodyVersion }, steps)).toEqual(today);
});

test('an entry counts with the body of today, and one of today is the very same', () => {
  expect(effectiveEntry(first, [], steps)).toMatchObject({
    bodyVersion: 3,
    body: { minutes: 300, ballast: 'unknown' },
  });
  const now = { ...runAt(10, 5), bodyVersion: 3 };
  expect(effectiveEntry(now, [], steps)).toBe(now);
});

test('a correction brings its own version along', () => {
  const correction: Correction = {
    ...first,
    id: '30000000-0000-4000-8000-000000000001',
    kind: 'correction',
    recordedAt: at(90),
    bodyVersion: 2,
    body: { targetId: first.id, supersedes: null, action: 'replace', body: { ...oldest, minutes: 90 } },
  };
  const counted = effectiveEntry(first, [correction], steps);
  expect(counted).toMatchObject({ bodyVersion: 3, body: { minutes: 90, ballast: 'unknown' } });
  expect(effectiveEntry(first, [{ ...correction, body: { ...correction.body, action: 'void' } }], steps)).toBeNull();
  // One that moves it in time alone leaves its body to the original's version.
  const { body: _body, ...moved } = correction.body;
  expect(effectiveEntry(first, [{ ...correction, body: { ...moved, happenedAt: at(11) } }], steps)).toMatchObject({
    happenedAt: at(11),
    body: { minutes: 300 },
  });
});

test('each step has a version of its own', () => {
  expect(BODY_VERSION).toBe(BODY_UPGRADES.length + 1);
});
