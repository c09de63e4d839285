import { isDoubt, type Question, type Unsettled } from '@winter-jar/contracts';
import {
  compareOrder,
  effectiveEntry,
  jobIdOf,
  winningCorrection,
  type Correction,
  type Entry,
  type JournalEntry,
} from '@winter-jar/core';
import type { SubjectKeyRow, WritingStatements } from '../database/statements.js';
import type { DerivedTables, Original } from './derived-tables.js';
import { questionsAbout } from './entry-questions.js';
import type { SetUpStore } from './set-up-store.js';
import type { Arrived, Source } from './settling.js';
import { Touched } from './touched.js';

/** Of one device that was away for long, and of the others that wrote meanwhile: so many later deeds are looked at again. */
const LATER_DEEDS = 100;
const parse = <T>(text: string): T => JSON.parse(text) as T;

/** A deed that waited on a device. */
interface WaitedDeed {
  readonly members: readonly Original[];
  /** As they would count; those that were taken back are left out. */
  readonly entries: readonly Entry[];
  readonly isUnsettled: boolean;
}

/**
 * Entries that waited on a device until there was a connection. Nobody was there to be asked, so that what is in doubt is kept and
 * does not count until somebody settles it. Whichever device comes first, it ends the same: deeds that nobody has decided about are
 * asked about in the order in which they happened. What was said in a job counts as it comes: a pump that stands open has to say so,
 * whatever was read wrong on the way. Called inside the writer's transaction, once all that came is counted and folded.
 */
export class WaitedEntries {
  constructor(
    private readonly sql: WritingStatements,
    private readonly store: SetUpStore,
    private readonly derived: DerivedTables,
  ) {}

  settle(arrived: readonly Arrived[], source: Source): void {
    const acts = new Set<string>();
    for (const { entry } of arrived) {
      if (entry.kind !== 'correction') {
        if (source !== 'waited' || jobIdOf(entry) !== null) continue;
        for (const key of keysOf(entry)) this.sql.insertWaited.run(key);
        acts.add(entry.actId);
        continue;
      }
      const { targetId } = entry.body;
      if (!this.sql.isWaited.get(targetId)) continue;
      const original = this.sql.entryById.get(targetId);
      if (!original) continue;
      if (source === 'waited') acts.add(parse<JournalEntry>(original.content).actId);
      else this.decided(targetId);
    }
    for (const actId of acts) this.askAgain(actId);
  }

  /** Somebody who could be asked has said how it was. */
  private decided(entryId: string): void {
    this.sql.deleteWaited.run(entryId);
    const original = this.originalOf(entryId);
    if (!original || !this.isUnsettled(entryId)) return;
    this.put(entryId, null);
    this.derived.fold(this.derived.countAnew(original));
  }

  /** A deed came, or was corrected where it waited: it and all later ones are asked about anew, unless nothing is in doubt. */
  private askAgain(actId: string): void {
    const deeds = this.from(actId);
    const isCalm = deeds.every((deed) => !deed.isUnsettled && this.doubtsOf(deed).length === 0);
    if (isCalm) return;
    const out = new Touched();
    for (const { members } of deeds)
      for (const { entry, seq } of members) {
        out.addAll(this.derived.uncount(seq));
        this.put(entry.id, null);
      }
    this.derived.fold(out);
    for (const deed of deeds) {
      const questions = this.doubtsOf(deed);
      const back = new Touched();
      for (const original of deed.members)
        if (questions.length > 0) this.put(original.entry.id, { state: 'asks', questions });
        else back.addAll(this.derived.count(original));
      this.derived.fold(back);
    }
  }

  private doubtsOf({ entries }: WaitedDeed): Question[] {
    return entries.flatMap((entry) => questionsAbout(entry, this.store.book, this.sql).filter(isDoubt));
  }

  /** The deed and those after it at the same subjects that nobody has decided about, in the order in which they happened. */
  private from(actId: string): WaitedDeed[] {
    const first = this.deedOf(actId);
    const keys = first.members.flatMap(({ entry }) => keysOf(entry));
    const later = keys.flatMap((key) => this.sql.waitedFrom.all({ ...key, limit: LATER_DEEDS }));
    const others = [...new Set(later.map((row) => row.actId))].filter((id) => id !== actId);
    return [first, ...others.map((id) => this.deedOf(id))]
      .filter(({ members }) => members.length > 0)
      .sort((a, b) => compareOrder(firstOf(a), firstOf(b)));
  }

  private deedOf(actId: string): WaitedDeed {
    const members = this.sql.waitedOfDeed
      .all(actId)
      .map((row): Original => ({ entry: parse<Entry>(row.content), seq: row.seq }));
    const entries = members.flatMap(({ entry }) => this.asItCounts(entry) ?? []);
    return { members, entries, isUnsettled: members.some(({ entry }) => this.isUnsettled(entry.id)) };
  }

  private asItCounts(original: Entry): Entry | null {
    const corrections = this.sql.correctionsOf.all(original.id).map((row) => parse<Correction>(row.content));
    const entry = effectiveEntry(original, corrections);
    const said = winningCorrection(corrections)?.acknowledged ?? [];
    return entry && { ...entry, acknowledged: [...entry.acknowledged, ...said] };
  }

  private originalOf(id: string): Original | null {
    const row = this.sql.entryById.get(id);
    return row ? { entry: parse<Entry>(row.content), seq: row.seq } : null;
  }

  private isUnsettled(id: string): boolean {
    return (this.sql.entryById.get(id)?.unsettled ?? null) !== null;
  }

  private put(id: string, unsettled: Unsettled | null): void {
    this.sql.setUnsettled.run({ id, unsettled: unsettled && JSON.stringify(unsettled) });
  }
}

const keysOf = ({ subjects, happenedAt, recordedAt, id }: JournalEntry): SubjectKeyRow[] =>
  subjects.map((s) => ({ subjectType: s.type, subjectId: s.id, happenedAt, recordedAt, entryId: id }));

const firstOf = ({ members }: WaitedDeed): Entry =>
  members.map((m) => m.entry).reduce((a, b) => (compareOrder(a, b) <= 0 ? a : b));
