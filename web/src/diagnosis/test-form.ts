import type { DiagnosisAnswer } from '@winter-jar/contracts';
import {
  CHECKS,
  FINDINGS,
  rank,
  type CheckId,
  type Entry,
  type FindingId,
  type FoundSaid,
  type RankedCause,
} from '@winter-jar/core';
import { exactly, type FormAnswer } from '../entry/deed.js';
import { remarkOf } from '../forms/remark-of.js';
import { happensNow, WHEN_WRONG, whenOf, type When } from '../forms/when-field.js';
import { leakStepOf, SURENESS, surenessOf, type Sureness } from '../words/diagnosis-words.js';

/** Chosen where nobody looked: it says nothing. */
export const NOT_LOOKED = 'notLooked';

export interface TestValues extends When {
  checkId: string;
  leakStep: string;
  passed: '' | 'yes' | 'no';
  /** State by finding. */
  found: Readonly<Record<string, string>>;
  sureness: Sureness;
  photoId: string;
  remark: string;
}

/** The fields before anything is said, now. */
export const nothingFound = (zone: string): TestValues => ({
  checkId: '',
  leakStep: '',
  passed: '',
  found: {},
  sureness: 'sure',
  photoId: '',
  remark: '',
  ...happensNow(zone),
});

/** What the test settles, or what was picked from the list; no smell where smelling harms. */
export function findingsAskedFor(
  { checkId, found }: Pick<TestValues, 'checkId' | 'found'>,
  { smellHarms }: { smellHarms: boolean },
): string[] {
  const all: readonly string[] = CHECKS[checkId as CheckId]?.settles ?? [];
  const settles = smellHarms ? all.filter((id) => id !== 'smell') : all;
  return [...settles, ...Object.keys(found).filter((id) => !settles.includes(id))];
}

function stepFindings({ leakStep, passed }: TestValues): { id: string; state: string }[] {
  const step = leakStepOf(leakStep);
  if (!step || passed === '') return [];
  return [...(passed === 'yes' ? step.passed : step.failed).findings];
}

export function readTest(v: TestValues, zone: string, nowMs: number): FormAnswer<'test'> {
  const at = whenOf(v, zone, nowMs);
  const stated = Object.entries(v.found).filter(([, state]) => state !== '' && state !== NOT_LOOKED);
  const found = v.leakStep ? stepFindings(v) : stated.map(([id, state]) => ({ id, state }));
  const silent = found.length === 0 && !v.photoId && !v.remark.trim();
  const issues = {
    ...(at ? {} : { at: WHEN_WRONG }),
    ...(v.leakStep && v.passed === '' ? { passed: 'Say whether the step passed.' } : {}),
    ...(!v.leakStep && silent ? { found: 'Say at least one thing that was found.' } : {}),
  };
  if (!at || Object.keys(issues).length > 0) return { ok: false, issues };
  const certainty = SURENESS.find((s) => s.value === v.sureness)?.certainty ?? 1;
  return exactly('test', at, {
    ...(v.checkId ? { checkId: v.checkId } : {}),
    ...(v.leakStep ? { leakStep: v.leakStep, passed: v.passed === 'yes' } : {}),
    findings: found.map((f) => ({ ...f, certainty })),
    ...(v.photoId ? { photoId: v.photoId } : {}),
    ...remarkOf(v),
  });
}

/** The fields of an entry that is corrected. */
export function fieldsOf({ body }: Extract<Entry, { kind: 'test' }>): Omit<TestValues, keyof When> {
  return {
    checkId: body.checkId ?? '',
    leakStep: body.leakStep ?? '',
    passed: body.passed === true ? 'yes' : body.passed === false ? 'no' : '',
    found: Object.fromEntries(body.findings.map((f) => [f.id, f.state])),
    sureness: surenessOf(body.findings[0]?.certainty ?? 1),
    photoId: body.photoId ?? '',
    remark: body.remark ?? '',
  };
}

const wordsOf = (id: FindingId): string =>
  [FINDINGS[id].name, ...Object.values(FINDINGS[id].states)].join(' ').toLowerCase();

/** Findings whose name or states hold every word typed; `first` ones come first. */
export function matchingFindings(search: string, first: readonly string[]): FindingId[] {
  const tokens = search.toLowerCase().split(/\s+/).filter(Boolean);
  const ids = Object.keys(FINDINGS) as FindingId[];
  const place = (id: string) => (first.includes(id) ? first.indexOf(id) : first.length);
  return ids
    .filter((id) => tokens.every((t) => wordsOf(id).includes(t)))
    .sort((a, b) => place(a) - place(b) || ids.indexOf(a) - ids.indexOf(b));
}

/** The cause that would stand on top with what is said, in place of older words on the same findings. */
export function topWith(
  answer: Pick<DiagnosisAnswer, 'process' | 'priors' | 'evidence'>,
  said: readonly FoundSaid[],
): Pick<RankedCause, 'id' | 'probability'> | null {
  const kept = answer.evidence.filter((e) => !said.some((f) => f.id === e.id));
  const findings = [...kept, ...said].map(({ id, state, certainty }) => ({ id: id as FindingId, state, certainty }));
  return rank({ process: answer.process, priors: answer.priors, findings }).causes[0] ?? null;
}
