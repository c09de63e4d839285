import type { Page } from '@playwright/test';
import type { DiagnosisAnswer } from '@winter-jar/contracts';
import { CHECKS, FINDINGS, type CheckId } from '@winter-jar/core';
import {
  expect,
  levelRight,
  logRun,
  minutesAgo,
  noSidewaysScroll,
  open,
  readingTest,
  test,
  type Yard,
} from './yard.js';

const WRONG = '/pumps/lf-01/what-is-wrong';
const diagnosis = async (yard: Yard) =>
  (await (await fetch(`${yard.address}/api/pumps/lf-01/diagnosis`)).json()) as DiagnosisAnswer;
const causesOf = (page: Page) => page.locator('section').filter({ has: page.getByText('Likely causes') });
const firstCause = (page: Page) => causesOf(page).getByRole('listitem').first();
const evidenceOf = (page: Page) => page.locator('section').filter({ has: page.getByText('Evidence', { exact: true }) });

async function see(page: Page, word: string, finding: string, state: string): Promise<void> {
  await page.getByRole('link', { name: 'Add what you see' }).click();
  await page.getByLabel('What do you see?').fill(word);
  await page.getByRole('button', { name: finding }).click();
  await page.getByRole('group', { name: finding }).getByRole('radio', { name: state, exact: true }).click();
}

async function earlier(page: Page, minutes: number): Promise<void> {
  await page.getByRole('radio', { name: 'earlier' }).click();
  await page.getByLabel('At', { exact: true }).fill(minutesAgo(minutes));
}

for (const size of [
  { name: 'at the desk', width: 1280, height: 800 },
  { name: 'on a phone', width: 390, height: 844 },
]) {
  test(`from the verdict to the cause, the remedy and the check, ${size.name}`, async ({ page, yard }) => {
    await page.setViewportSize(size);
    await open(page, yard, '/pumps/lf-01');
    await page.getByRole('link', { name: 'Find the cause' }).click();
    await expect(page.getByRole('heading', { name: 'What is wrong?' })).toBeVisible();

    // The evidence is there, with where it came from; the order follows from it.
    await expect(evidenceOf(page).getByText('Gas ballast: closed')).toBeVisible();
    await expect(
      evidenceOf(page)
        .getByText(/^Look at the oil, (today|yesterday)/)
        .first(),
    ).toBeVisible();
    await expect(firstCause(page)).toContainText('Water condensing in the pump');
    await noSidewaysScroll(page);

    // The sum behind a number.
    await firstCause(page).getByRole('button').click();
    const sum = firstCause(page).getByRole('table');
    await expect(sum.getByText('Before anything was found, in this process')).toBeVisible();
    await expect(sum.getByText(/^Gas ballast: closed/)).toBeVisible();
    await noSidewaysScroll(page);

    // One thing more is seen, and says before it is saved what it changes.
    await see(page, 'fluff', 'Skin or fluff', 'yes');
    await expect(page.getByText(/With this:/)).toContainText('Growth feeding on fines and water');
    await noSidewaysScroll(page);
    await page.getByRole('button', { name: 'Save what you see' }).click();
    await expect(firstCause(page)).toContainText('Growth feeding on fines and water');
    await expect(page.getByText(/case opened (today|yesterday)/)).toBeVisible();
    await expect(evidenceOf(page).getByText(/^Seen or tested, (today|yesterday)/)).toBeVisible();

    // The proposed test, with its how-to.
    const proposed = (await diagnosis(yard)).checks[0]!;
    await page.getByRole('link', { name: 'Do this test' }).click();
    await expect(page.locator('ol').first()).toBeVisible();
    await noSidewaysScroll(page);
    await page.getByRole('button', { name: 'Save the result' }).click();
    await expect(page.getByText('Say at least one thing that was found.')).toBeVisible();
    for (const id of CHECKS[proposed.id as CheckId].settles)
      await page.getByRole('group', { name: FINDINGS[id].name }).getByRole('radio').first().click();
    await page.getByRole('button', { name: 'Save the result' }).click();
    await expect(page.getByRole('heading', { name: 'Tried so far' })).toBeVisible();
    await expect.poll(async () => (await diagnosis(yard)).tried.map((t) => t.body.checkId)).toContain(proposed.id);
    expect((await diagnosis(yard)).checks[0]?.id).not.toBe(proposed.id);

    // Confirmed, with what was done.
    await page.getByRole('link', { name: 'Confirm a cause and close' }).click();
    await expect(page.getByLabel('What was it?')).toHaveValue('growth');
    await page.getByLabel('What was done about it?').fill('Oil out, housing washed, glass cleaned');
    await page.getByRole('radio', { name: '1 run', exact: true }).click();
    await noSidewaysScroll(page);
    await page.getByRole('button', { name: 'Close the case' }).click();
    await expect(page.getByText(/case closed (today|yesterday)/)).toBeVisible();
    await expect(evidenceOf(page).getByText('Skin or fluff')).toHaveCount(0);

    // The report for the customer.
    await page.getByRole('link', { name: 'Report for the customer' }).click();
    await expect(page.getByRole('heading', { name: 'Case report: LF-01' })).toBeVisible();
    await expect(page.getByText('Oil out, housing washed, glass cleaned').first()).toBeVisible();
    await noSidewaysScroll(page);

    // The remedy is an oil change; after the run the pump asks whether it held.
    await open(page, yard, '/pumps/lf-01/change');
    await page.getByLabel('Came out').fill('650 mL');
    await levelRight(page);
    await page.getByRole('button', { name: 'Save the oil change' }).click();
    await expect(page.getByText('Oil changed on LF-01').first()).toBeVisible();
    expect((await yard.pump('lf-01')).row.reasons.map((r) => r.code)).not.toContain('cream');
  });
}

test('the remedy is asked after once the pump has run, and the confirmed cause shifts the shares', async ({
  page,
  yard,
}) => {
  const pump = '/pumps/lf-02';
  const ofPump = async () => (await (await fetch(`${yard.address}/api${pump}/diagnosis`)).json()) as DiagnosisAnswer;
  const priorOf = async () => (await ofPump()).priors.suckback ?? 0;
  const before = await priorOf();
  await open(page, yard, `${pump}/case-open`);
  await page.getByRole('button', { name: 'Open the case' }).click();
  await expect(page.getByText('Say in a few words what seems wrong.')).toBeVisible();
  await page.getByLabel('What seems wrong?').fill('Oil in the hose on Monday');
  await earlier(page, 30);
  await page.getByRole('button', { name: 'Open the case' }).click();
  await expect(page.getByText('Oil in the hose on Monday').first()).toBeVisible();
  await page.getByRole('link', { name: 'Confirm a cause and close' }).click();
  await page.getByLabel('What was it?').selectOption('suckback');
  // What is usually done stands beside; what was done is written by hand.
  await expect(page.getByText(/^Usually:/)).toBeVisible();
  await expect(page.getByLabel('What was done about it?')).toHaveValue('');
  await page.getByLabel('What was done about it?').fill('Anti-suckback ball and its ring replaced');
  await page.getByRole('radio', { name: '1 run', exact: true }).click();
  await earlier(page, 20);
  await page.getByRole('button', { name: 'Close the case' }).click();
  await expect(page.getByText(/case closed (today|yesterday)/)).toBeVisible();
  expect(await priorOf()).toBeGreaterThan(before);

  await logRun(page, yard, 'lf-02', 15, 10);
  await open(page, yard, pump);
  await expect(page.getByText(/“Oil in the hose on Monday” was closed (today|yesterday)/).first()).toBeVisible();
  await page.getByRole('link', { name: 'Say whether it held' }).click();
  await page.getByRole('radio', { name: 'it held' }).click();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText(/did the remedy hold/)).toHaveCount(0);
  await open(page, yard, `${pump}/what-is-wrong`);
  await expect(page.getByRole('heading', { name: 'Earlier cases' })).toBeVisible();
  await expect(page.getByText(/(today|yesterday), it held/)).toBeVisible();
  await expect(page.getByText(/1 of this pump/)).toBeVisible();
});

test('by keyboard alone: D to find the cause, A to add what is seen', async ({ page, yard }) => {
  await open(page, yard, '/?pump=lf-01');
  await page.keyboard.press('d');
  await expect(page.getByRole('heading', { name: 'What is wrong?' })).toBeVisible();
  await page.keyboard.press('a');
  await expect(page.getByRole('heading', { name: 'What you see' })).toBeVisible();
  await page.getByLabel('What do you see?').focus();
  await page.keyboard.type('knock');
  await expect(page.getByRole('list', { name: 'Findings' }).getByRole('button')).toHaveCount(1);
  await page.keyboard.press('Tab');
  await expect(page.getByRole('button', { name: 'Noise' })).toBeFocused();
  await page.keyboard.press('Enter');
  const noise = page.getByRole('group', { name: 'Noise' });
  await noise.getByRole('radio').first().focus();
  await page.keyboard.press('ArrowRight');
  // The focus follows the arrow a moment later.
  const louder = noise.getByRole('radio', { name: 'louder, or knocking' });
  await expect(louder).toBeFocused();
  await page.keyboard.press('Space');
  await expect(louder).toBeChecked();
  await page.getByRole('button', { name: 'Save what you see' }).focus();
  await page.keyboard.press('Enter');
  await expect(evidenceOf(page).getByText('Noise: louder, or knocking')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).focus();
  await page.keyboard.press('Enter');
  await expect(evidenceOf(page).getByText('Noise: louder, or knocking')).toHaveCount(0);
  await expect(page.getByText('no case open')).toBeVisible();

  // And on to the closed case without a mouse.
  const press = async (role: 'link' | 'button', name: string) => {
    await page.getByRole(role, { name, exact: true }).focus();
    await page.keyboard.press('Enter');
  };
  await expect(page.getByRole('link', { name: 'Do this test' })).toBeVisible();
  const proposed = (await diagnosis(yard)).checks[0]!;
  await press('link', 'Do this test');
  for (const id of CHECKS[proposed.id as CheckId].settles) {
    await page.getByRole('group', { name: FINDINGS[id].name }).getByRole('radio').first().focus();
    await page.keyboard.press('Space');
  }
  await press('button', 'Save the result');
  await expect(page.getByText(/case opened (today|yesterday)/)).toBeVisible();
  await press('link', 'Confirm a cause and close');
  await page.getByLabel('What was it?').focus();
  await page.keyboard.type('Growth');
  await expect(page.getByLabel('What was it?')).toHaveValue('growth');
  await page.keyboard.press('Tab');
  await expect(page.getByLabel('What was done about it?')).toBeFocused();
  await page.keyboard.type('Housing washed, new oil');
  await press('button', 'Close the case');
  await expect(page.getByText(/case closed (today|yesterday)/)).toBeVisible();
});

test('a leak is hunted step by step, no further than the first that fails', async ({ page, yard }) => {
  await open(page, yard, '/pumps/lf-01/leak-hunt');
  await expect(page.getByRole('img', { name: 'The set. Proven tight: nothing yet.' })).toBeVisible();
  const outcome = async (words: string) => {
    await page.getByRole('radio', { name: words }).click();
    await page.getByRole('button', { name: 'Save the step' }).click();
    await expect(page.getByRole('heading', { name: 'Leak hunt' })).toBeVisible();
  };
  await page.getByRole('link', { name: 'Do this step', exact: true }).click();
  await page.getByRole('button', { name: 'Save the step' }).click();
  await expect(page.getByText('Say whether the step passed.')).toBeVisible();
  await outcome('Clean, soft, whole');
  await expect(page.getByRole('img', { name: 'The set. Proven tight: door gasket.' })).toBeVisible();
  await expect(page.locator('[data-part=door]')).toHaveAttribute('data-standing', 'proven');

  await page.getByRole('link', { name: 'Do this step', exact: true }).click();
  await page.getByLabel('Anything odd').fill('The ball valve at the pot weeps');
  await outcome('Open, wet or its seal is worn');
  await expect(page.getByRole('heading', { name: /^It is here: drain line and plug/ })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Do this step', exact: true })).toHaveCount(0);
  // Which of the valves it was stands there too.
  await expect(page.getByText('The ball valve at the pot weeps')).toBeVisible();
  await expect(page.locator('[data-part=drain]')).toHaveAttribute('data-standing', 'suspect');

  await page.getByRole('link', { name: 'Mended: do this step again' }).click();
  await outcome('Closed, dry, seal whole');
  await expect(page.getByRole('heading', { name: /^Step 3 of 10: hoses/ })).toBeVisible();
  await expect(page.getByText('The ball valve at the pot weeps')).toHaveCount(0);
  await page.setViewportSize({ width: 390, height: 844 });
  await noSidewaysScroll(page);
  await open(page, yard, WRONG);
  await expect(
    page.getByText(/Leak hunt, drain line and plug, or the catch pot: Open, wet or its seal is worn/),
  ).toBeVisible();
});

test('suspect materials of the house, and a plan that leads to what it asks for', async ({ page, yard }) => {
  await open(page, yard, WRONG);
  await page.getByRole('link', { name: 'Suspect materials' }).click();
  await expect(page.getByRole('heading', { name: 'Suspect materials' })).toBeVisible();
  await expect(page.getByText(/readings; usual over all pumps/)).toHaveCount(2);
  await expect(page.getByLabel('On which pump')).toHaveValue('lf-01');
  await noSidewaysScroll(page);
  await page.setViewportSize({ width: 390, height: 844 });
  await noSidewaysScroll(page);
  await page.getByRole('link', { name: 'say how it came out' }).first().click();
  await expect(page.getByRole('heading', { name: 'An empty run as a control' })).toBeVisible();
  await page.getByRole('radio', { name: 'clean', exact: true }).click();
  await page.getByRole('button', { name: 'Save the result' }).click();
  await expect(evidenceOf(page).getByText('Empty run: clean')).toBeVisible();
});

test('a test can be saved without the evidence, and opens no second case', async ({ page, yard }) => {
  yard.expectedErrors = [/ERR_FAILED/];
  const before = (await yard.pump('hs-01')).state.case;
  expect(before?.status).toBe('open');
  await page.route('**/api/pumps/hs-01/diagnosis*', (route) => route.abort());
  await open(page, yard, '/pumps/hs-01/test?check=crackleTest');
  await page.getByRole('radio', { name: 'silent', exact: true }).click();
  await page.getByRole('button', { name: 'Save the result' }).click();
  await expect(page.getByText('The evidence could not be fetched')).toBeVisible();
  expect((await yard.pump('hs-01')).state.case).toEqual(before);
});

readingTest('what a pump without an answer says', async ({ page, yard }) => {
  yard.expectedErrors = [/404/, /503|Failed to load resource/];
  await open(page, yard, '/pumps/hs-03/what-is-wrong');
  await expect(page.getByText('HS-03 holds no oil')).toBeVisible();
  await page.goto(`${yard.address}/cases/none`);
  await expect(page.getByText('There is no such case')).toBeVisible();
});
