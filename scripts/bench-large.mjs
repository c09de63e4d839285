// Longer than other files: all that is measured on a large folder, in one list.
// node scripts/bench-large.mjs [--runs 600000] [--only files,effects,suspects,check,saving,rebuild,start]: what others notice of the longest work, over the real server, on a large folder.
import { fork } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { once } from 'node:events';
import {
  createReadStream,
  createWriteStream,
  existsSync,
  mkdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { setTimeout as wait } from 'node:timers/promises';
import { parseArgs } from 'node:util';
import { Worker } from 'node:worker_threads';
import { createGzip } from 'node:zlib';
import { build, install, root } from './build.mjs';

const { values } = parseArgs({ options: { runs: { type: 'string', default: '600000' }, only: { type: 'string' } } });
const RUNS = Number(values.runs);
const isAsked = (part) => !values.only || values.only.split(',').includes(part);
const PUMPS = 300;
const APPEND_EVERY_MS = 20;
const LONGEST_WAIT_MS = 100;
const MOST_MEMORY_MB = 300;
const HOUR_MS = 3_600_000;
/** The last run of each pump was some days ago, when the folder was built. */
const START_MS = Date.now() - (RUNS / PUMPS) * 36 * HOUR_MS - 5 * 24 * HOUR_MS;

install();
build();
const core = await import(join(root, 'core/dist/index.js'));
const { versionsOf } = await import(join(root, 'core/dist/testing/small-yard.js'));
const server = await import(join(root, 'server/dist/index.js'));

const results = [];
const report = (what, figure, limit, detail = '') => {
  const holds = figure <= limit;
  results.push(holds);
  console.log(`${holds ? 'holds ' : 'BROKEN'}  ${what}: ${figure.toFixed(2)} (at most ${limit})  ${detail}`);
};
const at = (hours) => new Date(START_MS + hours * HOUR_MS).toISOString();
const secondsSince = (start) => (performance.now() - start) / 1000;
const pumpIds = Array.from({ length: PUMPS }, (_, i) => `bench-${i}`);
const hoursOf = (run) => 24 + run * 36;

function versions() {
  const base = versionsOf().map((v) => ({ ...v, validFrom: at(0), recordedAt: at(0) }));
  const [pump, chamber] = ['p1', 'chamber'].map((id) => base.find((v) => v.subjectId === id));
  return [
    ...base,
    ...pumpIds.flatMap((id) => [
      { ...chamber, id: randomUUID(), subjectId: `chamber-${id}` },
      { ...pump, id: randomUUID(), subjectId: id, body: { ...pump.body, name: id, equipmentId: `chamber-${id}` } },
    ]),
  ];
}
function entryOf(kind, pumpId, happenedAt, body, more = {}) {
  const id = randomUUID();
  const chamber = { type: 'equipment', id: `chamber-${pumpId}` };
  const subjects = [{ type: 'pump', id: pumpId }, ...(kind === 'run' ? [chamber] : [])];
  const shared = { zone: 'Europe/Lisbon', precision: 'exact', recordedAt: happenedAt, bodyVersion: 1 };
  return { id, actId: id, kind, subjects, happenedAt, ...shared, acknowledged: ['overlap'], body, ...more };
}
const runBody = (materialId, minutes) => ({
  ...{ materialId, minutes, session: 'run', ballast: 'closed', trapTempC: -41 },
  ...{ lowestPressurePa: 4.7, ventedBeforeStop: 'yes' },
});
const changeBody = { sump: 'oil', productId: 'oil-a', outMl: 650, inMl: 700, levelAfter: 'right' };
const look = { sump: 'oil', source: 'sightGlass', hoursStood: 8, clarity: 'bright', colour: 3, freeWaterMl: 2 };
function lifeOf(pumpId, runs) {
  const life = [];
  for (let r = 0; r < runs; r++) {
    if (r % 12 === 0) life.push(entryOf('change', pumpId, at(hoursOf(r) - 2), changeBody));
    if (r % 10 === 5) life.push(entryOf('look', pumpId, at(hoursOf(r) - 1), look));
    // Every eleventh pump never saw the first material.
    const meat = r % 3 === 0 && Number(pumpId.slice(6)) % 11 !== 0;
    life.push(entryOf('run', pumpId, at(hoursOf(r)), runBody(meat ? 'fd-meat' : 'any-empty', 1200)));
  }
  return life;
}

/** Built once and kept beside the other data: `npm test` leaves it alone. Made anew for another format or fold. */
async function largeFolder() {
  const folder = join(root, `data/bench-${RUNS}`);
  const stampFile = join(folder, 'stamp.json');
  const stamp = JSON.stringify({ runs: RUNS, version: server.VERSION, fold: core.FOLD_VERSION, layout: 2 });
  if (existsSync(stampFile) && readFileSync(stampFile, 'utf8') === stamp) return folder;
  rmSync(folder, { recursive: true, force: true });
  mkdirSync(folder, { recursive: true });
  console.log(`Filling ${PUMPS} pumps with ${RUNS} runs …`);
  const database = await server.openDatabase(folder);
  const store = new server.SetUpStore();
  const writer = new server.JournalWriter(database, store, server.systemClock);
  const issues = writer.writeSetUp(server.SERVER, versions());
  if (issues.length > 0) throw new Error(JSON.stringify(issues[0]));
  for (const pumpId of pumpIds) {
    const life = lifeOf(pumpId, RUNS / PUMPS);
    for (let i = 0; i < life.length; i += 600) {
      const other = writer
        .writeTogether(server.SERVER, life.slice(i, i + 600))
        .find((a) => !['written', 'heldBack'].includes(a.status));
      if (other) throw new Error(`not written: ${JSON.stringify(other)}`);
    }
  }
  await database.close();
  writeFileSync(stampFile, stamp);
  return folder;
}

const folder = await largeFolder();
/** The real server, and how long it takes to its first Round. */
async function start() {
  const begun = performance.now();
  const child = fork(join(root, 'server/run/main.js'), ['--data', folder, '--port', '0'], { stdio: 'inherit' });
  const [{ port }] = await once(child, 'message');
  const base = `http://127.0.0.1:${port}`;
  await (await fetch(`${base}/api/round`)).text();
  return { child, base, seconds: secondsSince(begun) };
}
async function stop({ child }) {
  child.disconnect();
  await once(child, 'exit');
}
const running = await start();
const { child, base } = running;
console.log(`        start and first Round: ${running.seconds.toFixed(2)} s`);

const megabytes = () => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${child.pid}/status`, 'utf8'))?.[1]) / 1000;
const json = async (path, body) => {
  const init = { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) };
  const response = await fetch(base + path, body === undefined ? {} : init);
  if (!response.ok) throw new Error(`${path}: ${response.status} ${await response.text()}`);
  return response.json();
};

/** Appends again and again until the work beside it is done. @returns the longest and the median wait, ms, and the most memory, MB */
async function appending(work) {
  let done = false;
  const waits = [];
  let most = 0;
  const start = performance.now();
  const beside = work().finally(() => (done = true));
  // Without a handler of its own a failure would end the process before it is awaited below.
  beside.catch(() => {});
  do {
    const pumpId = pumpIds[waits.length % PUMPS];
    const happenedAt = new Date(Date.now() - 120_000).toISOString();
    const begun = performance.now();
    const entry = entryOf('run', pumpId, happenedAt, runBody('any-empty', 1));
    const { answers } = await json('/api/entries', { entries: [entry] });
    waits.push({ ms: performance.now() - begun, atS: (begun - start) / 1000 });
    if (answers[0].status !== 'written') throw new Error(JSON.stringify(answers));
    most = Math.max(most, megabytes());
    await wait(APPEND_EVERY_MS);
  } while (!done);
  await beside;
  const sorted = waits.toSorted((a, b) => a.ms - b.ms);
  const longest = sorted.at(-1);
  return {
    longest: longest.ms,
    longestAtS: longest.atS,
    median: sorted[sorted.length >> 1].ms,
    appends: waits.length,
    most,
  };
}

const quiet = await appending(() => wait(5000));
const idle = megabytes();
console.log(`        nothing beside: longest ${quiet.longest.toFixed(0)} ms, median ${quiet.median.toFixed(1)} ms`);

/** Others' longest wait beside a work, its length, and its memory. */
async function beside(what, work) {
  const begun = performance.now();
  const { longest, longestAtS, median, appends, most } = await appending(work);
  const seconds = secondsSince(begun);
  const detail = `after ${longestAtS.toFixed(1)} of ${seconds.toFixed(1)} s; median ${median.toFixed(1)} ms of ${appends} appends, ${(most - idle).toFixed(0)} MB above idle`;
  report(`longest wait beside ${what}, ms`, longest, LONGEST_WAIT_MS, detail);
  if (most - idle > MOST_MEMORY_MB) report(`memory of ${what}, MB above idle`, most - idle, MOST_MEMORY_MB);
  return seconds;
}

async function download(what, to) {
  let answer = await json('/api/downloads', { what });
  const begun = performance.now();
  while (answer.state === 'preparing') {
    await wait(50);
    answer = await json(`/api/downloads/${answer.id}`);
  }
  if (answer.state !== 'ready') throw new Error(JSON.stringify(answer));
  const made = secondsSince(begun);
  const response = await fetch(`${base}/api/downloads/${answer.id}/file`);
  await pipeline(response.body, createWriteStream(to));
  return made;
}
const scratch = join(root, 'data/bench-scratch');
rmSync(scratch, { recursive: true, force: true });
mkdirSync(scratch, { recursive: true });

/** Reading and parsing the same rows in a thread, with the same appends beside it. */
const BARE_READ = `
  const { parentPort, workerData: { file, where } } = require('node:worker_threads');
  const db = new (require('better-sqlite3'))(file, { readonly: true });
  const begun = performance.now();
  let bytes = 0;
  for (const { content } of db.prepare('SELECT content FROM journal_entry ' + where + ' ORDER BY seq').iterate())
    bytes += JSON.stringify(JSON.parse(content)).length;
  parentPort.postMessage({ bytes, seconds: (performance.now() - begun) / 1000 });`;
async function bareRead(kind) {
  let read = 0;
  await appending(async () => {
    const where = kind ? `WHERE kind = '${kind}'` : '';
    const workerData = { file: join(folder, 'winter-jar.sqlite'), where };
    [{ seconds: read }] = await once(new Worker(BARE_READ, { eval: true, workerData }), 'message');
  });
  return read;
}
const made = {};
if (isAsked('files')) {
  for (const [what, file] of [
    ['runs', 'runs.csv'],
    ['everything', 'all.jsonl'],
    ['backup', 'backup.tar.gz'],
  ])
    await beside(what, async () => {
      made[what] = await download(what, join(scratch, file));
    });
  const controls = { runs: await bareRead('run'), everything: await bareRead(null) };
  report(
    'runs as CSV against reading and parsing the same rows',
    made.runs / controls.runs,
    3,
    `${made.runs.toFixed(1)} s`,
  );
  report('JSON lines against the same', made.everything / controls.everything, 3, `${made.everything.toFixed(1)} s`);
  const begun = performance.now();
  await pipeline(
    createReadStream(join(folder, 'winter-jar.sqlite')),
    createGzip(),
    createWriteStream(join(scratch, 'copy.gz')),
  );
  const copied = secondsSince(begun);
  report('backup against a copy with the same compression', made.backup / copied, 2, `${made.backup.toFixed(1)} s`);
}

const house = (await json('/api/set-up')).house;
const now = () => new Date().toISOString();
const version = (kind, subjectId, validFrom, changes) => ({
  ...{ id: randomUUID(), kind, subjectId, validFrom, recordedAt: now() },
  body: { ...house[kind][subjectId], ...changes },
});
async function preview(versions) {
  const asked = performance.now();
  let answer = await json('/api/set-up/preview', { versions });
  const first = secondsSince(asked);
  while (answer.id !== null) {
    await wait(200);
    answer = await json(`/api/set-up/preview/${answer.id}`);
  }
  return { first, whole: secondsSince(asked), pumps: answer.effects.length };
}
const rulesBody = { limits: { oilChange: { runs: 9 } } };
const wholes = {};
for (const [what, versions] of !isAsked('effects')
  ? []
  : [
      ['the effect of house rules from now', () => [version('houseRules', 'house', now(), rulesBody)]],
      ['the effect of a corrected material', () => [version('material', 'fd-meat', at(0), { fat: 0 })]],
      ['the effect of a corrected oil', () => [version('oilProduct', 'oil-a', at(0), { freshColour: 2 })]],
    ]) {
  let found;
  await beside(what, async () => {
    found = await preview(versions());
  });
  wholes[what] = found;
  report(
    `first answer of ${what}, s`,
    found.first,
    1,
    `whole in ${found.whole.toFixed(1)} s, ${found.pumps} pumps move`,
  );
}
for (const [what, path] of !isAsked('suspects')
  ? []
  : [
      ['who uses a material', '/api/set-up/records/material/fd-meat'],
      ['the first suspects of a day', '/api/suspects'],
      ['the suspects', '/api/suspects'],
    ]) {
  let took;
  await beside(what, async () => {
    const asked = performance.now();
    await json(path);
    took = secondsSince(asked);
  });
  if (what === 'the suspects') report(`${what}, s`, took, 0.3);
  else console.log(`        ${what}: ${took.toFixed(2)} s`);
}
const backupFile = join(scratch, 'backup.tar.gz');
let checked = null;
if (isAsked('check')) {
  if (!existsSync(backupFile)) await download('backup', backupFile);
  checked = await beside('a check of a backup', async () => {
    const response = await fetch(`${base}/api/restore/check`, {
      method: 'POST',
      headers: { 'content-type': 'application/gzip' },
      body: createReadStream(backupFile),
      duplex: 'half',
    });
    const { issue } = await response.json();
    if (issue) throw new Error(JSON.stringify(issue));
  });
}
/** Until no pump's state is of before any more. */
async function caughtUp(at) {
  for (let lagging = true; lagging; await wait(500)) {
    const { rows } = await (await fetch(`${at}/api/round`)).json();
    lagging = rows.some((row) => row.reasons.some((r) => r.code === 'madeAnew'));
  }
}
if (isAsked('saving'))
  await beside('saving a corrected material, until nothing lags', async () => {
    await json('/api/set-up', { versions: [version('material', 'fd-meat', at(0), { fat: 1 })] });
    await caughtUp(base);
  });
await stop(running);
if (isAsked('rebuild')) {
  const database = await server.openDatabase(folder);
  const store = new server.SetUpStore();
  store.reload(new server.Reading(database).sql);
  const begun = performance.now();
  new server.JournalWriter(database, store, server.systemClock).rebuildAll();
  const rebuilt = secondsSince(begun);
  await database.close();
  console.log(`        rebuild: ${rebuilt.toFixed(1)} s`);
  if (checked) report('a check of a backup against rebuild', checked / rebuilt, 1.5, `${checked.toFixed(1)} s`);
  for (const [what, { whole, pumps }] of Object.entries(wholes))
    report(`the whole of ${what} against rebuilding its pumps`, whole / ((rebuilt * pumps) / PUMPS), 1.3);
}
if (isAsked('start')) {
  const { default: Sqlite } = await import('better-sqlite3');
  const db = new Sqlite(join(folder, 'winter-jar.sqlite'));
  db.exec(`UPDATE subject_state SET "foldVersion" = 1, "state" = json_set("state", '$.foldVersion', 1)`);
  db.close();
  const updated = await start();
  report('start after an update that makes all states anew, until its first Round, s', updated.seconds, 5);
  await caughtUp(updated.base);
  await stop(updated);
}
rmSync(scratch, { recursive: true, force: true });
// What was appended stays in the folder: it is as large as it was built, but for some thousands.
if (results.includes(false)) process.exit(1);
