import { Module } from '@nestjs/common';
import { Database } from '../database/open.js';
import { GaugeLogStore } from './gauge-log-store.js';
import { GaugeLogsController } from './gauge-logs.controller.js';

@Module({
  controllers: [GaugeLogsController],
  providers: [
    {
      provide: GaugeLogStore,
      useFactory: (database: Database) => new GaugeLogStore(database.folder),
      inject: [Database],
    },
  ],
  exports: [GaugeLogStore],
})
export class GaugeLogsModule {}
