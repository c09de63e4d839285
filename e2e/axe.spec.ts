import { moderateOrWorse } from './axe-findings.js';
import { rawIn } from './printed.js';
import { expect, open, readingTest as test } from './yard.js';

const PAGES = [
  '/',
  '/pumps/lf-01',
  '/pumps/hs-03',
  '/pumps/lf-01/run',
  '/pumps/lf-01/look',
  '/pumps/qp-01/change',
  '/pumps/cw-02/top-up',
  '/pumps/qp-02/meter',
  '/pumps/lf-02/take-over',
  '/pumps/rl-02/lab-sample',
  '/pumps/rl-02/lab-report',
  '/pumps/lf-01/label',
  '/pumps/lf-01/job-cards',
  '/pumps/rl-02/job-cards/ballastPurge',
  '/pumps/hs-01/what-is-wrong',
  '/pumps/hs-01/test?check=warmPurge',
  '/pumps/hs-01/test',
  '/pumps/hs-01/case-close',
  '/pumps/lf-01/leak-hunt',
  '/suspects?pump=lf-01',
  '/equipment/ferry-b',
  '/start',
  '/round/print',
  '/set-up/pump',
  '/set-up/add-pump',
  '/set-up/pumpModel/windlass-63',
  '/set-up/houseRules/house',
  '/set-up/file',
  '/backup',
  '/phone',
  '/logs/looks',
  '/logs/notebook',
  '/pumps/lf-01#journal',
  '/set-up/jarShape/new',
  '/store?at=jar-17',
  '/store/jar-17/pour?to=filter-2',
  '/store/jar-19/stocktake',
  '/store/filter-2/media',
  '/store/bottle-b/trace',
  '/store/bring-in',
  '/store/waste',
  '/nowhere',
];

/** The dark theme swaps the same tokens, whose contrast has a test of its own: one page of each make is enough. */
const DARK_PAGES = [
  '/',
  '/pumps/lf-01',
  '/pumps/hs-01/what-is-wrong',
  '/pumps/lf-01/look',
  '/set-up/pumpModel/windlass-63',
  '/backup',
];

/** So many pages are one test: the parts run beside one another. */
const IN_A_PART = 9;
const inParts = (paths: readonly string[]): string[][] =>
  Array.from({ length: Math.ceil(paths.length / IN_A_PART) }, (_, i) =>
    paths.slice(i * IN_A_PART, (i + 1) * IN_A_PART),
  );

for (const colorScheme of ['light', 'dark'] as const) {
  test.describe(`${colorScheme}`, () => {
    test.use({ colorScheme });
    for (const paths of inParts(colorScheme === 'dark' ? DARK_PAGES : PAGES))
      test(`axe finds nothing moderate or worse from ${paths[0]} on, and no raw figure or code is printed`, async ({
        page,
        yard,
      }) => {
        for (const path of paths) {
          await open(page, yard, path);
          await expect(page.locator('html')).toHaveAttribute('data-theme', colorScheme);
          const found = [...(await moderateOrWorse(page)), ...(await rawIn(page))];
          expect(found.map((one) => `${path}, ${one}`)).toEqual([]);
        }
      });
    test('axe finds nothing moderate or worse in a jar that is read, and in its limits', async ({ page, yard }) => {
      const check = async () => expect(await moderateOrWorse(page)).toEqual([]);
      await open(page, yard, '/pumps/lf-01/look');
      await page.getByRole('radio', { name: 'full change' }).click();
      await page.getByRole('radio', { name: '2 days' }).click();
      await page.getByRole('textbox', { name: 'Free water' }).fill('40 mL');
      await expect(page.getByText('The same moment of earlier charges')).toBeVisible();
      await check();
      await page.setViewportSize({ width: 390, height: 844 });
      await expect(page.getByRole('slider', { name: 'free water' })).toBeVisible();
      await check();
      await open(page, yard, '/set-up/oilProduct/linnet-68');
      await page.getByRole('heading', { name: 'Reading the oil' }).click();
      await check();
    });
    test('axe finds nothing moderate or worse in the dialogs', async ({ page, yard }) => {
      await open(page, yard, '/');
      for (const key of ['/', '?']) {
        await page.keyboard.press(key);
        await expect(page.getByRole('dialog')).toBeVisible();
        expect(await moderateOrWorse(page, '[role=dialog]')).toEqual([]);
        await page.keyboard.press('Escape');
      }
    });
  });
}
