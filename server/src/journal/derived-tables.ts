import {
  compareOrder,
  correctionsConflict,
  effectiveEntry,
  FOLD_VERSION,
  initialState,
  pumpIdsOf,
  refold,
  winningCorrection,
  type Checkpoint,
  type Correction,
  type Entry,
  type OrderKey,
  type PumpState,
} from '@winter-jar/core';
import type { KeyParams, WritingStatements } from '../database/statements.js';
import type { SetUpShelf } from './set-up-shelf.js';
import { endOfRun } from './entry-rules.js';
import { KeptStates } from './kept-states.js';

export const BEFORE_ALL: OrderKey = { happenedAt: '', recordedAt: '', id: '' };
const params = (pumpId: string, key: OrderKey): KeyParams => ({
  pumpId,
  happenedAt: key.happenedAt,
  recordedAt: key.recordedAt,
  entryId: key.id,
});
export const keyOf = ({ entryId, ...key }: KeyParams): OrderKey => ({ ...key, id: entryId });
/** Entries of one pump that a turn folds at most. */
const FOLDED_PER_TURN = 400;
const parse = <T>(text: string): T => JSON.parse(text) as T;

/** Remembers for each pump the earliest key that changed. */
export function touch(touched: Map<string, OrderKey>, keys: ReadonlyMap<string, OrderKey>): void {
  for (const [pumpId, key] of keys) {
    const known = touched.get(pumpId);
    if (!known || compareOrder(key, known) < 0) touched.set(pumpId, key);
  }
}

/** What follows from the journal: counted entries, states, checkpoints. Called inside the door's transaction. */
export class DerivedTables {
  private readonly kept = new KeptStates();

  constructor(
    private readonly sql: WritingStatements,
    private readonly shelf: SetUpShelf,
  ) {}

  /** Puts the entry as it now counts in place. @param text the entry as JSON, where it is at hand @returns for each pump the earliest key that changed */
  count(original: Entry, maybeCounted: boolean, text: string | null = null): Map<string, OrderKey> {
    const changed = new Map<string, OrderKey>();
    const counted = maybeCounted ? this.sql.countedKeys.all(original.id) : [];
    for (const { pumpId, entryId, ...key } of counted) touch(changed, new Map([[pumpId, { ...key, id: entryId }]]));
    if (changed.size > 0) this.sql.deleteCounted.run(original.id);
    const corrections = this.sql.correctionsOf.all(original.id).map((r) => parse<Correction>(r.content));
    const entry = effectiveEntry(original, corrections);
    if (!entry) return changed;
    const shared = {
      happenedAt: entry.happenedAt,
      recordedAt: entry.recordedAt,
      entryId: entry.id,
      kind: entry.kind,
      correctionId: winningCorrection(corrections)?.id ?? null,
      contradicted: correctionsConflict(corrections) ? (1 as const) : (0 as const),
      content: (entry === original ? text : null) ?? JSON.stringify(entry),
    };
    for (const pumpId of pumpIdsOf(entry)) {
      const pump = this.shelf.book.pumpAt({ pumpId, instant: entry.happenedAt });
      this.sql.insertCounted.run({ ...shared, pumpId, endedAt: pump ? endOfRun(entry, pump) : null });
      touch(changed, new Map([[pumpId, entry]]));
    }
    return changed;
  }

  /** Folds a pump from the last state before `key`: its present state for what comes last, a checkpoint for what comes late. */
  fold(pumpId: string, key: OrderKey): void {
    if (this.sql.laggingPump.get(pumpId)) return this.fallBehind(pumpId, key);
    const present = this.sql.stateOf.get(pumpId);
    const state = present?.foldVersion === FOLD_VERSION ? this.kept.read(pumpId, present.state) : null;
    const appended = state?.last && compareOrder(state.last, key) < 0;
    const from = appended ? state : this.lastStateBefore(pumpId, key);
    if (!appended) this.forgetCheckpointsAfter(from);
    const later = this.sql.countedFrom.all(params(pumpId, from.last ?? BEFORE_ALL));
    this.saveState(
      this.foldOn(
        from,
        later.map((row) => parse<Entry>(row.content)),
      ),
    );
  }

  /**
   * Entries came or went in bulk, the earliest at `key`: until {@link catchUp} is through, the pump's state is that of before, and
   * what is written meanwhile is folded in then.
   */
  fallBehind(pumpId: string, key: OrderKey): void {
    const lag = this.sql.laggingPump.get(pumpId);
    if (!lag || compareOrder(key, keyOf(lag)) < 0) this.sql.saveLag.run(params(pumpId, key));
  }

  /** Folds some of what a lagging pump has yet to take in, so that no turn is long. @returns how many entries */
  catchUp(pumpId: string, key: OrderKey): number {
    const from = this.lastStateBefore(pumpId, key);
    this.forgetCheckpointsAfter(from);
    const limit = FOLDED_PER_TURN + 1;
    const rows = this.sql.countedNext.all({ ...params(pumpId, from.last ?? BEFORE_ALL), limit });
    const entries = rows.map((row) => parse<Entry>(row.content));
    const next = entries[FOLDED_PER_TURN];
    const state = this.foldOn(from, entries.slice(0, FOLDED_PER_TURN));
    if (next && state.last) {
      this.saveCheckpoint({ key: state.last, endedCharge: null, state });
      this.sql.saveLag.run(params(pumpId, next));
    } else {
      this.saveState(state);
      this.sql.deleteLag.run(pumpId);
    }
    return Math.min(entries.length, FOLDED_PER_TURN);
  }

  private foldOn(from: PumpState, entries: readonly Entry[]): PumpState {
    const folded = refold({ from, entries, book: this.shelf.book });
    for (const checkpoint of folded.checkpoints) this.saveCheckpoint(checkpoint);
    return folded.state;
  }

  private saveCheckpoint({ key, endedCharge, state }: Checkpoint): void {
    this.sql.insertCheckpoint.run({ ...params(state.pumpId, key), endedCharge, state: JSON.stringify(state) });
  }

  private saveState(state: PumpState): void {
    const { pumpId } = state;
    if (state.entries === 0) {
      this.sql.deleteState.run(pumpId);
      return;
    }
    const text = JSON.stringify(state);
    this.sql.saveState.run({ pumpId, foldVersion: FOLD_VERSION, state: text });
    this.kept.keep(pumpId, text, state);
  }

  /** What was folded on from a state does not hold any more; nor, it may be, that its charge ended there. */
  private forgetCheckpointsAfter({ pumpId, last }: PumpState): void {
    this.sql.deleteCheckpointsAfter.run(params(pumpId, last ?? BEFORE_ALL));
    if (last) this.sql.unmarkCheckpoint.run(params(pumpId, last));
  }

  /** Ends of runs follow from their equipment's cycle time where only cycles were counted. */
  endRunsAnew(pumpId: string, from: string): void {
    for (const { entryId, endedAt, content } of this.sql.runsFrom.all({ pumpId, from })) {
      const entry = parse<Entry>(content);
      const pump = this.shelf.book.pumpAt({ pumpId, instant: entry.happenedAt });
      const end = pump ? endOfRun(entry, pump) : null;
      if (end !== endedAt) this.sql.setEnd.run({ pumpId, entryId, endedAt: end });
    }
  }

  private lastStateBefore(pumpId: string, key: OrderKey): PumpState {
    const checkpoint = this.sql.checkpointBefore.get(params(pumpId, key));
    const state = checkpoint ? parse<PumpState>(checkpoint.state) : null;
    return state?.foldVersion === FOLD_VERSION ? state : initialState(pumpId);
  }
}
