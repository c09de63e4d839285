import type { BallastAdvice, ExcessHint, WaterStory } from '@winter-jar/core';
import { adviceWords, assumedWords, budgetWords, fitWords, hintWords, notEstimatedWords } from './water-words.js';

const print = {
  volume: (ml: number) => `${ml} mL`,
  pressure: (pa: number) => `${(pa / 100).toPrecision(3)} hPa`,
  temperature: (c: number) => `${c} °C`,
  flow: (m3h: number) => `${m3h} m³/h`,
  duration: (minutes: number) => `${minutes} min`,
};
const budget = {
  expectedMl: 19.2,
  expectedLowMl: 14,
  expectedHighMl: 25,
  foundMl: 52,
  unexplainedMl: 32.8,
  unexplainedLowMl: 27,
  unexplainedHighMl: 38,
  says: 'more',
  basis: 'fit',
} as const;
const run = {
  entryId: 'r',
  at: '',
  minutes: 60,
  materialId: 'm',
  water: { ok: false, why: 'trapTempMissing' },
} as const;
const story = (more: object = {}, runs: WaterStory['runs'] = [run]): WaterStory =>
  ({ budget: { ...budget, ...more }, runs, runsSeen: 4, fit: null }) as unknown as WaterStory;
const NOTHING = { says: 'notEstimated', expectedMl: null, unexplainedMl: null };

test.each<[WaterStory, RegExp]>([
  [
    story(),
    /^52 mL of water found where 4 runs should have left 19 mL \(14 mL to 25 mL\): 33 mL more than they explain\.$/,
  ],
  [story({ says: 'asExpected', foundMl: 20 }), /^20 mL .*: as it should be\.$/],
  [story({ says: 'less', foundMl: 2, unexplainedMl: -17 }), /still lies in the oil, or the trap is better/],
  [story(NOTHING), /cannot be said: the trap’s temperature was not logged/],
  [story(NOTHING, []), /no run on this oil yet/],
])('the sum in one sentence', (said, words) => {
  expect(budgetWords(said, print).full).toMatch(words);
});

test.each<[ExcessHint, RegExp]>([
  [{ code: 'meltwater', runs: 1 }, /^One run went right after a defrost/],
  [{ code: 'coldBallast', runs: 2 }, /^2 runs had the ballast open into oil so cold/],
  [{ code: 'liquid' }, /rarely vapour/],
  [{ code: 'warmTrap', warmerK: 6.2 }, /6.K warmer all the time/],
  [
    { code: 'leak', leakHpaLPerS: 18.2, chamberHpa: 10.9, reachedHpa: 0.05, excluded: true },
    /18.hPa·L\/s and hold the chamber near 10\.9.hPa; it reached 0\.05.hPa, so it is no leak/,
  ],
  [
    { code: 'leak', leakHpaLPerS: 18, chamberHpa: 11, reachedHpa: 12, excluded: false },
    /it reached 12.hPa only: look for one/,
  ],
  [{ code: 'leak', leakHpaLPerS: 18, chamberHpa: 11, reachedHpa: null, excluded: false }, /no pressure was logged/],
])('%j in words', (hint, words) => {
  expect(hintWords(hint)).toMatch(words);
});

test('how good the trap is, and when too little is known', () => {
  const fit = {
    ok: true,
    efficiency: 0.624,
    low: 0.55,
    high: 0.7,
    scatter: 0.2,
    segments: 23,
    knowsEnough: true,
  } as const;
  expect(fitWords({ fit, budget })).toMatch(
    /^The trap’s factor 0\.62 \(nine in ten: 0\.55 to 0\.7\), from 23 stretches.*here and in the verdict/,
  );
  expect(fitWords({ fit: { ...fit, knowsEnough: false }, budget })).toMatch(/too wide to use/);
  expect(fitWords({ fit: { ok: false, why: 'tooFewSegments', segments: 1 }, budget })).toMatch(
    /too little is known \(1 stretch /,
  );
  expect(fitWords({ fit: null, budget })).toBeNull();
});

const advice: BallastAdvice = {
  rule: 'purge',
  oilTempC: 68,
  tolerance: { molarHpa: 26, tradeHpa: 35 },
  hotter: { oilTempC: 88, tolerance: { molarHpa: 94, tradeHpa: 125 } },
  warmUp: false,
  addsWater: false,
  purgeHours: 0.83,
  neverWithAir: false,
};

test('what the ballast can do: range, warm-up, purge, and never with solvent', () => {
  expect(adviceWords(advice, print)).toEqual([
    expect.stringMatching(/opens its ballast to purge only/),
    'At 68 °C it carries vapour up to 26.0 hPa to 35.0 hPa; at 88 °C up to 94.0 hPa to 125 hPa.',
    expect.stringMatching(/about 0\.8.h once warm; then look again/),
  ]);
  const cold = adviceWords({ ...advice, oilTempC: 30, warmUp: true, addsWater: true, purgeHours: 40 }, print).join(' ');
  expect(cold).toMatch(/brings more water than it takes out.*warm it 30 to 60 min.*over a day/);
  const solvent = adviceWords({ ...advice, neverWithAir: true }, print).join(' ');
  expect(solvent).toMatch(/never open the ballast to air/);
  expect(solvent).not.toMatch(/To purge/);
});

test('what was taken for granted, and what could not be estimated', () => {
  expect(assumedWords(['oilTemp', 'trapEfficiency'])).toBe(
    'oil at its usual warmth, a trap as good as its temperature allows',
  );
  expect(notEstimatedWords('noSource')).toMatch(/nothing to estimate from/);
});
