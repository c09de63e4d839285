import { join } from 'node:path';
import type { Page } from '@playwright/test';
import type { About, PumpPage } from '@winter-jar/contracts';
import { expect, test, type OwnHouse, type OwnHouses } from './own-house.js';
import { letPass } from './yard.js';

test.use({ timezoneId: 'Europe/Lisbon' });

const EVENING = '2031-04-20T19:00:00.000Z';
const NOTEBOOK = join(import.meta.dirname, 'evening-notebook.csv');

interface NewPump {
  readonly name: string;
  readonly site: { readonly name: string; readonly process?: string };
  readonly equipment: string;
  readonly model?: string;
  /** Day of the last change and runs since, as its owner counted them; null where nobody knows. */
  readonly counted: { readonly day: string; readonly runs: string } | null;
}

const ARCHIVE = { name: 'Tern Archive', process: 'Freeze drying' };
const SMOKEHOUSE = { name: 'Weir Smokehouse', process: 'Packaging' };
const BOATS = { name: 'Skerry Boats', process: 'Composites' };
const PUMPS: readonly NewPump[] = [
  {
    name: 'Cart 1',
    site: ARCHIVE,
    equipment: 'Long chamber',
    model: 'Capstan 8',
    counted: { day: '2031-04-01', runs: '3' },
  },
  { name: 'Cart 2', site: ARCHIVE, equipment: 'Long chamber', counted: null },
  { name: 'Sealer A', site: SMOKEHOUSE, equipment: 'Line 1', counted: null },
  { name: 'Sealer B', site: SMOKEHOUSE, equipment: 'Line 1', counted: { day: '2031-03-10', runs: '10' } },
  { name: 'Bag pump', site: BOATS, equipment: 'Bag table', counted: null },
  { name: 'Oven pump', site: BOATS, equipment: 'Oven', counted: { day: '2031-03-01', runs: '5' } },
];

/** Reckoned by hand from the notebook: the runs after each pump's last change. */
const AFTER_IMPORT: Readonly<Record<string, string>> = {
  // 3, 8, 13 and 18 April: 20 + 26 + 19.5 + 20; its owner had counted three.
  'Cart 1': '4 runs, 85.5 h',
  // 5 and 12 March, 2 April.
  'Cart 2': '3 runs, 30 h',
  // Eighteen shifts of eight hours, and no change was ever written down.
  'Sealer A': '18 runs, 144 h',
  // Twelve days of packs, 23,950 at 12 s, each day to the minute: 360 + 390 + 440 + 9 x 400 min; and a night of ten hours.
  'Sealer B': '13 runs, 89.8 h',
  // From 11 March on: 7 + 7 + 1.5 + 6 + 6 + 6 + 6.
  'Bag pump': '7 runs, 39.5 h',
  // 6 of 4 h, two of which say no length, and one of a day.
  'Oven pump': '8 runs, 52 h',
};

/** The next oil change: what is used of the school's limit, and the day of the calendar at the latest, half a year after the last in wet work. */
const NEXT_CHANGE: Readonly<Record<string, string>> = {
  // 1 April and 182 days.
  'Cart 1': '4 of 5 runs, 2031-09-30',
  // 1 March and 182 days.
  'Cart 2': '3 of 5 runs, 2031-08-30',
  // Nobody knows of a change: a year from the evening on which it was taken over, over a leap day.
  'Sealer A': '144 of 750 hours, 2032-04-19',
  'Sealer B': '89.8 of 750 hours, 2032-03-09',
  // By the look: the calendar alone.
  'Bag pump': '2032-03-05',
  'Oven pump': '2032-02-29',
};

async function nextChange(house: OwnHouse, pumpId: string | undefined): Promise<string> {
  const { standing } = (await (await fetch(`${house.address}/api/pumps/${pumpId}`)).json()) as PumpPage;
  const limits = standing.tasks.find(({ task }) => task === 'oilChange')?.limits ?? [];
  const counted = limits.find(({ measure }) => measure === 'runs' || measure === 'hours');
  const left = limits.find(({ measure }) => measure === 'days')?.left ?? NaN;
  const day = new Date(Date.parse(EVENING) + left * 86_400_000).toISOString().slice(0, 10);
  return [counted && `${Number(counted.used.toFixed(1))} of ${counted.limit} ${counted.measure}`, day]
    .filter(Boolean)
    .join(', ');
}

async function addPump(page: Page, house: OwnHouse, pump: NewPump, isKnown: boolean): Promise<string> {
  await page.goto(`${house.address}/set-up/add-pump`);
  await page.getByLabel('Name', { exact: true }).fill(pump.name);
  const site = page.getByLabel('Site', { exact: true });
  if (isKnown) await site.selectOption(pump.site.name);
  else {
    if (await site.isVisible()) await site.selectOption('a new site …');
    await page.getByLabel('Name of the site').fill(pump.site.name);
    await page.getByRole('radio', { name: pump.site.process ?? '' }).click();
  }
  const equipment = page.getByLabel('Equipment', { exact: true });
  const has =
    (await equipment.isVisible()) && (await equipment.locator('option').allTextContents()).includes(pump.equipment);
  if (has) await equipment.selectOption(pump.equipment);
  else {
    if (await equipment.isVisible()) await equipment.selectOption('new equipment …');
    await page.getByLabel('Name of the equipment').fill(pump.equipment);
  }
  if (pump.model) {
    await page.getByLabel('Name of the model').fill(pump.model);
    await page.getByLabel('Pumping speed').fill('8 m³/h');
    await page.getByLabel('Oil charge').fill('0,9 L');
  }
  await page.getByRole('radio', { name: pump.counted ? 'on a day' : 'nobody knows' }).click();
  if (pump.counted) {
    await page.getByLabel('Day of the change').fill(pump.counted.day);
    await page.getByRole('textbox', { name: 'Runs since' }).fill(pump.counted.runs);
  }
  await page.getByRole('button', { name: 'Add the pump' }).click();
  await expect(page.getByRole('heading', { name: pump.name, level: 1 })).toBeVisible();
  return decodeURIComponent(new URL(page.url()).pathname.split('/')[2] ?? '');
}

/** What the notebook cannot say by itself, as its owner answers it; two cells are mended, one row stays out. */
async function answerQuestions(page: Page): Promise<void> {
  await expect(page.getByRole('heading', { name: 'evening-notebook.csv: 80 rows' })).toBeVisible();
  await expect(page.getByRole('heading', { name: '9 questions' })).toBeVisible();
  await expect(page.getByRole('heading', { name: '5 rows cannot be read' })).toBeVisible();
  await page.getByRole('radio', { name: '2 January 2031' }).click();
  await page.getByRole('button', { name: 'It is Cart 1' }).click();
  await page.getByRole('button', { name: 'It is Bag pump' }).click();
  const asked = (text: string) => page.getByRole('listitem').filter({ hasText: text }).getByRole('combobox');
  await asked('No pump is called “Spare”').selectOption('none of them: leave these rows out');
  await asked('No material is called “Beef”').selectOption('Meat or fish');
  await page.getByRole('group', { name: 'What is “serviced”?' }).getByRole('radio', { name: 'note' }).click();
  await page.getByRole('radio', { name: 'Yes, enter a change after each' }).click();
  await page.getByLabel('How long did the 2 runs take that say no length?').fill('4 h');
  await page.getByRole('button', { name: 'Each run so long' }).click();
  await page.getByLabel('How many seconds does one cycle on Line 1 take?').fill('12');
  await page.getByRole('button', { name: 'Each cycle so long' }).click();
  await expect(page.getByRole('heading', { name: /question/ })).toHaveCount(0);
  await page.getByLabel('Day, or day and time in line 59').fill('24.3.31');
  await page.getByLabel('Length of the run in line 62').fill('10 h');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'One row cannot be read' })).toBeVisible();
}

/** Runs and hours since the last change, as the pump's page has them. */
async function since(house: OwnHouse, pumpId: string | undefined): Promise<string> {
  const { state } = (await (await fetch(`${house.address}/api/pumps/${pumpId}`)).json()) as PumpPage;
  const before = state.sumps.find(({ key }) => key === 'oil')?.charge?.since.counts;
  const minutes = state.totals.minutes - (before?.minutes ?? 0);
  return `${state.totals.runs - (before?.runs ?? 0)} runs, ${Number((minutes / 60).toFixed(1))} h`;
}

/** All of it is taken back with one button, and comes again as the same. */
async function undoAndImportAgain(page: Page, house: OwnHouse, ids: Readonly<Record<string, string>>): Promise<void> {
  await page.getByRole('button', { name: 'Undo the whole import' }).click();
  await expect(page.getByText('The import of evening-notebook.csv was undone.')).toBeVisible();
  expect(await since(house, ids['Sealer A'])).toBe('0 runs, 0 h');
  await page.goto(`${house.address}/logs/notebook`);
  await page.locator('input[type=file]').setInputFiles(NOTEBOOK);
  // What was answered for a file of this form is remembered; only the two cells are wrong again.
  await expect(page.getByRole('heading', { name: '3 rows cannot be read' })).toBeVisible();
  await expect(page.getByRole('heading', { name: /question/ })).toHaveCount(0);
  await page.getByLabel('Day, or day and time in line 59').fill('24.3.31');
  await page.getByLabel('Length of the run in line 62').fill('10 h');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Check 79 rows' }).click();
  await page.getByRole('button', { name: 'Import 79 entries' }).click();
  await expect(page.getByRole('heading', { name: '79 entries imported from evening-notebook.csv' })).toBeVisible();
  expect(await since(house, ids['Cart 1'])).toBe(AFTER_IMPORT['Cart 1']);
}

/** The run of 18 April was on the other cart. */
async function moveTheLastRun(page: Page, house: OwnHouse, ids: Readonly<Record<string, string>>): Promise<void> {
  const [from, to] = [ids['Cart 1'], ids['Cart 2']];
  await page.goto(`${house.address}/pumps/${from}`);
  await page.getByRole('link', { name: /^History: Run of Fri 18 Apr/ }).click();
  await page.getByRole('button', { name: 'It belongs to another pump or chamber' }).click();
  await page.getByLabel('Pump', { exact: true }).selectOption('Cart 2');
  await expect(page.getByText('13 → 12 runs in all')).toBeVisible();
  await expect(page.getByText('7 → 8 runs in all')).toBeVisible();
  await page.getByRole('button', { name: 'Move it' }).click();
  await expect(page.getByText('Moved to Cart 2').first()).toBeVisible();
  expect(await since(house, from)).toBe('3 runs, 65.5 h');
  expect(await since(house, to)).toBe('4 runs, 50 h');
  // Undone and done once more: the same counts both times.
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('Undone').first()).toBeVisible();
  expect(await since(house, from)).toBe('4 runs, 85.5 h');
  expect(await since(house, to)).toBe('3 runs, 30 h');
  await page.goto(`${house.address}/pumps/${to}`);
  await page.getByText('What was taken back').click();
  await expect(page.getByRole('listitem').filter({ hasText: 'taken back today' })).toHaveCount(1);
  await page.getByRole('link', { name: 'Bring it back' }).click();
  await page.getByRole('button', { name: 'Let this count' }).click();
  await expect(page.getByText('It counts again').first()).toBeVisible();
  expect(await since(house, to)).toBe('4 runs, 50 h');
  await page.goto(`${house.address}/pumps/${from}`);
  await page.getByRole('link', { name: /^History: Run of Fri 18 Apr/ }).click();
  await page.getByRole('button', { name: 'Take it back …' }).click();
  await page.getByRole('button', { name: 'Take it back', exact: true }).click();
  await expect.poll(() => since(house, from)).toBe('3 runs, 65.5 h');
}

/** It leaves the Round, says so on its pages, and is offered no new run. */
async function retireTheOven(page: Page, house: OwnHouse, ids: Readonly<Record<string, string>>): Promise<void> {
  await page.goto(`${house.address}/set-up/pump/${ids['Oven pump']}`);
  const retired = page.getByRole('group', { name: 'It is' }).getByRole('radio', { name: 'retired' });
  await retired.click();
  await expect(retired).toBeChecked();
  await page.getByRole('button', { name: 'Change from now' }).click();
  await page.getByRole('button', { name: 'Save the change' }).click();
  await expect(page.getByText('Oven pump saved').first()).toBeVisible();
  await page.goto(`${house.address}/pumps/${ids['Oven pump']}`);
  await expect(page.getByText(/^Retired: it is not on the Round, and takes no new runs/)).toBeVisible();
  await expect(page.getByRole('link', { name: 'Log a run' })).toHaveCount(0);
  await page.goto(`${house.address}/pumps/${ids['Oven pump']}/run`);
  await expect(page.getByText(/^Retired: /)).toBeVisible();
}

/** A second pump of a name is asked about, goes again with Undo, and one that ran cannot be deleted. */
async function addAndUndo(page: Page, house: OwnHouse, houses: OwnHouses): Promise<void> {
  await page.goto(`${house.address}/set-up/add-pump`);
  await page.getByLabel('Name', { exact: true }).fill('cart-1');
  await page.getByLabel('Site', { exact: true }).selectOption(ARCHIVE.name);
  await page.getByRole('radio', { name: 'nobody knows' }).click();
  await page.getByRole('button', { name: 'Add the pump' }).click();
  await expect(page.getByText('“Cart 1” stands under Pumps already. Is that meant so?')).toBeVisible();
  await page.getByRole('button', { name: 'Yes, save it so' }).click();
  await expect(page.getByText('cart-1 added').first()).toBeVisible();
  expect((await house.round()).rows.length).toBe(6);
  // What the new pump's page has asked for may be answered when the pump is gone.
  houses.expectedErrors.push(/404 \(Not Found\)/);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('Undone').first()).toBeVisible();
  expect((await house.round()).rows.length).toBe(5);
  await page.goto(`${house.address}/set-up/pump`);
  await page.getByRole('link', { name: /^Bag pump/ }).click();
  await page.getByRole('button', { name: 'Delete it …' }).click();
  houses.expectedErrors.push(/400 \(Bad Request\)/);
  await page.getByRole('button', { name: 'Delete Bag pump' }).click();
  await expect(page.getByText(/^It cannot be deleted: \d+ entries of the journal name it/)).toBeVisible();
}

test('an evening with an empty folder: six pumps of three customers, and the notebook of a winter', async ({
  page,
  houses,
}) => {
  const house = await houses.open();
  const { now } = (await (await fetch(`${house.address}/api/about`)).json()) as About;
  await letPass(page, house, (Date.parse(EVENING) - Date.parse(now)) / 3_600_000);
  const ids: Record<string, string> = {};
  for (const [i, pump] of PUMPS.entries()) {
    const isKnown = PUMPS.slice(0, i).some(({ site }) => site === pump.site);
    ids[pump.name] = await addPump(page, house, pump, isKnown);
  }
  await page.goto(`${house.address}/logs/notebook`);
  await page.locator('input[type=file]').setInputFiles(NOTEBOOK);
  await answerQuestions(page);
  await page.getByRole('button', { name: 'Check 79 rows' }).click();
  await expect(
    page.getByRole('heading', { name: 'evening-notebook.csv: 79 new, 0 there already, 0 not right' }),
  ).toBeVisible();
  await expect(page.getByRole('heading', { name: 'What it changes' })).toBeVisible();
  await page.getByRole('button', { name: 'Import 79 entries' }).click();
  await expect(page.getByRole('heading', { name: '79 entries imported from evening-notebook.csv' })).toBeVisible();
  for (const [name, expected] of Object.entries(AFTER_IMPORT))
    expect(`${name}: ${await since(house, ids[name])}`).toBe(`${name}: ${expected}`);
  for (const [name, expected] of Object.entries(NEXT_CHANGE))
    expect(`${name}: ${await nextChange(house, ids[name])}`).toBe(`${name}: ${expected}`);
  await undoAndImportAgain(page, house, ids);
  await moveTheLastRun(page, house, ids);
  expect(await nextChange(house, ids['Cart 1'])).toBe('3 of 5 runs, 2031-09-30');
  expect(await nextChange(house, ids['Cart 2'])).toBe('4 of 5 runs, 2031-08-30');
  await retireTheOven(page, house, ids);
  await addAndUndo(page, house, houses);
  await page.goto(house.address);
  await expect(page.getByRole('heading', { name: /^One pump needs hands today, four want a look/ })).toBeVisible();
  const verdicts = (await house.round()).rows.map(({ name, verdict }) => `${name}: ${verdict}`);
  expect(verdicts.sort()).toEqual([
    // Filled on 6 March, and nobody read the level since.
    'Bag pump: lookSooner',
    'Cart 1: lookSooner',
    'Cart 2: lookSooner',
    // Milky oil while it runs.
    'Sealer A: stop',
    'Sealer B: lookSooner',
  ]);
});
