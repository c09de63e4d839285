import { Controller, Get, Module } from '@nestjs/common';
import { APP_GUARD, DiscoveryModule, NestFactory } from '@nestjs/core';
import type { Server } from 'node:http';
import request from 'supertest';
import { mayDo } from '../journal/actor.js';
import { serveHouse } from '../testing/served-house.js';
import { Needs, NeedsGuard } from './needs.js';

@Controller()
class Rooms {
  @Get('said')
  @Needs('read')
  said() {
    return 'open';
  }
  @Get('unsaid')
  unsaid() {
    return 'forgotten';
  }
}

@Module({ imports: [DiscoveryModule], controllers: [Rooms], providers: [{ provide: APP_GUARD, useClass: NeedsGuard }] })
class Small {}

test('a route that does not say what it needs is closed', async () => {
  const app = await NestFactory.create(Small, { logger: false });
  await app.init();
  const server = app.getHttpServer() as Server;
  await request(server).get('/said').expect(200);
  await request(server).get('/unsaid').expect(403);
  await app.close();
});

test('every route of the house says what it needs', async () => {
  const served = await serveHouse();
  const { body } = await served.get('/api/openapi.json');
  for (const [path, methods] of Object.entries((body as { paths: Record<string, object> }).paths))
    for (const method of Object.keys(methods)) {
      const asked = request(served.server)[method as 'get'](path.replace(/\{[^}]+\}/g, 'none'));
      const answer = await asked.set({ Host: 'localhost', 'content-type': 'application/json' });
      expect([path, method, (answer.body as { right?: string }).right ?? '']).not.toContainEqual(
        expect.stringMatching(/says what it needs/),
      );
    }
  await served.close();
});

test('an instrument may write and nothing else; a browser of the house may do everything', () => {
  const gauge = { kind: 'instrument', instrumentId: 'g1', from: '' } as const;
  expect([mayDo(gauge, 'write'), mayDo(gauge, 'read'), mayDo(gauge, 'keep')]).toEqual([true, false, false]);
  expect(mayDo({ kind: 'device', from: '' }, 'keep')).toBe(true);
});
