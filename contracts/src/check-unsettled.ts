import type { Unsettled } from './answers.js';
import type { Checked, FieldIssue } from './check-entry.js';

const isIssue = (raw: unknown): raw is FieldIssue =>
  typeof raw === 'object' &&
  raw !== null &&
  (['field', 'code', 'right'] as const).every((key) => typeof (raw as Partial<FieldIssue>)[key] === 'string');

/** Why an entry does not count, as it stands in a file beside it. */
export function checkUnsettled(raw: unknown): Checked<Unsettled> {
  const { state, issues } = (typeof raw === 'object' && raw !== null ? raw : {}) as {
    state?: unknown;
    issues?: unknown;
  };
  if (state === 'waits' || state === 'aside') return { ok: true, value: { state } };
  if (state === 'toSettle' && Array.isArray(issues) && issues.length > 0 && issues.every(isIssue))
    return { ok: true, value: { state, issues } };
  const right = 'a state: waits, aside, or toSettle with its issues';
  return { ok: false, issues: [{ field: 'unsettled', value: null, code: 'notRight', right }] };
}
