import type { Finding } from '@winter-jar/core';
import { reasonWords } from './messages.js';
import type { Words } from './words.js';
import { confidenceWords, nextLookWords, settlingWords, verdictChangeWords } from '../oil/reading-words.js';
import { trendWords } from '../oil/story-words.js';

const print: Words['print'] = {
  volume: (ml) => `${ml} mL`,
  pressure: (pa) => `${pa} Pa`,
  temperature: (c) => `${c} °C`,
  flow: (m3h: number) => `${m3h} m³/h`,
  duration: (minutes) => `${minutes} min`,
};
const words: Words = { print, zone: 'Europe/Lisbon', now: '2031-03-09T12:00:00.000Z' };
const seen = { entryId: 'e', at: '2031-03-09T08:00:00.000Z' };
const before = { level: 'beforeNextRun', act: 'change', answeredBy: 'change', ...seen } as const;
const stop = { ...before, level: 'stop' } as const;
const look = { ...before, level: 'lookSooner', act: 'look' } as const;

const lab = { ...before, answeredBy: 'changeOrSample' } as const;

test.each<[Finding, string, RegExp]>([
  [
    { ...lab, code: 'viscosity', foundMm2s: 50, freshMm2s: 68, thinner: true, limitPercent: 25, level: 'stop' },
    'Oil 26\u00a0% thinner than new',
    /50 against 68.mm²\/s at 40.°C \(sample today\); the limit is 25.%\. Three per cent of solvent/,
  ],
  [
    { ...lab, code: 'viscosity', foundMm2s: 86, freshMm2s: 68, thinner: false, limitPercent: 25 },
    'Oil 26\u00a0% thicker than new',
    /Resin, varnish or overheated oil/,
  ],
  [
    { ...lab, code: 'labWater', act: 'bleed', level: 'lookSooner', foundPpm: 60, limitPpm: 52.9, saturatedAtC: 20 },
    'Water by lab: 60\u00a0ppm',
    /at 20 °C this oil holds 53.ppm dissolved, the rest drops out\. Bleed it, then look/,
  ],
  [
    { ...lab, code: 'labWater', act: 'purge', foundPpm: 1100, limitPpm: 1000, saturatedAtC: null },
    'Water by lab: 1,100\u00a0ppm',
    /the limit is 1,000.ppm\. Purge it, then look; change it if it does not clear/,
  ],
  [{ ...lab, code: 'iron', abovePpm: 50, limitPpm: 40 }, 'Iron: 50\u00a0ppm above new', /the limit is 40.ppm\. Change/],
  [
    { ...lab, act: 'sample', level: 'lookSooner', code: 'ironRate', per100h: 6, usualPer100h: 2, limitTimes: 2 },
    'Iron rises 3 times as fast as usual',
    /6.ppm per 100.h, where earlier charges had 2/,
  ],
  [
    { ...stop, act: 'inspect', answeredBy: 'inspect', code: 'wear', abovePpm: 130, signs: ['noise'] },
    'Wear: 130\u00a0ppm of iron',
    /with noise: the pump is wearing\. Do not start it/,
  ],
  [
    { ...lab, code: 'acid', foundMgKohG: 1.2, freshMgKohG: 0.1, limitRise: 1 },
    'Acid number 1.1 above new',
    /1\.2 against 0\.1.mg KOH\/g when new \(sample today\)/,
  ],
  [
    { ...lab, code: 'base', foundMgKohG: 3, freshMgKohG: 8 },
    'Base number 38\u00a0% of new',
    /3 of 8.mg KOH\/g when new.*used up\. Change the oil/,
  ],
  [
    { ...look, code: 'waterAboveExpected', foundUl: 52_000, expectedUl: 19_000, limitTimes: 1.5 },
    '33 mL more water than expected',
    /52 mL of water found where 19 mL are expected \(today\)/,
  ],
  [
    { ...look, code: 'waterAboveExpected', foundUl: 52_000, expectedUl: 19_000, limitTimes: 1.5, sinceAnswer: true },
    '33 mL more water than expected',
    /52 mL of water found since its last clear look where 19 mL are expected/,
  ],
  [
    { ...look, act: 'purge', code: 'water', foundUl: 41_000, chargeUl: 2_000_000, limitShare: 0.02 },
    'Water: 41 mL, 2.1\u00a0% of the charge',
    /It floats on this oil: skim it, purge, then look again/,
  ],
  [
    { ...before, act: 'bleed', code: 'water', foundUl: 60_000, chargeUl: 3_000_000, limitShare: 1 / 60, by: 'amount' },
    'Free water: 60 mL',
    /60 mL of free water at once.*from 50 mL on\. Bleed or purge, then look again/,
  ],
  [
    { ...before, code: 'water', foundUl: 3000, chargeUl: 700_000, limitShare: 0, by: 'heldUp' },
    'Free water under a detergent oil: 3 mL',
    /it can hold no more\. Change it/,
  ],
  [
    { ...look, act: 'look', code: 'water', foundUl: 75_000, chargeUl: 700_000, limitShare: 0.05, by: 'drawn' },
    'Drawn at once: 75 mL of water',
    /75 mL of water drawn at once.*10\.7\u00a0% of the charge\. It is out of the oil: look at what is left/,
  ],
  [
    { ...before, act: 'look', code: 'cream', creamUl: 700_000, chargeUl: 700_000, limitShare: 0.03, afterPurge: false },
    'Cream: 700 mL',
    /It may be air: let the jar stand half an hour.*before anything is started/,
  ],
  [
    { ...before, act: 'purge', code: 'water', foundUl: 64_000, chargeUl: 700_000, limitShare: 0.05, by: 'cream' },
    'Water: 64 mL, 9.1\u00a0% of the charge',
    /Half of the cream counts as water: purge, and change if it does not clear/,
  ],
  [
    // Solvent bars the purge.
    { ...before, act: 'change', code: 'water', foundUl: 64_000, chargeUl: 700_000, limitShare: 0.05, by: 'cream' },
    'Water: 64 mL, 9.1\u00a0% of the charge',
    /Change the oil/,
  ],
  [
    { ...before, act: 'look', code: 'water', foundUl: 64_000, chargeUl: 700_000, limitShare: 0.05, drainedAt: look.at },
    'Water: 64 mL, 9.1\u00a0% of the charge',
    /It was bled or purged since: look at what is left/,
  ],
  [{ ...stop, code: 'waterAtPickUp' }, 'Water at the oil pick-up', /Drain it, and change the oil/],
  [{ ...stop, code: 'levelFromWater', foundUl: 30_000 }, 'Level above MAX from water', /nothing added, and 30 mL/],
  [
    { ...before, act: 'purge', code: 'cream', creamUl: 30_000, chargeUl: 700_000, limitShare: 0.03, afterPurge: false },
    'Cream: 30 mL',
    /4\.3.% of the charge\. It is water that does not separate: purge/,
  ],
  [
    { ...before, code: 'cream', creamUl: 5000, chargeUl: 700_000, limitShare: 0, afterPurge: true },
    'Cream: 5 mL after a purge',
    /A purge did not clear it: change the oil/,
  ],
  [{ ...stop, code: 'creamThroughout' }, 'Running oil is cream throughout', /Drain it, do not purge/],
  [
    { ...before, act: 'flush', code: 'darkAgain', colour: 5, startColour: 1, runs: 1 },
    'Dark again: colour 5 within the first run',
    /the housing is dirty.*not just a change/,
  ],
  [
    { ...stop, act: 'washHousing', code: 'sludge', sludgeUl: 40_000, chargeUl: 700_000, limitShare: 0.05 },
    'Sludge: 40 mL, 5.7\u00a0% of the charge',
    /Wash the housing first/,
  ],
  [
    { ...stop, act: 'inspect', code: 'particles', amount: 'few', kinds: ['glitter'], runningIn: false },
    'Few particles, glitter',
    /do not start it\. Look with a magnet/,
  ],
  [
    { ...before, code: 'particles', amount: 'few', kinds: ['glitter'], runningIn: true },
    'Few particles, glitter',
    /being run in: look with a magnet, then change/,
  ],
  [
    { ...look, code: 'particles', amount: 'few', kinds: [], runningIn: false },
    'Few particles',
    /^Few particles \(today\)\.$/,
  ],
  [{ ...stop, code: 'smell', smell: 'solvent' }, 'Smell: solvent', /The oil smelt of solvent .* never purge with air/],
  [{ ...before, code: 'smell', smell: 'burnt' }, 'Smell: burnt', /smelt burnt .* why it ran hot/],
  [
    { ...before, act: 'flush', code: 'foam', withHaze: true },
    'Foam and haze after another product',
    /do not agree: flush/,
  ],
  [
    { ...look, code: 'level', found: 'hair', nothingAdded: false },
    'Level a hair outside the marks',
    /same temperature/,
  ],
  [
    { ...before, act: 'drainToMark', code: 'level', found: 'high', nothingAdded: true },
    'Level above MAX',
    /Nothing was added: look for water first\. Drain to the mark/,
  ],
  [{ ...stop, act: 'inspect', code: 'thrownOil' }, 'Oil thrown from the exhaust', /Do not start it/],
  [
    { ...look, code: 'goneCharge', cause: 'cream' },
    'The last charge came out bad: cream',
    /Look at the new oil soon, and find the cause/,
  ],
])('a finding reads as what it is, what it means and what to do (%#)', (finding, short, full) => {
  const said = reasonWords({ ...finding, sump: 'oil' }, words);
  expect(said.short).toBe(short);
  expect(said.full).toMatch(full);
});

test('how sure, what next, how long, what would change it', () => {
  const confidence = { word: 'early', doubts: ['notSettled', 'smallSample'] } as const;
  expect(confidenceWords({ confidence })).toBe(
    'Early: the oil has not had its time to settle; a small sample of a large charge.',
  );
  expect(confidenceWords({ confidence: { word: 'firm', doubts: [] } })).toMatch(/^Firm/);
  expect(nextLookWords({ when: 'onceSettled', inHours: 8.2, at: ['water', 'cream', 'levelFromWater'] })).toBe(
    'Look at this jar again in 9\u00a0h: water, cream, level and water.',
  );
  expect(nextLookWords({ when: 'asUsual', at: [] })).toBe('Next look at its usual time.');
  expect(settlingWords({ neededHours: 19.69, basis: 'droplets', settled: false }, false)).toMatch(
    /^This oil needs 19\.7.h/,
  );
  expect(settlingWords({ neededHours: 2, basis: 'least', settled: true }, true)).toMatch(
    /^No settling time can be calculated/,
  );
  const tip = { level: 'beforeNextRun', act: 'change' } as const;
  expect(verdictChangeWords({ ...tip, reading: 'freeWaterMl', from: 20, to: 36 }, print)).toBe(
    '36 mL of free water instead of 20 mL: Change before next run',
  );
  expect(verdictChangeWords({ ...tip, reading: 'colour', from: 1, to: 4 }, print)).toMatch(/^Colour 4 instead of 1/);
  expect(verdictChangeWords({ ...tip, reading: 'hoursStood', from: 2, to: 19.2 }, print)).toMatch(
    /^The same after 20.h/,
  );
});

test('a trend is told with how many charges it stands on, and how often chance makes one', () => {
  const trend = { n: 9, s: 30, p: 0.00085, slope: 0.6, method: 'exact', verdict: 'rising' } as const;
  const water = { measure: 'waterMl', values: [], trend, own: { usual: 5.8, limit: 9 } } as const;
  expect(trendWords(water, print)).toBe(
    'Water per weighted run: getting worse, 0.6 mL more from charge to charge (9 charges; by chance less than once in 1,000). Usual here: 5.8 mL.',
  );
  expect(trendWords({ ...water, trend: { ...trend, verdict: 'falling', slope: -0.6, p: 0.01 } }, print)).toMatch(
    /getting better, 0.6 mL less .*once in 100/,
  );
  expect(trendWords({ ...water, own: null, trend: { ...trend, verdict: 'none', p: 0.4 } }, print)).toBe(
    'Water per weighted run: no trend from charge to charge (9 charges; by chance 4 times in 10).',
  );
  expect(trendWords({ ...water, measure: 'colourRise', trend: { ...trend, n: 1, verdict: 'tooFew' } }, print)).toBe(
    'Darkening per weighted run: 1 ended charge with a reading. Too few to say; five are needed.',
  );
});
