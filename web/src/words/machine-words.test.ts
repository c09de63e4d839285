import type { MachineFinding } from '@winter-jar/core';
import type { Print } from '../device/use-print.js';
import { MACHINE_WORDS } from './machine-words.js';
import type { Words } from './words.js';

const print: Print = {
  volume: (ml) => `${ml} mL`,
  pressure: (pa) => `${pa} Pa`,
  temperature: (c) => `${c} °C`,
  flow: (m3h: number) => `${m3h} m³/h`,
  duration: (min) => `${min} min`,
};
const words: Words = { print, zone: 'Europe/Lisbon', now: '2031-03-09T12:00:00.000Z' };
const base = {
  entryId: 'e',
  at: '2031-03-09T08:00:00.000Z',
  level: 'lookSooner',
  act: 'findCause',
  answeredBy: 'cause',
} as const;
const said = (found: object): { short: string; full: string } => {
  const finding = { ...base, ...found } as MachineFinding;
  return (MACHINE_WORDS[finding.code] as (f: MachineFinding, w: Words) => { short: string; full: string })(
    finding,
    words,
  );
};

test.each<[object, string, RegExp]>([
  [
    { code: 'poorVacuum', where: 'chamber', foundPa: 14, limitPa: 12, against: 'target' },
    '14 Pa reached',
    /target allows 12 Pa\. Find what it comes from/,
  ],
  [
    { code: 'poorVacuum', where: 'pump', foundPa: 50, limitPa: 3, against: 'own' },
    '50 Pa blanked off',
    /three times its own ultimate is 3 Pa/,
  ],
  [
    { code: 'overGood', foundPa: 3.5, limitPa: 3, against: 'good', phase: 'purge' },
    '3.5 Pa blanked off',
    /Purge it warm/,
  ],
  [
    { code: 'overGood', foundPa: 3.5, limitPa: 3, against: 'good', phase: 'change' },
    '3.5 Pa blanked off',
    /change the oil, after a second gauge/,
  ],
  [
    { code: 'backPressure', overPa: 70000, blocked: false, lookPa: 30_000, renewPa: 60_000 },
    'Back-pressure 70000 Pa over ambient',
    /from 30000 Pa, a new one from 60000 Pa on/,
  ],
  [
    { code: 'backPressure', overPa: null, blocked: true, lookPa: 30_000, renewPa: 60_000 },
    'Exhaust blocked or iced',
    /the case can burst/,
  ],
  [{ code: 'runsHot', oilTempC: 104 }, 'Oil at 104 °C', /fan, fins, exhaust and level first/],
  [
    { code: 'resinInOil', flushedAt: null, filledAt: null },
    'Resin in the oil',
    /Drain it, flush it and fill it anew\.$/,
  ],
  [
    { code: 'swallowed', flushedAt: 'x', filledAt: null },
    'Brine, juice or resin drawn in',
    /a new charge is left to do\.$/,
  ],
  [{ code: 'swallowed', flushedAt: null, filledAt: 'x' }, 'Brine, juice or resin drawn in', /Changed without a flush/],
  [{ code: 'grinding' }, 'Metal grinds', /Do not start it/],
  [{ code: 'trips' }, 'Motor tripped twice', /case is closed/],
  [{ code: 'toppedUpOften', times: 5, days: 10 }, 'Topped up 5 times in 10 days', /look for a weep/],
  [{ code: 'sealCupLeak', times: 3, days: 14 }, 'Seal cup empties', /shaft seal leaks/],
  [
    { code: 'oilUse', ulPer100h: 60000, usualUlPer100h: 20000 },
    '60 mL of oil per 100\u00a0h',
    /where 20 mL are its usual/,
  ],
  [{ code: 'levelHolds', goneUl: 140000 }, 'Level no longer falls', /140 mL should be gone/],
  [{ code: 'louder' }, 'Louder than its own', /oil, and normal/],
])('%o', (found, short, full) => {
  const sentence = said(found);
  expect(sentence.short).toBe(short);
  expect(sentence.full).toMatch(full);
  expect(sentence.full).not.toMatch(/undefined|NaN|null/);
});
