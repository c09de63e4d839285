import type { RoundRow } from '@winter-jar/contracts';
import { inNeedOfHands, type Entry } from '@winter-jar/core';
import { at, changeAt, entryAt, lookAt, runAt } from '@winter-jar/core/testing';
import { PumpReader } from '../house/pump-reader.js';
import { PumpsService } from '../pumps/pumps.service.js';
import { openHouse, type TestHouse } from '../testing/test-house.js';
import { RoundService } from './round.service.js';

let house: TestHouse;
const clock = { nowMs: () => Date.parse(at(2000)) };
beforeEach(async () => {
  house = await openHouse();
});
afterEach(() => house.close());
const round = () => new RoundService(clock, house.reading, house.store).round(null);
const pumps = () => new PumpsService(new PumpReader(clock, house.reading, house.store), house.reading, house.store);

test('a pump without an entry waits in the Round to be taken over; it needs no hands today', () => {
  const { rows, needHands } = round();
  expect(rows.map((r) => r.pumpId).sort()).toEqual(['b1', 'd1', 'p1']);
  expect(rows.find((r) => r.pumpId === 'p1')).toMatchObject({
    verdict: 'lookSooner',
    untouched: true,
    reasons: [{ code: 'notTakenOver' }],
    nextTask: null,
    jars: [],
    ruler: { bars: [], flag: null },
  });
  // A dry pump holds no oil that anyone could know nothing of.
  expect(rows.find((r) => r.pumpId === 'd1')).toMatchObject({ verdict: 'runOn', untouched: true });
  expect(needHands).toBe(0);
});

test('the sentence counts Stop and before next run, not due looks', () => {
  house.write(
    changeAt(1800),
    runAt(1810, 20),
    lookAt(1900, { clarity: 'hazy' }),
    runAt(1990, 4, 'any-empty', { pumpId: 'd1' }),
    runAt(1990, 4, 'any-empty', { pumpId: 'b1' }),
  );
  expect(round()).toMatchObject({ needHands: 0, rows: [{ pumpId: 'p1', verdict: 'lookSooner' }, {}, {}] });
  house.write(lookAt(1910, { level: 'low' }));
  expect(round()).toMatchObject({ needHands: 1, rows: [{ pumpId: 'p1', act: 'topUp' }, {}, {}] });
});

test('a pump is named with the oil that is in it, whatever its set-up names', () => {
  const oilOf = () => round().rows.find((r) => r.pumpId === 'p1')?.oilName;
  const names = house.store.book.at(at(1)).oilProduct;
  house.write(changeAt(1800));
  expect(oilOf()).toBe(names['oil-a']?.name);
  house.write({ ...changeAt(1810, 'oil-b'), acknowledged: ['unfitOil'] });
  expect(oilOf()).toBe(names['oil-b']?.name);
});

test('service that is overdue is counted beside, and moves no verdict', () => {
  // Five thousand hours: an inlet screen is due after half a year, and a gauge after one; its oil is new.
  house.write(changeAt(1), runAt(10, 20), changeAt(4900), lookAt(4990, { clarity: 'bright', level: 'right' }));
  const late = new RoundService({ nowMs: () => Date.parse(at(5000)) }, house.reading, house.store).round(null);
  const p1 = late.rows.find((r) => r.pumpId === 'p1');
  expect(p1).toMatchObject({ overdue: ['inletScreen'], verdict: 'runOn' });
  expect(round().rows.find((r) => r.pumpId === 'p1')?.overdue).toEqual([]);
  expect(late.overdue).toBe(1);
});

test('overdue service of a pump that needs hands anyway is counted once, with its verdict', () => {
  house.write(changeAt(1), runAt(10, 20), lookAt(4990, { level: 'low' }));
  const late = new RoundService({ nowMs: () => Date.parse(at(5000)) }, house.reading, house.store).round(null);
  expect(late.rows.find((r) => r.pumpId === 'p1')).toMatchObject({
    overdue: ['inletScreen'],
    verdict: 'beforeNextRun',
  });
  expect(late).toMatchObject({ overdue: 0, needHands: 1 });
});

test('names of the materials on the ruler come with the row', () => {
  house.write(changeAt(1), runAt(10, 20, 'fd-meat'));
  expect(round().rows.find((r) => r.pumpId === 'p1')?.materialNames).toEqual({ 'fd-meat': 'Meat or fish' });
});

test('Stop comes first, then before next run, then due looks; the rest by site and name', () => {
  const row = (name: string, verdict: RoundRow['verdict'], siteName = 'A') => ({ name, verdict, siteName }) as RoundRow;
  const rows = [
    row('1', 'runOn', 'B'),
    row('2', 'runOn'),
    row('3', 'lookSooner'),
    row('4', 'stop', 'Z'),
    row('5', 'beforeNextRun'),
    row('0', 'runOn'),
  ];
  expect(rows.sort(inNeedOfHands).map((r) => r.name)).toEqual(['4', '5', '3', '0', '2', '1']);
});

test('earlier charges come from their ends, newest first, with what was bled and carried over', async () => {
  house.write(
    changeAt(1),
    ...Array.from({ length: 7 }, (_, i) => runAt(10 + i * 40, 20)),
    entryAt(300, 'bleed', { sump: 'oil', drawnMl: 40, waterMl: 22 }),
    changeAt(310),
    runAt(320, 10),
    changeAt(400),
  );
  const { earlier, row } = await pumps().page(null, 'p1');
  expect(earlier.map((c) => [c.number, c.runs, c.hours, c.carriedOverRuns, c.bledWaterMl])).toEqual([
    [2, 1, 10, 0, 0],
    [1, 7, 140, 2, 22],
  ]);
  expect(earlier[1]?.ruler.bars.filter((b) => b.carriedOver)).toHaveLength(2);
  expect(row.ruler.bars).toEqual([]);
});

test('the journal comes in pages of fifty, newest first, and ends', async () => {
  house.write(...Array.from({ length: 120 }, (_, i) => runAt(10 + i * 10, 5)));
  const first = await pumps().journal(null, 'p1', {});
  const second = await pumps().journal(null, 'p1', { before: first.before ?? '' });
  const third = await pumps().journal(null, 'p1', { before: second.before ?? '' });
  expect([first, second, third].map((p) => p.lines.length)).toEqual([50, 50, 20]);
  expect(third.before).toBeNull();
  const times = [first, second, third].flatMap((p) => p.lines.map((l) => l.entry.happenedAt));
  expect(times).toEqual([...times].sort().reverse());
  expect(new Set(times).size).toBe(120);
  await expect(pumps().journal(null, 'p1', { before: 'nothing' })).rejects.toThrow(/"nothing" is none/);
});

test('the journal shows some kinds only where it is asked to, and says what is none', async () => {
  house.write(runAt(10, 5), changeAt(20), runAt(30, 5), lookAt(40, {}));
  const kinds = async (asked: string) =>
    (await pumps().journal(null, 'p1', { kinds: asked })).lines.map((l) => l.entry.kind);
  expect(await kinds('run')).toEqual(['run', 'run']);
  expect(await kinds('change,look')).toEqual(['look', 'change']);
  expect(await kinds('')).toEqual(['look', 'run', 'change', 'run']);
  await expect(pumps().journal(null, 'p1', { kinds: 'run,drain' })).rejects.toThrow(/some of run, look, bleed/);
});

test('what was taken back stays to be seen at its pump, the last first, until it counts again', () => {
  const [run, other, elsewhere] = [runAt(10, 5), runAt(20, 5), runAt(30, 5, 'any-empty', { pumpId: 'b1' })];
  let made = 0;
  const correct = (target: Entry, hours: number, body: object) => {
    const id = `40000000-0000-4000-8000-00000000000${++made}`;
    const saw = { targetId: target.id, supersedes: null, saw: [], ...body };
    house.write({
      ...target,
      id,
      actId: id,
      kind: 'correction',
      happenedAt: at(hours),
      recordedAt: at(hours),
      body: saw,
    });
  };
  house.write(run, other, elsewhere);
  expect(pumps().takenBack(null, 'p1').lines).toEqual([]);
  for (const [i, target] of [run, other, elsewhere].entries()) correct(target, 40 + i, { action: 'void' });
  expect(pumps().takenBack(null, 'p1').lines).toEqual([
    { entry: other, takenBackAt: at(41), takenBackBy: null },
    { entry: run, takenBackAt: at(40), takenBackBy: null },
  ]);
  correct(other, 50, { action: 'replace', body: other.body });
  expect(
    pumps()
      .takenBack(null, 'p1')
      .lines.map(({ entry }) => entry.id),
  ).toEqual([run.id]);
});

test('an entry’s history shows all that was ever said, and flags a contradiction', async () => {
  const run = runAt(10, 20);
  const correction = (id: string, hours: number, body: object) => ({
    ...run,
    id,
    actId: id,
    kind: 'correction',
    happenedAt: at(hours),
    recordedAt: at(hours),
    body: { targetId: run.id, supersedes: null, action: 'void', ...body },
  });
  const a = '0199aaaa-0000-7000-8000-00000000000a';
  const b = '0199aaaa-0000-7000-8000-00000000000b';
  house.write(run, correction(a, 100, {}));
  expect(await pumps().history(null, run.id)).toMatchObject({ counts: null, contradicted: false, actEntryIds: [] });
  house.write(correction(b, 101, { action: 'replace', body: run.body, happenedAt: at(12) }));
  expect(await pumps().history(null, run.id)).toMatchObject({
    original: { happenedAt: at(10) },
    counts: { happenedAt: at(12) },
    contradicted: true,
    actEntryIds: [run.id],
  });
  expect((await pumps().journal(null, 'p1', {})).lines).toMatchObject([{ correctionId: b, contradicted: true }]);
  await expect(pumps().history(null, 'nothing')).rejects.toThrow(/"nothing" is none/);
});

test('a fact about the folder is kept as it was first written', async () => {
  house.writer.writeFact('demoDay', '2031-01-01');
  house.writer.writeFact('demoDay', '2032-02-02');
  expect(await house.reading.records.fact('demoDay')).toBe('2031-01-01');
});
