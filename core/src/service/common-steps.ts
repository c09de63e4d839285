import type { Choice, Step } from './procedure.js';

export const LEVEL_CHOICES: readonly Choice[] = [
  { id: 'low', words: 'below the mark', level: 'low' },
  { id: 'right', words: 'at the mark', level: 'right' },
  { id: 'high', words: 'above the mark', level: 'high' },
];

/** The beginning of most work on the oil (docs/trade.md 8): warm, safe, vented. With solvent in it the oil is left to cool. */
export const MAKE_SAFE: readonly Step[] = [
  {
    id: 'warm',
    kind: 'wait',
    minutes: 20,
    words: 'Run it with the inlet closed until the oil is warm, 40–60 °C; not hotter.',
    until: 'the oil is at 40–60 °C',
    when: ['!solvent', '!drained', '!open', '!capped'],
    risks: ['starts', 'drainsWarm'],
  },
  {
    id: 'cool',
    kind: 'wait',
    minutes: 60,
    words: 'Stopped, let it cool to the warmth of the room.',
    until: 'the oil is as cool as the room',
    when: ['solvent', '!drained'],
    risks: ['drains'],
  },
  {
    id: 'lock',
    kind: 'do',
    minutes: 3,
    words: 'Off, isolated, your own lock and tag on it.',
    risks: ['standsStill'],
  },
  { id: 'vent', kind: 'do', minutes: 1, words: 'Vent the pump side until no more air rushes.', risks: ['opensVacuum'] },
];

/** Filled to the mark, run, read again: too much oil is as wrong as too little. */
export const LEVEL: readonly Step[] = [
  { id: 'levelBase', kind: 'do', minutes: 1, words: 'Stand it level. Near the mark pour slowly: the oil rises late.' },
  { id: 'plug', kind: 'do', minutes: 1, words: 'Fill plug in, finger-tight.' },
  {
    id: 'shortRun',
    kind: 'wait',
    minutes: 2,
    words: 'Unlock, run one to two minutes with the inlet closed; vent, then stop, and lock again.',
    risks: ['starts', 'opensExhaust'],
  },
  { id: 'comesDown', kind: 'wait', minutes: 5, words: 'Wait until the oil has come down.' },
  {
    id: 'level',
    kind: 'choose',
    minutes: 2,
    words: 'Read the level again, and correct it.',
    inGlass: true,
    choices: LEVEL_CHOICES,
  },
  {
    id: 'addMore',
    byGlass: 'level',
    kind: 'measure',
    minutes: 1,
    words: 'Below the mark: add oil, slowly.',
    label: 'Added',
    of: 'volume',
    goes: 'added',
    onlyAfter: { step: 'level', choice: 'low' },
    then: 'comesDown',
    risks: ['oilIn'],
  },
  {
    id: 'takeOff',
    byGlass: 'level',
    kind: 'measure',
    minutes: 2,
    words: 'Above the mark: drain down to it.',
    label: 'Drained off',
    of: 'volume',
    goes: 'takenOff',
    onlyAfter: { step: 'level', choice: 'high' },
    then: 'comesDown',
    risks: ['oilOut'],
  },
  { id: 'unlock', kind: 'do', minutes: 2, words: 'Tools and rags away, lock off.', risks: ['wipes'] },
];

/** How it is proved that a pump that was opened is tight and well. */
export const BLANK_OFF: readonly Step[] = [
  {
    id: 'blank',
    kind: 'do',
    minutes: 3,
    words: 'Blank it off at its own flange, with a gauge that was compared.',
    risks: ['opensLine', 'opensVacuum'],
  },
  {
    id: 'blankRun',
    kind: 'wait',
    minutes: 30,
    words: 'Run it warm.',
    until: 'the pressure falls no more',
    risks: ['starts'],
  },
  {
    id: 'ultimate',
    kind: 'measure',
    minutes: 1,
    words: 'Read the pressure.',
    label: 'Ultimate, blanked off',
    of: 'pressure',
    goes: 'blankOffPa',
  },
];
