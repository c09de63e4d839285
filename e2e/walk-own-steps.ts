import { moderateOrWorse } from './axe-findings.js';
import { PICTURE, say } from './guide.js';
import { expect, noSidewaysScroll, open, ownPumpTest as test } from './yard.js';

/** The clock of the walks has gone on: a model whose record no walk before wrote. */
export function ownStepsWalk(): void {
  test('a house says a step in its own words, adds one with a photograph and leaves one out; no caution goes', async ({
    page,
    yard,
  }) => {
    await open(page, yard, '/pumps/lf-03/job-cards/oilChange');
    await page.getByRole('link', { name: 'Steps of this house' }).click();
    // What a caution stands before is not left out.
    await page.getByRole('button', { name: /^Otherwise here: Container beneath, open the drain/ }).click();
    await expect(page.getByRole('radio', { name: 'leave it out' })).toHaveCount(0);
    await page.getByRole('button', { name: 'Keep it' }).click();
    await expect(page.getByText('Say it in your words.')).toBeVisible();
    await page.getByLabel('What to do').fill('Yellow tap at the back, bucket 3 beneath. A quarter turn is enough.');
    await page.getByRole('button', { name: 'Keep it' }).click();
    await expect(
      page.getByText('The procedure says: Container beneath, open the drain, let it run out.'),
    ).toBeVisible();

    await page.getByRole('button', { name: /^Otherwise here: Run it with the inlet closed/ }).click();
    await page.getByRole('radio', { name: 'a step of ours before it' }).click();
    await page.getByLabel('What to do').fill('Ring the shift leader.');
    await page.getByLabel('Minutes it takes').fill('many');
    await page.locator('input[type=file]').setInputFiles(PICTURE);
    await expect(page.getByRole('img', { name: 'The photograph of how it is done' })).toBeVisible();
    await page.getByRole('button', { name: 'Keep it' }).click();
    await expect(page.getByText('“many” is no time here. Right would be minutes from 1 to 600.')).toBeVisible();
    await page.getByLabel('Minutes it takes').fill('3');
    await page.getByRole('button', { name: 'Keep it' }).click();
    await expect(page.getByText('A step of this house, 3 min')).toBeVisible();

    await page.getByRole('button', { name: 'Otherwise here: Fill plug in, finger-tight.' }).click();
    await page.getByRole('radio', { name: 'leave it out' }).click();
    await page.getByRole('button', { name: 'Leave it out' }).click();
    await expect(page.getByText('Left out here')).toBeVisible();
    expect(await moderateOrWorse(page)).toEqual([]);
    await page.setViewportSize({ width: 390, height: 844 });
    await noSidewaysScroll(page);

    // The paper and the guide say the same.
    await open(page, yard, '/pumps/lf-03/job-cards/oilChange');
    const card = page.getByRole('article');
    await expect(card.getByRole('listitem').first()).toContainText('Ring the shift leader.');
    const drain = card.getByRole('listitem').filter({ hasText: 'Yellow tap at the back' });
    await expect(drain.getByText(/^Hot oil and a hot housing burn/)).toBeVisible();
    await expect(card.getByText('Fill plug in, finger-tight.')).toHaveCount(0);

    await open(page, yard, '/pumps/lf-03/job-cards');
    await page.getByRole('button', { name: 'Start: Oil change', exact: true }).click();
    const step = page.getByRole('region', { name: /^Step 1 of / });
    await expect(step.getByRole('heading', { level: 2 })).toHaveText('Ring the shift leader');
    await expect(step.getByRole('img', { name: 'How this step is done here' })).toBeVisible();
    await say(yard, 'lf-03', [{}, {}, {}, {}, {}]);
    const drains = page.getByRole('region', { name: /^Step 6 of / });
    await expect(drains.getByRole('heading', { level: 2 })).toHaveText('Yellow tap at the back, bucket 3 beneath');
    await expect(drains.getByText(/^Hot oil and a hot housing burn/)).toBeVisible();
    await expect(drains.getByText(/The procedure says: Container beneath/)).toBeVisible();
    expect((await yard.pump('lf-03')).row.reasons.map(({ code }) => code)).toContain('drained');

    // From beside the pump: it opens at that step, and what was said can be taken off again.
    await page.getByRole('link', { name: 'Done otherwise in this house?' }).click();
    await expect(page.getByLabel('What to do')).toHaveValue(/^Yellow tap at the back/);
    // One right after the other, while what the first wrote is still read.
    await page.route('**/api/set-up', async (route) => {
      if (route.request().method() === 'GET') await new Promise((wait) => setTimeout(wait, 500));
      await route.continue();
    });
    await page.getByRole('button', { name: /^Take it off: Yellow tap/ }).click();
    await expect(page.getByText(/^Yellow tap/)).toHaveCount(0);
    await page.getByRole('button', { name: /^Do it again: Fill plug in/ }).click();
    await expect(page.getByText('Left out here')).toHaveCount(0);
  });
}
