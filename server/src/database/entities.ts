import { Column, Entity, Index, PrimaryColumn, PrimaryGeneratedColumn } from 'typeorm';

/** Everything that happened, append only. `content` is the entry as it was accepted. */
@Entity('journal_entry')
@Index(['actId'])
@Index(['targetId'])
@Index(['recordedAt'], { where: '"unsettled" IS NOT NULL' })
export class JournalEntryRow {
  @PrimaryGeneratedColumn() seq!: number;
  @Column('text', { unique: true }) id!: string;
  @Column('text') actId!: string;
  @Column('text') kind!: string;
  @Column('text') happenedAt!: string;
  @Column('text') recordedAt!: string;
  /** Original entry that a correction names. */
  @Column('text', { nullable: true }) targetId!: string | null;
  @Column('text') contentHash!: string;
  @Column('text') content!: string;
  /** The import that brought it; null for what was logged by itself. */
  @Column('text', { nullable: true }) importId!: string | null;
  /** Null: it counts. Else why it does not, as JSON: see `Unsettled` in contracts. */
  @Column('text', { nullable: true }) unsettled!: string | null;
}

/** Entries that waited on a device for a connection, and that nobody has decided about since. */
@Entity('waited_entry')
export class WaitedEntryRow {
  @PrimaryColumn('text') subjectType!: string;
  @PrimaryColumn('text') subjectId!: string;
  @PrimaryColumn('text') happenedAt!: string;
  @PrimaryColumn('text') recordedAt!: string;
  @PrimaryColumn('text') @Index() entryId!: string;
}

/** Which entries show a file, corrections too. */
@Entity('file_citation')
export class FileCitationRow {
  @PrimaryColumn('text') fileId!: string;
  @PrimaryColumn('text') entryId!: string;
}

/** An import that is being written. It is taken back where it is cancelled, or found here when the folder is opened. */
@Entity('open_import')
export class OpenImportRow {
  @PrimaryColumn('text') id!: string;
  /** The journal's last number before it. */
  @Column('integer') afterSeq!: number;
}

/** A subject whose state has yet to catch up with entries that came in bulk: the key of the first one that is not folded in. */
@Entity('lagging_subject')
export class LaggingSubjectRow {
  @PrimaryColumn('text') subjectType!: string;
  @PrimaryColumn('text') subjectId!: string;
  @Column('text') happenedAt!: string;
  @Column('text') recordedAt!: string;
  @Column('text') entryId!: string;
}

/** Entries as they count: corrections laid over, voids left out. Derived, can be rebuilt. */
@Entity('counted_entry')
export class CountedEntryRow {
  /** The original's number in the journal. */
  @PrimaryColumn('integer') seq!: number;
  @Column('text') entryId!: string;
  @Column('text') kind!: string;
  @Column('text') happenedAt!: string;
  @Column('text') recordedAt!: string;
  /** End of a run; null for what does not last. */
  @Column('text', { nullable: true }) endedAt!: string | null;
  @Column('text', { nullable: true }) correctionId!: string | null;
  @Column('boolean') contradicted!: boolean;
  /** The entry as it counts; null: as it stands in the journal. */
  @Column('text', { nullable: true }) content!: string | null;
}

/** What counted entries are about, each subject's in the journal's order. Derived. */
@Entity('subject_entry', { withoutRowid: true })
export class SubjectEntryRow {
  @PrimaryColumn('text') subjectType!: string;
  @PrimaryColumn('text') subjectId!: string;
  @PrimaryColumn('text') happenedAt!: string;
  @PrimaryColumn('text') recordedAt!: string;
  @PrimaryColumn('text') entryId!: string;
  @Column('text') kind!: string;
  @Column('integer') seq!: number;
}

/** Present state of each subject. Derived. */
@Entity('subject_state')
export class SubjectStateRow {
  @PrimaryColumn('text') subjectType!: string;
  @PrimaryColumn('text') subjectId!: string;
  @Column('integer') foldVersion!: number;
  @Column('text') state!: string;
}

/** States on the way, keyed by the last entry folded in. Derived. */
@Entity('checkpoint')
export class CheckpointRow {
  @PrimaryColumn('text') subjectType!: string;
  @PrimaryColumn('text') subjectId!: string;
  @PrimaryColumn('text') happenedAt!: string;
  @PrimaryColumn('text') recordedAt!: string;
  @PrimaryColumn('text') entryId!: string;
  @Column('integer', { nullable: true }) endedPeriod!: number | null;
  @Column('text') state!: string;
}

/** Versions of the set-up, append only. */
@Entity('set_up_version')
@Index(['kind', 'subjectId'])
export class SetUpVersionRow {
  @PrimaryGeneratedColumn() seq!: number;
  @Column('text', { unique: true }) id!: string;
  @Column('text') kind!: string;
  @Column('text') subjectId!: string;
  @Column('text') validFrom!: string;
  @Column('text') recordedAt!: string;
  @Column('text') body!: string;
}

/** All that changed, in one sequence; what clients have read since is told by its number. The oldest are forgotten. */
@Entity('change_log')
export class ChangeRow {
  @PrimaryGeneratedColumn() seq!: number;
  @Column('text') kind!: string;
  /** A list as JSON; null for all pumps. */
  @Column('text', { nullable: true }) pumpIds!: string | null;
  /** The kind of actor. */
  @Column('text') actor!: string;
  @Column('text') at!: string;
}

/** Facts about the data folder itself, such as the day of a demo yard. */
@Entity('house_fact')
export class HouseFactRow {
  @PrimaryColumn('text') name!: string;
  @Column('text') value!: string;
}

export const ROWS = [
  JournalEntryRow,
  FileCitationRow,
  WaitedEntryRow,
  OpenImportRow,
  LaggingSubjectRow,
  CountedEntryRow,
  SubjectEntryRow,
  SubjectStateRow,
  CheckpointRow,
  SetUpVersionRow,
  HouseFactRow,
  ChangeRow,
];
