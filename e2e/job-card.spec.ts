import { expect, open, readingTest as test } from './yard.js';

/** Pages of a PDF, by its page objects. */
const pagesIn = (pdf: Buffer): number => pdf.toString('latin1').split(/\/Type\s*\/Page\b(?!s)/).length - 1;

test('a job card has the steps of this pump with its oil, the caution before the step, and fits one page', async ({
  page,
  yard,
}) => {
  await open(page, yard, '/pumps/lf-01');
  await page.getByRole('link', { name: 'Service', exact: true }).click();
  await page.getByRole('link', { name: 'Card: Oil change' }).click();
  const card = page.getByRole('article');
  await expect(card.getByText('Fill to the mark, up to 700 mL.')).toBeVisible();
  await expect(card.getByText('Pour a little new oil through, about 70 mL')).toBeVisible();
  const drain = card.getByRole('listitem').filter({ hasText: 'open the drain' });
  await expect(drain.getByText(/^Hot oil and a hot housing burn/)).toBeVisible();
  await expect(drain.getByText(/^Used oil is regulated waste/)).toBeVisible();
  expect(pagesIn(await page.pdf({ format: 'A4', margin: { top: '12mm', bottom: '12mm' } }))).toBe(1);
});

test('where solvent went in the card of a purge bars air', async ({ page, yard }) => {
  // Resin with styrene runs on this pump.
  await open(page, yard, '/pumps/rl-02/job-cards/ballastPurge');
  await expect(page.getByText(/never purge or ballast with air/).first()).toBeVisible();
  await expect(page.getByText(/^Nitrogen on the ballast port/)).toBeVisible();
  await expect(page.getByText('Open the ballast.')).toHaveCount(0);
});

test('a pump is not offered what it cannot have', async ({ page, yard }) => {
  await page.goto(`${yard.address}/pumps/lf-01/job-cards/boosterOil`);
  await expect(page.getByText('This pump has no such procedure')).toBeVisible();
});
