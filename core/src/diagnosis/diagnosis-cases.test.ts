import { DIAGNOSIS_CASES, type DiagnosisCase } from '../testing/diagnosis-cases.js';
import type { FindingId } from './all-findings.js';
import { rank } from './rank.js';

const answers = DIAGNOSIS_CASES.map((one) => {
  const findings = Object.entries(one.found).map(([id, state]) => ({ id: id as FindingId, state }));
  const { causes, undecided } = rank({ process: one.process, findings });
  return { one, undecided, ids: causes.map((c) => c.id as string), causes };
});
const top = ({ one, causes, undecided }: (typeof answers)[number]): string =>
  `${one.story}: ${causes
    .slice(0, 4)
    .map((c) => `${c.id} ${c.probability.toFixed(2)}`)
    .join(', ')}${undecided ? ', undecided' : ''}`;
const placeOf = (ids: readonly string[], named: readonly string[]): number =>
  Math.min(...named.map((id) => ids.indexOf(id) + 1));

test('the table has 15 complaints of each process, none of one fact alone', () => {
  const count = (process: string): number => DIAGNOSIS_CASES.filter((c) => c.process === process).length;
  expect(['freezeDrying', 'packaging', 'composites', 'industrial'].map(count)).toEqual([15, 15, 15, 15]);
  expect(DIAGNOSIS_CASES.filter((c) => Object.keys(c.found).length < 3).map((c) => c.story)).toEqual([]);
});

test('all that the table names is known', () => {
  const named = ({ first = [], amongThree = [], never = [] }: DiagnosisCase) => [...first, ...amongThree, ...never];
  const ids = answers[0]?.ids ?? [];
  expect(DIAGNOSIS_CASES.flatMap(named).filter((id) => !ids.includes(id))).toEqual([]);
});

test('what cannot be stands first nowhere', () => {
  expect(answers.filter(({ one, ids }) => one.never?.includes(ids[0] ?? '')).map(top)).toEqual([]);
});

test('circumstances alone, or a date that went by, decide nothing', () => {
  expect(answers.filter(({ one, undecided }) => one.undecided && !undecided).map(top)).toEqual([]);
});

test('the first cause is right in 88 %, and it is among the first three in 97 %', () => {
  const asked = answers.filter(({ one }) => one.first);
  const placed = asked.map(({ one, ids }) => placeOf(ids, one.first ?? []));
  const wrong = asked.filter((_, i) => (placed[i] ?? 9) > 1).map(top);
  expect({
    wrong,
    first: placed.filter((p) => p <= 1).length / asked.length >= 0.88,
    three: placed.filter((p) => p <= 3).length / asked.length >= 0.97,
  }).toEqual({ wrong: expect.any(Array) as string[], first: true, three: true });
});

test('of two faults both are among the first three', () => {
  const far = answers.filter(({ one, ids }) => one.amongThree?.some((id) => ids.indexOf(id) > 2));
  expect(far.map(top)).toEqual([]);
});
