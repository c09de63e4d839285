import { open, ownPumpTest } from './yard.js';
ownPumpTest('shots', async ({ page, yard }) => {
  await open(page, yard, '/pumps/lf-03/inlet');
  await page.waitForTimeout(700);
  await page.screenshot({ path: `/tmp/shots/inlet.png`, fullPage: true });
  await page.setViewportSize({ width: 390, height: 844 });
  await page.waitForTimeout(300);
  await page.screenshot({ path: `/tmp/shots/inlet-phone.png`, fullPage: true });
  await page.setViewportSize({ width: 1280, height: 800 });
  await open(page, yard, '/equipment/ferry-c/vacuum');
  await page.waitForTimeout(700);
  await page.screenshot({ path: `/tmp/shots/rec-cabinet.png` });
});
