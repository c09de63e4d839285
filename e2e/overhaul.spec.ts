import { moderateOrWorse } from './axe-findings.js';
import { expect, letPass, noSidewaysScroll, open, test } from './yard.js';

const PICTURE = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
);

test('an overhaul: apart into numbered bags with a photograph of each, together in the reverse order', async ({
  page,
  yard,
}) => {
  await open(page, yard, '/pumps/lf-01/job-cards');
  await page.getByRole('button', { name: /^Who, units and look/ }).click();
  await page.getByRole('radio', { name: 'Wren' }).click();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Start: Overhaul' }).click();
  await expect(page).toHaveURL(/\/pumps\/lf-01\/job$/);
  const tap = async (n: number, name: string | RegExp) => {
    const step = page.getByRole('region', { name: new RegExp(`^Step ${n} of `) });
    await step.getByRole('button', { name, exact: true }).click();
  };
  const until = [
    ...['allowed', 'The oil is at 40–60 °C', 'Done', 'Done', 'Done', 'Only drops come', 'Done', 'Done'],
    ...['Not measured', 'The jar is filled', 'Done', 'Done'],
  ];
  for (const [i, name] of until.entries()) await tap(i + 1, name);
  const apart = page.getByRole('region', { name: /^Step 13 of / });
  await expect(apart.getByRole('heading', { level: 2 })).toHaveText('Oil case, its gasket and the exhaust filter');
  await expect(apart.getByText(/into bag 1\. Never lever on machined faces\.$/)).toBeVisible();

  await apart.getByRole('link', { name: 'Labels for the bags' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Back on in the reverse order' })).toHaveCount(5);
  expect(await moderateOrWorse(page)).toEqual([]);
  await page.getByRole('link', { name: 'Back', exact: true }).click();
  await expect(apart).toBeVisible();

  await apart.locator('input[type=file]').setInputFiles({ name: 'p.png', mimeType: 'image/png', buffer: PICTURE });
  await expect(apart.getByRole('img', { name: 'The photograph as it was' })).toBeVisible();
  await page.setViewportSize({ width: 390, height: 844 });
  await noSidewaysScroll(page);
  await tap(13, 'Done');
  for (const n of [14, 15, 16, 17]) await tap(n, 'Done, not photographed');
  await tap(18, 'good');
  await tap(19, 'Done');
  await expect(page.getByText('It was not photographed when it came off.')).toBeVisible();
  for (const n of [20, 21, 22, 23]) await tap(n, 'Done');
  const last = page.getByRole('region', { name: /^Step 24 of / });
  await expect(last.getByRole('heading', { level: 2 })).toHaveText(/^Bag 1, oil case/);
  await expect(last.getByRole('img', { name: 'As it was before it came off' })).toBeVisible();
  expect(await moderateOrWorse(page)).toEqual([]);

  // Whole again: what opened it is closed, and it is filled.
  await tap(24, 'Done');
  await expect(page.getByText(/^It stands open since/)).toHaveCount(0);
  await tap(25, 'Done');
  await page.getByLabel('Filled in', { exact: true }).fill('700');
  await tap(26, 'Next');
  await tap(27, 'Done');
  await tap(28, 'Done');
  for (const n of [29, 30]) {
    await expect(page.getByRole('region', { name: new RegExp(`^Step ${n} of `) })).toBeVisible();
    await letPass(page, yard, 0.2);
    await page.reload();
    await tap(n, 'Go on');
  }
  await tap(31, 'at the mark');
  await tap(32, 'Done');
  await tap(33, 'Done');
  await tap(34, 'The pressure falls no more');
  await tap(35, 'Not measured');
  // Its first charge is changed early: one tap, and the set-up knows.
  await tap(36, 'Overhauled now: change its first charge early');
  await expect(page.getByText(/^It is said: overhauled in this job/)).toBeVisible();
  await tap(36, 'Done');
  await expect(page).toHaveURL(/\/jobs\//);
  await expect(page.getByRole('img', { name: 'As it was' })).toBeVisible();
  const { state, setUp } = await yard.pump('lf-01');
  const charge = state.sumps.find(({ key }) => key === 'oil')?.charge;
  expect(setUp.pump.overhauledAt).not.toBeNull();
  expect((charge?.since.at ?? 'z') <= (setUp.pump.overhauledAt ?? '')).toBe(true);
  expect([state.drained, state.notWhole, state.job]).toEqual([null, null, null]);
});
