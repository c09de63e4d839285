import { readFileSync } from 'node:fs';
import { judgeLog, textOf, type AskedOfLog } from './judge-log.js';
import {
  askedOf,
  findingsOf,
  isSmallLeak,
  isWell,
  lackOf,
  litresOf,
  logFieldsOf,
  noLog,
  opensCase,
  readLog,
  type LogValues,
} from './log-form.js';

const bytesOf = (name: string): ArrayBuffer => {
  const file = readFileSync(new URL(`../../../core/reference/gauge-logs/${name}.csv`, import.meta.url));
  return file.buffer.slice(file.byteOffset, file.byteOffset + file.byteLength);
};
const OF_SET = { pumpingSpeedM3h: 6, ultimatePa: 0.6, blankOffLimitPa: 1.8, goodPullDownS: null, inlet: [] };
const ASKED: AskedOfLog = {
  ...{ of: null, volumeL: 62, gauge: 'capacitance', bagLimitPa: 2000, toPa: null },
  ...OF_SET,
};
const OIL = { oil: 'asIs' } as const;
const judged = (name: string, asked: Partial<AskedOfLog> = {}) => {
  const found = judgeLog(bytesOf(name), { zone: 'UTC' }, { ...ASKED, ...asked });
  if (!found.ok) throw new Error(found.issue.code);
  return found;
};
const found = (name: string) => findingsOf(judged(name), OIL).map(({ id, state }) => `${id}/${state}`);

test.each([
  ['rise-tight-dry', ['rateOfRise/small'], true],
  ['rise-leak', ['rateOfRise/straight'], false],
  ['rise-moist', ['rateOfRise/flattens'], false],
  ['rise-leak-and-moist', ['rateOfRise/straight'], false],
  ['pumpdown-good', ['pumpDown/usual', 'chamberPressure/good'], true],
  ['pumpdown-leak', ['pumpDown/usual', 'chamberPressure/farAbove'], false],
  ['pumpdown-worn', ['pumpDown/slow', 'chamberPressure/farAbove'], false],
])('%s says %j by itself', (name, says, well) => {
  expect(found(name)).toEqual(says);
  expect(isWell(judged(name).by.judged.verdict)).toBe(well);
});

test.each([
  // 0.0016 hPa·L/s at 6 m³/h add 0.001 hPa: no matter where 0.018 hPa are good, but where 0.005 hPa are wanted.
  ['rise-leak-and-moist', 1.8, true, ['rateOfRise/flattens'], false],
  ['rise-leak-and-moist', 0.5, false, ['rateOfRise/straight'], false],
  ['rise-leak', 1.8, true, ['rateOfRise/small'], true],
  ['rise-leak', 0.5, false, ['rateOfRise/straight'], false],
  ['rise-moist', 1.8, false, ['rateOfRise/flattens'], false],
  ['pumpdown-leak', 1.8, false, ['pumpDown/usual', 'chamberPressure/farAbove'], false],
])('%s where %d Pa are wanted: a leak that does not matter: %s', (name, targetPa, small, says, well) => {
  const read = judged(name);
  expect(isSmallLeak(read.by, { pumpingSpeedM3h: 6, targetPa })).toBe(small);
  expect(findingsOf(read, OIL, small).map(({ id, state }) => `${id}/${state}`)).toEqual(says);
  expect(isWell(read.by.judged.verdict, small)).toBe(well);
});

test('what is drawn holds the fit and its parts, over the part that was judged', () => {
  const { points, model, fromS, toS } = judged('rise-leak-and-moist');
  expect(points.length).toBeLessThanOrEqual(601);
  expect([fromS, toS]).toEqual([0, 1800]);
  const last = model.at(-1);
  // 0.0016 hPa·L/s over half an hour in 62 L are 4.6 Pa above the 3 Pa that it began at; 21 Pa of moisture lie on it.
  expect(last?.againstPa).toBeCloseTo(7.6, 0);
  expect(last?.pa).toBeCloseTo(28.6, 0);
});

const VALUES: LogValues = {
  ...noLog(62, 'UTC', 'hPa'),
  logId: 'a'.repeat(64),
  name: 'rise.csv',
  remark: 'after the gasket',
};

test('the entry happened when the log began, and keeps what was judged', () => {
  const read = readLog(VALUES, judged('rise-tight-dry'), { nowMs: Date.parse('2026-12-01T00:00:00Z'), unit: 'hPa' });
  if (!read.ok) throw new Error(JSON.stringify(read.issues));
  const { happenedAt, body } = read.deed.main;
  expect(happenedAt).toBe('2026-09-14T07:30:00.000Z');
  expect(body).toMatchObject({
    findings: [{ id: 'rateOfRise', state: 'small', certainty: 0.9 }],
    log: { logId: VALUES.logId, name: 'rise.csv', of: 'rise', volumeL: 62, verdict: 'tight', said: { zone: 'UTC' } },
    remark: 'after the gasket',
  });
  const entry = { kind: 'test', body, happenedAt } as Parameters<typeof logFieldsOf>[0];
  expect(logFieldsOf(entry, 'hPa')).toEqual({ ...VALUES, of: 'rise', happenedAt });
});

test('a log that says no time happened now; a test of it that is corrected stays where it was', () => {
  const nowMs = Date.parse('2026-12-01T00:00:00Z');
  const at = (values: LogValues) => {
    const read = readLog(values, judged('rise-leak'), { nowMs, unit: 'hPa' });
    return read.ok ? read.deed.main.happenedAt : null;
  };
  expect(at(VALUES)).toBe('2026-12-01T00:00:00.000Z');
  expect(at({ ...VALUES, happenedAt: '2026-10-05T08:00:00.000Z' })).toBe('2026-10-05T08:00:00.000Z');
});

test('no file, no litres and nothing read are said at their fields', () => {
  expect(readLog(noLog(null, 'UTC', 'hPa'), null, { nowMs: 0, unit: 'hPa' })).toMatchObject({
    ok: false,
    issues: { logId: expect.any(String) as string, volume: expect.any(String) as string },
  });
  expect(readLog(VALUES, null, { nowMs: 0, unit: 'hPa' })).toMatchObject({
    ok: false,
    issues: { logId: expect.any(String) as string },
  });
});

/** A log that a person exports: elapsed seconds and hPa. */
const exported = (seconds: number, everyS: number, hpa: (s: number) => number): ArrayBuffer => {
  const rows = Array.from({ length: Math.floor(seconds / everyS) + 1 }, (_, i) => `${i * everyS},${hpa(i * everyS)}`);
  return new TextEncoder().encode(['s,hPa', ...rows].join('\n')).buffer;
};
// Rises by 30 hPa in ten minutes; falls to 0.02 hPa and stands there; to 5 hPa within 2.286 s · ln(1013 / 5) = 12.1 s.
const BAG = exported(900, 5, (s) => 40 + s / 20);
const RESIN = exported(900, 5, (s) => 8 + s / 20);
const BLANKED = exported(1800, 5, (s) => 0.02 + 2 * Math.exp(-s / 60));
const CYCLES = exported(99, 0.2, (s) => (s % 25 < 20 ? 1013 * Math.exp(-(s % 25) / 2.286) + 0.01 : 1013));

test.each([
  ['bagDrop', BAG, {}, 'drops', ['rateOfRise/straight'], false],
  ['bagDrop', BAG, { bagLimit: '35 hPa' }, 'holds', ['rateOfRise/small'], false],
  ['bagDrop', RESIN, {}, 'drops', [], false],
  ['ultimate', BLANKED, {}, 'wornOrDirty', ['pumpPressureAsIs/poor'], true],
  ['ultimate', BLANKED, { oil: 'fresh' }, 'wornOrDirty', ['pumpPressure/poor'], true],
  ['cycles', CYCLES, { setPressure: '5', volume: '40' }, 'slow', ['pumpDown/slow'], true],
  ['cycles', CYCLES, { setPressure: '5', volume: '400' }, 'asGood', ['pumpDown/usual'], false],
] as const)('%s: from the form to the entry and back', (of, bytes, given, verdict, says, opens) => {
  const values: LogValues = { ...VALUES, volume: '', ...given, of };
  // 40 L behind 63 m³/h: 12.1 s are as reckoned; behind 85 m³/h it should take 9 s, 1.3 times that is less than 12.1.
  const ofSet = { ...OF_SET, pumpingSpeedM3h: 85 };
  const asked = askedOf(values, ofSet, 'hPa');
  if (!asked) throw new Error('nothing is missing');
  const whole = judgeLog(bytes, values.said, asked);
  const read = readLog(values, whole, { nowMs: 0, unit: 'hPa' });
  if (!read.ok || !whole.ok) throw new Error('it reads');
  const { body, happenedAt } = read.deed.main;
  expect(body.log).toMatchObject({ of, verdict });
  expect(body.findings.map(({ id, state }) => `${id}/${state}`)).toEqual(says);
  expect(opensCase(body.log!, false)).toBe(opens);
  const measured = { pa: expect.closeTo(2, 1) as number, where: 'pump', ballast: 'closed', oil: values.oil };
  expect(body.measured).toEqual(of === 'ultimate' ? [measured] : undefined);
  expect(whole.model.length > 0).toBe(true);
  const entry = { kind: 'test', body, happenedAt } as Parameters<typeof logFieldsOf>[0];
  const again = { ...values, happenedAt, ...(of === 'cycles' ? { setPressure: '5 hPa' } : {}) };
  expect(logFieldsOf(entry, 'hPa')).toEqual(again);
});

test.each([
  ['', { volume: '' }, 'volume'],
  ['rise', { volume: 'many' }, 'volume'],
  ['ultimate', { volume: '' }, undefined],
  ['bagDrop', { volume: '', bagLimit: '' }, 'bagLimit'],
  ['cycles', { volume: '', setPressure: '0' }, 'setPressure'],
  ['cycles', { volume: '', setPressure: '5 mbar' }, undefined],
] as const)('a log of “%s” with %j lacks %s', (of, given, field) => {
  const values = { ...VALUES, ...given, of };
  expect(lackOf(values, 'hPa')?.field).toBe(field);
  expect(askedOf(values, OF_SET, 'hPa') === null).toBe(field !== undefined);
});

test.each([
  ['62', 62],
  ['62 L', 62],
  ['1,5', 1.5],
  ['450 mL', 0.45],
  ['none', null],
  ['0', null],
])('%s is %s litres', (text, litres) => expect(litresOf(text)).toBe(litres));

test('a text by its byte-order mark, as UTF-8, and from a device that knows neither', () => {
  const bytes = (...b: number[]) => new Uint8Array(b).buffer;
  expect(textOf(bytes(0xff, 0xfe, 0x70, 0, 0xb5, 0))).toBe('pµ');
  expect(textOf(bytes(0xfe, 0xff, 0, 0x70, 0, 0xb5))).toBe('pµ');
  expect(textOf(bytes(0x70, 0xc2, 0xb5))).toBe('pµ');
  expect(textOf(bytes(0x70, 0xb5))).toBe('pµ');
});
