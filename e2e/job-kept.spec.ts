import { changeAt } from '@winter-jar/core/testing';
import { v7 as newId } from 'uuid';
import { begin, drained, guide } from './guide.js';
import { expect, open, test } from './yard.js';

test('a job goes from one browser to another in the middle of a wait, and a step is answered once', async ({
  page,
  yard,
  browser,
}) => {
  await begin(page, yard, 'lf-02', 'oilChange', [{}, {}, {}, {}]);
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
  await other.goto(`${yard.address}/pumps/lf-02/job`);
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
  await expect.poll(async () => (await yard.pump('lf-02')).state.job?.said.length).toBe(6);
  await other.context().close();
});

test('a server that is killed loses nothing of a job, and more out than the charge is asked before it is written', async ({
  page,
  yard,
}) => {
  // 950 mL out of a charge of 700: water was in it.
  await begin(page, yard, 'lf-01', 'oilChange', drained(950));
  const { tap, section, head, runAndWait } = guide(page, yard);
  // More than the housing holds is told where it is typed, not at the end.
  await section.getByLabel('Filled in', { exact: true }).fill('1200');
  await section.getByRole('button', { name: 'Next' }).click();
  await expect(section.getByText('At most 1050 mL: what the housing of Bollard 6 holds.')).toBeVisible();
  await yard.kill();
  await section.getByLabel('Filled in', { exact: true }).fill('700');
  await section.getByRole('button', { name: 'Next' }).click();
  await expect(page.getByText(/^Not saved: the server does not answer/)).toBeVisible();
  await yard.restart();
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(head()).toHaveText('Stand it level');
  await page.reload();
  await expect(head()).toHaveText('Stand it level');
  await runAndWait();
  await tap('at the mark');
  await section.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByText(/950\smL came out, but the charge is 700\smL/)).toBeVisible();
  expect((await yard.pump('lf-01')).state.job).not.toBeNull();
  await page.getByRole('button', { name: 'Yes, it is right' }).click();
  await expect(page).toHaveURL(/\/jobs\//);
  await expect(page.getByText(/950\smL out · 700\smL in/)).toBeVisible();
});

test('an oil that may not come in is refused where it is filled, before it is', async ({ page, yard }) => {
  await open(page, yard, '/set-up/pump/lf-01');
  await page.getByRole('button', { name: 'oxygen above 21 %' }).click();
  await page.getByRole('button', { name: 'Change from now' }).click();
  await page.getByRole('button', { name: 'Save the change' }).click();
  await expect(page.getByText(/saved/i).first()).toBeVisible();
  await begin(page, yard, 'lf-01', 'oilChange', drained(650));
  const { section, head } = guide(page, yard);
  await expect(head()).toHaveText(/^Fill to the mark/);
  await expect(section.getByText(/^Oxygen above 21.%: hydrocarbon oil can explode/)).toBeVisible();
  // The product of before is asked for anew, and refused by its name.
  await expect(section.getByRole('alert')).toHaveText(/^Linnet 68: Oxygen is pumped here/);
  await section.getByLabel('Filled in', { exact: true }).fill('700');
  await section.getByRole('button', { name: 'Next' }).click();
  await expect(section.getByText('Say which oil was filled.')).toBeVisible();
  const { setUp } = await yard.pump('lf-01');
  const productOf = (base: string) =>
    Object.entries(setUp.house.oilProduct).find(([, product]) => product.base === base)?.[0] ?? '';
  await section.getByLabel('Oil', { exact: true }).selectOption(productOf('mineral'));
  await section.getByRole('button', { name: 'Next' }).click();
  await expect(section.getByText(/Do not fill this one/)).toHaveCount(2);
  await section.getByLabel('Oil', { exact: true }).selectOption(productOf('pfpe'));
  await section.getByRole('button', { name: 'Next' }).click();
  await expect(head()).toHaveText(/^Stand it level/);
  expect((await yard.pump('lf-01')).row.reasons.map(({ code }) => code)).not.toContain('drained');
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
        { type: 'pump', id: 'lf-01' },
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
  await open(page, yard, '/pumps/lf-01/job-cards');
  const inlet = page.getByRole('listitem').filter({ has: page.getByRole('button', { name: /^Start: Inlet/ }) });
  await expect(inlet).toContainText(/about 27.min of work · a technician/);
  await write(0.5);
  await page.reload();
  await expect(inlet).toContainText(/about 27.min of work, here 30.min \(5 done\) · a technician/);
  await inlet.getByRole('button').click();
  // A vent usually takes 1 min.
  await expect(page.getByRole('list', { name: 'Steps' }).getByRole('listitem').nth(1)).toHaveText(/^2Vent.*2.min$/);
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
