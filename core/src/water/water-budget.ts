import { READING_SD_ML, WATER_DEFAULTS, waterUlOfG } from './constants.js';
import { BEST_TRAP } from './trap.js';
import { runWater, type RunWaterInput } from './run-water.js';
import type { TrapFit } from './fit-trap-efficiency.js';

export interface WaterBudget {
  /** Null where a run of the charge could not be estimated. */
  readonly expectedMl: number | null;
  readonly expectedLowMl: number | null;
  readonly expectedHighMl: number | null;
  readonly foundMl: number;
  /** Found less expected, with its 90 % interval. */
  readonly unexplainedMl: number | null;
  readonly unexplainedLowMl: number | null;
  readonly unexplainedHighMl: number | null;
  readonly says: 'notEstimated' | 'asExpected' | 'more' | 'less';
  /** Where the trap's efficiency comes from. */
  readonly basis: 'fit' | 'setUp' | 'assumed';
}

/** Ends of a 90 % interval of a normal scatter, in standard deviations. */
const Z90 = 1.645;
/** A charge is looked at several times: an excess is called one well outside the interval only. Set by the bench: under 5 in 100 of clean charges are suspected. */
const SUSPECT_TIMES = 1.7;
/** Of one run about its expectation, before a pump has a scatter of its own: a trap read 2 K wrong makes a quarter. */
const USUAL_SCATTER = 0.25;
/** An efficiency that somebody has typed is good to about so much. */
const SET_UP_RANGE = 0.15;
/** Nobody has said it, and too little is known to fit it: from a perfect trap to a poor one. */
const ASSUMED_WORST = 0.3;

const leftMl = (runs: readonly RunWaterInput[], trapEfficiency: number): number | null => {
  let ul = 0;
  for (const run of runs) {
    const water = runWater({ ...run, trapEfficiency });
    if (!water.ok) return null;
    ul += waterUlOfG(water.leftG);
  }
  return ul / 1000;
};

/** Efficiency as it is best known, and how good and how bad the trap may be. */
function efficiencies(fit: TrapFit | null, setUp: number | null) {
  if (fit?.ok && fit.knowsEnough)
    return { basis: 'fit', best: fit.low, middle: fit.efficiency, other: fit.high, scatter: fit.scatter } as const;
  const scatter = fit?.ok ? fit.scatter : USUAL_SCATTER;
  if (setUp !== null) {
    const bounded = (e: number) => Math.min(BEST_TRAP, Math.max(0.05, e));
    return {
      basis: 'setUp',
      best: bounded(setUp * (1 - SET_UP_RANGE)),
      middle: setUp,
      other: bounded(setUp * (1 + SET_UP_RANGE)),
      scatter,
    } as const;
  }
  const perfect = WATER_DEFAULTS.trapEfficiency;
  return { basis: 'assumed', best: ASSUMED_WORST, middle: perfect, other: perfect, scatter } as const;
}

/**
 * Water found on a charge against what its runs should have left (docs/trade.md 5 and 6): found is all that was bled or
 * sampled, free water, and half the cream.
 * @param runs with the trap's factor by which they were expected
 * @param expectedUl what the charge counts as expected of them, with what purges took out; null where nobody can say
 * @param setUpEfficiency what the set-up says of this trap; null where it says nothing
 */
export function waterBudget(input: {
  runs: readonly RunWaterInput[];
  expectedUl: number | null;
  foundMl: number;
  fit: TrapFit | null;
  setUpEfficiency: number | null;
}): WaterBudget {
  const { runs, expectedUl, foundMl, fit, setUpEfficiency } = input;
  const e = efficiencies(fit, setUpEfficiency);
  const [most, middle, least] = [e.best, e.middle, e.other].map((factor) => leftMl(runs, factor));
  if (expectedUl === null || most == null || middle == null || least == null || runs.length === 0) {
    const none = { expectedMl: null, expectedLowMl: null, expectedHighMl: null };
    const open = { unexplainedMl: null, unexplainedLowMl: null, unexplainedHighMl: null };
    return { ...none, foundMl, ...open, says: 'notEstimated', basis: e.basis };
  }
  const expectedMl = expectedUl / 1000;
  const sdMl = Math.hypot((e.scatter * expectedMl) / Math.sqrt(runs.length), READING_SD_ML);
  const expectedLowMl = Math.max(0, expectedMl - Math.hypot(middle - least, Z90 * sdMl));
  const expectedHighMl = expectedMl + Math.hypot(most - middle, Z90 * sdMl);
  const suspectFrom = expectedMl + Math.hypot(most - middle, Z90 * sdMl) * SUSPECT_TIMES;
  const unexplainedLowMl = foundMl - expectedHighMl;
  const unexplainedHighMl = foundMl - expectedLowMl;
  return {
    expectedMl,
    expectedLowMl,
    expectedHighMl,
    foundMl,
    unexplainedMl: foundMl - expectedMl,
    unexplainedLowMl,
    unexplainedHighMl,
    says: foundMl > suspectFrom ? 'more' : unexplainedHighMl < 0 ? 'less' : 'asExpected',
    basis: e.basis,
  };
}
