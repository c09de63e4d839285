import { Injectable, ServiceUnavailableException, type CanActivate, type ExecutionContext } from '@nestjs/common';
import type { Response } from 'express';
import { Database } from '../database/open.js';

/** While the data is being replaced nobody reads or writes: it takes a moment. */
@Injectable()
export class BusyGuard implements CanActivate {
  constructor(private readonly database: Database) {}

  canActivate(context: ExecutionContext): boolean {
    if (!this.database.busy) return true;
    context.switchToHttp().getResponse<Response>().set('Retry-After', '1');
    throw new ServiceUnavailableException('to ask again in a moment: the data is being replaced');
  }
}
