import { expect, open, openSection, readingTest, test } from './yard.js';

test('a pump that grinds is stopped, a usual noise ends nothing, and the inspection does', async ({ page, yard }) => {
  const say = async (state: string) => {
    await open(page, yard, '/pumps/qp-02/test');
    await page.getByLabel(/What do you see|Anything else/).fill('noise');
    await page.getByRole('button', { name: 'Noise', exact: true }).click();
    await page.getByRole('radio', { name: state }).click();
    await page.getByRole('button', { name: 'Save what you see' }).click();
    await expect(page.getByText('Saved on QP-02').first()).toBeVisible();
  };
  await say('metal grinds');
  await open(page, yard, '/');
  await expect(page.locator('#row-qp-02')).toContainText('Metal grinds');
  await say('as usual');
  await open(page, yard, '/pumps/qp-02');
  await expect(page.getByText(/^Metal grinds/).first()).toBeVisible();
  await page.getByRole('link', { name: /^Inspect, then log it/ }).click();
  await page.getByRole('button', { name: 'Save the task' }).click();
  await expect(page.getByText('Vane check done on QP-02').first()).toBeVisible();
  await expect(page.getByText(/^Metal grinds/)).toHaveCount(0);
});

test('a pressure that is blanked off is held to the pump’s own, and says so before and after', async ({
  page,
  yard,
}) => {
  await open(page, yard, '/pumps/cw-01/blank-off');
  await expect(page.getByText(/^Poor over .* three times its model’s ultimate\.$/)).toBeVisible();
  await page.getByLabel('Pressure read').fill('2 hPa');
  await page.getByLabel('Oil’s warmth').fill('65');
  await page.getByLabel('Which gauge').fill('G-2');
  await page.getByRole('button', { name: 'Save the result' }).click();
  await expect(page.getByText('Saved on CW-01').first()).toBeVisible();
  await open(page, yard, '/pumps/cw-01');
  await expect(page.getByText(/at the pump, blanked off/).first()).toBeVisible();
  await expect(page.getByRole('link', { name: /^Find the cause/ }).first()).toBeVisible();
  // What each school costs is told on the pump's own use.
  await openSection(page, 'What decides next');
  await page.getByText('What each school costs here').click();
  await expect(page.getByRole('region', { name: 'What each school costs here' })).toContainText('By the gauge');
});

readingTest('in composites no smell is asked for, and one that came by itself can be told', async ({ page, yard }) => {
  await open(page, yard, '/pumps/rl-02/test?check=standingSample');
  await expect(page.getByText('Smell of the oil')).toHaveCount(0);
  await open(page, yard, '/pumps/rl-02/look');
  await page.getByText('Smell, foam, and what else').click();
  await expect(page.getByText('Never smell at it: one that came by itself')).toBeVisible();
  await page.getByText('Never smell at it: one that came by itself').click();
  await expect(page.getByRole('radio', { name: 'solvent' })).toBeVisible();
});
