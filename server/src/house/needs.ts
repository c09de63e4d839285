import {
  ForbiddenException,
  Inject,
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
import { CLOCK, isoNow, type Clock } from '../clock/clock.js';
import { mayDo, sightOf, type Actor } from '../journal/actor.js';
import { SetUpStore } from '../journal/set-up-store.js';
import { actsAs } from './acting.js';
import { Door } from './door.js';
import { mustSee, SITES, type ServesSome } from './sites.js';

/** A right, or nothing: whoever stands at the door may ask. */
export type Need = Right | 'nothing';
const NEEDS = 'needs';

/** What a route needs; on a controller it stands for all its routes that say nothing else. A route that says nothing is refused. */
export const Needs = (need: Need): ClassDecorator & MethodDecorator => SetMetadata(NEEDS, need);

/** Ends with 403 where somebody may not do what they ask for. */
export function mustMay(actor: Actor, right: Right): void {
  if (mayDo(actor, right)) return;
  const why = right === 'everySite' ? 'you are bound to some' : 'your role does not';
  throw new ForbiddenException(`somebody who may ${MAY[right]}: ${why}`);
}
const MAY: Readonly<Record<Right, string>> = {
  read: 'look',
  everySite: 'see every site',
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
    private readonly store: SetUpStore,
    @Inject(CLOCK) private readonly clock: Clock,
  ) {}

  canActivate(context: ExecutionContext): boolean {
    const said = [context.getHandler(), context.getClass()];
    const need = this.reflector.getAllAndOverride<Need | undefined>(NEEDS, said);
    if (need === undefined) throw new ForbiddenException('a route that says what it needs; this one is closed');
    const request = context.switchToHttp().getRequest<Request>();
    const actor = this.door.actorOf(request);
    if (actor) actsAs(request, actor);
    if (need === 'nothing') return true;
    if (!actor)
      throw new UnauthorizedException(
        this.door.state === 'unclaimed' ? 'the first owner’s code, which stands in the terminal' : 'to sign in first',
      );
    this.letBy(request, actor, need);
    const sight = sightOf(actor);
    if (sight === null) return true;
    const how = this.reflector.getAllAndOverride<ServesSome | undefined>(SITES, said);
    if (how === undefined) this.letBy(request, actor, 'everySite');
    else mustSee(sight, how, request, this.store.book.at(isoNow(this.clock)));
    return true;
  }

  private letBy(request: Request, actor: Actor, right: Right): void {
    if (!mayDo(actor, right)) {
      const detail = `${request.method} ${request.path}`.slice(0, 200);
      this.door.note(actor, 'refused', { detail }).catch((error: unknown) => this.logger.error(error));
    }
    mustMay(actor, right);
  }
}
