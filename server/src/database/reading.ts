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
