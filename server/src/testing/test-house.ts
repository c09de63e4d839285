import { mkdtempSync, rmSync } from 'node:fs';
import { SERVER } from '../journal/actor.js';
import { openDatabase, type Database } from '../database/open.js';
import { Reading } from '../database/reading.js';
import { JournalWriter } from '../journal/journal-writer.js';
import { PROJECTIONS } from '../journal/projections.js';
import { SetUpStore } from '../journal/set-up-store.js';
import type { JobTools } from '../work/job.js';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { EntryAnswer, Unsettled } from '@winter-jar/contracts';
import {
  effectiveEntries,
  rebuildAll,
  subjectKey,
  type Folded,
  type JournalEntry,
  type PumpState,
} from '@winter-jar/core';
import { at, versionsOf, type YardOptions } from '@winter-jar/core/testing';

/** A writer on a data folder of its own, with the small yard set up; the clock stands a year after its start. */
export interface TestHouse {
  readonly database: Database;
  readonly writer: JournalWriter;
  readonly store: SetUpStore;
  readonly reading: Reading;
  readonly folder: string;
  write(...entries: unknown[]): EntryAnswer['status'][];
  /** Of pumps, by id. */
  states(): Record<string, PumpState>;
  /** Of all subjects, by {@link subjectKey}. */
  everyState(): Record<string, Folded>;
  /** As after a start: in order, and caught up. */
  started(): void;
  journal(): JournalEntry[];
  /** Entries that do not count, by their ids. */
  unsettled(): ReadonlyMap<string, Unsettled>;
  close(): Promise<void>;
}

/** What a job of a worker thread has at hand, on the reading connection of a test. */
export const jobTools = (house: TestHouse): JobTools => ({
  db: house.database.reader,
  sql: house.reading.sql,
  progress: () => undefined,
});

export const NOW_HOURS = 365 * 24;
export const nowMs = (): number => Date.parse(at(NOW_HOURS));

export async function openHouse(options: YardOptions & { folder?: string; empty?: boolean } = {}): Promise<TestHouse> {
  const folder = options.folder ?? mkdtempSync(join(tmpdir(), 'winter-jar-'));
  const database = await openDatabase(folder);
  const store = new SetUpStore();
  const reading = new Reading(database);
  store.reload(reading.sql);
  database.onReopened(() => reading.reopened());
  const writer = new JournalWriter(database, store, { nowMs });
  if (store.versions.length === 0 && !options.empty) writer.writeSetUp(SERVER, versionsOf(options));
  return {
    database,
    writer,
    store,
    reading,
    folder,
    write: (...entries) => writer.write(SERVER, entries).map((a) => a.status),
    states: () =>
      Object.fromEntries(reading.sql.pumpStates.all().map((r) => [r.pumpId, JSON.parse(r.state) as PumpState])),
    everyState: () =>
      Object.fromEntries(
        reading.sql.subjectsWithState
          .all()
          .map(({ subjectType: type, subjectId: id, state }) => [
            subjectKey({ type, id }),
            JSON.parse(state) as Folded,
          ]),
      ),
    journal: () =>
      (
        database.reader.prepare('SELECT content FROM journal_entry ORDER BY seq').all() as {
          content: string;
        }[]
      ).map((r) => JSON.parse(r.content) as JournalEntry),
    unsettled: () => {
      const rows = database.reader.prepare('SELECT id, unsettled FROM journal_entry WHERE unsettled IS NOT NULL').all();
      return new Map(
        (rows as { id: string; unsettled: string }[]).map((r) => [r.id, JSON.parse(r.unsettled) as Unsettled]),
      );
    },
    started() {
      writer.putInOrder();
      while (writer.bulk.catchUp() !== null);
    },
    async close() {
      await database.close();
      if (!options.folder) rmSync(folder, { recursive: true, force: true });
    },
  };
}

/** States of all subjects as core alone would have them, from nothing but the journal. */
export function rebuiltStates(house: TestHouse): Record<string, Folded> {
  const left = new Set(house.unsettled().keys());
  const entries = effectiveEntries(house.journal().filter((e) => !left.has(e.id)));
  const { book } = house.store;
  return Object.fromEntries(PROJECTIONS.flatMap((projection) => [...rebuildAll({ projection, entries, book })]));
}
