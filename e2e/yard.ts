import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test as base, type Page } from '@playwright/test';
import type { About, PumpPage } from '@winter-jar/contracts';
import { startServer, type RunningServer } from '@winter-jar/server/testing';
import { v7 as newId } from 'uuid';
import { NO_WORKER, SEEDED, WHILE_STOPPED } from './seeded.js';

/** The demo yard, served by a real server. */
export interface ReadYard {
  readonly address: string;
  pump(pumpId: string): Promise<PumpPage>;
  /** Console errors that a test brings about on purpose. */
  expectedErrors: RegExp[];
}

/** One whose server a test may stop and start. */
export interface Yard extends ReadYard {
  stop(): Promise<void>;
  /** As a power cut does. */
  kill(): Promise<void>;
  restart(): Promise<void>;
}

const FLAGS = ['--demo', '--movable-clock'];

/** A copy of the seeded folder with a server of its own. */
export async function startCopy() {
  const folder = mkdtempSync(join(tmpdir(), 'winter-jar-e2e-'));
  cpSync(SEEDED, folder, { recursive: true });
  let server: RunningServer = await startServer({ folder, flags: FLAGS });
  const { address, port } = server;
  return {
    address,
    stop: async () => void (await server.stop()),
    kill: () => server.kill(),
    restart: async () => {
      await server.stop();
      server = await startServer({ folder, flags: FLAGS, port });
    },
    end: async () => {
      await server.stop();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
type Standing = Awaited<ReturnType<typeof startCopy>>;

const readYard = (address: string): ReadYard => ({
  address,
  pump: async (pumpId) => (await (await fetch(`${address}/api/pumps/${pumpId}`)).json()) as PumpPage,
  expectedErrors: [],
});

function yardOf(standing: Standing): Yard {
  const yard = readYard(standing.address);
  const stopped = (way: () => Promise<void>) => () => {
    yard.expectedErrors.push(WHILE_STOPPED);
    return way();
  };
  return Object.assign(yard, {
    stop: stopped(standing.stop),
    kill: stopped(standing.kill),
    restart: stopped(standing.restart),
  });
}

/** Lets a test use the yard, and holds its console against what it expected. */
async function useClean<T extends ReadYard>(page: Page, yard: T, use: (yard: T) => Promise<void>): Promise<void> {
  const errors: string[] = [];
  page.on('console', (message) => ['error', 'warning'].includes(message.type()) && errors.push(message.text()));
  page.on('pageerror', (error) => errors.push(error.message));
  await use(yard);
  await page.close();
  const expected = [NO_WORKER, ...yard.expectedErrors];
  expect(errors.filter((e) => !expected.some((known) => known.test(e)))).toEqual([]);
}

const stands = async ({}, use: (standing: Standing) => Promise<void>) => {
  const standing = await startCopy();
  await use(standing);
  await standing.end();
};

/** What a worker serves once, for all its tests that ask for it. */
const withWorker = base.extend<object, { readonly read: Standing; readonly walked: Standing }>({
  read: [stands, { scope: 'worker' }],
  walked: [stands, { scope: 'worker' }],
});

export const test = withWorker.extend<{ yard: Yard }>({
  yard: async ({ page }, use) => {
    const standing = await startCopy();
    await useClean(page, yardOf(standing), use);
    await standing.end();
  },
});

/** For what only reads: one server for all tests of a worker, which must leave the yard as it was. */
export const readingTest = withWorker.extend<{ yard: ReadYard }>({
  yard: async ({ page, read }, use) => {
    const sequence = async () => (await fetch(`${read.address}/api/changes`)).text();
    const before = await sequence();
    await useClean(page, readYard(read.address), use);
    expect(await sequence()).toEqual(before);
  },
});

/** For what keeps to a pump of its own: one server for all such tests of a worker. */
export const ownPumpTest = withWorker.extend<{ yard: Yard }>({
  yard: ({ page, walked }, use) => useClean(page, yardOf(walked), use),
});

export { expect };

export async function open(page: Page, yard: ReadYard, path: string): Promise<void> {
  await page.goto(yard.address + path);
  // Looked for with every frame: what waits for a locator asks again after half a second.
  await page.waitForFunction(() => document.querySelector('h1')?.checkVisibility());
}

/** Records of the set-up, as from now, past the forms. */
export async function addRecords(
  yard: ReadYard,
  kind: string,
  records: Readonly<Record<string, object>>,
  validFrom = new Date().toISOString(),
): Promise<void> {
  const versions = Object.entries(records).map(([subjectId, body]) => {
    return { id: newId(), kind, subjectId, validFrom, recordedAt: validFrom, body };
  });
  const response = await fetch(`${yard.address}/api/set-up`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ versions }),
  });
  expect(await response.json()).toMatchObject({ issues: [] });
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
export function goAhead(aheadMs: number): void {
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
