import type { Service, ServiceStep, Skill } from '@winter-jar/core';
import type { Print } from '../device/use-print.js';
import { printDuration } from '@winter-jar/core';

export const SKILL_WORDS: Readonly<Record<Skill, string>> = {
  operator: 'whoever runs the pump',
  technician: 'a technician',
  specialist: 'a specialist, where the house allows it',
};

/** "about 25 min of work, 1 h 20 of waiting". */
export function lastsWords({ handsMinutes, waitMinutes }: Pick<Service, 'handsMinutes' | 'waitMinutes'>): string {
  const work = `about ${printDuration(handsMinutes)} of work`;
  return waitMinutes === 0 ? work : `${work}, ${printDuration(waitMinutes)} of waiting`;
}

/** A step with its volume; where the model does not say one it is left to be written in. */
export const stepWords = ({ step, amountMl }: ServiceStep, print: Print): string =>
  step.words.replace('{amount}', amountMl === null ? '……… mL' : print.volume(amountMl));
