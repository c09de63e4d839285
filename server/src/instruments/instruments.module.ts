import { Module } from '@nestjs/common';
import { GaugeLogsModule } from '../gauge-logs/gauge-logs.module.js';
import { InstrumentsController } from './instruments.controller.js';
import { InstrumentsService } from './instruments.service.js';

@Module({
  imports: [GaugeLogsModule],
  controllers: [InstrumentsController],
  providers: [InstrumentsService],
})
export class InstrumentsModule {}
