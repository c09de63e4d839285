import { isIP } from 'node:net';
import {
  ForbiddenException,
  Injectable,
  UnsupportedMediaTypeException,
  type CanActivate,
  type ExecutionContext,
} from '@nestjs/common';
import { PHOTO_TYPES } from '@winter-jar/contracts';
import type { Request } from 'express';
import { ownNames } from '../network/addresses.js';

const hostName = (host: string): string => host.replace(/:\d+$/, '').replace(/^\[|\]$/g, '');
/** Names that no foreign page can take: the machine itself, or a bare address. */
const OWN_NAMES = ownNames();
const isOwnName = (name: string): boolean => OWN_NAMES.includes(name.toLowerCase()) || isIP(name) !== 0;

/** The Host is this machine's own, and an Origin the same. */
export const isOwnAddress = (host = '', origin?: string): boolean =>
  isOwnName(hostName(host)) && (origin === undefined || origin === `http://${host}` || origin === `https://${host}`);

/** A foreign page cannot send these without asking first. */
const BODY_TYPES = ['application/json', 'text/csv', 'application/gzip', 'application/x-ndjson', ...PHOTO_TYPES];

/**
 * Keeps pages of other origins out, also on 127.0.0.1: the Host must be this machine's own, an Origin must be the same,
 * and writes come only in types which a foreign page cannot send without asking first.
 */
@Injectable()
export class OriginGuard implements CanActivate {
  canActivate(context: ExecutionContext): boolean {
    const request = context.switchToHttp().getRequest<Request>();
    const host = request.headers.host ?? '';
    if (!isOwnName(hostName(host)))
      throw new ForbiddenException('the address that the server printed, by localhost or by number');
    if (!isOwnAddress(host, request.headers.origin)) throw new ForbiddenException('a page that this server served');
    const writes = !['GET', 'HEAD', 'OPTIONS'].includes(request.method);
    if (writes && !request.is(BODY_TYPES))
      throw new UnsupportedMediaTypeException(`a body of one of the types ${BODY_TYPES.join(', ')}`);
    return true;
  }
}
