import { createReadStream, existsSync } from 'node:fs';
import { pipeline } from 'node:stream/promises';
import {
  BadRequestException,
  Body,
  ConflictException,
  Controller,
  Get,
  HttpCode,
  Inject,
  NotFoundException,
  Param,
  Post,
  Req,
  Res,
} from '@nestjs/common';
import { ApiConsumes, ApiParam } from '@nestjs/swagger';
import {
  IMPORT_NAMES,
  MAX_LOG_BYTES,
  type ImportName,
  type LogContents,
  type LogImportAnswer,
  type LogImportEffect,
} from '@winter-jar/contracts';
import type { Sight } from '@winter-jar/core';
import type { Request, Response } from 'express';
import { Costly } from '../house/costly.js';
import { Documented } from '../api/documented.js';
import { Acting } from '../house/acting.js';
import { Needs } from '../house/needs.js';
import { Seeing, Sites } from '../house/sites.js';
import type { Actor } from '../journal/actor.js';
import { uploadOf } from '../files/upload.js';
import { EntryLogService } from './entry-log.service.js';

const LOG_PARAM = { name: 'log', enum: [...IMPORT_NAMES] } as const;
const CSV = 'text/csv';

function known(log: string): ImportName {
  const name = IMPORT_NAMES.find((n) => n === log);
  if (!name) throw new NotFoundException(`one of the logs ${IMPORT_NAMES.join(', ')}; "${log}" is none`);
  return name;
}

const asFile = (response: Response, name: string): Response =>
  response
    .set('Content-Type', `${CSV}; charset=utf-8`)
    .set('Content-Disposition', `attachment; filename="${name}.csv"`);

@Needs('write')
@Controller('api')
export class EntryLogController {
  constructor(@Inject(EntryLogService) private readonly service: EntryLogService) {}

  @Post('logs/:log/imports')
  @Costly(60)
  @ApiParam(LOG_PARAM)
  @ApiConsumes(CSV)
  @Documented({
    id: 'beginLogImport',
    summary: 'Take a log file in and begin to read it: nothing is written before it is told to',
    answer: 'LogImportAnswer',
    status: 201,
    body: 'LogText',
  })
  async begin(@Acting() actor: Actor, @Param('log') log: string, @Req() request: Request): Promise<LogImportAnswer> {
    const name = known(log);
    return (await this.service.begin(actor, name, uploadOf(request, [CSV], MAX_LOG_BYTES))).answer();
  }

  @Get('logs/:log/contents')
  @Needs('read')
  @Sites('sifted')
  @ApiParam(LOG_PARAM)
  @Documented({ id: 'logContents', summary: 'What a log holds, by pump and month', answer: 'LogContents' })
  contents(@Seeing() sight: Sight, @Param('log') log: string): Promise<LogContents> {
    const name = known(log);
    if (name === 'notebook') throw new NotFoundException('a log that goes out too: a notebook only comes in');
    return this.service.contentsOf(sight, name);
  }

  @Get('imports/:id')
  @Documented({ id: 'logImport', summary: 'Where an import stands', answer: 'LogImportAnswer' })
  about(@Param('id') id: string): LogImportAnswer {
    return this.service.importOf(id).answer();
  }

  @Post('imports/:id/write')
  @HttpCode(202)
  @Documented({
    id: 'writeLogImport',
    summary: 'Begin to write the rows of an import that was read',
    answer: 'LogImportAnswer',
    status: 202,
    body: 'WriteLogImport',
  })
  write(@Param('id') id: string, @Body() body: { goodRowsOnly?: unknown }): LogImportAnswer {
    const job = this.service.importOf(id);
    if (typeof body?.goodRowsOnly !== 'boolean') throw new BadRequestException('goodRowsOnly: true or false');
    if (!job.write(body.goodRowsOnly))
      throw new ConflictException('an import that is ready, and with refused rows the word to take the good rows only');
    return job.answer();
  }

  @Post('imports/:id/cancel')
  @HttpCode(200)
  @Documented({
    id: 'cancelLogImport',
    summary: 'Stop an import and take back what it wrote; what is done stays',
    answer: 'LogImportAnswer',
  })
  async cancel(@Param('id') id: string): Promise<LogImportAnswer> {
    const job = this.service.importOf(id);
    await job.cancel();
    return job.answer();
  }

  @Post('imports/:id/undo')
  @HttpCode(202)
  @Documented({
    id: 'undoLogImport',
    summary: 'Begin to take back all that an import wrote, where none of it was corrected since',
    answer: 'LogImportAnswer',
    status: 202,
  })
  undo(@Param('id') id: string): LogImportAnswer {
    const job = this.service.importOf(id);
    const began = job.undo();
    if (began === 'notDone') throw new ConflictException('an import that is done and wrote something');
    if (began === 'corrected')
      throw new ConflictException('an import whose entries nobody has corrected since: take them back one by one');
    return job.answer();
  }

  @Get('imports/:id/effect')
  @Costly(120)
  @Documented({
    id: 'logImportEffect',
    summary: 'What an import that is ready would change, pump by pump, without writing it',
    answer: 'LogImportEffect',
  })
  effect(@Acting() actor: Actor, @Param('id') id: string): LogImportEffect {
    return this.service.effectOf(actor, id);
  }

  @Get('imports/:id/refused')
  @Documented({
    id: 'refusedRows',
    summary: 'The refused rows of an import with the reasons, as CSV',
    answer: 'LogText',
  })
  async refused(@Param('id') id: string, @Res() response: Response): Promise<void> {
    const { path } = this.service.importOf(id).refused;
    if (!existsSync(path)) throw new NotFoundException('an import with refused rows');
    await pipeline(createReadStream(path), asFile(response, 'refused-rows'));
  }
}
