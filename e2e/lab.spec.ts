import { expect, open, readingTest, test } from './yard.js';

const PUMP = '/pumps/rl-02';

test('a sample is drawn, its report is typed, and the verdict says what it means, live and after', async ({
  page,
  yard,
}) => {
  await open(page, yard, PUMP);
  await page.getByRole('link', { name: 'Lab sample', exact: true }).click();
  await page.getByLabel('On the bottle').fill('Bottle 12');
  await page.getByRole('button', { name: 'Save the sample' }).click();
  await expect(page.getByText('Lab sample saved on RL-02').first()).toBeVisible();

  await page.getByRole('link', { name: 'Lab report', exact: true }).click();
  // The sample that waits longest is proposed; this report is of the new one.
  await expect(page.getByLabel('Which sample')).toContainText('RL-02/4');
  await page.getByLabel('Which sample').selectOption({ index: 0 });
  await page.getByRole('button', { name: 'Save the report' }).click();
  await expect(page.getByText('Say at least one figure.')).toBeVisible();
  const verdict = page.getByRole('complementary', { name: 'The verdict' });
  await page.getByLabel('Viscosity at 40 °C').fill('82 cSt');
  await expect(verdict.getByText('Change before next run')).toBeVisible();
  await expect(verdict.getByText(/18.% thinner than new: 82 against 100.mm²\/s/)).toBeVisible();
  await page.getByLabel('Water (Karl Fischer)').fill('0.09 %');
  await expect(verdict.getByText(/900.ppm of water by lab .* must not be purged with air/)).toBeVisible();
  await page.getByLabel('Base number').fill('7');
  await expect(verdict.getByText(/Base number is kept but not judged/)).toBeVisible();
  await page.getByLabel('Particles ≥ 4 µm').fill('18340');
  await page.getByLabel('Particles ≥ 6 µm').fill('2210');
  await page.getByRole('button', { name: 'Save the report' }).click();
  await expect(page.getByText(/all three counts/)).toBeVisible();
  await page.getByLabel('Particles ≥ 14 µm').fill('97');
  await expect(verdict.getByText(/21\/18\/14 by ISO 4406/)).toBeVisible();
  await page.getByRole('button', { name: 'Save the report' }).click();
  await expect(page.getByText('Lab report saved on RL-02').first()).toBeVisible();
  await expect(page.getByText('Change before next run', { exact: true }).first()).toBeVisible();
  const line = page.getByText(/viscosity at 40 °c 82.mm²\/s .* particles 21\/18\/14/);
  await expect(line).toBeVisible();

  await page.reload();
  await expect(page.getByText('Change before next run', { exact: true }).first()).toBeVisible();
  const { state } = await yard.pump('rl-02');
  expect(state.sumps[0]?.findings.map((f) => f.code).sort()).toEqual(['labWater', 'viscosity']);
});

test('a limit of the lab is changed for an oil, and the next report follows it', async ({ page, yard }) => {
  await open(page, yard, '/set-up/oilProduct/linnet-100');
  await page.getByRole('heading', { name: 'Reading the oil' }).click();
  await page.getByLabel('Thinner by … % than this product’s unused oil: Stop').fill('15');
  await page.getByRole('button', { name: 'Change from now' }).click();
  await expect(page.getByText(/saved/).first()).toBeVisible();
  await open(page, yard, `${PUMP}/lab-report`);
  await page.getByLabel('Viscosity at 40 °C').fill('82');
  const verdict = page.getByRole('complementary', { name: 'The verdict' });
  await expect(verdict.getByText('Stop', { exact: true })).toBeVisible();
});

readingTest('without a sample the report says what to do first', async ({ page, yard }) => {
  await page.goto(`${yard.address}/pumps/lf-02/lab-report`);
  await expect(page.getByText('No sample has been drawn yet')).toBeVisible();
  await page.getByRole('link', { name: 'Log a lab sample' }).click();
  await expect(page.getByRole('heading', { name: 'Lab sample' })).toBeVisible();
});

readingTest(
  'in an oil denser than water the water floats: the jar is drawn and read the other way up',
  async ({ page, yard }) => {
    await open(page, yard, '/pumps/qp-03');
    await expect(page.getByRole('link', { name: /^Top up/ }).first()).toBeVisible();
    await expect(page.getByRole('link', { name: /^Bleed/ })).toHaveCount(0);
    await open(page, yard, '/pumps/qp-03/look');
    await page.getByRole('radio', { name: 'sample', exact: true }).click();
    await page.getByLabel('In the jar, all of it').fill('240 mL');
    await page.getByRole('radio', { name: '2 h', exact: true }).click();
    await page.getByRole('textbox', { name: 'Free water' }).fill('15 mL');
    await expect(page.getByText(/This oil is denser than water: the water floats/)).toBeVisible();
    const topOf = async (text: string) => (await page.getByText(text, { exact: true }).first().boundingBox())?.y ?? NaN;
    expect(await topOf('Free water')).toBeLessThan(await topOf('Clear oil'));
    await expect(
      page.getByRole('complementary', { name: 'The verdict' }).getByText(/floats on this oil: skim it, purge/),
    ).toBeVisible();
  },
);
