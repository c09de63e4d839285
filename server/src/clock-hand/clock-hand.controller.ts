import { BadRequestException, Body, Controller, HttpCode, Inject, Post } from '@nestjs/common';
import { ApiExcludeController } from '@nestjs/swagger';
import { isoNow } from '../clock/clock.js';
import { MovableClock } from '../clock/movable-clock.js';
import { Needs } from '../house/needs.js';

/** Moves the server's clock. Only a server that was started for tests has it, see main.ts. */
@Needs('keep')
@ApiExcludeController()
@Controller('api/clock')
export class ClockHandController {
  constructor(@Inject(MovableClock) private readonly clock: MovableClock) {}

  @Post()
  @HttpCode(200)
  move(@Body() body: { now?: unknown }): { now: string } {
    const nowMs = typeof body?.now === 'string' ? Date.parse(body.now) : NaN;
    if (!Number.isFinite(nowMs)) throw new BadRequestException('now: an instant such as 2031-03-09T12:00:00.000Z');
    this.clock.moveTo(nowMs);
    return { now: isoNow(this.clock) };
  }
}
