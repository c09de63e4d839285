import { hash } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import type { RoundAnswer, RoundParts } from '@winter-jar/contracts';

/** So many different answers are remembered; whoever holds an older one is sent all rows. */
const REMEMBERED = 60;

const sumOf = (text: string): string => hash('sha1', text, 'base64url');

/** Sends of the Round what the asker does not hold yet. */
@Injectable()
export class RoundPartsService {
  /** Check sums of rows by pump, by the tag of their answer. */
  private readonly given = new Map<string, ReadonlyMap<string, string>>();

  of(round: RoundAnswer, held: string | undefined): RoundParts {
    const sums = new Map(round.rows.map((row) => [row.pumpId, sumOf(JSON.stringify(row))]));
    const order = round.rows.map((row) => row.pumpId);
    const tag = sumOf([...sums].join());
    const known = held === undefined ? undefined : this.given.get(held);
    this.remember(tag, sums);
    if (!held || !known) return { ...round, tag, over: null, order };
    const rows = round.rows.filter((row) => known.get(row.pumpId) !== sums.get(row.pumpId));
    return { ...round, rows, tag, over: held, order };
  }

  private remember(tag: string, sums: ReadonlyMap<string, string>): void {
    this.given.delete(tag);
    this.given.set(tag, sums);
    const oldest = this.given.size > REMEMBERED ? this.given.keys().next().value : undefined;
    if (oldest !== undefined) this.given.delete(oldest);
  }
}
