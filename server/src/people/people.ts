import { closeSync, openSync } from 'node:fs';
import { join } from 'node:path';
import type BetterSqlite3 from 'better-sqlite3';
import { DataSource } from 'typeorm';
import { systemClock, type Clock } from '../clock/clock.js';
import { Accounts } from './accounts.js';
import { Codes } from './codes.js';
import { DoorRecord } from './door-record.js';
import { PEOPLE_MIGRATIONS } from './migrations.js';
import { AccountRow, CodeRow, DoorEventRow, HouseNameRow, PEOPLE_ROWS, SessionRow } from './rows.js';
import { newToken } from './secrets.js';
import { Sessions } from './sessions.js';
import { TabletWriters } from './tablet-writers.js';

const peopleFile = (folder: string): string => join(folder, 'people.sqlite');

export function peopleSource(folder: string): DataSource {
  return new DataSource({
    type: 'better-sqlite3',
    database: peopleFile(folder),
    entities: PEOPLE_ROWS,
    migrations: PEOPLE_MIGRATIONS,
    migrationsRun: true,
    enableWAL: true,
    prepareDatabase: (db: BetterSqlite3.Database) => {
      db.pragma('synchronous = FULL');
      db.pragma('busy_timeout = 5000');
    },
  });
}

/**
 * Who may sign in, who is, and what happened at the doors: in a file of its own beside the journal. It is no part of a backup, and a
 * restore or a set-up file from elsewhere changes nobody's rights.
 */
export class People {
  private constructor(
    private readonly source: DataSource,
    readonly accounts: Accounts,
    readonly sessions: Sessions,
    readonly codes: Codes,
    readonly record: DoorRecord,
    readonly writers: TabletWriters,
    readonly cookie: string,
  ) {}

  /** @throws when the folder cannot be written */
  static async open(folder: string, clock: Clock = systemClock): Promise<People> {
    // Whatever the folder lets others do, this file is its owner's alone.
    closeSync(openSync(peopleFile(folder), 'a', 0o600));
    const source = await peopleSource(folder).initialize();
    const names = source.getRepository(HouseNameRow);
    const [known] = await names.find({ take: 1 });
    const name = known?.name ?? newToken().slice(0, 8);
    if (!known) await names.insert({ name });
    const accounts = new Accounts(source.getRepository(AccountRow), clock);
    const sessions = new Sessions(source.getRepository(SessionRow), clock);
    await accounts.load();
    await sessions.load();
    const codes = new Codes(source.getRepository(CodeRow), clock);
    const record = new DoorRecord(source.getRepository(DoorEventRow), clock);
    return new People(source, accounts, sessions, codes, record, new TabletWriters(clock), `winter-jar-${name}`);
  }

  /** With the house that it belongs to. */
  onApplicationShutdown(): Promise<void> {
    return this.source.destroy();
  }
}
