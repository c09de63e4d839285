import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test as base, type Page } from '@playwright/test';
import type { About, PumpPage } from '@winter-jar/contracts';
import { startServer, type RunningServer } from '@winter-jar/server/testing';
import { SEEDED, WHILE_STOPPED } from './seeded.js';

/** The demo yard, served by a real server. */
export interface ReadYard {
  readonly address: string;
  pump(pumpId: string): Promise<PumpPage>;
  /** Console errors that a test brings about on purpose. */
  expectedErrors: RegExp[];
}

/** A copy of it with a server of its own. */
export interface Yard extends ReadYard {
  stop(): Promise<void>;
  /** As a power cut does. */
  kill(): Promise<void>;
  restart(): Promise<void>;
}

const FLAGS = ['--demo', '--movable-clock'];

async function copyOfYard() {
  const folder = mkdtempSync(join(tmpdir(), 'winter-jar-e2e-'));
  cpSync(SEEDED, folder, { recursive: true });
  return { folder, server: await startServer({ folder, flags: FLAGS }) };
}

const readYard = (address: string): ReadYard => ({
  address,
  pump: async (pumpId) => (await (await fetch(`${address}/api/pumps/${pumpId}`)).json()) as PumpPage,
  expectedErrors: [],
});

/** Lets a test use the yard, and holds its console against what it expected. */
async function useClean<T extends ReadYard>(page: Page, yard: T, use: (yard: T) => Promise<void>): Promise<void> {
  const errors: string[] = [];
  page.on('console', (message) => ['error', 'warning'].includes(message.type()) && errors.push(message.text()));
  page.on('pageerror', (error) => errors.push(error.message));
  await use(yard);
  await page.close();
  expect(errors.filter((e) => !yard.expectedErrors.some((known) => known.test(e)))).toEqual([]);
}

const served = async ({}, use: (address: string) => Promise<void>) => {
  const { folder, server } = await copyOfYard();
  await use(server.address);
  await server.stop();
  rmSync(folder, { recursive: true, force: true });
};

/** What a worker serves once, for all its tests that ask for it. */
const withWorker = base.extend<object, { readonly read: string; readonly walked: string }>({
  read: [served, { scope: 'worker' }],
  walked: [served, { scope: 'worker' }],
});

export const test = withWorker.extend<{ yard: Yard }>({
  yard: async ({ page }, use) => {
    const { folder, server: first } = await copyOfYard();
    let server: RunningServer = first;
    const yard: Yard = {
      ...readYard(server.address),
      stop: async () => {
        yard.expectedErrors.push(WHILE_STOPPED);
        await server.stop();
      },
      kill: async () => {
        yard.expectedErrors.push(WHILE_STOPPED);
        await server.kill();
      },
      restart: async () => {
        await yard.stop();
        server = await startServer({ folder, flags: FLAGS, port: server.port });
      },
    };
    await useClean(page, yard, use);
    await server.stop();
    rmSync(folder, { recursive: true, force: true });
  },
});

/** For what only reads: one server for all tests of a worker, which must leave the yard as it was. */
export const readingTest = withWorker.extend<{ yard: ReadYard }>({
  yard: async ({ page, read }, use) => {
    const sequence = async () => (await fetch(`${read}/api/changes`)).text();
    const before = await sequence();
    await useClean(page, readYard(read), use);
    expect(await sequence()).toEqual(before);
  },
});

/** For what keeps to a pump of its own: one server for all such tests of a worker. */
export const ownPumpTest = withWorker.extend<{ yard: ReadYard }>({
  yard: ({ page, walked }, use) => useClean(page, readYard(walked), use),
});

export { expect };

export async function open(page: Page, yard: ReadYard, path: string): Promise<void> {
  await page.goto(yard.address + path);
  await expect(page.locator('h1').first()).toBeVisible();
}

/** A moment so many minutes ago as a datetime-local field of the yard's zone takes it. */
export function minutesAgo(minutes: number): string {
  const parts = new Intl.DateTimeFormat('sv-SE', {
    timeZone: 'Europe/Lisbon',
    dateStyle: 'short',
    timeStyle: 'short',
  }).format(new Date(Date.now() - minutes * 60_000));
  return parts.replace(' ', 'T');
}

/** Time passes, at the server and in the browser: in what is open, and in what is opened afterwards. */
export async function letPass(page: Page, yard: { readonly address: string }, hours: number): Promise<void> {
  const ms = hours * 3_600_000;
  const { now } = (await (await fetch(`${yard.address}/api/about`)).json()) as About;
  const answer = await fetch(`${yard.address}/api/clock`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ now: new Date(Date.parse(now) + ms).toISOString() }),
  });
  expect(answer.status).toBe(200);
  await page.addInitScript(goAhead, ms);
  await page.evaluate(goAhead, ms);
  // As a screen that wakes: it shows the time at once.
  await page.evaluate(() => document.dispatchEvent(new Event('visibilitychange')));
}

/** In the browser. A class of its own, not a stand-in: dates with zones are made of it. */
function goAhead(aheadMs: number): void {
  const Before = Date;
  class Later extends Before {
    constructor(...given: ConstructorParameters<typeof Before> | []) {
      if (given.length === 0) super(Before.now() + aheadMs);
      else super(...given);
    }
    static override now(): number {
      return Before.now() + aheadMs;
    }
  }
  // Dates with zones go through the own names of this prototype, and find what they wrap there.
  const { constructor: _, ...methods } = Object.getOwnPropertyDescriptors(Before.prototype);
  Object.defineProperties(Later.prototype, methods);
  window.Date = Later as DateConstructor;
}

export async function logRun(
  page: Page,
  yard: Yard,
  pumpId: string,
  fromMinutesAgo: number,
  toMinutesAgo: number,
  trap?: string,
): Promise<void> {
  await open(page, yard, `/pumps/${pumpId}/run`);
  await page.getByRole('radio', { name: 'from – to' }).click();
  await page.getByLabel('From', { exact: true }).fill(minutesAgo(fromMinutesAgo));
  await page.getByLabel('To', { exact: true }).fill(minutesAgo(toMinutesAgo));
  if (trap) await page.getByLabel('Trap, coldest').fill(trap);
  await page.getByRole('button', { name: 'Save the run' }).click();
  await expect(page.getByText('Run logged on').first()).toBeVisible();
}

/** The level after a filling is said by hand. */
export const levelRight = (page: Page): Promise<void> =>
  page
    .getByRole('group', { name: /^Level after/ })
    .getByRole('radio', { name: 'right', exact: true })
    .click();

export const noSidewaysScroll = (page: Page) =>
  expect
    .poll(() => page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth))
    .toBeLessThanOrEqual(0);

/** A section of a pump's page that is one line until it is wanted. */
export async function openSection(page: Page, name: string): Promise<void> {
  await page.getByRole('button', { name: new RegExp(`^${name}.*open$`) }).click();
}
