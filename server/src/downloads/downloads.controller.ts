import { BadRequestException, Body, Controller, Get, HttpCode, Inject, Param, Post, Req, Res } from '@nestjs/common';
import { DOWNLOAD_NAMES, type DownloadAnswer } from '@winter-jar/contracts';
import type { Request, Response } from 'express';
import { Documented } from '../api/documented.js';
import { Acting } from '../house/acting.js';
import { Needs } from '../house/needs.js';
import { Sites } from '../house/sites.js';
import type { Actor } from '../journal/actor.js';
import { Costly } from '../house/costly.js';
import { Door } from '../house/door.js';
import { DownloadsService } from './downloads.service.js';

/** Begun by a POST, which no foreign page can send, and fetched from an address that none can know. */
@Needs('read')
@Sites('sifted')
@Controller('api/downloads')
export class DownloadsController {
  constructor(
    @Inject(DownloadsService) private readonly service: DownloadsService,
    @Inject(Door) private readonly door: Door,
  ) {}

  @Post()
  @Costly(30)
  @HttpCode(202)
  @Documented({
    id: 'beginDownload',
    summary: 'Begin to make a file: a backup, everything as JSON lines, or a log as CSV',
    answer: 'DownloadAnswer',
    status: 202,
    body: 'DownloadPost',
  })
  async begin(@Acting() actor: Actor, @Body() body: { what?: unknown }): Promise<DownloadAnswer> {
    const what = DOWNLOAD_NAMES.find((name) => name === body?.what);
    if (!what) throw new BadRequestException(`what: one of ${DOWNLOAD_NAMES.join(', ')}`);
    const begun = this.service.begin(actor, what);
    await this.door.note(actor, 'fileMade', { detail: what });
    return begun;
  }

  @Get(':id')
  @Documented({ id: 'download', summary: 'How far a file is', answer: 'DownloadAnswer' })
  about(@Param('id') id: string): DownloadAnswer {
    return this.service.answer(id);
  }

  @Post(':id/stop')
  @HttpCode(200)
  @Documented({ id: 'stopDownload', summary: 'Stop making a file, or drop it', answer: 'DownloadAnswer' })
  stop(@Param('id') id: string): Promise<DownloadAnswer> {
    return this.service.drop(id);
  }

  @Get(':id/file')
  @Documented({ id: 'downloadedFile', summary: 'The file, once', answer: 'Download' })
  async file(@Param('id') id: string, @Req() request: Request, @Res() response: Response): Promise<void> {
    const { answer, type, give } = this.service.open(id);
    response.set({
      'Content-Type': type,
      'Content-Length': String(answer.bytes),
      'Content-Disposition': `attachment; filename="${answer.fileName}"`,
      // As it is: its length is known, and whoever fetches it sees how far it is.
      'Cache-Control': 'no-store, no-transform',
    });
    if (request.method === 'HEAD') response.end();
    else await give(response);
  }
}
