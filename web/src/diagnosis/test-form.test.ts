import { entryAt } from '@winter-jar/core/testing';
import type { Entry } from '@winter-jar/core';
import {
  fieldsOf,
  findingsAskedFor,
  matchingFindings,
  NOT_LOOKED,
  nothingFound,
  readTest,
  topWith,
  type TestValues,
} from './test-form.js';
import { unitsOf } from '../device/units-of.js';
import { mainDraft } from '../testing/main-draft.js';

const ZONE = 'Europe/Lisbon';
const UNITS = unitsOf({ pressure: 'hPa', volume: 'mL', temperature: '°C', flow: 'm³/h' });
const values = (given: Partial<TestValues>): TestValues => ({ ...nothingFound(ZONE), ...given });
const read = (given: Partial<TestValues>) => mainDraft(readTest(values(given), UNITS, ZONE, Date.now()));

test('a test says what was found, as sure as the person is; what nobody looked at is left out', () => {
  const said = read({
    checkId: 'lookRunning',
    found: { haze: 'hazy', foam: NOT_LOOKED, level: '' },
    sureness: 'unsure',
  });
  expect(said).toMatchObject({
    ok: true,
    body: { checkId: 'lookRunning', findings: [{ id: 'haze', state: 'hazy', certainty: 0.55 }] },
  });
});

test('a step of the leak hunt says what its outcome means', () => {
  expect(read({ leakStep: 'valves', passed: 'no' })).toMatchObject({
    ok: true,
    body: { leakStep: 'valves', passed: false, findings: [{ id: 'flicker', state: 'yes' }] },
  });
  expect(read({ leakStep: 'valves' })).toEqual({ ok: false, issues: { passed: 'Say whether the step passed.' } });
});

test('nothing found, no photograph and no remark are nothing to save', () => {
  expect(read({ found: { haze: NOT_LOOKED } })).toMatchObject({
    ok: false,
    issues: { found: expect.any(String) as string },
  });
  expect(read({ remark: 'rattles when cold' })).toMatchObject({ ok: true, body: { findings: [] } });
});

test('a test that is corrected comes back as it was written', () => {
  const body = {
    checkId: 'crackleTest',
    findings: [{ id: 'crackle', state: 'crackles', certainty: 0.8 }],
    remark: 'loud',
  };
  const fields = fieldsOf(entryAt(5, 'test', body) as Extract<Entry, { kind: 'test' }>, UNITS);
  expect(fields).toMatchObject({ found: { crackle: 'crackles' }, sureness: 'fairly' });
  expect(read(fields)).toMatchObject({ ok: true, body });
});

test('a test asks for what it settles, and for what was picked besides', () => {
  const asked = { checkId: 'crackleTest', found: { noise: 'louder', crackle: '' } };
  expect(findingsAskedFor(asked, { smellHarms: false })).toEqual(['crackle', 'noise']);
});

test('no smell is asked for where it harms, by no test', () => {
  const asked = { checkId: 'standingSample', found: {} };
  expect(findingsAskedFor(asked, { smellHarms: false })).toContain('smell');
  expect(findingsAskedFor(asked, { smellHarms: true })).not.toContain('smell');
});

test('findings are found by the words of their names and states; those that tell most come first', () => {
  expect(matchingFindings('pitted', [])).toEqual(['suckbackBall']);
  expect(matchingFindings('gauge flick', [])).toEqual(['flicker']);
  expect(matchingFindings('', ['noise', 'water']).slice(0, 2)).toEqual(['noise', 'water']);
  expect(matchingFindings('zzz', [])).toEqual([]);
});

// As people say it, and what they mean first.
test.each([
  ['milky', 'cream'],
  ['white', 'cream'],
  ['mayonnaise', 'cream'],
  ['mayonaise', 'cream'],
  ['emulsion', 'cream'],
  ['cloudy', 'haze'],
  ['noisy', 'noise'],
  ['banging', 'noise'],
  ['knoking', 'noise'],
  ['smoke', 'exhaustMist'],
  ['mist', 'exhaustMist'],
  ['ultimate', 'chamberPressure'],
  ['won’t pull down', 'chamberPressure'],
  ["won't pull down", 'chamberPressure'],
  ['leak', 'rateOfRise'],
  ['oil leak', 'pumpWeeps'],
  ['suckback', 'oilUpHose'],
  ['breaker', 'starts'],
  ['shavings', 'glitter'],
  ['mould', 'growth'],
  ['hot', 'caseTemp'],
])('“%s” finds %s first', (said, id) => {
  expect(matchingFindings(said, [])[0]).toBe(id);
});

test('what would stand on top: a new word takes the place of an older one on the same finding', () => {
  const line = { at: '', entryId: '', kind: 'run', sure: 0.95, certainty: 0.95, before: null } as const;
  const answer = {
    process: 'freezeDrying',
    priors: {},
    evidence: [
      { ...line, id: 'cream', state: 'yes' },
      { ...line, id: 'ballast', state: 'closed' },
    ],
  } as const;
  expect(topWith(answer, [])).toMatchObject({ id: 'condensation' });
  const cleared = [
    { id: 'cream', state: 'no', certainty: 0.97 },
    { id: 'oilUpHose', state: 'always', certainty: 0.97 },
  ];
  expect(topWith(answer, cleared)).toMatchObject({ id: 'suckback' });
  expect(topWith(answer, cleared)).toEqual(topWith({ ...answer, evidence: answer.evidence.slice(1) }, cleared));
});

test('a gauge’s reading goes with how the pump stands for it, and comes back as it was typed', () => {
  const said = read({ checkId: 'blankOffAsIs', pressure: '0.5 Pa', oilTemp: '65', gauge: 'G-2' });
  const measured = [{ pa: 0.5, where: 'pump', ballast: 'closed', oil: 'asIs', oilTempC: 65, gauge: 'G-2' }];
  expect(said).toMatchObject({ ok: true, body: { checkId: 'blankOffAsIs', findings: [], measured } });
  const entry = entryAt(5, 'test', { checkId: 'blankOffAsIs', findings: [], measured } as never);
  expect(read(fieldsOf(entry as Extract<Entry, { kind: 'test' }>, UNITS))).toMatchObject({
    ok: true,
    body: { measured },
  });
  expect(read({ checkId: 'blankOffAsIs', pressure: 'low' })).toMatchObject({
    ok: false,
    issues: { pressure: expect.any(String) as string },
  });
  expect(read({ checkId: 'crackleTest', pressure: '3 Pa', found: { crackle: 'silent' } })).not.toHaveProperty(
    'body.measured',
  );
});
