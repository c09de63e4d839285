import type { Instrument, InstrumentChannel } from '@winter-jar/core';
import { saidBy } from './counted-runs.js';
import type { Readings } from './readings.js';

const ROWS_AT_ONCE = 2000;

/** Readings as a gauge log that any reader of CSV takes: a comment, a heading, and a row for each with its time in UTC and Pa. */
export function* logText(instrument: Instrument, channel: InstrumentChannel, readings: Readings): Generator<string> {
  const of = oneLine(`${saidBy(instrument)}, ${channel.key}`);
  yield `# ${of}\ntime,pressure (Pa)\n`;
  for (let from = 0; from < readings.atMs.length; from += ROWS_AT_ONCE) {
    const rows: string[] = [];
    for (let i = from; i < Math.min(readings.atMs.length, from + ROWS_AT_ONCE); i++)
      rows.push(
        `${new Date(readings.atMs[i] ?? 0).toISOString()},${Number((readings.value[i] ?? 0).toPrecision(7))}\n`,
      );
    yield rows.join('');
  }
}

const oneLine = (text: string): string => text.replace(/[\r\n]+/g, ' ');
