import { Module } from '@nestjs/common';
import { SetUpController } from './set-up.controller.js';
import { SetUpService } from './set-up.service.js';
import { SetUpFileService } from './set-up-file.service.js';
import { EffectService } from '../effect/effect.service.js';

@Module({
  controllers: [SetUpController],
  providers: [SetUpService, SetUpFileService, EffectService],
})
export class SetUpModule {}
