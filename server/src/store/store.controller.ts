import { BadRequestException, Controller, Get, Inject, Param, Query, Res } from '@nestjs/common';
import { ApiQuery } from '@nestjs/swagger';
import type { Response } from 'express';
import type { ContainerAnswer, StoreAnswer, StoreCostAnswer, TraceAnswer, WasteAnswer } from '@winter-jar/contracts';
import type { Sight } from '@winter-jar/core';
import { Documented } from '../api/documented.js';
import { Needs } from '../house/needs.js';
import { Seeing, Sites } from '../house/sites.js';
import { Costly } from '../house/costly.js';
import { StoreService } from './store.service.js';

const MOST_DAYS = 3660;

/** Whoever asked has gone. */
function goneOf(response: Response): AbortSignal {
  const gone = new AbortController();
  response.once('close', () => gone.abort());
  return gone.signal;
}

@Needs('read')
@Controller('api/store')
export class StoreController {
  constructor(@Inject(StoreService) private readonly service: StoreService) {}

  @Get()
  @Sites('sifted')
  @Documented({ id: 'store', summary: 'The oil store: every container as it stands', answer: 'StoreAnswer' })
  shelf(@Seeing() sight: Sight): StoreAnswer {
    return this.service.shelf(sight);
  }

  @Get('waste')
  @Sites('sifted')
  @Documented({ id: 'waste', summary: 'What carriers took, the last first', answer: 'WasteAnswer' })
  waste(@Seeing() sight: Sight): WasteAnswer {
    return this.service.waste(sight);
  }

  @Get('cost')
  @Costly(60)
  @ApiQuery({ name: 'days', required: false, type: Number })
  @Documented({
    id: 'storeCost',
    summary: 'Where the oil of some days went, what it cost by either school, and how long the stock lasts',
    answer: 'StoreCostAnswer',
  })
  cost(@Res({ passthrough: true }) response: Response, @Query('days') days = '90'): Promise<StoreCostAnswer> {
    const asked = Number(days);
    if (!(Number.isInteger(asked) && asked >= 1 && asked <= MOST_DAYS))
      throw new BadRequestException(`days: a whole number from 1 to ${MOST_DAYS}; "${days}" is none`);
    return this.service.cost(asked, goneOf(response));
  }

  @Get('containers/:containerId')
  @Sites('container')
  @ApiQuery({ name: 'before', required: false, type: String })
  @Documented({ id: 'container', summary: 'A container with a page of its entries', answer: 'ContainerAnswer' })
  container(
    @Seeing() sight: Sight,
    @Param('containerId') containerId: string,
    @Query('before') before?: string,
  ): Promise<ContainerAnswer> {
    return this.service.container(sight, containerId, before);
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
    return this.service.trace(containerId, goneOf(response));
  }
}
