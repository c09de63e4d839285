import { moderateOrWorse } from './axe-findings.js';
import { expect, open, readingTest as test } from './yard.js';

/** Pages of a PDF, by its page objects. */
const pagesIn = (pdf: Buffer): number => pdf.toString('latin1').split(/\/Type\s*\/Page\b(?!s)/).length - 1;

test('a job card has the steps of this pump with its oil, the caution before the step, and fits one page; none of what the pump cannot have', async ({
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

  // Resin with styrene runs on this pump: a purge bars air.
  await open(page, yard, '/pumps/rl-02/job-cards/ballastPurge');
  await expect(page.getByText(/never purge or ballast with air/).first()).toBeVisible();
  await expect(page.getByText(/^Nitrogen on the ballast port/)).toBeVisible();
  await expect(page.getByText('Open the ballast.')).toHaveCount(0);

  await page.goto(`${yard.address}/pumps/lf-01/job-cards/boosterOil`);
  await expect(page.getByText('This pump has no such procedure')).toBeVisible();
});

test('a tag for the switch says why nobody may start it, since when, and whose lock it is', async ({ page, yard }) => {
  await open(page, yard, '/pumps/rl-01/switch-tag');
  const tag = page.getByRole('article');
  await expect(tag.getByText('Do not start', { exact: true })).toBeVisible();
  await expect(tag.getByText(/^Oil change under way since .*\d{4},? \d\d:\d\d\.$/)).toBeVisible();
  await expect(tag.getByText('Running oil opaque.')).toBeVisible();
  // It cools down still: Corin is at it, and no lock hangs yet.
  await expect(tag.getByText('At it: Corin')).toBeVisible();
  await expect(tag.getByText(/^At it: Corin\s*Locked by …+/)).toBeVisible();
  await expect(tag.getByText(/^Solvent may be in the oil/)).toBeVisible();
  expect(await moderateOrWorse(page)).toEqual([]);
});

test('what answers a reason is led step by step: the service that it calls for comes first', async ({ page, yard }) => {
  await open(page, yard, '/pumps/qp-01');
  await page.getByRole('link', { name: 'Step by step, beside the pump' }).click();
  const services = page.getByRole('main').getByRole('listitem');
  await expect(services.first()).toContainText('Oil and oil filter');
  // A pump module is opened where the house allows it, by people who may: nobody has said who writes here.
  await expect(services.filter({ hasText: 'Overhaul' })).toContainText(
    'By people whose record allows a specialist’s work',
  );
});
