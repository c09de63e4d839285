import {
  createParamDecorator,
  ForbiddenException,
  Injectable,
  SetMetadata,
  type CanActivate,
  type ExecutionContext,
} from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import type { Request } from 'express';
import { mayDo, type Actor, type Right } from '../journal/actor.js';

const NEEDS = 'needs';

/** What a route needs; on a controller it stands for all its routes that say nothing else. A route that says nothing is refused. */
export const Needs = (right: Right): ClassDecorator & MethodDecorator => SetMetadata(NEEDS, right);

/** Who asks. */
export const actorOf = (request: Request): Actor => ({ kind: 'device', from: request.socket.remoteAddress ?? '' });
export const Acting = createParamDecorator((_data: unknown, context: ExecutionContext) =>
  actorOf(context.switchToHttp().getRequest<Request>()),
);

@Injectable()
export class NeedsGuard implements CanActivate {
  constructor(private readonly reflector: Reflector) {}

  canActivate(context: ExecutionContext): boolean {
    const right = this.reflector.getAllAndOverride<Right | undefined>(NEEDS, [
      context.getHandler(),
      context.getClass(),
    ]);
    if (right === undefined) throw new ForbiddenException('a route that says what it needs; this one is closed');
    if (!mayDo(actorOf(context.switchToHttp().getRequest<Request>()), right))
      throw new ForbiddenException(`somebody who may ${right}`);
    return true;
  }
}
