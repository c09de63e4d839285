import { localDay } from '../journal/index.js';
import type { GoneCharge } from '../oil/index.js';
import type { PumpSetUp } from '../set-up/index.js';
import { NO_USE } from './oil-use.js';
import { FOLD_VERSION, type Charge, type Counts, type PumpState, type Since } from './state.js';

export const NO_COUNTS: Counts = { runs: 0, weightMilli: 0, minutes: 0, unloggedMinutes: 0, changes: 0 };

export function newCharge(input: {
  number: number;
  since: Since;
  productId: string | null;
  filledUl: number | null;
  levelKnown?: boolean;
  gone?: GoneCharge | null;
}): Charge {
  return {
    ...input,
    startColour: null,
    bledWaterUl: 0,
    toppedUpUl: 0,
    carriedOverRuns: 0,
    answeredWaterUl: 0,
    sampledWaterUl: 0,
    expectedWaterUl: 0,
    answeredExpectedUl: 0,
    unestimatedRuns: 0,
    standingWaterUl: 0,
    waterSeen: null,
    // Of oil that was in before its record nobody knows what it held.
    stretch: null,
    goneStretch: null,
    bledSinceWaterSeen: false,
    purgedSinceSeen: false,
    draws: [],
    others: [],
    solvent: 0,
    levelKnown: input.levelKnown ?? false,
    gone: input.gone ?? null,
  };
}

/** State before the first entry: counts start where the pump's set-up starts to count. */
export function initialState(pumpId: string): PumpState {
  return {
    foldVersion: FOLD_VERSION,
    pumpId,
    entries: 0,
    last: null,
    totals: NO_COUNTS,
    tasks: {},
    start: null,
    sumps: [],
    bars: [],
    collapsed: { runs: 0, weightMilli: 0, minutes: 0 },
    recentRuns: [],
    jars: [],
    lastRun: null,
    best: [],
    running: [],
    notTold: [],
    meter: null,
    samples: [],
    ironRates: [],
    labCharges: [],
    overhaul: null,
    machine: [],
    goodPa: [],
    use: NO_USE,
    traps: [],
    takenOver: null,
    job: null,
    toRead: null,
    drained: null,
    notWhole: null,
    case: null,
  };
}

/** The state with its sumps and its start in place, from the first entry on. */
export function startState(state: PumpState, input: { at: string; zone: string; setUp: PumpSetUp }): PumpState {
  if (state.start) return state;
  const start: Since = {
    at: input.at,
    day: localDay(input),
    entryId: null,
    counts: NO_COUNTS,
  };
  const productId = input.setUp.pump.oilProductId ?? null;
  const sumps = input.setUp.model.sumps.map(({ key }) => ({
    key,
    charge: newCharge({ number: 0, since: start, productId, filledUl: null }),
    findings: [],
    traces: [],
    cleaned: null,
    oxygenAt: null,
  }));
  return { ...state, start, sumps };
}
