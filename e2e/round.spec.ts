import { expect, noSidewaysScroll, open, readingTest, test } from './yard.js';

readingTest(
  'the Round begins with what needs hands, Stop first, and the sentence counts it',
  async ({ page, yard }) => {
    await open(page, yard, '/');
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^Five pumps need hands today/);
    const rows = page.locator('a[id^=row-]');
    await expect(rows.first()).toContainText('Stop');
    const verdicts = await rows.allTextContents();
    const order = verdicts.map((t) =>
      t.includes('Stop') ? 3 : t.includes('before next run') ? 2 : t.includes('Look sooner') ? 1 : 0,
    );
    expect(order).toEqual([...order].sort((a, b) => b - a));
    expect(new Set(order).size).toBe(4);
    await expect(page.getByText(/Demo yard of/)).toBeVisible();
  },
);

readingTest('a click shows a pump in the sheet, the address remembers it, back works', async ({ page, yard }) => {
  await open(page, yard, '/');
  await page.locator('#row-lf-01').click();
  const sheet = page.getByRole('region', { name: 'LF-01, selected' });
  await expect(sheet.getByText(/of water in the oil/)).toBeVisible();
  await expect(
    sheet
      .getByRole('img', { name: /sludge 2.mL, free water 46.mL, cream 18.mL, hazy oil 190.mL, clear oil 84.mL/ })
      .first(),
  ).toBeVisible();
  await page.reload();
  await expect(page.getByRole('region', { name: 'LF-01, selected' })).toBeVisible();
  await sheet.getByRole('link', { name: 'LF-01' }).click();
  await expect(page).toHaveURL(/\/pumps\/lf-01$/);
  await expect(page).toHaveTitle('LF-01 · Winter Jar');
  await page.goBack();
  await expect(page.getByRole('region', { name: 'LF-01, selected' })).toBeVisible();
});

readingTest('by runs left and by day put the rest in another order', async ({ page, yard }) => {
  await open(page, yard, '/');
  await page.getByRole('button', { name: 'by runs left' }).click();
  await expect(page.getByRole('heading', { name: 'By runs left' })).toBeVisible();
  await page.getByRole('button', { name: 'by day' }).click();
  await expect(page.getByRole('heading', { name: 'Due now' })).toBeVisible();
  await expect(page).toHaveURL(/by=day/);
});

test('everything by keyboard: move, open, log, search, help', async ({ page, yard }) => {
  await open(page, yard, '/');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  const focused = page.locator('a[id^=row-]:focus');
  await expect(focused).toHaveCount(1);
  const id = (await focused.getAttribute('id'))?.replace('row-', '') ?? '';
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(new RegExp(`/pumps/${id}$`));

  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('/');
  await expect(page.getByPlaceholder('A pump, or what to do')).toBeFocused();
  await page.keyboard.type('LF-02 log');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/pumps\/lf-02\/run$/);
  const before = (await yard.pump('lf-02')).state.totals.runs;
  await page.getByLabel('Anything odd').focus();
  await page.keyboard.type('rbls?');
  await expect(page.getByLabel('Anything odd')).toHaveValue('rbls?');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('button', { name: 'Save the run' })).toBeFocused();
  await page.getByLabel('How long').fill('40 min');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Run logged on LF-02').first()).toBeVisible();
  expect((await yard.pump('lf-02')).state.totals.runs).toBe(before + 1);

  await expect(page.getByRole('heading', { level: 1, name: 'LF-02' })).toBeVisible();
  await page.keyboard.press('b');
  await expect(page).toHaveURL(/\/pumps\/lf-02\/bleed$/);
});

readingTest('letters can be switched off', async ({ page, yard }) => {
  await open(page, yard, '/pumps/lf-02');
  await page.getByRole('button', { name: /^Who, units and look/ }).click();
  await page.getByRole('group', { name: 'Single-letter keys' }).getByRole('radio', { name: 'off' }).click();
  await page.keyboard.press('Escape');
  await page.keyboard.press('r');
  await page.keyboard.press('/');
  await expect(page.getByPlaceholder('A pump, or what to do')).toBeVisible();
  await expect(page).toHaveURL(/\/pumps\/lf-02$/);
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

  test('a run like the last one that ended now takes five taps or fewer', async ({ page, yard }) => {
    const before = await yard.pump('lf-02');
    await open(page, yard, '/');
    let taps = 0;
    const tap = async (name: RegExp | string, role: 'link' | 'button') => {
      taps += 1;
      await page.getByRole(role, { name }).first().tap();
    };
    await tap(/LF-02/, 'link');
    await tap(/^Log a run/, 'link');
    await expect(page.getByText(/→ \d/)).toBeVisible();
    await tap('Save the run', 'button');
    const question = page.getByRole('button', { name: 'Yes, keep both' });
    const saved = page.getByText('Run logged on LF-02').first();
    await expect(question.or(saved).first()).toBeVisible();
    if (await question.isVisible()) await tap('Yes, keep both', 'button');
    await expect(saved).toBeVisible();
    expect(taps).toBeLessThanOrEqual(5);
    const after = await yard.pump('lf-02');
    expect(after.state.totals.runs).toBe(before.state.totals.runs + 1);
    expect(after.state.lastRun).toMatchObject({
      materialId: before.state.lastRun?.materialId,
      minutes: before.state.lastRun?.minutes,
      // Nobody has read it.
      trapTempC: null,
    });
    yard.expectedErrors.push(/422/);
  });

  readingTest('no page scrolls sideways', async ({ page, yard }) => {
    for (const path of [
      '/',
      '/pumps/lf-01',
      '/pumps/lf-01/run',
      '/pumps/lf-01/look',
      '/pumps/lf-01/bleed',
      '/pumps/qp-01/change',
      '/pumps/cw-b1',
      '/pumps/cw-02/top-up',
      '/logs/runs',
    ]) {
      await open(page, yard, path);
      await noSidewaysScroll(page);
    }
  });
});

readingTest('pages that are not there say so', async ({ page, yard }) => {
  yard.expectedErrors.push(/404/);
  await open(page, yard, '/nowhere');
  await expect(page.getByRole('heading', { name: 'There is no page at this address' })).toBeVisible();
  await page.goto(`${yard.address}/pumps/none`);
  await expect(page.getByText('There is no such pump')).toBeVisible();
  expect((await fetch(`${yard.address}/assets/missing.js`)).status).toBe(404);
});
