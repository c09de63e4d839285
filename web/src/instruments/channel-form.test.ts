import { checkRecord } from '@winter-jar/contracts';
import { CHANNEL_MEANINGS, INSTRUMENT_TALKS, type InstrumentChannel } from '@winter-jar/core';
import { channelOf, newChannel, typedChannel, type ChannelIssues, type TypedChannel } from './channel-form.js';

const typed = (more: Partial<TypedChannel> = {}): TypedChannel => ({
  ...newChannel('pressure', []),
  topic: 't',
  ...more,
});
const issuesOf = (of: Partial<TypedChannel>, talks: (typeof INSTRUMENT_TALKS)[number]): ChannelIssues => {
  const read = channelOf(typed(of), talks, 'hPa');
  return read.ok ? {} : read.issues;
};

test.each(INSTRUMENT_TALKS)('what is typed of %s is taken by the door, whatever it means', (talks) => {
  for (const means of CHANNEL_MEANINGS) {
    const read = channelOf({ ...newChannel(means, []), topic: 'a/b' }, talks, 'hPa');
    if (!read.ok) throw new Error(JSON.stringify(read.issues));
    const body = { name: 'g', equipmentId: 'e', talks, host: 'h', port: 1, channels: [read.channel] };
    expect(checkRecord('instrument', body)).toMatchObject({ ok: true });
  }
});

test('a channel that is filled and kept again is the same', () => {
  const channel: InstrumentChannel = {
    ...{ key: 'p', means: 'pressure', pattern: 'P1 {value}', scale: 6.25, offset: -25, unit: 'mbar' },
    ...{ reference: 'belowAmbient', believedFromPa: 10, believedToPa: 100_000, gauge: 'thermal' },
  };
  expect(channelOf(typedChannel(channel, 'hPa'), 'lines', 'hPa')).toEqual({ ok: true, channel });
});

test('limits are typed in the unit of this device, or with another', () => {
  const read = channelOf(typed({ believedFrom: '0.001', believedTo: '1 kPa' }), 'lines', 'hPa');
  expect(read).toMatchObject({ ok: true, channel: { believedFromPa: 0.1, believedToPa: 1000 } });
});

test.each<[string, Partial<TypedChannel>, (typeof INSTRUMENT_TALKS)[number], string]>([
  ['a pattern without a value', { pattern: 'P1' }, 'lines', 'pattern'],
  ['half a register', { register: '1.5' }, 'modbus', 'register'],
  ['a register beyond all', { register: '70000' }, 'modbus', 'register'],
  ['no topic', { topic: ' ' }, 'mqtt', 'topic'],
  ['a factor that is a word', { scale: 'ten' }, 'lines', 'scale'],
  ['limits the wrong way round', { believedFrom: '5', believedTo: '1' }, 'lines', 'believedTo'],
  ['a limit below nothing', { believedFrom: '-1' }, 'lines', 'believedFrom'],
])('%s is said where it stands', (_, of, talks, field) => expect(Object.keys(issuesOf(of, talks))).toEqual([field]));

test('a coil is on or off, whatever was chosen before', () => {
  expect(channelOf(typed({ table: 'coil', format: 'float32' }), 'modbus', 'hPa')).toMatchObject({
    channel: { format: 'bit' },
  });
});

test('keys are kept apart', () => {
  expect(newChannel('pressure', ['pressure', 'pressure-2']).key).toBe('pressure-3');
});
