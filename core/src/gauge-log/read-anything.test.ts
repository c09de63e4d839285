import fc from 'fast-check';
import { readGaugeLog } from './read-gauge-log.js';

const cell = fc.oneof(
  fc.double({ noNaN: false }).map(String),
  fc.constantFrom(
    '',
    'OR',
    '1,5',
    '-0.9',
    '1.013,25',
    '14.09.2026',
    '07:30:00',
    '2026-09-14T07:30:00Z',
    '"',
    'mbar',
    '% vac',
    'NaN',
    '1e999',
    '0x1F',
  ),
  fc.string({ maxLength: 12 }),
);
const log = fc
  .tuple(
    fc.array(fc.array(cell, { maxLength: 5 }), { maxLength: 40 }),
    fc.constantFrom(',', ';', '\t', ' ', '|'),
    fc.constantFrom('\n', '\r\n', '\r'),
  )
  .map(([rows, separator, end]) => rows.map((row) => row.join(separator)).join(end));

test('whatever stands in a text, it is read or told why not; time only rises, and pressures are above nothing', () => {
  fc.assert(
    fc.property(log, fc.option(fc.constantFrom<('Pa' | 'inHg' | '%')[]>('Pa', 'inHg', '%')), (text, unit) => {
      const read = readGaugeLog({ text, stepS: 1, ...(unit ? { unit } : {}) });
      if (!read.ok) return;
      const { points, understood, startedAt } = read;
      expect(points.length).toBe(understood.points);
      for (const [i, { s, pa }] of points.entries()) {
        expect(s).toBeGreaterThanOrEqual(i === 0 ? 0 : (points[i - 1]?.s ?? 0));
        expect(Number.isFinite(s) && pa > 0 && pa <= 250_000).toBe(true);
      }
      if (startedAt !== null) expect(Number.isNaN(Date.parse(startedAt))).toBe(false);
    }),
    { numRuns: 1500 },
  );
});

test('a flood of one endless row, of separators and of quotes ends at once', () => {
  for (const text of ['"'.repeat(19_000), ','.repeat(19_000), `s,mbar\n${'"1,'.repeat(6000)}`, '9'.repeat(19_999)])
    expect(readGaugeLog({ text })).toMatchObject({ ok: false });
});
