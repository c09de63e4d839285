import type { ApiProblem } from '@winter-jar/contracts';
import { issueWords } from './issue-words.js';

const NO_ANSWER = 'The server does not answer. Nothing was changed; try again.';

interface Problem {
  /** Null: it is about none. */
  readonly field: string | null;
  readonly words: string;
}

/** What is wrong. @param error of a request that failed; undefined for none */
export function problemOf(error: unknown): Problem | null {
  if (error === undefined) return null;
  const problem = (error as { data?: ApiProblem }).data;
  if (!problem?.right) return { field: null, words: NO_ANSWER };
  const [issue] = problem.issues;
  return issue
    ? { field: issue.field, words: issueWords(issue) }
    : { field: null, words: `Right would be ${problem.right}.` };
}

/** What is wrong with one field. */
export function wrongAt(field: string, error: unknown): string | undefined {
  const problem = problemOf(error);
  return problem?.field === field ? problem.words : undefined;
}
