import { expect, noSidewaysScroll, open, ownPumpTest } from './yard.js';
import { moderateOrWorse } from './axe-findings.js';

const LOGS = new URL('../core/reference/gauge-logs/', import.meta.url).pathname;

ownPumpTest(
  'a rise of pressure is read from its log, kept as evidence, and read again from the journal',
  async ({ page, yard }) => {
    await open(page, yard, '/pumps/lf-02/test?check=rateOfRise');
    await page.getByRole('link', { name: 'Read it from a gauge’s log' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Gauge log');
    const file = page.locator('input[type=file]');
    await file.setInputFiles(`${LOGS}rise-leak-and-moist.csv`);
    await expect(page.getByText('Say below how many litres are closed off')).toBeVisible();
    await page.getByLabel('What is closed off, in litres').fill('62');
    await expect(page.getByRole('heading', { name: 'A small leak, and moisture as well' })).toBeVisible();
    // 0.0016 hPa·L/s and 0.21 hPa are what it was made of.
    await expect(page.getByRole('heading', { name: /^Leak 0\.0016\shPa·L\/s$/ })).toBeVisible();
    await expect(page.getByText('The leak is too small to be why it pumps badly.')).toBeVisible();
    await expect(page.getByText(/tabs · decimal point · time in min · Torr · 601 readings/)).toBeVisible();
    await expect(page.getByText('Taken for granted, as nothing says it: when it began.')).toBeVisible();
    expect(await moderateOrWorse(page)).toEqual([]);
    await page.getByRole('button', { name: 'Keep it as evidence' }).click();
    await expect(page).toHaveURL(/\/pumps\/lf-02\/what-is-wrong$/);
    await expect(page.getByText(/rises and flattens/).first()).toBeVisible();

    // From the journal it is read again, by what is kept.
    const { state } = await yard.pump('lf-02');
    expect(state.case?.status).toBe('open');
    await open(page, yard, '/pumps/lf-02');
    await expect(
      page.getByText(/Rise of pressure: a leak, and moisture as well, 0\.0016\shPa·L\/s/i).first(),
    ).toBeVisible();
  },
);

ownPumpTest(
  'a pump-down of another dialect; what was understood can be changed; no text is told so',
  async ({ page, yard }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await open(page, yard, '/pumps/lf-01/gauge-log');
    const file = page.locator('input[type=file]');
    await page.getByLabel('What is closed off, in litres').fill('62');
    await file.setInputFiles({
      name: 'picture.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from([0x89, 0x50, 0, 1, 2, 3]),
    });
    await expect(page.getByRole('alert').filter({ hasText: 'This is no text.' })).toBeVisible();
    await file.setInputFiles(`${LOGS}pumpdown-worn.csv`);
    await expect(
      page.getByRole('heading', { name: 'Slow, and it ends too high: a worn pump, or dirty oil' }),
    ).toBeVisible();
    await expect(page.getByRole('heading', { name: /^Speed 2\.81\sm³\/h$/ })).toBeVisible();
    await noSidewaysScroll(page);

    // A log without a unit asks for it, and is judged once it is chosen.
    const rows = Array.from({ length: 60 }, (_, i) => `${i * 10},${(3 + (i % 2) * 0.01).toFixed(3)}`);
    await file.setInputFiles({
      name: 'bare.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(['s,x', ...rows].join('\n')),
    });
    await expect(page.getByRole('alert').filter({ hasText: 'Nothing says which unit it is in.' })).toBeVisible();
    await page.getByLabel('Unit', { exact: true }).selectOption('Pa');
    await expect(page.getByRole('heading', { name: 'Tight and dry' })).toBeVisible();
    // Nothing is wrong: no case is opened for it.
    await page.getByRole('button', { name: 'Keep it as evidence' }).click();
    await expect(page).toHaveURL(/what-is-wrong$/);
    expect((await yard.pump('lf-01')).state.case).toBeNull();
  },
);
