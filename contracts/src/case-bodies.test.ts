import type { Entry } from '@winter-jar/core';
import { at, caseAt, entryAt, foundAt } from '@winter-jar/core/testing';
import { checkEntry } from './check-entry.js';

const NOW = Date.parse(at(1000));
const issuesOf = (raw: unknown) => {
  const checked = checkEntry(raw, NOW);
  return checked.ok ? [] : checked.issues;
};
const withBody = (entry: Entry, body: object) => ({ ...entry, body: { ...entry.body, ...body } });
const found = foundAt(10, { cream: 'yes', noise: 'louder' }) as Extract<Entry, { kind: 'test' }>;
const hunted = entryAt(10, 'test', { leakStep: 'gaskets', passed: true, findings: [] });
const cases = [caseAt.opened(10), caseAt.closed(20), caseAt.closed(20, null), caseAt.checked(30, false)];

test.each([found, hunted, ...cases].map((e) => [e.kind, e] as const))(
  'a right %s passes and keeps what it says',
  (_kind, entry) => {
    expect(checkEntry(entry, NOW)).toEqual({ ok: true, value: entry });
  },
);

test.each<[string, unknown, string]>([
  ['a test that says nothing', withBody(found, { findings: [] }), 'body.findings'],
  [
    'a finding said twice',
    withBody(found, { findings: [found.body.findings[0], found.body.findings[0]] }),
    'body.findings.1.id',
  ],
  [
    'a finding nobody is sure of at all',
    withBody(found, { findings: [{ id: 'cream', state: 'yes', certainty: 0 }] }),
    'body.findings.0.certainty',
  ],
  ['a leak step that neither passed nor failed', withBody(hunted, { passed: null }), 'body.passed'],
  ['a case without a complaint', withBody(caseAt.opened(10), { complaint: '' }), 'body.complaint'],
  ['a remedy of nothing', withBody(caseAt.closed(10), { remedy: '' }), 'body.remedy'],
  ['a check after no run', withBody(caseAt.closed(10), { checkAfterRuns: 0 }), 'body.checkAfterRuns'],
  ['a check that says neither', withBody(caseAt.checked(10, true), { held: 'perhaps' }), 'body.held'],
  ['a case that no subject names', { ...caseAt.opened(10), subjects: [{ type: 'pump', id: 'p1' }] }, 'subjects'],
])('%s is refused at its field', (_what, entry, field) => {
  expect(issuesOf(entry).map((i) => i.field)).toEqual([field]);
});
