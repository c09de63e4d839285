// Longer than a file should be: the reading of a jar, as it is done on each device.
import { devices, type Locator, type Page } from '@playwright/test';
import { png } from './png.js';
import { expect, letPass, levelRight, open, openSection, readingTest, test, type ReadYard } from './yard.js';

const PUMP = '/pumps/lf-02';

/** Presses Tab until a thing has focus; fails when it cannot be reached by keyboard. */
async function tabTo(page: Page, target: Locator): Promise<void> {
  for (let i = 0; i < 120; i++) {
    if (await target.evaluate((el) => el === document.activeElement || el.contains(document.activeElement))) return;
    await page.keyboard.press('Tab');
  }
  throw new Error(`not reached by Tab: ${String(target)}`);
}

/** Chooses a chip of a group as a keyboard does: Tab into the group, arrows to the chip, Space. */
async function choose(page: Page, group: string, chip: string): Promise<void> {
  await tabTo(page, page.getByRole('group', { name: group, exact: true }));
  const wanted = page.getByRole('group', { name: group, exact: true }).getByText(chip, { exact: true });
  for (let i = 0; i < 10; i++) {
    if (await wanted.evaluate((el) => el.contains(document.activeElement) || el === document.activeElement)) break;
    await page.keyboard.press('ArrowRight');
  }
  await page.keyboard.press('Space');
}

async function type(page: Page, field: Locator, text: string): Promise<void> {
  await tabTo(page, field);
  await page.keyboard.press('ControlOrMeta+a');
  await page.keyboard.type(text);
}

const lastLook = async (yard: ReadYard) => {
  const { lines } = (await (await fetch(`${yard.address}/api/pumps/lf-02/journal`)).json()) as {
    lines: { entry: { kind: string; body: Record<string, unknown> } }[];
  };
  return lines.find((l) => l.entry.kind === 'look')?.entry.body;
};

test('a whole reading with the keyboard alone', async ({ page, yard }) => {
  await open(page, yard, PUMP);
  await page.keyboard.press('l');
  await expect(page.getByRole('heading', { name: 'Look at oil' })).toBeVisible();
  await choose(page, 'Where it comes from', 'sample');
  await expect(page.getByRole('heading', { name: 'Read the jar' })).toBeVisible();
  await type(page, page.getByLabel('In the jar, all of it'), '300 mL');
  await type(page, page.getByLabel('Jar’s warmth'), '25');
  await choose(page, 'The jar has stood for', '20 h');
  await expect(page.getByText(/Settled: this oil needs/)).toBeVisible();
  // The edges come before the fields: back to them.
  const water = page.getByRole('slider', { name: 'free water, edge' });
  for (let i = 0; i < 60 && !(await water.evaluate((el) => el === document.activeElement)); i++)
    await page.keyboard.press('Shift+Tab');
  await page.keyboard.press('PageUp');
  await page.keyboard.press('PageUp');
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('ArrowDown');
  await expect(water).toHaveAttribute('aria-valuetext', /^20.mL$/);
  await type(page, page.getByRole('textbox', { name: 'Cream' }), '4 mL');
  await expect(
    page.getByRole('img', { name: /^The jar: free water 20.mL, cream 4.mL, clear oil 276.mL$/ }),
  ).toBeVisible();
  await choose(page, 'Clarity of the oil', 'hazy');
  await tabTo(page, page.getByRole('radiogroup', { name: 'Colour, ASTM D1500' }));
  await page.keyboard.press('Space');
  await page.keyboard.press('ArrowRight');
  await choose(page, 'Particles', 'few');
  await choose(page, 'Of which kind', 'black');
  await choose(page, 'Smell', 'none');
  await choose(page, 'Level before draining', 'right');
  await expect(page.getByText('What would change this look’s verdict')).toBeVisible();
  await tabTo(page, page.getByRole('button', { name: 'Save the look' }));
  await page.keyboard.press('Enter');
  await expect(page.getByText('Look saved on LF-02').first()).toBeVisible();
  expect(await lastLook(yard)).toMatchObject({
    source: 'sample',
    lookedAtMl: 300,
    hoursStood: 20,
    jarTempC: 25,
    freeWaterMl: 20,
    creamMl: 4,
    clarity: 'hazy',
    particles: 'few',
    particleKinds: ['black'],
    smell: 'none',
    level: 'right',
    colour: expect.any(Number),
  });
});

/** Opens a sample of 300 mL that has stood for two days. */
async function openJar(page: Page, yard: ReadYard): Promise<void> {
  await open(page, yard, `${PUMP}/look`);
  await page.getByRole('radio', { name: 'sample' }).click();
  await page.getByLabel('In the jar, all of it').fill('300 mL');
  await page.getByRole('radio', { name: '2 days' }).click();
}

readingTest(
  'an edge is dragged: the layers add up, the verdict follows live and says what would change it',
  async ({ page, yard }) => {
    await openJar(page, yard);
    const verdict = page.getByRole('complementary', { name: 'The verdict' });
    await expect(verdict.getByText('Next look', { exact: true })).toBeVisible();
    const edge = page.getByRole('slider', { name: 'free water, edge' });
    const box = (await edge.boundingBox())!;
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x, y - 120, { steps: 12 });
    const text = await edge.getAttribute('aria-valuetext');
    await expect(verdict.getByText(/of water in the oil \(today\)/)).toBeVisible();
    await expect(verdict.getByText('Stop', { exact: true })).toBeVisible();
    await page.mouse.move(x, y - 3, { steps: 8 });
    await page.mouse.up();
    expect(Number(text?.replace(/\D.*/, ''))).toBeGreaterThan(70);
    await expect(verdict.getByText('Stop', { exact: true })).toBeHidden();
    const sum = async () => {
      const name = (await page.getByRole('img', { name: /^The jar/ }).getAttribute('aria-label')) ?? '';
      return [...name.matchAll(/(\d+(?:\.\d+)?).mL/g)].reduce((all, m) => all + Number(m[1]), 0);
    };
    expect(await sum()).toBe(300);
    await page.getByRole('textbox', { name: 'Sludge' }).fill('2 tbsp');
    expect(await sum()).toBeCloseTo(300, 0);
    await expect(verdict.getByText(/instead of/).first()).toBeVisible();
    await page.getByRole('textbox', { name: 'Sludge' }).fill('some');
    await expect(page.getByRole('textbox', { name: 'Sludge' })).toHaveAttribute('aria-invalid', 'true');
  },
);

readingTest(
  'a jar beside the others: unused, the last ones, the same moment of earlier charges',
  async ({ page, yard }) => {
    await openJar(page, yard);
    const verdict = page.getByRole('complementary', { name: 'The verdict' });
    await expect(verdict.getByRole('heading', { name: 'Beside the unused oil and the last jars' })).toBeVisible();
    await expect(verdict.getByText('unused', { exact: true })).toBeVisible();
    await expect(verdict.getByRole('heading', { name: 'The same moment of earlier charges' })).toBeVisible();
  },
);

test('a photograph is kept with the look, laid under the jar, and shown again', async ({ page, yard }) => {
  yard.expectedErrors = [/status of 400/];
  await openJar(page, yard);
  const file = page.getByLabel('Photo of the jar');
  await file.setInputFiles({ name: 'letter.pdf', mimeType: 'application/pdf', buffer: Buffer.from('%PDF') });
  await expect(page.getByText('“letter.pdf” is not a photograph that can be kept.')).toBeVisible();
  await file.setInputFiles({ name: 'empty.jpg', mimeType: 'image/jpeg', buffer: Buffer.alloc(0) });
  await expect(page.getByText('“empty.jpg” is empty.')).toBeVisible();
  await file.setInputFiles({ name: 'half.png', mimeType: 'image/png', buffer: png(60, 80).subarray(0, 70) });
  await expect(page.getByText(/The photograph was not kept. Right would be/)).toBeVisible();
  await expect(page.getByLabel('In the jar, all of it')).toHaveValue('300 mL');
  await file.setInputFiles({ name: '../../jar.png', mimeType: 'image/png', buffer: png(60, 80) });
  await expect(page.getByRole('img', { name: 'The photograph of the jar' })).toBeVisible();
  await page.getByRole('button', { name: 'Lay the jar over it' }).click();
  await expect(page.locator('svg image')).toHaveAttribute('href', /^\/api\/photos\/[0-9a-f]{64}$/);
  await page.getByLabel('Size of the photograph').fill('1.5');
  await page.getByRole('button', { name: 'Take the jar off it' }).click();
  await expect(page.locator('svg image')).toHaveCount(0);
  await page.getByRole('button', { name: 'Save the look' }).click();
  await expect(page.getByText('Look saved on LF-02').first()).toBeVisible();
  await expect(page.getByText(/with a photograph/).first()).toBeVisible();
  await expect(page.getByRole('link', { name: 'Photograph' }).first()).toHaveAttribute('href', /^\/api\/photos\//);
  await open(page, yard, `${PUMP}/look`);
  await expect(page.getByRole('img', { name: 'Photograph of today' })).toBeVisible();
});

readingTest('the charge’s story is drawn, told as a table, and tested for a trend', async ({ page, yard }) => {
  await open(page, yard, PUMP);
  await openSection(page, 'Story of the charge');
  await expect(page.getByRole('img', { name: /^Water found of \d+ charges/ })).toBeVisible();
  await expect(page.locator('.recharts-line-curve').last()).toBeVisible();
  await expect(page.getByText(/^Water per weighted run: .*(charges; by chance|five are needed)/)).toBeVisible();
  await page.getByText('The same as a table').click();
  // A row of the table; before it stands there are three others on the page.
  await expect(page.getByRole('row').nth(10)).toBeVisible();
});

test('limits on the oil are changed for one pump, and its next verdict follows them', async ({ page, yard }) => {
  await open(page, yard, '/set-up/pump/lf-02');
  await page.getByRole('heading', { name: 'Reading the oil' }).click();
  await page.getByLabel('Water, over … % of the charge: Look sooner').fill('x');
  await page.getByRole('button', { name: 'Change from now' }).click();
  await expect(page.getByText('“x” is not a limit.')).toBeVisible();
  await page.getByLabel('Water, over … % of the charge: Look sooner').fill('');
  await page.getByLabel(/^Rancid/).selectOption({ label: 'Stop' });
  await page.getByRole('button', { name: 'Change from now' }).click();
  await expect(page.getByText(/saved/).first()).toBeVisible();
  await open(page, yard, `${PUMP}/look`);
  await page.getByRole('radio', { name: 'pump running' }).click();
  await page.getByText('Smell, foam, and what else').click();
  await page.getByRole('radio', { name: 'rancid' }).click();
  await expect(
    page.getByRole('complementary', { name: 'The verdict' }).getByText('Stop', { exact: true }),
  ).toBeVisible();
});

test('metal in the oil stops the pump until it was inspected and has clean oil, each by the large button', async ({
  page,
  yard,
}) => {
  await openJar(page, yard);
  await page.getByRole('radio', { name: 'few', exact: true }).click();
  await page.getByRole('button', { name: 'glitter' }).click();
  await page.getByRole('button', { name: 'Save the look' }).click();
  await expect(page.getByText('Stop', { exact: true }).first()).toBeVisible();
  await page.getByRole('link', { name: /^Inspect, then log it/ }).click();
  await expect(page.getByLabel('Which task')).toHaveValue('vaneCheck');
  await expect(page.getByText(/The capacitor holds charge/)).toBeVisible();
  await page.getByRole('button', { name: 'Save the task' }).click();
  await expect(page.getByText('Vane check done on LF-02').first()).toBeVisible();
  await expect(page.getByText('Stop', { exact: true }).first()).toBeVisible();
  await expect(page.getByText(/Inspected: clean oil is left to do/).first()).toBeVisible();
  await page
    .getByRole('link', { name: /^Change oil/ })
    .first()
    .click();
  await page.getByLabel('Came out').fill('650 mL');
  await levelRight(page);
  await page.getByRole('button', { name: 'Save the oil change' }).click();
  await expect(page.getByText('Oil changed on LF-02').first()).toBeVisible();
  await expect(page.getByText('Stop', { exact: true })).toHaveCount(0);
});

test('a jar of one’s own is drawn by heights and volumes, and holds what it holds', async ({ page, yard }) => {
  await open(page, yard, '/set-up/jarShape/new');
  await page.getByLabel('Name').fill('Pickle jar');
  const heights = page.getByLabel('Heights (mm) and volumes (mL)');
  await heights.fill('0 0\n40 90\nbrim');
  await page.getByRole('button', { name: /^Add/ }).click();
  await expect(page.getByText('Line 3: “brim” is not a height and a volume.')).toBeVisible();
  await heights.fill('0 0\n40 90\n90 350\n120 420');
  await page.getByRole('button', { name: /^Add/ }).click();
  await expect(page.getByText(/saved/).first()).toBeVisible();
  await openJar(page, yard);
  await page.getByLabel('Jar', { exact: true }).selectOption({ label: 'Pickle jar' });
  await expect(page.getByText(/Pickle jar, to scale/)).toBeVisible();
  await page.getByRole('button', { name: 'Save the look' }).click();
  await expect(page.getByText('Look saved on LF-02').first()).toBeVisible();
  expect(await lastLook(yard)).toMatchObject({ jarShapeId: expect.stringContaining('pickle-jar') });
});

test.describe('by touch at 390 px', () => {
  test.use({
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    isMobile: true,
    userAgent: devices['Pixel 7'].userAgent,
  });

  test('a whole reading with gloves: chips, one slider, steps', async ({ page, yard }) => {
    await open(page, yard, `${PUMP}/look`);
    const tap = (name: string) => page.getByRole('radio', { name, exact: true }).tap();
    await tap('full change');
    await tap('2 days');
    await tap('free water');
    for (let i = 0; i < 3; i++) await page.getByRole('button', { name: 'free water plus 5 mL' }).tap();
    await page.getByRole('button', { name: 'free water minus 1 mL' }).tap();
    // Typed it is what was measured; then back to what was stepped.
    await page.getByLabel('or type it: free water').fill('22');
    await expect(page.getByRole('slider', { name: 'free water' })).toHaveAttribute('aria-valuenow', '22');
    await page.getByLabel('or type it: free water').fill('14');
    await expect(page.getByRole('slider', { name: 'free water' })).toHaveAttribute('aria-valuetext', /^14.mL$/);
    await tap('sludge');
    await swipe(page, page.getByRole('slider', { name: 'sludge' }), 160);
    const sludge = Number(await page.getByRole('slider', { name: 'sludge' }).getAttribute('aria-valuenow'));
    expect(sludge).toBeGreaterThan(100);
    await expect(page.getByText('Stop', { exact: true }).first()).toBeVisible();
    await tap('cloudy');
    await tap('burnt');
    await page.getByRole('button', { name: 'Save the look' }).tap();
    await expect(page.getByText('Look saved on LF-02').first()).toBeVisible();
    expect(await lastLook(yard)).toMatchObject({
      source: 'drained',
      freeWaterMl: 14,
      sludgeMl: sludge,
      smell: 'burnt',
    });
  });
});

/** A finger that goes right from the middle of a thing, as the browser gets it from a touch screen. */
async function swipe(page: Page, target: Locator, byPx: number): Promise<void> {
  await target.scrollIntoViewIfNeeded();
  const box = (await target.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  const session = await page.context().newCDPSession(page);
  const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', at?: number) =>
    session.send('Input.dispatchTouchEvent', { type, touchPoints: at === undefined ? [] : [{ x: at, y }] });
  await touch('touchStart', x);
  for (let i = 1; i <= 8; i++) await touch('touchMove', x + (byPx * i) / 8);
  await touch('touchEnd');
}

test('a jar that is read again the next day takes the place of its first reading', async ({ page, yard }) => {
  const readSample = async (stood: string, ml: string, jar?: RegExp) => {
    await open(page, yard, `${PUMP}/look`);
    await page.getByRole('group', { name: 'Where it comes from' }).getByText('sample', { exact: true }).click();
    if (jar) {
      const which = page.getByLabel('Which jar');
      const said = (await which.locator('option').allTextContents()).find((t) => jar.test(t)) ?? '';
      await which.selectOption({ label: said });
    }
    await page.getByText('at the bottom, at rest', { exact: true }).click();
    await page.getByLabel('In the jar, all of it').fill('100 mL');
    await page.getByRole('group', { name: 'The jar has stood for' }).getByText(stood, { exact: true }).click();
    await page.getByRole('textbox', { name: 'Free water' }).fill(ml);
    await page.getByRole('button', { name: 'Save the look' }).click();
    await expect(page.getByText('Look saved on LF-02', { exact: true }).first()).toBeVisible();
  };
  const sampledMl = async () => (await yard.pump('lf-02')).state.sumps[0]!.charge.sampledWaterUl / 1000;
  const before = await sampledMl();
  await readSample('10 min', '4 mL');
  expect((await sampledMl()) - before).toBe(4);
  await readSample('2 h', '6 mL', /^Sample of .*, read before$/);
  expect((await sampledMl()) - before).toBe(6);
  expect((await lastLook(yard))?.['drawn']).toBe('atRest');
  await readSample('2 h', '5 mL', /^Another jar$/);
  expect((await sampledMl()) - before).toBe(11);
});

test('the jar of a change comes back to the Round once it has stood, and reading it ends that', async ({
  page,
  yard,
}) => {
  // Drained some hours ago in a job; it stands still.
  const { state } = await yard.pump('lf-03');
  expect(state.toRead).not.toBeNull();
  await open(page, yard, '/pumps/lf-03');
  await expect(page.getByText(/^The jar of what came out is to be read from/)).toBeVisible();
  await letPass(page, yard, 48);
  await open(page, yard, '/');
  await expect(page.locator('#row-lf-03')).toContainText('A jar to read');
  await open(page, yard, '/pumps/lf-03');
  await page.getByRole('link', { name: /^Read the jar/ }).click();
  await expect(page.getByRole('heading', { name: 'Read the jar' })).toBeVisible();
  await page.getByRole('button', { name: /^Save/ }).click();
  await expect(page).not.toHaveURL(/\/look/);
  await open(page, yard, '/');
  await expect(page.locator('#row-lf-03')).not.toContainText(/[Jj]ar to read/);
  const after = await yard.pump('lf-03');
  expect(after.state.toRead).toBeNull();
  // It was of the charge before: the new one was not looked at by it.
  expect(after.state.jars.at(-1)?.entryId).not.toBe(state.jars.at(-1)?.entryId);
});
