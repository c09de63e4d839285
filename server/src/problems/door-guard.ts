import { isIP } from 'node:net';
import type { NextFunction, Request, Response } from 'express';
import { PHOTO_TYPES, type ApiProblem } from '@winter-jar/contracts';
import { ownNames } from '../network/addresses.js';

const hostName = (host: string): string => host.replace(/:\d+$/, '').replace(/^\[|\]$/g, '');
/** Names that no foreign page can take: the machine itself, or a bare address. */
const OWN_NAMES = ownNames();
const isOwnName = (name: string): boolean => OWN_NAMES.includes(name.toLowerCase()) || isIP(name) !== 0;

/** A foreign page cannot send these without asking first. */
const BODY_TYPES = ['application/json', 'text/csv', 'application/gzip', 'application/x-ndjson', ...PHOTO_TYPES];

function refuse(response: Response, status: number, code: ApiProblem['code'], right: string): void {
  const problem: ApiProblem = { code, right, issues: [] };
  response.status(status).json(problem);
}

/**
 * Keeps pages of other origins out, also on 127.0.0.1: the Host must be this machine's own, an Origin must be the same,
 * and writes come only in types which a foreign page cannot send without asking first.
 */
export function doorGuard(request: Request, response: Response, next: NextFunction): void {
  const host = request.headers.host ?? '';
  if (!isOwnName(hostName(host)))
    return refuse(response, 403, 'forbidden', 'the address that the server printed, by localhost or by number');
  const { origin } = request.headers;
  if (origin !== undefined && origin !== `http://${host}` && origin !== `https://${host}`) {
    return refuse(response, 403, 'forbidden', 'a page that this server served');
  }
  const writes = !['GET', 'HEAD', 'OPTIONS'].includes(request.method);
  if (writes && !request.is(BODY_TYPES))
    return refuse(response, 415, 'unsupported', `a body of one of the types ${BODY_TYPES.join(', ')}`);
  next();
}
