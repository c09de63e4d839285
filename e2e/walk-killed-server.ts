import { begin, drained, guide, say } from './guide.js';
import { expect, ownPumpTest as test } from './yard.js';

/** The first of the walks: a server that starts anew has the clock of the wall again. */
export function killedServerWalk(): void {
  test('a server that is killed loses nothing of a job, and more out than the charge is asked before it is written', async ({
    page,
    yard,
  }) => {
    // 950 mL out of a charge of 700: water was in it.
    await begin(page, yard, 'lf-01', 'oilChange', drained(950));
    const { at, section, head } = guide(page, yard);
    // More than the housing holds is told where it is typed, not at the end.
    await section.getByLabel('Filled in', { exact: true }).fill('1200');
    await section.getByRole('button', { name: 'Next' }).click();
    await expect(section.getByText('At most 1050 mL: what the housing of Bollard 6 holds.')).toBeVisible();
    await yard.kill();
    await section.getByLabel('Filled in', { exact: true }).fill('700');
    await section.getByRole('button', { name: 'Next' }).click();
    // The job goes on without it; what was said waits on this device.
    await expect(head()).toHaveText('Stand it level');
    await expect(page.getByText('One deed waits on this device')).toBeVisible();
    await yard.restart();
    await expect(page.getByText('One deed waits on this device')).toBeHidden();
    await page.reload();
    await expect(head()).toHaveText('Stand it level');
    // From the level base to the mark: what is left is asked when the record is written.
    await say(yard, 'lf-01', [{}, {}, {}, {}, { choice: 'right' }]);
    await at('Tools and rags away, lock off');
    await section.getByRole('button', { name: 'Done' }).click();
    await expect(page.getByText(/950\smL came out, but the charge is 700\smL/)).toBeVisible();
    expect((await yard.pump('lf-01')).state.job).not.toBeNull();
    await page.getByRole('button', { name: 'Yes, it is right' }).click();
    await expect(page).toHaveURL(/\/jobs\//);
    await expect(page.getByText(/950\smL out · 700\smL in/)).toBeVisible();
  });
}
