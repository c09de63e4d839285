import { Controller, Get, Inject, Param, Query, Res } from '@nestjs/common';
import { ApiQuery } from '@nestjs/swagger';
import type { Response } from 'express';
import type { ContainerAnswer, StoreAnswer, TraceAnswer, WasteAnswer } from '@winter-jar/contracts';
import { Documented } from '../api/documented.js';
import { Needs } from '../house/needs.js';
import { Costly } from '../problems/costly.js';
import { StoreService } from './store.service.js';

@Needs('read')
@Controller('api/store')
export class StoreController {
  constructor(@Inject(StoreService) private readonly service: StoreService) {}

  @Get()
  @Documented({ id: 'store', summary: 'The oil store: every container as it stands', answer: 'StoreAnswer' })
  shelf(): StoreAnswer {
    return this.service.shelf();
  }

  @Get('waste')
  @Documented({ id: 'waste', summary: 'What carriers took, the last first', answer: 'WasteAnswer' })
  waste(): WasteAnswer {
    return this.service.waste();
  }

  @Get('containers/:containerId')
  @ApiQuery({ name: 'before', required: false, type: String })
  @Documented({ id: 'container', summary: 'A container with a page of its entries', answer: 'ContainerAnswer' })
  container(@Param('containerId') containerId: string, @Query('before') before?: string): Promise<ContainerAnswer> {
    return this.service.container(containerId, before);
  }

  @Get('containers/:containerId/trace')
  @Costly(60)
  @Documented({
    id: 'traceOil',
    summary: 'Where the oil in a container came from, what ran while it was in pumps, and where else its lots are',
    answer: 'TraceAnswer',
  })
  trace(
    @Param('containerId') containerId: string,
    @Res({ passthrough: true }) response: Response,
  ): Promise<TraceAnswer> {
    const gone = new AbortController();
    response.once('close', () => gone.abort());
    return this.service.trace(containerId, gone.signal);
  }
}
