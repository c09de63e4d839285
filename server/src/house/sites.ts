import { createParamDecorator, NotFoundException, SetMetadata, type ExecutionContext } from '@nestjs/common';
import { houseSeen, type HouseSetUp, type Sight } from '@winter-jar/core';
import type { Request } from 'express';
import { sightOf } from '../journal/actor.js';
import { actorOf } from './acting.js';

/** What a route may be about that stands at a site, by the name of its parameter, and what it is called where it is not there. */
const ONE_OF = {
  pump: { param: 'pumpId', called: 'a pump' },
  equipment: { param: 'equipmentId', called: 'an equipment' },
  container: { param: 'containerId', called: 'a container' },
  instrument: { param: 'id', called: 'an instrument' },
} as const;

/**
 * How a route serves whoever is bound to some sites: `same` as all others, as it has nothing of a site; `sifted` by the service itself;
 * or it is about one thing, which is not there for who does not see it. A route that says nothing refuses them.
 */
export type ServesSome = 'same' | 'sifted' | keyof typeof ONE_OF;
export const SITES = 'sites';

export const Sites = (how: ServesSome): ClassDecorator & MethodDecorator => SetMetadata(SITES, how);

/** Sites that whoever asks is shown. */
export const Seeing = createParamDecorator((_data: unknown, context: ExecutionContext): Sight =>
  sightOf(actorOf(context.switchToHttp().getRequest<Request>())),
);

/** @throws NotFoundException on a route about one thing that is not seen, in the words for one that is not there */
export function mustSee(sight: Sight, how: ServesSome, request: Request, house: HouseSetUp): void {
  if (how === 'same' || how === 'sifted') return;
  const { param, called } = ONE_OF[how];
  const id = String(request.params[param]);
  if (houseSeen(sight, house)[how][id] === undefined)
    throw new NotFoundException(`${called} in the set-up; "${id}" is none`);
}
