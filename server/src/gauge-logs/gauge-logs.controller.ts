import { BadRequestException, Controller, Get, Inject, NotFoundException, Param, Post, Req, Res } from '@nestjs/common';
import { ApiConsumes } from '@nestjs/swagger';
import type { GaugeLogKept } from '@winter-jar/contracts';
import type { Request, Response } from 'express';
import { Documented } from '../api/documented.js';
import { FILE_KINDS } from '../files/kept-files.js';
import { uploadOf } from '../files/upload.js';
import { Acting, Needs } from '../house/needs.js';
import type { Actor } from '../journal/actor.js';
import { JournalWriter } from '../journal/journal-writer.js';
import { Costly } from '../house/costly.js';
import { GaugeLogStore } from './gauge-log-store.js';

@Needs('read')
@Controller('api/gauge-logs')
export class GaugeLogsController {
  constructor(
    @Inject(GaugeLogStore) private readonly store: GaugeLogStore,
    @Inject(JournalWriter) private readonly writer: JournalWriter,
  ) {}

  @Post()
  @Costly(120)
  @Needs('write')
  @ApiConsumes('text/csv')
  @Documented({
    id: 'keepGaugeLog',
    summary: 'Keep a gauge log as it came, before the test that cites it',
    answer: 'GaugeLogKept',
    body: 'GaugeLogBytes',
  })
  async keep(@Acting() actor: Actor, @Req() request: Request): Promise<GaugeLogKept> {
    const { types, maxBytes } = FILE_KINDS.gaugeLog;
    const kept = await this.store.keep(uploadOf(request, types, maxBytes));
    if (!kept.ok) throw new BadRequestException({ message: kept.issue.right, issues: [kept.issue] });
    this.writer.noteFile(actor);
    return kept.log;
  }

  @Get(':logId')
  @Documented({ id: 'gaugeLog', summary: 'A gauge log, as it came', answer: 'GaugeLogBytes' })
  whole(@Param('logId') logId: string, @Res() response: Response): void {
    const path = this.store.pathOf(logId);
    if (path === null) throw new NotFoundException('the id of a gauge log that is kept here');
    // Whatever stands in it, no browser shows it as a page.
    response
      .set('Cache-Control', 'private, max-age=31536000, immutable')
      .set('Content-Type', 'text/plain')
      .set('Content-Disposition', `attachment; filename="gauge-log-${logId.slice(0, 8)}.txt"`)
      .sendFile(path, { dotfiles: 'allow' });
  }
}
