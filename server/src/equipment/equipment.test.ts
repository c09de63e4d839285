import type { EquipmentPage } from '@winter-jar/contracts';
import { at, changeAt, entryAt, runAt } from '@winter-jar/core/testing';
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
