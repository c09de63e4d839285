import { Module } from '@nestjs/common';
import { EffectService } from '../effect/effect.service.js';
import { EntryLogController } from './entry-log.controller.js';
import { EntryLogService } from './entry-log.service.js';

@Module({
  controllers: [EntryLogController],
  providers: [EffectService, EntryLogService],
  exports: [EntryLogService],
})
export class EntryLogModule {}
