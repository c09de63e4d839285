import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliDecompressSync } from 'node:zlib';
import BetterSqlite3 from 'better-sqlite3';
import { FOLD_VERSION, type Entry, type EntryBodies } from '@winter-jar/core';
import { correctionAt, entryAt, lookAt, runAt } from '@winter-jar/core/testing';
import { SERVER } from '../journal/actor.js';
import { checkDatabaseFile } from '../backup/database-check.js';
import { PumpReader } from '../house/pump-reader.js';
import { RoundService } from '../round/round.service.js';
import { openHouse, rebuiltStates } from '../testing/test-house.js';
import { databaseFile } from './open.js';

/*
 * A data folder as each landed version wrote it: five pumps of the demo yard over half a year. A version that changes what lies in a
 * folder adds one here; none is ever taken away.
 */
const FOLDERS = join(process.cwd(), 'server/src/database/older-folders');
const NOW = '2031-02-11T09:30:00.000Z';
const clock = { nowMs: () => Date.parse(NOW) };

let folder: string;
beforeEach(() => (folder = mkdtempSync(join(tmpdir(), 'winter-jar-older-'))));
afterEach(() => rmSync(folder, { recursive: true, force: true }));

function unpacked(name: string) {
  writeFileSync(databaseFile(folder), brotliDecompressSync(readFileSync(join(FOLDERS, name))));
  const db = new BetterSqlite3(databaseFile(folder), { readonly: true });
  const present = db.prepare("SELECT 1 FROM sqlite_master WHERE name = 'subject_state'").get();
  const where = present
    ? '(SELECT "subjectId" AS "pumpId", * FROM subject_state WHERE "subjectType" = \'pump\')'
    : 'pump_state';
  const rows = db.prepare(`SELECT "pumpId", "foldVersion", "state" FROM ${where}`).all() as {
    pumpId: string;
    foldVersion: number;
    state: string;
  }[];
  const entries = db.prepare('SELECT COUNT(*) FROM journal_entry').pluck().get() as number;
  db.close();
  return { states: Object.fromEntries(rows.map((r) => [r.pumpId, r])), entries };
}

test.each(readdirSync(FOLDERS).sort())(
  'a folder of %s opens, loses nothing and stands as its journal says',
  async (name) => {
    const before = unpacked(name);
    const house = await openHouse({ folder, empty: true });
    house.started();
    expect(house.journal()).toHaveLength(before.entries);
    const after = house.states();
    expect(Object.keys(after).sort()).toEqual(Object.keys(before.states).sort());
    expect(house.everyState()).toEqual(rebuiltStates(house));
    for (const [pumpId, { foldVersion, state }] of Object.entries(before.states))
      if (foldVersion === FOLD_VERSION) expect([pumpId, JSON.stringify(after[pumpId])]).toEqual([pumpId, state]);
    const { rows } = new RoundService(clock, house.reading, house.store).round(null);
    expect(rows.map((r) => r.pumpId)).toEqual(expect.arrayContaining(['cw-01', 'cw-b1', 'hs-03', 'lf-01']));
    const reader = new PumpReader(clock, house.reading, house.store);
    // Its jar had water, sludge and a smell, whatever version wrote it.
    expect(reader.pump('lf-01').standing.verdict).toBe('beforeNextRun');
    await house.close();
  },
);

test.each(readdirSync(FOLDERS).sort())(
  'a backup of %s can be restored: it is looked at before it is migrated',
  (name) => {
    const { entries } = unpacked(name);
    const checked = checkDatabaseFile(databaseFile(folder));
    if (!checked.ok) throw new Error(JSON.stringify(checked.issue));
    const { contents } = checked;
    expect(contents.pumps).toBeGreaterThanOrEqual(4);
    expect(contents.entries).toBeGreaterThan(100);
    expect(contents.entries).toBeLessThanOrEqual(entries);
  },
);

test('what entries show is found in a folder that did not know which', async () => {
  const house = await openHouse({ folder });
  const [photoId, better] = ['a'.repeat(64), 'b'.repeat(64)];
  const look = lookAt(5, { photoId });
  const log = { logId: 'c'.repeat(64), of: 'rise', volumeL: 62, gauge: 'capacitance', verdict: 'leak' };
  const rise = entryAt(9, 'test', { findings: [], remark: 'photoId', log } as never);
  const body = { ...(look.body as EntryBodies['look']), photoId: better };
  const entries = [look, runAt(6, 2), rise, correctionAt(10, look, { action: 'replace', body })];
  house.writer.writeTogether(SERVER, entries);
  house.database.writer.exec(`DROP TABLE file_citation; DELETE FROM migrations WHERE name LIKE 'FileCitations%'`);
  await house.close();
  const again = await openHouse({ folder });
  const citing = (id: string) => again.reading.sql.citing.all(id).map((row) => (JSON.parse(row.content) as Entry).id);
  expect([photoId, better, log.logId].map(citing)).toEqual([[look.id], [entries[3]?.id], [rise.id]]);
  await again.close();
});
