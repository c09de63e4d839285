import { NotFoundException } from '@nestjs/common';
import type { JournalPage } from '@winter-jar/contracts';
import type { SubjectRef } from '@winter-jar/core';
import type { Records } from '../database/records.js';

const LINES = 50;

/**
 * A page of a subject's entries as they count, newest first.
 * @param before an entry's id, to go on from it
 * @throws NotFoundException when it is none that counts
 */
export async function journalPage(
  records: Records,
  subject: SubjectRef,
  before: string | undefined,
): Promise<JournalPage> {
  const from = before ? await records.keyOf(before) : null;
  if (before && !from) throw new NotFoundException(`the id of an entry that counts; "${before}" is none`);
  const lines = await records.page(subject, from, LINES);
  return { lines, before: lines.length === LINES ? (lines.at(-1)?.entry.id ?? null) : null };
}
