import type { ApiProblem } from '@winter-jar/contracts';

export const NO_ANSWER = 'The server does not answer. Nothing was changed; try again.';

/** What is wrong, in words: at a field, or as a whole. Null where nothing is. */
export function problemOf(error: unknown): { readonly field: string | null; readonly words: string } | null {
  if (error === undefined) return null;
  const problem = (error as { data?: ApiProblem }).data;
  if (!problem?.right) return { field: null, words: NO_ANSWER };
  const [issue] = problem.issues;
  const asSentence = (right: string) => `Right would be ${right}.`;
  return issue
    ? { field: issue.field, words: asSentence(issue.right) }
    : { field: null, words: asSentence(problem.right) };
}
