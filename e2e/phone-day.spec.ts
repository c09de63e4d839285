import type { Locator } from '@playwright/test';
import { expect, letPass, open, readingTest, test } from './yard.js';

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

/** As a local field of the yard's zone takes it. */
const localNow = (ms: number): string =>
  new Intl.DateTimeFormat('sv-SE', { timeZone: 'Europe/Lisbon', dateStyle: 'short', timeStyle: 'short' })
    .format(ms)
    .replace(' ', 'T');

/** Counts what a thumb does; typing a number is told apart. */
function thumb() {
  let taps = 0;
  return {
    tap: async (what: Locator) => {
      await what.first().tap();
      taps += 1;
    },
    /** Taps since it was asked last. */
    counted: () => {
      const n = taps;
      taps = 0;
      return n;
    },
  };
}

test('a day of runs on a phone, from the Round, in as few taps as ever', async ({ page, yard }) => {
  const { tap, counted } = thumb();
  const link = (name: string) => page.getByRole('link', { name: new RegExp(`^${name}`) });
  const button = (name: string) => page.getByRole('button', { name, exact: true });
  const row = page.locator('#row-lf-02');
  const before = await yard.pump('lf-02');

  // Since the last run of the yard.
  await letPass(page, yard, 48);

  // A run like the last one.
  await open(page, yard, '/');
  await tap(row);
  await tap(link('Log a run'));
  await tap(button('Save the run'));
  await expect(page.getByText('Run logged on LF-02').first()).toBeVisible();
  expect(counted()).toBe(3);
  const after = await yard.pump('lf-02');
  expect(after.state.totals.runs).toBe(before.state.totals.runs + 1);
  expect(after.state.lastRun?.materialId).toBe(before.state.lastRun?.materialId);
  expect(after.state.totals.minutes - before.state.totals.minutes).toBe(before.state.lastRun?.minutes);

  // One that goes on, and its end two hours later.
  await tap(link('Log a run'));
  await tap(page.getByRole('radio', { name: 'still running' }));
  await expect(page.getByLabel('Started')).toHaveValue(localNow(await page.evaluate(() => Date.now())));
  await tap(button('Start the run'));
  await expect(page.getByText('Run started on LF-02').first()).toBeVisible();
  await letPass(page, yard, 2);
  await open(page, yard, '/');
  counted();
  await tap(row);
  await tap(link('End the run'));
  await tap(button('Save the run'));
  await expect(page.getByText('Run ended on LF-02').first()).toBeVisible();
  expect(counted()).toBe(3);
  const ended = (await yard.pump('lf-02')).state;
  expect(ended.running).toEqual([]);
  expect(ended.totals.runs).toBe(before.state.totals.runs + 2);
  expect(ended.lastRun?.minutes).toBeGreaterThanOrEqual(119);
  expect(ended.lastRun?.minutes).toBeLessThanOrEqual(125);

  // A look at oil that has stood.
  await open(page, yard, '/');
  await tap(row);
  await tap(link('Look at oil'));
  await tap(page.getByRole('radio', { name: '20 h' }));
  await tap(page.getByRole('radio', { name: 'bright' }));
  await tap(page.getByRole('radio', { name: 'right', exact: true }));
  await tap(button('Save the look'));
  await expect(page.getByText(/Look .* LF-02/).first()).toBeVisible();
  expect(counted()).toBe(6);

  // A change: four taps and a number.
  await open(page, yard, '/');
  await tap(row);
  await tap(link('Change oil'));
  await page.getByLabel('Came out').fill('650');
  await tap(page.getByRole('radio', { name: 'right', exact: true }));
  await tap(button('Save the oil change'));
  await expect(page.getByRole('group', { name: /^LF-02: 0 runs since the oil change/ })).toBeVisible();
  expect(counted()).toBe(4);
  const fresh = await yard.pump('lf-02');
  expect(fresh.row.ruler.bars).toEqual([]);
  expect(fresh.row.verdict).toBe('runOn');
});

readingTest(
  'on a phone the act stands within the first screen, and nothing scrolls sideways',
  async ({ page, yard }) => {
    for (const pumpId of ['lf-01', 'rl-01', 'qp-01', 'hs-03']) {
      await open(page, yard, `/pumps/${pumpId}`);
      const act = page.getByRole('main').getByRole('link', {
        name: /^(Change oil|Go on with the job|Log a run|Top up|Bleed|Find the cause|Look at oil)/,
      });
      const box = await act.first().boundingBox();
      expect((box?.y ?? 9999) + (box?.height ?? 0)).toBeLessThan(844);
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    }
  },
);
