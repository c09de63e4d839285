import type { EntryAnswer, FieldIssue, Unsettled } from '@winter-jar/contracts';
import type { Correction, JournalEntry } from '@winter-jar/core';
import { ASIDE_TEXT, type WritingStatements } from '../database/statements.js';
import type { DerivedTables } from './derived-tables.js';
import type { EntryChecks } from './entry-checks.js';
import { Touched } from './touched.js';

/** Whoever writes can be told what is wrong and send it again; what waited on a device, or was accepted before and comes in a file, is kept. */
export type Source = 'person' | 'waited' | 'file';

/** It was stored, now or before. */
export const isTaken = ({ status }: EntryAnswer): boolean =>
  status === 'written' || status === 'kept' || status === 'alreadyWritten';

type Found = { readonly issues: readonly FieldIssue[] } | { readonly unsettled: Unsettled | null };

/** An entry that was put into the journal, with its number. */
export interface Arrived {
  readonly entry: JournalEntry;
  readonly seq: number;
}

const parse = <T>(text: string): T => JSON.parse(text) as T;
const WAITS: Unsettled = { state: 'waits' };
const ASIDE = parse<Unsettled>(ASIDE_TEXT);

/** One state of an entry: it counts, waits for its target, is to be settled, or was set aside. Called inside the writer's transaction. */
export class Settling {
  constructor(
    private readonly sql: WritingStatements,
    private readonly checks: EntryChecks,
    private readonly derived: DerivedTables,
  ) {}

  /** How a correction that comes now stands, or why it is refused. @param together what comes with it */
  stateOf(correction: Correction, together: readonly JournalEntry[], source: Source): Found {
    const { action, targetId } = correction.body;
    if (action === 'setAside') {
      const issues = this.checks.ofSetAside(correction);
      return issues.length > 0 ? { issues } : { unsettled: null };
    }
    const others = this.sql.correctionsOf.all(targetId).map((row) => parse<Correction>(row.content));
    const seenBy = others.filter((o) => o.body.saw?.includes(correction.id));
    if (seenBy.some((o) => o.body.action === 'setAside')) return { unsettled: ASIDE };
    const original = this.checks.originalOf(correction);
    const issues = original
      ? this.checks.ofCorrection(correction, original.entry, together)
      : this.checks.ofEarly(correction);
    if (issues.length === 0) return { unsettled: original ? null : WAITS };
    if (source === 'person') return { issues };
    return { unsettled: seenBy.length > 0 ? ASIDE : { state: 'toSettle', issues } };
  }

  /** A correction that counts decides about those that its writer saw and that do not count. */
  decide({ body }: Correction): void {
    const saw = new Set(body.saw);
    if (saw.size === 0) return;
    for (const { id } of this.sql.unsettledOf.all(body.targetId)) if (saw.has(id)) this.put(id, ASIDE);
  }

  /** Entries came: what waited for them counts from now on, or is to be settled. @returns what changed */
  arrived(entries: readonly Arrived[]): Touched {
    const touched = new Touched();
    // One question for all of them: next to nothing ever waits.
    if (entries.length === 0 || !this.sql.anyUnsettled.get()) return touched;
    const waiting = entries.map((arrived) => ({ arrived, corrections: this.waitingFor(arrived.entry) }));
    const together = waiting.flatMap((w) => w.corrections);
    for (const { arrived, corrections } of waiting) {
      for (const correction of corrections) {
        const found = this.stateOf(correction, together, 'file');
        const unsettled = 'unsettled' in found ? found.unsettled : null;
        this.put(correction.id, unsettled);
        if (unsettled === null) this.decide(correction);
      }
      const { entry, seq } = arrived;
      if (corrections.length > 0 && entry.kind !== 'correction') touched.addAll(this.derived.countAnew({ entry, seq }));
    }
    return touched;
  }

  /** What became of what came, once all of it is here. */
  settled(answer: Extract<EntryAnswer, { seq: number }>): EntryAnswer {
    const { id, seq } = answer;
    const text = this.sql.entryById.get(id)?.unsettled ?? null;
    return text === null
      ? { id, status: 'written', seq }
      : { id, status: 'kept', seq, unsettled: parse<Unsettled>(text) };
  }

  /** An entry left the journal with the import that brought it: what was said about it waits again. */
  left(id: string): void {
    for (const row of this.sql.correctionsOf.all(id)) {
      const correction = parse<Correction>(row.content);
      if (correction.body.action !== 'setAside') this.put(correction.id, WAITS);
    }
    for (const row of this.sql.unsettledOf.all(id))
      if (parse<Unsettled>(row.unsettled).state === 'toSettle') this.put(row.id, WAITS);
  }

  put(id: string, unsettled: Unsettled | null): void {
    this.sql.setUnsettled.run({ id, unsettled: unsettled && JSON.stringify(unsettled) });
  }

  private waitingFor({ id }: JournalEntry): Correction[] {
    return this.sql.unsettledOf
      .all(id)
      .filter((row) => parse<Unsettled>(row.unsettled).state === 'waits')
      .map((row) => parse<Correction>(row.content))
      .sort((a, b) => (a.recordedAt < b.recordedAt ? -1 : a.recordedAt > b.recordedAt ? 1 : a.id < b.id ? -1 : 1));
  }
}
