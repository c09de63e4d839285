import { resolve } from 'node:path';
import { Global, Module, type DynamicModule } from '@nestjs/common';
import { APP_FILTER, APP_GUARD } from '@nestjs/core';
import { CLOCK, systemClock, type Clock } from '../clock/clock.js';
import { Database } from '../database/open.js';
import { Reading } from '../database/reading.js';
import { clearWorkFolders } from '../files/work-folder.js';
import { JournalWriter } from '../journal/journal-writer.js';
import { SetUpStore } from '../journal/set-up-store.js';
import type { OwnCertificate } from '../network/own-certificate.js';
import { BusyGuard } from '../problems/busy-guard.js';
import { WorkQueue } from '../work/work-queue.js';
import { OriginGuard } from '../problems/origin-guard.js';
import { ProblemFilter } from '../problems/problem.filter.js';
import { CatchingUp } from './catching-up.js';
import { People } from '../people/people.js';
import { Door, OWN_MACHINE, type DoorWays } from './door.js';
import { HOUSE, type House } from './house.js';
import { NeedsGuard } from './needs.js';
import { PumpReader } from './pump-reader.js';
import { SeenFiles } from './seen-files.js';

export interface HouseOptions {
  readonly database: Database;
  readonly people: People;
  readonly clock?: Clock;
  readonly ways?: DoorWays;
  /** Speak https with this certificate. */
  readonly certificate?: OwnCertificate | null;
  /** The built worker thread; where it lies for sources when left out. */
  readonly workFile?: string;
}

/** What every feature stands on: the clock, the open data folder, the set-up in memory, the one writer, and who comes in. */
@Global()
@Module({})
export class HouseModule {
  static on({
    database,
    people,
    clock = systemClock,
    ways = OWN_MACHINE,
    certificate = null,
    workFile,
  }: HouseOptions): DynamicModule {
    clearWorkFolders(database.folder);
    const reading = new Reading(database);
    const store = new SetUpStore();
    store.reload(reading.sql);
    const writer = new JournalWriter(database, store, clock);
    writer.putInOrder();
    database.onReopened(() => {
      reading.reopened();
      store.reload(reading.sql);
      writer.reopened();
      writer.putInOrder();
    });
    const house: House = {
      dataFolder: resolve(database.folder),
      openToNetwork: ways.openToNetwork,
      certificate,
      port: null,
    };
    const shared = [
      { provide: CLOCK, useValue: clock },
      { provide: HOUSE, useValue: house },
      { provide: Database, useValue: database },
      { provide: People, useValue: people },
      { provide: Door, useValue: new Door(people, ways) },
      { provide: Reading, useValue: reading },
      { provide: SetUpStore, useValue: store },
      { provide: JournalWriter, useValue: writer },
      { provide: WorkQueue, useFactory: () => new WorkQueue(database, workFile) },
      PumpReader,
      SeenFiles,
      CatchingUp,
    ];
    const atTheDoor = [OriginGuard, BusyGuard, NeedsGuard].map((useClass) => ({ provide: APP_GUARD, useClass }));
    return {
      module: HouseModule,
      providers: [...shared, ...atTheDoor, { provide: APP_FILTER, useClass: ProblemFilter }],
      exports: shared,
    };
  }
}
