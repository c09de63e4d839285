import type { Change, ChangeKind } from '@winter-jar/contracts';
import type { Clock } from '../clock/clock.js';
import type { WritingStatements } from '../database/statements.js';
import type { Actor } from './actor.js';

/**
 * The one sequence of all that changed: entries, set-up, files, and what was taken back. A change is numbered inside the transaction
 * that makes it, and told to those who follow once it is on the disk.
 */
export class ChangeLog {
  private readonly followers = new Set<(change: Change) => void>();
  private noted: Change[] = [];
  private silent = false;

  constructor(
    private sql: Pick<WritingStatements, 'insertChange'>,
    private readonly clock: Clock,
  ) {}

  reopened(sql: Pick<WritingStatements, 'insertChange'>): void {
    this.sql = sql;
  }

  /** Called inside a transaction. @param pumpIds whose pages it bears upon; null for all of them */
  note(actor: Actor, kind: ChangeKind, pumpIds: readonly string[] | null): void {
    const at = new Date(this.clock.nowMs()).toISOString();
    const row = { kind, pumpIds: pumpIds && JSON.stringify(pumpIds), actor: actor.kind, at };
    const seq = Number(this.sql.insertChange.run(row).lastInsertRowid);
    this.noted.push({ seq, kind, pumpIds });
  }

  /** The transaction is over: tells what was noted in it, or forgets it where it was rolled back. */
  settle(committed: boolean): void {
    const noted = this.noted;
    this.noted = [];
    if (!committed || this.silent) return;
    for (const change of noted) for (const follower of this.followers) follower(change);
  }

  /** @returns what the work gives, and the numbers of the changes that it made */
  gather<T>(work: () => T): { value: T; seqs: number[] } {
    const seqs: number[] = [];
    const end = this.follow((change) => seqs.push(change.seq));
    try {
      return { value: work(), seqs };
    } finally {
      end();
    }
  }

  /** For what is written only to be looked at and taken back: nobody is told. */
  silently<T>(work: () => T): T {
    this.silent = true;
    try {
      return work();
    } finally {
      this.silent = false;
      this.noted = [];
    }
  }

  /** @returns what ends the following */
  follow(follower: (change: Change) => void): () => void {
    this.followers.add(follower);
    return () => this.followers.delete(follower);
  }
}
