import { BadRequestException, Body, Controller, HttpCode, Inject, Post, Res } from '@nestjs/common';
import {
  HTTP_STATUS,
  MAX_ENTRIES_PER_POST,
  type EntriesAnswer,
  type EntriesEffect,
  type EntriesPost,
  type EntryAnswer,
} from '@winter-jar/contracts';
import type { Response } from 'express';
import { Costly } from '../house/costly.js';
import { Documented } from '../api/documented.js';
import { EffectService } from '../effect/effect.service.js';
import { Acting } from '../house/acting.js';
import { Needs } from '../house/needs.js';
import { Sites } from '../house/sites.js';
import type { Actor } from '../journal/actor.js';
import { JournalWriter } from '../journal/journal-writer.js';

@Needs('log')
@Sites('sifted')
@Controller('api/entries')
export class EntriesController {
  constructor(
    @Inject(JournalWriter) private readonly writer: JournalWriter,
    @Inject(EffectService) private readonly effect: EffectService,
  ) {}

  /** One entry answers with its own status; several with 207, each with its own answer. */
  @Post()
  @Documented({
    id: 'postEntries',
    summary: 'Write entries, each answered by itself',
    answer: 'EntriesAnswer',
    status: 201,
    body: 'EntriesPost',
  })
  post(@Acting() actor: Actor, @Body() body: unknown, @Res({ passthrough: true }) response: Response): EntriesAnswer {
    const entries = entriesOf(body);
    const source = (body as EntriesPost).waited === true ? 'waited' : 'person';
    const { value: answers, seqs } = this.writer.changes.gather(() => this.writer.write(actor, entries, source));
    const [only] = answers;
    response.status(answers.length === 1 && only ? statusOf(only) : 207);
    return { answers, changes: seqs };
  }

  @Post('preview')
  @Costly(600)
  @HttpCode(200)
  @Documented({
    id: 'previewEntries',
    summary: 'What entries would change, without writing them',
    answer: 'EntriesEffect',
    body: 'EntriesPost',
  })
  preview(@Acting() actor: Actor, @Body() body: unknown): EntriesEffect {
    return this.effect.ofEntries(actor, entriesOf(body));
  }
}

const statusOf = (only: EntryAnswer): number =>
  only.status === 'refused' && only.issues.every(({ code }) => code === 'mayNot') ? 403 : HTTP_STATUS[only.status];

function entriesOf(body: unknown): unknown[] {
  const entries = typeof body === 'object' && body !== null && 'entries' in body ? body.entries : undefined;
  if (!Array.isArray(entries) || entries.length === 0 || entries.length > MAX_ENTRIES_PER_POST) {
    const right = `1 to ${MAX_ENTRIES_PER_POST} entries in a list named entries`;
    throw new BadRequestException({
      message: right,
      issues: [{ field: 'entries', value: null, code: 'notAList', right }],
    });
  }
  return entries as unknown[];
}
