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

/** The tables an import writes, with the rows that it wrote, bare: one transaction, prepared statements, texts ready made. */
function bareInserts(server, folder, rowsOf) {
  return server.openDatabase(folder).then(async (database) => {
    const db = database.writer;
    const tables = ['journal_entry', 'entry_subject', 'counted_entry'];
    const inserts = tables.map((table) => {
      const columns = db.pragma(`table_info(${table})`).map((c) => c.name);
      const places = columns.map((c) => `@${c}`).join();
      return {
        rows: rowsOf(table),
        statement: db.prepare(`INSERT INTO ${table} (${columns.join()}) VALUES (${places})`),
      };
    });
    const start = process.hrtime.bigint();
    db.transaction(() => {
      for (const { rows, statement } of inserts) for (const row of rows) statement.run(row);
    })();
    const ms = msSince(start);
    await database.close();
    return ms;
  });
}

/** @returns how the import compares with bare inserts, and the longest that an append waited beside it */
export async function benchImport({ core, server, versionsOf, at, clock, runOf }) {
  const folders = [0, 1].map(() => mkdtempSync(join(tmpdir(), 'winter-jar-import-')));
  const [folder, bareFolder] = folders;
  const database = await server.openDatabase(folder);
  const shelf = new server.SetUpShelf();
  const reading = new server.Reading(database);
  const door = new server.JournalDoor(database, shelf, clock);
  const base = versionsOf();
  const pump = base.find((v) => v.kind === 'pump' && v.subjectId === 'p1');
  const random = core.seededRandom(13);
  door.writeSetUp(server.SERVER, [
    ...base,
    ...Array.from({ length: PUMPS }, (_, i) => ({
      ...pump,
      id: random.uuid(Date.parse(at(0))),
      subjectId: `import-${i}`,
      body: { ...pump.body, name: `Import ${i}` },
    })),
  ]);
  const lines = Array.from({ length: ROWS }, (_, i) => {
    const minutes = i % WRONG_EVERY === WRONG_EVERY - 1 ? 'long' : 1200;
    return `Import ${i % PUMPS},${at(10 + Math.floor(i / PUMPS) * 48)},${minutes},Meat or fish,closed,-41,4.7,yes`;
  });
  const logs = new server.EntryLogService(clock, database, reading, shelf, door);

  const waits = [];
  let appended = 0;
  /** Someone logs a run every now and then; the wait counts from when it was due. */
  const beside = { going: true };
  const due = (after) =>
    setTimeout(() => {
      const start = process.hrtime.bigint();
      setTimeout(() => {
        if (!beside.going) return;
        const answers = door.write(server.SERVER, [runOf('p1', 10 + 30 * appended++)]);
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

  const only = { journal_entry: '"importId" IS NOT NULL', entry_subject: '', counted_entry: '' };
  const bareMs = await bareInserts(server, bareFolder, (table) =>
    database.reader.prepare(`SELECT * FROM ${table} ${only[table] ? `WHERE ${only[table]}` : ''}`).all(),
  );
  await database.close();
  for (const one of folders) rmSync(one, { recursive: true, force: true });
  return { rows: ROWS, refused, readMs, writeMs, bareMs, waits: waits.length, longestWaitMs: Math.max(...waits) };
}
