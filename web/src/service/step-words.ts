import {
  ownMinutes,
  printDuration,
  type FlushFill,
  type MayNot,
  type PurgePlan,
  type Service,
  type ServiceStep,
  type Skill,
} from '@winter-jar/core';
import type { Print } from '../device/use-print.js';
import { capital, countOf, number, percent } from '../ui/number.js';

export const SKILL_WORDS: Readonly<Record<Skill, string>> = {
  operator: 'whoever runs the pump',
  technician: 'a technician',
  specialist: 'a specialist, where the house allows it',
};

/** ", here 31 min (6 done)", once there are enough of them. */
export function ownWords(worked: readonly number[] = []): string {
  const own = ownMinutes(worked);
  return own === null ? '' : `, here ${printDuration(own)} (${number(worked.length)} done)`;
}

/** Why somebody may not do it, and what then. */
export const MAY_NOT_WORDS: Readonly<Record<MayNot, string>> = {
  house: 'Not opened in this house: exchange the pump. The rules of the house can allow it.',
  person: 'By people whose record allows a specialist’s work: choose who writes here.',
};

/** "about 25 min of work, 1 h 20 of waiting". */
export function lastsWords({ handsMinutes, waitMinutes }: Pick<Service, 'handsMinutes' | 'waitMinutes'>): string {
  const work = `about ${printDuration(handsMinutes)} of work`;
  return waitMinutes === 0 ? work : `${work}, ${printDuration(waitMinutes)} of waiting`;
}

/** "At best 8 % of what was there is left after 1 fill, 0.6 % after 2, 0.05 % after 3; each takes 700 mL." */
export function flushWords(fills: readonly FlushFill[], print: Print): string {
  const [first] = fills;
  if (!first) return '';
  const left = (share: number) => (share < 0.001 ? 'under 0.1\u00a0%' : percent(share));
  const said = fills.map(({ fills: n, left: share }) => `${left(share)} after ${countOf(n, 'fill')}`).join(', ');
  return `At best so much of what was there is left: ${said}. Each takes ${print.volume(first.oilMl)}.`;
}

/** "50 min for the 15 mL of water that should be in it, with oil at 70 °C: warm gas carries it out slowly. Then look." */
export function purgeWords({ minutes, waterMl, oilTempC, isReckoned }: PurgePlan, print: Print): string {
  const time = print.duration(minutes);
  if (waterMl === null) return `How much water is in it nobody knows: ${time}, then look.`;
  const water = `the ${print.volume(waterMl)} of water that should be in it, with oil at ${print.temperature(oilTempC)}`;
  return isReckoned
    ? `${time} for ${water}. Oil gives it up slowly: then look.`
    : `For ${water}, it would take more than four hours: bleed it, or change the oil. Here ${time}, then look.`;
}

/** Words of a step with its volume. @param unknown what stands where the model does not say one */
export const withAmount = (
  words: string,
  { amountMl }: Pick<ServiceStep, 'amountMl'>,
  print: Print,
  unknown = 'what its manual says',
): string => words.replaceAll('{amount}', amountMl === null ? unknown : print.volume(amountMl));

export const stepWords = (shown: ServiceStep, print: Print, unknown?: string): string =>
  withAmount(shown.step.words, shown, print, unknown);

const FIRST_CLAUSE = /^(.*?)[.:;](?:\s+(.*))?$/s;

/** What a step is in a few words, and what there is to say besides. */
export function headAndRest(step: ServiceStep, print: Print): { readonly head: string; readonly rest: string } {
  const said = stepWords(step, print);
  const [, head = said, rest = ''] = FIRST_CLAUSE.exec(said) ?? [];
  return { head, rest: capital(rest) };
}
export const headOf = (step: ServiceStep, print: Print): string => headAndRest(step, print).head;
