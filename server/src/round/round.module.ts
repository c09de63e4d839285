import { Module } from '@nestjs/common';
import { RoundController } from './round.controller.js';
import { RoundPartsService } from './round-parts.js';
import { RoundService } from './round.service.js';

@Module({
  controllers: [RoundController],
  providers: [RoundService, RoundPartsService],
  exports: [RoundService],
})
export class RoundModule {}
