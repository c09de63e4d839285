import { pumpsNamingInEntries } from '../journal/set-up-bearing.js';
import { inJournal, type InJournal } from '../journal/set-up-removal.js';
import type { RecordName } from '../journal/set-up-store.js';
import type { Job } from '../work/job.js';

/** Found in the journal up to a line. */
interface PumpsNaming {
  readonly until: number;
  /** In the order of the records that were asked for. */
  readonly pumpIds: readonly (readonly string[])[];
}

/** Pumps whose entries name records: every entry is looked at. */
export const PUMPS_NAMING_JOB: Job<readonly RecordName[], PumpsNaming> = {
  name: 'pumps that name records',
  lane: 'screen',
  run: ({ db, sql }, records) =>
    db.transaction(() => ({
      until: sql.lastSeq.get()?.seq ?? 0,
      pumpIds: records.map((record) => pumpsNamingInEntries(sql, record)),
    }))(),
};

/** What the journal has of records, whether it counts or not: every entry is looked at. */
export const NAMED_IN_JOURNAL_JOB: Job<
  readonly RecordName[],
  { readonly until: number; readonly named: readonly InJournal[] }
> = {
  name: 'records named in the journal',
  lane: 'screen',
  run: ({ db, sql }, records) =>
    db.transaction(() => ({
      until: sql.lastSeq.get()?.seq ?? 0,
      named: records.map((record) => inJournal(sql, record)),
    }))(),
};
