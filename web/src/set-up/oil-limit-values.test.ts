import { OIL_LIMITS } from '@winter-jar/core';
import { SIGN_WORDS, STEP_WORDS } from '../words/oil-limit-words.js';
import { oilLimitName, oilLimitValues, readOilLimits } from './oil-limit-values.js';

test('limits go into fields and come back; empty inherits, “none” takes away', () => {
  const limits = { 'waterPercent.lookSooner': 3, 'sludgePercent.stop': null, 'smell.rancid': 'stop' } as const;
  const values = oilLimitValues(limits);
  expect(values[oilLimitName('sludgePercent.stop')]).toBe('none');
  expect(values[oilLimitName('creamPercent.lookSooner')]).toBe('');
  expect(readOilLimits(values)).toEqual({ ok: true, limits });
});

test('a decimal comma is read; what is no limit is refused at its field', () => {
  const read = (text: string) => readOilLimits({ [oilLimitName('waterPercent.stop')]: text });
  expect(read('7,5')).toEqual({ ok: true, limits: { 'waterPercent.stop': 7.5 } });
  for (const wrong of ['-1', 'much', '20000'])
    expect(read(wrong)).toMatchObject({
      ok: false,
      issues: { 'oilLimits/waterPercent/stop': expect.any(String) as string },
    });
});

test('every limit has a label and a reason', () => {
  for (const key of Object.keys(OIL_LIMITS)) {
    const words =
      key in SIGN_WORDS
        ? SIGN_WORDS[key as keyof typeof SIGN_WORDS]
        : STEP_WORDS[key.split('.')[0] as keyof typeof STEP_WORDS];
    expect(words.reason.length).toBeGreaterThan(10);
  }
});
