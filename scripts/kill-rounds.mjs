// node scripts/kill-rounds.mjs [--rounds 100] [--seed 1]: kill -9 again and again, while others write, import, back up, restore and rebuild.
import { fork, spawn } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { once } from 'node:events';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { parseArgs } from 'node:util';
import Sqlite from 'better-sqlite3';
import { build, install, root } from './build.mjs';

const { values } = parseArgs({
  options: { rounds: { type: 'string', default: '100' }, seed: { type: 'string', default: '1' } },
});
const WRITERS = 4;
const IMPORTED = 600;
const LONGEST_MS = 1600;
const HOUR_MS = 3_600_000;
const START_MS = Date.now() - 30 * 365 * 24 * HOUR_MS;

install();
build();
const core = await import(join(root, 'core/dist/index.js'));
const { versionsOf } = await import(join(root, 'core/dist/testing/small-yard.js'));
const house = await import(join(root, 'server/dist/index.js'));
const random = core.seededRandom(Number(values.seed));
const folder = mkdtempSync(join(tmpdir(), 'winter-jar-kill-'));
const since = new Date(START_MS).toISOString();

let server = null;
let base = '';
async function start() {
  server = fork(join(root, 'server/run/main.js'), ['--data', folder, '--port', '0'], { stdio: 'ignore' });
  const [{ port }] = await once(server, 'message');
  base = `http://127.0.0.1:${port}`;
}
async function kill(child) {
  const gone = once(child, 'exit');
  child.kill('SIGKILL');
  await gone;
}
async function send(path, body, type = 'application/json') {
  const answer = await fetch(base + path, { method: 'POST', headers: { 'content-type': type }, body });
  if (!answer.ok) throw new Error(`${path}: ${answer.status} ${await answer.text()}`);
  return answer.json();
}
const sendJson = (path, body) => send(path, JSON.stringify(body));
const get = async (path) => (await fetch(base + path)).json();

const PUMP = { type: 'pump', id: 'p1' };
const CHAMBER = { type: 'equipment', id: 'chamber' };
let hours = 0;
const written = new Set();
const acts = [];
/** A run and, now and then, a change with a look as one act. */
function nextAct() {
  hours += 1;
  const actId = randomUUID();
  const at = new Date(START_MS + hours * HOUR_MS * 3).toISOString();
  const entry = (kind, body, subjects = [PUMP]) => ({
    ...{ id: randomUUID(), actId, kind, subjects, happenedAt: at, recordedAt: at },
    ...{ zone: 'Europe/Lisbon', precision: 'exact', bodyVersion: 1, acknowledged: ['overlap'], body },
  });
  const run = { materialId: 'fd-meat', minutes: 120, session: 'run', ballast: 'closed', ventedBeforeStop: 'yes' };
  if (hours % 7 > 0) return [entry('run', run, [PUMP, CHAMBER])];
  return [
    entry('change', { sump: 'oil', productId: 'oil-a', inMl: 700, levelAfter: 'right' }),
    entry('look', { sump: 'oil', source: 'drained', hoursStood: 3, clarity: 'hazy', lookedAtMl: 600 }),
  ];
}
async function writeOn() {
  for (;;) {
    const entries = nextAct();
    acts.push(entries.map((e) => e.id));
    const { answers } = await sendJson('/api/entries', { entries });
    for (const { id, status } of answers) {
      if (status !== 'written') throw new Error(`not written: ${JSON.stringify(answers)}`);
      written.add(id);
    }
  }
}
const startedAt = (n, i) => new Date(START_MS + (n * IMPORTED + i) * 60_000).toISOString();
const imports = [];
async function importRuns() {
  const n = imports.length + 1;
  const one = { from: startedAt(n, 0), to: startedAt(n, IMPORTED), done: false };
  imports.push(one);
  const rows = Array.from({ length: IMPORTED }, (_, i) => `P-2,Chamber,${startedAt(n, i)},1,any-empty`);
  const { id } = await send(
    '/api/logs/runs/imports',
    ['pump,equipment,started,minutes,material', ...rows].join('\n'),
    'text/csv',
  );
  const until = async (state) => {
    for (let now; (now = (await get(`/api/imports/${id}`)).state) !== state; await wait(5))
      if (now === 'failed') throw new Error('the import failed');
  };
  await until('ready');
  await sendJson(`/api/imports/${id}/write`, { goodRowsOnly: false });
  await until('done');
  one.done = true;
}
async function backUp() {
  let answer = await sendJson('/api/downloads', { what: 'backup' });
  for (; answer.state === 'preparing'; await wait(5)) answer = await get(`/api/downloads/${answer.id}`);
  return Buffer.from(await (await fetch(`${base}/api/downloads/${answer.id}/file`)).arrayBuffer());
}
async function restore(backup) {
  const { uploadId, issue } = await send('/api/restore/check', backup, 'application/gzip');
  if (issue) throw new Error(JSON.stringify(issue));
  await sendJson('/api/restore', { uploadId });
}
async function correctMaterial() {
  for (let fat = 0; ; fat = (fat + 1) % 4) {
    const body = { ...(await get('/api/set-up')).house.material['fd-meat'], fat };
    const version = { id: randomUUID(), kind: 'material', subjectId: 'fd-meat', validFrom: since, body };
    await sendJson('/api/set-up', { versions: [{ ...version, recordedAt: new Date().toISOString() }] });
  }
}
/** What goes on when the server is killed. Only a restore goes on alone: it takes back what was written since its backup. */
const WORKS = {
  writing: () => [],
  importing: () => [importRuns()],
  'backing up': () => [backUp()],
  'correcting the set-up': () => [correctMaterial()],
};

function look(what) {
  const db = new Sqlite(join(folder, 'winter-jar.sqlite'), { readonly: true });
  const faults = [];
  const ids = db.prepare('SELECT id FROM journal_entry').pluck().all();
  const stored = new Set(ids);
  if (stored.size !== ids.length) faults.push('an entry is there twice');
  const lost = [...written].filter((id) => !stored.has(id));
  if (lost.length > 0) faults.push(`${lost.length} acknowledged entries are lost`);
  const half = acts.filter((act) => new Set(act.map((id) => stored.has(id))).size > 1);
  if (half.length > 0) faults.push(`${half.length} acts are half there`);
  const countOf = db
    .prepare(
      `SELECT COUNT(*) FROM journal_entry WHERE "importId" IS NOT NULL AND "happenedAt" >= ? AND "happenedAt" < ?`,
    )
    .pluck();
  for (const { from, to, done } of imports) {
    const n = countOf.get(from, to);
    if (![IMPORTED, ...(done ? [] : [0])].includes(n)) faults.push(`an import is there with ${n} rows`);
  }
  if (db.pragma('integrity_check', { simple: true }) !== 'ok') faults.push('the database is damaged');
  db.close();
  if (faults.length > 0) throw new Error(`${what}: ${faults.join('; ')} (data in ${folder})`);
  return ids.length;
}
async function compareWithRebuild(what) {
  const states = () => {
    const db = new Sqlite(join(folder, 'winter-jar.sqlite'), { readonly: true });
    const rows = db.prepare('SELECT "subjectType", "subjectId", "state" FROM subject_state ORDER BY 1, 2').all();
    db.close();
    return JSON.stringify(rows);
  };
  const database = await house.openDatabase(folder);
  const store = new house.SetUpStore();
  store.reload(new house.Reading(database).sql);
  const writer = new house.JournalWriter(database, store, house.systemClock);
  writer.putInOrder();
  while (writer.bulk.catchUp() !== null);
  const before = states();
  writer.rebuildAll();
  await database.close();
  if (states() !== before) throw new Error(`${what}: states are not what a rebuild gives (data in ${folder})`);
}

/** As `npm run rebuild`, without the build before it. */
const REBUILD = `
  const { openDatabase, JournalWriter, Reading, SetUpStore, systemClock } = await import(${JSON.stringify(join(root, 'server/dist/index.js'))});
  const database = await openDatabase(${JSON.stringify(folder)});
  const store = new SetUpStore();
  store.reload(new Reading(database).sql);
  const writer = new JournalWriter(database, store, systemClock);
  for (;;) writer.rebuildAll();`;

await start();
const past = (version) => ({ ...version, validFrom: since, recordedAt: since });
const second = versionsOf().find((v) => v.subjectId === 'p1');
await sendJson('/api/set-up', {
  versions: [
    ...versionsOf(),
    { ...second, id: randomUUID(), subjectId: 'p2', body: { ...second.body, name: 'P-2' } },
  ].map(past),
});
const killed = {};
const names = [...Object.keys(WORKS), 'restoring', 'rebuilding'];
for (let round = 0; round < Number(values.rounds); round++) {
  const what = names[round % names.length];
  const afterMs = 20 + random.next() * LONGEST_MS;
  let going;
  if (what === 'restoring') {
    const backup = await backUp();
    going = [restore(backup)];
    going[0].catch(() => undefined);
    await wait(afterMs / 2);
    await kill(server);
  } else if (what === 'rebuilding') {
    await kill(server);
    const rebuild = spawn('node', ['--input-type=module', '-e', REBUILD], { stdio: 'ignore' });
    going = [];
    await wait(300 + afterMs);
    await kill(rebuild);
  } else {
    going = [...WORKS[what](), ...Array.from({ length: WRITERS }, writeOn)];
    for (const one of going) one.catch(() => undefined);
    await wait(afterMs);
    await kill(server);
  }
  const ends = await Promise.allSettled(going);
  const unexpected = ends.find(
    (e) => e.status === 'rejected' && !/fetch failed|terminated|other side closed|JSON/.test(String(e.reason)),
  );
  if (unexpected) throw unexpected.reason;
  killed[what] = (killed[what] ?? 0) + 1;
  if (round % 10 === 9) await compareWithRebuild(what);
  await start();
  look(`round ${round + 1}, ${what}`);
}
await kill(server);
await compareWithRebuild('the end');
const rows = imports.filter((i) => i.done).length;
console.log(
  `Killed ${values.rounds} times (${Object.entries(killed)
    .map(([what, n]) => `${n} ${what}`)
    .join(
      ', ',
    )}): ${written.size} acknowledged entries and ${rows} finished imports are all there once, nothing half, states as a rebuild gives them.`,
);
rmSync(folder, { recursive: true, force: true });
