import type { Page } from '@playwright/test';
import { expect, letPass, open, test, type Yard } from './yard.js';

/** Answers the step that is shown, and gives what it was. */
function guide(page: Page, yard: Yard) {
  const section = page.getByRole('region', { name: /^Step \d+ of \d+$/ });
  const head = () => section.getByRole('heading', { level: 2 });
  let taps = 0;
  let values = 0;
  /** Which step is shown; nothing once the job has ended. */
  const shown = () =>
    page.evaluate(() => {
      const step = document.querySelector('section[aria-label^="Step "]');
      return step && `${step.getAttribute('aria-label')}: ${step.querySelector('h2')?.textContent}`;
    });
  const tap = async (name: string | RegExp) => {
    taps += 1;
    const before = await shown();
    await section.getByRole('button', { name }).click();
    await expect.poll(shown).not.toBe(before);
  };
  return {
    section,
    head,
    tap,
    at: (words: string | RegExp) => expect(head()).toHaveText(words),
    fill: async (label: string, text: string) => {
      values += 1;
      await section.getByLabel(label, { exact: true }).fill(text);
      await tap('Next');
    },
    /** A wait whose end is a time: the button stays off until then. */
    waitOut: async (minutes: number) => {
      await expect(section.getByRole('button', { name: /^Go on, from \d\d:\d\d$/ })).toBeDisabled();
      await letPass(page, yard, (minutes + 0.1) / 60);
      await page.reload();
      await tap('Go on');
    },
    counted: () => ({ taps, values }),
  };
}

async function start(page: Page, yard: Yard, pumpId: string, service: string) {
  await open(page, yard, `/pumps/${pumpId}/job-cards`);
  await page.getByRole('button', { name: `Start: ${service}`, exact: true }).click();
  await expect(page).toHaveURL(new RegExp(`/pumps/${pumpId}/job$`));
}

test('an oil change by the guide writes its own record, in no more taps than steps and values', async ({
  page,
  yard,
}) => {
  const before = await yard.pump('lf-01');
  await start(page, yard, 'lf-01', 'Oil change');
  const { tap, fill, waitOut, at, section, counted } = guide(page, yard);
  await expect(section.getByText(/^Drain warm \(40–60\s°C\)/)).toBeVisible();
  await tap('The oil is at 40–60 °C');
  await at('Off, isolated, your own lock and tag on it');
  await tap('Done');
  await tap('Done');
  await at('Open the fill plug first, so that it drains smoothly');
  await tap('Done');
  // From here on nobody may start it.
  await expect(section.getByText(/^Hot oil and a hot housing burn/)).toBeVisible();
  const drained = await yard.pump('lf-01');
  expect(drained.row.verdict).toBe('stop');
  expect(drained.row.reasons[0]).toMatchObject({ code: 'drained', act: 'goOn' });
  await expect(page.getByText(/^No oil in it since/)).toBeVisible();
  await tap('Only drops come');
  await tap('Done');
  await tap('Done');
  await fill('Came out', '650');
  await tap('The jar is filled');
  await tap('Done');
  await fill('Filled in', '660');
  expect((await yard.pump('lf-01')).row.reasons.map(({ code }) => code)).not.toContain('drained');
  await tap('Done');
  await tap('Done');
  await waitOut(2);
  await waitOut(5);
  // Below the mark: some more, and read again.
  await tap('below the mark');
  await fill('Added', '40');
  await waitOut(5);
  await tap('at the mark');
  await at('Tools and rags away, lock off');
  await tap('Done');
  await expect(page).toHaveURL(/\/pumps\/lf-01\/jobs\//);
  await expect(page.getByText('650 mL out · 700 mL in · between the marks')).toBeVisible();
  // Twenty steps were come to, three with a value.
  expect(counted()).toEqual({ taps: 20, values: 3 });

  const after = await yard.pump('lf-01');
  expect(after.state.job).toBeNull();
  expect(after.state.totals.changes).toBe(before.state.totals.changes + 1);
  expect(after.state.sumps[0]?.charge).toMatchObject({ filledUl: 700_000, levelKnown: true });
  expect(after.row.verdict).toBe('runOn');

  // Undone, nothing of it stands.
  await page.getByRole('button', { name: 'Undo the whole job' }).click();
  await expect(page.getByText('Undone', { exact: true })).toBeVisible();
  await expect(page).toHaveURL(/\/pumps\/lf-01$/);
  expect((await yard.pump('lf-01')).state).toEqual(before.state);
});
