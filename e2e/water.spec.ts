import type { Page } from '@playwright/test';
import {
  expect,
  levelRight,
  logRun,
  minutesAgo,
  noSidewaysScroll,
  open,
  test,
  type Yard,
  openSection,
} from './yard.js';

const PUMP = '/pumps/lf-02';

async function earlier(page: Page, minutes: number): Promise<void> {
  await page.getByRole('radio', { name: 'earlier' }).click();
  await page.getByLabel('At', { exact: true }).fill(minutesAgo(minutes));
}

async function changeOil(page: Page, yard: Yard, minutes: number): Promise<void> {
  await open(page, yard, `${PUMP}/change`);
  await page.getByLabel('Came out').fill('650 mL');
  await earlier(page, minutes);
  await levelRight(page);
  await page.getByRole('button', { name: 'Save the oil change' }).click();
  await expect(page.getByText('Oil changed on LF-02').first()).toBeVisible();
}

async function bleed(page: Page, yard: Yard, minutes: number, drawn: string, water: string): Promise<void> {
  await open(page, yard, `${PUMP}/bleed`);
  await page.getByLabel('Drawn in all').fill(drawn);
  await page.getByLabel('Of it water').fill(water);
  await earlier(page, minutes);
  await page.getByRole('button', { name: 'Save the bleed' }).click();
  await expect(page.getByText('Bleed saved on LF-02').first()).toBeVisible();
}

const waterOf = (page: Page) =>
  page.locator('section').filter({ has: page.getByRole('heading', { name: 'Water', exact: true }) });

test('a wet run is expected, more is bled than it explains, the sentence says so, and the next run is in line', async ({
  page,
  yard,
}) => {
  await changeOil(page, yard, 60);
  // A run on a warm trap, right after a defrost.
  await open(page, yard, `${PUMP}/run`);
  await page.getByRole('radio', { name: 'from – to' }).click();
  await page.getByLabel('From', { exact: true }).fill(minutesAgo(55));
  await page.getByLabel('To', { exact: true }).fill(minutesAgo(50));
  await page.getByLabel('Trap, coldest').fill('-48');
  await page.getByText('More: load, oil’s warmth').click();
  await page.getByLabel('Oil, running').fill('68');
  const defrost = page.getByRole('group', { name: 'Trap defrosted before?' });
  await defrost.getByRole('radio', { name: 'yes' }).click();
  await page.getByLabel('Trap over time').fill('0 -50\nwarm');
  await page.getByRole('button', { name: 'Save the run' }).click();
  await expect(page.getByText('Line 2: “warm” is not minutes and a temperature.')).toBeVisible();
  await page.getByLabel('Trap over time').fill('');
  await page.getByRole('button', { name: 'Save the run' }).click();
  await expect(page.getByText('Run logged on LF-02').first()).toBeVisible();
  const water = waterOf(page);
  await expect(water.getByText(/nobody has bled it or looked for water/)).toBeVisible();

  await bleed(page, yard, 45, '60 mL', '45 mL');
  await expect(
    water.getByText(/^45.mL of water found where 1 run should have left .* more than they explain\.$/),
  ).toBeVisible();
  await expect(water.getByRole('img', { name: /^Expected in the oil .* Found 45.mL: bled 45.mL/ })).toBeVisible();
  await expect(water.getByText(/right after a defrost or with the drain open/)).toBeVisible();
  await water.getByText('The sum, run by run').click();
  await expect(water.getByText(/A leak of humid air would have to be/)).toBeVisible();
  await expect(water.getByText(/^The trap’s factor \d\.?\d* \(nine in ten/)).toBeVisible();
  await expect(water.getByRole('row').nth(1)).toContainText(/\d.g/);

  // What if: the ballast open on warm oil leaves next to nothing.
  await openSection(page, 'Ballast, what if');
  const whatIf = page.locator('section section').filter({ hasText: 'What if the next run' });
  await whatIf.getByLabel('Length').fill('30 h');
  await whatIf.getByLabel('Trap').fill('-40');
  const stays = whatIf.locator('dd').nth(1);
  // 17.1 g at S·p, for a trap as this pump's charges tell of it.
  const fit = (await yard.pump('lf-02')).state.traps.at(-1)?.fit;
  const factor = fit?.ok ? fit.efficiency : 1;
  await expect(stays).toHaveText(new RegExp(`^${Math.round(17.1 / factor)}.g$`));
  await whatIf.getByRole('radio', { name: 'open', exact: true }).click();
  await expect(stays).toHaveText(/^[01].g$/);
  await whatIf.getByLabel('Trap').fill('cold');
  await expect(whatIf.getByText(/“cold” is not a number/)).toBeVisible();

  // The advice is taken: fresh oil, and the next run brings what it should.
  await changeOil(page, yard, 40);
  await logRun(page, yard, 'lf-02', 35, 30, '-48');
  await bleed(page, yard, 20, '20 mL', '0 mL');
  await expect(water.getByText(/: as it should be\.$/)).toBeVisible();
});

test('on a phone the water is read and asked about without scrolling sideways', async ({ page, yard }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await open(page, yard, '/pumps/lf-01');
  const water = waterOf(page);
  await expect(water.getByText(/more than they explain/)).toBeVisible();
  await openSection(page, 'Ballast, what if');
  await page.getByLabel('Trap').fill('-60');
  await expect(page.getByText('Stays in the oil')).toBeVisible();
  await noSidewaysScroll(page);
});

test('a trap’s factor of the set-up is held to its bounds, and the history of the trap comes before it', async ({
  page,
  yard,
}) => {
  const { equipmentId } = (await yard.pump('lf-02')).setUp.pump;
  await open(page, yard, `/set-up/equipment/${equipmentId}`);
  const field = page.getByLabel('Trap’s factor');
  await field.fill('7');
  await page.getByRole('button', { name: 'Change from now' }).click();
  await expect(page.getByText(/trap’s factor from 0\.05 to 5/).first()).toBeVisible();
  await field.fill('3');
  await page.getByRole('button', { name: 'Change from now' }).click();
  await expect(page.getByText(/saved/).first()).toBeVisible();
  expect((await yard.pump('lf-02')).setUp.equipment.trapEfficiency).toBe(3);
  await open(page, yard, PUMP);
  await waterOf(page).getByText('The sum, run by run').click();
  await expect(waterOf(page).getByText(/What is expected goes by it, here and in the verdict/)).toBeVisible();
});
