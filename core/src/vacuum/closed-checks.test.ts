import { judgeBag, styreneVapourPa } from './judge-bag.js';
import { judgeCycles } from './judge-cycles.js';
import { judgeUltimate } from './judge-ultimate.js';

/** Every five seconds, a gauge of steps of 1 Pa that swings a little. */
const log = (minutes: number, pa: (s: number) => number, everyS = 5) =>
  Array.from({ length: Math.floor((minutes * 60) / everyS) + 1 }, (_, i) => ({ s: i * everyS, pa: pa(i * everyS) }));
const swing = (s: number) => 8 * Math.sin(s * 12.9898);

// By hand: so many Pa in ten minutes are a sixhundredth of it a second.
test.each([
  ['1 hPa in ten minutes', log(20, (s) => 3000 + s / 6 + swing(s)), 2000, 'holds', 100, []],
  ['30 hPa in ten minutes', log(10, (s) => 3000 + 5 * s + swing(s)), 2000, 'drops', 3000, []],
  ['a stricter house', log(10, (s) => 3000 + 5 * s + swing(s)), 5000, 'holds', 3000, []],
  ['exactly at its limit: neither', log(10, (s) => 3000 + (20 / 6) * s + swing(s)), 2000, 'undecided', 2000, []],
  // Half of 20 min; the exponential is over by then, 5 hPa in ten minutes are left.
  [
    'settles first',
    log(20, (s) => 3000 + 1500 * (1 - Math.exp(-s / 90)) + s / 1.2 + swing(s)),
    2000,
    'holds',
    500,
    ['settles'],
  ],
  ['three minutes only', log(3, (s) => 3000 + 4 * s + swing(s)), 2000, 'undecided', 2400, ['tooShort']],
  ['three minutes, and gone', log(3, (s) => 3000 + 40 * s + swing(s)), 2000, 'drops', 24_000, ['tooShort']],
  ['resin that boils', log(10, (s) => 700 + 5 * s + swing(s)), 2000, 'drops', 3000, ['nearResinVapour']],
  // At minute eight all of it is gone: nobody can tell a valve that was opened from a bag that gave way.
  [
    'air that comes in at minute eight',
    log(10, (s) => (s > 480 ? 101_000 : 3000 + s / 6)),
    2000,
    'undecided',
    100,
    ['airCameIn'],
  ],
  // It was never tight: a leak of a time constant of a minute and a half.
  ['a hole', log(10, (s) => 101_000 - 98_000 * Math.exp(-s / 90)), 2000, 'drops', NaN, []],
  [
    'a hole, and half an hour at the air’s own pressure',
    log(30, (s) => 101_000 - 98_000 * Math.exp(-s / 90)),
    2000,
    'drops',
    NaN,
    [],
  ],
  [
    'pumped down first, air let in at the end',
    log(14, (s) => (s < 120 ? 101_000 * Math.exp(-s / 34) + 3000 : s > 780 ? 101_000 : 3000 + s / 6)),
    2000,
    'holds',
    100,
    [],
  ],
] as const)('bag: %s', (_, points, limitPa, verdict, rise, notes) => {
  const found = judgeBag({ points, limitPa });
  expect(found).toMatchObject({ verdict, notes });
  if (Number.isNaN(rise)) return;
  expect(found.rise10MinPa.p50).toBeGreaterThan(rise * 0.93);
  expect(found.rise10MinPa.p50).toBeLessThan(rise * 1.07);
  expect(found.rise10MinPa.p10).toBeLessThanOrEqual(found.rise10MinPa.p50);
});

test('a bag of four readings says nothing; a limit of nothing is refused', () => {
  expect(judgeBag({ points: log(0.25, () => 3000) })).toMatchObject({ verdict: 'undecided', notes: ['fewReadings'] });
  expect(() => judgeBag({ points: [], limitPa: 0 })).toThrow(RangeError);
});

// Tables of styrene give 4.5 Torr at 20 °C and 10 Torr at about 33 °C.
test.each([
  [20, 600, 0.1],
  [33, 1333, 0.1],
])('styrene at %d °C: about %d Pa', (tempC, pa, within) => {
  expect(Math.abs(styreneVapourPa(tempC) / pa - 1)).toBeLessThan(within);
});

/** A chamber that a pump empties for 20 s, vented for 5: V / S · ln(p0 / p). */
const packer = (cycles: number, tauS: number, endPa: number, everyS = 0.2) =>
  Array.from({ length: Math.round((cycles * 25) / everyS) }, (_, i) => {
    const t = (i * everyS) % 25;
    return { s: i * everyS, pa: t < 20 ? endPa + (101_300 - endPa) * Math.exp(-t / tauS) : 101_300 };
  });

// By hand: 40 L behind 63 m³/h have a time constant of 40 · 3.6 / 63 = 2.286 s; to 500 Pa that is 2.286 · ln 202.6 = 12.14 s.
test.each([
  ['as its volume says', packer(4, 2.286, 1), { volumeL: 40, pumpingSpeedM3h: 63 }, 'asGood', 12.2, 4, []],
  ['half as fast as its own', packer(4, 3.2, 1), { usualS: 12.1 }, 'slow', 17.0, 4, []],
  ['nothing to hold it against', packer(1, 2.286, 1), {}, 'undecided', 12.2, 1, ['noUsual']],
  [
    'every ten seconds: too coarse to time',
    packer(4, 2.286, 1, 10),
    { usualS: 12.1 },
    'undecided',
    15,
    2,
    ['coarse', 'someNotReached'],
  ],
  // Of t = 0, 10, 20, 5, 15, 0, 10, 20, 5, 15 s the first and the third cycle show nothing below 10 hPa.
  // Its end is above the set pressure: none of four comes to it.
  ['does not come to it', packer(4, 2.286, 900), { usualS: 12.1 }, 'slow', 0, 0, ['someNotReached']],
] as const)('cycles: %s', (_, points, asked, verdict, seconds, reached, notes) => {
  const found = judgeCycles({ points, toPa: 500, ...asked });
  expect(found.verdict).toBe(verdict);
  expect(found.reached).toBe(reached);
  expect(found.notes).toEqual(notes);
  if (notes.includes('coarse' as never)) return;
  expect(Math.abs(found.pullDownS.p50 - seconds)).toBeLessThan(0.3);
});

test('cycles: a log that never falls, and a set pressure of nothing', () => {
  expect(judgeCycles({ points: log(5, () => 101_300), toPa: 500 })).toMatchObject({
    verdict: 'undecided',
    notes: ['fewReadings'],
  });
  expect(() => judgeCycles({ points: [], toPa: 0 })).toThrow(RangeError);
});

test.each([
  ['level at 0.6 Pa', log(30, (s) => 0.6 + 40 * Math.exp(-s / 120)), 1.5, 'asGood', 0.6, []],
  ['level at 6 Pa', log(30, (s) => 6 + 40 * Math.exp(-s / 120)), 1.5, 'wornOrDirty', 6, []],
  // Over the last six of thirty minutes it falls by 1 - e^(-360/600) = 45 %.
  ['falling still, above its limit', log(30, (s) => 100 * Math.exp(-s / 600)), 1.5, 'undecided', 6.7, ['stillFalling']],
  ['falling still, below its limit', log(30, (s) => 10 * Math.exp(-s / 600)), 1.5, 'asGood', 0.67, ['stillFalling']],
  ['vented at its end', log(30, (s) => (s < 1440 ? 0.6 + 40 * Math.exp(-s / 90) : 101_300)), 1.5, 'asGood', 0.6, []],
  ['never pumped', log(10, () => 101_300), 1.5, 'undecided', 101_300, ['neverFell']],
  ['swings between 1 and 5 Pa', log(30, (s) => 3 + 2 * Math.sin(s / 7)), 1.5, 'wornOrDirty', 3, ['swings']],
] as const)('blanked off: %s', (_, points, limitPa, verdict, ultimate, notes) => {
  const found = judgeUltimate({ points, limitPa });
  expect(found).toMatchObject({ verdict, notes });
  expect(Math.abs(found.ultimatePa.p50 / ultimate - 1)).toBeLessThan(0.06);
});

test('blanked off: nine readings say nothing', () => {
  expect(judgeUltimate({ points: log(0.66, () => 1), limitPa: 2 })).toMatchObject({
    verdict: 'undecided',
    notes: ['fewReadings'],
  });
  expect(() => judgeUltimate({ points: [], limitPa: 0 })).toThrow(RangeError);
});
