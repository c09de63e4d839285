import type { Question } from '@winter-jar/contracts';
import { printDuration, printQuantity } from '@winter-jar/core';
import { bookOf, changeAt, entryAt, lookAt, runAt, START } from '@winter-jar/core/testing';
import { barWords, flagWords, rulerWords } from './bar-words.js';
import { jarNow, jarWords } from './jar-words.js';
import type { Words } from './words.js';
import { entryWords } from './entry-words.js';
import { issueWords, questionWords } from './issue-words.js';

const words: Words = {
  zone: 'Europe/Lisbon',
  now: '2031-01-09T12:00:00.000Z',
  print: {
    volume: (value) => printQuantity({ value, unit: 'mL' }),
    pressure: (value) => printQuantity({ value, unit: 'hPa' }),
    temperature: (value) => printQuantity({ value, unit: '°C' }),
    flow: (m3h: number) => `${m3h} m³/h`,
    duration: printDuration,
  },
};
const house = bookOf().at(START);
const run = entryAt(10, 'run', {
  materialId: 'fd-meat',
  minutes: 1230,
  cycles: 1850,
  session: 'sideJob',
  ballast: 'purge',
  trapTempC: -41,
  lowestPressurePa: 4.7,
  ventedBeforeStop: 'no',
  remark: 'odd',
});

test.each([
  [
    run,
    'Meat or fish · 20 h 30 · 1,850 cycles · side job · ballast to purge · trap −41 °C · lowest 0.047 hPa · stopped under vacuum · odd',
  ],
  [runAt(10, 20), 'Empty, leak test or warm-up · 20 h · ballast closed'],
  [
    lookAt(10, { level: 'low', colour: 3.5, clarity: 'hazy', freeWaterMl: 0 }),
    'sight glass · stood 8\u00a0h · below MIN · colour 3.5 · hazy · free water 0 mL',
  ],
  [lookAt(10, { hoursStood: 0, clarity: 'opaque' }), 'sight glass · running · opaque'],
  [
    lookAt(10, { source: 'sample', lookedAtMl: 340, freeWaterMl: 46 }),
    'sample · 340 mL · stood 8\u00a0h · free water 46 mL',
  ],
  [
    entryAt(10, 'run', {
      materialId: 'fd-meat',
      stillRunning: true,
      session: 'run',
      ballast: 'unknown',
      ventedBeforeStop: 'unknown',
    }),
    'Meat or fish · still running',
  ],
  [entryAt(10, 'meter', { action: 'read', minutes: 72_250, remark: 'dim' }), 'reads 1,204\u00a0h · dim'],
  [
    entryAt(10, 'meter', { action: 'replaced', minutes: 72_250, newMinutes: 60 }),
    'replaced at 1,204\u00a0h, the new one starts at 1\u00a0h',
  ],
  [entryAt(10, 'takeOver', {}), 'oil of unknown age · runs since unknown'],
  [
    entryAt(200, 'takeOver', {
      oilChangedAt: '2031-01-03T06:00:00.000Z',
      runsSince: 0,
      minutesSince: 0,
      meterMinutes: 600,
    }),
    'oil changed Fri 3 Jan · 0 runs since · 0\u00a0h since · meter 10\u00a0h',
  ],
  [entryAt(10, 'bleed', { sump: 'oil', drawnMl: 32, waterMl: 17.5 }), '32 mL drawn · 17.5 mL of it water'],
  [
    entryAt(10, 'topUp', { sump: 'oil', productId: 'oil-a', addedMl: 80, levelAfter: 'right' }),
    '80 mL of Oil A · between the marks',
  ],
  [changeAt(10), 'Oil A · 650 mL out · 700 mL in · between the marks'],
  [entryAt(10, 'done', { task: 'inletScreen' }), 'Inlet screen'],
  [entryAt(10, 'note', { text: 'Quiet.' }), 'Quiet.'],
])('an entry reads in one line', (entry, text) => {
  expect(entryWords(entry, house, words)).toBe(text);
});

test('an issue says the value and what would be right', () => {
  expect(issueWords({ field: 'minutes', value: -5, code: 'notRight', right: 'at least 1 minute' })).toBe(
    '“-5” is not right here. Right would be at least 1 minute.',
  );
  expect(issueWords({ field: 'minutes', value: null, code: 'missing', right: 'whole minutes' })).toBe(
    'Say this: whole minutes.',
  );
});

test.each<[Question, RegExp]>([
  [
    {
      code: 'overlap',
      otherEntryId: 'x',
      otherFrom: '2031-01-08T10:00:00.000Z',
      otherUntil: '2031-01-09T06:00:00.000Z',
    },
    /a run already from yesterday 10:00 to today 06:00/,
  ],
  [
    { code: 'drainAboveCharge', outMl: 760, chargeMl: 700 },
    /^760 mL came out, but the charge is 700 mL\. Was there water in it\?$/,
  ],
  [
    { code: 'drained', drainedAt: '2031-01-08T10:00:00.000Z' },
    /^Its oil was let out yesterday 10:00, and no filling is logged since\. Did it really run without oil\?/,
  ],
  [
    { code: 'notWhole', how: 'capped', sinceAt: '2031-01-08T10:00:00.000Z' },
    /^Inlet and exhaust are capped since yesterday 10:00 by what is logged\. Did it really run so\?/,
  ],
  [
    { code: 'startedDrained', drainedAt: '2031-01-08T10:00:00.000Z' },
    /^No oil in it since yesterday 10:00 by what is logged: it is filled first\. Shall this begin all the same\?$/,
  ],
  [
    { code: 'startedNotWhole', how: 'open', sinceAt: '2031-01-08T10:00:00.000Z' },
    /^It stands open since yesterday 10:00 by what is logged: .* first .* closed and freed\. Shall this begin/,
  ],
  [
    { code: 'jobUnderWay', procedure: 'oilChange', startedAt: '2031-01-08T10:00:00.000Z' },
    /^Oil change is under way on this pump since yesterday 10:00\. Shall another job leave it behind\?$/,
  ],
  [
    { code: 'aboveAssumedHousing', ml: 1500, holdsMl: 1050 },
    /^1,500 mL is more than the 1,050 mL that this housing was assumed to hold/,
  ],
  [
    {
      code: 'overlap',
      otherEntryId: 'x',
      otherFrom: '2031-01-08T10:00:00.000Z',
      otherUntil: '9999-12-31T00:00:00.000Z',
    },
    /has been running since yesterday 10:00\. Is this really another run/,
  ],
  [
    { code: 'meterBackwards', beforeMinutes: 60_000, beforeAt: '2031-01-08T10:00:00.000Z' },
    /showed 1,000\u00a0h yesterday, which is more\. Was it misread then\?/,
  ],
  [
    {
      code: 'unusual',
      readings: [
        { field: 'trapTempC', value: 41, least: -90, most: 5, quantity: 'temperature' },
        { field: 'waterPpm', value: 120_000, least: 0, most: 50_000, quantity: 'ppm' },
      ],
    },
    /^Is this right: trap 41\s°C \(usual is −90\s°C to 5\s°C\), water 120,000\sppm \(usual is 0\sppm to 50,000\sppm\)\?$/,
  ],
  [
    { code: 'meterTooFast', beforeMinutes: 60_000, beforeAt: '2031-01-08T10:00:00.000Z' },
    /it would have run faster than time/,
  ],
])('a soft rule is a question', (question, text) => {
  expect(questionWords(question, words).question).toMatch(text);
});

const bar = {
  entryId: 'e',
  at: '2031-01-08T10:00:00.000Z',
  load: 'wet' as const,
  materialId: 'fd-meat',
  carriedOver: true,
  bled: true,
  looked: false,
  minutes: 1230,
  weight: 2.55,
};

test('a bar and a ruler are named for those who cannot see them', () => {
  expect(barWords(bar, { 'fd-meat': 'Meat or fish' }, words)).toBe(
    'Meat or fish, yesterday 10:00 · 20 h 30 · weight 2.6 · bled · on oil carried over',
  );
  const ruler = {
    collapsed: { runs: 3, weight: 4 },
    bars: [bar],
    expected: [],
    usedWeight: 6.55,
    flag: { atWeight: 5, measure: 'hours' as const, limit: 750, reached: true },
  };
  expect(rulerWords('K6', ruler)).toBe(
    'K6: 4 runs since the oil change, weight 6.6, 1 on oil carried over, 750 h reached',
  );
  expect(flagWords(ruler)).toBe('750 h');
  expect(flagWords({ ...ruler, flag: { ...ruler.flag, measure: 'weight' } })).toBeNull();
});

test('a jar is named by its layers', () => {
  const jar = {
    entryId: 'e',
    at: '',
    source: 'sample' as const,
    oilUl: 292_000,
    sludgeUl: 0,
    waterUl: 31_000,
    waterRead: true,
    creamUl: 0,
    hazyUl: 0,
    photoId: null,
    colour: 3,
    clarity: 'hazy' as const,
    level: null,
    hoursStood: 20,
    waterFloats: false,
  };
  const before = { ...jar, at: '2031-01-08T10:00:00.000Z' };
  expect(jarNow({ jars: [before], oilChangedAt: '2031-01-07T10:00:00.000Z' })).toBe(before);
  // It was of the oil before the change.
  expect(jarNow({ jars: [before], oilChangedAt: '2031-01-08T11:00:00.000Z' })).toBeNull();
  expect(jarWords(jar, 700, words.print)).toBe('free water 31 mL, hazy oil 292 mL');
  expect(jarWords(null, 700, words.print)).toBe('This oil has not been looked at yet');
});
