import { expect, open, readingTest, test } from './yard.js';

/** Every page on which an entry about a pump's oil or hours is written; tests and cases say what they answer in words of their own. */
const PAGES = [
  'lf-02/run',
  'lf-02/look',
  'lf-02/bleed',
  'lf-02/change',
  'lf-02/top-up',
  'lf-02/lab-sample',
  'rl-02/lab-report',
  'qp-02/meter',
  'lf-02/take-over',
  'lf-02/done?task=purge',
];

readingTest(
  'every form about the oil and the hours shows what it would change before it is saved, and leads back to where it came from',
  async ({ page, yard }) => {
    for (const path of PAGES) {
      await open(page, yard, `/pumps/${path}`);
      const form = page.getByRole('form');
      await expect(form).toBeVisible();
      // The verdict or the effect, or where it will stand once the fields are right.
      await expect
        .poll(async () => `${path}: ${await form.textContent()}`)
        .toMatch(
          /Run on|Look sooner|Change before|before next run|Stop|What this changes|The verdict shows here once|counts/,
        );
      const pumpId = path.split('/')[0] ?? '';
      await expect(page.getByRole('link', { name: /^Back to / }).first()).toHaveAttribute(
        'href',
        new RegExp(`^/pumps/${pumpId}`),
      );
    }
  },
);

test('what is added to the set-up goes again with Undo, whatever its kind', async ({ page, yard }) => {
  const add = async (kind: string, fill: () => Promise<void>) => {
    await open(page, yard, `/set-up/${kind}/new`);
    await page.getByLabel('Name', { exact: true }).fill('Just a moment');
    await fill();
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    await expect(page.getByText('Just a moment saved').first()).toBeVisible();
    await expect(page.getByRole('link', { name: /^Just a moment/ })).toHaveCount(1);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByText('Undone', { exact: true })).toBeVisible();
    await expect(page.getByRole('link', { name: /^Just a moment/ })).toHaveCount(0);
  };
  await add('person', async () => {});
  await add('site', () => page.getByRole('radio', { name: 'Packaging' }).click());
  await add('material', () => page.getByRole('radio', { name: 'Packaging' }).click());
  await add('jarShape', () => page.getByRole('textbox', { name: /Heights/ }).fill('0 0\n100 250'));
});

test('what is seen, tested, noted or opened as a case is undone where it was saved, and leaves the pump as it was', async ({
  page,
  yard,
}) => {
  const before = (await yard.pump('lf-02')).state;
  const undo = async () => {
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByText('Undone', { exact: true })).toBeVisible();
    await expect.poll(async () => (await yard.pump('lf-02')).state).toEqual(before);
  };
  await open(page, yard, '/pumps/lf-02/note');
  await page.getByRole('textbox').first().fill('New hose on the ballast');
  await page.getByRole('button', { name: 'Save the note' }).click();
  await undo();
  await open(page, yard, '/pumps/lf-02/test');
  await page.getByLabel(/What do you see|Anything else/).fill('noise');
  await page.getByRole('button', { name: 'Noise', exact: true }).click();
  await page.getByRole('radio', { name: 'metal grinds' }).click();
  await page.getByRole('button', { name: 'Save what you see' }).click();
  await expect.poll(async () => (await yard.pump('lf-02')).standing.verdict).toBe('stop');
  await undo();
  await open(page, yard, '/pumps/lf-02/case-open');
  await page.getByLabel('What seems wrong?').fill('Cream after every wet load');
  await page.getByRole('button', { name: 'Open the case' }).click();
  await undo();
});
