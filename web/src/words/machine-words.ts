import type { MachineCode, MachineFinding, PressureLimit } from '@winter-jar/core';
import { dayWords } from './dates.js';
import type { Sentence, Words } from './words.js';

type FoundOf<C extends MachineCode> = MachineFinding & { readonly code: C };

const WHERE = {
  chamber: 'at the chamber',
  pump: 'at the pump, blanked off',
  hoseEnd: 'at the end of the hose',
} as const;

const AGAINST: Readonly<Record<PressureLimit, string>> = {
  target: 'its target allows',
  usual: 'is usual on this set',
  own: 'three times its own ultimate is',
  model: 'three times its model’s ultimate is',
  good: 'three times its good value is',
};

function poorVacuum({ where, foundPa, limitPa, against, at }: FoundOf<'poorVacuum'>, words: Words): Sentence {
  const { print, zone, now } = words;
  return {
    short: `${print.pressure(foundPa)} ${where === 'chamber' ? 'reached' : 'blanked off'}`,
    full: `${print.pressure(foundPa)} ${WHERE[where]} (${dayWords(at, zone, now)}), where ${AGAINST[against]} ${print.pressure(limitPa)}. Find what it comes from: the load, a leak, the line, the gauge or the pump.`,
  };
}

const OVER_GOOD_NEXT: Readonly<Record<FoundOf<'overGood'>['phase'], string>> = {
  purge: 'Purge it warm for an hour, then measure again: water and solvent have a pressure of their own.',
  measure: 'It was purged: measure again.',
  change: 'A purge did not bring it back: change the oil, after a second gauge has said the same.',
  measureNewOil: 'The oil was changed: measure again, warm.',
};

function overGood({ foundPa, limitPa, against, phase, at }: FoundOf<'overGood'>, words: Words): Sentence {
  const { print, zone, now } = words;
  return {
    short: `${print.pressure(foundPa)} blanked off`,
    full: `${print.pressure(foundPa)} blanked off (${dayWords(at, zone, now)}), where ${AGAINST[against]} ${print.pressure(limitPa)}. ${OVER_GOOD_NEXT[phase]}`,
  };
}

function backPressure(
  { overPa, blocked, lookPa, renewPa, at }: FoundOf<'backPressure'>,
  { print, zone, now }: Words,
): Sentence {
  const day = dayWords(at, zone, now);
  if (blocked)
    return {
      short: 'Exhaust blocked or iced',
      full: `The exhaust was blocked or iced shut (${day}): the case can burst. Free the line, then a new exhaust filter.`,
    };
  const found = overPa === null ? 'raised' : `${print.pressure(overPa)} over ambient`;
  return {
    short: `Back-pressure ${found}`,
    full: `Back-pressure at the exhaust ${found} (${day}): look at its filter from ${print.pressure(lookPa)}, a new one from ${print.pressure(renewPa)} on.`,
  };
}

/** What came with the oil: its flush and its charge, and which of them is left. */
const flushWords =
  (short: string, what: string) =>
  ({ flushedAt, filledAt, at }: FoundOf<'resinInOil' | 'swallowed'>, { zone, now }: Words): Sentence => {
    const left =
      flushedAt !== null
        ? 'Flushed: a new charge is left to do.'
        : filledAt !== null
          ? 'Changed without a flush: flush it, then fill it anew.'
          : 'Drain it, flush it and fill it anew.';
    return { short, full: `${what} (${dayWords(at, zone, now)}). ${left}` };
  };

const plain =
  (short: string, full: string) =>
  ({ at }: MachineFinding, { zone, now }: Words): Sentence => ({
    short,
    full: `${short} (${dayWords(at, zone, now)}). ${full}`,
  });

const AGAINST_ITS_OWN = 'Find the cause, or say that it is as usual again.';

/** What the pump itself says. The compiler checks that no code is forgotten. */
export const MACHINE_WORDS: { readonly [C in MachineCode]: (found: FoundOf<C>, words: Words) => Sentence } = {
  poorVacuum,
  overGood,
  backPressure,
  runsHot: ({ oilTempC, at }, { print, zone, now }) => ({
    short: `Oil at ${print.temperature(oilTempC)}`,
    full: `The oil ran at ${print.temperature(oilTempC)} (${dayWords(at, zone, now)}), over 100\u00a0°C: fan, fins, exhaust and level first, then oil and bearings. It ends when the case is closed with which of them it was.`,
  }),
  resinInOil: flushWords(
    'Resin in the oil',
    'Gel or strings of resin in oil or hose: it cures. Turn the pump by hand before any start',
  ),
  swallowed: flushWords(
    'Brine, juice or resin drawn in',
    'Liquid went into the pump: salt rusts within hours. The same day',
  ),
  toppedUpOften: ({ times, days, at }, { zone, now }) => ({
    short: `Topped up ${times} times in ${days} days`,
    full: `Filled up ${times} times within ${days} days (${dayWords(at, zone, now)}): look for a weep, for oil in the exhaust and up the hose.`,
  }),
  sealCupLeak: ({ times, days, at }, { zone, now }) => ({
    short: 'Seal cup empties',
    full: `The seal cup was filled ${times} times within ${days} days (${dayWords(at, zone, now)}): weekly or oftener means that a shaft seal leaks.`,
  }),
  oilUse: ({ ulPer100h, usualUlPer100h, at }, { print, zone, now }) => ({
    short: `${print.volume(ulPer100h / 1000)} of oil per 100\u00a0h`,
    full: `${print.volume(ulPer100h / 1000)} of oil per 100\u00a0h of running (${dayWords(at, zone, now)}), where ${print.volume(usualUlPer100h / 1000)} are its usual; what samples and bleeds took is left out. Look for a weep, for oil in the exhaust and up the hose.`,
  }),
  levelHolds: ({ goneUl, at }, { print, zone, now }) => ({
    short: 'Level no longer falls',
    full: `By its usual ${print.volume(goneUl / 1000)} should be gone, and the level stood as it did (${dayWords(at, zone, now)}): water may have taken the oil’s place. Let it stand, draw a sample at the bottom and look for water.`,
  }),
  grinding: plain('Metal grinds', 'Do not start it: vanes, bearings and rotor on the bench, or an exchange pump.'),
  stiff: plain('Hard to turn by hand', 'Do not start it: it is opened and inspected, or exchanged.'),
  trips: plain(
    'Motor tripped twice',
    'Do not switch it on a third time: motor, cold or thick oil, exhaust, heat, level, wear. It ends when the case is closed with which of them it was.',
  ),
  louder: plain(
    'Louder than its own',
    `A dull knock at ultimate with the ballast closed is oil, and normal. ${AGAINST_ITS_OWN}`,
  ),
  slowStart: plain('Starts slowly', AGAINST_ITS_OWN),
  moreCurrent: plain('More current than its own', AGAINST_ITS_OWN),
  hotterCase: plain('Case hotter than its own', AGAINST_ITS_OWN),
};
