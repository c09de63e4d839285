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
    await expect(page.getByText('Say how many litres are closed off, such as 62. Then it is judged.')).toBeVisible();
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

const csv = (seconds: number, everyS: number, hpa: (s: number) => number): Buffer => {
  const rows = Array.from({ length: Math.floor(seconds / everyS) + 1 }, (_, i) => {
    const s = i * everyS;
    return `${s},${hpa(s).toPrecision(5)}`;
  });
  return Buffer.from(['s,hPa', ...rows].join('\n'));
};

ownPumpTest(
  'a bag, a packer’s cycles and a pump blanked off are judged each by its own, and stand in the set’s record',
  async ({ page, yard }) => {
    const file = page.locator('input[type=file]');
    // 30 hPa in ten minutes.
    await open(page, yard, '/pumps/rl-02/gauge-log');
    await page.getByRole('radio', { name: 'bag drop test' }).click();
    await file.setInputFiles({ name: 'bag.csv', mimeType: 'text/csv', buffer: csv(900, 5, (s) => 40 + s / 20) });
    await expect(page.getByRole('heading', { name: 'The bag drops too fast' })).toBeVisible();
    await expect(page.getByRole('heading', { name: /^30\shPa in 10 min$/ })).toBeVisible();
    await page.getByLabel('It may rise in ten minutes by').fill('35');
    await expect(page.getByRole('heading', { name: 'The bag holds' })).toBeVisible();
    await expect(page.getByText('All 5 tests')).toBeVisible();
    expect(await moderateOrWorse(page)).toEqual([]);
    await page.getByRole('button', { name: 'Keep it as evidence' }).click();
    await expect(page).toHaveURL(/what-is-wrong$/);
    expect((await yard.pump('rl-02')).state.case?.status).not.toBe('open');

    // Its own first three came to 10 hPa in 10.8 s; with a time constant of 3.2 s it is 3.2 · ln(1013 / 10) = 14.8 s.
    await open(page, yard, '/pumps/qp-02/gauge-log');
    await page.getByRole('radio', { name: 'cycle pull-down' }).click();
    const cycles = csv(110, 0.25, (s) => (s % 22 < 16 ? 1013 * Math.exp(-(s % 22) / 3.2) : 1013));
    await file.setInputFiles({ name: 'cycles.csv', mimeType: 'text/csv', buffer: cycles });
    await expect(page.getByText('Say to which pressure the cycles are timed, such as 5 hPa.')).toBeVisible();
    await page.getByLabel('The set pressure').fill('10 hPa');
    await expect(page.getByRole('heading', { name: 'Pulls down too slowly' })).toBeVisible();
    await page.getByRole('button', { name: 'Keep it as evidence' }).click();
    await expect(page).toHaveURL(/what-is-wrong$/);
    const line = await yard.pump('qp-02');
    expect(line.state.case?.status).toBe('open');

    // 0.03 hPa is over three times what it comes to by its plate.
    await page.setViewportSize({ width: 390, height: 844 });
    await open(page, yard, '/pumps/cw-02/gauge-log');
    await page.getByRole('radio', { name: 'pump blanked off' }).click();
    const blanked = csv(1800, 5, (s) => 0.03 + 2 * Math.exp(-s / 60));
    await file.setInputFiles({ name: 'blanked.csv', mimeType: 'text/csv', buffer: blanked });
    await expect(page.getByRole('heading', { name: 'The pump by itself ends too high' })).toBeVisible();
    await noSidewaysScroll(page);
    await page.getByRole('button', { name: 'Keep it as evidence' }).click();
    await expect(page).toHaveURL(/what-is-wrong$/);
    expect((await yard.pump('cw-02')).row.reasons.map(({ code }) => code)).toContain('poorVacuum');

    await open(page, yard, '/equipment/coil-oven');
    await page.getByRole('link', { name: 'Vacuum record' }).click();
    await expect(page.getByText('The pump by itself is over its limit')).toBeVisible();
    const blankedOff = page.getByRole('region', { name: 'Pump blanked off' });
    await expect(blankedOff.getByText(/over its limit, the highest of 2/)).toBeVisible();
    await blankedOff.getByText('All 2 tests').click();
    await expect(blankedOff.getByRole('row')).toHaveCount(2);
    await noSidewaysScroll(page);
    expect(await moderateOrWorse(page)).toEqual([]);
  },
);
