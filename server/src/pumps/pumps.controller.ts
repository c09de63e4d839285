import { Controller, Get, Inject, Param, Query } from '@nestjs/common';
import { ApiQuery } from '@nestjs/swagger';
import type {
  EntryHistory,
  JobAnswer,
  JournalPage,
  OilStory,
  PumpPage,
  ServiceTimes,
  StepTimes,
  TakenBack,
  WaterAnswer,
} from '@winter-jar/contracts';
import type { Sight } from '@winter-jar/core';
import { Documented } from '../api/documented.js';
import { Needs } from '../house/needs.js';
import { Seeing, Sites } from '../house/sites.js';
import { PumpsService } from './pumps.service.js';

@Needs('read')
@Controller('api')
export class PumpsController {
  constructor(@Inject(PumpsService) private readonly service: PumpsService) {}

  @Sites('pump')
  @Get('pumps/:pumpId')
  @Documented({ id: 'pump', summary: 'A pump with its state, limits, tasks and earlier charges', answer: 'PumpPage' })
  pump(@Seeing() sight: Sight, @Param('pumpId') pumpId: string): Promise<PumpPage> {
    return this.service.page(sight, pumpId);
  }

  @Sites('pump')
  @Get('pumps/:pumpId/oil-story')
  @Documented({
    id: 'oilStory',
    summary: 'The pump’s charges as its looks tell them, and their trends',
    answer: 'OilStory',
  })
  oilStory(@Param('pumpId') pumpId: string): Promise<OilStory> {
    return this.service.oilStory(pumpId);
  }

  @Sites('pump')
  @Get('pumps/:pumpId/water')
  @Documented({
    id: 'water',
    summary: 'The water of the present charge: expected by its runs, found, unexplained, and the trap’s factor',
    answer: 'WaterAnswer',
  })
  water(@Param('pumpId') pumpId: string): Promise<WaterAnswer> {
    return this.service.water(pumpId);
  }

  @Sites('pump')
  @Get('pumps/:pumpId/journal')
  @ApiQuery({ name: 'before', required: false, type: String })
  @ApiQuery({ name: 'kinds', required: false, type: String, description: 'parted by commas; all when left out' })
  @Documented({ id: 'journal', summary: 'A page of the pump’s entries, newest first', answer: 'JournalPage' })
  journal(
    @Seeing() sight: Sight,
    @Param('pumpId') pumpId: string,
    @Query('before') before?: string,
    @Query('kinds') kinds?: string,
  ): Promise<JournalPage> {
    return this.service.journal(sight, pumpId, { before, kinds });
  }

  @Sites('pump')
  @Get('pumps/:pumpId/taken-back')
  @Documented({ id: 'takenBack', summary: 'Entries of the pump that were taken back last', answer: 'TakenBack' })
  takenBack(@Seeing() sight: Sight, @Param('pumpId') pumpId: string): TakenBack {
    return this.service.takenBack(sight, pumpId);
  }

  @Sites('pump')
  @Get('pumps/:pumpId/jobs/:jobId')
  @Documented({
    id: 'job',
    summary: 'A service of the pump, under way or ended, with all its entries',
    answer: 'JobAnswer',
  })
  job(@Seeing() sight: Sight, @Param('pumpId') pumpId: string, @Param('jobId') jobId: string): Promise<JobAnswer> {
    return this.service.job(sight, pumpId, jobId);
  }

  @Sites('same')
  @Get('service-times')
  @Documented({
    id: 'serviceTimes',
    summary: 'How long services took here, by procedure, model and kind of people',
    answer: 'ServiceTimes',
  })
  serviceTimes(): ServiceTimes {
    return this.service.serviceTimes();
  }

  @Sites('same')
  @Get('service-times/:procedure/:modelId')
  @Documented({
    id: 'stepTimes',
    summary: 'How long each step of a service took here at a model',
    answer: 'StepTimes',
  })
  stepTimes(@Param('procedure') procedure: string, @Param('modelId') modelId: string): Promise<StepTimes> {
    return this.service.stepTimes(procedure, modelId);
  }

  @Sites('sifted')
  @Get('entries/:entryId')
  @Documented({ id: 'entry', summary: 'An entry with all its corrections', answer: 'EntryHistory' })
  entry(@Seeing() sight: Sight, @Param('entryId') entryId: string): Promise<EntryHistory> {
    return this.service.history(sight, entryId);
  }
}
