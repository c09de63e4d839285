import { Controller, Get, Header, Inject, Query, Sse, type MessageEvent } from '@nestjs/common';
import { ApiExcludeEndpoint, ApiQuery } from '@nestjs/swagger';
import type { ChangesAnswer } from '@winter-jar/contracts';
import { takeUntil, type Observable } from 'rxjs';
import { Documented } from '../api/documented.js';
import { Door } from '../house/door.js';
import { Acting } from '../house/acting.js';
import { Needs } from '../house/needs.js';
import { Sites } from '../house/sites.js';
import type { Actor } from '../journal/actor.js';
import { ChangesService } from './changes.service.js';

@Needs('read')
@Sites('sifted')
@Controller('api/changes')
export class ChangesController {
  constructor(
    @Inject(ChangesService) private readonly service: ChangesService,
    @Inject(Door) private readonly door: Door,
  ) {}

  @Get()
  @ApiQuery({ name: 'since', required: false, type: Number, description: 'The last number that was seen' })
  @ApiQuery({ name: 'epoch', required: false, type: String, description: 'The epoch that it was of' })
  @Documented({ id: 'changes', summary: 'What changed since a number of the sequence', answer: 'ChangesAnswer' })
  since(
    @Acting() actor: Actor,
    @Query('since') since?: string,
    @Query('epoch') epoch?: string,
  ): Promise<ChangesAnswer> {
    return this.service.since(actor, Number(since ?? NaN), epoch ?? null);
  }

  /** The same as server-sent events: first where the sequence stands, then each change. */
  @Sse('stream')
  @Header('Cache-Control', 'no-cache, no-transform')
  @Header('X-Accel-Buffering', 'no')
  @ApiExcludeEndpoint()
  stream(@Acting() actor: Actor): Observable<MessageEvent> {
    return this.service.stream(actor).pipe(takeUntil(this.door.endOf(actor)));
  }
}
