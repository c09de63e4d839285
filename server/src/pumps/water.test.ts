import type { WaterAnswer } from '@winter-jar/contracts';
import { at, changeAt, entryAt, lookAt, runAt } from '@winter-jar/core/testing';
import { serveHouse, type ServedHouse } from '../testing/served-house.js';

let served: ServedHouse;
afterEach(() => served.close());
const waterOf = async (pumpId: string) => (await served.get(`/api/pumps/${pumpId}/water`)).body as WaterAnswer;
const wet = (hours: number) => runAt(hours, 30, 'any-empty', { body: { trapTempC: -40 } });

test('the water of the present charge, with the trap learnt about from earlier ones', async () => {
  served = await serveHouse();
  const charges = [1, 101, 201, 301].flatMap((h) => [changeAt(h), wet(h + 5), lookAt(h + 50, { freeWaterMl: 34 })]);
  const now = [changeAt(401), wet(405), entryAt(450, 'bleed', { sump: 'oil', drawnMl: 90, waterMl: 80 })];
  expect(new Set(served.house.write(...charges, ...now))).toEqual(new Set(['written']));
  const { story } = await waterOf('p1');
  expect(story).toMatchObject({
    since: at(401),
    equipmentId: 'chamber',
    runsSeen: 1,
    found: { bledUl: 80_000, sampledUl: 0, standingUl: 0 },
    // Half as good a trap: twice the 17 mL that a perfect one lets past.
    budget: { says: 'more', expectedMl: expect.closeTo(34, -1) as number },
    fit: { ok: true, segments: 4 },
  });
  expect(story?.hints.map((h) => h.code)).toContain('leak');
});

test('a dry pump has no water, and no pump is no answer', async () => {
  served = await serveHouse();
  expect(await waterOf('d1')).toEqual({ story: null });
  const missing = await served.get('/api/pumps/p9/water');
  expect(missing.status).toBe(404);
});
