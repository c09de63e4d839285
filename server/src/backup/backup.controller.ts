import { Body, Controller, Get, HttpCode, Inject, Post, Req } from '@nestjs/common';
import { ApiConsumes } from '@nestjs/swagger';
import {
  MAX_BACKUP_BYTES,
  type JournalFileResult,
  type KeptAnswer,
  type RestoreCheck,
  type RestoreProgress,
  type RestoreResult,
} from '@winter-jar/contracts';
import type { Request } from 'express';
import { Costly } from '../house/costly.js';
import { Documented } from '../api/documented.js';
import { Door } from '../house/door.js';
import { Acting } from '../house/acting.js';
import { Needs } from '../house/needs.js';
import type { Actor } from '../journal/actor.js';
import { Database } from '../database/open.js';
import { BackupService } from './backup.service.js';
import { keptDataIn } from './kept-data.js';
import { JournalFileService } from './journal-file.service.js';
import { uploadOf } from '../files/upload.js';

@Needs('keep')
@Controller('api')
export class BackupController {
  constructor(
    @Inject(Database) private readonly database: Database,
    @Inject(BackupService) private readonly backup: BackupService,
    @Inject(JournalFileService) private readonly journal: JournalFileService,
    @Inject(Door) private readonly door: Door,
  ) {}

  @Post('restore/check')
  @Costly(60)
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

  @Get('restore/check')
  @Documented({ id: 'restoreProgress', summary: 'How far the check of a backup is', answer: 'RestoreProgress' })
  progress(): RestoreProgress {
    return { progress: this.backup.progress };
  }

  @Post('restore/check/stop')
  @HttpCode(200)
  @Documented({ id: 'stopCheck', summary: 'Stop the check of a backup', answer: 'RestoreProgress' })
  stop(): RestoreProgress {
    this.backup.stopCheck();
    return { progress: null };
  }

  @Post('restore')
  @HttpCode(200)
  @Documented({
    id: 'restore',
    summary: 'Put a checked backup in place; what stood there is kept',
    answer: 'RestoreResult',
    body: 'RestorePost',
  })
  async restore(@Acting() actor: Actor, @Body() body: { uploadId?: unknown }): Promise<RestoreResult> {
    const restored = await this.backup.restore(typeof body?.uploadId === 'string' ? body.uploadId : '');
    await this.door.note(actor, 'restored');
    return restored;
  }

  @Get('kept')
  @Documented({ id: 'keptData', summary: 'Data that a restore has taken the place of', answer: 'KeptAnswer' })
  kept(): KeptAnswer {
    return { kept: keptDataIn(this.database.folder) };
  }

  @Post('kept/check')
  @Costly(60)
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

  @Post('journal')
  @Costly(60)
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
