import { Body, Controller, Get, HttpCode, Inject, NotFoundException, Param, Post, Query, Res } from '@nestjs/common';
import { ApiConsumes, ApiParam, ApiQuery } from '@nestjs/swagger';
import { LOG_NAMES, type LogName, type LogPreview, type LogResult } from '@winter-jar/contracts';
import type { Response } from 'express';
import { Documented } from '../api/documented.js';
import { EntryLogService } from './entry-log.service.js';

const asText = (body: unknown): string => (typeof body === 'string' ? body : '');
const LOG_PARAM = { name: 'log', enum: [...LOG_NAMES] } as const;

function known(log: string): LogName {
  const name = LOG_NAMES.find((n) => n === log);
  if (!name) throw new NotFoundException(`one of the logs ${LOG_NAMES.join(', ')}; "${log}" is none`);
  return name;
}

@Controller('api/logs')
export class EntryLogController {
  constructor(@Inject(EntryLogService) private readonly service: EntryLogService) {}

  @Post(':log/preview')
  @HttpCode(200)
  @ApiParam(LOG_PARAM)
  @ApiConsumes('text/csv')
  @Documented({
    id: 'previewLog',
    summary: 'What an import would do, row by row',
    answer: 'LogPreview',
    body: 'LogText',
  })
  preview(@Param('log') log: string, @Body() body: unknown): Promise<LogPreview> {
    return this.service.preview(known(log), asText(body));
  }

  @Post(':log')
  @HttpCode(200)
  @ApiParam(LOG_PARAM)
  @ApiConsumes('text/csv')
  @ApiQuery({ name: 'goodRowsOnly', required: true, enum: ['yes', 'no'] })
  @Documented({
    id: 'importLog',
    summary: 'Import a log: all rows, or only the good ones',
    answer: 'LogResult',
    body: 'LogText',
  })
  import(
    @Param('log') log: string,
    @Body() body: unknown,
    @Query('goodRowsOnly') goodRowsOnly: string,
  ): Promise<LogResult> {
    return this.service.import(known(log), asText(body), goodRowsOnly === 'yes');
  }

  @Get(':log')
  @ApiParam(LOG_PARAM)
  @Documented({ id: 'exportLog', summary: 'All runs or looks that count, as CSV', answer: 'LogText' })
  export(@Param('log') log: string, @Res() response: Response): void {
    const name = known(log);
    response
      .set('Content-Type', 'text/csv; charset=utf-8')
      .set('Content-Disposition', `attachment; filename="${name}.csv"`)
      .send(this.service.export(name));
  }
}
