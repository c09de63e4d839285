import type { InstrumentChannel } from '../set-up/index.js';
import { isOfTopic, readRaw, type RawReading } from './read-raw.js';

const line = (text: string): RawReading => ({ kind: 'line', line: text });
const words = (...of: number[]): RawReading => ({ kind: 'registers', table: 'input', register: 0, words: of });
const message = (payload: string, topic = 'quay/p4'): RawReading => ({ kind: 'message', topic, payload });
const channel = (of: Partial<InstrumentChannel>): InstrumentChannel => ({ key: 'c', means: 'pressure', ...of });
const value = (raw: RawReading, of: Partial<InstrumentChannel>, altitudeM?: number) => {
  const [read] = readRaw({ raw, channels: [channel(of)], ...(altitudeM === undefined ? {} : { altitudeM }) });
  return !read ? null : read.ok ? read.value : read.issue.code;
};

const P1 = { pattern: 'P1 {value} {unit}' };
const FLOAT = { table: 'input', register: 0, format: 'float32', unit: 'Pa' } as const;

describe('lines, in Pa', () => {
  test.each<[string, Partial<InstrumentChannel>, number | string]>([
    ['P1 1.234E-02 mbar', P1, 1.234],
    ['P1 7,5 Pa', P1, 7.5],
    ['P1 75 mTorr', P1, 9.99918],
    ['P1 10 microns', P1, 1.333224],
    ['P1 5 x', P1, 'unknownUnit'],
    ['P1 OVER mbar', P1, 'notANumber'],
    ['P1 1e999 mbar', P1, 'overflow'],
    ['P1 -3 mbar', P1, 'belowNothing'],
    ['P1 0 mbar', P1, 'belowNothing'],
    ['P1 1013 mbar', { ...P1, believedToPa: 10_000 }, 'notBelieved'],
    ['P1 1E-9 mbar', { ...P1, believedFromPa: 0.001 }, 'notBelieved'],
    ['P1 3000 mbar', P1, 'notBelieved'],
    ['something else', P1, 'notThisLine'],
    ['4.5', { pattern: '{value}', unit: 'hPa' }, 450],
    ['4.5', { pattern: '{value}' }, 'noUnit'],
    ['4.5', { pattern: 'no place' }, 'badPattern'],
    // 4 to 20 mA over 0 to 100 hPa: 12 mA is half.
    ['12', { pattern: '{value}', unit: 'hPa', scale: 6.25, offset: -25 }, 5000],
  ])('%s', (text, of, expected) => {
    const got = value(line(text), of);
    if (typeof expected === 'number') expect(got).toBeCloseTo(expected, 4);
    else expect(got).toBe(expected);
  });
});

test('a gauge that counts from the air around takes the height of its place: 0.9 bar below at 1500 m leave nothing', () => {
  const of = { pattern: '{value}', unit: 'bar', reference: 'belowAmbient' } as const;
  expect(value(line('0.9'), of)).toBeCloseTo(11_325, 0);
  expect(value(line('0.8'), of, 1500)).toBeCloseTo(4556, 0);
  expect(value(line('0.9'), of, 1500)).toBe('belowNothing');
});

// IEEE 754: 0x42F6E979 is 123.456, 0x3F800000 is 1.
test.each<[string, RawReading, Partial<InstrumentChannel>, number | string]>([
  ['a float', words(0x42f6, 0xe979), FLOAT, 123.456],
  ['a float with its low word first', words(0xe979, 0x42f6), { ...FLOAT, format: 'float32Swapped' }, 123.456],
  ['half a float', words(0x42f6), FLOAT, 'tooFewWords'],
  ['a float that is no number', words(0x7fc0, 0), FLOAT, 'notANumber'],
  ['a float beyond all', words(0x7f80, 0), FLOAT, 'overflow'],
  ['tenths of a hPa', words(137), { ...FLOAT, format: 'uint16', unit: 'hPa', scale: 0.1 }, 1370],
  ['a number with sign', words(0xfff6), { ...FLOAT, format: 'int16', offset: 30 }, 20],
  ['a long one', words(1, 2), { ...FLOAT, format: 'uint32' }, 65_538],
  ['a long one, swapped', words(2, 1), { ...FLOAT, format: 'uint32Swapped' }, 65_538],
  ['a long one below nothing', words(0xffff, 0xfffe), { ...FLOAT, format: 'int32' }, 'belowNothing'],
])('registers: %s', (_, raw, of, expected) => {
  const got = value(raw, of);
  if (typeof expected === 'number') expect(got).toBeCloseTo(expected, 3);
  else expect(got).toBe(expected);
});

const AMPS = { means: 'running', topic: 'quay/p4', path: 'pump.amps', onAbove: 1.5 } as const;
const SAID = '{"at":"2031-03-09T14:05:00Z","pump":{"amps":6.4,"on":true},"in":[{"pa":12}],"n":41.9}';
test.each<[string, RawReading, Partial<InstrumentChannel>, number | string | null]>([
  ['a current above its limit', message(SAID), AMPS, 1],
  ['a current below it', message('{"pump":{"amps":0.2}}'), AMPS, 0],
  ['true', message(SAID), { ...AMPS, path: 'pump.on' }, 1],
  ['a word', message('stopped'), { means: 'running', topic: 'quay/p4' }, 0],
  ['a number in a list', message(SAID), { topic: 'quay/p4', path: 'in.0.pa', unit: 'Pa' }, 12],
  ['the message itself', message('"12.5"'), { topic: 'quay/p4', unit: 'Pa' }, 12.5],
  ['cycles, whole ones', message(SAID), { means: 'cycles', topic: 'quay/p4', path: 'n' }, 41],
  ['a counter below nothing', message('-3'), { means: 'cycles', topic: 'quay/p4' }, 'notBelieved'],
  ['no JSON', message('{"pump":'), AMPS, 'notJson'],
  ['no such path', message('{"pump":{}}'), AMPS, 'noSuchPath'],
  ['nothing of an object’s own', message('{}'), { ...AMPS, path: 'constructor.name' }, 'noSuchPath'],
  ['another topic', message(SAID, 'quay/p5'), AMPS, null],
])('messages: %s', (_, raw, of, expected) => expect(value(raw, of)).toBe(expected));

test.each<[string, string, number | null]>([
  ['ISO', '"2031-03-09T14:05:00Z"', Date.UTC(2031, 2, 9, 14, 5)],
  ['without a zone', '"2031-03-09 14:05:00"', Date.UTC(2031, 2, 9, 14, 5)],
  ['seconds since 1970', '1930831500', 1_930_831_500_000],
  ['milliseconds since 1970', '1930831500123', 1_930_831_500_123],
  ['nonsense', '"soon"', null],
  ['none', 'null', null],
])('its own time: %s', (_, at, expected) => {
  const raw = message(`{"at":${at},"pump":{"amps":3}}`);
  const [read] = readRaw({ raw, channels: [channel({ ...AMPS, timePath: 'at' })] });
  expect(read).toMatchObject({ ok: true, saidAtMs: expected });
});

test.each([
  ['a/+/c', 'a/b/c', true],
  ['a/+/c', 'a/b/d', false],
  ['a/#', 'a/b/c', true],
  ['a/b', 'a/b/c', false],
  ['a/b/c', 'a/b', false],
])('topic %s takes %s: %s', (filter, topic, takes) => expect(isOfTopic(filter, topic)).toBe(takes));
