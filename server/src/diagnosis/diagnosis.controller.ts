import { BadRequestException, Controller, Get, Inject, Param, Query, Res } from '@nestjs/common';
import { ApiQuery } from '@nestjs/swagger';
import type { Response } from 'express';
import type { CaseAnswer, DiagnosisAnswer, SuspectsAnswer } from '@winter-jar/contracts';
import type { Sight } from '@winter-jar/core';
import { Costly } from '../house/costly.js';
import { Documented } from '../api/documented.js';
import { Needs } from '../house/needs.js';
import { Seeing, Sites } from '../house/sites.js';
import { DiagnosisService } from './diagnosis.service.js';
import { SuspectsService } from './suspects.service.js';

/** A minute that a line waits may count as many minutes of work. */
const MAX_STOP_WEIGHT = 100;

@Needs('read')
@Controller('api')
export class DiagnosisController {
  constructor(
    @Inject(DiagnosisService) private readonly service: DiagnosisService,
    @Inject(SuspectsService) private readonly suspectsService: SuspectsService,
  ) {}

  @Sites('pump')
  @Get('pumps/:pumpId/diagnosis')
  @ApiQuery({ name: 'stopWeight', required: false, type: Number })
  @Documented({
    id: 'diagnosis',
    summary: 'What may be wrong with a pump: evidence, causes with the sums behind them, the tests that tell most',
    answer: 'DiagnosisAnswer',
  })
  diagnosis(@Param('pumpId') pumpId: string, @Query('stopWeight') stopWeight = '1'): Promise<DiagnosisAnswer> {
    const weight = Number(stopWeight);
    if (!(weight >= 0 && weight <= MAX_STOP_WEIGHT))
      throw new BadRequestException(`stopWeight: a number from 0 to ${MAX_STOP_WEIGHT}; "${stopWeight}" is none`);
    return this.service.diagnosis(pumpId, weight);
  }

  @Sites('sifted')
  @Get('suspects')
  @Costly(60)
  @Documented({
    id: 'suspects',
    summary: 'Which materials go with dark oil and with water in this house, over the last year',
    answer: 'SuspectsAnswer',
  })
  suspects(@Seeing() sight: Sight, @Res({ passthrough: true }) response: Response): Promise<SuspectsAnswer> {
    const gone = new AbortController();
    response.once('close', () => gone.abort());
    return this.suspectsService.suspects(sight, gone.signal);
  }

  @Sites('sifted')
  @Get('cases/:caseId')
  @Documented({ id: 'caseInFull', summary: 'A case with all that was written while it was open', answer: 'CaseAnswer' })
  caseInFull(@Seeing() sight: Sight, @Param('caseId') caseId: string): Promise<CaseAnswer> {
    return this.service.caseInFull(sight, caseId);
  }
}
