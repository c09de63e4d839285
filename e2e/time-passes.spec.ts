import { expect, letPass, open, test } from './yard.js';

const HOURS = 90;

test('a run that goes on for days is asked about, and its end says how long it was', async ({ page, yard }) => {
  await open(page, yard, '/start');
  await page.getByRole('checkbox', { name: /^LF-03,/ }).click();
  await page.getByRole('button', { name: /^Start / }).click();
  await expect.poll(async () => (await yard.pump('lf-03')).state.running.length).toBe(1);
  const { totals } = (await yard.pump('lf-03')).state;

  await letPass(page, yard, HOURS);
  await open(page, yard, '/pumps/lf-03');
  await expect(page.getByText(/That is long: did it end, and was its end forgotten\?/).first()).toBeVisible();
  await page.getByRole('link', { name: 'End the run' }).first().click();
  await page.getByRole('button', { name: 'Save the run' }).click();
  await expect(page.getByText('Run ended on LF-03').first()).toBeVisible();
  const { running, totals: after } = (await yard.pump('lf-03')).state;
  expect(running).toEqual([]);
  expect(after.minutes - totals.minutes).toBeGreaterThanOrEqual(HOURS * 60);
  expect(after.minutes - totals.minutes).toBeLessThan(HOURS * 60 + 30);
});

test('a pump that has not run for two months has no date from its use, only the calendar’s', async ({ page, yard }) => {
  await open(page, yard, '/pumps/lf-02');
  await expect(page.getByText(/^Expected about /)).toBeVisible();
  await letPass(page, yard, 60 * 24);
  await open(page, yard, '/pumps/lf-02');
  await expect(page.getByText(/Idle: no run for 6\d days, so its use gives no date\./)).toBeVisible();
  await expect(page.getByText(/^After .* more .*runs?, and on (?!today).* at the latest\.$/)).toBeVisible();
  expect((await yard.pump('lf-02')).standing.usage.runsPerDay).toBeNull();
});
