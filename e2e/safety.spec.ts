import type { Page } from '@playwright/test';
import { expect, levelRight, open, test } from './yard.js';

const stop = (page: Page) => page.getByText('Stop', { exact: true });

test('a pump that is put into oxygen service stops at once, and only a strip with the right oil ends it', async ({
  page,
  yard,
}) => {
  await open(page, yard, '/set-up/pump/qp-02');
  await page.getByRole('button', { name: 'oxygen above 21 %' }).click();
  await page.getByRole('button', { name: 'Change from now' }).click();
  await expect(page.getByText(/Hydrocarbon oil in oxygen service/)).toBeVisible();
  await page.getByRole('button', { name: 'Save the change' }).click();
  await expect(page.getByText(/saved/i).first()).toBeVisible();
  await open(page, yard, '/pumps/qp-02');
  await expect(stop(page).first()).toBeVisible();
  await expect(page.getByText(/it can explode/).first()).toBeVisible();

  // A change with the same oil is asked about, and ends nothing.
  yard.expectedErrors.push(/422/);
  await open(page, yard, '/pumps/qp-02/change');
  await expect(page.getByText(/Only inert \(PFPE\) oil/)).toBeVisible();
  await page.getByLabel('Came out').fill('1900 mL');
  await levelRight(page);
  await page.getByRole('button', { name: 'Save the oil change' }).click();
  await expect(page.getByText(/Did it really come about\?/)).toBeVisible();
  await page.getByRole('button', { name: /^It happened so/ }).click();
  await expect(page.getByText('Oil changed on QP-02').first()).toBeVisible();

  await open(page, yard, '/pumps/qp-02');
  await page.getByRole('link', { name: /^Strip and clean, then log it/ }).click();
  await expect(page.getByLabel('Which task')).toHaveValue('stripClean');
  await page.getByLabel('Oil', { exact: true }).selectOption({ label: await pfpe(page) });
  await levelRight(page);
  await page.getByRole('button', { name: 'Save the task' }).click();
  await expect(page.getByText('Strip and solvent clean done on QP-02').first()).toBeVisible();
  await expect(stop(page)).toHaveCount(0);
  const { lines } = (await (await fetch(`${yard.address}/api/pumps/qp-02/journal`)).json()) as {
    lines: { entry: { kind: string; actId: string } }[];
  };
  const [done, change] = ['done', 'change'].map((kind) => lines.find((l) => l.entry.kind === kind)?.entry.actId);
  expect(done).toBe(change);
});

/** The yard's oil that does not burn, as the field offers it. */
async function pfpe(page: Page): Promise<string> {
  const labels = await page.getByLabel('Oil', { exact: true }).locator('option').allTextContents();
  return labels.find((l) => l.startsWith('Tern')) ?? '';
}

test('no oil in the glass: filled up it is a Stop until somebody says where the oil went', async ({ page, yard }) => {
  await open(page, yard, '/pumps/lf-02/look');
  await page.getByRole('radio', { name: '20 h' }).click();
  await page.getByRole('radio', { name: 'no oil in the glass' }).click();
  await page.getByRole('button', { name: 'Save the look' }).click();
  await page
    .getByRole('link', { name: /^Top up/ })
    .first()
    .click();
  await page.getByLabel('Filled in').fill('200 mL');
  await levelRight(page);
  await page.getByRole('button', { name: 'Save the top-up' }).click();
  await expect(page.getByText('Top-up saved on LF-02').first()).toBeVisible();
  await expect(page.getByText(/nobody said where the oil went/).first()).toBeVisible();
  await page.getByRole('link', { name: /^Say where the oil went/ }).click();
  await page.getByRole('radio', { name: '20 h' }).click();
  await page.getByRole('radio', { name: 'right', exact: true }).click();
  await page.getByRole('radio', { name: 'out by a leak' }).click();
  await page.getByRole('button', { name: 'Save the look' }).click();
  await expect(page.getByText(/it had gone out by a leak/).first()).toBeVisible();
  await expect(stop(page)).toHaveCount(0);
});
