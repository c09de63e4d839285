import {
  BadRequestException,
  Body,
  Controller,
  Get,
  Header,
  HttpCode,
  Inject,
  Param,
  Post,
  Query,
  Sse,
  type MessageEvent,
} from '@nestjs/common';
import { ApiExcludeEndpoint, ApiQuery } from '@nestjs/swagger';
import type {
  InstrumentConnect,
  InstrumentsAnswer,
  ReadingsAnswer,
  ReadingsRecord,
  ReadingsRecorded,
} from '@winter-jar/contracts';
import type { Sight } from '@winter-jar/core';
import { takeUntil, type Observable } from 'rxjs';
import { Documented } from '../api/documented.js';
import { Door } from '../house/door.js';
import { Acting } from '../house/acting.js';
import { Needs } from '../house/needs.js';
import { Seeing, Sites } from '../house/sites.js';
import type { Actor } from '../journal/actor.js';
import { Costly } from '../house/costly.js';
import { InstrumentsService } from './instruments.service.js';

const LONGEST_PASSWORD = 200;

@Needs('read')
@Controller('api/instruments')
export class InstrumentsController {
  constructor(
    @Inject(InstrumentsService) private readonly service: InstrumentsService,
    @Inject(Door) private readonly door: Door,
  ) {}

  @Get()
  @Sites('sifted')
  @Documented({ id: 'instruments', summary: 'All instruments, and how each stands', answer: 'InstrumentsAnswer' })
  all(@Seeing() sight: Sight): InstrumentsAnswer {
    return this.service.all(sight);
  }

  /** Server-sent events: `readings` of the one that is asked for, ten times a second, and `instruments`, how all stand, every second. */
  @Sse('stream')
  @Sites('sifted')
  @Header('Cache-Control', 'no-cache, no-transform')
  @Header('X-Accel-Buffering', 'no')
  @ApiExcludeEndpoint()
  stream(@Acting() actor: Actor, @Query('of') of?: string): Observable<MessageEvent> {
    return this.service.stream(of ?? null, () => this.door.sightNow(actor)).pipe(takeUntil(this.door.endOf(actor)));
  }

  @Post(':id/connect')
  @HttpCode(200)
  @Needs('house')
  @Documented({
    ...{ id: 'connectInstrument', answer: 'InstrumentsAnswer', body: 'InstrumentConnect' },
    summary: 'Listen to an instrument at the address that its record says',
  })
  connect(@Param('id') id: string, @Body() body: InstrumentConnect): Promise<InstrumentsAnswer> {
    const { password = null } = body;
    if (password !== null && (typeof password !== 'string' || password.length > LONGEST_PASSWORD))
      throw new BadRequestException(`password: text of at most ${LONGEST_PASSWORD} characters, or null`);
    return this.service.connect(id, password === '' ? null : password);
  }

  @Post(':id/disconnect')
  @HttpCode(200)
  @Needs('house')
  @Documented({
    ...{ id: 'disconnectInstrument', answer: 'InstrumentsAnswer' },
    summary: 'Listen to an instrument no longer, and forget its password',
  })
  disconnect(@Param('id') id: string): Promise<InstrumentsAnswer> {
    return this.service.disconnect(id);
  }

  @Get(':id/readings/:key')
  @Sites('instrument')
  @Costly(300)
  @ApiQuery({ name: 'fromMs', type: Number })
  @ApiQuery({ name: 'toMs', type: Number })
  @Documented({ id: 'readings', summary: 'What a channel sent between two moments', answer: 'ReadingsAnswer' })
  readings(
    @Param('id') id: string,
    @Param('key') key: string,
    @Query('fromMs') fromMs?: string,
    @Query('toMs') toMs?: string,
  ): Promise<ReadingsAnswer> {
    return this.service.readings(id, key, { fromMs: Number(fromMs ?? NaN), toMs: Number(toMs ?? NaN) });
  }

  @Post(':id/record')
  @Sites('instrument')
  @Costly(60)
  @Needs('write')
  @Documented({
    ...{ id: 'recordReadings', answer: 'ReadingsRecorded', status: 201, body: 'ReadingsRecord' },
    summary: 'Keep readings as a gauge log, before the test that cites it',
  })
  record(@Acting() actor: Actor, @Param('id') id: string, @Body() body: ReadingsRecord): Promise<ReadingsRecorded> {
    const { key, fromMs, toMs } = body;
    if (typeof key !== 'string' || typeof fromMs !== 'number' || typeof toMs !== 'number')
      throw new BadRequestException('key, fromMs, toMs: the channel and two moments in milliseconds since 1970');
    return this.service.keepRecord(actor, id, { key, fromMs, toMs });
  }
}
