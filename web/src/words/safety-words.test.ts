import type { Reason } from '@winter-jar/core';
import { reasonWords } from './messages.js';
import type { Words } from './words.js';

const print: Words['print'] = {
  volume: (ml) => `${ml} mL`,
  pressure: (pa) => `${pa} Pa`,
  temperature: (c) => `${c} °C`,
  flow: (m3h: number) => `${m3h} m³/h`,
  duration: (minutes) => `${minutes} min`,
};
const words: Words = { print, zone: 'Europe/Lisbon', now: '2031-03-09T12:00:00.000Z' };
const at = '2031-03-09T08:00:00.000Z';
const seen = { entryId: 'e', at, sump: 'oil' } as const;
const unfit = {
  level: 'stop',
  act: 'stripClean',
  answeredBy: 'stripAndChange',
  productId: 'a',
  stripped: false,
} as const;
const metal = {
  code: 'particles',
  level: 'stop',
  act: 'inspect',
  answeredBy: 'inspectAndChange',
  amount: 'few',
  kinds: ['glitter'],
  runningIn: false,
  ...seen,
} as const;
const cream = {
  code: 'cream',
  level: 'lookSooner',
  answeredBy: 'bleedOrPurgeThenLook',
  creamUl: 20_000,
  chargeUl: 700_000,
  limitShare: 0,
  afterPurge: false,
  ...seen,
} as const;
const smell = { ...seen, code: 'smell', smell: 'solvent', level: 'stop', answeredBy: 'changeThenViscosity' } as const;

test.each<[string, Reason, RegExp, RegExp | null]>([
  [
    'oxygen',
    { ...unfit, code: 'unfitOil', unfit: 'oxygen', trace: false },
    /it can explode.*specialist.*Neither a change nor a flush/,
    null,
  ],
  [
    'a trace',
    { ...unfit, code: 'unfitOil', unfit: 'oxygen', trace: true },
    /was in this pump before.*A trace is enough/,
    null,
  ],
  [
    'stripped',
    { ...unfit, code: 'unfitOil', unfit: 'oxygen', trace: true, stripped: true },
    /fill it with the right oil/,
    /specialist/,
  ],
  ['PFPE', { ...unfit, code: 'unfitOil', unfit: 'pfpe', trace: false }, /kept on PFPE/, null],
  [
    'food',
    { ...unfit, code: 'unfitOil', unfit: 'food', trace: false },
    /not registered.*\(H1\).*Change it/,
    /specialist/,
  ],
  [
    'metal, inspected',
    { ...metal, act: 'change', half: { done: 'pump', at } },
    /Inspected: clean oil is left to do/,
    null,
  ],
  ['metal, changed', { ...metal, half: { done: 'oil', at } }, /Changed: the inspection is left to do/, null],
  ['cream', { ...cream, act: 'purge' }, /purge, and change if it does not clear/, /Solvent/],
  [
    'cream with solvent',
    { ...cream, act: 'change', airBarred: true },
    /Drain it cold, and change it\..*never purge it with air/,
    /: purge/,
  ],
  ['solvent', { ...smell, act: 'change' }, /Drain it cold by your site’s rules/, /smell the new oil/],
  [
    'solvent, changed',
    { ...smell, act: 'sample', half: { done: 'oil', at } },
    /sample.*within 10.% of new.*nobody is to sniff.*correct its record first/,
    null,
  ],
  [
    'growth',
    { ...metal, kinds: ['growth'], level: 'beforeNextRun', act: 'washHousing', answeredBy: 'washAndChange' },
    /wash it, gloves on, fill it anew, and do not use the oil again/,
    null,
  ],
])('%s says what it is and what ends it', (_, reason, wanted, never) => {
  const { full } = reasonWords(reason, words);
  expect(full).toMatch(wanted);
  if (never) expect(full).not.toMatch(never);
});
