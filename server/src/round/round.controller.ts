import { Controller, Get, Inject, Query } from '@nestjs/common';
import { ApiQuery } from '@nestjs/swagger';
import type { RoundParts } from '@winter-jar/contracts';
import type { Sight } from '@winter-jar/core';
import { Documented } from '../api/documented.js';
import { Needs } from '../house/needs.js';
import { Seeing, Sites } from '../house/sites.js';
import { RoundPartsService } from './round-parts.js';
import { RoundService } from './round.service.js';

@Needs('read')
@Sites('sifted')
@Controller('api/round')
export class RoundController {
  constructor(
    @Inject(RoundService) private readonly service: RoundService,
    @Inject(RoundPartsService) private readonly parts: RoundPartsService,
  ) {}

  @Get()
  @ApiQuery({ name: 'held', required: false, description: 'Tag of the last answer: only other rows are sent' })
  @Documented({ id: 'round', summary: 'All pumps as they stand now, what needs hands first', answer: 'RoundParts' })
  round(@Seeing() sight: Sight, @Query('held') held?: unknown): RoundParts {
    return this.parts.of(this.service.round(sight), typeof held === 'string' ? held : undefined);
  }
}
