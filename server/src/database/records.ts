import type { Correction, Entry, EntryKind, OrderKey, SubjectRef } from '@winter-jar/core';
import type { Question, Unsettled, UnsettledLine } from '@winter-jar/contracts';
import { IsNull, type DataSource, type SelectQueryBuilder } from 'typeorm';
import {
  ChangeRow,
  CheckpointRow,
  CountedEntryRow,
  HouseFactRow,
  JournalEntryRow,
  SubjectEntryRow,
  type SubjectStateRow,
} from './entities.js';
import { ASIDE_TEXT } from './statements.js';

/** An entry as it counts, with the correction in force. */
export interface CountedLine {
  readonly entry: Entry;
  readonly correctionId: string | null;
  readonly contradicted: boolean;
}

const parse = <T>(text: string): T => JSON.parse(text) as T;

function asksIn({ unsettled }: JournalEntryRow): readonly Question[] {
  const state = unsettled === null ? null : parse<Unsettled>(unsettled);
  return state?.state === 'asks' ? state.questions : [];
}
const CONTENT = 'COALESCE(c.content, j.content)';
const KEY = '(s.happenedAt, s.recordedAt, s.entryId)';

/**
 * What is read off the measured path, by repositories and the query builder: it needs nothing that only SQLite has. The measured
 * path is in statements.ts.
 */
export class Records {
  constructor(private readonly source: () => DataSource) {}

  /** A fact about the data folder; null where it is not known. */
  async fact(name: string): Promise<string | null> {
    return (await this.source().getRepository(HouseFactRow).findOneBy({ name }))?.value ?? null;
  }

  /** First and last number of the changes that are kept; null before the first one. */
  async changesKept(): Promise<{ first: number | null; last: number | null }> {
    const changes = this.source().getRepository(ChangeRow);
    return { first: await changes.minimum('seq'), last: await changes.maximum('seq') };
  }

  changesSince(seq: number): Promise<ChangeRow[]> {
    return this.source()
      .getRepository(ChangeRow)
      .createQueryBuilder('change')
      .where('change.seq > :seq', { seq })
      .orderBy('change.seq')
      .getMany();
  }

  /** An entry as it was written; a correction is one too. */
  async original(id: string): Promise<{ kind: string; entry: Entry; asks: readonly Question[] } | null> {
    const row = await this.source().getRepository(JournalEntryRow).findOneBy({ id });
    return row && { kind: row.kind, entry: parse<Entry>(row.content), asks: asksIn(row) };
  }

  /** Deeds that waited on a device and are in doubt, the oldest first: each entry with what is asked about it. */
  async asked(limit: number): Promise<readonly { readonly entry: Entry; readonly questions: readonly Question[] }[]> {
    const rows = await this.source()
      .getRepository(JournalEntryRow)
      .createQueryBuilder('j')
      .where('j.unsettled IS NOT NULL AND j.targetId IS NULL')
      .orderBy('j.recordedAt')
      .limit(limit)
      .getMany();
    return rows.map((row) => ({ entry: parse<Entry>(row.content), questions: asksIn(row) }));
  }

  /** All that has a say about an entry: not what was set aside, nor the words by which it was. */
  async correctionsOf(targetId: string): Promise<Correction[]> {
    const rows = await this.source().getRepository(JournalEntryRow).findBy({ targetId, unsettled: IsNull() });
    return rows.map((row) => parse<Correction>(row.content)).filter((c) => c.body.action !== 'setAside');
  }

  /** Corrections that do not count yet, the oldest first: of one entry, or of all. */
  async unsettled(limit: number, targetId?: string): Promise<UnsettledLine[]> {
    const rows = await this.source()
      .createQueryBuilder(JournalEntryRow, 'j')
      .leftJoin(JournalEntryRow, 'o', 'o.id = j.targetId')
      .leftJoin(CountedEntryRow, 'c', 'c.seq = o.seq')
      .select('j.content', 'content')
      .addSelect('j.unsettled', 'unsettled')
      .addSelect("CASE WHEN o.kind <> 'correction' THEN o.content END", 'original')
      .addSelect('c.seq', 'seq')
      .where('j.unsettled IS NOT NULL AND j.targetId IS NOT NULL AND j.unsettled <> :aside', { aside: ASIDE_TEXT })
      .andWhere(targetId === undefined ? '1 = 1' : 'j.targetId = :targetId', { targetId })
      .orderBy('j.recordedAt')
      .limit(limit)
      .getRawMany<{ content: string; unsettled: string; original: string | null; seq: number | null }>();
    return rows.map(({ content, unsettled, original, seq }) => ({
      correction: parse<Correction>(content),
      unsettled: parse<UnsettledLine['unsettled']>(unsettled),
      original: original === null ? null : parse<Entry>(original),
      counts: seq !== null,
    }));
  }

  /** Ids of a deed's entries that count. */
  async countedOfDeed(actId: string): Promise<string[]> {
    const rows = await this.source()
      .createQueryBuilder(JournalEntryRow, 'j')
      .innerJoin(CountedEntryRow, 'c', 'c.seq = j.seq')
      .select('j.id', 'id')
      .where('j.actId = :actId', { actId })
      .orderBy('j.seq')
      .getRawMany<{ id: string }>();
    return rows.map((row) => row.id);
  }

  /** Entries of a deed as they count, in the journal's order. */
  ofDeed(actId: string): Promise<Entry[]> {
    const query = this.counted()
      .where('j.actId = :actId', { actId })
      .andWhere('s.subjectType = :type', { type: 'pump' });
    return inOrder(query);
  }

  /** A page of a subject's entries as they count, newest first. @param before the key to go on from; null from the newest @param kinds none for all */
  async page(
    subject: SubjectRef,
    { before, kinds, limit }: { before: OrderKey | null; kinds: readonly EntryKind[]; limit: number },
  ): Promise<CountedLine[]> {
    const query = this.ofSubject(subject)
      .addSelect(['c.correctionId AS "correctionId"', 'c.contradicted AS "contradicted"'])
      .orderBy('s.happenedAt', 'DESC')
      .addOrderBy('s.recordedAt', 'DESC')
      .addOrderBy('s.entryId', 'DESC')
      .limit(limit);
    if (before) query.andWhere(`${KEY} < (:happenedAt, :recordedAt, :id)`, { ...before });
    if (kinds.length > 0) query.andWhere('s.kind IN (:...kinds)', { kinds });
    const rows = await query.getRawMany<{
      content: string;
      correctionId: string | null;
      contradicted: number | boolean;
    }>();
    return rows.map(({ content, correctionId, contradicted }) => ({
      entry: parse<Entry>(content),
      correctionId,
      contradicted: Boolean(contradicted),
    }));
  }

  /** Key of an entry that counts; null of one that does not. */
  async keyOf(entryId: string): Promise<OrderKey | null> {
    // By the journal's own index of ids: what counts has none.
    const row = await this.source()
      .createQueryBuilder(JournalEntryRow, 'j')
      .innerJoin(CountedEntryRow, 'c', 'c.seq = j.seq')
      .select(['c.happenedAt AS "happenedAt"', 'c.recordedAt AS "recordedAt"', 'j.id AS "id"'])
      .where('j.id = :entryId', { entryId })
      .getRawOne<OrderKey>();
    return row ?? null;
  }

  /** What happened at a pump between two instants, as it counts, in the journal's order. */
  between(pumpId: string, { from, until }: { from: string; until: string }): Promise<Entry[]> {
    const query = this.ofSubject({ type: 'pump', id: pumpId });
    return inOrder(query.andWhere('s.happenedAt >= :from', { from }).andWhere('s.happenedAt <= :until', { until }));
  }

  /** Of a pump up to a key: what people found, which outlasts oil changes, and the cases that dealt with it. */
  foundUntil(pumpId: string, key: OrderKey): Promise<Entry[]> {
    const query = this.ofSubject({ type: 'pump', id: pumpId });
    query.andWhere(`${KEY} <= (:happenedAt, :recordedAt, :id)`, { ...key });
    return inOrder(query.andWhere('s.kind IN (:...kinds)', { kinds: ['test', 'caseClosed', 'caseChecked'] }));
  }

  /** All that was said of cases but their tests. */
  ofCases(): Promise<Entry[]> {
    const query = this.counted().where('s.subjectType = :type', { type: 'case' });
    return inOrder(query.andWhere('s.kind IN (:...kinds)', { kinds: ['caseOpened', 'caseClosed', 'caseChecked'] }));
  }

  /** States of a pump at the end of its last charges, newest first. */
  async endedCharges<S>(pumpId: string, limit: number): Promise<S[]> {
    const rows = await this.source()
      .getRepository(CheckpointRow)
      .createQueryBuilder('checkpoint')
      .where({ subjectType: 'pump', subjectId: pumpId })
      .andWhere('checkpoint.endedPeriod IS NOT NULL')
      .orderBy('checkpoint.happenedAt', 'DESC')
      .limit(limit)
      .getMany();
    return rows.map((row: Pick<SubjectStateRow, 'state'>) => parse<S>(row.state));
  }

  private ofSubject({ type, id }: SubjectRef) {
    return this.counted().where('s.subjectType = :type AND s.subjectId = :subjectId', { type, subjectId: id });
  }

  /** Entries as they count, from what they are about. */
  private counted(): SelectQueryBuilder<SubjectEntryRow> {
    return this.source()
      .createQueryBuilder(SubjectEntryRow, 's')
      .innerJoin(CountedEntryRow, 'c', 'c.seq = s.seq')
      .innerJoin(JournalEntryRow, 'j', 'j.seq = s.seq')
      .select(CONTENT, 'content');
  }
}

async function inOrder(query: SelectQueryBuilder<SubjectEntryRow>): Promise<Entry[]> {
  const rows = await query
    .orderBy('s.happenedAt')
    .addOrderBy('s.recordedAt')
    .addOrderBy('s.entryId')
    .getRawMany<{ content: string }>();
  return rows.map((row) => parse<Entry>(row.content));
}
