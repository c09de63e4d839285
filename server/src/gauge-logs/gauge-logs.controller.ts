import { BadRequestException, Controller, Get, Inject, NotFoundException, Param, Post, Req, Res } from '@nestjs/common';
import { ApiConsumes } from '@nestjs/swagger';
import type { GaugeLogKept } from '@winter-jar/contracts';
import type { Request, Response } from 'express';
import type { Sight } from '@winter-jar/core';
import { Documented } from '../api/documented.js';
import { FILE_KINDS } from '../files/kept-files.js';
import { uploadOf } from '../files/upload.js';
import { Acting } from '../house/acting.js';
import { Needs } from '../house/needs.js';
import { SeenFiles } from '../house/seen-files.js';
import { Seeing, Sites } from '../house/sites.js';
import type { Actor } from '../journal/actor.js';
import { JournalWriter } from '../journal/journal-writer.js';
import { Costly } from '../house/costly.js';
import { GaugeLogStore } from './gauge-log-store.js';

@Needs('read')
@Sites('sifted')
@Controller('api/gauge-logs')
export class GaugeLogsController {
  constructor(
    @Inject(GaugeLogStore) private readonly store: GaugeLogStore,
    @Inject(JournalWriter) private readonly writer: JournalWriter,
    @Inject(SeenFiles) private readonly seen: SeenFiles,
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
  whole(@Seeing() sight: Sight, @Param('logId') logId: string, @Res() response: Response): void {
    const right = 'the id of a gauge log that is kept here';
    this.seen.mustSee(sight, logId, right);
    const path = this.store.pathOf(logId);
    if (path === null) throw new NotFoundException(right);
    // Whatever stands in it, no browser shows it as a page.
    response
      .set('Cache-Control', 'private, max-age=31536000, immutable')
      .set('Content-Type', 'text/plain')
      .set('Content-Disposition', `attachment; filename="gauge-log-${logId.slice(0, 8)}.txt"`)
      .sendFile(path, { dotfiles: 'allow' });
  }
}
