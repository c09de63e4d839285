import {
  BadRequestException,
  Body,
  Controller,
  Get,
  Header,
  Headers,
  HttpCode,
  Inject,
  Param,
  Post,
  PreconditionFailedException,
  Query,
} from '@nestjs/common';
import { ApiHeader, ApiQuery } from '@nestjs/swagger';
import type {
  FieldIssue,
  RecordHistory,
  SetUpAnswer,
  SetUpEffect,
  SetUpFile,
  SetUpFilePreview,
  SetUpFileResult,
  SetUpPosted,
  SetUpRemoved,
} from '@winter-jar/contracts';
import { rightsOfRecord, SET_UP_KINDS, type SetUpVersion, type Sight } from '@winter-jar/core';
import { Costly } from '../house/costly.js';
import { Documented } from '../api/documented.js';
import { Acting } from '../house/acting.js';
import { mustMay, Needs } from '../house/needs.js';
import { Seeing, Sites } from '../house/sites.js';
import { sightOf, type Actor } from '../journal/actor.js';
import { SetUpEffectsService } from '../effect/set-up-effects.service.js';
import { CHANGED_MEANWHILE } from '../journal/set-up-bearing.js';
import type { RecordName } from '../journal/set-up-store.js';
import { CLOCK, type Clock } from '../clock/clock.js';
import { checkVersions } from './check-versions.js';
import { SetUpFileService } from './set-up-file.service.js';
import { SetUpService } from './set-up.service.js';
import setUpSchema from './set-up.schema.json' with { type: 'json' };

/** `If-Match: "17"` → 17; null without the header. */
function tagOf(header: string | undefined): number | null {
  const match = /^"?(\d+)"?$/.exec(header ?? '');
  return match ? Number(match[1]) : null;
}

@Needs('read')
@Controller('api/set-up')
export class SetUpController {
  constructor(
    @Inject(CLOCK) private readonly clock: Clock,
    @Inject(SetUpService) private readonly service: SetUpService,
    @Inject(SetUpFileService) private readonly file: SetUpFileService,
    @Inject(SetUpEffectsService) private readonly effects: SetUpEffectsService,
  ) {}

  @Get()
  @Sites('sifted')
  @Documented({ id: 'setUp', summary: 'All records of the set-up in force now', answer: 'SetUpAnswer' })
  setUp(@Seeing() sight: Sight): SetUpAnswer {
    return this.service.inForce(sight);
  }

  @Get('records/:kind/:id')
  @Sites('sifted')
  @Documented({ id: 'record', summary: 'A record with all its versions', answer: 'RecordHistory' })
  record(@Seeing() sight: Sight, @Param('kind') kind: string, @Param('id') id: string): Promise<RecordHistory> {
    return this.service.history(sight, kind, id);
  }

  @Post()
  @Needs('setUp')
  @Sites('sifted')
  @ApiHeader({ name: 'if-match', required: false, description: 'The tag of the set-up that the editor saw' })
  @Documented({
    id: 'postSetUp',
    summary: 'Add versions to the set-up, all or none',
    answer: 'SetUpPosted',
    status: 201,
    body: 'SetUpPost',
  })
  async post(@Acting() actor: Actor, @Body() body: unknown, @Headers('if-match') tag?: string): Promise<SetUpPosted> {
    const versions = this.checked(body);
    this.mustMayChange(actor, versions);
    const issues = await this.service.write(actor, versions, tagOf(tag));
    if (issues.some((i) => i.code === CHANGED_MEANWHILE))
      throw new PreconditionFailedException({ message: issues[0]?.right, issues });
    if (issues.length > 0) throw refused(issues);
    return { written: versions.length, issues: [] };
  }

  @Post('preview')
  @Sites('sifted')
  @Costly(600)
  @Needs('setUp')
  @HttpCode(200)
  @Documented({
    id: 'previewSetUp',
    summary: 'What versions would change, without writing them: the whole, or what was found so far',
    answer: 'SetUpEffect',
    body: 'SetUpPost',
  })
  preview(@Acting() actor: Actor, @Body() body: unknown): Promise<SetUpEffect> {
    const versions = this.checked(body);
    this.mustMayChange(actor, versions);
    return this.effects.begin(versions);
  }

  @Post('remove')
  @Sites('sifted')
  @Costly(120)
  @Needs('setUp')
  @HttpCode(200)
  @Documented({
    id: 'removeSetUp',
    summary: 'Take records out that nothing names, all or none; a pump with its take-over',
    answer: 'SetUpRemoved',
    body: 'SetUpRemove',
  })
  async remove(@Acting() actor: Actor, @Body() body: unknown): Promise<SetUpRemoved> {
    const records = recordsIn(body);
    this.mustMayChange(actor, records);
    const issues = await this.service.remove(actor, records);
    if (issues.length > 0) throw refused(issues);
    return { removed: records.length };
  }

  @Get('preview/:id')
  @Sites('same')
  @Needs('setUp')
  @Documented({ id: 'moreOfSetUpEffect', summary: 'What more was found of an effect', answer: 'SetUpEffect' })
  more(@Param('id') id: string): Promise<SetUpEffect> {
    return this.effects.answerOf(id);
  }

  @Get('schema.json')
  @Sites('same')
  @Documented({ id: 'setUpSchema', summary: 'JSON Schema of a set-up file', answer: 'Download' })
  schema(): object {
    return setUpSchema;
  }

  @Get('file')
  @Header('Content-Disposition', 'attachment; filename="set-up.json"')
  @Documented({ id: 'exportSetUp', summary: 'The whole set-up in force, as one file', answer: 'SetUpFile' })
  export(): SetUpFile {
    return this.file.export();
  }

  @Post('file/preview')
  @Costly(120)
  @Needs('house')
  @HttpCode(200)
  @Documented({
    id: 'previewSetUpFile',
    summary: 'What an import of a set-up file would do, record by record',
    answer: 'SetUpFilePreview',
    body: 'SetUpFile',
  })
  previewFile(@Body() body: unknown): SetUpFilePreview {
    return this.file.preview(body);
  }

  @Post('file')
  @Needs('house')
  @HttpCode(200)
  @ApiQuery({ name: 'conflicting', required: true, enum: ['keep', 'take'] })
  @Documented({
    id: 'importSetUpFile',
    summary: 'Import a set-up file: its new and changed records, and where asked the conflicting ones',
    answer: 'SetUpFileResult',
    body: 'SetUpFile',
  })
  importFile(
    @Acting() actor: Actor,
    @Body() body: unknown,
    @Query('conflicting') conflicting: string,
  ): SetUpFileResult {
    return this.file.import(actor, body, conflicting === 'take');
  }

  /**
   * People, instruments and the rules of the house are not everybody's who may change a pump; and whoever is bound to some sites changes
   * what stands there, before and after.
   */
  private mustMayChange(actor: Actor, records: readonly (RecordName | SetUpVersion)[]): void {
    for (const record of records) {
      for (const right of rightsOfRecord(record.kind)) mustMay(actor, right);
      if (!this.service.isTheirs(sightOf(actor), record)) mustMay(actor, 'everySite');
    }
  }

  private checked(body: unknown): SetUpVersion[] {
    const sent =
      typeof body === 'object' && body !== null && 'versions' in body && Array.isArray(body.versions)
        ? (body.versions as unknown[])
        : null;
    if (!sent || sent.length === 0)
      throw refused([{ field: 'versions', value: null, code: 'notAList', right: 'a list of versions' }]);
    const { versions, issues } = checkVersions(sent, this.clock.nowMs());
    if (issues.length > 0) throw refused(issues);
    return versions;
  }
}

const refused = (issues: FieldIssue[]) =>
  new BadRequestException({ message: issues[0]?.right ?? 'a set-up that fits together', issues });

const MOST_AT_ONCE = 20;

function recordsIn(body: unknown): RecordName[] {
  const sent = typeof body === 'object' && body !== null && 'records' in body ? body.records : null;
  const right = `a list of 1 to ${MOST_AT_ONCE} records, each with its kind and id`;
  if (!Array.isArray(sent) || sent.length === 0 || sent.length > MOST_AT_ONCE)
    throw refused([{ field: 'records', value: null, code: 'notAList', right }]);
  return sent.map((one: unknown, i) => {
    const { kind, id } = (typeof one === 'object' && one !== null ? one : {}) as { kind?: unknown; id?: unknown };
    const known = SET_UP_KINDS.find((k) => k === kind);
    if (!known || typeof id !== 'string')
      throw refused([{ field: `records.${i}`, value: kind, code: 'notRight', right }]);
    return { kind: known, subjectId: id };
  });
}
