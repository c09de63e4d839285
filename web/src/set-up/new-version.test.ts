import { bookOf, START } from '@winter-jar/core/testing';
import { exchangeVersions } from './exchange-versions.js';
import { recordId } from './new-version.js';
import { readJsonFile } from './read-json-file.js';

test.each([
  ['Cart 1', 'cart-1-7d21'],
  ['  Überholt №7 ', 'uberholt-no7-7d21'],
  ['🧊🛢️', 'record-7d21'],
  ['مضخة', 'record-7d21'],
])('the id for "%s" is readable and kept apart', (name, id) => {
  expect(recordId(name, '0199aaaa-0000-7000-8000-000000007d21')).toBe(id);
  expect(recordId('W'.repeat(60), '0199aaaa-0000-7000-8000-000000007d21')).toMatch(/^[A-Za-z0-9][A-Za-z0-9._-]{0,63}$/);
});

test('an exchange swaps the places, and nothing else', () => {
  const house = bookOf().at(START);
  const [old, other] = exchangeVersions({
    house,
    goes: 'd1',
    comes: 'p1',
    becomes: 'retired',
    at: START,
    newId: () => 'id',
  });
  expect(old).toMatchObject({ subjectId: 'd1', body: { place: 'retired', note: 'exchanged for P-1', modelId: 'dry' } });
  expect(other).toMatchObject({
    subjectId: 'p1',
    body: { place: 'inService', equipmentId: 'chamber', modelId: 'vane' },
  });
});

describe('a chosen file', () => {
  const file = (text: string, size = text.length) => ({ name: 'set-up.json', size, text: () => Promise.resolve(text) });
  test('is read', async () => {
    expect(await readJsonFile(file('{"a":1}'), 100)).toEqual({ ok: true, content: { a: 1 } });
  });
  test.each([
    ['{"records":[{"kind":"pu', /breaks off after 23 characters: was it cut short\?/],
    ['=cmd()', /It is not JSON/],
  ])('that is "%s" says what is wrong', async (text, words) => {
    const read = await readJsonFile(file(text), 100);
    expect(!read.ok && read.words).toMatch(words);
  });
  test('that is too large is not even read', async () => {
    const read = await readJsonFile(file('', 50_000_000), 5_000_000);
    expect(!read.ok && read.words).toMatch(/has 50\u00a0MB\. Right would be at most 5\u00a0MB/);
  });
});
