import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startServer } from '@winter-jar/server/testing';
import type { Browser, Page } from '@playwright/test';
import { moderateOrWorse } from './axe-findings.js';
import { expect, noSidewaysScroll, open, readingTest, test, type ReadYard } from './yard.js';

const PASSWORD = 'three small jars';

/** A page of another browser. */
const another = async (browser: Browser, size = { width: 390, height: 844 }): Promise<Page> =>
  (await browser.newContext({ viewport: size })).newPage();

const codeAddress = async (page: Page): Promise<URL> =>
  new URL(
    (await page
      .getByRole('status')
      .getByText(/^http\S+code#\S+$/)
      .textContent()) ?? '',
  );

test.describe('a house that is open to its network', () => {
  let folder: string;
  let server: Awaited<ReturnType<typeof startServer>>;
  let yard: ReadYard;
  test.beforeEach(async () => {
    folder = mkdtempSync(join(tmpdir(), 'winter-jar-people-'));
    server = await startServer({ folder, flags: ['--host', '0.0.0.0', '--plain'] });
    yard = { address: `http://127.0.0.1:${server.port}` } as ReadYard;
  });
  test.afterEach(async () => {
    await server.stop();
    rmSync(folder, { recursive: true, force: true });
  });

  const codeInTerminal = async () => {
    await expect.poll(() => server.printed()).toMatch(/code#\S+/);
    return /code#(\S+)/.exec(server.printed())?.[1] ?? '';
  };

  const twoSites = async (page: Page) => {
    const now = '2026-01-01T00:00:00.000Z';
    const versions = ['Mill', 'Kiln'].map((name, i) => ({
      ...{ id: `00000000-0000-4000-8000-00000000000${i}`, kind: 'site', subjectId: name.toLowerCase() },
      ...{ validFrom: now, recordedAt: now, body: { name, process: 'freezeDrying', zone: 'Europe/Lisbon' } },
    }));
    expect((await page.request.post(`${yard.address}/api/set-up`, { data: { versions } })).status()).toBe(201);
  };

  test('its first owner, a technician with a password of their own, a paired phone, and one that is taken off', async ({
    page,
    browser,
  }) => {
    // Nothing but the door is there.
    await open(page, yard, '/');
    await expect(page.getByRole('heading', { name: 'Whose is this house?' })).toBeVisible();
    const code = await codeInTerminal();
    await page.getByRole('link', { name: 'Type the code' }).click();
    await page.getByLabel('The eight letters and figures').fill('AAAA-BBBB');
    await page.getByRole('button', { name: 'Go on' }).click();
    await expect(page.getByText(/a code that was not used yet/)).toBeVisible();
    await page.getByLabel('The eight letters and figures').fill(code.toLowerCase());
    await page.getByRole('button', { name: 'Go on' }).click();
    await page.getByLabel('Your name').fill('Ada');
    await page.getByLabel('A password').fill('too short');
    await page.getByRole('button', { name: 'This house is mine' }).click();
    await expect(page.getByText(/12 to 128 characters/)).toBeVisible();
    await page.getByLabel('A password').fill(PASSWORD);
    expect(await moderateOrWorse(page)).toEqual([]);
    await page.getByRole('button', { name: 'This house is mine' }).click();

    // Somebody else, who chooses their own password.
    await expect(page.getByRole('heading', { name: 'People and doors' })).toBeVisible();
    await page.getByRole('link', { name: 'Add somebody' }).click();
    await page.getByLabel('Name', { exact: true }).fill('Ben');
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    await expect(page.getByText('Ben').first()).toBeVisible();
    await open(page, yard, '/people');
    await page.getByRole('button', { name: 'Let sign in: Ben' }).click();
    await page.getByRole('radio', { name: 'technician' }).click();
    await page.getByRole('button', { name: 'Let Ben sign in' }).click();
    await expect(page.getByText('technician, has not come in yet')).toBeVisible();
    await page.getByRole('button', { name: 'A code to choose a password' }).click();
    const forBen = await codeAddress(page);
    expect(await moderateOrWorse(page)).toEqual([]);

    const ben = await another(browser);
    await ben.goto(`${yard.address}${forBen.pathname}${forBen.hash}`);
    await ben.getByLabel('A password').fill('four jars of water');
    await ben.getByRole('button', { name: 'Keep it and come in' }).click();
    await expect(ben.getByRole('button', { name: /^Who, units and look: Ben/ })).toBeVisible();
    await noSidewaysScroll(ben);
    // What is not his is not offered, and not opened by its address.
    await open(ben, yard, '/people');
    await expect(ben.getByRole('heading', { name: 'Your role does not open this page' })).toBeVisible();

    // Bound to one site: he is told so, and sees nothing of the other.
    await twoSites(page);
    await open(page, yard, '/people');
    await page.getByRole('button', { name: 'Change: Ben' }).click();
    await page.getByRole('button', { name: 'Mill' }).click();
    await page.getByRole('button', { name: 'From now on these sites' }).click();
    await expect(page.getByText('Mill alone: nothing of other sites.')).toBeVisible();
    await open(ben, yard, '/sign-in');
    await expect(ben.getByText('Mill alone: nothing of other sites.')).toBeVisible();
    await open(ben, yard, '/set-up/site');
    await expect(ben.getByText('Mill').first()).toBeVisible();
    await expect(ben.getByText('Kiln')).toHaveCount(0);
    await open(ben, yard, '/');
    await expect(ben.getByText(/None stands at the sites that you see/)).toBeVisible();

    // A phone of his, paired at his own desk: its code does it once.
    await open(ben, yard, '/sign-in');
    await ben.getByRole('button', { name: 'Pair a phone or tablet' }).click();
    const forPhone = await codeAddress(ben);
    const phone = await another(browser);
    await phone.goto(`${yard.address}${forPhone.pathname}${forPhone.hash}`);
    await phone.getByLabel('What is this device called?').fill('phone, blue case');
    await phone.getByRole('button', { name: 'It is Ben’s' }).click();
    await expect(phone.getByRole('button', { name: /^Who, units and look: Ben/ })).toBeVisible();
    expect(new URL(phone.url()).hash).toBe('');

    // Taken off at the desk: the phone stands at the door again, without a reload.
    await open(page, yard, '/people');
    await page.getByRole('button', { name: 'Change: Ben' }).click();
    await page.getByRole('button', { name: 'Take off: phone, blue case' }).click();
    await expect(page.getByRole('button', { name: 'Take off: phone, blue case' })).toHaveCount(0);
    await phone.getByRole('link', { name: 'Set-up', exact: true }).click();
    await expect(phone.getByRole('heading', { name: 'Sign in' })).toBeVisible();
    expect(await moderateOrWorse(phone)).toEqual([]);

    // Signed out, and in again where one wanted to go.
    await open(ben, yard, '/sign-in');
    await ben.getByRole('button', { name: 'Sign out here' }).click();
    await expect(ben.getByRole('heading', { name: 'Sign in' })).toBeVisible();
    await open(ben, yard, '/set-up/pump');
    await ben.getByLabel('Your name').fill('ben');
    await ben.getByLabel('Password').fill('not these words');
    await ben.getByRole('button', { name: 'Sign in' }).click();
    await expect(ben.getByText('This name and this password do not belong together here.')).toBeVisible();
    await ben.getByLabel('Password').fill('four jars of water');
    await ben.getByRole('button', { name: 'Sign in' }).click();
    await expect(ben.getByRole('heading', { name: 'Pumps', exact: true })).toBeVisible();

    await page.getByRole('link', { name: 'What happened at the doors' }).click();
    await expect(page.getByText('Ben was refused: a wrong name or password')).toBeVisible();
    await expect(page.getByText('Ben paired a device')).toBeVisible();
  });

  test('a tablet in the plant room asks who writes, with a PIN where one is set', async ({ page, browser }) => {
    await open(page, yard, '/');
    const claim = { code: await codeInTerminal(), name: 'Ada', password: PASSWORD };
    expect((await page.request.post(`${yard.address}/api/door/claim`, { data: claim })).status()).toBe(200);
    await twoSites(page);
    await open(page, yard, '/sign-in');
    await page.getByLabel('A PIN').fill('42');
    await page.getByRole('button', { name: 'Keep the PIN' }).click();
    await expect(page.getByText('4 to 8 figures').last()).toBeVisible();
    await page.getByLabel('A PIN').fill('0420');
    await page.getByRole('button', { name: 'Keep the PIN' }).click();
    await expect(page.getByRole('button', { name: 'No PIN any more' })).toBeVisible();
    await open(page, yard, '/people');
    await page.getByRole('radio', { name: 'Mill' }).click();
    await page.getByRole('button', { name: 'A code for its tablet' }).click();
    const address = await codeAddress(page);
    expect(await moderateOrWorse(page)).toEqual([]);

    const tablet = await another(browser, { width: 1024, height: 768 });
    await tablet.goto(`${yard.address}${address.pathname}${address.hash}`);
    await tablet.getByLabel('What is this device called?').fill('by the compressor');
    await tablet.getByRole('button', { name: 'It hangs there for all' }).click();
    await expect(tablet.getByText('Who writes here, at Mill?')).toBeVisible();
    await tablet.getByRole('button', { name: 'Ada' }).click();
    await tablet.getByLabel('PIN of Ada').fill('0421');
    await tablet.getByRole('button', { name: 'It is me' }).click();
    await expect(tablet.getByText(/their PIN/i)).toBeVisible();
    await tablet.getByLabel('PIN of Ada').fill('0420');
    await tablet.getByRole('button', { name: 'It is me' }).click();
    await expect(tablet.getByText('Ada writes here, for Mill.')).toBeVisible();
    expect(await moderateOrWorse(tablet)).toEqual([]);
    await noSidewaysScroll(tablet);
    // An owner is none here.
    await open(tablet, yard, '/people');
    await expect(tablet.getByRole('heading', { name: 'Your role does not open this page' })).toBeVisible();
    await tablet.getByRole('button', { name: 'Somebody else' }).click();
    await expect(tablet.getByText('Who writes here, at Mill?')).toBeVisible();

    await open(page, yard, '/people');
    await page.getByRole('button', { name: 'Take off: by the compressor, Mill' }).click();
    await tablet.getByRole('link', { name: 'Set-up', exact: true }).click();
    await expect(tablet.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  });
});

readingTest('in the demo yard one is each of its people, and is offered what they may', async ({ page, yard }) => {
  const be = async (name: string) => {
    await page.getByRole('button', { name: /^Who, units and look/ }).click();
    await page.getByRole('radio', { name }).click();
    await expect(
      page.getByText(name === 'whoever is there' ? /an open door\.$/ : `You are ${name.replace(', ', ' here, ')}.`),
    ).toBeVisible();
  };
  await open(page, yard, '/pumps/lf-03');
  await be('Oda, reader');
  await expect(page.getByRole('link', { name: 'Find the cause' }).first()).toBeVisible();
  await expect(page.getByRole('link', { name: /^(Log a run|Change oil|Look at oil)/ })).toHaveCount(0);
  await expect(page.getByRole('link', { name: 'Backup' })).toHaveCount(0);
  // She is a customer: what stands at other sites is not there for her.
  await open(page, yard, '/');
  await expect(page.getByText('LF-01').first()).toBeVisible();
  await expect(page.getByText(/QP-01|RL-01|CW-01/)).toHaveCount(0);
  yard.expectedErrors.push(/404/);
  await open(page, yard, '/pumps/qp-01');
  await expect(page.getByText(/no pump|is none/i).first()).toBeVisible();
  await open(page, yard, '/store');
  await expect(page.getByRole('heading', { name: 'Where the oil goes' })).toHaveCount(0);
  await open(page, yard, '/pumps/lf-03/run');
  await expect(page.getByRole('heading', { name: 'Your role does not open this page' })).toBeVisible();

  await open(page, yard, '/pumps/lf-03');
  await be('Pell, operator');
  await expect(page.getByRole('link', { name: /^Log a run/ }).first()).toBeVisible();
  await expect(page.getByRole('link', { name: /^Change oil/ })).toHaveCount(0);
  // What is asked for and not theirs says whose it is; a service of a technician's is not gone on with.
  await open(page, yard, '/pumps/qp-01');
  await expect(page.getByText(/^Change oil: your role does not do this/).first()).toBeVisible();
  await expect(page.getByRole('link', { name: 'Step by step, beside the pump' })).toHaveCount(0);
  await open(page, yard, '/pumps/rl-01/job');
  await expect(page.getByRole('heading', { name: 'A technician’s service is under way' })).toBeVisible();
  await open(page, yard, '/pumps/lf-03/job-cards');
  await expect(page.getByRole('button', { name: 'Start: After a run' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Start: Oil change', exact: true })).toHaveCount(0);
  await open(page, yard, '/set-up/pump/lf-03');
  await expect(page.getByText('You see this record and do not change it.')).toBeVisible();
  await be('whoever is there');
  await expect(page.getByRole('button', { name: 'Change from now' })).toBeVisible();
});
