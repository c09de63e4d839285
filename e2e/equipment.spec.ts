import { expect, logRun, noSidewaysScroll, open, test } from './yard.js';

test('a chamber has a record of its own: runs, a note, its meter, and each can be taken back', async ({
  page,
  yard,
}) => {
  await open(page, yard, '/pumps/lf-02');
  const { state, setUp } = await yard.pump('lf-02');
  await page.getByRole('link', { name: setUp.equipment.name, exact: true }).click();
  await expect(page.getByRole('heading', { name: setUp.equipment.name, level: 1 })).toBeVisible();
  const runs = (count: number) => page.getByText(new RegExp(`^${count} in `));
  await expect(runs(state.totals.runs)).toBeVisible();

  await page.getByLabel('Note').fill('Door seal is flat at the hinge');
  await page.getByRole('button', { name: 'Write', exact: true }).click();
  const line = page.getByRole('listitem').filter({ hasText: 'Door seal is flat' });
  await expect(line).toBeVisible();
  await page.getByRole('button', { name: 'Read it' }).click();
  await page.getByLabel('It shows').fill('twelve');
  await page.getByRole('button', { name: 'Save the reading' }).click();
  await expect(page.getByText('not read yet')).toBeVisible();
  await page.getByLabel('It shows').fill('12400 h');
  await page.getByRole('button', { name: 'Save the reading' }).click();
  await expect(page.getByText(/^12,400\sh, today/).first()).toBeVisible();
  await line.getByRole('button', { name: /^Take back: Note/ }).click();
  await expect(line).toHaveCount(0);

  await logRun(page, yard, 'lf-02', 120, 60);
  await page.getByRole('link', { name: setUp.equipment.name, exact: true }).click();
  await expect(runs(state.totals.runs + 1)).toBeVisible();
  await page.setViewportSize({ width: 390, height: 844 });
  await noSidewaysScroll(page);
});
