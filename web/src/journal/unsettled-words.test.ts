import { correctionAt, runAt } from '@winter-jar/core/testing';
import { fieldWords, issueAt, saidWords, whyWords } from './unsettled-words.js';

test.each([
  ['body.body.drawnMl', 'drawn mL'],
  ['body.trapProfile.0.tempC', 'trap profile 0 temp c'],
  ['body.targetId', 'target id'],
  ['sump', 'sump'],
])('a field is named in words: %s', (field, words) => expect(fieldWords(field)).toBe(words));

test('what is wrong names its field, its value and what would be right', () => {
  expect(issueAt({ field: 'body.body.drawnMl', value: 'abc', code: 'notRight', right: 'mL from 0 up' })).toBe(
    'drawn mL: “abc” is not right here. Right would be mL from 0 up.',
  );
  expect(issueAt({ field: 'body.body.text', value: 'x', code: 'unknownField', right: '' })).toBe(
    'text: Not known here: leave it out.',
  );
});

test('what a correction says is spelled out, whatever it is', () => {
  const said = (body: unknown) => saidWords(correctionAt(5, runAt(1, 1), { action: 'replace', body: body as never }));
  expect(said({ drawnMl: 12, waterMl: null, remark: 'two spoons' })).toBe('drawn 12\u00a0mL · remark two spoons');
  expect(said({ trapProfile: [[]], constructor: { a: 1 } })).toBe('trap profile [[]] · constructor {"a":1}');
  expect(said({})).toBe('nothing.');
  expect(said({ remark: 'x'.repeat(900) })).toHaveLength(302);
  expect(saidWords(correctionAt(5, runAt(1, 1), { action: 'void' }))).toBe('take the entry back.');
});

test('why it does not count says what ends it', () => {
  expect(whyWords({ state: 'waits' })).toMatch(/counts as soon as that comes.*leave this out/);
  expect(whyWords({ state: 'toSettle', issues: [] })).toMatch(/cannot be/);
});
