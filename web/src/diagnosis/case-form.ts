import type { DiagnosisAnswer, RoundRow } from '@winter-jar/contracts';
import type { Subject } from '@winter-jar/core';
import { reasonWords } from '../words/messages.js';
import type { Words } from '../words/words.js';

/** What a case is opened with, when nobody has said it: the worst reason, else what was found first. */
export function complaintOf(row: Pick<RoundRow, 'reasons' | 'verdict'>, words: Words, found: string | null): string {
  const [worst] = row.reasons;
  if (worst && row.verdict !== 'runOn') return reasonWords(worst, words).short;
  return found ?? 'Something seems wrong';
}

/** The case that something is said about, where there is one. */
export const caseSubjects = ({ case: known }: Pick<DiagnosisAnswer, 'case'>): Subject[] =>
  known ? [{ type: 'case', id: known.caseId }] : [];
