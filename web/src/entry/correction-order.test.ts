import { lastCorrectionId, recordedAfter } from './correction-order.js';

const made = (id: string, recordedAt: string) => ({ id, recordedAt });
const early = made('a', '2031-03-09T10:00:00.000Z');
const late = made('b', '2031-03-09T10:05:00.000Z');

test('the correction in force is the latest recorded', () => {
  expect(lastCorrectionId([])).toBeNull();
  expect(lastCorrectionId([late, early])).toBe('b');
});

test('a correction from a device whose clock is behind still comes after the one that it saw', () => {
  expect(recordedAfter([], '2031-03-09T10:02:00.000Z')).toBe('2031-03-09T10:02:00.000Z');
  expect(recordedAfter([early], '2031-03-09T10:02:00.000Z')).toBe('2031-03-09T10:02:00.000Z');
  expect(recordedAfter([late, early], '2031-03-09T10:02:00.000Z')).toBe('2031-03-09T10:05:00.001Z');
  expect(recordedAfter([late], '2031-03-09T10:05:00.000Z')).toBe('2031-03-09T10:05:00.001Z');
});
