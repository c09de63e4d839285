import { createReadStream, statSync } from 'node:fs';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { Body, Controller, Get, HttpCode, Inject, Post, Req, Res, StreamableFile } from '@nestjs/common';
import { ApiConsumes } from '@nestjs/swagger';
import {
  MAX_BACKUP_BYTES,
  type JournalFileResult,
  type KeptAnswer,
  type RestoreCheck,
  type RestoreResult,
} from '@winter-jar/contracts';
import type { Request, Response } from 'express';
import { Documented } from '../api/documented.js';
import { Acting, Needs } from '../house/needs.js';
import type { Actor } from '../journal/actor.js';
import { Database } from '../database/open.js';
import { CLOCK, isoNow, type Clock } from '../clock/clock.js';
import { BackupService, stampOf } from './backup.service.js';
import { keptDataIn } from './kept-data.js';
import { JournalFileService } from './journal-file.service.js';
import { uploadOf } from '../files/upload.js';
import { dropWorkFolder } from '../files/work-folder.js';

@Needs('keep')
@Controller('api')
export class BackupController {
  constructor(
    @Inject(CLOCK) private readonly clock: Clock,
    @Inject(Database) private readonly database: Database,
    @Inject(BackupService) private readonly backup: BackupService,
    @Inject(JournalFileService) private readonly journal: JournalFileService,
  ) {}

  @Get('backup')
  @Documented({ id: 'makeBackup', summary: 'The whole data folder as one checked file', answer: 'Download' })
  async make(@Res() response: Response): Promise<void> {
    const { archive, folder, name } = await this.backup.make();
    try {
      response.set({
        'Content-Type': 'application/gzip',
        'Content-Length': String(statSync(archive).size),
        'Content-Disposition': `attachment; filename="${name}"`,
      });
      await pipeline(createReadStream(archive), response);
    } finally {
      dropWorkFolder(folder);
    }
  }

  @Post('restore/check')
  @HttpCode(200)
  @ApiConsumes('application/gzip')
  @Documented({
    id: 'checkBackup',
    summary: 'Upload a backup and see what is in it',
    answer: 'RestoreCheck',
    body: 'Download',
  })
  check(@Req() request: Request): Promise<RestoreCheck> {
    return this.backup.check(uploadOf(request, ['application/gzip'], MAX_BACKUP_BYTES));
  }

  @Post('restore')
  @HttpCode(200)
  @Documented({
    id: 'restore',
    summary: 'Put a checked backup in place; what stood there is kept',
    answer: 'RestoreResult',
    body: 'RestorePost',
  })
  restore(@Body() body: { uploadId?: unknown }): Promise<RestoreResult> {
    return this.backup.restore(typeof body?.uploadId === 'string' ? body.uploadId : '');
  }

  @Get('kept')
  @Documented({ id: 'keptData', summary: 'Data that a restore has taken the place of', answer: 'KeptAnswer' })
  kept(): KeptAnswer {
    return { kept: keptDataIn(this.database.folder) };
  }

  @Post('kept/check')
  @HttpCode(200)
  @Documented({
    id: 'checkKept',
    summary: 'Look at data that are kept here, to put them back',
    answer: 'RestoreCheck',
    body: 'KeptPost',
  })
  checkKept(@Body() body: { name?: unknown }): Promise<RestoreCheck> {
    return this.backup.checkKept(typeof body?.name === 'string' ? body.name : '');
  }

  @Get('journal')
  @Documented({ id: 'exportJournal', summary: 'Everything ever written, as JSON lines', answer: 'Download' })
  export(): StreamableFile {
    return new StreamableFile(Readable.from(this.journal.lines()), {
      type: 'application/x-ndjson',
      disposition: `attachment; filename="winter-jar-${stampOf(isoNow(this.clock))}.jsonl"`,
    });
  }

  @Post('journal')
  @HttpCode(200)
  @ApiConsumes('application/x-ndjson')
  @Documented({
    id: 'importJournal',
    summary: 'Take in everything from JSON lines, into an empty data folder',
    answer: 'JournalFileResult',
    body: 'Download',
  })
  import(@Acting() actor: Actor, @Req() request: Request): Promise<JournalFileResult> {
    return this.journal.import(actor, uploadOf(request, ['application/x-ndjson'], MAX_BACKUP_BYTES));
  }
}
