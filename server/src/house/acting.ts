import { createParamDecorator, UnauthorizedException, type ExecutionContext } from '@nestjs/common';
import type { Request } from 'express';
import type { Actor } from '../journal/actor.js';

const ACTORS = new WeakMap<Request, Actor>();

/** The guard has seen who it is. */
export const actsAs = (request: Request, actor: Actor): unknown => ACTORS.set(request, actor);

/** @throws UnauthorizedException where nobody is known */
export function actorOf(request: Request): Actor {
  const actor = ACTORS.get(request);
  if (!actor) throw new UnauthorizedException('somebody who is signed in');
  return actor;
}

/** Who asks, on a route that needs a right. */
export const Acting = createParamDecorator((_data: unknown, context: ExecutionContext): Actor =>
  actorOf(context.switchToHttp().getRequest<Request>()),
);
