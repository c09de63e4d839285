import { addRecords, expect, noSidewaysScroll, open, test, type Yard } from './yard.js';

const NAMES = [
  'The pump by the long wall that nobody dares to move any more',
  'مضخة التجفيف بالتجميد رقم سبعة عشر',
  '🧊🛢️ Pümp №7 – überholt',
  'W'.repeat(60),
];
const COUNT = 286;

/** Fills the yard up to 300 pumps, some with names that try a layout. */
async function addPumps(yard: Yard): Promise<void> {
  const { setUp } = await yard.pump('lf-01');
  const pump = (i: number) => ({ ...setUp.pump, name: NAMES[i] ?? `M-${String(i).padStart(3, '0')}` });
  const pumps = Array.from({ length: COUNT }, (_, i) => [`many-${i}`, pump(i)] as const);
  await addRecords(yard, 'pump', Object.fromEntries(pumps), '2026-01-01T00:00:00.000Z');
}

test('three hundred pumps: all stand in the page, what is out of view is passed over, the keys reach the last one', async ({
  page,
  yard,
}) => {
  await addPumps(yard);
  await open(page, yard, '/');
  await expect(page.getByText('of 300')).toBeVisible();
  const rows = page.locator('a[id^=row-]');
  await expect(rows).toHaveCount(300);
  await expect(rows.last()).toHaveCSS('content-visibility', 'auto');
  await page.keyboard.press('ArrowDown');
  for (let i = 0; i < 40; i++) await page.keyboard.press('ArrowDown');
  const focused = page.locator('a[id^=row-]:focus');
  await expect(focused).toHaveCount(1);
  await expect(focused).toBeInViewport();
  await page.keyboard.press('/');
  await expect(page.getByPlaceholder('A pump, or what to do')).toBeFocused();
  await page.keyboard.type(`M-${COUNT - 1}`);
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(new RegExp(`many-${COUNT - 1}$`));
  await expect(page.getByText('Nobody has said a word of its oil yet.')).toBeVisible();
});

test('names of sixty characters, from right to left, and with emoji break no layout', async ({ page, yard }) => {
  await addPumps(yard);
  for (const size of [
    { width: 390, height: 844 },
    { width: 768, height: 1024 },
    { width: 1280, height: 800 },
  ]) {
    await page.setViewportSize(size);
    for (const path of ['/?by=day', ...NAMES.flatMap((_, i) => [`/pumps/many-${i}`, `/pumps/many-${i}/run`])]) {
      await open(page, yard, path);
      await noSidewaysScroll(page);
    }
  }
});
