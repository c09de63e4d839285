import { expect, noSidewaysScroll, open, ownPumpTest } from './yard.js';
import { moderateOrWorse } from './axe-findings.js';

ownPumpTest(
  'what a thin hose costs, what a wider one gives back, and whether a filter in it pays',
  async ({ page, yard }) => {
    await open(page, yard, '/equipment/ferry-c/vacuum');
    await page.getByRole('link', { name: 'Hose and in-line filter' }).click();
    await expect(page.getByText(/^A 25 mm hose would save \d+ min a pump-down$/)).toBeVisible();
    await expect(page.getByText(/^Most is lost in: Hose or pipe, 16 mm/)).toBeVisible();
    expect(await moderateOrWorse(page)).toEqual([]);

    // A figure that is wrong is told, and nothing is kept of it.
    const bores = page.getByLabel('Inside, mm');
    await bores.nth(1).fill('wide');
    await page.getByRole('button', { name: 'Keep it for Map cabinet' }).click();
    await expect(page.getByText('Nothing was kept: a figure is missing or not right.')).toBeVisible();
    for (const i of [1, 2]) await bores.nth(i).fill('63');
    await expect(page.getByText(/^It costs \d+ s a pump-down, most of it here: valve, 25 mm × 80 mm$/)).toBeVisible();
    await bores.nth(0).fill('63');
    await expect(page.getByText('Wide enough: it costs next to nothing')).toBeVisible();
    await page.getByRole('button', { name: 'Keep it for Map cabinet' }).click();
    await expect(page.getByText('Kept.')).toBeVisible();
    expect((await yard.pump('lf-03')).setUp.equipment.inlet).toMatchObject([{}, { kind: 'hose', diameterMm: 63 }, {}]);

    // Its oil is changed after every run whatever is in it: a filter keeps the wear alone.
    const filter = page.getByRole('region', { name: 'In-line filter' });
    await expect(filter.getByText(/^It costs \d+ a year more than it keeps$/)).toBeVisible();
    await expect(filter.getByText(/a filter keeps none of that until it stays in longer/)).toBeVisible();
    await filter.getByLabel('Oil changes made by particles, %').fill('60');
    await expect(filter.getByText(/^It keeps [\d,]+ a year$/)).toBeVisible();

    await page.setViewportSize({ width: 390, height: 844 });
    await open(page, yard, '/pumps/lf-02/inlet');
    await page.getByRole('button', { name: 'Add a hose' }).click();
    await page.getByLabel('Inside, mm').fill('25');
    await page.getByLabel('Length, mm').fill('1000');
    await expect(page.getByText('Say the chamber’s volume in the set-up, and its minutes are told')).toBeVisible();
    await expect(page.getByRole('row', { name: /0\.1\shPa/ })).toBeVisible();
    await noSidewaysScroll(page);
    // The form of the set-up keeps the chain that it does not ask for.
    await open(page, yard, '/set-up/equipment/ferry-c');
    await page.getByLabel('Chamber volume').fill('200 L');
    await page.getByRole('button', { name: 'Change from now' }).click();
    await expect
      .poll(async () => (await yard.pump('lf-03')).setUp.equipment)
      .toMatchObject({ chamberVolumeL: 200, inlet: [{}, { diameterMm: 63 }, {}] });
  },
);
