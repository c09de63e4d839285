import type { EquipmentPage } from '@winter-jar/contracts';
import { at, changeAt, entryAt, runAt } from '@winter-jar/core/testing';
import { serveHouse, type ServedHouse } from '../testing/served-house.js';

let served: ServedHouse;
beforeEach(async () => {
  served = await serveHouse();
});
afterEach(() => served.close());

const page = async (query = '', id = 'chamber') =>
  (await served.get(`/api/equipment/${id}${query}`)).body as EquipmentPage;

test('its record: what ran on it by whatever pump, who stands at it, and its own entries', async () => {
  const note = entryAt(70, 'note', { text: 'door seal is flat at the hinge' });
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
