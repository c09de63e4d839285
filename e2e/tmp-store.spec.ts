import { test, open } from './yard.js';
test('shots', async ({ page, yard }) => {
  await open(page, yard, '/store');
  await page.waitForTimeout(500);
  await page.screenshot({ path: '/tmp/store.png' });
  await open(page, yard, '/store/jar-17/pour?to=filter-2&what=clear');
  await page.waitForTimeout(300);
  await page.screenshot({ path: '/tmp/pour.png', fullPage: true });
  await open(page, yard, '/store/bottle-b/trace');
  await page.screenshot({ path: '/tmp/trace.png' });
});
