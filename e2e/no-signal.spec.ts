import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type BrowserContext, type Page } from '@playwright/test';
import type { JournalEntry } from '@winter-jar/core';
import { changeAt } from '@winter-jar/core/testing';
import { v7 as newId } from 'uuid';
import { guide } from './guide.js';
import { behindADoor } from './next-version.js';
import { png } from './png.js';
import { expect, goAhead, minutesAgo, noSidewaysScroll, open, startCopy, test, type Yard } from './yard.js';

test.use({ serviceWorkers: 'allow' });
const SILENT = [/Failed to load resource/, /net::/, /ERR_/];

/** The app is on this device, and what a day without a connection needs. */
async function isAlong(page: Page): Promise<void> {
  await page.waitForFunction(() => document.querySelector('h1')?.checkVisibility());
  const along = () =>
    page.evaluate(async () => {
      const worker = (await navigator.serviceWorker.getRegistration())?.active;
      const carried = await new Promise<boolean>((resolve) => {
        const opening = indexedDB.open('winter-jar');
        opening.onsuccess = () => {
          const db = opening.result;
          const asked = db.transaction('answers').objectStore('answers').get('carried');
          asked.onsuccess = () => {
            resolve(asked.result !== undefined);
            db.close();
          };
        };
      });
      return worker?.state === 'activated' && carried;
    });
  await expect.poll(along, { timeout: 60_000 }).toBe(true);
}

async function logRun(page: Page, address: string, pumpId: string, fromMin: number, untilMin: number): Promise<void> {
  await page.goto(`${address}/pumps/${pumpId}/run`);
  await page.getByRole('radio', { name: 'from – to' }).click();
  await page.getByLabel('From', { exact: true }).fill(minutesAgo(fromMin));
  await page.getByLabel('To', { exact: true }).fill(minutesAgo(untilMin));
  await page.getByRole('button', { name: 'Save the run' }).click();
  await expect(page.getByText(/Run logged on/).first()).toBeVisible();
}

async function changeOil(page: Page, address: string, pumpId: string, outMl: string): Promise<void> {
  await page.goto(`${address}/pumps/${pumpId}/change`);
  await page.getByLabel('Came out').fill(outMl);
  await page.getByRole('radio', { name: 'right', exact: true }).click();
  await page.getByRole('button', { name: 'Save the oil change' }).click();
  await expect(page.getByText(/kept on this device; it is sent/i).first()).toBeVisible();
}

const journalOf = async (yard: Pick<Yard, 'address'>): Promise<JournalEntry[]> => {
  const asked = await fetch(`${yard.address}/api/pumps/lf-02/journal`);
  return ((await asked.json()) as { lines: { entry: JournalEntry }[] }).lines.map((line) => line.entry);
};
const allWaiting = (page: Page) => page.getByRole('status').filter({ hasText: /wait(s)? on this device/ });

test('a day without a connection: runs, a look with a photograph, a change, a correction, over a restart of the browser', async ({
  page: unused,
  yard,
}) => {
  await unused.close();
  yard.expectedErrors = SILENT;
  const profile = mkdtempSync(join(tmpdir(), 'winter-jar-profile-'));
  const browser = () =>
    chromium.launchPersistentContext(profile, {
      ...test.info().project.use.launchOptions,
      timezoneId: 'America/New_York',
      locale: 'en-GB',
      serviceWorkers: 'allow',
    });
  const { address } = yard;
  const before = await yard.pump('lf-02');
  let device: BrowserContext = await browser();
  let page = await device.newPage();
  await page.goto(address);
  await isAlong(page);
  await device.setOffline(true);

  // By an address that was never opened.
  await page.goto(`${address}/pumps/lf-02`);
  await expect(page.getByText(/^No connection to the server. As of today/)).toBeVisible();
  for (const from of [150, 120, 90, 60, 30]) await logRun(page, address, 'lf-02', from, from - 20);
  await expect(page.getByText(/kept on this device; it is sent/i).first()).toBeVisible();

  await page.goto(`${address}/pumps/lf-02/look`);
  await page.getByRole('radio', { name: '20 h' }).click();
  await page.getByRole('radio', { name: 'bright' }).click();
  await page.getByRole('radio', { name: 'right', exact: true }).click();
  await page.locator('input[type=file]').setInputFiles({ name: 'jar.png', mimeType: 'image/png', buffer: png(60, 80) });
  await expect(page.getByRole('img', { name: 'The photograph of the jar' })).toBeVisible();
  await page.getByRole('button', { name: 'Save the look' }).click();
  await expect(page.getByText(/Look .* LF-02/).first()).toBeVisible();
  await changeOil(page, address, 'lf-02', '650');
  // The standing is reckoned here: the charge is a new one.
  await expect(page.getByRole('group', { name: /^LF-02: 0 runs since the oil change/ })).toBeVisible();
  await expect(page.getByText('waiting').first()).toBeVisible();

  // One of them was wrong; then the browser is started anew.
  await page
    .getByRole('link', { name: /^Correct: Oil change/ })
    .first()
    .click();
  await page.getByLabel('Came out').fill('640');
  await page.getByRole('button', { name: 'Save the correction' }).click();
  await expect(page.getByText('Correction saved').first()).toBeVisible();
  await expect(page.getByText(/640.mL out/).first()).toBeVisible();
  await page.reload();
  await expect(page.getByText(/640.mL out/).first()).toBeVisible();
  await device.close();
  device = await browser();
  page = await device.newPage();
  await device.setOffline(true);
  await page.goto(`${address}/waiting`);
  await expect(page.getByRole('listitem').filter({ hasText: 'LF-02' })).toHaveCount(8);
  expect((await yard.pump('lf-02')).state).toEqual(before.state);

  await device.setOffline(false);
  await expect(page.getByText('Nothing waits')).toBeVisible();
  await page.goto(`${address}/pumps/lf-02`);
  await expect(allWaiting(page)).toHaveCount(0);
  const after = await yard.pump('lf-02');
  expect(after.state.totals.runs).toBe(before.state.totals.runs + 5);
  expect(after.row.ruler.bars).toEqual([]);
  const written = (await journalOf(yard)).slice(0, 7);
  expect(written.map((e) => e.kind).sort()).toEqual(['change', 'look', 'run', 'run', 'run', 'run', 'run']);
  const look = written.find((e) => e.kind === 'look');
  const photo = await fetch(`${address}/api/photos/${look?.kind === 'look' ? look.body.photoId : ''}`);
  expect(photo.headers.get('content-type')).toMatch(/^image\//);
  await device.close();
  rmSync(profile, { recursive: true, force: true });

  // A yard where the same was typed with a connection stands the same.
  const other = await startCopy();
  const sent = [...written].reverse();
  for (const entry of sent) {
    const body = JSON.stringify({ entries: [{ ...entry, body: { ...entry.body, photoId: undefined } }] });
    const answer = await fetch(`${other.address}/api/entries`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body,
    });
    expect([answer.status, await answer.text()]).toEqual([201, expect.anything()]);
  }
  const typed = (await (await fetch(`${other.address}/api/pumps/lf-02`)).json()) as typeof after;
  const without = ({ jars: _jars, ...state }: typeof after.state) => state;
  expect(without(after.state)).toEqual(without(typed.state));
  expect(after.row.verdict).toBe(typed.row.verdict);
  await other.end();
});

test('two who changed one pump without knowing of each other: one counts, the other is settled with both stories in sight', async ({
  page,
  yard,
  browser,
}) => {
  yard.expectedErrors = SILENT;
  const { address } = yard;
  const people = Object.keys((await yard.pump('lf-02')).setUp.house.person);
  const devices = await Promise.all(
    people.slice(0, 2).map(async (who) => {
      const device = await browser.newContext({ serviceWorkers: 'allow', viewport: { width: 390, height: 844 } });
      await device.addInitScript((id) => localStorage.setItem('winter-jar.prefs', JSON.stringify({ who: id })), who);
      const one = await device.newPage();
      await one.goto(address);
      await isAlong(one);
      await device.setOffline(true);
      return { device, one };
    }),
  );
  for (const { one } of devices) await changeOil(one, address, 'lf-02', '650');
  const before = (await yard.pump('lf-02')).state.sumps[0]?.charge.number ?? 0;
  // The later one comes first.
  for (const { device, one } of devices.reverse()) {
    await device.setOffline(false);
    await one.goto(`${address}/waiting`);
    await expect(one.getByText('Nothing waits')).toBeVisible();
    await noSidewaysScroll(one);
  }
  expect((await yard.pump('lf-02')).state.sumps[0]?.charge.number).toBe(before + 1);
  await open(page, yard, '/');
  await expect(page.getByText('One entry does not count yet.')).toBeVisible();
  await page.getByRole('link', { name: 'Settle', exact: true }).click();
  await expect(page.getByText(/^Counts:/)).toBeVisible();
  await expect(page.getByText(/^Waits:/)).toBeVisible();
  await page.getByRole('button', { name: 'No, leave it out' }).click();
  await expect(page.getByText('Nothing to settle')).toBeVisible();
  expect((await yard.pump('lf-02')).row.reasons.map((r) => r.code)).not.toContain('unsettled');
  for (const { device } of devices) await device.close();
});

test('what the server does not take stays with its reason, and is put right, put on another pump or given up', async ({
  page,
  yard,
  context,
}) => {
  yard.expectedErrors = [...SILENT, /400/, /40\d/];
  await open(page, yard, '/');
  await isAlong(page);
  // A material that is not in the set-up any more when it arrives.
  await yard.stop();
  await logRun(page, yard.address, 'lf-02', 60, 40);
  await page.evaluate(async () => {
    const db = await new Promise<IDBDatabase>((resolve) => {
      const opening = indexedDB.open('winter-jar');
      opening.onsuccess = () => resolve(opening.result);
    });
    const store = db.transaction('waiting', 'readwrite').objectStore('waiting');
    const [key] = await new Promise<IDBValidKey[]>(
      (r) => (store.getAllKeys().onsuccess = (e) => r((e.target as IDBRequest<IDBValidKey[]>).result)),
    );
    const item = await new Promise<{ entries: { body: { materialId: string } }[] }>(
      (r) =>
        (store.get(key!).onsuccess = (e) =>
          r((e.target as IDBRequest<{ entries: { body: { materialId: string } }[] }>).result)),
    );
    item.entries[0]!.body.materialId = 'gone-from-the-set-up';
    await new Promise((r) => (store.put(item, key).onsuccess = r));
    db.close();
  });
  await page.reload();
  await yard.restart();
  await page.goto(`${yard.address}/waiting`);
  await expect(page.getByText('The server did not take it:')).toBeVisible();
  await expect(page.getByText(/material id/)).toBeVisible();
  await page.getByRole('link', { name: 'Put it right' }).click();
  await page.getByLabel('or another material').selectOption({ label: 'don’t know yet' });
  await page.getByRole('button', { name: 'Save the correction' }).click();
  await expect(page.getByText('Correction saved').first()).toBeVisible();
  await page.goto(`${yard.address}/waiting`);
  await expect(page.getByText('Nothing waits')).toBeVisible();
  expect((await yard.pump('lf-02')).state.lastRun?.minutes).toBe(20);
  await context.close();
});

test('an oil change by the guide, from its start to its record, without a connection', async ({ page, yard }) => {
  yard.expectedErrors = SILENT;
  const { address } = yard;
  const before = await yard.pump('hs-02');
  await page.goto(address);
  await isAlong(page);
  await page.context().setOffline(true);
  await page.goto(`${address}/pumps/hs-02/job-cards`);
  await page.getByRole('button', { name: 'Start: Oil change', exact: true }).click();
  await expect(page).toHaveURL(/\/pumps\/hs-02\/job$/);
  const { tap, fill, at, section } = guide(page, yard);
  await tap('The oil is at 40–60 °C');
  for (const step of [/^Off, isolated/, /^Vent/, /^Open the fill plug first/]) {
    await at(step);
    await tap('Done');
  }
  await tap('Only drops come');
  // It is empty, and says so here, whether the house knows or not.
  await expect(page.getByText(/^No oil in it since/)).toBeVisible();
  await page.reload();
  await expect(page.getByText(/^No oil in it since/)).toBeVisible();
  await tap('Done');
  await tap('Done');
  await fill('Came out', '650');
  await tap('The jar is filled');
  await tap('Done');
  await fill('Filled in', '660');
  await tap('Done');
  await tap('Done');
  for (const minutes of [2, 5]) {
    await expect(section.getByRole('button', { name: /^Go on, from/ })).toBeDisabled();
    await page.evaluate(goAhead, (minutes + 0.1) * 60_000);
    await page.evaluate(() => document.dispatchEvent(new Event('visibilitychange')));
    await tap('Go on');
  }
  await tap('at the mark');
  await at('Tools and rags away, lock off');
  await tap('Done');
  await expect(page).toHaveURL(/\/pumps\/hs-02\/jobs\//);
  await expect(page.getByText(/650\smL out · 660\smL in/)).toBeVisible();
  expect((await yard.pump('hs-02')).state).toEqual(before.state);

  await page.context().setOffline(false);
  await page.goto(`${address}/waiting`);
  await expect(page.getByText('Nothing waits')).toBeVisible();
  const after = await yard.pump('hs-02');
  expect(after.state.job).toBeNull();
  expect(after.state.totals.changes).toBe(before.state.totals.changes + 1);
  expect(after.state.sumps[0]?.charge).toMatchObject({ filledUl: 660_000, levelKnown: true });
  expect(after.row.verdict).toBe('runOn');
});

test('after an update the app of before goes on while something waits, and gives way when nothing does', async ({
  page,
  yard,
}) => {
  yard.expectedErrors = [...SILENT, /503/];
  const door = await behindADoor(yard.address);
  const isNext = () => page.evaluate(() => document.querySelector('meta[name=next-version]') !== null);
  const version = () =>
    page.evaluate(async () => {
      const registration = await navigator.serviceWorker.getRegistration();
      await registration?.update();
      return registration?.waiting?.state ?? null;
    });
  await page.goto(door.address);
  await isAlong(page);
  door.api = 'refuses';
  await logRun(page, door.address, 'lf-02', 60, 40);
  await expect(allWaiting(page).first()).toBeVisible();

  door.isNext = true;
  await expect.poll(version).toBe('installed');
  await page.reload();
  await expect(allWaiting(page).first()).toBeVisible();
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  expect(await isNext()).toBe(false);

  door.api = 'answers';
  await page.goto(`${door.address}/waiting`);
  await expect(page.getByText('Nothing waits')).toBeVisible();
  // It may begin anew by itself in the middle of this.
  await expect(async () => {
    await page.goto(door.address);
    expect(await isNext()).toBe(true);
  }).toPass();
  expect((await yard.pump('lf-02')).state.lastRun?.minutes).toBe(20);
  door.close();
});

test('where a network is there and nothing comes through, what is held is shown, and read anew when something does', async ({
  page,
  yard,
}) => {
  yard.expectedErrors = SILENT;
  const door = await behindADoor(yard.address);
  await page.goto(`${door.address}/pumps/lf-02`);
  await isAlong(page);
  door.api = 'hangs';
  await page.goto(`${door.address}/pumps/lf-02`);
  await expect(page.getByText(/^No connection to the server. As of today/)).toBeVisible({ timeout: 40_000 });
  await expect(page.getByRole('heading', { level: 1, name: 'LF-02' })).toBeVisible();
  // Written by somebody else meanwhile.
  const entry = {
    ...changeAt(0),
    happenedAt: new Date().toISOString(),
    recordedAt: new Date().toISOString(),
    id: newId(),
  };
  const product = (await yard.pump('lf-02')).state.sumps[0]?.charge.productId;
  const subjects = [{ type: 'pump', id: 'lf-02' }];
  const body = JSON.stringify({
    entries: [{ ...entry, actId: entry.id, subjects, body: { ...entry.body, productId: product } }],
  });
  const headers = { 'content-type': 'application/json' };
  const answer = await fetch(`${yard.address}/api/entries`, { method: 'POST', headers, body });
  expect([answer.status, await answer.text()]).toEqual([201, expect.anything()]);
  door.api = 'answers';
  door.breakOff();
  await expect(page.getByText(/^No connection to the server/)).toBeHidden({ timeout: 40_000 });
  await expect(page.getByRole('group', { name: /^LF-02: 0 runs since the oil change/ })).toBeVisible();
  door.close();
});
