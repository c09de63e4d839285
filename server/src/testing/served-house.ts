import type { INestApplication } from '@nestjs/common';
import type { DownloadAnswer, DownloadName } from '@winter-jar/contracts';
import type { Role, SetUpKind, SetUpVersion } from '@winter-jar/core';
import { at } from '@winter-jar/core/testing';
import { existsSync, readdirSync } from 'node:fs';
import type { Server } from 'node:http';
import { join } from 'node:path';
import request from 'supertest';
import { v7 as newId } from 'uuid';
import { createApp } from '../app.js';
import { Door, OWN_MACHINE, type DoorWays } from '../house/door.js';
import { nowMs, openHouse, type TestHouse } from './test-house.js';

/** A test house with the whole server on it. The server has a writer and a store of its own: write over it, or before it starts. */
export interface ServedHouse {
  readonly house: TestHouse;
  readonly app: INestApplication;
  readonly server: Server;
  get(path: string): request.Test;
  post(path: string, body: object | string, headers?: Record<string, string>): request.Test;
  close(): Promise<void>;
}

export async function serveHouse(
  options: Parameters<typeof openHouse>[0] & { readonly ways?: Partial<DoorWays> } = {},
): Promise<ServedHouse> {
  const house = await openHouse(options);
  const ways = { ...OWN_MACHINE, ...options.ways };
  const app = await createApp({ database: house.database, clock: { nowMs }, ways });
  await app.init();
  const server = app.getHttpServer() as Server;
  return {
    house,
    app,
    server,
    get: (path) => request(server).get(path).set('Host', 'localhost'),
    post: (path, body, headers = {}) =>
      request(server)
        .post(path)
        .set({ Host: 'localhost', ...headers })
        .send(body),
    async close() {
      await app.close();
      await house.close();
    },
  };
}

/**
 * Somebody who may sign in, past the door.
 * @param siteIds that they are bound to; null: all
 * @returns the cookie of a browser that they are signed in at
 */
export async function signedIn(
  served: ServedHouse,
  name: string,
  role: Role,
  siteIds: readonly string[] | null = null,
): Promise<string> {
  const { people } = served.app.get(Door);
  const personId = name.toLowerCase();
  if (people.accounts.of(personId) === null) {
    await people.accounts.add({ personId, name, role });
    await people.accounts.change(personId, { passwordHash: 'none that anybody knows' });
  }
  await people.accounts.change(personId, { siteIds: siteIds && [...siteIds] });
  const { token } = await people.sessions.begin({ personId, kind: 'browser', name: 'A browser', address: '127.0.0.1' });
  return `${people.cookie}=${token}`;
}

/** A version of a record of the house, with some of its fields changed. */
export function versionOf(
  house: TestHouse,
  kind: SetUpKind,
  subjectId: string,
  validFrom: string,
  changes: object,
): SetUpVersion {
  const body = { ...(house.store.book.at(validFrom)[kind][subjectId] as object | undefined), ...changes };
  return { id: newId(), kind, subjectId, validFrom, recordedAt: at(8000), body } as SetUpVersion;
}

/** What a path answers, byte by byte. */
export const bytes = (served: ServedHouse, path: string): Promise<Buffer> =>
  request(served.server)
    .get(path)
    .set('Host', 'localhost')
    .buffer(true)
    .parse((response, done) => {
      const parts: Buffer[] = [];
      response.on('data', (part: Buffer) => parts.push(part));
      response.on('end', () => done(null, Buffer.concat(parts)));
    })
    .expect(200)
    .then((r) => r.body as Buffer);
/** A file as a page gets it: begun, waited for, fetched from its address; then it is dropped. */
export async function download(served: ServedHouse, what: DownloadName): Promise<Buffer> {
  let answer = (await served.post('/api/downloads', { what }).expect(202)).body as DownloadAnswer;
  const address = `/api/downloads/${answer.id}`;
  for (; answer.state === 'preparing'; await new Promise((wait) => setTimeout(wait, 20)))
    answer = (await served.get(address).expect(200)).body as DownloadAnswer;
  if (answer.problem !== null) throw new Error(`${what}: ${answer.problem}`);
  const file = await bytes(served, `${address}/file`);
  await served.post(`${address}/stop`, {}).expect(200);
  return file;
}

export const upload = (served: ServedHouse, path: string, type: string, body: Buffer | string) =>
  request(served.server).post(path).set({ Host: 'localhost', 'Content-Type': type }).send(body);

/** Half-made files left in a data folder. */
export const leftovers = (house: TestHouse) =>
  existsSync(join(house.folder, 'incoming')) ? readdirSync(join(house.folder, 'incoming')) : [];

/** Houses that one test opens, to be closed together after it. */
export class ServedHouses {
  private readonly open: ServedHouse[] = [];

  async serve(options: Parameters<typeof serveHouse>[0] = {}): Promise<ServedHouse> {
    const served = await serveHouse(options);
    this.open.push(served);
    return served;
  }

  async close(): Promise<void> {
    for (const served of this.open.splice(0)) await served.close();
  }
}
