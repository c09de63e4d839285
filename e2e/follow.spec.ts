import { changeAt } from '@winter-jar/core/testing';
import { v7 as newId } from 'uuid';
import { expect, open, test } from './yard.js';

/** Somebody else writes: not from this page. */
async function write(address: string, entry: object): Promise<void> {
  const [id, now] = [newId(), new Date().toISOString()];
  const sent = { ...changeAt(0), id, actId: id, happenedAt: now, recordedAt: now, ...entry };
  const answer = await fetch(`${address}/api/entries`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ entries: [sent] }),
  });
  expect(answer.status).toBe(201);
}

test('the Round and the pump of another browser follow what is written, without a reload', async ({
  page,
  yard,
  browser,
}) => {
  await open(page, yard, '/');
  await expect(page.locator('#row-lf-01')).toContainText('before next run');
  const second = await page.context().newPage();
  await second.goto(`${yard.address}/pumps/lf-01`);
  const other = await (await browser.newContext()).newPage();
  await other.goto(`${yard.address}/pumps/lf-01`);
  await expect(other.getByText(/of water in the oil/).first()).toBeVisible();
  const pump = [{ type: 'pump', id: 'lf-01' }];
  const body = { sump: 'oil', productId: 'oil-68', outMl: 650, inMl: 700, levelAfter: 'right' };
  const product = (
    (await (await fetch(`${yard.address}/api/pumps/lf-01`)).json()) as { setUp: { pump: { oilProductId: string } } }
  ).setUp.pump.oilProductId;
  await write(yard.address, { subjects: pump, body: { ...body, productId: product } });
  for (const follower of [second, other]) await expect(follower.getByText(/of water in the oil/)).toHaveCount(0);
  await expect(page.locator('#row-lf-01')).not.toContainText('Change before next run');
  await other.context().close();
});

test('a form that somebody else has overtaken says so before it is saved', async ({ page, yard }) => {
  await open(page, yard, '/pumps/lf-02/bleed');
  await page.getByLabel('Drawn in all').fill('32');
  await expect(page.getByText(/^Meanwhile something else was logged/)).toHaveCount(0);
  const { setUp } = await yard.pump('lf-02');
  const body = { sump: 'oil', productId: setUp.pump.oilProductId, outMl: 650, inMl: 700, levelAfter: 'right' };
  await write(yard.address, { subjects: [{ type: 'pump', id: 'lf-02' }], body });
  await expect(page.getByText('Meanwhile something else was logged on LF-02.')).toBeVisible();
  await expect(page.getByLabel('Drawn in all')).toHaveValue('32');
});
