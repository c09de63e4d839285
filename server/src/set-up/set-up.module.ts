import { Module } from '@nestjs/common';
import { SetUpController } from './set-up.controller.js';
import { SetUpService } from './set-up.service.js';
import { SetUpFileService } from './set-up-file.service.js';
import { SetUpEffectsService } from '../effect/set-up-effects.service.js';

@Module({
  controllers: [SetUpController],
  providers: [SetUpService, SetUpFileService, SetUpEffectsService],
})
export class SetUpModule {}
