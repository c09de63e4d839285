import type { Entry, SampleDrawn } from '@winter-jar/core';
import { at, entryAt } from '@winter-jar/core/testing';
import { unitsOf } from '../device/units-of.js';
import { awaitedSample, labResultValuesOf, readLabResult, type LabResultValues } from './lab-result-form.js';
import { figuresWords, notJudgedWords, siliconWords } from '../words/lab-words.js';
import { mainDraft } from '../testing/main-draft.js';

const units = unitsOf({ pressure: 'hPa', volume: 'mL', temperature: '°C', flow: 'm³/h' });
const ZONE = 'Europe/Lisbon';
const NOW = Date.parse(at(900));
const SAMPLE = '30000000-0000-4000-8000-000000000001';
const EMPTY: LabResultValues = {
  sampleId: SAMPLE,
  viscosity40Mm2s: '',
  waterPpm: '',
  acidMgKohG: '',
  baseMgKohG: '',
  ironPpm: '',
  siliconPpm: '',
  aluminiumPpm: '',
  count4PerMl: '',
  count6PerMl: '',
  count14PerMl: '',
  isoCode: '',
  wearSigns: [],
  remark: '',
  whenMode: 'now',
  at: '',
};
const read = (more: Partial<LabResultValues>) => mainDraft(readLabResult({ ...EMPTY, ...more }, units, ZONE, NOW));

test('a report is read in any unit that its sheet has, and comes back for a correction as it was typed', () => {
  const typed = {
    viscosity40Mm2s: '61 cSt',
    waterPpm: '0.02 %',
    acidMgKohG: '0,35',
    count4PerMl: '18340',
    count6PerMl: '2210',
    count14PerMl: '97',
    wearSigns: ['noise' as const],
  };
  const said = read(typed);
  expect(said).toMatchObject({
    ok: true,
    body: {
      sampleId: SAMPLE,
      viscosity40Mm2s: 61,
      waterPpm: 200,
      acidMgKohG: 0.35,
      count4PerMl: 18_340,
      wearSigns: ['noise'],
    },
  });
  if (!said.ok) return;
  expect(Object.keys(said.body)).not.toContain('ironPpm');
  const entry = entryAt(800, 'labResult', said.body) as Extract<Entry, { kind: 'labResult' }>;
  const again = labResultValuesOf(entry, ZONE, units);
  expect(again).toMatchObject({ waterPpm: '200 ppm', viscosity40Mm2s: '61 mm²/s', ironPpm: '', wearSigns: ['noise'] });
  expect(mainDraft(readLabResult(again, units, ZONE, NOW))).toMatchObject({ ok: true, body: said.body });
});

test.each<[Partial<LabResultValues>, string, RegExp]>([
  [{}, 'viscosity40Mm2s', /at least one figure/],
  [{ ironPpm: 'lots' }, 'ironPpm', /“lots” is not a number.*180 ppm/],
  [{ ironPpm: '12 mL' }, 'ironPpm', /measures something else/],
  [{ ironPpm: '-3' }, 'ironPpm', /“-3” is too little/],
  [{ ironPpm: '3', sampleId: '' }, 'sampleId', /which sample/],
  [{ ironPpm: '3', whenMode: 'earlier', at: '2099-01-01T00:00' }, 'at', /has passed/],
])('%j is refused at %s', (more, field, words) => {
  const said = read(more);
  expect(said.ok ? {} : said.issues).toEqual({ [field]: expect.stringMatching(words) as string });
});

test('the sample that waits longest is the likely one', () => {
  const sample = (entryId: string, measured: SampleDrawn['measured']): SampleDrawn => ({
    entryId,
    at: at(1),
    sump: 'oil',
    label: null,
    chargeNumber: 1,
    productId: null,
    minutes: 0,
    measured,
  });
  expect(awaitedSample([sample('a', ['ironPpm']), sample('b', []), sample('c', [])])?.entryId).toBe('b');
  expect(awaitedSample([sample('a', ['ironPpm']), sample('b', ['ironPpm'])])?.entryId).toBe('b');
  expect(awaitedSample([])).toBeNull();
});

test('a report in words: figures, the code of its counts, what the pump showed', () => {
  const body = {
    sampleId: SAMPLE,
    ironPpm: 42,
    acidMgKohG: 0.35,
    count4PerMl: 18_340,
    count6PerMl: 2210,
    count14PerMl: 97,
    wearSigns: ['noise' as const],
  };
  expect(figuresWords(body).join(' · ')).toMatch(
    /^iron 42.ppm · acid number 0.35.mg KOH\/g · particles 21\/18\/14 · with noise$/,
  );
  expect(notJudgedWords({ reading: 'acidMgKohG', why: 'noFreshValue' })).toMatch(/^Acid number is kept but not judged/);
  expect(siliconWords({ ...body, siliconPpm: 20 })).toMatch(/silicone/);
  expect(siliconWords({ ...body, siliconPpm: 20, aluminiumPpm: 5 })).toMatch(/dust/);
});

test('a report that has the code only is kept as the most particles that it stands for, and says the same code', () => {
  const draft = read({ isoCode: '19/17/14' });
  expect(draft).toMatchObject({ ok: true, body: { count4PerMl: 5000, count6PerMl: 1300, count14PerMl: 160 } });
});

test.each([
  [{ isoCode: '19/17' }, /“19\/17” is no code of ISO 4406\. Right would be three classes, such as 19\/17\/14/],
  [{ isoCode: '14/17/19' }, /is no code/],
  [{ isoCode: '19/17/14', count6PerMl: '1200' }, /Both were typed. Right would be the counts or the code/],
] as const)('%j is refused at the code', (values, words) => {
  const draft = read(values);
  expect(!draft.ok && draft.issues.isoCode).toMatch(words);
});
