import {
  createParamDecorator,
  ForbiddenException,
  Injectable,
  Logger,
  SetMetadata,
  UnauthorizedException,
  type CanActivate,
  type ExecutionContext,
} from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import type { Right } from '@winter-jar/core';
import type { Request } from 'express';
import { mayDo, type Actor } from '../journal/actor.js';
import { Door } from './door.js';

/** A right, or nothing: whoever stands at the door may ask. */
export type Need = Right | 'nothing';
const NEEDS = 'needs';

/** What a route needs; on a controller it stands for all its routes that say nothing else. A route that says nothing is refused. */
export const Needs = (need: Need): ClassDecorator & MethodDecorator => SetMetadata(NEEDS, need);

const ACTORS = new WeakMap<Request, Actor>();
/** Who asks, on a route that needs a right. */
export const Acting = createParamDecorator((_data: unknown, context: ExecutionContext): Actor => {
  const actor = ACTORS.get(context.switchToHttp().getRequest<Request>());
  if (!actor) throw new UnauthorizedException('somebody who is signed in');
  return actor;
});

/** Ends with 403 where somebody may not do what they ask for. */
export function mustMay(actor: Actor, right: Right): void {
  if (!mayDo(actor, right)) throw new ForbiddenException(`somebody who may ${MAY[right]}: your role does not`);
}
const MAY: Readonly<Record<Right, string>> = {
  read: 'look',
  log: 'log what ran and what was seen',
  write: 'write in the journal',
  setUp: 'change the set-up of pumps',
  house: 'say who may what and what the house’s rules are',
  keep: 'hold the whole data: an owner',
};

@Injectable()
export class NeedsGuard implements CanActivate {
  private readonly logger = new Logger('Door');

  constructor(
    private readonly reflector: Reflector,
    private readonly door: Door,
  ) {}

  canActivate(context: ExecutionContext): boolean {
    const need = this.reflector.getAllAndOverride<Need | undefined>(NEEDS, [context.getHandler(), context.getClass()]);
    if (need === undefined) throw new ForbiddenException('a route that says what it needs; this one is closed');
    const request = context.switchToHttp().getRequest<Request>();
    const actor = this.door.actorOf(request);
    if (actor) ACTORS.set(request, actor);
    if (need === 'nothing') return true;
    if (!actor)
      throw new UnauthorizedException(
        this.door.state === 'unclaimed' ? 'the first owner’s code, which stands in the terminal' : 'to sign in first',
      );
    if (!mayDo(actor, need)) {
      const detail = `${request.method} ${request.path}`.slice(0, 200);
      this.door.note(actor, 'refused', { detail }).catch((error: unknown) => this.logger.error(error));
    }
    mustMay(actor, need);
    return true;
  }
}
