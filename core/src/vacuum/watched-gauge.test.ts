import { seededRandom } from '../simulate/index.js';
import { compareGauges } from './compare-gauges.js';
import { valveMoved, type WatchedReading } from './valve-moved.js';

const TURNED = 10_000;
const random = seededRandom(5);
/** Twenty seconds of a gauge; the valve is turned in the middle. */
const watched = (pa: (s: number) => number, everyMs = 100, noise = 0.004): WatchedReading[] =>
  Array.from({ length: 20_000 / everyMs }, (_, i) => {
    const s = (i * everyMs - TURNED) / 1000;
    return { atMs: i * everyMs, pa: pa(s) * (1 + noise * random.between([-1, 1])) };
  });
const moved = (readings: readonly WatchedReading[]) => {
  const found = valveMoved({ readings, turnedMs: TURNED });
  return found.ok ? found.moved : found.code;
};

test.each<[string, WatchedReading[], boolean | string]>([
  ['stays at 3 Pa', watched(() => 3), false],
  ['goes on rising as before', watched((s) => 3 + 0.05 * (s + 10)), false],
  ['goes on falling as before', watched((s) => 20 - 0.5 * (s + 10)), false],
  ['jumps by a tenth and stays', watched((s) => (s > 0.5 ? 3.3 : 3)), true],
  ['flickers for half a second', watched((s) => (s > 1 && s < 1.5 ? 4 : 3)), true],
  ['dips: a pocket behind it is pumped out', watched((s) => (s > 2 && s < 3 ? 2.6 : 3)), true],
  ['shows one lone spike of the line', watched((s) => (s > 1 && s < 1.06 ? 40 : 3)), false],
  ['had a spike before', watched((s) => (s > -4 && s < -3.9 ? 40 : 3)), false],
  ['speaks once a second, and jumps', watched((s) => (s >= 1 ? 3.3 : 3), 1000), true],
  ['speaks once a second, and stays', watched(() => 3, 1000), false],
  ['moves by less than anybody sees', watched((s) => (s > 0 ? 3.03 : 3), 100, 0.0005), false],
  ['swings all the time', watched((s) => 3 + 2 * Math.sin(s * 5)), 'restless'],
  ['is hardly heard', watched(() => 3, 4000), 'tooFew'],
])('a gauge that %s', (_, readings, expected) => expect(moved(readings)).toBe(expected));

test('what it showed is said: from 3 to 4 Pa', () => {
  const found = valveMoved({ readings: watched((s) => (s > 1 && s < 2 ? 4 : 3), 100, 0), turnedMs: TURNED });
  expect(found).toEqual({ ok: true, moved: true, expectedPa: 3, furthestPa: 4 });
});

/** Ten minutes of two gauges; the second shows so many times the first. */
const compared = (
  times: (minute: number) => number,
  pa: (minute: number) => number = () => 10,
  everyS = 2,
  kinds: Pick<Parameters<typeof compareGauges>[0], 'firstKind' | 'secondKind'> = {},
) => {
  const at = Array.from({ length: 600 / everyS }, (_, i) => i * everyS);
  const noisy = () => 1 + 0.01 * random.between([-1, 1]);
  return compareGauges({
    ...kinds,
    first: at.map((s) => ({ atMs: s * 1000, pa: pa(s / 60) * noisy() })),
    second: at.map((s) => ({ atMs: s * 1000 + 400, pa: pa(s / 60) * times(s / 60) * noisy() })),
  });
};
const CAPACITANCE_FIRST = { firstKind: 'capacitance', secondKind: 'thermal' } as const;
const THERMAL_FIRST = { firstKind: 'thermal', secondKind: 'capacitance' } as const;
test.each<[string, ReturnType<typeof compared>, object]>([
  ['show the same', compared(() => 1.05), { state: 'agree' }],
  ['differ by vapour that is pumped away', compared((m) => 1 + 0.6 * Math.exp(-m / 1.5)), { state: 'gapCloses' }],
  ['differ by half all the time', compared(() => 1.5), { state: 'gapStays' }],
  ['differ the other way', compared(() => 0.6), { state: 'gapStays' }],
  ['come apart', compared((m) => 1 + m / 10), { state: 'gapStays' }],
  [
    'go down together over three decades',
    compared(
      () => 1.1,
      (m) => 1000 * Math.exp(-m),
    ),
    { state: 'agree' },
  ],
  [
    'were read for a minute',
    compared(
      () => 1,
      () => 10,
      60,
    ),
    { code: 'tooFew' },
  ],
  [
    'differ by what vapour makes of a thermal one',
    compared(() => 1.6, undefined, 2, CAPACITANCE_FIRST),
    { code: 'maybeVapour' },
  ],
  ['differ by that the other way round', compared(() => 1 / 1.6, undefined, 2, THERMAL_FIRST), { code: 'maybeVapour' }],
  ['differ by more than vapour makes', compared(() => 2, undefined, 2, CAPACITANCE_FIRST), { state: 'gapStays' }],
  ['differ, the thermal one below', compared(() => 0.6, undefined, 2, CAPACITANCE_FIRST), { state: 'gapStays' }],
  ['know nothing of one another', compared((m) => (Math.floor(m * 30) % 2 ? 1 : 3)), { code: 'restless' }],
])('two gauges that %s', (_, found, expected) => expect(found).toMatchObject(expected));

test('by how much is said', () => {
  expect(compared(() => 1.5)).toMatchObject({
    timesAtFirst: expect.closeTo(1.5, 1),
    timesAtLast: expect.closeTo(1.5, 1),
  });
});
