import { Body, Controller, Get, HttpCode, Inject, Param, Post } from '@nestjs/common';
import {
  AccountPost,
  NewCodePost,
  TabletCodePost,
  type DoorRecordAnswer,
  type NewCode,
  type PeopleAnswer,
} from '@winter-jar/contracts';
import { Documented } from '../api/documented.js';
import { Door } from '../house/door.js';
import { Acting } from '../house/acting.js';
import { Needs } from '../house/needs.js';
import { Sites } from '../house/sites.js';
import type { Actor } from '../journal/actor.js';
import { PeopleService } from './people.service.js';
import { said } from './said.js';

@Needs('house')
@Controller('api/people')
export class PeopleController {
  constructor(
    @Inject(PeopleService) private readonly service: PeopleService,
    @Inject(Door) private readonly door: Door,
  ) {}

  @Get()
  @Documented({
    id: 'people',
    summary: 'Everybody of the set-up, what they may and where they are signed in',
    answer: 'PeopleAnswer',
  })
  all(@Acting() actor: Actor): PeopleAnswer {
    return this.service.all(actor);
  }

  @Get('record')
  @Documented({ id: 'doorRecord', summary: 'What happened at the doors, the latest first', answer: 'DoorRecordAnswer' })
  async record(): Promise<DoorRecordAnswer> {
    return { events: await this.door.people.record.latest() };
  }

  @Post(':personId/account')
  @HttpCode(200)
  @Documented({
    id: 'giveAccount',
    summary: 'Let somebody sign in, or change what they may',
    answer: 'PeopleAnswer',
    body: 'AccountPost',
  })
  give(@Acting() actor: Actor, @Param('personId') personId: string, @Body() body: unknown): Promise<PeopleAnswer> {
    const { role, siteIds = null } = said(AccountPost, body);
    return this.service.give(actor, personId, { role, siteIds });
  }

  @Post(':personId/account/end')
  @HttpCode(200)
  @Documented({ id: 'takeAccount', summary: 'Somebody signs in no longer', answer: 'PeopleAnswer' })
  take(@Acting() actor: Actor, @Param('personId') personId: string): Promise<PeopleAnswer> {
    return this.service.take(actor, personId);
  }

  @Post('tablet-code')
  @HttpCode(200)
  @Documented({
    id: 'tabletCode',
    summary: 'A one-time code for a tablet that everybody of a site shares',
    answer: 'NewCode',
    body: 'TabletCodePost',
  })
  tablet(@Acting() actor: Actor, @Body() body: unknown): Promise<NewCode> {
    return this.service.tabletCode(actor, said(TabletCodePost, body).siteId);
  }

  /** Whoever is signed in may ask for their own device. */
  @Post(':personId/code')
  @Sites('same')
  @Needs('read')
  @HttpCode(200)
  @Documented({
    id: 'newCode',
    summary: 'A one-time code: to choose a password, or for a device',
    answer: 'NewCode',
    body: 'NewCodePost',
  })
  code(@Acting() actor: Actor, @Param('personId') personId: string, @Body() body: unknown): Promise<NewCode> {
    return this.service.code(actor, personId, said(NewCodePost, body).purpose);
  }
}
