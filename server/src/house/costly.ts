import {
  applyDecorators,
  Injectable,
  SetMetadata,
  UseGuards,
  type CanActivate,
  type ExecutionContext,
} from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import type { Request } from 'express';
import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible';
import { TooMany } from '../problems/too-many.js';
import { addressOf, Door } from './door.js';

const A_MINUTE = 'a minute';

@Injectable()
export class CostlyGuard implements CanActivate {
  private readonly limiters = new Map<unknown, RateLimiterMemory>();

  constructor(
    private readonly reflector: Reflector,
    private readonly door: Door,
  ) {}

  async canActivate(context: ExecutionContext): Promise<boolean> {
    const route = context.getHandler();
    const points = this.reflector.get<number>(A_MINUTE, route);
    const limiter = this.limiters.get(route) ?? new RateLimiterMemory({ points, duration: 60 });
    this.limiters.set(route, limiter);
    const request = context.switchToHttp().getRequest<Request>();
    try {
      // Behind a proxy everybody has one address.
      await limiter.consume(this.door.sessionOf(request)?.id ?? addressOf(request));
      return true;
    } catch (error) {
      if (!(error instanceof RateLimiterRes)) throw error;
      throw new TooMany(Math.max(1, Math.ceil(error.msBeforeNext / 1000)));
    }
  }
}

/** A route that costs much work or room: so many calls a minute by one who is signed in, or from one address. */
export const Costly = (aMinute: number): MethodDecorator =>
  applyDecorators(UseGuards(CostlyGuard), SetMetadata(A_MINUTE, aMinute));
