import type { Page } from '@playwright/test';
import { expect, levelRight, logRun, open, test, openSection } from './yard.js';

const PUMP = 'lf-02';

/** Takes the newest entry of a kind back, from its history. */
async function takeBack(page: Page, kind: string): Promise<void> {
  await page
    .getByRole('link', { name: new RegExp(`^History: ${kind} of`) })
    .first()
    .click();
  await page.getByRole('button', { name: /Take it back/ }).click();
  await page.getByRole('button', { name: 'Take it back', exact: true }).click();
}

test('runs fill the ruler, the limit flips the verdict, the next run is carried over, a change starts afresh', async ({
  page,
  yard,
}) => {
  const before = await yard.pump(PUMP);
  const used = before.row.ruler.bars.length;
  expect(before.row.verdict).toBe('runOn');
  const left =
    before.standing.tasks.find((t) => t.task === 'oilChange')?.limits.find((l) => l.measure === 'runs')?.left ?? 0;
  expect(left).toBe(3);

  await logRun(page, yard, PUMP, 290, 250);
  await expect(page.getByRole('group', { name: new RegExp(`^LF-02: ${used + 1} runs`) })).toBeVisible();
  await expect(page.getByText('Run on').first()).toBeVisible();
  await logRun(page, yard, PUMP, 240, 200);
  await logRun(page, yard, PUMP, 190, 150);
  await expect(page.getByText('Change before next run').first()).toBeVisible();
  await expect(page.getByText(/Oil change due: 5 of 5 runs/).first()).toBeVisible();

  await logRun(page, yard, PUMP, 140, 100);
  await expect(page.getByText(/One run of this charge went out on oil that was due/).first()).toBeVisible();
  await expect(page.getByRole('button', { name: /on oil carried over/ })).toHaveCount(1);

  await page
    .getByRole('link', { name: /^Change oil/ })
    .first()
    .click();
  await page.getByLabel('Came out').fill('650');
  await levelRight(page);
  await page.getByRole('button', { name: 'Save the oil change' }).click();
  await expect(page.getByRole('group', { name: /^LF-02: 0 runs since the oil change/ })).toBeVisible();
  await expect(page.getByText('Run on').first()).toBeVisible();
  await openSection(page, 'Earlier charges');
  await expect(page.getByText(/6 runs, \d+\sh/).first()).toBeVisible();

  await yard.restart();
  await page.reload();
  await expect(page.getByRole('group', { name: /^LF-02: 0 runs since the oil change/ })).toBeVisible();
  expect((await yard.pump(PUMP)).earlier[0]).toMatchObject({ runs: 6, carriedOverRuns: 1 });
});

test('Undo takes the last entry back, Correct changes it, Take back works from the journal', async ({ page, yard }) => {
  const before = await yard.pump(PUMP);
  await logRun(page, yard, PUMP, 200, 100);
  expect((await yard.pump(PUMP)).state.totals.runs).toBe(before.state.totals.runs + 1);
  // What was saved is said beneath the page: at its end no button lies under it.
  const overlapAtTheEnd = async () => {
    await page.evaluate(() => window.scrollTo(0, document.body.scrollHeight));
    const said = await page.getByRole('region', { name: /^Notifications/ }).boundingBox();
    const last = await page.getByRole('main').boundingBox();
    return said && last ? last.y + last.height - said.y : Infinity;
  };
  // The page still grows while its parts come in.
  await expect.poll(overlapAtTheEnd).toBeLessThanOrEqual(1);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('Undone', { exact: true })).toBeVisible();
  expect((await yard.pump(PUMP)).state).toEqual({ ...before.state });

  await logRun(page, yard, PUMP, 200, 100);
  await page
    .getByRole('link', { name: /^Correct: Run of/ })
    .first()
    .click();
  await expect(page.getByRole('heading', { name: 'Correct: log a run' })).toBeVisible();
  await page.getByLabel('or another material').selectOption('Meat or fish');
  await page.getByRole('button', { name: 'Save the correction' }).click();
  await expect(page.getByText('Meat or fish · 1 h 40').first()).toBeVisible();
  await expect(page.getByText('corrected').first()).toBeVisible();
  expect((await yard.pump(PUMP)).state.lastRun?.materialId).toBe('fd-meat');

  await takeBack(page, 'Run');
  await expect(page.getByText('Undone', { exact: true })).toBeVisible();
  expect((await yard.pump(PUMP)).state.totals.runs).toBe(before.state.totals.runs);
});

test('a look, a bleed and a top-up are saved with what they say, and answer what they answer', async ({
  page,
  yard,
}) => {
  await open(page, yard, '/pumps/cw-02');
  await expect(page.getByText('Top up before next run').first()).toBeVisible();
  await page
    .getByRole('link', { name: /^Top up/ })
    .first()
    .click();
  await page.getByLabel('Filled in').fill('0,1 L');
  await expect(page.getByText('= 100 mL')).toBeVisible();
  await levelRight(page);
  await page.getByRole('button', { name: 'Save the top-up' }).click();
  await expect(page.getByText('Run on').first()).toBeVisible();

  await open(page, yard, '/pumps/cw-02/look');
  await page.getByRole('radio', { name: 'sample' }).click();
  await page.getByRole('radio', { name: '2 days' }).click();
  await page.getByLabel('In the jar').fill('5 tbsp');
  await page.getByRole('radio', { name: 'cloudy' }).click();
  await page.getByRole('radio', { name: '3, honey' }).click();
  await page.getByRole('textbox', { name: 'Free water' }).fill('12');
  await expect(page.getByText(/Change before next run/)).toBeVisible();
  await page.getByRole('button', { name: 'Save the look' }).click();
  await expect(page.getByText(/The oil was cloudy after 48 h standing/).first()).toBeVisible();
  expect((await yard.pump('cw-02')).state.jars.at(-1)).toMatchObject({
    source: 'sample',
    waterUl: 12_000,
    colour: 3,
    clarity: 'cloudy',
  });

  await open(page, yard, '/pumps/cw-02/bleed');
  await page.getByLabel('Drawn in all').fill('30');
  await page.getByLabel('Of it water').fill('40');
  await page.getByRole('button', { name: 'Save the bleed' }).click();
  await expect(page.getByText(/Right would be at most what was drawn, 30 mL/)).toBeVisible();
  await page.getByLabel('Of it water').fill('11');
  await page.getByRole('button', { name: 'Save the bleed' }).click();
  await expect(page.getByText('Bleed saved on CW-02').first()).toBeVisible();
});

test('an oil change with its filter is one deed: undone together, taken back together', async ({ page, yard }) => {
  const before = await yard.pump('qp-02');
  const change = async () => {
    await open(page, yard, '/pumps/qp-02/change');
    await page.getByLabel('Came out').fill('1,9 L');
    await page.getByRole('radio', { name: 'changed too' }).click();
    await levelRight(page);
    await page.getByRole('button', { name: 'Save the oil change' }).click();
    await expect(page.getByText('Oil changed on QP-02').first()).toBeVisible();
    expect((await yard.pump('qp-02')).state.tasks.oilFilter?.day).not.toBe(before.state.tasks.oilFilter?.day);
  };
  await change();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('Undone', { exact: true })).toBeVisible();
  expect((await yard.pump('qp-02')).state).toEqual(before.state);
  await change();
  await takeBack(page, 'Oil change');
  await expect(page.getByText('Undone', { exact: true })).toBeVisible();
  expect((await yard.pump('qp-02')).state).toEqual(before.state);
});

test('a drain larger than the charge is asked, and said yes to', async ({ page, yard }) => {
  yard.expectedErrors = [/422/];
  await open(page, yard, '/pumps/lf-02/change');
  await page.getByLabel('Came out').fill('760');
  await levelRight(page);
  await page.getByRole('button', { name: 'Save the oil change' }).click();
  await expect(page.getByText(/760.mL came out, but the charge is 700.mL. Was there water in it\?/)).toBeVisible();
  await page.getByRole('button', { name: 'Yes, it is right' }).click();
  await expect(page.getByText('Oil changed on LF-02').first()).toBeVisible();
});

test('tasks are ticked off, notes are written', async ({ page, yard }) => {
  await open(page, yard, '/pumps/hs-03');
  await page.getByRole('button', { name: 'Done: Tip seals' }).click();
  await expect(page.getByText('Tip seals done on HS-03').first()).toBeVisible();
  expect((await yard.pump('hs-03')).standing.tasks.find((t) => t.task === 'tipSeals')?.decides?.used).toBe(0);
  await page.getByLabel('Note').fill('Quieter since the new seals.');
  await page.getByRole('button', { name: 'Write' }).click();
  await expect(page.getByText('Quieter since the new seals.')).toBeVisible();
});
