import type { RoundAnswer } from '@winter-jar/contracts';
import type { Correction, Entry } from '@winter-jar/core';
import { correctionAt, entryAt } from '@winter-jar/core/testing';
import { v7 as newId } from 'uuid';
import { expect, open, test, type Yard } from './yard.js';

/** A device that sends late, and in the wrong order. */
async function send(yard: Yard, ...entries: (Entry | Correction)[]): Promise<number> {
  const answer = await fetch(`${yard.address}/api/entries`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ entries }),
  });
  return answer.status;
}

function bleedNow(pumpId: string): Entry {
  const [id, now] = [newId(), new Date().toISOString()];
  const body = { sump: 'oil' as const, drawnMl: 12, waterMl: 4 };
  return { ...entryAt(0, 'bleed', body, { pumpId }), id, actId: id, happenedAt: now, recordedAt: now };
}

function saying(target: Entry, body: object): Correction {
  const [id, now] = [newId(), new Date().toISOString()];
  const said = correctionAt(0, target, { action: 'replace', body: body });
  return { ...said, id, actId: id, happenedAt: now, recordedAt: now, device: 'tablet of the yard' };
}

const unsettled = async (yard: Yard) =>
  ((await (await fetch(`${yard.address}/api/round`)).json()) as RoundAnswer).unsettled;

test('a correction that cannot be stands on the Round with its reason, and ends by leaving the entry as it is', async ({
  page,
  yard,
}) => {
  const bleed = bleedNow('lf-01');
  expect(await send(yard, saying(bleed, { text: 'two spoons of water' }))).toBe(202);
  await open(page, yard, '/');
  const band = page.getByRole('status').filter({ hasText: 'does not count yet' });
  await expect(band).toContainText('the entry that it corrects has not come.');
  // Its entry comes: the Round follows without a reload.
  expect(await send(yard, bleed)).toBe(201);
  await expect(band).toContainText('text: Not known here: leave it out.');
  await band.getByRole('link', { name: 'Settle' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'two spoons of water' }).first()).toContainText(
    'tablet of the yard',
  );
  await page.getByRole('button', { name: 'Leave the entry as it is' }).click();
  await expect(page.getByText('Nothing to settle')).toBeVisible();
  expect(await unsettled(yard)).toBe(0);
  await page.getByRole('link', { name: 'Back to the Round' }).click();
  await expect(page.locator('#row-lf-01')).toBeVisible();
  await expect(band).toHaveCount(0);
});

test('correcting the entry settles what was said of it before', async ({ page, yard }) => {
  const bleed = bleedNow('lf-01');
  await send(yard, saying(bleed, { sump: 'gearA', drawnMl: 30, waterMl: 20 }));
  await send(yard, bleed);
  await open(page, yard, `/pumps/lf-01/entries/${bleed.id}`);
  await expect(page.getByText('A correction of it does not count.')).toBeVisible();
  await page.getByRole('link', { name: 'Settle' }).click();
  await page.getByRole('link', { name: 'Correct the entry' }).click();
  await page.getByLabel(/^Drawn/).fill('30');
  await page.getByRole('button', { name: /^Save/ }).click();
  await expect.poll(() => unsettled(yard)).toBe(0);
});

test('what waits for an entry that never comes is left out', async ({ page, yard }) => {
  await send(yard, saying(bleedNow('lf-01'), { sump: 'oil', drawnMl: 30, waterMl: 20 }));
  await open(page, yard, '/unsettled');
  await expect(page.getByText('It waits for the entry that it corrects')).toBeVisible();
  await page.getByRole('button', { name: 'Leave this correction out' }).click();
  await expect(page.getByText('Nothing to settle')).toBeVisible();
});
