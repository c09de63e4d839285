import { Controller, Get, Module } from '@nestjs/common';
import { APP_GUARD, DiscoveryModule, NestFactory } from '@nestjs/core';
import type { Server } from 'node:http';
import request from 'supertest';
import { CLOCK, systemClock } from '../clock/clock.js';
import { mayDo } from '../journal/actor.js';
import { SetUpStore } from '../journal/set-up-store.js';
import { Door } from './door.js';
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

const anybody: Partial<Door> = { actorOf: () => ({ kind: 'device', from: '' }) };

@Module({
  imports: [DiscoveryModule],
  controllers: [Rooms],
  providers: [
    { provide: APP_GUARD, useClass: NeedsGuard },
    { provide: Door, useValue: anybody },
    { provide: SetUpStore, useValue: new SetUpStore() },
    { provide: CLOCK, useValue: systemClock },
  ],
})
class Small {}

test('a route that does not say what it needs is closed', async () => {
  const app = await NestFactory.create(Small, { logger: false });
  await app.init();
  const server = app.getHttpServer() as Server;
  await request(server).get('/said').expect(200);
  await request(server).get('/unsaid').expect(403);
  await app.close();
});

test('an instrument may write and nothing else; a browser of the house may do everything', () => {
  const gauge = { kind: 'instrument', instrumentId: 'g1', from: '' } as const;
  expect([mayDo(gauge, 'write'), mayDo(gauge, 'read'), mayDo(gauge, 'keep')]).toEqual([true, false, false]);
  expect(mayDo({ kind: 'device', from: '' }, 'keep')).toBe(true);
});
