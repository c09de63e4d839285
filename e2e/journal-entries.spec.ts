import { expect, levelRight, logRun, minutesAgo, open, test } from './yard.js';

test('who writes is chosen once, and every entry bears the name', async ({ page, yard }) => {
  await open(page, yard, '/');
  await page.getByRole('button', { name: /^Who, units and look/ }).click();
  await page.getByRole('radio', { name: 'Corin' }).click();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: /^Who, units and look: Corin/ })).toBeVisible();
  await open(page, yard, '/pumps/lf-02');
  await page.getByLabel('Note').fill('Checked the hose.');
  await page.waitForTimeout(300);
  await page.reload();
  await expect(page.getByLabel('Note', { exact: true })).toHaveValue('Checked the hose.');
  await page.getByRole('button', { name: 'Write' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Checked the hose.' }).getByText('Corin')).toBeVisible();
  await expect(page.getByLabel('Note', { exact: true })).toHaveValue('');
  await open(page, yard, '/pumps/lf-02/look');
  await expect(page.getByText('Written by Corin')).toBeVisible();
});

test('a meter is read and replaced; hours that nobody logged show and count', async ({ page, yard }) => {
  yard.expectedErrors = [/422/];
  const before = await yard.pump('qp-02');
  await open(page, yard, '/pumps/qp-02/meter');
  await expect(page.getByText(/Last reading 4,127.h/)).toBeVisible();
  await page.getByLabel('It shows').fill('4110');
  await page.getByRole('button', { name: 'Save the reading' }).click();
  await expect(page.getByText(/The meter showed 4,127.h .* which is more/)).toBeVisible();
  await page.getByLabel('It shows').fill('4132');
  await page.getByRole('button', { name: 'Save the reading' }).click();
  await expect(page.getByText('Hour meter saved on QP-02').first()).toBeVisible();
  await expect(page.getByText(/5.h of this charge not logged/)).toBeVisible();
  const after = await yard.pump('qp-02');
  expect(after.state.totals.minutes).toBe(before.state.totals.minutes + 300);
  await open(page, yard, '/pumps/qp-02/meter');
  await page.getByRole('radio', { name: 'replaced' }).click();
  await page.getByLabel('The old one showed at last').fill('4132');
  await page.getByLabel('The new one shows').fill('0');
  await page.getByRole('button', { name: 'Save the reading' }).click();
  await expect(page.getByText(/meter 0.h/)).toBeVisible();
});

test('a run whose end was forgotten is asked about, and ended', async ({ page, yard }) => {
  await open(page, yard, '/?pump=rl-02');
  await expect(page.locator('#row-rl-02').getByText(/did it end\?/)).toBeVisible();
  await open(page, yard, '/pumps/rl-02');
  await expect(page.getByText(/That is long: did it end, and was its end forgotten\?/).first()).toBeVisible();
  await page.getByRole('link', { name: 'End the run' }).first().click();
  await page.getByRole('button', { name: 'Save the run' }).click();
  await expect(page.getByText('Run ended on RL-02').first()).toBeVisible();
  const ended = await yard.pump('rl-02');
  expect(ended.state.running).toEqual([]);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('Undone', { exact: true })).toBeVisible();
  expect((await yard.pump('rl-02')).state.running).toHaveLength(1);
});

test('several runs are started at once, a set as one, and undone together', async ({ page, yard }) => {
  await open(page, yard, '/start');
  await page.getByRole('checkbox', { name: /^CW-01,/ }).click();
  await page.getByRole('checkbox', { name: /^LF-03,/ }).click();
  await page.getByRole('button', { name: 'Start 2 pumps' }).click();
  await expect(page.getByText('2 runs started').first()).toBeVisible();
  for (const id of ['cw-01', 'cw-b1', 'lf-03']) expect((await yard.pump(id)).state.running).toHaveLength(1);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('Undone', { exact: true })).toBeVisible();
  for (const id of ['cw-01', 'cw-b1', 'lf-03']) expect((await yard.pump(id)).state.running).toEqual([]);
});

test('an entry’s history can be read, contradictions are flagged and settled, and what was taken back counts again', async ({
  page,
  yard,
}) => {
  await logRun(page, yard, 'lf-02', 200, 100);
  const entryId = (await yard.pump('lf-02')).state.lastRun?.entryId ?? '';
  const history = (await (await fetch(`${yard.address}/api/entries/${entryId}`)).json()) as { original: object };
  // Two devices correct it without knowing of one another.
  const correction = (materialId: string, n: number) => ({
    ...history.original,
    id: `0199eeee-0000-7000-8000-00000000000${n}`,
    actId: `0199eeee-0000-7000-8000-00000000000${n}`,
    kind: 'correction',
    recordedAt: new Date(Date.now() + n * 1000).toISOString(),
    body: {
      targetId: entryId,
      supersedes: null,
      action: 'replace',
      body: { ...(history.original as { body: object }).body, materialId },
    },
  });
  await fetch(`${yard.address}/api/entries`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ entries: [correction('fd-meat', 1), correction('fd-soil', 2)] }),
  });
  await open(page, yard, '/pumps/lf-02');
  await page.getByRole('link', { name: 'two corrections contradict each other' }).click();
  await expect(page.getByText(/they were written without knowing of one another/)).toBeVisible();
  await page
    .getByRole('listitem')
    .filter({ hasText: 'Meat or fish' })
    .getByRole('button', { name: 'Let this count' })
    .click();
  await expect(page.getByText('It counts again').first()).toBeVisible();
  expect((await yard.pump('lf-02')).state.lastRun?.materialId).toBe('fd-meat');
  await expect(page.getByText(/they were written without knowing/)).toBeHidden();

  const runs = (await yard.pump('lf-02')).state.totals.runs;
  await page.getByRole('button', { name: /Take it back/ }).click();
  await expect(page.getByText(`${runs} → ${runs - 1} runs in all`, { exact: false })).toBeVisible();
  await page.getByRole('button', { name: 'Take it back', exact: true }).click();
  await expect(page.getByText('Undone', { exact: true })).toBeVisible();
  expect((await yard.pump('lf-02')).state.totals.runs).toBe(runs - 1);
});

test('a late entry shows what it changes before it is saved', async ({ page, yard }) => {
  const { state } = await yard.pump('lf-02');
  const before = new Date(Date.parse(state.sumps[0]?.charge.since.at ?? '') - 3_600_000);
  const field = new Intl.DateTimeFormat('sv-SE', { timeZone: 'Europe/Lisbon', dateStyle: 'short', timeStyle: 'short' })
    .format(before)
    .replace(' ', 'T');
  await open(page, yard, '/pumps/lf-02/change');
  await page.getByLabel('Came out').fill('600');
  await page.getByRole('radio', { name: 'earlier' }).click();
  await page.getByLabel('At', { exact: true }).fill(field);
  await levelRight(page);
  await expect(page.getByRole('heading', { name: 'What this changes' })).toBeVisible();
  await expect(page.getByText(/stands? as before|→/).last()).toBeVisible();
  await page.getByRole('button', { name: 'Save the oil change' }).click();
  await expect(page.getByText('Oil changed on LF-02').first()).toBeVisible();
});

test('a task and a note are corrected like any other entry', async ({ page, yard }) => {
  await open(page, yard, '/pumps/hs-03/done');
  await page.getByRole('button', { name: 'Save the task' }).click();
  await expect(page.getByText('Say which task was done.')).toBeVisible();
  await page.getByLabel('Which task').selectOption('Tip seals');
  await page.getByRole('button', { name: 'Save the task' }).click();
  await expect(page.getByText('Tip seals done on HS-03').first()).toBeVisible();
  await page
    .getByRole('link', { name: /^Correct: Done of/ })
    .first()
    .click();
  await page.getByLabel('Which task').selectOption('Bearings');
  await page.getByRole('button', { name: 'Save the correction' }).click();
  await expect(page.getByText('Correction saved').first()).toBeVisible();
  await expect(page.getByText('Bearings', { exact: true }).first()).toBeVisible();
});

test('what nobody knows yet is saved, counts on the cautious side, and is told later', async ({ page, yard }) => {
  await open(page, yard, '/pumps/lf-02/run');
  await page.getByRole('radio', { name: 'from – to' }).click();
  await page.getByLabel('From', { exact: true }).fill(minutesAgo(40));
  await page.getByLabel('To', { exact: true }).fill(minutesAgo(10));
  await page.getByLabel('or another material').selectOption({ label: 'don’t know yet' });
  await expect(page.getByText(/until you tell it, it counts as Meat or fish, 2\.55 a plain run/)).toBeVisible();
  await page.getByRole('button', { name: 'Save the run' }).click();
  await expect(page.getByText(/^1 run not told\./).first()).toBeVisible();
  await open(page, yard, '/pumps/lf-02/bleed');
  await page.getByLabel('Drawn in all', { exact: true }).fill('60');
  await page.getByLabel('not read yet').check();
  await page.getByRole('button', { name: 'Save the bleed' }).click();
  await expect(page.getByText(/^1 run and 1 bleed not told\./).first()).toBeVisible();
  await page
    .getByRole('link', { name: /^Tell the bleed of/ })
    .first()
    .click();
  await expect(page.getByLabel('not read yet')).toBeChecked();
  await page.getByLabel('Of it water', { exact: true }).fill('12');
  await expect(page.getByLabel('not read yet')).not.toBeChecked();
  await page.getByRole('button', { name: 'Save the correction' }).click();
  await expect(page.getByText('Correction saved').first()).toBeVisible();
  await expect(page.getByText(/^1 run not told\./).first()).toBeVisible();
  await page
    .getByRole('link', { name: /^Tell the run of/ })
    .first()
    .click();
  await page.getByLabel('or another material').selectOption({ label: 'Paper, damp' });
  await page.getByRole('button', { name: 'Save the correction' }).click();
  await expect(page.getByText('Correction saved').first()).toBeVisible();
  await expect(page.getByText(/^1 run.* not told\./)).toHaveCount(0);
  expect((await yard.pump('lf-02')).state.notTold).toEqual([]);
});

test('a change whose level nobody read asks for a look', async ({ page, yard }) => {
  await open(page, yard, '/pumps/lf-02/change');
  await page.getByLabel('not measured').check();
  await page.getByRole('button', { name: 'Save the oil change' }).click();
  await expect(page.getByText(/Say how the level stood/)).toBeVisible();
  await page.getByRole('radio', { name: 'not read yet' }).click();
  await page.getByRole('button', { name: 'Save the oil change' }).click();
  await expect(page.getByText(/Filled, and the level not read since/).first()).toBeVisible();
  await expect(page.getByText(/not measured what came out/).first()).toBeVisible();
});
