import type { ApiProblem, EntriesAnswer, EntryAnswer, FieldIssue, Question } from '@winter-jar/contracts';

/** What became of a write, as the interface needs to know it: the one error union of the web. */
export type WriteResult =
  /** Stored at the server, or kept on this device until there is a connection. */
  | { readonly kind: 'written'; readonly waits?: true }
  | { readonly kind: 'asked'; readonly questions: readonly Question[] }
  | { readonly kind: 'refused'; readonly issues: readonly FieldIssue[] }
  | { readonly kind: 'conflict' }
  | { readonly kind: 'unreachable' }
  | { readonly kind: 'failed'; readonly right: string };

const isAnswers = (data: unknown): data is EntriesAnswer =>
  typeof data === 'object' && data !== null && 'answers' in data;
const isProblem = (data: unknown): data is ApiProblem =>
  typeof data === 'object' && data !== null && 'code' in data && 'right' in data;

function fromAnswers(answers: readonly EntryAnswer[]): WriteResult {
  const issues = answers.flatMap((a) => (a.status === 'refused' ? a.issues : []));
  if (issues.length > 0) return { kind: 'refused', issues };
  const questions = answers.flatMap((a) => (a.status === 'asked' ? a.questions : []));
  if (questions.length > 0) return { kind: 'asked', questions };
  if (answers.some((a) => a.status === 'conflict')) return { kind: 'conflict' };
  const failed = answers.find((a) => a.status === 'failed');
  if (failed) return { kind: 'failed', right: failed.right };
  return { kind: 'written' };
}

/** Reads the answer or the error of `postEntries`. */
export function writeResult(outcome: { data?: unknown; error?: unknown }): WriteResult {
  if (isAnswers(outcome.data)) return fromAnswers(outcome.data.answers);
  const error = (outcome.error ?? {}) as { status?: number | string; data?: unknown };
  if (isAnswers(error.data)) return fromAnswers(error.data.answers);
  if (isProblem(error.data)) return { kind: 'failed', right: error.data.right };
  return { kind: 'unreachable' };
}
