import type { EquipmentPage, VacuumAnswer } from '@winter-jar/contracts';
import { at, caseAt, changeAt, entryAt, runAt } from '@winter-jar/core/testing';
import { serveHouse, versionOf, type ServedHouse } from '../testing/served-house.js';

let served: ServedHouse;
beforeEach(async () => {
  served = await serveHouse();
});
afterEach(() => served.close());

/** Another house, in which p1 is out of service. */
async function reserved(place: 'spare' | 'retired'): Promise<ServedHouse> {
  await served.close();
  const other = await serveHouse();
  const version = versionOf(other.house, 'pump', 'p1', at(0), { place });
  const answer = await other.post('/api/set-up', { versions: [version] });
  expect(answer.status).toBe(201);
  return other;
}

const page = async (query = '', id = 'chamber') =>
  (await served.get(`/api/equipment/${id}${query}`)).body as EquipmentPage;

test('its record: what ran on it by whatever pump, who stands at it, and its own entries', async () => {
  const note = entryAt(70, 'note', { text: 'writer seal is flat at the hinge' });
  served.house.write(changeAt(1), runAt(10, 20), runAt(40, 4, 'any-empty', { pumpId: 'd1' }), {
    ...note,
    subjects: [{ type: 'equipment', id: 'chamber' }],
  });
  const { equipment, state, standsHere, journal, house } = await page();
  expect(equipment.name).toBe('Chamber');
  expect(state).toMatchObject({ runs: 2, minutes: 24 * 60, lastRun: { pumpIds: ['d1'], at: at(40) } });
  expect(standsHere).toContain('p1');
  expect(journal.lines.map((l) => l.entry.kind)).toEqual(['note', 'run', 'run']);
  expect(house.pump.d1).toBeDefined();
});

test('a spare or retired pump does not stand there any more, though its set-up names the place', async () => {
  served = await reserved('retired');
  expect((await page()).standsHere).not.toContain('p1');
});

test('nothing written yet, and one that is not there', async () => {
  expect(await page()).toMatchObject({ state: { runs: 0, entries: 0 }, journal: { lines: [], before: null } });
  const missing = await served.get('/api/equipment/nowhere');
  expect(missing.status).toBe(404);
  expect(JSON.stringify(missing.body)).toContain('nowhere');
});

test('a long journal comes in pages', async () => {
  served.house.write(...Array.from({ length: 60 }, (_, i) => runAt(10 + 30 * i, 5)));
  const first = await page();
  expect(first.journal.lines).toHaveLength(50);
  const rest = await page(`?before=${first.journal.before}`);
  expect(rest.journal.lines.map((l) => l.entry.happenedAt)).toEqual(
    Array.from({ length: 10 }, (_, i) => at(10 + 30 * (9 - i))),
  );
  expect(rest.journal.before).toBeNull();
});

const vacuum = async (id = 'chamber') => (await served.get(`/api/equipment/${id}/vacuum`)).body as VacuumAnswer;
/** Blanked off, ballast closed, oil warm. */
const blankedOff = (hours: number, pa: number, pumpId = 'p1') => ({
  ...entryAt(hours, 'test', { findings: [], measured: [{ pa, where: 'pump', ballast: 'closed', oil: 'fresh' }] }),
  subjects: [{ type: 'pump', id: pumpId } as const],
});

test('the vacuum record of a set: tests of the pumps while they stood at it, against what the pump here is held to', async () => {
  served.house.write(changeAt(1), ...[2, 3, 4, 50].map((pa, i) => blankedOff(10 + i, pa)));
  // Moved away: what is measured of it from then on is no longer of this set.
  const moved = versionOf(served.house, 'pump', 'p1', at(20), { equipmentId: 'line' });
  expect((await served.post('/api/set-up', { versions: [moved] })).status).toBe(201);
  served.house.write(blankedOff(30, 9));
  const found = await vacuum();
  const [series] = found.record.series;
  expect(found.record.series.map((s) => s.of)).toEqual(['blankOff']);
  expect(series?.points.map((p) => p.value)).toEqual([2, 3, 4, 50]);
  // Nobody stands here any more that could be held to something.
  expect(found.pumpId).not.toBe('p1');
  const there = await vacuum('line');
  expect(there.record.series[0]?.points.map((p) => p.value)).toEqual([9]);
  // By hand: the median of its first three on fresh oil is 3; three times that.
  expect(there).toMatchObject({ record: { series: [{ limit: 9, stands: 'within' }] } });
});

test('a case that was closed with a cause stands in the record; a set that is not there has none', async () => {
  const opened = caseAt.opened(5);
  served.house.write(changeAt(1), opened, caseAt.closed(8));
  const { record, pumpId } = await vacuum();
  expect(record.series).toEqual([]);
  expect(record.mended).toMatchObject([{ at: at(8) }]);
  expect(pumpId).toBe('p1');
  expect((await served.get('/api/equipment/nowhere/vacuum')).status).toBe(404);
});
