import { Module } from '@nestjs/common';
import { EntriesController } from './entries.controller.js';
import { EffectService } from '../effect/effect.service.js';

@Module({
  controllers: [EntriesController],
  providers: [EffectService],
})
export class EntriesModule {}
