import 'reflect-metadata';
import { existsSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { Module, type DynamicModule, type INestApplication } from '@nestjs/common';
import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { MAX_BODY_BYTES, MAX_PHOTO_BYTES, MAX_SET_UP_FILE_BYTES, PHOTO_TYPES } from '@winter-jar/contracts';
import express, { type NextFunction, type Request, type Response } from 'express';
import { AboutController, HOUSE, type House } from './about/about.controller.js';
import { openApi } from './api/open-api.js';
import { CLOCK, systemClock, type Clock } from './clock.js';
import { BackupController } from './backup/backup.controller.js';
import { BackupService } from './backup/backup.service.js';
import { JournalFileService } from './backup/journal-file.service.js';
import { clearWorkFolders } from './backup/work-folder.js';
import { Database } from './database/open.js';
import { DemoYardController, OPEN_DEMO_YARD, type OpenDemoYard } from './demo-yard/demo-yard.controller.js';
import { DiagnosisController } from './diagnosis/diagnosis.controller.js';
import { DiagnosisService } from './diagnosis/diagnosis.service.js';
import { SuspectsService } from './diagnosis/suspects.service.js';
import { EffectService } from './effect/effect.service.js';
import { NetworkController } from './network/network.controller.js';
import type { OwnCertificate } from './network/own-certificate.js';
import { Reading } from './database/reading.js';
import { JournalController } from './journal/journal.controller.js';
import { JournalDoor } from './journal/journal-door.js';
import { PhotoShelf } from './photos/photo-shelf.js';
import { PhotosController } from './photos/photos.controller.js';
import { bodyProblem } from './problems/body-problem.js';
import { busyGuard } from './problems/busy-guard.js';
import { doorGuard } from './problems/door-guard.js';
import { ProblemFilter } from './problems/problem.filter.js';
import { PumpsController } from './pumps/pumps.controller.js';
import { PumpsService } from './pumps/pumps.service.js';
import { RoundController } from './round/round.controller.js';
import { RoundService } from './round/round.service.js';
import { EntryLogController } from './entry-log/entry-log.controller.js';
import { EntryLogService } from './entry-log/entry-log.service.js';
import { SetUpController } from './set-up/set-up.controller.js';
import { SetUpFileService } from './set-up/set-up-file.service.js';
import { SetUpService } from './set-up/set-up.service.js';
import { SetUpShelf } from './set-up/set-up-shelf.js';

export interface AppOptions {
  readonly database: Database;
  readonly clock?: Clock;
  readonly openToNetwork?: boolean;
  /** Folder of the built interface; none serves the API alone. */
  readonly webFolder?: string;
  /** Speak https with this certificate. */
  readonly certificate?: OwnCertificate | null;
  readonly openDemoYard?: OpenDemoYard;
}

@Module({})
class AppModule {
  static of(options: AppOptions): DynamicModule {
    const { database, clock = systemClock, openToNetwork = false, certificate = null, openDemoYard = null } = options;
    clearWorkFolders(database.folder);
    const reading = new Reading(database);
    const shelf = new SetUpShelf();
    shelf.reload(reading.sql);
    const door = new JournalDoor(database, shelf, clock);
    door.putInOrder();
    database.onReopened(() => {
      reading.reopened();
      shelf.reload(reading.sql);
      door.reopened();
      door.putInOrder();
    });
    const house: House = { dataFolder: resolve(database.folder), openToNetwork, certificate, port: null };
    return {
      module: AppModule,
      controllers: [
        AboutController,
        RoundController,
        PumpsController,
        DiagnosisController,
        JournalController,
        SetUpController,
        EntryLogController,
        BackupController,
        NetworkController,
        DemoYardController,
        PhotosController,
      ],
      providers: [
        { provide: CLOCK, useValue: clock },
        { provide: HOUSE, useValue: house },
        { provide: OPEN_DEMO_YARD, useValue: openDemoYard },
        { provide: Database, useValue: database },
        { provide: Reading, useValue: reading },
        { provide: SetUpShelf, useValue: shelf },
        { provide: JournalDoor, useValue: door },
        { provide: EffectService, useFactory: () => new EffectService(clock, shelf, door) },
        { provide: SetUpService, useFactory: () => new SetUpService(clock, shelf, door) },
        { provide: SetUpFileService, useFactory: () => new SetUpFileService(clock, shelf, door) },
        { provide: PhotoShelf, useValue: new PhotoShelf(database.folder) },
        BackupService,
        JournalFileService,
        { provide: RoundService, useFactory: () => new RoundService(clock, reading, shelf) },
        { provide: PumpsService, useFactory: () => new PumpsService(clock, reading, shelf) },
        { provide: DiagnosisService, useFactory: () => new DiagnosisService(clock, reading, shelf) },
        { provide: SuspectsService, useFactory: () => new SuspectsService(clock, reading, shelf) },
        { provide: EntryLogService, useFactory: () => new EntryLogService(clock, database, reading, shelf, door) },
      ],
    };
  }
}

/** The whole server on an open data folder, not listening yet. */
export async function createApp(options: AppOptions): Promise<INestApplication> {
  const app = await NestFactory.create<NestExpressApplication>(AppModule.of(options), {
    logger: ['error', 'warn'],
    bodyParser: false,
    ...(options.certificate ? { httpsOptions: options.certificate } : {}),
  });
  app.disable('x-powered-by');
  app.use(doorGuard);
  app.use(busyGuard(options.database));
  app.use('/api/set-up/file', express.json({ limit: MAX_SET_UP_FILE_BYTES }));
  app.use(express.json({ limit: MAX_BODY_BYTES }));
  app.use('/api/photos', express.raw({ type: [...PHOTO_TYPES], limit: MAX_PHOTO_BYTES }));
  app.use(bodyProblem);
  app.useGlobalFilters(new ProblemFilter());
  const document = openApi(app);
  app.use('/api/openapi.json', (_request: Request, response: Response) => response.json(document));
  if (options.webFolder && existsSync(options.webFolder)) serveWeb(app, options.webFolder);
  return app;
}

/** The interface: its files, a 404 for a file that is not there, and the page itself for every other address. */
function serveWeb(app: NestExpressApplication, folder: string): void {
  app.use('/assets', express.static(join(folder, 'assets'), { immutable: true, maxAge: '365d', fallthrough: false }));
  app.use(express.static(folder, { index: false }));
  app.use((request: Request, response: Response, next: NextFunction) => {
    if (request.method !== 'GET' || request.path.startsWith('/api')) return next();
    response.set('Cache-Control', 'no-cache').sendFile(join(folder, 'index.html'));
  });
}
