import { QUESTION_CODES, type Question, type Unsettled } from './answers.js';
import type { Checked, FieldIssue } from './check-entry.js';

const isIssue = (raw: unknown): raw is FieldIssue =>
  typeof raw === 'object' &&
  raw !== null &&
  (['field', 'code', 'right'] as const).every((key) => typeof (raw as Partial<FieldIssue>)[key] === 'string');

const isQuestion = (raw: unknown): raw is Question =>
  typeof raw === 'object' && raw !== null && QUESTION_CODES.includes((raw as Question).code);

/** Why an entry does not count, as it stands in a file beside it. */
export function checkUnsettled(raw: unknown): Checked<Unsettled> {
  const { state, issues, questions } = (typeof raw === 'object' && raw !== null ? raw : {}) as {
    state?: unknown;
    issues?: unknown;
    questions?: unknown;
  };
  if (state === 'waits' || state === 'aside') return { ok: true, value: { state } };
  if (state === 'toSettle' && Array.isArray(issues) && issues.length > 0 && issues.every(isIssue))
    return { ok: true, value: { state, issues } };
  if (state === 'asks' && Array.isArray(questions) && questions.length > 0 && questions.every(isQuestion))
    return { ok: true, value: { state, questions } };
  const right = 'a state: waits, aside, toSettle with its issues, or asks with its questions';
  return { ok: false, issues: [{ field: 'unsettled', value: null, code: 'notRight', right }] };
}
