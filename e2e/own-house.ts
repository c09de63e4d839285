import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test as base } from '@playwright/test';
import type { RoundAnswer } from '@winter-jar/contracts';
import { startServer, type RunningServer } from '@winter-jar/server/testing';
import { NO_WORKER, WHILE_STOPPED } from './seeded.js';

/** Servers on own, empty data folders. */
export interface OwnHouses {
  open(): Promise<OwnHouse>;
  /** Console errors that a test brings about on purpose. */
  expectedErrors: RegExp[];
}

/** Its clock can be moved: letPass of yard.ts. */
export interface OwnHouse {
  readonly address: string;
  readonly folder: string;
  stop(): Promise<void>;
  restart(): Promise<void>;
  round(): Promise<RoundAnswer>;
}

const FLAGS = ['--movable-clock'];

export const test = base.extend<{ houses: OwnHouses }>({
  houses: async ({ page }, use) => {
    const open: { server: RunningServer; folder: string }[] = [];
    const errors: string[] = [];
    page.on('console', (message) => ['error', 'warning'].includes(message.type()) && errors.push(message.text()));
    page.on('pageerror', (error) => errors.push(error.message));
    const houses: OwnHouses = {
      expectedErrors: [],
      async open() {
        const folder = mkdtempSync(join(tmpdir(), 'winter-jar-own-'));
        const own = { server: await startServer({ folder, flags: FLAGS }), folder };
        open.push(own);
        return {
          address: own.server.address,
          folder,
          stop: async () => {
            houses.expectedErrors.push(WHILE_STOPPED);
            await own.server.stop();
          },
          restart: async () => {
            houses.expectedErrors.push(WHILE_STOPPED);
            await own.server.stop();
            own.server = await startServer({ folder, flags: FLAGS, port: own.server.port });
          },
          round: async () => (await (await fetch(`${own.server.address}/api/round`)).json()) as RoundAnswer,
        };
      },
    };
    await use(houses);
    await page.close();
    for (const { server, folder } of open) {
      await server.stop();
      rmSync(folder, { recursive: true, force: true });
    }
    const expected = [NO_WORKER, ...houses.expectedErrors];
    expect(errors.filter((e) => !expected.some((known) => known.test(e)))).toEqual([]);
  },
});

export { expect };
