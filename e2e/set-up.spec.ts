import type { SetUpAnswer, SetUpEffect } from '@winter-jar/contracts';
import type { Page } from '@playwright/test';
import { addRecords, expect, noSidewaysScroll, open, readingTest, test, type ReadYard } from './yard.js';

const house = async (yard: ReadYard) =>
  ((await (await fetch(`${yard.address}/api/set-up`)).json()) as SetUpAnswer).house;
const onRound = async (yard: ReadYard) => {
  const { rows } = (await (await fetch(`${yard.address}/api/round`)).json()) as { rows: { name: string }[] };
  return rows.map((r) => r.name);
};

test('a change counts from now, a correction shows what moves, and both can be undone', async ({ page, yard }) => {
  const weight = async () => (await yard.pump('lf-02')).state.totals.weightMilli;
  const before = await weight();
  await open(page, yard, '/set-up/equipment/ferry-b');
  await page.getByLabel('A plain run lasts').fill('15 h');
  await page.getByRole('button', { name: 'Change from now' }).click();
  await expect(page.getByText('Chamber B saved').first()).toBeVisible();
  expect(await weight()).toBe(before);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('Undone', { exact: true })).toBeVisible();
  expect((await house(yard)).equipment['ferry-b']?.referenceHours).toBe(30);

  await open(page, yard, '/set-up/material/fd-paper-wet');
  await page.getByRole('group', { name: 'Acid' }).getByRole('radio', { name: '3' }).click();
  await expect(page.getByText(/A plain run with it weighs 2\.\d\d/)).toBeVisible();
  await page.getByRole('button', { name: /Correct a wrong value/ }).click();
  await expect(page.getByRole('heading', { name: 'What the correction moves' })).toBeVisible();
  await expect(page.getByText(/weighted runs in all/).first()).toBeVisible();
  expect(await weight()).toBe(before);
  await page.getByRole('button', { name: 'Save the correction' }).click();
  await expect(page.getByText(/saved/).first()).toBeVisible();
  expect(await weight()).toBeGreaterThan(before);
});

test('a rule’s effect on the Round is shown before it is saved', async ({ page, yard }) => {
  await open(page, yard, '/set-up/houseRules/house');
  await expect(page.getByText('Bleed and count').first()).toBeVisible();
  await page.getByText('Oil change', { exact: true }).click();
  await page.getByLabel('Oil change: Runs').fill('1');
  await page.getByRole('button', { name: 'Change from now' }).click();
  await expect(page.getByRole('heading', { name: 'On the Round from now on' })).toBeVisible();
  await expect(
    page
      .getByRole('listitem')
      .filter({ hasText: 'LF-02' })
      .getByText(/Change before next run/),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Save the change' }).click();
  await expect(page.getByText('Care rules saved').first()).toBeVisible();
  expect((await yard.pump('lf-02')).row.verdict).toBe('beforeNextRun');
  await open(page, yard, '/set-up/pump/lf-02');
  await expect(page.getByText(/1 run \(house rule\)/)).toBeVisible();
});

readingTest(
  'of a large yard what moves is shown as it is found, and said when the rest cannot be had',
  async ({ page, yard }) => {
    yard.expectedErrors = [/Failed to load resource/];
    await open(page, yard, '/set-up/houseRules/house');
    const more = `${yard.address}/api/set-up/preview`;
    let whole: SetUpEffect;
    await page.route(/set-up\/preview$/, async (route) => {
      whole = (await (await route.fetch()).json()) as SetUpEffect;
      while (whole.id !== null) whole = (await (await page.request.get(`${more}/${whole.id}`)).json()) as SetUpEffect;
      await route.fulfill({ json: { ...whole, effects: whole.effects.slice(0, 2), progress: 0.4, id: 'going' } });
    });
    let partSeen: () => void = () => undefined;
    const seen = new Promise<void>((resolve) => (partSeen = resolve));
    await page.route(/set-up\/preview\/going$/, async (route) => {
      await seen;
      await route.fulfill({ json: whole });
    });
    await page.getByText('Oil change', { exact: true }).click();
    await page.getByLabel('Oil change: Runs').fill('3');
    await page.getByRole('button', { name: 'Change from now' }).click();
    await expect(page.getByText('Looked at 40 % of the pumps so far; more may move.')).toBeVisible();
    partSeen();
    await expect(page.getByText('so far; more may move')).toBeHidden();
    await expect(page.getByText('CW-02', { exact: true })).toBeVisible();
    // Asked again: this time the server knows nothing of it.
    await page.getByRole('button', { name: 'Look again' }).click();
    await page.unroute(/set-up\/preview\/going$/);
    await page.getByRole('button', { name: 'Change from now' }).click();
    await expect(page.getByText(/server does not answer/)).toBeVisible();
    await expect(page.getByRole('button', { name: 'Save the change' })).toBeHidden();
  },
);

test('an edit of a record that someone else changed meanwhile says so, and loses nothing', async ({ page, yard }) => {
  yard.expectedErrors = [/412/];
  await open(page, yard, '/set-up/site/ferry');
  await page.getByLabel('What it does').fill('wet paper and maps');
  await addRecords(yard, 'site', { ferry: { ...(await house(yard)).site.ferry, name: 'Low Ferry Archive' } });
  await page.getByRole('button', { name: 'Change from now' }).click();
  await page.getByRole('button', { name: 'Save the change' }).click();
  await expect(page.getByText(/someone else changed this record/)).toBeVisible();
  await expect(page.getByLabel('What it does')).toHaveValue('wet paper and maps');
  await page.getByRole('button', { name: 'I have seen it: mine shall count' }).click();
  await page.getByRole('button', { name: 'Save the change' }).click();
  await expect(page.getByText(/saved/).first()).toBeVisible();
  expect((await house(yard)).site.ferry?.note).toBe('wet paper and maps');
});

test('pumps move, are exchanged and retire; the Round shows those in service', async ({ page, yard }) => {
  await open(page, yard, '/set-up/pump/lf-02');
  await page.getByRole('group', { name: 'It is' }).getByRole('radio', { name: 'a spare' }).click();
  await page.getByRole('button', { name: 'Change from now' }).click();
  await page.getByRole('button', { name: 'Save the change' }).click();
  await expect(page.getByText('LF-02 saved').first()).toBeVisible();
  expect(await onRound(yard)).not.toContain('LF-02');

  await open(page, yard, '/set-up/pump/lf-01');
  await page.getByLabel('Which pump comes in its place').selectOption({ label: 'LF-02 (spare)' });
  await page.getByRole('radio', { name: 'retired' }).last().click();
  await page.getByRole('button', { name: /Show what that does/ }).click();
  await page.getByRole('button', { name: 'Exchange', exact: true }).click();
  await expect(page.getByText('LF-02 is in the place of LF-01').first()).toBeVisible();
  expect(await onRound(yard)).toContain('LF-02');
  expect(await onRound(yard)).not.toContain('LF-01');
  expect((await house(yard)).pump['lf-02']).toMatchObject({ equipmentId: 'ferry-a', place: 'inService' });
});

test('a pump is borrowed: the run names where it ran', async ({ page, yard }) => {
  await open(page, yard, '/pumps/lf-02/run');
  await page.getByRole('button', { name: 'Ran elsewhere' }).click();
  await page.getByLabel('On which equipment').selectOption({ label: 'Line 1 · Quayside Packing' });
  await page.getByLabel('Cycles', { exact: true }).fill('400');
  await page.getByLabel(/^Hours/).fill('');
  await page.getByRole('radio', { name: 'a side job' }).click();
  await page.getByRole('button', { name: 'Save the run' }).click();
  await expect(page.getByText('Run logged on LF-02').first()).toBeVisible();
  expect((await yard.pump('lf-02')).state.lastRun).toMatchObject({ equipmentId: 'quay-1', cycles: 400, minutes: 160 });
});

test('a material that is not in the list is made beside the run that needs it', async ({ page, yard }) => {
  await open(page, yard, '/pumps/lf-02/run');
  await page.getByRole('button', { name: 'A material that is not in the list' }).click();
  const panel = page.getByRole('region', { name: 'New material' });
  await panel.getByRole('button', { name: 'Add and use it' }).click();
  await expect(panel.getByText(/^Say this: it cannot stay empty/)).toBeVisible();
  await panel.getByLabel('Name').fill('Bog moss');
  await panel.getByRole('group', { name: 'Moisture' }).getByRole('radio', { name: '3' }).click();
  await expect(panel.getByText('A plain run with it weighs 1.45.')).toBeVisible();
  await panel.getByRole('button', { name: 'Add and use it' }).click();
  await expect(panel).toBeHidden();
  await expect(page.getByText('a plain run with it weighs 1.45')).toBeVisible();
  await page.getByLabel('How long').fill('5 h');
  await page.getByRole('button', { name: 'Save the run' }).click();
  await expect(page.getByText(/Bog moss · 5.h/).first()).toBeVisible();
});

test('the first pump of an evening survives wrong input, a reload and a stopped server', async ({ page, yard }) => {
  yard.expectedErrors = [/Failed to load resource/, /ERR_CONNECTION/, /net::/];
  await open(page, yard, '/set-up/add-pump');
  await page.getByRole('button', { name: 'Add the pump' }).click();
  await expect(page.getByText(/Say this: a name of 1 to 60 characters/).first()).toBeVisible();
  await expect(page.getByText('Say on which day, or choose “nobody knows”.')).toBeVisible();
  await page.getByLabel('Name', { exact: true }).fill('HS-09');
  await page.getByRole('radio', { name: 'nobody knows' }).click();
  await page.getByRole('textbox', { name: 'Runs since' }).fill('two');
  await page.waitForTimeout(300);
  await page.reload();
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('HS-09');
  await page.getByLabel('Equipment', { exact: true }).selectOption('new equipment …');
  await page.getByLabel('Name of the equipment').fill('Spare bench');
  await page.getByRole('button', { name: 'Add the pump' }).click();
  await expect(page.getByText('“two” is not a number of runs.', { exact: false })).toBeVisible();
  await page.getByRole('textbox', { name: 'Runs since' }).fill('');
  await yard.stop();
  await page.getByRole('button', { name: 'Add the pump' }).click();
  await expect(page.getByText(/Not saved: the server does not answer/)).toBeVisible();
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('HS-09');
  await yard.restart();
  await page.getByRole('button', { name: 'Add the pump' }).click();
  await expect(page.getByRole('heading', { name: 'HS-09', level: 1 })).toBeVisible();
});

/** Each form of the set-up with one wrong value, the message at its field, and a value that must survive. */
const WRONG: readonly [path: string, field: string, value: string, words: RegExp][] = [
  ['/set-up/site/new', 'Time zone', 'Moon/Base', /“Moon\/Base” is not right here\. Right would be an IANA time zone/],
  ['/set-up/equipment/ferry-a', 'A plain run lasts', '0 h', /from 0\.1 to 1,000/],
  ['/set-up/pumpModel/bollard-6', 'Pumping speed', '6 hPa', /measures something else/],
  ['/set-up/pump/lf-01', 'Name', 'x'.repeat(61), /a name of 1 to 60 characters/],
  ['/set-up/oilProduct/linnet-68', 'Density (kg/m³)', '12', /from 700 to 2,100/],
  ['/set-up/material/fd-meat', 'Name', '  ', /^Say this: it cannot stay empty/],
  ['/set-up/person/new', 'Name', '', /^Say this: it cannot stay empty/],
];

readingTest(
  'in every form of the set-up a wrong value gets its message at its field, and stays as typed',
  async ({ page, yard }) => {
    for (const [path, label, value, words] of WRONG) {
      await open(page, yard, path);
      const field = page.getByLabel(label, { exact: true }).first();
      await field.fill(value);
      if (path === '/set-up/site/new') {
        await page.getByLabel('Name', { exact: true }).fill('Somewhere');
        await page.getByRole('radio', { name: 'Packaging' }).click();
      }
      await page.getByRole('button', { name: /^(Change from now|Add)$/ }).click();
      await expect(page.getByText(words).first()).toBeVisible();
      await expect(field).toHaveAttribute('aria-invalid', 'true');
      await page.waitForTimeout(250);
      await page.reload();
      await expect(page.getByLabel(label, { exact: true }).first()).toHaveValue(value);
    }
  },
);

const NAMES = [
  'The pump by the long wall that nobody dares to move any more',
  'مضخة التجفيف بالتجميد رقم سبعة',
  '🧊🛢️ Pümp №7',
  'W'.repeat(60),
];

test('long names, names from right to left and emoji break no screen of the set-up', async ({ page, yard }) => {
  test.slow();
  const { pump, site, equipment, person } = await house(yard);
  for (const [i, name] of NAMES.entries()) {
    await addRecords(yard, 'site', { [`s${i}`]: { ...site.ferry, name } });
    await addRecords(yard, 'equipment', { [`e${i}`]: { ...equipment['ferry-a'], name, siteId: `s${i}` } });
    await addRecords(yard, 'pump', { [`p${i}`]: { ...pump['lf-01'], name, siteId: `s${i}`, equipmentId: `e${i}` } });
    await addRecords(yard, 'person', { [`who${i}`]: { ...person.wren, name } });
  }
  const paths = [
    '/set-up/pump',
    '/set-up/site',
    '/set-up/person',
    '/set-up/add-pump',
    '/labels',
    '/round/print',
    '/start',
    '/backup',
    '/set-up/file',
    '/phone',
  ];
  for (const size of [
    { width: 390, height: 844 },
    { width: 768, height: 1024 },
    { width: 1280, height: 800 },
  ]) {
    await page.setViewportSize(size);
    for (const path of [...paths, '/set-up/pump/p3', '/pumps/p1/label', '/pumps/p3/take-over', '/pumps/p0/meter']) {
      await open(page, yard, path);
      await noSidewaysScroll(page);
    }
  }
});

async function importText(page: Page, yard: ReadYard, text: string): Promise<void> {
  await open(page, yard, '/set-up/file');
  await page
    .getByLabel('Choose a file to import')
    .setInputFiles({ name: 'odd.json', mimeType: 'application/json', buffer: Buffer.from(text) });
}

readingTest(
  'a set-up file that is cut short, of another kind or too large gets a clear answer',
  async ({ page, yard }) => {
    await importText(page, yard, '{"format":"winter-jar-set-up","rec');
    await expect(page.getByText(/odd\.json cannot be read\. It breaks off after 34 characters/)).toBeVisible();
    await importText(page, yard, '{"format":"recipes"}');
    await expect(page.getByRole('heading', { name: 'odd.json cannot be read as a set-up' })).toBeVisible();
    await importText(page, yard, ' '.repeat(6_000_000));
    await expect(page.getByText(/odd\.json has 6\sMB\. Right would be at most 5\sMB/)).toBeVisible();
  },
);
