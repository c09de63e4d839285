import type { Entry } from '../journal/index.js';
import { waterUlOf } from '../oil/index.js';
import { equipmentOfRun, type PumpSetUp, type SetUpBook } from '../set-up/index.js';
import {
  excessHints,
  fitTrapEfficiency,
  leftWithTrapG,
  runWater,
  waterBudget,
  waterUlOfG,
  type ExcessHint,
  type RunWaterInput,
  type RunWater,
  type TrapFit,
  type WaterBudget,
  type WaterSegment,
} from '../water/index.js';
import {
  runMinutes,
  afterBleed,
  afterLook,
  foundUlOf,
  NOTHING_FOUND,
  saysWater,
  withStaleDraws,
  type WaterCount,
  type WaterFound,
} from '../fold/index.js';

/** One run of the present charge with its water. */
export interface WaterRun {
  readonly entryId: string;
  readonly at: string;
  readonly minutes: number;
  /** Null while nobody has said it. */
  readonly materialId: string | null;
  readonly water: RunWater;
}

export interface WaterStory {
  readonly since: string;
  readonly equipmentId: string;
  readonly hasTrap: boolean;
  readonly runs: readonly WaterRun[];
  /** So many of them were over when the oil was last bled or looked at; the budget is of these. */
  readonly runsSeen: number;
  readonly found: WaterFound;
  readonly budget: WaterBudget;
  /** Of the equipment's trap, from this pump's charges on it; null where it has none. */
  readonly fit: TrapFit | null;
  /** What an excess may be; empty without one. */
  readonly hints: readonly ExcessHint[];
  /** A purge was done on this charge: what it took cannot be found. */
  readonly purged: boolean;
}

/** The stretch since the oil was last looked into: what ran, and what had been found by then. */
interface Stretch {
  readonly runs: readonly RunWaterInput[];
  readonly foundUl: number;
  /** Nobody can say what was in the oil when it began. */
  readonly open: boolean;
}

function runWaterInput(
  entry: Extract<Entry, { kind: 'run' }>,
  setUp: PumpSetUp,
): RunWaterInput & { equipmentId: string } {
  const { equipmentId, equipment } = equipmentOfRun(entry, setUp);
  const minutes = runMinutes(entry.body, equipment);
  return { body: entry.body, minutes, equipment, model: setUp.model, equipmentId };
}

/** A stretch tells of the trap when all its runs can be estimated. */
function segmentOf(runs: readonly RunWaterInput[], foundUl: number): WaterSegment | null {
  const waters = runs.map((run) => (run.equipment.coldTrap ? runWater({ ...run, trapEfficiency: 1 }) : null));
  const estimated = waters.filter((w) => w?.ok).filter((w) => w !== null);
  if (runs.length === 0 || estimated.length < runs.length) return null;
  return {
    foundMl: foundUl / 1000,
    leftMl: (efficiency) =>
      estimated.reduce((sum, water) => sum + (water.ok ? waterUlOfG(leftWithTrapG(water, efficiency)) / 1000 : 0), 0),
  };
}

interface PumpEntries {
  readonly pumpId: string;
  /** In the journal's order. */
  readonly entries: Iterable<Entry>;
}

/** What a walk through a pump's entries brings. */
interface Walked {
  readonly since: string;
  /** The charge began on record. */
  readonly known: boolean;
  readonly runs: readonly (WaterRun & { readonly input: RunWaterInput })[];
  readonly runsSeen: number;
  readonly found: WaterCount;
  readonly purged: boolean;
  /** Stretches between two looks in which all ran on one equipment. */
  readonly segments: readonly WaterSegment[];
}

/** Where a model does not say its charge, a small pump's. */
const chargeMl = ({ model }: PumpSetUp): number => model.sumps.find((s) => s.key === 'oil')?.chargeMl ?? 1000;

const FRESH: Stretch = { runs: [], foundUl: 0, open: false };

function walk({ pumpId, entries }: PumpEntries, equipmentId: string, book: SetUpBook): Walked {
  let since = '';
  let known = false;
  let runs: (WaterRun & { readonly input: RunWaterInput })[] = [];
  let found: WaterCount = NOTHING_FOUND;
  let purged = false;
  let runsSeen = 0;
  let stretch: Stretch = { ...FRESH, open: true };
  /** Of the charge that went out, until the jar of its change is read; with all that was found on that charge. */
  let gone: (Stretch & { readonly foundByThenUl: number }) | null = null;
  const segments: WaterSegment[] = [];

  const learn = (from: Stretch, foundUl: number): void => {
    const segment = from.open ? null : segmentOf(from.runs, foundUl - from.foundUl);
    if (segment) segments.push(segment);
  };

  for (const entry of entries) {
    const setUp = book.pumpAt({ pumpId, instant: entry.happenedAt });
    if (!setUp) continue;
    since ||= entry.happenedAt;
    if (entry.kind === 'run' && !entry.body.stillRunning) {
      const { equipmentId: on, ...input } = runWaterInput(entry, setUp);
      const { body, minutes } = input;
      runs.push({
        entryId: entry.id,
        at: entry.happenedAt,
        minutes,
        materialId: body.materialId ?? null,
        water: runWater(input),
        input,
      });
      stretch =
        on === equipmentId ? { ...stretch, runs: [...stretch.runs, input] } : { ...stretch, runs: [], open: true };
    } else if (entry.kind === 'bleed' && entry.body.sump === 'oil') {
      found = afterBleed(found, entry.body.waterMl, { entryId: entry.id, at: entry.happenedAt });
      runsSeen = runs.length;
    } else if (entry.kind === 'look' && entry.body.sump === 'oil') {
      const { source } = entry.body;
      if (source === 'drained' && runs.length === 0 && gone) {
        learn(gone, gone.foundByThenUl + waterUlOf(entry.body));
        gone = null;
        continue;
      }
      const origin = { entryId: entry.id, at: entry.happenedAt };
      found = afterLook(found, entry.body, origin, chargeMl(setUp));
      if (!saysWater(entry.body)) continue;
      runsSeen = runs.length;
      if (source === 'bleed') continue;
      learn(stretch, foundUlOf(found));
      stretch = { ...FRESH, foundUl: foundUlOf(found) };
    } else if (entry.kind === 'change' && entry.body.sump === 'oil') {
      gone = { ...stretch, foundByThenUl: found.bledUl + found.sampledUl };
      stretch = FRESH;
      [since, known, runs, runsSeen, found, purged] = [entry.happenedAt, true, [], 0, NOTHING_FOUND, false];
    } else if (entry.kind === 'done' && entry.body.task === 'purge') {
      purged = true;
      found = withStaleDraws(found);
      stretch = { ...FRESH, open: true };
    }
  }
  return { since, known, runs, runsSeen, found, purged, segments };
}

/**
 * The water of a pump's present charge, run by run, against what was found, and the efficiency of its equipment's trap from all
 * the stretches between two looks. A bleed leaves some behind, so it ends no stretch. Earlier charges among the entries feed
 * the fit, and so do other pumps that ran on the same equipment.
 */
export function waterStory(
  input: PumpEntries & { book: SetUpBook; now: string; otherPumps?: readonly PumpEntries[] },
): WaterStory | null {
  const { pumpId, book } = input;
  const present = book.pumpAt({ pumpId, instant: input.now });
  if (!present || !present.model.sumps.some((s) => s.key === 'oil')) return null;
  const { equipmentId } = present.pump;
  const here = walk(input, equipmentId, book);
  const others = (input.otherPumps ?? []).map((other) => walk(other, equipmentId, book));
  const { since, known, runs, runsSeen, purged } = here;
  const { draws: _, ...found } = here.found;
  const hasTrap = present.equipment.coldTrap;
  const fit = hasTrap ? fitTrapEfficiency([here, ...others].flatMap((w) => w.segments)) : null;
  const estimated = known ? runs.slice(0, runsSeen).map((r) => r.input) : [];
  const foundMl = foundUlOf(found) / 1000;
  const setUpEfficiency = present.equipment.trapEfficiency ?? null;
  const budget = waterBudget({ runs: estimated, foundMl, fit, setUpEfficiency });
  return {
    since,
    equipmentId,
    hasTrap,
    runs: runs.map(({ input: _, ...run }) => run),
    runsSeen,
    found,
    budget,
    fit,
    hints: budget.says === 'more' ? excessHints({ runs: estimated, excessMl: budget.unexplainedMl ?? 0, foundMl }) : [],
    purged,
  };
}
