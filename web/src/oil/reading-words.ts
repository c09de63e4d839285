import type { Doubt, FindingCode, NextLook, Settling, VerdictChange } from '@winter-jar/core';
import type { Print } from '../device/use-print.js';
import { verdictWords } from '../words/messages.js';
import { stoodWords } from '../words/entry-words.js';
import type { LookReading } from './use-reading.js';

const CONFIDENCE_WORDS = { firm: 'Firm', fair: 'Fair', early: 'Early' } as const;

const DOUBT_WORDS: Readonly<Record<Doubt, string>> = {
  notSettled: 'the oil has not had its time to settle',
  sightGlassOnly: 'seen through the glass only',
  smallSample: 'a small sample of a large charge',
  productUnknown: 'nobody has said which oil it is',
  neverSeparates: 'nobody can say when water has parted from this oil, so the jar may show only part of it',
  littleSaid: 'little was said',
};

/** "Early: the oil has not had its time to settle." */
export function confidenceWords({ confidence }: Pick<LookReading, 'confidence'>): string {
  const doubts = confidence.doubts.map((d) => DOUBT_WORDS[d]).join('; ');
  return doubts
    ? `${CONFIDENCE_WORDS[confidence.word]}: ${doubts}.`
    : `${CONFIDENCE_WORDS.firm}: the oil has had its time.`;
}

const LOOK_AT: { readonly [C in FindingCode]?: string } = {
  water: 'water',
  waterAboveExpected: 'water',
  waterAtPickUp: 'water',
  levelFromWater: 'level and water',
  cream: 'cream',
  creamThroughout: 'cream',
  clarity: 'clarity',
  colour: 'colour',
  darkAgain: 'colour',
  sludge: 'sludge',
  particles: 'particles',
  smell: 'smell',
  foam: 'foam',
  level: 'level',
  thrownOil: 'the exhaust',
  viscosity: 'smell',
  labWater: 'water',
};

export function nextLookWords(next: NextLook): string {
  const what = [...new Set(next.at.map((c) => LOOK_AT[c]).filter(Boolean))].join(', ');
  const at = what ? `: ${what}` : '';
  switch (next.when) {
    case 'onceSettled':
      return `Look at this jar again in ${stoodWords(Math.ceil(next.inHours))}${at}.`;
    case 'afterTheAct':
      return `Look again after it is done${at}.`;
    case 'afterNextRun':
      return `Look again after the next run${at}.`;
    case 'asUsual':
      return 'Next look at its usual time.';
  }
}

/** How long this oil needs, and what that follows from. */
export function settlingWords({ neededHours, basis, settled }: Settling, denserOrDetergent: boolean): string {
  const needs = stoodWords(Math.round(neededHours * 10) / 10);
  if (basis === 'sightGlass') return `Behind the glass oil counts as settled after ${needs} of standing still.`;
  if (denserOrDetergent) return `No settling time can be calculated for this oil; ${needs} is the least.`;
  return settled
    ? `Settled: this oil needs ${needs} in this jar.`
    : `This oil needs ${needs} in this jar, for a droplet of 50 µm to fall.`;
}

const READING_WORDS: Readonly<Record<VerdictChange['reading'], string>> = {
  freeWaterMl: 'free water',
  creamMl: 'cream',
  sludgeMl: 'sludge',
  colour: 'colour',
  hoursStood: 'standing',
};

/** "36 mL of free water instead of 20 mL: Change before next run" */
export function verdictChangeWords(tip: VerdictChange, print: Print): string {
  const verdict = verdictWords(tip.level, tip.act);
  if (tip.reading === 'hoursStood') return `The same after ${stoodWords(Math.ceil(tip.to))} of standing: ${verdict}`;
  if (tip.reading === 'colour') return `Colour ${tip.to} instead of ${tip.from}: ${verdict}`;
  return `${print.volume(tip.to)} of ${READING_WORDS[tip.reading]} instead of ${print.volume(tip.from)}: ${verdict}`;
}
