import type { FieldIssue } from '@winter-jar/contracts';
import { caseIdOf, CAUSES, CHECKS, FINDINGS, LEAK_STEPS, pumpIdsOf, type Entry } from '@winter-jar/core';
import type { WritingStatements } from '../database/statements.js';

const unknown = (field: string, value: unknown, right: string): FieldIssue => ({
  field,
  value,
  code: 'unknownId',
  right,
});
const knows = (list: object, id: string): boolean => Object.hasOwn(list, id);

/** Tests, findings and causes are those of core/diagnosis. */
export function knowledgeIssues(entry: Entry): FieldIssue[] {
  if (entry.kind === 'caseClosed') {
    const { causeId } = entry.body;
    return causeId && !knows(CAUSES, causeId) ? [unknown('body.causeId', causeId, 'the id of a cause, or null')] : [];
  }
  if (entry.kind !== 'test') return [];
  const { checkId, leakStep, findings } = entry.body;
  const issues: FieldIssue[] = [];
  if (checkId && !knows(CHECKS, checkId)) issues.push(unknown('body.checkId', checkId, 'the id of a test, or null'));
  if (leakStep && !LEAK_STEPS.some((s) => s.id === leakStep))
    issues.push(unknown('body.leakStep', leakStep, `one of ${LEAK_STEPS.map((s) => s.id).join(', ')}`));
  findings.forEach(({ id, state }, i) => {
    if (!knows(FINDINGS, id)) return issues.push(unknown(`body.findings.${i}.id`, id, 'the id of a finding'));
    const { states } = FINDINGS[id as keyof typeof FINDINGS];
    if (knows(states, state)) return undefined;
    return issues.push(unknown(`body.findings.${i}.state`, state, `one of ${Object.keys(states).join(', ')}`));
  });
  return issues;
}

/** A case is opened once, and what is said of it names one of this pump that was opened before. */
export function caseIssues(entry: Entry, sql: Pick<WritingStatements, 'casesOpened'>): FieldIssue[] {
  const caseId = caseIdOf(entry);
  if (caseId === null) return [];
  const field = `subjects.${entry.subjects.findIndex((s) => s.type === 'case')}.id`;
  const [pumpId = ''] = pumpIdsOf(entry);
  const opened = sql.casesOpened.all(caseId).map((row) => JSON.parse(row.content) as Entry);
  // Its own opening is there already when it is corrected.
  if (entry.kind === 'caseOpened')
    return opened.every((o) => o.id === entry.id)
      ? []
      : [{ field, value: caseId, code: 'twice', right: 'the id of a new case' }];
  return opened.some((o) => pumpIdsOf(o).includes(pumpId))
    ? []
    : [unknown(field, caseId, 'the id of a case of this pump that was opened before')];
}
