import { NotFoundException } from '@nestjs/common';
import type { JournalPage } from '@winter-jar/contracts';
import type { Entry, SubjectRef } from '@winter-jar/core';
import type { ReadingStatements } from '../database/statements.js';

const LINES = 50;
const END = { happenedAt: '9999', recordedAt: '', entryId: '' };

/**
 * A page of a subject's entries as they count, newest first.
 * @param before an entry's id, to go on from it
 * @throws NotFoundException when it is none that counts
 */
export function journalPage(sql: ReadingStatements, subject: SubjectRef, before: string | undefined): JournalPage {
  const from = before ? sql.countedById.get(before) : undefined;
  if (before && !from) throw new NotFoundException(`the id of an entry that counts; "${before}" is none`);
  const { happenedAt, recordedAt, entryId } = from ?? END;
  const rows = sql.journalPage.all({
    subjectType: subject.type,
    subjectId: subject.id,
    happenedAt,
    recordedAt,
    entryId,
    limit: LINES,
  });
  return {
    lines: rows.map((r) => ({
      entry: JSON.parse(r.content) as Entry,
      correctionId: r.correctionId,
      contradicted: Boolean(r.contradicted),
    })),
    before: rows.length === LINES ? (rows.at(-1)?.entryId ?? null) : null,
  };
}
