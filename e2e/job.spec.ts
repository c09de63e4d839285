// Longer than a file should be: services as they are walked, each a story from its card to its record.
import { changeAt } from '@winter-jar/core/testing';
import { v7 as newId } from 'uuid';
import { moderateOrWorse } from './axe-findings.js';
import { begin, drained, guide, say, start } from './guide.js';
import { rawIn } from './printed.js';
import { killedServerWalk } from './walk-killed-server.js';
import { overhaulWalk } from './walk-overhaul.js';
import { ownStepsWalk } from './walk-own-steps.js';
import { addRecords, expect, noSidewaysScroll, open, ownPumpTest as test } from './yard.js';

// Each at a pump of its own, in one yard.
test.describe.configure({ mode: 'default' });

killedServerWalk();

test('an oil change by the guide writes its own record, in no more taps than steps and values', async ({
  page,
  yard,
}) => {
  const before = await yard.pump('hs-02');
  await start(page, yard, 'hs-02', 'Oil change');
  const { tap, fill, waitOut, at, section, counted } = guide(page, yard);
  let taps = 0;
  await expect(section.getByText(/^Drain warm \(40–60\s°C\)/)).toBeVisible();
  await tap('The oil is at 40–60 °C');
  await at('Off, isolated, your own lock and tag on it');
  // A glove taps twice: the step that comes in between is not answered unread.
  await page.evaluate(() => {
    new MutationObserver((_, watching) => {
      const done = document.querySelector('section[aria-label^="Step 3 "] button:last-of-type');
      if (!done) return;
      watching.disconnect();
      done.dispatchEvent(new MouseEvent('click', { bubbles: true, detail: 2 }));
    }).observe(document.body, { childList: true, subtree: true });
  });
  await tap('Done');
  await at(/^Vent/);
  await tap('Done');
  await at('Open the fill plug first, so that it drains smoothly');
  await expect(section.getByRole('button', { name: /^Not said for Bollard 6 yet: keys for its plugs$/ })).toBeVisible();
  await tap('Done');
  // From here on nobody may start it.
  await expect(section.getByText(/^Hot oil and a hot housing burn/)).toBeVisible();
  const drained = await yard.pump('hs-02');
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
  expect((await yard.pump('hs-02')).row.reasons.map(({ code }) => code)).not.toContain('drained');
  await tap('Done');
  await tap('Done');
  await waitOut(2);
  await waitOut(5);
  // Below the mark: some more, and read again. How this model shows it is asked once.
  await section.getByRole('button', { name: 'two lines, MIN and MAX' }).click();
  await expect(section.getByRole('group', { name: /^What the glass of/ })).toHaveCount(0);
  const glass = section.getByRole('img', { name: /^The glass/ });
  const { height = 0, width = 0 } = (await glass.boundingBox()) ?? {};
  await glass.click({ position: { x: width / 2, y: height * 0.94 } });
  taps += 1;
  await at('Below the mark');
  await expect(section.getByRole('button', { name: /^By the glass, to the middle: about 1\d\d mL$/ })).toBeVisible();
  await fill('Added', '40');
  await waitOut(5);
  await tap('at the mark');
  await at('Tools and rags away, lock off');
  await tap('Done');
  await expect(page).toHaveURL(/\/pumps\/hs-02\/jobs\//);
  await expect(page.getByText('650 mL out · 700 mL in · between the marks · a jar of it kept')).toBeVisible();
  // Twenty steps were come to, three with a value.
  const { taps: others, values } = counted();
  expect({ taps: others + taps, values }).toEqual({ taps: 20, values: 3 });

  const after = await yard.pump('hs-02');
  expect(after.state.job).toBeNull();
  expect(after.state.totals.changes).toBe(before.state.totals.changes + 1);
  expect(after.state.sumps[0]?.charge).toMatchObject({ filledUl: 700_000, levelKnown: true });
  expect(after.row.verdict).toBe('runOn');

  // Undone, nothing of it stands.
  await page.getByRole('button', { name: 'Undo the whole job' }).click();
  await expect(page.getByText('Undone', { exact: true })).toBeVisible();
  await expect(page).toHaveURL(/\/pumps\/hs-02$/);
  expect((await yard.pump('hs-02')).state).toEqual(before.state);
});

test('with a filter: oil and filter are done, and after an hour somebody looks for a drip', async ({ page, yard }) => {
  await begin(page, yard, 'qp-01', 'oilAndFilter', drained(1800));
  const { tap, fill, waitOut, at, runAndWait } = guide(page, yard);
  await at('Filter off, its oil caught');
  await tap('Done');
  await tap('Done');
  await fill('Filled in', '2 L');
  await runAndWait();
  await tap('at the mark');
  await tap('Done');
  await waitOut(60);
  await at('Look under the filter');
  await tap('dry');
  const { standing, state } = await yard.pump('qp-01');
  expect(state.sumps[0]?.charge.filledUl).toBe(2_000_000);
  expect(state.tasks.oilFilter?.counts.runs).toBe(state.totals.runs);
  expect(standing.reasons.filter(({ level }) => level === 'stop')).toEqual([]);
});

test('a flush that gets no cleaner becomes a housing clean, which does not drain it again', async ({ page, yard }) => {
  await begin(page, yard, 'hs-01', 'flush', drained(null));
  const { section, tap, fill, waitOut, at } = guide(page, yard);
  await at('Read how dirty it was');
  await section.getByRole('radio', { name: 'sludge in the jar' }).click();
  await fill('What came out first: sludge in the jar', '4');
  await fill('As it shall be: sludge in the jar', '0.2');
  const plan = section.getByRole('region', { name: 'Flush plan' });
  await expect(plan.getByRole('status')).toHaveText('Fill, run and drain it, then read it again.');
  for (const [left, says, again] of [
    ['3.7', /^(Fill, run and drain it|Wash the housing)/, 'fill once more'],
    ['3.5', /^Wash the housing/, 'not getting cleaner: wash the housing'],
  ] as const) {
    await fill('Filled in', '700');
    if (left === '3.7') await waitOut(30);
    else await say(yard, 'hs-01', [{}]);
    await at('Stop, lock, drain it warm');
    await tap('Not measured');
    await fill('After this fill: sludge in the jar', left);
    await expect(plan.getByRole('status')).toHaveText(says);
    await tap(again);
  }
  await expect(page.getByRole('heading', { name: 'Housing clean', level: 1 })).toBeVisible();
  await at('Off, isolated, your own lock and tag on it');
  const { state, row } = await yard.pump('hs-01');
  expect(state.job).toMatchObject({ procedure: 'housingClean', foundDrained: true });
  expect(state.tasks.flush?.counts.runs).toBe(state.totals.runs);
  expect(row.verdict).toBe('stop');
  // Given up here the pump is still without oil, and says so.
  await page.getByRole('button', { name: 'Give the job up …' }).click();
  await expect(page.getByText(/The pump has no oil in it, and every page says Stop/)).toBeVisible();
  await page.getByRole('button', { name: 'Give it up' }).click();
  await expect(page).toHaveURL(/\/jobs\//);
  expect((await yard.pump('hs-01')).row.reasons[0]).toMatchObject({ code: 'drained', act: 'change' });
  // What fills it comes first, and nothing that would run it so.
  await open(page, yard, '/pumps/hs-01/job-cards');
  await expect(page.getByText(/^No oil in it since .*: fill it first/)).toBeVisible();
  const services = page.getByRole('main').getByRole('listitem');
  await expect(services.first()).toContainText('Oil change');
  await expect(services.filter({ hasText: /^(Ballast purge|Bleed|Before a run|Leak hunt)/ })).toHaveCount(0);
});

test('with solvent in the oil a purge is led past the air', async ({ page, yard }) => {
  await begin(page, yard, 'rl-02', 'ballastPurge');
  const { tap, fill, at, section, waitOut } = guide(page, yard);
  await expect(section.getByText(/never purge or ballast with air/)).toBeVisible();
  await tap('Done');
  await tap('The oil is at 60 °C');
  await fill('Oil', '62');
  await at('Nitrogen on the ballast port, exhaust to a safe place');
  await tap('Done');
  await waitOut(60);
  await tap('Done');
  await tap('bright');
  const { state } = await yard.pump('rl-02');
  expect(state.tasks.purge?.counts.runs).toBe(state.totals.runs);
  expect(state.jars.at(-1)).toMatchObject({ source: 'sightGlass' });
});

test('both ends of a booster, and its cup', async ({ page, yard }) => {
  await begin(page, yard, 'cw-b1', 'boosterOil', [{}, {}, {}]);
  const { tap, fill, waitOut } = guide(page, yard);
  await tap('Done');
  await fill('Out of end A', '400');
  await tap('Done');
  await fill('Out of end B', '380');
  await fill('Filled in, both together', '600');
  await waitOut(10);
  await fill('Added, both together', '200');
  await fill('Into the seal cup', '50');
  await tap('Done');
  await tap('Done');
  await expect(page).toHaveURL(/\/jobs\//);
  const { state } = await yard.pump('cw-b1');
  const filled = Object.fromEntries(state.sumps.map(({ key, charge }) => [key, charge.filledUl]));
  expect(filled).toMatchObject({ gearA: 400_000, gearB: 400_000 });
  expect(state.tasks.sealCup?.counts.runs).toBe(state.totals.runs);
});

test('another oil: what the two do not allow cannot be chosen, and the first charge is of the new one', async ({
  page,
  yard,
}) => {
  await begin(page, yard, 'lf-02', 'changeProduct');
  const { tap, fill, at, section } = guide(page, yard);
  const oil = section.getByLabel('Oil', { exact: true });
  const { house, product } = (await yard.pump('lf-02')).setUp;
  const other = (fits: (base: string) => boolean) =>
    Object.entries(house.oilProduct).find(([, p]) => p.name !== product?.name && fits(p.base)) ?? ['', null];
  const way = (words: RegExp) => section.getByRole('button', { name: words });
  const [pfpe] = other((base) => base === 'pfpe');
  await oil.selectOption(pfpe);
  await expect(section.getByText(/^PFPE and hydrocarbon do not mix/)).toBeVisible();
  await expect(way(/^same base/)).toHaveCount(0);
  await expect(way(/stop, ask a specialist/)).toBeVisible();
  const [newId] = other((base) => base !== 'pfpe');
  await oil.selectOption(newId);
  await tap(/^agrees badly/);
  await say(yard, 'lf-02', drained(640));
  // What leaves is not what it is flushed with: no can of it is offered.
  await at(/^Flush with the new product/);
  await expect(section.getByText(/^As usual: Can/)).toHaveCount(0);
  await expect(section.locator('option', { hasText: 'Can 4' })).toHaveCount(0);
  await fill('Filled for flushing', '1,4 L');
  await at('New exhaust filter');
  await tap('Done');
  // A fill says which oil it is.
  await section.getByLabel('Filled in', { exact: true }).fill('700');
  await section.getByRole('button', { name: 'Next' }).click();
  await expect(section.getByText('Say which oil was filled.')).toBeVisible();
  await oil.selectOption(newId);
  await tap('Next');
  await at('New label on the pump, and the oil in the set-up');
  await tap('Done');
  await say(yard, 'lf-02', [{}, {}, {}, {}]);
  await tap('at the mark');
  await page.setViewportSize({ width: 390, height: 844 });
  await noSidewaysScroll(page);
  expect([...(await moderateOrWorse(page)), ...(await rawIn(page))]).toEqual([]);
  await tap('Done');
  await expect(page).toHaveURL(/\/jobs\//);
  await noSidewaysScroll(page);
  expect([...(await moderateOrWorse(page)), ...(await rawIn(page))]).toEqual([]);
  const { state } = await yard.pump('lf-02');
  expect(state.sumps[0]?.charge).toMatchObject({ productId: newId, filledUl: 700_000 });
  expect(state.tasks.flush?.counts.runs).toBe(state.totals.runs);
});

test('what is due together is one job: the inlet and the exhaust filter while the oil runs out', async ({
  page,
  yard,
}) => {
  const before = await yard.pump('lf-01');
  await open(page, yard, '/pumps/lf-01/job-cards');
  const visit = page.getByRole('group', { name: 'In the same visit as: Oil change' });
  await visit.getByLabel(/^with inlet screen/).check();
  await visit.getByLabel(/^with exhaust filter/).check();
  await expect(page.getByText(/, 34\smin less than one by one/)).toBeVisible();
  await page.getByRole('button', { name: 'Start: Oil change', exact: true }).click();
  await expect(page).toHaveURL(/\/pumps\/lf-01\/job$/);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(
    'Oil change, inlet screen and anti-suckback valve, exhaust filter',
  );
  const { tap, fill, at, section } = guide(page, yard);
  await at('Read the back-pressure while it runs');
  await fill('Back-pressure over ambient', '0.35 bar');
  await say(yard, 'lf-01', [{}, {}, {}, {}]);
  await at('Container beneath, open the drain');
  await expect(section.getByText(/^Hot oil and a hot housing burn/)).toBeVisible();
  await tap('Done');
  expect((await yard.pump('lf-01')).row.verdict).toBe('stop');
  await at('Inlet line off');
  await say(yard, 'lf-01', [{}, {}]);
  await tap('good');
  await say(yard, 'lf-01', [{}, {}, {}]);
  await tap('rusty');
  await tap('Done');
  await at('Let it run out until only drops come');
  await say(yard, 'lf-01', [{}, {}, {}, { value: 650 }, {}, {}]);
  await fill('Filled in', '700');
  await say(yard, 'lf-01', [{}, {}, {}, {}]);
  await tap('at the mark');
  await tap('Done');
  await fill('Back-pressure over ambient, after', '0.04 bar');
  await at(/^Run it, stop it under vacuum/);
  await tap('it holds');
  await expect(page).toHaveURL(/\/pumps\/lf-01\/jobs\//);
  const { state } = await yard.pump('lf-01');
  expect(state.totals.changes).toBe(before.state.totals.changes + 1);
  for (const task of ['inletScreen', 'antiSuckback', 'exhaustFilter'] as const)
    expect([task, (state.tasks[task]?.at ?? '') > (before.state.tasks[task]?.at ?? '')]).toEqual([task, true]);
});

test('a job goes from one browser to another in the middle of a wait, and a step is answered once', async ({
  page,
  yard,
  browser,
}) => {
  await begin(page, yard, 'cw-02', 'oilChange', [{}, {}, {}, {}]);
  const { section } = guide(page, yard);
  // In the middle of the drain: nobody is left without a lock on it.
  await page.getByRole('button', { name: 'Hand over' }).click();
  await page.getByRole('button', { name: 'Hand it over' }).click();
  await expect(page.getByText('Say who goes on.')).toBeVisible();
  await expect(page.getByText(/^Hang the next lock first/)).toBeVisible();
  const who = page.getByLabel('Who goes on');
  const name = (await who.locator('option').nth(1).textContent()) ?? '';
  await who.selectOption(name);
  await page.getByRole('checkbox', { name: /^The next lock hung/ }).check();
  await page.getByRole('button', { name: 'Hand it over' }).click();
  await expect(page.getByText(new RegExp(`^${name} since`))).toBeVisible();

  const other = await (await browser.newContext({ timezoneId: 'Europe/Lisbon' })).newPage();
  await other.goto(`${yard.address}/pumps/cw-02/job`);
  const there = guide(other, yard);
  await expect(there.head()).toHaveText('Container beneath, open the drain, let it run out');
  await expect(other.getByText(new RegExp(`^${name} since`))).toBeVisible();
  await there.tap('Only drops come');
  // The first browser follows by itself.
  await expect(section.getByRole('heading', { level: 2 })).toHaveText('Tilt it for the last of it');
  // Paused here, it is paused there.
  await page.getByRole('button', { name: 'Pause' }).click();
  await expect(other.getByText(/^Paused /)).toBeVisible();
  await other.getByRole('button', { name: 'Go on', exact: true }).click();
  await expect(there.head()).toHaveText('Tilt it for the last of it');
  await there.tap('Done');
  // The last step is taken back, and answered anew.
  await other.getByRole('button', { name: 'Take the last step back' }).click();
  await expect(there.head()).toHaveText('Tilt it for the last of it');
  await there.tap('Done');
  await expect.poll(async () => (await yard.pump('cw-02')).state.job?.said.length).toBe(6);
  await other.context().close();
});

test('what a given-up job left open says Stop until it is closed, step by step', async ({ page, yard }) => {
  await begin(page, yard, 'lf-03', 'exhaustFilter', [{}, {}, {}, {}]);
  const { tap, at } = guide(page, yard);
  await at('Cover off, elements out');
  await tap('Done');
  await expect(page.getByText(/^It stands open since/)).toBeVisible();
  await page.getByRole('button', { name: 'Give the job up …' }).click();
  await expect(page.getByText(/It stands open, and every page says Stop until it is not/)).toBeVisible();
  await page.getByRole('button', { name: 'Give it up', exact: true }).click();
  await open(page, yard, '/');
  await expect(page.locator('#row-lf-03')).toContainText('It stands open');
  await open(page, yard, '/pumps/lf-03');
  await page.getByRole('link', { name: /^Close and free it, step by step/ }).click();
  const services = page.getByRole('main').getByRole('listitem');
  await expect(services.first()).toContainText('Close what stands open');
  // Begun again, or closed: nothing else that might run it.
  await expect(services).toHaveCount(2);
  await page.getByRole('button', { name: 'Start: Close what stands open' }).click();
  await at('Off, isolated, your own lock and tag on it');
  await tap('Done');
  await tap('Done');
  await tap('Done');
  await expect(page).toHaveURL(/\/jobs\//);
  expect((await yard.pump('lf-03')).row.verdict).not.toBe('stop');
});

test('what services took here is told once five were done, whole and by step', async ({ page, yard }) => {
  const { now } = (await (await fetch(`${yard.address}/api/about`)).json()) as { now: string };
  // Locks in 4 min, a vent in 2, and 30 min in all; each on a day of its own.
  const write = async (day: number) => {
    const jobId = newId();
    const begun = Date.parse(now) - day * 86_400_000;
    const ids = [newId(), newId(), newId(), newId()];
    const entry = (n: number, minutes: number, kind: string, body: object) => {
      const happenedAt = new Date(begun + minutes * 60_000).toISOString();
      const subjects = [
        { type: 'pump', id: 'hs-02' },
        { type: 'job', id: jobId },
      ];
      return {
        ...changeAt(0),
        ...{ id: ids[n], actId: jobId, subjects, happenedAt, recordedAt: now, kind, body, who: 'corin' },
      };
    };
    const step = (name: string) => ({ step: name, visit: 1, phase: 'done' });
    const entries = [
      entry(0, 0, 'jobStarted', { procedure: 'inlet' }),
      entry(1, 4, 'jobStep', step('lock')),
      entry(2, 6, 'jobStep', step('vent')),
      entry(3, 30, 'jobEnded', { how: 'done', workedMinutes: 30 }),
    ];
    const answer = await fetch(`${yard.address}/api/entries`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ entries }),
    });
    expect(await answer.json()).toMatchObject({ answers: entries.map(() => ({ status: 'written' })) });
  };
  for (const day of [4, 3, 2, 1]) await write(day);
  await open(page, yard, '/pumps/hs-02/job-cards');
  const inlet = page.getByRole('listitem').filter({ has: page.getByRole('button', { name: /^Start: Inlet/ }) });
  await expect(inlet).toContainText(/about 27.min of work · a technician/);
  await write(0.5);
  await page.reload();
  await expect(inlet).toContainText(/about 27.min of work, here 30.min \(5 done\) · a technician/);
  await inlet.getByRole('button').click();
  // A vent usually takes 1 min.
  await expect(page.getByRole('list', { name: 'Steps' }).getByRole('listitem').nth(1)).toHaveText(/^2Vent.*2.min$/);
});

test('an oil that may not come in is refused where it is filled, before it is', async ({ page, yard }) => {
  const { pump } = (await yard.pump('qp-02')).setUp;
  await addRecords(yard, 'pump', { 'qp-02': { ...pump, serviceClasses: ['oxygen'] } });
  await begin(page, yard, 'qp-02', 'oilChange', drained(1900));
  const { section, head } = guide(page, yard);
  await expect(head()).toHaveText(/^Fill to the mark/);
  await expect(section.getByText(/^Oxygen above 21.%: hydrocarbon oil can explode/)).toBeVisible();
  // The product of before is asked for anew, and refused by its name.
  await expect(section.getByRole('alert')).toHaveText(/^\w+ \d+[^:]*: Oxygen is pumped here/);
  await section.getByLabel('Filled in', { exact: true }).fill('2000');
  await section.getByRole('button', { name: 'Next' }).click();
  await expect(section.getByText('Say which oil was filled.')).toBeVisible();
  const { setUp } = await yard.pump('qp-02');
  const productOf = (base: string) =>
    Object.entries(setUp.house.oilProduct).find(([, product]) => product.base === base)?.[0] ?? '';
  await section.getByLabel('Oil', { exact: true }).selectOption(productOf('mineral'));
  await section.getByRole('button', { name: 'Next' }).click();
  await expect(section.getByText(/Do not fill this one/)).toHaveCount(2);
  await section.getByLabel('Oil', { exact: true }).selectOption(productOf('pfpe'));
  await section.getByRole('button', { name: 'Next' }).click();
  await expect(head()).toHaveText(/^Stand it level/);
  expect((await yard.pump('qp-02')).row.reasons.map(({ code }) => code)).not.toContain('drained');
});

overhaulWalk();
ownStepsWalk();
