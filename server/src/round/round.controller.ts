import { Controller, Get, Inject } from '@nestjs/common';
import type { RoundAnswer } from '@winter-jar/contracts';
import { Documented } from '../api/documented.js';
import { Needs } from '../house/needs.js';
import { RoundService } from './round.service.js';

@Needs('read')
@Controller('api/round')
export class RoundController {
  constructor(@Inject(RoundService) private readonly service: RoundService) {}

  @Get()
  @Documented({ id: 'round', summary: 'All pumps as they stand now, what needs hands first', answer: 'RoundAnswer' })
  round(): RoundAnswer {
    return this.service.round();
  }
}
