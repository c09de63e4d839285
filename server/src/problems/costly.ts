import {
  applyDecorators,
  HttpException,
  Injectable,
  SetMetadata,
  UseGuards,
  type CanActivate,
  type ExecutionContext,
} from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import type { Request } from 'express';
import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible';

/** Whoever asks is to come back later. */
export class TooMany extends HttpException {
  constructor(readonly retryAfterS: number) {
    super(`to ask again in ${retryAfterS} s: this costs the server too much to be asked so often`, 429);
  }
}

const A_MINUTE = 'a minute';

@Injectable()
export class CostlyGuard implements CanActivate {
  private readonly limiters = new Map<unknown, RateLimiterMemory>();

  constructor(private readonly reflector: Reflector) {}

  async canActivate(context: ExecutionContext): Promise<boolean> {
    const route = context.getHandler();
    const points = this.reflector.get<number>(A_MINUTE, route);
    const limiter = this.limiters.get(route) ?? new RateLimiterMemory({ points, duration: 60 });
    this.limiters.set(route, limiter);
    const address = context.switchToHttp().getRequest<Request>().socket.remoteAddress ?? '';
    try {
      await limiter.consume(address);
      return true;
    } catch (error) {
      if (!(error instanceof RateLimiterRes)) throw error;
      throw new TooMany(Math.max(1, Math.ceil(error.msBeforeNext / 1000)));
    }
  }
}

/** A route that costs much work or room: so many calls a minute from one address. */
export const Costly = (aMinute: number): MethodDecorator =>
  applyDecorators(UseGuards(CostlyGuard), SetMetadata(A_MINUTE, aMinute));
