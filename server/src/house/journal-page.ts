import { BadRequestException, NotFoundException } from '@nestjs/common';
import type { JournalPage } from '@winter-jar/contracts';
import { ENTRY_KINDS, type Entry, type EntryKind, type SubjectRef } from '@winter-jar/core';
import type { Records } from '../database/records.js';

const LINES = 50;

/**
 * A page of a subject's entries as they count, newest first.
 * @param before an entry's id, to go on from it
 * @param kinds parted by commas; all when left out
 * @param isSeen by whoever asks; a page may hold fewer lines, and others come after it
 * @throws NotFoundException when it is none that counts; BadRequestException on a kind that there is not
 */
export async function journalPage(
  records: Records,
  subject: SubjectRef,
  { before, kinds }: { before?: string | undefined; kinds?: string | undefined },
  isSeen: (entry: Entry) => boolean,
): Promise<JournalPage> {
  const from = before ? await records.keyOf(before) : null;
  if (before && !from) throw new NotFoundException(`the id of an entry that counts; "${before}" is none`);
  const lines = await records.page(subject, { before: from, kinds: kindsOf(kinds), limit: LINES });
  const seen = lines.filter(({ entry }) => isSeen(entry));
  return { lines: seen, before: lines.length === LINES ? (lines.at(-1)?.entry.id ?? null) : null };
}

function kindsOf(text: string | undefined): EntryKind[] {
  return (text ?? '')
    .split(',')
    .filter(Boolean)
    .map((asked) => {
      const kind = ENTRY_KINDS.find((one) => one === asked);
      if (!kind) throw new BadRequestException(`kinds: some of ${ENTRY_KINDS.join(', ')}, parted by commas`);
      return kind;
    });
}
