import { Module } from '@nestjs/common';
import { EntryLogController } from './entry-log.controller.js';
import { EntryLogService } from './entry-log.service.js';

@Module({
  controllers: [EntryLogController],
  providers: [EntryLogService],
  exports: [EntryLogService],
})
export class EntryLogModule {}
