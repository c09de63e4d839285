import {
  Body,
  Controller,
  createParamDecorator,
  Get,
  HttpCode,
  Inject,
  Param,
  Post,
  type ExecutionContext,
} from '@nestjs/common';
import {
  ClaimPost,
  CodePost,
  PairPost,
  PinPost,
  PasswordPost,
  SignInPost,
  StepIntoPost,
  WriteAsPost,
  type CodeAnswer,
  type DoorAnswer,
  type SessionsAnswer,
} from '@winter-jar/contracts';
import type { Request, Response } from 'express';
import { Documented } from '../api/documented.js';
import { Acting } from '../house/acting.js';
import { Needs } from '../house/needs.js';
import { Sites } from '../house/sites.js';
import type { Actor } from '../journal/actor.js';
import { DoorService, type Knock } from './door.service.js';
import { said } from './said.js';
import { TabletsService } from './tablets.service.js';

/** The request, with the answer that bears its cookie. */
const Knocking = createParamDecorator((_data: unknown, context: ExecutionContext): Knock => {
  const http = context.switchToHttp();
  return { request: http.getRequest<Request>(), response: http.getResponse<Response>() };
});

/** What whoever stands at the door may ask. */
@Needs('nothing')
@Sites('same')
@Controller('api/door')
export class DoorController {
  constructor(
    @Inject(DoorService) private readonly service: DoorService,
    @Inject(TabletsService) private readonly tablets: TabletsService,
  ) {}

  @Get()
  @Documented({
    id: 'door',
    summary: 'How the door stands, who is signed in here, and what they may',
    answer: 'DoorAnswer',
  })
  door(@Knocking() knock: Knock): DoorAnswer {
    return this.service.answer(knock);
  }

  @Post('sign-in')
  @HttpCode(200)
  @Documented({
    id: 'signIn',
    summary: 'Sign in with a name and its password',
    answer: 'DoorAnswer',
    body: 'SignInPost',
  })
  signIn(@Body() body: unknown, @Knocking() knock: Knock): Promise<DoorAnswer> {
    return this.service.signIn(knock, said(SignInPost, body));
  }

  @Post('sign-out')
  @HttpCode(200)
  @Documented({ id: 'signOut', summary: 'Sign out here', answer: 'DoorAnswer' })
  signOut(@Knocking() knock: Knock): Promise<DoorAnswer> {
    return this.service.signOut(knock);
  }

  @Post('look-at-code')
  @HttpCode(200)
  @Documented({ id: 'lookAtCode', summary: 'What a one-time code is for', answer: 'CodeAnswer', body: 'CodePost' })
  lookAtCode(@Body() body: unknown, @Knocking() knock: Knock): Promise<CodeAnswer> {
    return this.service.lookAtCode(knock, said(CodePost, body).code);
  }

  @Post('claim')
  @HttpCode(200)
  @Documented({ id: 'claim', summary: 'Become the first owner', answer: 'DoorAnswer', body: 'ClaimPost' })
  claim(@Body() body: unknown, @Knocking() knock: Knock): Promise<DoorAnswer> {
    return this.service.claim(knock, said(ClaimPost, body));
  }

  @Post('set-password')
  @HttpCode(200)
  @Documented({
    id: 'setPassword',
    summary: 'Choose a password, with a code or with the present one',
    answer: 'DoorAnswer',
    body: 'PasswordPost',
  })
  setPassword(@Body() body: unknown, @Knocking() knock: Knock): Promise<DoorAnswer> {
    return this.service.setPassword(knock, said(PasswordPost, body));
  }

  @Post('pair')
  @HttpCode(200)
  @Documented({ id: 'pairDevice', summary: 'Make this device somebody’s', answer: 'DoorAnswer', body: 'PairPost' })
  pair(@Body() body: unknown, @Knocking() knock: Knock): Promise<DoorAnswer> {
    return this.service.pair(knock, said(PairPost, body));
  }

  @Post('step-into')
  @HttpCode(200)
  @Documented({
    id: 'stepInto',
    summary: 'In a demo yard: be one of its people',
    answer: 'DoorAnswer',
    body: 'StepIntoPost',
  })
  stepInto(@Body() body: unknown, @Knocking() knock: Knock): Promise<DoorAnswer> {
    return this.service.stepInto(knock, said(StepIntoPost, body).personId ?? null);
  }

  @Post('write-as')
  @HttpCode(200)
  @Documented({
    id: 'writeAs',
    summary: 'At a shared tablet: say who writes',
    answer: 'DoorAnswer',
    body: 'WriteAsPost',
  })
  async writeAs(@Body() body: unknown, @Knocking() knock: Knock): Promise<DoorAnswer> {
    await this.tablets.writeAs(knock.request, said(WriteAsPost, body));
    return this.service.answer(knock);
  }

  @Post('pin')
  @Needs('read')
  @HttpCode(200)
  @Documented({
    id: 'setPin',
    summary: 'A PIN for shared tablets, or none',
    answer: 'SessionsAnswer',
    body: 'PinPost',
  })
  async setPin(@Acting() actor: Actor, @Body() body: unknown): Promise<SessionsAnswer> {
    await this.tablets.setPin(actor, said(PinPost, body).pin ?? null);
    return this.service.sessionsOf(actor);
  }

  @Get('sessions')
  @Needs('read')
  @Documented({ id: 'ownSessions', summary: 'Where you are signed in', answer: 'SessionsAnswer' })
  sessions(@Acting() actor: Actor): SessionsAnswer {
    return this.service.sessionsOf(actor);
  }

  @Post('sessions/:id/end')
  @HttpCode(200)
  @Needs('read')
  @Documented({
    id: 'endSession',
    summary: 'Take a device off: yours, or as an owner anybody’s',
    answer: 'SessionsAnswer',
  })
  end(@Acting() actor: Actor, @Param('id') id: string): Promise<SessionsAnswer> {
    return this.service.endSession(actor, id);
  }

  @Post('sessions/end-others')
  @HttpCode(200)
  @Needs('read')
  @Documented({ id: 'endOtherSessions', summary: 'Sign out everywhere but here', answer: 'SessionsAnswer' })
  endOthers(@Acting() actor: Actor): Promise<SessionsAnswer> {
    return this.service.endOthers(actor);
  }
}
