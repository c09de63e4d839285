import { Module } from '@nestjs/common';
import { EntriesController } from './entries.controller.js';
import { UnsettledController } from './unsettled.controller.js';
import { UntoldController } from './untold.controller.js';
import { EffectService } from '../effect/effect.service.js';

@Module({
  controllers: [EntriesController, UnsettledController, UntoldController],
  providers: [EffectService],
})
export class EntriesModule {}
