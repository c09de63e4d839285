import type { Instrument } from '@winter-jar/core';
import { checkRecord } from './check-record.js';

const lines = (more: object = {}): Instrument => ({
  ...{ name: 'Gauge 1', equipmentId: 'chamber', pumpId: 'p1', talks: 'lines', host: '192.168.1.20', port: 4001 },
  channels: [{ key: 'pressure', means: 'pressure', pattern: 'P1 {value} {unit}' }],
  ...more,
});

test.each([
  ['lines', lines()],
  ['lines of which nobody has said what they mean', lines({ channels: [] })],
  ['an address by its name', lines({ host: 'gauge-3.local' })],
  ['an address of the new kind', lines({ host: 'fd00:20::1' })],
])('%s are taken', (_, body) => expect(checkRecord('instrument', body)).toMatchObject({ ok: true }));

test.each<[string, object, string]>([
  ['nothing for channels', { channels: [null, ''] }, 'channels'],
  ['no address', { host: '' }, 'host'],
  ['an address with a path', { host: 'gauge/../etc' }, 'host'],
  ['no port', { port: 0 }, 'port'],
  ['a pattern without a value', { channels: [{ key: 'p', means: 'pressure', pattern: 'P1' }] }, 'channels.0.pattern'],
  ['lines without a pattern', { channels: [{ key: 'p', means: 'pressure', topic: 't' }] }, 'channels'],
  [
    'two channels of one key',
    { channels: [1, 2].map(() => ({ key: 'p', means: 'pressure', pattern: '{value}' })) },
    'channels',
  ],
  [
    'limits the wrong way round',
    { channels: [{ key: 'p', means: 'pressure', pattern: '{value}', believedFromPa: 9, believedToPa: 1 }] },
    'channels',
  ],
  [
    'a register for a path out of its folder',
    { channels: [{ key: '../x', means: 'pressure', pattern: '{value}' }] },
    'channels.0.key',
  ],
])('a record with %s is refused where it is wrong', (_, wrong, field) => {
  const checked = checkRecord('instrument', lines(wrong));
  if (checked.ok) throw new Error('it was taken');
  expect(checked.issues.map((i) => i.field)).toContainEqual(expect.stringContaining(field));
});
