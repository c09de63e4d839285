import type { Judge, Judged } from './judge.js';
import { DARK_AGAIN_RUNS, stepPassed, type StepId } from '../limits/index.js';

/** Detergent, ester and dyed oils turn darker without harm; PFPE is not judged by colour at all. */
function colourStep({ product }: Judged): StepId | null {
  if (product.base === 'pfpe') return null;
  const dark = product.base !== 'mineral' || product.waterBehaviour === 'detergent' || product.dyed;
  return dark ? 'colourRiseDark' : 'colourRise';
}

/** Rise of colour (ASTM D1500) above this charge's start; where no look has said it, above the unused oil's. */
function riseOf({ look, charge, product }: Judged): { colour: number; startColour: number; rise: number } | null {
  const { colour } = look;
  if (colour === null || colour === undefined) return null;
  const startColour = charge.startColour ?? product.freshColour;
  return { colour, startColour, rise: colour - startColour };
}

const isDarkAgain = ({ charge }: Judged): boolean => charge.number > 0 && charge.runs <= DARK_AGAIN_RUNS;

export const judgeColour: Judge = (judged) => {
  const step = colourStep(judged);
  const seen = riseOf(judged);
  if (!step || !seen || judgeDarkAgain(judged)) return null;
  const passed = stepPassed(judged.limits, step, seen.rise);
  if (!passed) return null;
  const { colour, startColour } = seen;
  const act = passed.level === 'lookSooner' ? 'look' : 'change';
  return {
    code: 'colour',
    level: passed.level,
    act,
    answeredBy: 'change',
    colour,
    startColour,
    limitRise: passed.limit,
  };
};

/** Dark again at once: old deposits go into the new oil. Flush or clean the housing, not just a change. */
export const judgeDarkAgain: Judge = (judged) => {
  const step = colourStep(judged);
  const seen = riseOf(judged);
  const level = judged.limits.darkAgain;
  if (!step || !seen || level === 'runOn' || !isDarkAgain(judged)) return null;
  if (!stepPassed(judged.limits, step, seen.rise)) return null;
  const { colour, startColour } = seen;
  return { code: 'darkAgain', level, act: 'flush', answeredBy: 'flush', colour, startColour, runs: judged.charge.runs };
};
