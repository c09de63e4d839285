import type { Procedure } from '../procedure.js';
import { PROCEDURE_NAMES, PROCEDURE_SKILLS } from './procedure-names.js';

export const BALLAST_PURGE: Procedure = {
  letter: 'F',
  name: PROCEDURE_NAMES.ballastPurge,
  tasks: ['purge'],
  kinds: ['vane'],
  // Without oil in it a pump is not run.
  when: ['!drained'],
  skill: PROCEDURE_SKILLS.ballastPurge,
  atHand: ['a jar', 'nitrogen from a regulator with relief, where air is barred'],
  steps: [
    { id: 'close', kind: 'do', minutes: 1, words: 'Close the inlet.', risks: ['purges'] },
    {
      id: 'warmUp',
      kind: 'wait',
      minutes: 30,
      until: 'the oil is at 60 °C',
      words: 'Run it until the oil is at 60 °C or more: the hour counts from then.',
      risks: ['starts', 'opensExhaust'],
    },
    { id: 'oilTemp', kind: 'measure', minutes: 1, words: 'Read the oil’s warmth.', label: 'Oil', of: 'temperature' },
    { id: 'openAir', kind: 'do', minutes: 1, words: 'Open the ballast.', when: ['!solvent'], risks: ['purges'] },
    {
      id: 'openNitrogen',
      kind: 'do',
      minutes: 3,
      words: 'Nitrogen on the ballast port, exhaust to a safe place; or leave the purge and drain it cold.',
      when: ['solvent'],
      risks: ['purges'],
    },
    {
      id: 'hour',
      kind: 'wait',
      minutes: 60,
      does: ['purge'],
      purgesAt: 'oilTemp',
      words: 'Let it run so, about an hour; longer the wetter its oil, and the cooler.',
    },
    { id: 'back', kind: 'do', minutes: 1, words: 'Put the ballast back to the pump’s usual position.' },
    {
      id: 'glass',
      kind: 'look',
      minutes: 2,
      words: 'Look again. What has not cleared is changed.',
      at: 'glass',
      risks: ['looksAtOil', 'nearOil'],
    },
  ],
};
