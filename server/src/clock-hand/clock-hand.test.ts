import type { Server } from 'node:http';
import request from 'supertest';
import { createApp } from '../app.js';
import { MovableClock } from '../clock/movable-clock.js';
import { nowMs, openHouse } from '../testing/test-house.js';

test('a clock made for tests goes on from where it is put; a server with another one has nothing to move', async () => {
  const house = await openHouse();
  const served = async (clock: { nowMs(): number }) => {
    const app = await createApp({ database: house.database, clock });
    await app.init();
    const ask = request(app.getHttpServer() as Server);
    const move = (body: object) => ask.post('/api/clock').set('Host', 'localhost').send(body);
    const now = async () => ((await ask.get('/api/about').set('Host', 'localhost')).body as { now: string }).now;
    return { app, move, now };
  };
  const moving = await served(new MovableClock({ nowMs }));
  await moving.move({ now: '2033-05-01T06:00:00.000Z' }).expect(200);
  expect(await moving.now()).toBe('2033-05-01T06:00:00.000Z');
  await moving.move({ now: 'tomorrow' }).expect(400);
  await moving.app.close();
  const still = await served({ nowMs });
  await still.move({ now: '2033-05-01T06:00:00.000Z' }).expect(404);
  await still.app.close();
  await house.close();
});
