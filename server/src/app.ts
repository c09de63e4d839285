import 'reflect-metadata';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { Module, type DynamicModule, type INestApplication } from '@nestjs/common';
import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { MAX_BODY_BYTES, MAX_SET_UP_FILE_BYTES } from '@winter-jar/contracts';
import compression from 'compression';
import express, { type NextFunction, type Request, type Response } from 'express';
import { AboutModule } from './about/about.module.js';
import { openApi } from './api/open-api.js';
import { BackupModule } from './backup/backup.module.js';
import { ChangesModule } from './changes/changes.module.js';
import { ClockHandModule } from './clock-hand/clock-hand.module.js';
import type { OpenDemoYard } from './demo-yard/demo-yard.controller.js';
import { DemoYardModule } from './demo-yard/demo-yard.module.js';
import { DownloadsModule } from './downloads/downloads.module.js';
import { DoorModule } from './door/door.module.js';
import { DiagnosisModule } from './diagnosis/diagnosis.module.js';
import { EquipmentModule } from './equipment/equipment.module.js';
import { EntriesModule } from './entries/entries.module.js';
import { EntryLogModule } from './entry-log/entry-log.module.js';
import { Door } from './house/door.js';
import { HouseModule, type HouseOptions } from './house/house.module.js';
import { headers } from './network/headers.js';
import { GaugeLogsModule } from './gauge-logs/gauge-logs.module.js';
import { InstrumentsModule } from './instruments/instruments.module.js';
import { People } from './people/people.js';
import { PhotosModule } from './photos/photos.module.js';
import { bodyProblem } from './problems/body-problem.js';
import { PumpsModule } from './pumps/pumps.module.js';
import { RoundModule } from './round/round.module.js';
import { SetUpModule } from './set-up/set-up.module.js';
import { StoreModule } from './store/store.module.js';

export interface AppOptions extends Omit<HouseOptions, 'people'> {
  /** Folder of the built interface; none serves the API alone. */
  readonly webFolder?: string;
  readonly openDemoYard?: OpenDemoYard;
}

/** All features. A new one is one more line here. */
const FEATURES = [
  AboutModule,
  DoorModule,
  ChangesModule,
  RoundModule,
  PumpsModule,
  EquipmentModule,
  DiagnosisModule,
  EntriesModule,
  SetUpModule,
  EntryLogModule,
  BackupModule,
  DownloadsModule,
  PhotosModule,
  GaugeLogsModule,
  InstrumentsModule,
  StoreModule,
];

@Module({})
class AppModule {
  static of(options: AppOptions & HouseOptions): DynamicModule {
    const imports = [
      HouseModule.on(options),
      ...FEATURES,
      DemoYardModule.opening(options.openDemoYard ?? null),
      ClockHandModule.of(options.clock),
    ];
    return { module: AppModule, imports };
  }
}

/** The whole server on an open data folder, not listening yet. */
export async function createApp(options: AppOptions): Promise<INestApplication> {
  const people = await People.open(options.database.folder, options.clock);
  const app = await NestFactory.create<NestExpressApplication>(AppModule.of({ ...options, people }), {
    logger: ['error', 'warn'],
    bodyParser: false,
    ...(options.certificate ? { httpsOptions: options.certificate } : {}),
  });
  app.disable('x-powered-by');
  const page = options.webFolder ? join(options.webFolder, 'index.html') : '';
  app.use(headers(existsSync(page) ? readFileSync(page, 'utf8') : '', Boolean(options.certificate)));
  // A stream of changes says no-transform, and is left as it is: each of its lines must go out at once.
  app.use(compression());
  readBodies(app);
  let document: object | null = null;
  const door = app.get(Door);
  app.use('/api/openapi.json', (request: Request, response: Response) =>
    door.actorOf(request) ? response.json((document ??= openApi(app))) : response.status(401).end(),
  );
  if (options.webFolder && existsSync(options.webFolder)) serveWeb(app, options.webFolder);
  return app;
}

/** Bodies that are read as a whole, with their limits; long files are taken in as streams by who takes them. */
function readBodies(app: NestExpressApplication): void {
  app.use('/api/set-up/file', express.json({ limit: MAX_SET_UP_FILE_BYTES }));
  app.use(express.json({ limit: MAX_BODY_BYTES }));
  app.use(bodyProblem);
}

/** The interface: its files, a 404 for a file that is not there, and the page itself for every other address. */
function serveWeb(app: NestExpressApplication, folder: string): void {
  app.use('/assets', express.static(join(folder, 'assets'), { immutable: true, maxAge: '365d', fallthrough: false }));
  app.use(express.static(folder, { index: false }));
  app.use((request: Request, response: Response, next: NextFunction) => {
    if (!['GET', 'HEAD'].includes(request.method) || request.path.startsWith('/api')) return next();
    response.set('Cache-Control', 'no-cache').sendFile(join(folder, 'index.html'));
  });
}
