import { moderateOrWorse } from './axe-findings.js';
import { drained, guide, PICTURE, say } from './guide.js';
import { expect, noSidewaysScroll, open, ownPumpTest as test } from './yard.js';

/** Of a pump module, bag by bag. */
export function overhaulWalk(): void {
  test('an overhaul: apart into numbered bags with a photograph of each, together in the reverse order', async ({
    page,
    yard,
  }) => {
    await page.addInitScript(() => localStorage.setItem('winter-jar.prefs', JSON.stringify({ who: 'wren' })));
    await open(page, yard, '/pumps/lf-01/job-cards');
    await page.getByRole('button', { name: 'Start: Overhaul' }).click();
    await expect(page).toHaveURL(/\/pumps\/lf-01\/job$/);
    const { section, tap, at } = guide(page, yard);
    await tap('allowed');
    await say(yard, 'lf-01', [...drained(null), {}], 'wren');
    const apart = page.getByRole('region', { name: /^Step 13 of / });
    await at('Oil case, its gasket and the exhaust filter');
    await expect(apart.getByText(/into bag 1\. Never lever on machined faces\.$/)).toBeVisible();

    await apart.getByRole('link', { name: 'Labels for the bags' }).click();
    await expect(page.getByRole('listitem').filter({ hasText: 'Back on in the reverse order' })).toHaveCount(5);
    expect(await moderateOrWorse(page)).toEqual([]);
    await page.getByRole('link', { name: 'Back', exact: true }).click();
    await expect(apart).toBeVisible();

    await apart.locator('input[type=file]').setInputFiles(PICTURE);
    await expect(apart.getByRole('img', { name: 'The photograph as it was' })).toBeVisible();
    await page.setViewportSize({ width: 390, height: 844 });
    await noSidewaysScroll(page);
    await tap('Done');
    await tap('Done, not photographed');
    await say(yard, 'lf-01', [{}, {}, {}, { choice: 'good' }, {}], 'wren');
    await expect(section.getByText('It was not photographed when it came off.')).toBeVisible();
    await say(yard, 'lf-01', [{}, {}, {}, {}], 'wren');
    await at(/^Bag 1, oil case/);
    await expect(section.getByRole('img', { name: 'As it was before it came off' })).toBeVisible();

    // Whole again: what opened it is closed, and it is filled.
    await tap('Done');
    await expect(page.getByText(/^It stands open since/)).toHaveCount(0);
    const filled = [{}, { value: 700 }, {}, {}, {}, {}, { choice: 'right' }];
    await say(yard, 'lf-01', [...filled, {}, {}, {}, {}], 'wren');
    // Its first charge is changed early: one tap, and the set-up knows.
    await section.getByRole('button', { name: 'Overhauled now: change its first charge early' }).click();
    await expect(page.getByText(/^It is said: overhauled in this job/)).toBeVisible();
    await tap('Done');
    await expect(page).toHaveURL(/\/jobs\//);
    await expect(page.getByRole('img', { name: 'As it was' })).toBeVisible();
    const { state, setUp } = await yard.pump('lf-01');
    const charge = state.sumps.find(({ key }) => key === 'oil')?.charge;
    expect(setUp.pump.overhauledAt).not.toBeNull();
    expect((charge?.since.at ?? 'z') <= (setUp.pump.overhauledAt ?? '')).toBe(true);
    expect([state.drained, state.notWhole, state.job]).toEqual([null, null, null]);
  });
}
