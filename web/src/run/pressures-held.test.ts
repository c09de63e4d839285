import type { PressureHeld } from '@winter-jar/core';
import { heldWords } from './pressures-held.js';

const print = {
  volume: String,
  temperature: String,
  duration: String,
  flow: String,
  pressure: (pa: number) => `${pa / 100} hPa`,
};
const held: PressureHeld = { which: 'lowest', reachedPa: 12, targetPa: 5, met: false, bestPa: 4, timesBest: 3 };

test.each<[Partial<PressureHeld>, string]>([
  [{}, 'Lowest pressure 0.12 hPa: misses the target of 0.05 hPa, 3 times its own best of 0.04 hPa.'],
  [
    { reachedPa: 3, met: true, timesBest: 0.75 },
    'Lowest pressure 0.03 hPa: meets the target of 0.05 hPa, its best so far, 0.04 hPa before.',
  ],
  [{ bestPa: null, timesBest: null }, 'Lowest pressure 0.12 hPa: misses the target of 0.05 hPa.'],
  [
    { which: 'first', targetPa: null, met: null },
    'After the first minutes 0.12 hPa: 3 times its own best of 0.04 hPa.',
  ],
])('%j', (more, words) => {
  expect(heldWords({ ...held, ...more }, print)).toBe(words);
});
