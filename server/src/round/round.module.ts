import { Module } from '@nestjs/common';
import { RoundController } from './round.controller.js';
import { RoundService } from './round.service.js';

@Module({
  controllers: [RoundController],
  providers: [RoundService],
  exports: [RoundService],
})
export class RoundModule {}
