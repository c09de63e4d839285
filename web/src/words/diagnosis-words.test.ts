import { CAUSES, CHECKS, FINDINGS, type FindingId } from '@winter-jar/core';
import type { DiagnosisAnswer } from '@winter-jar/contracts';
import { complaintOf } from '../diagnosis/case-form.js';
import { causeName, checkName, foundWords, shareWords, surenessOf, testWords } from './diagnosis-words.js';
import { byHowMuchItSays } from '../diagnosis/evidence-list.js';

test('shares are never certain', () => {
  expect([0, 0.004, 0.123, 0.996, 1].map(shareWords)).toEqual([
    'under 1\u00a0%',
    'under 1\u00a0%',
    '12\u00a0%',
    'over 99\u00a0%',
    'over 99\u00a0%',
  ]);
});

test('a finding in one line: a yes is the name alone', () => {
  expect(foundWords('foam', 'yes')).toBe('Foam that stays');
  expect(foundWords('foam', 'no')).toBe('Foam that stays: no');
  expect(foundWords('water', 'farMore')).toBe('Water: far more than expected');
});

test('every finding and state, cause and test has words', () => {
  for (const id of Object.keys(FINDINGS) as FindingId[])
    for (const state of Object.keys(FINDINGS[id].states)) expect(foundWords(id, state)).not.toMatch(/undefined|: $/);
  for (const id of Object.keys(CAUSES)) expect(causeName(id)).not.toBe(`cause “${id}”`);
  for (const id of Object.keys(CHECKS)) expect(checkName(id)).not.toBe(`test “${id}”`);
});

test('an id that this version does not know is shown as it is', () => {
  expect([causeName('gremlins'), checkName('prayer'), foundWords('moonlight', 'bright')]).toEqual([
    'cause “gremlins”',
    'test “prayer”',
    'moonlight: bright',
  ]);
  expect(causeName(null)).toBe('no cause found');
});

const PRINT = { pressure: (pa: number) => `${pa} Pa`, temperature: (c: number) => `${c} °C` };

test('what a test says in the journal', () => {
  expect(
    testWords(
      { checkId: 'blankOffAsIs', findings: [], measured: [{ pa: 3.5, where: 'pump', oilTempC: 65, gauge: 'G-2' }] },
      PRINT,
    ),
  ).toBe('Blank off the pump, oil as it is: 3.5 Pa, oil 65 °C, G-2');
  const crackles = { id: 'crackle', state: 'crackles', certainty: 0.97 };
  expect(testWords({ checkId: 'crackleTest', findings: [crackles] }, PRINT)).toBe(
    'Crackle test: Drop on a hot plate: crackles',
  );
  expect(testWords({ leakStep: 'hoses', passed: false, findings: [] }, PRINT)).toBe(
    'Leak hunt, hoses: Cracked, hard or loose',
  );
  expect(testWords({ findings: [{ ...crackles, certainty: 0.55 }], remark: 'faint' }, PRINT)).toBe(
    'Drop on a hot plate: crackles · not sure · faint',
  );
});

test('how sure, back from what it counts for', () => {
  expect([1, 0.97, 0.8, 0.55, 0.3].map(surenessOf)).toEqual(['sure', 'sure', 'fairly', 'unsure', 'unsure']);
});

test('a case is opened with the worst reason, else with what was found', () => {
  const words = { print: {} as never, zone: 'UTC', now: '2031-01-01T00:00:00.000Z' };
  const unknown = { code: 'notTakenOver', level: 'lookSooner', act: 'look', answeredBy: 'look' } as const;
  expect(complaintOf({ verdict: 'runOn', reasons: [] }, words, 'Noise: louder')).toBe('Noise: louder');
  expect(complaintOf({ verdict: 'runOn', reasons: [] }, words, null)).toBe('Something seems wrong');
  expect(complaintOf({ verdict: 'lookSooner', reasons: [unknown] }, words, 'Noise: louder')).toBe('Not taken over yet');
});

test('evidence that moves the causes on top comes first, and what people said is never folded away', () => {
  const line = (id: string, kind: 'run' | 'test') => ({ id, kind, state: 'yes' });
  const contributions = [
    { finding: 'haze', weight: -0.4 },
    { finding: 'cream', weight: 1.2 },
    { finding: 'wetLoads', weight: 0.1 },
    // Only by way of another cause that would explain it.
    { finding: 'idle', weight: 2 },
  ];
  const answer = {
    evidence: [
      line('idle', 'run'),
      line('wetLoads', 'run'),
      line('haze', 'run'),
      line('noise', 'test'),
      line('cream', 'run'),
    ],
    causes: [{ id: 'condensation', contributions }],
  } as unknown as Pick<DiagnosisAnswer, 'evidence' | 'causes'>;
  const { telling, rest } = byHowMuchItSays(answer);
  expect(telling.map((e) => e.id)).toEqual(['cream', 'haze', 'noise']);
  expect(rest.map((e) => e.id)).toEqual(['wetLoads', 'idle']);
});
