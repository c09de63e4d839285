import type { LimitStanding, Reason, TaskStanding } from '@winter-jar/core';
import { printDuration, printQuantity } from '@winter-jar/core';
import { dueWords, forecastWords, headline, layUpWords, reasonKey, reasonWords, verdictWords } from './messages.js';
import type { Words } from './words.js';

const words: Words = {
  zone: 'Europe/Lisbon',
  now: '2031-03-09T12:00:00.000Z',
  print: {
    volume: (value) => printQuantity({ value, unit: 'mL' }),
    pressure: (value) => printQuantity({ value, unit: 'hPa' }),
    temperature: (value) => printQuantity({ value, unit: '°C' }),
    flow: (m3h: number) => `${m3h} m³/h`,
    duration: printDuration,
  },
};
const at = '2031-03-07T08:00:00.000Z';
const found = { entryId: 'e', at, sump: 'oil' as const };
const limit: LimitStanding = {
  measure: 'hours',
  limit: 750,
  used: 773.9,
  left: 0,
  from: 'preset',
  reached: true,
  withinNextRun: false,
  runsLeft: null,
  forecast: null,
};

test.each([
  ['runOn', null, 'Run on'],
  ['lookSooner', 'look', 'Look sooner'],
  ['beforeNextRun', 'change', 'Change before next run'],
  ['beforeNextRun', 'topUp', 'Top up before next run'],
  ['beforeNextRun', 'drainToMark', 'Drain to the mark before next run'],
  ['stop', 'change', 'Stop'],
] as const)('%s with the act %s reads "%s"', (level, act, text) => {
  expect(verdictWords(level, act)).toBe(text);
});

const reasons: [Reason, RegExp][] = [
  [
    {
      code: 'water',
      level: 'beforeNextRun',
      act: 'change',
      answeredBy: 'bleedOrPurgeThenLook',
      foundUl: 58_000,
      chargeUl: 700_000,
      limitShare: 0.05,
      ...found,
    },
    /^58 mL of water in the oil \(Fri 7 Mar\): 8.3.% of the charge, the limit is 5.%/,
  ],
  [
    {
      code: 'clarity',
      level: 'stop',
      act: 'change',
      answeredBy: 'change',
      clarity: 'opaque',
      hoursStood: 0,
      running: true,
      afterPurge: false,
      ...found,
    },
    /^The oil was opaque while running .* Drain it, do not purge/,
  ],
  [
    {
      code: 'colour',
      level: 'lookSooner',
      act: 'look',
      answeredBy: 'change',
      colour: 3,
      startColour: 1,
      limitRise: 1.5,
      ...found,
    },
    /Colour 3 .* 2 above this charge’s start; the limit is 1.5/,
  ],
  [
    {
      code: 'level',
      level: 'beforeNextRun',
      act: 'topUp',
      answeredBy: 'topUp',
      found: 'low',
      nothingAdded: false,
      ...found,
    },
    /^Level below MIN \(Fri 7 Mar\)\. Top up/,
  ],
  [
    {
      code: 'changeDue',
      level: 'beforeNextRun',
      act: 'change',
      answeredBy: 'change',
      task: 'oilChange',
      decides: limit,
      sinceAt: at,
    },
    /^Oil change due: 774 h of 750 h operating hours since Fri 7 Mar/,
  ],
  [
    { code: 'carriedOver', level: 'runOn', act: 'change', answeredBy: 'change', runs: 2 },
    /^2 runs of this charge went out on oil that was due/,
  ],
];
test.each(reasons)('a reason is a full sentence with its source and date', (reason, text) => {
  expect(reasonWords(reason, words).full).toMatch(text);
});

const task = (more: Partial<TaskStanding>): TaskStanding => ({
  task: 'oilChange',
  limits: [],
  decides: limit,
  status: 'ok',
  sinceAt: at,
  doneEntryId: null,
  forecast: null,
  ...more,
});
const forecast = { measure: 'runs', p10Days: 3, p50Days: 10, p90Days: 20, basis: 'use', runsLeft: 4 } as const;

test('an idle pump is told from one with too few runs', () => {
  expect(layUpWords({ why: 'idle', days: 50.7 })).toMatch(
    /^Idle: no run for 50 days, so its use gives no date\. If it is to stand on, lay it up/,
  );
  expect(layUpWords({ why: 'wetOil', days: 3.2 })).toMatch(/^It has stood for 3 days on oil from wet work: rust/);
});

test('a forecast gives the likely day and the range', () => {
  expect(forecastWords(forecast, words)).toEqual({ about: 'about Wed 19 Mar', range: 'Wed 12 Mar – Sat 29 Mar' });
  expect(forecastWords({ ...forecast, basis: 'date' }, words)).toEqual({ about: 'on Wed 19 Mar', range: null });
});

test('when a task is wanted', () => {
  expect(dueWords(task({ status: 'reached' }), words)).toBe('now');
  expect(dueWords(task({ status: 'withinNextRun', forecast }), words)).toBe('after the next run');
  expect(dueWords(task({ forecast }), words)).toBe('about Wed 19 Mar');
  expect(dueWords(task({ decides: { ...limit, left: 3, measure: 'runs' } }), words)).toBe('after 3 more runs');
  expect(dueWords(task({ decides: { ...limit, left: 0.6, measure: 'runs' } }), words)).toBe('after 1 more run');
  expect(dueWords(task({ decides: { ...limit, left: 11.2, measure: 'hours' } }), words)).toBe('after 12 more hours');
  expect(dueWords(task({ decides: { ...limit, left: 1.43, measure: 'weight' } }), words)).toBe(
    'after 1.4 more weighted runs',
  );
});

test('the row says the worst reason, else what comes next', () => {
  expect(
    headline({ verdict: 'runOn', reasons: [], nextTask: task({ status: 'reached', task: 'inletScreen' }) }, words),
  ).toBe('Inlet screen now');
  expect(headline({ verdict: 'beforeNextRun', reasons: [reasons[3]![0]], nextTask: null }, words)).toBe(
    'Level below MIN',
  );
});

test('two low gear chambers say which end, and are two reasons on the screen', () => {
  const low = { code: 'level', found: 'low', level: 'beforeNextRun', act: 'topUp', answeredBy: 'topUp' } as const;
  const reason = (sump: 'gearA' | 'gearB'): Reason => ({ ...low, nothingAdded: false, ...found, sump });
  const [a, b] = [reason('gearA'), reason('gearB')];
  expect(reasonWords(a, words).short).toBe('Gear end A: level below MIN');
  expect(reasonWords(b, words).full).toBe('Gear end B: level below MIN (Fri 7 Mar). Top up to the mark.');
  expect(reasonKey(a)).not.toBe(reasonKey(b));
});

test.each([
  [['run'], '1 run not told', 'a run counts as the heaviest material of such equipment.'],
  [['bleed', 'bleed'], '2 bleeds not told', 'a bleed counts as without water.'],
  [
    ['run', 'bleed', 'run'],
    '2 runs and 1 bleed not told',
    'a run counts as the heaviest material of such equipment, a bleed counts as without water.',
  ],
] as const)('what nobody has said: %s', (kinds, short, full) => {
  const entries = kinds.map((kind, i) => ({ kind, entryId: `e${i}`, at: '2031-03-09T14:05:00.000Z' }));
  const said = reasonWords({ code: 'notTold', level: 'runOn', act: null, answeredBy: 'correction', entries }, words);
  expect(said).toEqual({ short, full: `${short}. Until somebody says it, ${full}` });
});
