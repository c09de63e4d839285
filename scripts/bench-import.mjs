// A long log comes in: against bare inserts of the same rows, and what others notice of it.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';

const ROWS = 100_000;
const PUMPS = 40;
const APPEND_EVERY_MS = 100;
const HEADER = 'pump,started,minutes,material,ballast,trap_temp_c,lowest_pressure_pa,vented_before_stop';
/** One row in a thousand is not right. */
const WRONG_EVERY = 1000;

const msSince = (start) => Number(process.hrtime.bigint() - start) / 1e6;

/*
 * What is measured against: bare inserts into the tables and indexes that version 0.2 wrote, one transaction, prepared statements,
 * texts ready made. It stands still, so that ratios of any version can be compared; the product's own tables may well write less.
 */
const YARDSTICK = `
  CREATE TABLE journal (seq INTEGER PRIMARY KEY AUTOINCREMENT, id TEXT UNIQUE, actId TEXT, kind TEXT, happenedAt TEXT, recordedAt TEXT,
    targetId TEXT, contentHash TEXT, content TEXT, importId TEXT);
  CREATE INDEX byTarget ON journal (targetId);
  CREATE INDEX byAct ON journal (actId);
  CREATE TABLE subject (type TEXT, id TEXT, happenedAt TEXT, entryId TEXT, PRIMARY KEY (type, id, happenedAt, entryId));
  CREATE TABLE counted (pumpId TEXT, happenedAt TEXT, recordedAt TEXT, entryId TEXT, kind TEXT, endedAt TEXT, content TEXT,
    PRIMARY KEY (pumpId, happenedAt, recordedAt, entryId));
  CREATE INDEX byEntry ON counted (entryId);`;

async function bareInserts(server, folder, rows) {
  const database = await server.openDatabase(folder);
  const db = database.writer;
  db.exec(YARDSTICK);
  const journal = db.prepare(
    `INSERT INTO journal VALUES (NULL, @id, @actId, @kind, @happenedAt, @recordedAt, @targetId, @contentHash, @content, @importId)`,
  );
  const subject = db.prepare('INSERT INTO subject VALUES (@type, @subjectId, @happenedAt, @id)');
  const counted = db.prepare(
    'INSERT INTO counted VALUES (@subjectId, @happenedAt, @recordedAt, @id, @kind, @happenedAt, @content)',
  );
  const made = rows.map((row) => {
    const subjects = JSON.parse(row.content).subjects.map(({ type, id }) => ({ ...row, type, subjectId: id }));
    return { row, subjects, pump: subjects.find((s) => s.type === 'pump') };
  });
  const start = process.hrtime.bigint();
  db.transaction(() => {
    for (const { row } of made) journal.run(row);
    for (const { subjects } of made) for (const row of subjects) subject.run(row);
    for (const { pump } of made) counted.run(pump);
  })();
  const ms = msSince(start);
  await database.close();
  return ms;
}

/** @returns how the import compares with bare inserts, and the longest that an append waited beside it */
export async function benchImport({ core, server, versionsOf, at, clock, runOf }) {
  const folders = [0, 1].map(() => mkdtempSync(join(tmpdir(), 'winter-jar-import-')));
  const [folder, bareFolder] = folders;
  const database = await server.openDatabase(folder);
  const store = new server.SetUpStore();
  const reading = new server.Reading(database);
  const writer = new server.JournalWriter(database, store, clock);
  const base = versionsOf();
  const pump = base.find((v) => v.kind === 'pump' && v.subjectId === 'p1');
  const chamber = base.find((v) => v.kind === 'equipment' && v.subjectId === 'chamber');
  const random = core.seededRandom(13);
  writer.writeSetUp(server.SERVER, [
    ...base,
    ...Array.from({ length: PUMPS }, (_, i) => ({
      ...chamber,
      id: random.uuid(Date.parse(at(0))),
      subjectId: `import-chamber-${i}`,
    })),
    ...Array.from({ length: PUMPS }, (_, i) => ({
      ...pump,
      id: random.uuid(Date.parse(at(0))),
      subjectId: `import-${i}`,
      body: { ...pump.body, name: `Import ${i}`, equipmentId: `import-chamber-${i}` },
    })),
  ]);
  const lines = Array.from({ length: ROWS }, (_, i) => {
    const minutes = i % WRONG_EVERY === WRONG_EVERY - 1 ? 'long' : 1200;
    return `Import ${i % PUMPS},${at(10 + Math.floor(i / PUMPS) * 48)},${minutes},Meat or fish,closed,-41,4.7,yes`;
  });
  const logs = new server.EntryLogService(clock, database, reading, store, writer);

  const waits = [];
  let appended = 0;
  /** Someone logs a run every now and then; the wait counts from when it was due. */
  const beside = { going: true };
  const due = (after) =>
    setTimeout(() => {
      const start = process.hrtime.bigint();
      setTimeout(() => {
        if (!beside.going) return;
        const answers = writer.write(server.SERVER, [runOf('p1', 10 + 30 * appended++)]);
        if (answers[0].status !== 'written') throw new Error(JSON.stringify(answers[0]));
        waits.push(msSince(start));
        due(APPEND_EVERY_MS);
      });
    }, after);
  due(0);

  const begun = process.hrtime.bigint();
  const job = await logs.begin(server.SERVER, 'runs', Readable.from([Buffer.from([HEADER, ...lines].join('\n'))]));
  await job.atRest();
  const readMs = msSince(begun);
  const writing = process.hrtime.bigint();
  if (!job.write(true)) throw new Error(JSON.stringify(job.answer()));
  await job.atRest();
  const writeMs = msSince(writing);
  beside.going = false;
  const { state, written, refused } = job.answer();
  const wanted = ROWS - ROWS / WRONG_EVERY;
  if (state !== 'done' || written !== wanted) throw new Error(JSON.stringify(job.answer()));

  const rows = database.reader.prepare('SELECT * FROM journal_entry WHERE "importId" IS NOT NULL').all();
  const bareMs = await bareInserts(server, bareFolder, rows);
  await database.close();
  for (const one of folders) rmSync(one, { recursive: true, force: true });
  return { rows: ROWS, refused, readMs, writeMs, bareMs, waits: waits.length, longestWaitMs: Math.max(...waits) };
}
