import { at, changeAt, entryAt, lookAt, runAt, versionsOf } from '@winter-jar/core/testing';
import { seededRandom } from '@winter-jar/core';
import { plainToInstance } from 'class-transformer';
import { validateSync } from 'class-validator';
import { isAlreadyRight } from './already-right.js';
import { BODY_CLASSES } from './bodies.js';
import { CorrectionBodyDto, EntryDto } from './envelope.js';
import { SET_UP_CLASSES } from './set-up.js';

type Shape = new () => object;
const asClassValidatorSays = (type: Shape, raw: object): boolean =>
  validateSync(plainToInstance(type, raw), {
    whitelist: true,
    forbidNonWhitelisted: true,
    forbidUnknownValues: true,
  }).length === 0;

const plain = runAt(10, 20);
const run = { ...plain, body: { ...plain.body, trapProfile: [{ minutes: 0, tempC: -40 }] } };
const look = lookAt(10, {
  source: 'sample',
  lookedAtMl: 300,
  particles: 'few',
  particleKinds: ['fibres'],
  level: 'high',
});
const sample = entryAt(10, 'labSample', { sump: 'oil', drawnMl: 100, label: 'B-7' });
const report = entryAt(40, 'labResult', { sampleId: sample.id, ironPpm: 12, wearSigns: ['noise'] });
const entries = [run, look, changeAt(10), entryAt(10, 'note', { text: 'Quiet.' }), sample, report];
const correction = { targetId: run.id, supersedes: null, saw: [run.id], action: 'void', happenedAt: at(10) };

const known: readonly [string, Shape, object][] = [
  ...entries.map((e): [string, Shape, object] => [e.kind, BODY_CLASSES[e.kind], e.body]),
  ['an envelope', EntryDto, run],
  ['a correction', CorrectionBodyDto, correction],
  ...versionsOf().map((v): [string, Shape, object] => [`${v.kind} ${v.subjectId}`, SET_UP_CLASSES[v.kind], v.body]),
];

const ODD = [null, undefined, '', 'ajar', -1, 0, 0.5, 1e9, NaN, true, [], [null], [{}], ['x'.repeat(70)], {}, at(5)];

test.each(known)('%s: what is right and what is not, as class-validator says', (_name, type, right) => {
  expect(isAlreadyRight(type, right)).toBe(asClassValidatorSays(type, right));
  const random = seededRandom(11);
  const keys = [...new Set([...Object.keys(new type()), ...Object.keys(right), 'unheardOf'])];
  const wrong = { yes: 0, no: 0 };
  for (let i = 0; i < 400; i++) {
    const key = keys[Math.floor(random.next() * keys.length)] ?? '';
    const bent = { ...right, [key]: ODD[i % ODD.length] };
    const says = asClassValidatorSays(type, bent);
    wrong[says ? 'yes' : 'no'] += 1;
    expect({ key, odd: ODD[i % ODD.length], right: isAlreadyRight(type, bent) }).toEqual({
      key,
      odd: ODD[i % ODD.length],
      right: says,
    });
  }
  expect(wrong.no).toBeGreaterThan(0);
});
