import type { Entry } from '../journal/index.js';
import { equipmentOfRun, type PumpSetUp, type SetUpBook } from '../set-up/index.js';
import {
  excessHints,
  runWater,
  waterBudget,
  type ExcessHint,
  type RunWaterInput,
  type RunWater,
  type TrapFit,
  type WaterBudget,
} from '../water/index.js';
import {
  foundOn,
  foundUlOf,
  runMinutes,
  withKnownTrap,
  type Charge,
  type PumpState,
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
  /** Of the equipment's trap, from this pump's charges on it before this one; null where it has none. */
  readonly fit: TrapFit | null;
  /** What an excess may be; empty without one. */
  readonly hints: readonly ExcessHint[];
  /** A purge was done on this charge: what it took cannot be found. */
  readonly purged: boolean;
}

type Run = Extract<Entry, { kind: 'run' }>;

function runWaterInput(entry: Run, setUp: PumpSetUp, { traps }: PumpState): RunWaterInput {
  const { equipmentId, equipment } = equipmentOfRun(entry, setUp);
  const run = { body: entry.body, minutes: runMinutes(entry.body, equipment), equipment, model: setUp.model };
  return withKnownTrap(run, traps, equipmentId);
}

/** The entries since the present charge was filled; where that was only told of, those since it was. */
function ofThisCharge(entries: readonly Entry[], { since }: Charge): readonly Entry[] {
  const filled = entries.findIndex((e) => e.kind === 'change' && e.id === since.entryId);
  return filled < 0 ? entries.filter((e) => e.happenedAt >= since.at) : entries.slice(filled + 1);
}

/**
 * The water of a pump's present charge, run by run, against what was found. What is expected and what is known of the trap are
 * those of the state, by which the verdict goes too; the entries add the single runs.
 * @param entries of this pump in the journal's order, from its last change on at least
 */
export function waterStory(input: {
  pumpId: string;
  entries: readonly Entry[];
  state: PumpState;
  book: SetUpBook;
  now: string;
}): WaterStory | null {
  const { pumpId, state, book } = input;
  const present = book.pumpAt({ pumpId, instant: input.now });
  const charge = state.sumps.find((s) => s.key === 'oil')?.charge;
  if (!present || !charge) return null;
  const { equipment, pump } = present;
  const entries = ofThisCharge(input.entries, charge);
  const inputs = entries.flatMap((entry) => {
    const setUp = book.pumpAt({ pumpId, instant: entry.happenedAt });
    return setUp && entry.kind === 'run' && !entry.body.stillRunning
      ? [{ entry, run: runWaterInput(entry, setUp, state) }]
      : [];
  });
  const runsSeen = charge.waterSeen?.runs ?? 0;
  const seen = inputs.slice(0, runsSeen).map(({ run }) => run);
  const { draws: _, ...found } = foundOn(charge);
  const foundMl = foundUlOf(found) / 1000;
  const known = state.traps.find((t) => t.equipmentId === pump.equipmentId);
  const tooFew = { ok: false, why: 'tooFewSegments', segments: known?.stretches.length ?? 0 } as const;
  const fit = equipment.coldTrap ? (known?.fit ?? tooFew) : null;
  const budget = waterBudget({
    runs: seen,
    expectedUl: charge.waterSeen?.expectedUl ?? null,
    foundMl,
    fit,
    setUpEfficiency: equipment.trapEfficiency ?? null,
  });
  return {
    since: charge.since.at,
    equipmentId: pump.equipmentId,
    hasTrap: equipment.coldTrap,
    runs: inputs.map(({ entry: { id, happenedAt, body }, run }) => ({
      entryId: id,
      at: happenedAt,
      minutes: run.minutes,
      materialId: body.materialId ?? null,
      water: runWater(run),
    })),
    runsSeen,
    found,
    budget,
    fit,
    hints: budget.says === 'more' ? excessHints({ runs: seen, excessMl: budget.unexplainedMl ?? 0, foundMl }) : [],
    purged: entries.some((e) => e.kind === 'done' && e.body.task === 'purge'),
  };
}
