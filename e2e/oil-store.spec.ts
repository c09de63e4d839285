import type { StoreAnswer } from '@winter-jar/contracts';
import type { Locator, Page } from '@playwright/test';
import { moderateOrWorse } from './axe-findings.js';
import { begin, guide, say } from './guide.js';
import { rawIn } from './printed.js';
import type { Answer } from '../web/src/service/job-entries.js';
import { addRecords, expect, letPass, levelRight, noSidewaysScroll, open, test, type ReadYard } from './yard.js';

const storeOf = async (yard: ReadYard): Promise<StoreAnswer> =>
  (await (await fetch(`${yard.address}/api/store`)).json()) as StoreAnswer;
const containerOf = async (yard: ReadYard, id: string) => {
  const one = (await storeOf(yard)).containers.find((c) => c.id === id);
  if (!one) throw new Error(`no container ${id}`);
  return one;
};

/** From the warm pump to the jar on the shelf, and filled from the usual can. */
async function drainIntoJar(page: Page, yard: ReadYard, pumpId: string): Promise<void> {
  await begin(page, yard, pumpId, 'oilChange', [{}, {}, {}, {}, {}, {}, {}]);
  const { at, fill, section, tap } = guide(page, yard);
  await at('How much came out?');
  await section.getByLabel('Drained into').selectOption({ label: 'Jar 14, empty' });
  await fill('Came out', '640');
  await say(yard, pumpId, [{}, {}]);
  await at(/^Fill to the mark/);
  await section.getByRole('button', { name: /^As usual: Can 4/ }).click();
  await fill('Filled in', '700');
  await say(yard, pumpId, [{}, {}, {}, {}, { choice: 'right' }]);
  await at('Tools and rags away, lock off');
  await tap('Done');
  await expect(page).toHaveURL(/\/jobs\//);
  await expect(page.getByText(/out of Can 4 · into Jar 14/)).toBeVisible();
}

/** The same, told without a browser. */
async function drainedIntoJar(page: Page, yard: ReadYard, pumpId: string): Promise<void> {
  const toTheEnd: Answer[] = [
    ...[{}, {}, {}, {}, {}, {}, {}, { value: 640, containerId: 'jar-14' }, {}, {}],
    ...[{ value: 700, containerId: 'can-4' }, {}, {}, {}, {}, { choice: 'right' }, {}],
  ];
  await begin(page, yard, pumpId, 'oilChange', toTheEnd);
}

/** How a hand acts there, where it reads the jar, and how it gets that onto the filter. */
interface Hand {
  readonly act: (on: Locator) => Promise<void>;
  readonly drain: (page: Page, yard: ReadYard, pumpId: string) => Promise<void>;
  /** On the shelf, or at the pump that the Round sends to. */
  readonly readsAt: 'shelf' | 'pump';
  readonly ontoFilter: (page: Page) => Promise<void>;
}

const shelf = (page: Page, name: RegExp) => page.getByRole('main').getByRole('button', { name });

/** On its picture: dragged from one to the other. */
async function drag(page: Page): Promise<void> {
  const from = await shelf(page, /^Jar 14/).boundingBox();
  const to = await shelf(page, /^Filter 2/).boundingBox();
  await page.mouse.move((from?.x ?? 0) + 20, (from?.y ?? 0) + 30);
  await page.mouse.down();
  await page.mouse.move((to?.x ?? 0) + 10, (to?.y ?? 0) + 20, { steps: 8 });
  await page.mouse.move((to?.x ?? 0) + 20, (to?.y ?? 0) + 30, { steps: 4 });
  await page.mouse.up();
}

/** Drained, stood, read, poured, filtered and blended. */
async function goesRound(page: Page, yard: ReadYard, { act, drain, readsAt, ontoFilter }: Hand): Promise<void> {
  const before = await containerOf(yard, 'can-4');
  await drain(page, yard, 'lf-02');
  expect((await containerOf(yard, 'can-4')).shelf.heldMl).toBeCloseTo(before.shelf.heldMl - 700, 3);

  // On the shelf it waits for its time; then it is read, as jars are.
  await act(page.getByRole('navigation', { name: 'Pages' }).getByRole('link', { name: 'Oil store' }));
  await act(shelf(page, /^Jar 14/));
  const sheet = page.getByRole('complementary', { name: 'Jar 14' });
  // By the clock at the shelf, wherever the device is.
  const { settle } = (await containerOf(yard, 'jar-14')).shelf;
  const from = new Date(settle !== null && 'from' in settle ? settle.from : 0);
  const clock = from.toLocaleTimeString('en-GB', { timeZone: 'Europe/Lisbon', hour: '2-digit', minute: '2-digit' });
  await expect(sheet.getByRole('heading', { level: 2 })).toHaveText(new RegExp(`^Pour from .*${clock}`));
  // An act that must wait is off.
  await expect(sheet.getByRole('button', { name: 'Pour the clear oil off' })).toBeDisabled();
  await letPass(page, yard, 30);
  await open(page, yard, '/store?at=jar-14');
  await expect(sheet.getByRole('heading', { level: 2 })).toHaveText('Read it: it has stood its time');
  if (readsAt === 'shelf') await act(sheet.getByRole('link', { name: 'Read it' }));
  else await open(page, yard, '/pumps/lf-02/look');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/Read the jar|Look/);
  await page.getByRole('slider', { name: /free water/ }).press('PageUp');
  await act(page.getByRole('radio', { name: 'bright', exact: true }));
  await act(page.getByRole('radio', { name: 'none', exact: true }).first());
  await act(page.getByRole('button', { name: /^Save/ }));
  await expect(page).toHaveURL(readsAt === 'shelf' ? /\/store\?at=jar-14$/ : /\/pumps\/lf-02$/);
  if (readsAt === 'pump') await open(page, yard, '/store?at=jar-14');
  await expect(sheet.getByRole('heading', { level: 2 })).toHaveText('Pour the clear oil off');
  expect((await yard.pump('lf-02')).state.toRead).toBeNull();

  // Onto the filter: what both become stands there before it is saved.
  await ontoFilter(page);
  await expect(page).toHaveURL(/\/store\/jar-14\/pour/);
  const becomes = page.getByRole('region', { name: 'After it' });
  await expect(becomes.getByText(/Linnet 68, once round/).first()).toBeVisible();
  await expect(becomes.getByText(/^About \d+\smL through by /)).toBeVisible();
  await act(page.getByRole('button', { name: 'Poured: save it' }));
  await expect(page).toHaveURL(/\/store\?at=filter-2$/);

  // The rest to waste.
  await open(page, yard, '/store/jar-14/pour?what=all');
  await page.getByLabel('Into', { exact: true }).selectOption({ label: 'Drum W' });
  await act(page.getByRole('button', { name: 'Poured: save it' }));
  await expect(page).toHaveURL(/\/store\?at=drum-w$/);
  expect((await containerOf(yard, 'jar-14')).shelf.group).toBe('empty');

  // Out of the filter, blended with new oil, read clear.
  const dripped = (await containerOf(yard, 'filter-2')).shelf.heldMl;
  expect(dripped).toBeGreaterThan(500);
  await open(page, yard, '/store/filter-2/pour?to=bottle-b');
  await page.getByLabel('How long it took to run through').fill('5 h');
  await act(page.getByRole('button', { name: 'Poured: save it' }));
  await expect(page).toHaveURL(/at=bottle-b$/);
  expect((await containerOf(yard, 'filter-2')).state.media?.timed.at(-1)).toMatchObject({ hours: 5 });
  await open(page, yard, '/store/can-4/pour?to=bottle-b');
  await page.getByLabel('How much', { exact: true }).fill('300');
  await expect(becomes.getByText(/Linnet 68, .*% new/)).toBeVisible();
  await act(page.getByRole('button', { name: 'Poured: save it' }));
  await expect(page).toHaveURL(/at=bottle-b$/);
  const bottle = page.getByRole('complementary', { name: 'Bottle B' });
  await act(bottle.getByRole('link', { name: 'Read it' }));
  await act(page.getByRole('radio', { name: 'bright', exact: true }));
  await act(page.getByRole('button', { name: 'Save the reading' }));
  await expect(bottle.getByRole('heading', { level: 2 })).toHaveText(
    'Fit for reuse, 2nd round, with at least 20 % new',
  );
}

/** It knows how often its oil has been round, and where it came from. */
async function intoAnotherPump(page: Page, yard: ReadYard): Promise<void> {
  await open(page, yard, '/pumps/lf-03/change');
  const source = page.getByLabel('Filled from');
  const option = source.locator('option', { hasText: 'Bottle B' });
  await source.selectOption((await option.getAttribute('value')) ?? '');
  await page.getByLabel('Came out', { exact: true }).fill('940');
  await levelRight(page);
  await page.getByRole('button', { name: 'Save the oil change' }).click();
  await expect(page).toHaveURL(/\/pumps\/lf-03$/);
  await expect(page.getByText(/times round on average, at most \d, \d+\s% of it new/)).toBeVisible();
  const inPump = (await storeOf(yard)).sumps.find((s) => s.pumpId === 'lf-03');
  expect(inPump?.meanRounds).toBeGreaterThan(0.5);
  await open(page, yard, '/store/bottle-b/trace');
  await expect(page.getByRole('heading', { name: 'Pumps it was in' })).toBeVisible();
  await expect(page.getByRole('main').getByRole('listitem').filter({ hasText: 'LF-02' }).first()).toBeVisible();
  await noSidewaysScroll(page);
}

test('a jar goes round, by keyboard and mouse', async ({ page, yard }) => {
  await goesRound(page, yard, {
    act: (on) => on.press('Enter'),
    drain: drainIntoJar,
    readsAt: 'shelf',
    ontoFilter: drag,
  });
  await intoAnotherPump(page, yard);
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

  test('a jar goes round, by touch', async ({ page, yard }) => {
    await goesRound(page, yard, {
      act: (on) => on.tap(),
      drain: drainedIntoJar,
      readsAt: 'pump',
      ontoFilter: async () => {
        await page.getByRole('link', { name: 'Pour the clear oil off' }).tap();
        await page.getByLabel('Into', { exact: true }).selectOption({ label: 'Filter 2' });
      },
    });
  });

  test('a stocktake with its difference, a collection with its note, and undone', async ({ page, yard }) => {
    await open(page, yard, '/store?at=can-4');
    await noSidewaysScroll(page);
    const can = await containerOf(yard, 'can-4');
    await page.getByRole('link', { name: 'Stocktake' }).tap();
    await page.getByLabel('Oil', { exact: true }).fill('13 L');
    await expect(page.getByRole('status')).toHaveText(/^\d+\smL less than the book has/);
    await page.getByRole('button', { name: 'Save the stocktake' }).tap();
    await expect(page).toHaveURL(/at=can-4$/);
    expect((await containerOf(yard, 'can-4')).shelf.heldMl).toBe(13_000);
    await expect(page.getByRole('complementary', { name: 'Can 4' })).toContainText('13 L');
    await page.getByRole('button', { name: 'Undo' }).tap();
    await expect(page.getByText('Undone', { exact: true })).toBeVisible();
    await expect.poll(async () => (await containerOf(yard, 'can-4')).shelf.heldMl).toBeCloseTo(can.shelf.heldMl, 3);

    await open(page, yard, '/store?at=drum-w');
    // Of waste nothing is asked but that it is collected.
    await expect(page.getByText(/free water/).first()).toBeVisible();
    await expect(page.getByText(/read it first|Pour it off first/)).toHaveCount(0);
    await page.getByRole('link', { name: 'A carrier took it' }).tap();
    await expect(page.getByText(/^Waste oil goes to a licensed carrier/)).toBeVisible();
    await page.getByLabel('Who took it').fill('Saltway Waste');
    await page.getByLabel('Number of the note').fill('31-2');
    await noSidewaysScroll(page);
    await page.getByRole('button', { name: 'Collected: save it' }).tap();
    await expect(page).toHaveURL(/at=drum-w$/);
    expect((await containerOf(yard, 'drum-w')).shelf.heldMl).toBe(0);
    await open(page, yard, '/store/waste');
    await noSidewaysScroll(page);
    await page.getByRole('listitem').filter({ hasText: 'note 31-2' }).getByRole('link', { name: 'Its note' }).tap();
    const note = page.getByRole('article');
    await expect(note).toContainText('Saltway Waste');
    await expect(note).toContainText('does not replace the form');
    expect([...(await moderateOrWorse(page)), ...(await rawIn(page))]).toEqual([]);
  });
});

test('more than is there, and oil of another product, are asked before they are written', async ({ page, yard }) => {
  yard.expectedErrors.push(/422/);
  await open(page, yard, '/store/jar-17/pour?to=tin-6&what=clear');
  await expect(page.getByText(/^Two products: their additives may not agree/)).toBeVisible();
  await page.getByRole('button', { name: 'Poured: save it' }).click();
  const asked = page.getByRole('alertdialog');
  await expect(asked).toContainText('Two oil products would meet there');
  expect((await containerOf(yard, 'tin-6')).shelf.blend.productIds).toHaveLength(1);
  await open(page, yard, '/store/can-4/pour?to=jar-14');
  await page.getByLabel('How much', { exact: true }).fill('30 L');
  await page.getByRole('button', { name: 'Poured: save it' }).click();
  await expect(asked).toContainText('more is taken than the book has there');
  await expect(asked).toContainText('would stand in a container that holds');
  await asked.getByRole('button').click();
  await expect(page).toHaveURL(/at=jar-14$/);
});

test('a house of new oil only sees nothing of reuse, and is asked nothing about it', async ({ page, yard }) => {
  const { houseRules } = (await yard.pump('lf-01')).setUp.house;
  await addRecords(yard, 'houseRules', { house: { ...houseRules.house, reuseSchool: 'newOnly' } });
  await open(page, yard, '/store?at=jar-19');
  const said = page.getByRole('complementary');
  await expect(said.getByRole('link', { name: 'To waste' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'What it cost' })).toBeVisible();
  await expect(page.getByText(/reuse|goes back|go back|Ready/i)).toHaveCount(0);
  await open(page, yard, '/pumps/lf-02/change');
  const options = await page.getByLabel('Filled from').locator('option').allTextContents();
  expect(options.filter((o) => o.includes('round'))).toEqual([]);
});
