import { Readable } from 'node:stream';
import { setTimeout } from 'node:timers/promises';
import { csvRows } from './csv-rows.js';
import { RUN_LOG } from './run-log.js';

test('a long file is drawn in only as fast as its rows are taken', async () => {
  const row = 'p1,2031-03-09T14:05Z,600,fd-meat,closed\n';
  const part = row.repeat(1000);
  let drawn = 0;
  function* file(): Generator<string> {
    yield 'pump,started,minutes,material,ballast\n';
    for (; drawn < 200; drawn++) yield part;
  }
  const text = Readable.from(file(), { objectMode: false, encoding: 'utf8' });
  let rows = 0;
  for await (const piece of csvRows(text, RUN_LOG.columns)) {
    rows += piece.rows.length;
    if (rows < 5000) await setTimeout(20);
    if (rows < 5000) expect(drawn).toBeLessThan(20);
  }
  expect(rows).toBe(200_000);
});
