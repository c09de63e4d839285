import { Module } from '@nestjs/common';
import { DiagnosisController } from './diagnosis.controller.js';
import { DiagnosisService } from './diagnosis.service.js';
import { SuspectsService } from './suspects.service.js';

@Module({
  controllers: [DiagnosisController],
  providers: [DiagnosisService, SuspectsService],
})
export class DiagnosisModule {}
