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
import { LOG_NAMES, MAX_LOG_BYTES, type LogImportAnswer, type LogName } from '@winter-jar/contracts';
import type { Request, Response } from 'express';
import { Costly } from '../problems/costly.js';
import { Documented } from '../api/documented.js';
import { Acting, Needs } from '../house/needs.js';
import type { Actor } from '../journal/actor.js';
import { uploadOf } from '../files/upload.js';
import { EntryLogService } from './entry-log.service.js';

const LOG_PARAM = { name: 'log', enum: [...LOG_NAMES] } as const;
const CSV = 'text/csv';

function known(log: string): LogName {
  const name = LOG_NAMES.find((n) => n === log);
  if (!name) throw new NotFoundException(`one of the logs ${LOG_NAMES.join(', ')}; "${log}" is none`);
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
