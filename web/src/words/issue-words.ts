import { number } from '../ui/number.js';
import type { FieldIssue, Question } from '@winter-jar/contracts';
import type { Unfit, UnusualReading } from '@winter-jar/core';
import type { Print } from '../device/use-print.js';
import { dayWords, momentWords } from './dates.js';
import { NOT_WHOLE_WORDS } from './safety-state-words.js';
import { procedureName } from './procedure-words.js';
import { USED_OIL_WORDS } from './store-words.js';
import type { Words } from './words.js';
import { meterWords } from './entry-words.js';

/** What is wrong at a field, with the value and what would be right. */
export function issueWords({ value, right, code }: FieldIssue): string {
  if (code === 'unknownField') return 'Not known here: leave it out.';
  if (code === 'missing' || (typeof value === 'string' && value.trim() === '')) return `Say this: ${right}.`;
  if (code === 'mayNot') return `Your role does not write this. Right would be ${right}.`;
  const given = typeof value === 'string' || typeof value === 'number';
  return `${given ? `“${value}” is not right here. ` : ''}Right would be ${right}.`;
}

/** Fields whose readings can be unusual. */
const READING_WORDS: Readonly<Record<string, string>> = {
  minutes: 'length or meter',
  cycles: 'cycles',
  loadKg: 'load',
  trapTempC: 'trap',
  oilTempC: 'oil',
  firstPressurePa: 'first pressure',
  lowestPressurePa: 'lowest pressure',
  lookedAtMl: 'volume in the jar',
  hoursStood: 'time it stood',
  jarTempC: 'jar',
  newMinutes: 'new meter',
  meterMinutes: 'meter',
  runsSince: 'runs since the change',
  minutesSince: 'hours since the change',
  drawnMl: 'volume drawn',
  waterPpm: 'water',
  viscosity40Mm2s: 'viscosity',
  ironPpm: 'iron',
  siliconPpm: 'silicon',
  aluminiumPpm: 'aluminium',
  acidMgKohG: 'acid number',
  baseMgKohG: 'base number',
  count4PerMl: 'particles from 4 µm',
  count6PerMl: 'particles from 6 µm',
  count14PerMl: 'particles from 14 µm',
};

function readingWords({ field, value, least, most, quantity }: UnusualReading, print: Print): string {
  const said = (v: number) =>
    quantity === 'temperature' || quantity === 'pressure' || quantity === 'volume' || quantity === 'duration'
      ? print[quantity](v)
      : `${number(v, 2)}\u00a0${quantity}`;
  return `${READING_WORDS[field] ?? field} ${said(value)} (usual is ${said(least)} to ${said(most)})`;
}

const UNFIT_QUESTIONS: Readonly<Record<Unfit, string>> = {
  oxygen:
    'Hydrocarbon oil and gas with more than 21\u00a0% oxygen can explode. Do not start this pump so: only PFPE in a pump made and cleaned for it. A trace stays after a change: strip and solvent clean by a specialist. Did it really come about?',
  pfpe: 'This pump is kept on PFPE: any other oil in it means strip and solvent clean by a specialist. Is it really another oil?',
  food: 'The service of this pump is food, and this oil is not registered for incidental food contact (H1). Is it really this oil?',
};

/** Why an oil may not be filled into a pump; food is asked about when it is saved. */
export const UNFIT_FILLS: Readonly<Record<Exclude<Unfit, 'food'>, string>> = {
  oxygen:
    'Oxygen is pumped here, and hydrocarbon oil can explode in it: only PFPE, in a pump made and cleaned for it. Do not fill this one.',
  pfpe: 'This pump is kept on PFPE: no other oil may be filled in.',
};

/** Of an oil that may have been filled in under the name of another. */
const OTHER_OIL_HURTS: Readonly<Record<Unfit, string>> = {
  oxygen: 'Oxygen is pumped here, and that other oil can explode in it: do not start this pump until you know.',
  pfpe: 'This pump is kept on PFPE: a trace of that other oil means strip and solvent clean.',
  food: 'That other oil is not registered for incidental food contact (H1).',
};

/** Of a run that began before its pump was taken over. */
export const takeOverQuestion = (runs: number, day: string): string =>
  runs === 1
    ? `Is it the run that was counted when the pump was taken over ${day}?`
    : `Is it one of the ${runs} runs that were counted when the pump was taken over ${day}?`;

/** A soft rule as the question that it is. */
export function questionWords(question: Question, { print, zone, now }: Words): { question: string; yes: string } {
  switch (question.code) {
    case 'overlap':
      if (question.otherUntil.startsWith('9999'))
        return {
          question: `This pump has been running since ${momentWords(question.otherFrom, zone, now)}. Is this really another run beside it? If not, end that one first.`,
          yes: 'Yes, keep both',
        };
      return {
        question: `This pump has a run already from ${momentWords(question.otherFrom, zone, now)} to ${momentWords(question.otherUntil, zone, now)}. Did it really run twice at that time?`,
        yes: 'Yes, keep both',
      };
    case 'changedAlready':
      return {
        question: `Somebody else logged a change of this oil ${momentWords(question.otherAt, zone, now)}. Was it changed twice that day, or is this the same change?`,
        yes: 'It was changed twice: keep both',
      };
    case 'drained':
      return {
        question: `Its oil was let out ${momentWords(question.drainedAt, zone, now)}, and no filling is logged since. Did it really run without oil? If it was filled, log the change first.`,
        yes: 'It ran so: save it, and stop the pump',
      };
    case 'notWhole':
      return {
        question: `${NOT_WHOLE_WORDS[question.how]} since ${momentWords(question.sinceAt, zone, now)} by what is logged. Did it really run so? If it was closed and freed, finish that first.`,
        yes: 'It ran so: save it',
      };
    case 'startedDrained':
      return {
        question: `No oil in it since ${momentWords(question.drainedAt, zone, now)} by what is logged: it is filled first. Shall this begin all the same?`,
        yes: 'Yes, begin as it stands',
      };
    case 'startedNotWhole':
      return {
        question: `${NOT_WHOLE_WORDS[question.how]} since ${momentWords(question.sinceAt, zone, now)} by what is logged: what it needs first is to be closed and freed. Shall this begin all the same?`,
        yes: 'Yes, begin as it stands',
      };
    case 'jobUnderWay':
      return {
        question: `${procedureName(question.procedure)} is under way on this pump since ${momentWords(question.startedAt, zone, now)}. Shall another job leave it behind?`,
        yes: 'Yes, start the other one',
      };
    case 'takenOver':
      return {
        question: takeOverQuestion(question.runs, dayWords(question.takenOverAt, zone, now)),
        yes: 'Yes, it is',
      };
    case 'meterBackwards':
      return {
        question: `The meter showed ${meterWords(question.beforeMinutes)} ${dayWords(question.beforeAt, zone, now)}, which is more. Was it misread then? A new meter is “replaced”.`,
        yes: 'Yes, this reading is right',
      };
    case 'meterTooFast':
      return {
        question: `The meter showed ${meterWords(question.beforeMinutes)} ${dayWords(question.beforeAt, zone, now)}: it would have run faster than time. Is this reading right?`,
        yes: 'Yes, it is right',
      };
    case 'moreThanThere':
      return {
        question: `${print.volume(question.missingMl)} more is taken than the book has there (${print.volume(question.bookMl)}). Was it read right? If so, the rest counts as oil that nobody said.`,
        yes: 'Yes, so much was there',
      };
    case 'overfull':
      return {
        question: `${print.volume(question.ml)} would stand in a container that holds ${print.volume(question.holdsMl)}. Is that so?`,
        yes: 'Yes, it is so full',
      };
    case 'mixesProducts':
      return {
        question: `Two oil products would meet there. Mixed oil goes into no pump again: only as waste. Is that meant?`,
        yes: 'Yes, they were poured together',
      };
    case 'otherOil':
      return {
        question: `By the book another oil stands in that container than the one you say.${question.unfit ? ` ${OTHER_OIL_HURTS[question.unfit]}` : ''} Look at its label: if the other oil went in, or some of it, choose that one as the oil. Was it really nothing but the one you say?`,
        yes: 'Yes, the label says so: the book is wrong',
      };
    case 'usedOil':
      return { question: `${USED_OIL_WORDS[question.why]} Was it filled all the same?`, yes: 'Yes, it was filled' };
    case 'unusual':
      return {
        question: `Is this right: ${question.readings.map((r) => readingWords(r, print)).join(', ')}?`,
        yes: 'Yes, it is right',
      };
    case 'unfitOil':
      return { question: UNFIT_QUESTIONS[question.unfit], yes: 'It happened so: save it, and stop the pump' };
    case 'retired':
      return {
        question: 'This pump was retired by then, and takes no new runs. Did it really run?',
        yes: 'It ran: save it',
      };
    case 'airOnSolvent':
      return {
        question:
          'Solvent went in, and the ballast was open: air and solvent vapour can burn. Was it nitrogen, or was it really air?',
        yes: 'It happened so: save it',
      };
    case 'aboveAssumedHousing':
      return {
        question: `${print.volume(question.ml)} is more than the ${print.volume(question.holdsMl)} that this housing was assumed to hold: nobody has said yet what it holds. Is the amount right?`,
        yes: 'Yes, it is right',
      };
    case 'drainAboveCharge':
      return {
        question: `${print.volume(question.outMl)} came out, but the charge is ${print.volume(question.chargeMl)}. Was there water in it?`,
        yes: 'Yes, it is right',
      };
  }
}
