// npm run screenshots: docs/screenshots, or those that are named after --, from a freshly seeded demo yard, and from an empty folder.
import { mkdtempSync, mkdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { browserPath } from './browser.mjs';
import { build, install, root } from './build.mjs';
import { startServer, stopServer } from './serve.mjs';

const DESK = { width: 1280, height: 800 };
/** The whole of what is said about one charge. */
const TALL = { width: 1280, height: 1200 };
const PHONE = { width: 390, height: 844 };
/** A drained jar with all its layers, as it is typed. */
const readJar = async (page) => {
  await page.getByRole('radio', { name: 'full change' }).click();
  await page.getByRole('radio', { name: '2 days' }).click();
  for (const [layer, ml] of Object.entries({ Sludge: 9, 'Free water': 58, Cream: 34, 'Hazy oil': 240 }))
    await page.getByRole('textbox', { name: layer, exact: true }).fill(`${ml} mL`);
  await page.getByRole('radio', { name: /^3\.5/ }).click();
  await page.evaluate(() => window.scrollTo(0, 0));
};
/** A run that was logged where there is no signal. */
const logWithoutSignal = async (page) => {
  // The app and what a day needs have come along by then.
  await page.waitForTimeout(20_000);
  await page.context().setOffline(true);
  await page.getByRole('button', { name: 'Save the run' }).click();
  await page.getByText('No connection to the server').waitFor();
  await page.goto(new URL('/waiting', page.url()).href);
  await page.getByRole('listitem').filter({ hasText: 'LF-02' }).first().waitFor();
};
/** Shown: what a stricter rule does to the Round, before it is saved. */
const askRule = async (page) => {
  await page.getByText('Oil change', { exact: true }).click();
  await page.getByLabel('Oil change: Runs').fill('3');
  await page.getByRole('button', { name: 'Change from now' }).click();
  await page.getByText('On the Round from now on').waitFor();
};
/** Oil and filter, as far as the first wait after the fill. */
const serveToTheWait = async (page) => {
  await page.getByRole('button', { name: 'Start: Oil and oil filter' }).click();
  const step = page.getByRole('region', { name: /^Step / });
  const answers = ['The oil is at 40–60 °C', 'Done', 'Done', 'Done', 'Only drops come', 'Done', 'Done'];
  const rest = ['Next', 'The jar is filled', 'Done', 'Done', 'Done', 'Next', 'Done', 'Done'];
  const amounts = { 8: '1,850 mL', 13: '2 L' };
  for (const [i, answer] of [...answers, ...rest].entries()) {
    await page.getByRole('region', { name: `Step ${i + 1} of 21` }).waitFor();
    if (answer === 'Next') await step.getByRole('textbox').fill(amounts[i + 1]);
    await step.getByRole('button', { name: answer }).click();
  }
  await page.getByRole('heading', { name: /^Unlock, run one to two/ }).waitFor();
};
/** A rise of which everything is known. */
const readLog = async (page) => {
  await page.getByLabel('What is closed off, in litres').fill('62');
  await page.setInputFiles('input[type=file]', join(root, 'core/reference/gauge-logs/rise-leak-and-moist.csv'));
  await page.getByRole('heading', { name: /^Leak 0/ }).waitFor();
};
/** Two steps passed, the third failed. */
const huntToTheHose = async (page) => {
  for (const outcome of ['Clean, soft, whole', 'Closed, dry, seal whole', 'Cracked, hard or loose']) {
    await page.getByRole('link', { name: 'Do this step', exact: true }).click();
    await page.getByRole('radio', { name: outcome }).click();
    await page.getByRole('button', { name: 'Save the step' }).click();
    await page.getByRole('heading', { name: 'Leak hunt' }).waitFor();
  }
  await page.getByText('It is here').waitFor();
};
const pairDevice = async (page) => {
  await page.getByRole('button', { name: 'Change: Corin' }).click();
  await page.getByRole('button', { name: 'Pair a device for Corin' }).click();
  await page.getByText('It works once').waitFor();
};
/** As people keep them: any habit of writing, one name with a slip. */
const pasteRows = async (page) => {
  const day = (ago) =>
    new Date(Date.now() - ago * 86_400_000).toLocaleDateString('en-GB', { day: 'numeric', month: 'short' });
  const rows = [
    ['Day', 'Pump', 'Hours', 'What went in', 'Trap', 'Vacuum (mbar)', 'Notes'],
    [day(9), 'lf 02', '31 h 30', 'textile, rinsed', '-47', '0,27', ''],
    [day(8), 'LF-02', 'oil change', '', '', '', 'dark'],
    [day(6), 'LF-02', '30', 'Textile, rinsed', '-48 °C', '0.25', 'changed the oil after'],
    [day(5), 'LF-O3', '26:15', 'Paper, damp', '-51', '0.3', ''],
    [day(4), 'LF-03', 'all night', 'Paper, damp', '-51', '0.3', ''],
  ];
  await page.getByText('Or paste rows').click();
  await page.getByLabel('Cells of a spreadsheet').fill(rows.map((row) => row.join('\t')).join('\n'));
  await page.getByRole('button', { name: 'Read these rows' }).click();
  await page.getByRole('heading', { name: 'what you pasted: 5 rows' }).waitFor();
  await page.getByText('Or paste rows').click();
};
/** What the gauge had kept has come in. */
const afterAnHour = async (page) => {
  await page.getByRole('radio', { name: '2 h' }).click();
  await page.waitForTimeout(30_000);
  await page.getByRole('radio', { name: '10 min' }).click();
  await page.getByRole('radio', { name: '2 h' }).click();
  await page.waitForTimeout(3000);
};
const SHOTS = [
  { name: 'round', path: '/?pump=lf-01', size: DESK },
  { name: 'pump', path: '/pumps/lf-01', size: TALL },
  { name: 'read-the-jar', path: '/pumps/lf-01/look', size: DESK, act: readJar },
  { name: 'instrument', path: '/instruments/cabinet-gauge', size: DESK, act: afterAnHour },
  { name: 'care-rules', path: '/set-up/houseRules/house', size: DESK, act: askRule },
  { name: 'equipment', path: '/equipment/ferry-b', size: DESK },
  { name: 'job-card', path: '/pumps/lf-01/job-cards/oilChange', size: TALL },
  { name: 'what-is-wrong', path: '/pumps/lf-01/what-is-wrong', size: DESK },
  { name: 'leak-hunt', path: '/pumps/lf-03/leak-hunt', size: DESK, act: huntToTheHose },
  { name: 'people', path: '/people', size: DESK, act: pairDevice },
  { name: 'oil-store', path: '/store?at=jar-17', size: TALL },
  { name: 'gauge-log', path: '/pumps/lf-02/gauge-log', size: DESK, act: readLog },
  { name: 'vacuum-record', path: '/equipment/ferry-c/vacuum', size: DESK },
  { name: 'notebook', path: '/logs/notebook', size: TALL, act: pasteRows },
  { name: 'phone-round', path: '/', size: PHONE },
  { name: 'phone-log-run', path: '/pumps/lf-02/run', size: PHONE },
  { name: 'phone-waiting', path: '/pumps/lf-02/run', size: PHONE, act: logWithoutSignal },
  // Last: it changes the yard.
  { name: 'job', path: '/pumps/qp-01/job-cards', size: DESK, act: serveToTheWait },
];
const NAMED = process.argv.slice(2);
const EMPTY_SHOTS = [{ name: 'first-screen', path: '/', size: DESK }];

install();
build();
const folder = join(root, 'docs/screenshots');
mkdirSync(folder, { recursive: true });
const browser = await chromium.launch({
  executablePath: browserPath() ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu'],
});

async function shoot({ shots, demo, port }) {
  const data = mkdtempSync(join(tmpdir(), 'winter-jar-shots-'));
  const server = await startServer({ data, port, demo, quiet: true });
  let standIns = [];
  try {
    if (demo) {
      const { connectStandIns, seedYard, startStandIns } = await import(join(root, 'demo/dist/index.js'));
      await seedYard({ address: server.address, now: new Date().toISOString() });
      ({ standIns } = await startStandIns());
      await connectStandIns(server);
    }
    for (const { name, path, size, act } of shots) {
      if (NAMED.length > 0 && !NAMED.includes(name)) continue;
      const page = await browser.newPage({ viewport: size });
      await page.goto(server.address + path);
      await page.waitForLoadState('networkidle');
      await act?.(page);
      await page.waitForLoadState('networkidle');
      await page.screenshot({ path: join(folder, `${name}.png`) });
      await page.close();
      console.log(`docs/screenshots/${name}.png`);
    }
  } finally {
    for (const standIn of standIns) await standIn.stop();
    await stopServer(server);
  }
  rmSync(data, { recursive: true, force: true });
}
await shoot({ shots: SHOTS, demo: true, port: 4879 });
await shoot({ shots: EMPTY_SHOTS, demo: false, port: 4879 });
await browser.close();
