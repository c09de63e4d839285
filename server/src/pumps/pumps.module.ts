import { Module } from '@nestjs/common';
import { PumpsController } from './pumps.controller.js';
import { PumpsService } from './pumps.service.js';

@Module({
  controllers: [PumpsController],
  providers: [PumpsService],
})
export class PumpsModule {}
