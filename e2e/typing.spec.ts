import { expect, open, readingTest, test } from './yard.js';

test('what was typed survives a reload and a stopped server, and is saved when it is back', async ({ page, yard }) => {
  yard.expectedErrors = [/Failed to load resource/, /ERR_CONNECTION/, /net::/];
  await open(page, yard, '/pumps/lf-02/bleed');
  await page.getByLabel('Drawn in all').fill('32');
  await page.getByLabel('Of it water').fill('17');
  await page.getByLabel('Anything odd').fill('a little rust');
  await page.waitForTimeout(300);
  await page.reload();
  await expect(page.getByLabel('Drawn in all')).toHaveValue('32');
  await expect(page.getByLabel('Anything odd')).toHaveValue('a little rust');

  await yard.stop();
  await page.getByRole('button', { name: 'Save the bleed' }).click();
  await expect(page.getByText('Bleed saved on LF-02').first()).toBeVisible();
  await expect(page.getByText(/^Kept on this device/).first()).toBeVisible();
  await yard.restart();
  await expect(page.getByText('The entry that waited has been sent').first()).toBeVisible();
  expect((await yard.pump('lf-02')).state.jars.at(-1)).toMatchObject({ source: 'bleed', waterUl: 17_000 });
  await open(page, yard, '/pumps/lf-02/bleed');
  await expect(page.getByLabel('Drawn in all')).toHaveValue('');
});

test('an answer lost on the way writes nothing twice', async ({ page, yard }) => {
  yard.expectedErrors = [/ERR_FAILED/, /net::/];
  const before = (await yard.pump('lf-02')).state.totals.runs;
  await open(page, yard, '/pumps/lf-02/run');
  await page.getByLabel('How long').fill('30 min');
  await page.route(
    '**/api/entries',
    async (route) => {
      await route.fetch();
      await route.abort();
    },
    { times: 1 },
  );
  await page.getByRole('button', { name: 'Save the run' }).click();
  await expect(page.getByText('Run logged on LF-02').first()).toBeVisible();
  // It is sent again by itself, under the same id.
  await expect(page.getByText('The entry that waited has been sent').first()).toBeVisible();
  await expect(page.getByText('One deed waits on this device')).toBeHidden();
  expect((await yard.pump('lf-02')).state.totals.runs).toBe(before + 1);
});

readingTest('offline is said, and a stopped server too', async ({ page, yard, context }) => {
  yard.expectedErrors = [/Failed to load resource/, /ERR_/, /net::/];
  await open(page, yard, '/');
  // All that the page asks for ahead has come.
  await page.keyboard.press('/');
  await page.getByRole('combobox').fill('lf-02');
  await page.keyboard.press('Escape');
  await context.setOffline(true);
  await expect(page.getByText('No connection to the server.')).toBeVisible();
  await context.setOffline(false);
  await expect(page.getByText('No connection to the server.')).toBeHidden();
});

readingTest(
  'a page whose part does not come says so, and loads when there is a connection again',
  async ({ page, yard }) => {
    yard.expectedErrors = [/Failed to load resource/, /net::/, /dynamically imported module/];
    await open(page, yard, '/');
    await page.route(/backup-page/, (route) => route.abort());
    await page.getByRole('link', { name: 'Backup' }).click();
    await expect(page.getByText(/A part of it did not come/)).toBeVisible();
    await page.unroute(/backup-page/);
    await page.getByRole('button', { name: 'Load this page again' }).click();
    await expect(page.getByRole('heading', { name: 'Backup', exact: true })).toBeVisible();
  },
);

readingTest(
  'what lies over the page is asked for ahead, and missing it is no error until it is opened',
  async ({ page, yard }) => {
    yard.expectedErrors = [/Failed to load resource/, /net::/, /dynamically imported module/];
    await page.route(/palette|follow-changes/, (route) => route.abort());
    await open(page, yard, '/');
    await page.unroute(/palette|follow-changes/);
    // A page cut short while it opened is opened again with the connection.
    await Promise.all([page.waitForEvent('load'), page.evaluate(() => window.dispatchEvent(new Event('online')))]);
    await page.getByRole('button', { name: 'Find or do' }).click();
    await expect(page.getByRole('dialog')).toBeVisible();
  },
);

readingTest('each wrong input gets its message at its field', async ({ page, yard }) => {
  await open(page, yard, '/pumps/lf-02/run');
  await page.getByLabel('Trap, coldest').fill('-41 hPa');
  await expect(page.getByText('“hPa” measures something else. Right would be -41 °C, for instance.')).toBeVisible();
  await page.getByLabel('Trap, coldest').fill('−300');
  await expect(page.getByText(/is too little\. Right would be −120 °C or more/)).toBeVisible();
  await page.getByLabel('Trap, coldest').fill('−41 °C');
  await expect(page.getByText('= −41 °C')).toBeVisible();
  await page.getByLabel('Lowest pressure').fill('35 micron');
  await expect(page.getByText('= 0.047 hPa')).toBeVisible();
  await page.getByLabel('How long').fill('long');
  await page.getByRole('button', { name: 'Save the run' }).click();
  await expect(
    page.getByText('“long” is not a number with a unit. Right would be 41 h 30 or 2 d, for instance.'),
  ).toBeVisible();

  await page.getByRole('radio', { name: 'from – to' }).click();
  await page.getByLabel('From', { exact: true }).fill('2026-01-10T10:00');
  await page.getByLabel('To', { exact: true }).fill('2026-01-10T09:00');
  await page.getByRole('button', { name: 'Save the run' }).click();
  await expect(
    page.getByText(/The end is not after the start\. Right would be later than 2026-01-10 10:00/),
  ).toBeVisible();

  await open(page, yard, '/pumps/lf-02/look');
  await page.getByRole('button', { name: 'Save the look' }).click();
  await expect(page.getByText(/Say how long the oil has stood/)).toBeVisible();
  await expect(page.getByText(/^Say at least one thing that you saw/)).toBeVisible();
});

test('an overlapping run is asked about', async ({ page, yard }) => {
  yard.expectedErrors = [/422/];
  const { state } = await yard.pump('lf-02');
  const start = new Date(Date.parse(state.lastRun?.happenedAt ?? '') + 3_600_000);
  const field = (date: Date) =>
    new Intl.DateTimeFormat('sv-SE', { timeZone: 'Europe/Lisbon', dateStyle: 'short', timeStyle: 'short' })
      .format(date)
      .replace(' ', 'T');
  await open(page, yard, '/pumps/lf-02/run');
  await page.getByRole('radio', { name: 'from – to' }).click();
  await page.getByLabel('From', { exact: true }).fill(field(start));
  await page.getByLabel('To', { exact: true }).fill(field(new Date(start.getTime() + 3_600_000)));
  await page.getByRole('button', { name: 'Save the run' }).click();
  await expect(page.getByText(/This pump has a run already from/)).toBeVisible();
  await page.getByRole('button', { name: 'Yes, keep both' }).click();
  await expect(page.getByText('Run logged on LF-02').first()).toBeVisible();
});

readingTest('units change everywhere at once and are remembered', async ({ page, yard }) => {
  await open(page, yard, '/pumps/lf-01');
  await expect(page.getByText(/700.mL of Linnet 68/)).toBeVisible();
  await page.getByRole('button', { name: /^Who, units and look/ }).click();
  await page.getByRole('radio', { name: 'fl oz' }).click();
  await page.getByRole('radio', { name: '°F' }).click();
  await page.getByRole('radio', { name: 'mTorr' }).click();
  await page.keyboard.press('Escape');
  await expect(page.getByText(/23.7.fl.oz of Linnet 68/)).toBeVisible();
  await page.reload();
  await expect(page.getByText(/23.7.fl.oz of Linnet 68/)).toBeVisible();
  await open(page, yard, '/pumps/lf-01/run');
  await expect(page.getByLabel('Trap, coldest')).toHaveValue('');
  await page.getByRole('button', { name: /^as last time: .*°F$/ }).click();
  await expect(page.getByLabel('Trap, coldest')).toHaveValue(/°F$/);
  await page.getByRole('button', { name: /^as last time: .*mTorr$/ }).click();
  await expect(page.getByLabel('Lowest pressure')).toHaveValue(/mTorr$/);
});

test('a run about a day ago needs no times', async ({ page, yard }) => {
  await open(page, yard, '/pumps/hs-02/run');
  await page.getByRole('radio', { name: 'about a day' }).click();
  await page.getByLabel('How long').fill('20 h');
  await page.getByRole('button', { name: 'Save the run' }).click();
  await expect(page.getByText('Run logged on HS-02').first()).toBeVisible();
  await expect(page.getByText('about yesterday').first()).toBeVisible();
});
