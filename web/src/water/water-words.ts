import { countOf, number, oneOrMore } from '../ui/number.js';
import type { Print } from '../device/use-print.js';
import type { Sentence } from '../words/words.js';
import type { Assumed, BallastAdvice, ExcessHint, ToleranceRange, NotEstimated, WaterStory } from '@winter-jar/core';

/** Water is read to the millilitre; less than that is none. */
const ml = (print: Print, volumeMl: number): string => print.volume(Math.round(volumeMl));

const NOT_ESTIMATED: Readonly<Record<NotEstimated, string>> = {
  trapTempMissing: 'the trap’s temperature was not logged',
  chamberVolumeMissing: 'the set-up does not say the chamber’s volume',
  noSource: 'neither a cold trap nor counted cycles: nothing to estimate from',
};
export const notEstimatedWords = (why: NotEstimated): string => NOT_ESTIMATED[why];

const ASSUMED: Readonly<Record<Assumed, string>> = {
  oilTemp: 'oil at its usual warmth',
  ballast: 'ballast as the pump’s record has it',
  ballastFlow: 'ballast flow a tenth of the speed',
  trapEfficiency: 'a trap as good as its temperature allows',
  productAir: 'chamber air at 15 °C and saturated',
};
export const assumedWords = (assumed: readonly Assumed[]): string => assumed.map((a) => ASSUMED[a]).join(', ');

/** What the charge's water comes to, in one sentence. */
export function budgetWords({ budget, runs, runsSeen }: WaterStory, print: Print): Sentence {
  const { expectedMl, foundMl, unexplainedMl, expectedLowMl, expectedHighMl, says } = budget;
  const bad = runs.find((r) => !r.water.ok)?.water;
  if (says === 'notEstimated' || expectedMl === null || unexplainedMl === null) {
    const why =
      bad && !bad.ok
        ? NOT_ESTIMATED[bad.why]
        : runs.length === 0
          ? 'no run on this oil yet'
          : runsSeen === 0
            ? 'nobody has bled it or looked for water since it was changed'
            : 'nobody knows what was in this oil when its record began';
    return { short: `${ml(print, foundMl)} found`, full: `What its runs should have left cannot be said: ${why}.` };
  }
  const range = `${ml(print, expectedLowMl ?? 0)} to ${ml(print, expectedHighMl ?? 0)}`;
  const runWords = countOf(runsSeen, 'run');
  const base = `${ml(print, foundMl)} of water found where ${runWords} should have left ${ml(print, expectedMl)} (${range})`;
  if (says === 'more')
    return {
      short: `${ml(print, unexplainedMl)} more than its runs explain`,
      full: `${base}: ${ml(print, unexplainedMl)} more than they explain.`,
    };
  if (says === 'less')
    return {
      short: `${ml(print, -unexplainedMl)} less than its runs should have left`,
      full: `${base}. The rest still lies in the oil, or the trap is better than is assumed: bleed and look again.`,
    };
  return { short: 'as its runs explain', full: `${base}: as it should be.` };
}

/** What an excess usually is, with the numbers that exclude other causes. */
export function hintWords(hint: ExcessHint): string {
  switch (hint.code) {
    case 'meltwater':
      return `${oneOrMore(hint.runs, 'run')} went right after a defrost or with the drain open: meltwater drawn in is the likeliest.`;
    case 'coldBallast':
      return `${oneOrMore(hint.runs, 'run')} had the ballast open into oil so cold that its air brings more water than it takes out.`;
    case 'liquid':
      return 'So much at once is rarely vapour: meltwater after a defrost, an open drain, condensate running back from a rising exhaust pipe.';
    case 'warmTrap':
      return `Past the trap alone it would have had to be ${number(hint.warmerK)}\u00a0K warmer all the time.`;
    case 'leak': {
      const need = `A leak of humid air would have to be ${number(hint.leakHpaLPerS)}\u00a0hPa·L/s and hold the chamber near ${number(hint.chamberHpa, 1)}\u00a0hPa`;
      if (hint.reachedHpa === null) return `${need}; no pressure was logged to compare.`;
      const reached = `${number(hint.reachedHpa, hint.reachedHpa < 0.1 ? 3 : 2)}\u00a0hPa`;
      return hint.excluded
        ? `${need}; it reached ${reached}, so it is no leak.`
        : `${need}; it reached ${reached} only: look for one.`;
    }
  }
}

/** How good the trap is, by its own history. */
export function fitWords({ fit, budget }: Pick<WaterStory, 'fit' | 'budget'>): string | null {
  if (!fit) return null;
  const from = `${countOf(fit.segments, 'stretch', 'stretches')} between two looks before this charge`;
  if (!fit.ok) return `The trap’s factor: too little is known (${from}; four are needed).`;
  const range = `${number(fit.low, 2)} to ${number(fit.high, 2)}`;
  if (!fit.knowsEnough) return `The trap’s factor: somewhere from ${range}, too wide to use (from ${from}).`;
  const used = budget.basis === 'fit' ? ' What is expected goes by it, here and in the verdict.' : '';
  return `The trap’s factor ${number(fit.efficiency, 2)} (nine in ten: ${range}), from ${from}.${used}`;
}

const RULE_WORDS: Readonly<Record<BallastAdvice['rule'], string>> = {
  open: 'This pump is meant to run with its ballast open.',
  closed: 'This pump is meant to run with its ballast closed: open it to purge only.',
  purge: 'This pump opens its ballast to purge only: before and after a wet run, inlet closed.',
  none: 'This pump has no gas ballast.',
};

function toleranceWords({ molarHpa, tradeHpa }: ToleranceRange, print: Print): string {
  if (!Number.isFinite(tradeHpa)) return 'any vapour';
  return molarHpa < 0.01
    ? `0 to ${print.pressure(tradeHpa * 100)}`
    : `${print.pressure(molarHpa * 100)} to ${print.pressure(tradeHpa * 100)}`;
}

/** What the ballast can do now, a sentence each. */
export function adviceWords(advice: BallastAdvice, print: Print): string[] {
  const at = print.temperature(advice.oilTempC);
  const lines = [
    advice.neverWithAir
      ? 'Solvent or styrene may be in the oil: never open the ballast to air. Nitrogen ballast to a safe exhaust, or drain it cold.'
      : RULE_WORDS[advice.rule],
    `At ${at} it carries vapour up to ${toleranceWords(advice.tolerance, print)}; at ${print.temperature(advice.hotter.oilTempC)} up to ${toleranceWords(advice.hotter.tolerance, print)}.`,
  ];
  if (advice.addsWater) lines.push(`At ${at} ballast air brings more water than it takes out: warm the pump first.`);
  if (advice.warmUp)
    lines.push(
      'Below 60\u00a0°C it carries next to nothing: warm it 30 to 60 min with the inlet closed before a wet run.',
    );
  if (advice.purgeHours !== null && !advice.neverWithAir)
    lines.push(
      advice.purgeHours > 24
        ? 'To purge what is in the oil would take over a day: bleed it, or change.'
        : `To purge what is in the oil takes about ${number(advice.purgeHours, 1)}\u00a0h once warm; then look again.`,
    );
  return lines;
}
