import { FOLD_VERSION, initialState, type PumpState } from '@winter-jar/core';
import type { Database } from './open.js';
import { Records } from './records.js';
import { readingStatements, type ReadingStatements } from './statements.js';

/** Everything that only reads goes over its own connection, so that no reader ever sees an unfinished act. */
export class Reading {
  sql: ReadingStatements;
  readonly records: Records;

  constructor(private readonly database: Database) {
    this.sql = readingStatements(database.reader);
    this.records = new Records(() => database.readSource);
  }

  /** Many small searches in one go, on one state of the data: each by itself would have to find that state anew. */
  together<T>(work: () => T): T {
    return this.database.reader.transaction(work)();
  }

  /** Corrections that do not count, by the pump that they are about. */
  unsettledByPump(): ReadonlyMap<string, number> {
    return new Map(this.sql.unsettledByPump.all().map(({ pumpId, n }) => [pumpId, n]));
  }

  reopened(): void {
    this.sql = readingStatements(this.database.reader);
  }
}

/**
 * What is made of a pump's state, of whatever version that is: where one of before an update cannot be read any more, nothing is
 * known but that it is being made anew.
 */
export function ofAnyVersion<T>(pumpId: string, state: PumpState, make: (state: PumpState) => T): T {
  if (state.foldVersion === FOLD_VERSION) return make(state);
  try {
    return make(state);
  } catch {
    return make({ ...initialState(pumpId), foldVersion: 0, entries: 1 });
  }
}

/** A pump's state as it is stored; one of before an update has what it lacks filled in, and says by its version that it is old. */
export function pumpStateIn(pumpId: string, stored: { readonly state: string } | undefined): PumpState {
  if (!stored) return initialState(pumpId);
  const state = JSON.parse(stored.state) as PumpState;
  return state.foldVersion === FOLD_VERSION
    ? state
    : { ...initialState(pumpId), foldVersion: 0, entries: 1, ...(state as Partial<PumpState>) };
}
