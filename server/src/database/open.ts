import { linkSync, mkdirSync, renameSync, rmSync } from 'node:fs';
import { open } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import type BetterSqlite3 from 'better-sqlite3';
import { DataSource } from 'typeorm';
import { ROWS } from './entities.js';
import { MIGRATIONS } from './migrations.js';

type Sqlite = BetterSqlite3.Database;

const connectionOf = (source: DataSource): Sqlite =>
  (source.driver as unknown as { databaseConnection: Sqlite }).databaseConnection;

export const databaseFile = (folder: string): string => join(folder, 'winter-jar.sqlite');
/** Where data goes that something else has taken the place of. */
export const keptFolder = (folder: string): string => join(folder, 'kept');

/** @param forced whether what is acknowledged has to be on the disk; false for a file that is made or checked aside */
export function writingSource(folder: string, forced = true): DataSource {
  return new DataSource({
    type: 'better-sqlite3',
    database: databaseFile(folder),
    entities: ROWS,
    migrations: MIGRATIONS,
    migrationsRun: true,
    enableWAL: true,
    prepareDatabase: (db: Sqlite) => {
      db.pragma(`synchronous = ${forced ? 'FULL' : 'OFF'}`);
      db.pragma('foreign_keys = ON');
      db.pragma('busy_timeout = 5000');
    },
  });
}

function readingSource(folder: string): DataSource {
  return new DataSource({
    type: 'better-sqlite3',
    database: databaseFile(folder),
    entities: ROWS,
    readonly: true,
    prepareDatabase: (db: Sqlite) => {
      db.pragma('busy_timeout = 5000');
    },
  });
}

/** Puts a file, or the names in a folder, on the disk. */
export async function forceToDisk(path: string): Promise<void> {
  const handle = await open(path);
  await handle.sync();
  await handle.close();
}

/** The fact that names one unbroken sequence of changes; data that are put in the place of others begin a new one. */
export const EPOCH = 'epoch';

/** Thrown when the data cannot be replaced now; what stood there is untouched. */
export class CannotReplace extends Error {}

/** The open data folder: one connection that writes, one that only reads. */
export class Database {
  /** True while the file under the connections changes: whoever asks must come back later. */
  busy = false;
  private readonly whenReopened: (() => void)[] = [];
  private readonly beforeReplaced: (() => Promise<void>)[] = [];

  private constructor(
    readonly folder: string,
    private writing: DataSource,
    private reading: DataSource,
  ) {}

  static async open(folder: string, forced: boolean): Promise<Database> {
    mkdirSync(folder, { recursive: true });
    const writing = await writingSource(folder, forced).initialize();
    try {
      return new Database(folder, writing, await readingSource(folder).initialize());
    } catch (error) {
      await writing.destroy();
      throw error;
    }
  }

  /** The only connection that writes. Statements run inside one synchronous block, see journal/journal-writer.ts. */
  get writer(): Sqlite {
    return connectionOf(this.writing);
  }

  /** For repositories and the query builder, see records.ts. */
  get readSource(): DataSource {
    return this.reading;
  }

  get reader(): Sqlite {
    return connectionOf(this.reading);
  }

  /** Statements are prepared per connection; whoever keeps some makes them anew here. */
  onReopened(listener: () => void): void {
    this.whenReopened.push(listener);
  }

  /** Whoever holds a connection of its own lets it go here. */
  beforeReplacing(listener: () => Promise<void>): void {
    this.beforeReplaced.push(listener);
  }

  /**
   * Puts a whole database file in the place of the present one, which is kept as `keptAs`. The last step is one rename: a
   * crash leaves the old data or the new. What cannot be opened there gives way again to what stood there before.
   * @param file a database file on the same file system, closed, with no log beside it
   * @throws CannotReplace when another program has the folder open, or the new file cannot be opened; then the old one is served
   */
  async replaceWith(file: string, keptAs: string): Promise<void> {
    const place = databaseFile(this.folder);
    // Of a large file this takes seconds: nobody has to wait for them.
    await forceToDisk(file);
    this.busy = true;
    try {
      for (const letGo of this.beforeReplaced) await letGo();
      await this.reading.destroy();
      const alone = this.leaveLog();
      await this.writing.destroy();
      if (!alone) throw new CannotReplace('the data folder is open in another program');
      mkdirSync(keptFolder(this.folder), { recursive: true });
      linkSync(place, keptAs);
      renameSync(file, place);
      await forceToDisk(dirname(place));
      await this.reopen().catch(async (error: unknown) => {
        await this.close();
        this.removeLog();
        renameSync(keptAs, place);
        throw new CannotReplace(`it cannot be opened: ${error instanceof Error ? error.message : String(error)}`);
      });
    } finally {
      try {
        if (!this.isOpen) await this.reopen();
      } finally {
        this.busy = false;
      }
    }
  }

  /** Takes the log file away, so that none is left to be laid over another file. False when somebody else has the file open. */
  private leaveLog(): boolean {
    try {
      return this.writer.pragma('journal_mode = DELETE', { simple: true }) === 'delete';
    } catch (error) {
      if ((error as { code?: string }).code === 'SQLITE_BUSY') return false;
      throw error;
    }
  }

  private get isOpen(): boolean {
    return this.reading.isInitialized && this.writing.isInitialized;
  }

  /** Another file lies there now: connections, and whatever was made of them. */
  private async reopen(): Promise<void> {
    this.writing = await writingSource(this.folder).initialize();
    this.writer.prepare('DELETE FROM house_fact WHERE "name" = ?').run(EPOCH);
    this.reading = await readingSource(this.folder).initialize();
    for (const listener of this.whenReopened) listener();
  }

  /** None is left to be laid over another file. */
  private removeLog(): void {
    for (const end of ['-wal', '-shm']) rmSync(databaseFile(this.folder) + end, { force: true });
  }

  async close(): Promise<void> {
    for (const source of [this.reading, this.writing]) if (source.isInitialized) await source.destroy();
  }
}

/** Opens (and where needed makes and migrates) the data folder. @throws when the folder cannot be written */
/** @param forced see {@link writingSource} */
export const openDatabase = (folder: string, forced = true): Promise<Database> => Database.open(folder, forced);
