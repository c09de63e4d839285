import { readFile } from 'node:fs/promises';
import type { DownloadAnswer } from '@winter-jar/contracts';
import { expect, open, readingTest, test } from './yard.js';

const csv = (...rows: string[]) => ({
  name: 'runs.csv',
  mimeType: 'text/csv',
  buffer: Buffer.from(['pump,started,minutes,material,ballast', ...rows].join('\n')),
});

test('an import shows every bad row with its reason, and takes the good rows when asked to', async ({ page, yard }) => {
  const before = await yard.pump('lf-02');
  await open(page, yard, '/logs/runs');
  await page
    .locator('input[type=file]')
    .setInputFiles(
      csv(
        'LF-02,2026-02-01T08:00Z,600,Meat or fish,closed',
        'LF-99,2026-02-02T08:00Z,600,Meat or fish,closed',
        'LF-02,yesterday,600,Meat or fish,ajar',
      ),
    );
  await expect(page.getByRole('heading', { name: 'runs.csv: 1 new, 0 there already, 2 not right' })).toBeVisible();
  await expect(page.getByRole('row', { name: /^3 LF-99/ })).toContainText(
    '“LF-99” is not right here. Right would be the id or the name of a pump in the set-up.',
  );
  await expect(page.getByRole('row', { name: /^4 LF-02 yesterday started/ })).toBeVisible();
  await page.getByRole('button', { name: 'Import nothing' }).click();
  expect((await yard.pump('lf-02')).state.totals).toEqual(before.state.totals);

  await page
    .locator('input[type=file]')
    .setInputFiles(
      csv('LF-02,2026-02-01T08:00Z,600,Meat or fish,closed', 'LF-99,2026-02-02T08:00Z,600,Meat or fish,closed'),
    );
  await page.getByRole('button', { name: 'Import the one good row' }).click();
  await expect(page.getByRole('heading', { name: 'One run imported from runs.csv' })).toBeVisible();
  expect((await yard.pump('lf-02')).state.totals.runs).toBe(before.state.totals.runs + 1);
});

test('several runs at once are pasted, as a spreadsheet copies them', async ({ page, yard }) => {
  const before = await yard.pump('lf-02');
  await open(page, yard, '/logs/runs');
  await page.getByText('Or paste rows').click();
  const rows = [
    'pump\tstarted\tminutes\tmaterial\ttrap_temp_c\tdefrosted_before',
    'LF-02\t2026-02-01T08:00Z\t600\tMeat or fish\t-48\tyes',
    'LF-02\t2026-02-03T08:00Z\t900\tMeat or fish\t-47\tno',
    'LF-02\t2026-02-05T08:00Z\t900\tMeat or fish\tcold\t',
  ];
  await page.getByLabel('Run log, one row per run').fill(rows.join('\n'));
  await page.getByRole('button', { name: 'Check these rows' }).click();
  await expect(
    page.getByRole('heading', { name: 'what you pasted: 2 new, 0 there already, 1 not right' }),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Import the 2 good rows' }).click();
  await expect(page.getByRole('heading', { name: '2 runs imported from what you pasted' })).toBeVisible();
  expect((await yard.pump('lf-02')).state.totals.runs).toBe(before.state.totals.runs + 2);
});

readingTest(
  'an export is read back as unchanged; a file of another kind says what is missing',
  async ({ page, yard }) => {
    await open(page, yard, '/logs/runs');
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Export all runs' }).click(),
    ]);
    const text = await readFile(await download.path(), 'utf8');
    const rows = text.trim().split('\r\n').length - 1;
    await expect(page.getByText(/Given to the browser: runs-\d{8}-\d{6}\.csv/)).toBeVisible();
    expect(rows).toBeGreaterThan(500);
    await page
      .locator('input[type=file]')
      .setInputFiles({ name: 'again.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
    await expect(
      page.getByRole('heading', {
        name: `again.csv: 0 new, ${rows.toLocaleString('en-GB')} there already, 0 not right`,
      }),
    ).toBeVisible();
    await page
      .locator('input[type=file]')
      .setInputFiles({ name: 'letter.csv', mimeType: 'text/csv', buffer: Buffer.from('Dear all,\nthe pump is fine') });
    await expect(page.getByRole('heading', { name: 'letter.csv cannot be read as a run log' })).toBeVisible();
  },
);

readingTest('a file that takes long shows how far it is, and can be stopped', async ({ page, yard }) => {
  await open(page, yard, '/backup');
  const underWay = /api\/downloads\/[^/]+$/;
  await page.route(underWay, async (route) => {
    const answer = (await (await route.fetch()).json()) as DownloadAnswer;
    await route.fulfill({ json: { ...answer, state: 'preparing', progress: 0.4 } });
  });
  await page.getByRole('button', { name: 'Make a backup' }).click();
  await expect(page.getByRole('progressbar', { name: 'Making the backup' })).toHaveAttribute('aria-valuenow', '40');
  const stopped = page.waitForResponse(/\/stop$/);
  await page.getByRole('button', { name: 'Stop' }).click();
  expect((await stopped).status()).toBe(200);
  await expect(page.getByRole('progressbar')).toBeHidden();
  await page.unroute(underWay);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Export everything' }).click(),
  ]);
  expect(download.suggestedFilename()).toMatch(/^winter-jar-\d{8}-\d{6}\.jsonl$/);
});

test('a long file shows how far it is, can be stopped, and gives its refused rows as a file', async ({
  page,
  yard,
}) => {
  const before = await yard.pump('lf-02');
  await open(page, yard, '/logs/runs');
  const day = (i: number) => new Date(Date.UTC(2026, 0, 1) + i * 3_600_000).toISOString();
  const rows = Array.from(
    { length: 6000 },
    (_, i) => `LF-02,${day(i / 12)},${i % 1000 === 7 ? 'long' : 4},Meat or fish,closed`,
  );
  await page.locator('input[type=file]').setInputFiles(csv(...rows));
  await expect(page.getByRole('heading', { name: 'runs.csv: 5,994 new, 0 there already, 6 not right' })).toBeVisible();
  const [report] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'The 6 refused rows as CSV' }).click(),
  ]);
  expect((await readFile(await report.path(), 'utf8')).trim().split('\r\n')).toHaveLength(7);
  await page.getByRole('button', { name: 'Import the 5,994 good rows' }).click();
  await expect(page.getByRole('progressbar', { name: 'Importing runs.csv' })).toBeVisible();
  await page.getByRole('button', { name: 'Stop and import nothing' }).click();
  await expect(page.getByText('runs.csv was not imported. Nothing of it was left behind.')).toBeVisible();
  expect((await yard.pump('lf-02')).state.totals).toEqual(before.state.totals);
  // It goes on without the page, and the address finds it again.
  await page.locator('input[type=file]').setInputFiles(csv(...rows));
  await page.getByRole('button', { name: 'Import the 5,994 good rows' }).click();
  await page.reload();
  await expect(page.getByRole('heading', { name: '5,994 runs imported from runs.csv' })).toBeVisible();
  expect((await yard.pump('lf-02')).state.totals.runs).toBe(before.state.totals.runs + 5994);
});
