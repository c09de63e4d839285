import type { Readable } from 'node:stream';
import { PayloadTooLargeException, UnsupportedMediaTypeException } from '@nestjs/common';
import type { Request } from 'express';

/**
 * The body as a stream, of the one type that is read here.
 * @throws UnsupportedMediaTypeException, PayloadTooLargeException where its length is announced
 */
export function uploadOf(request: Request, type: string, maxBytes: number): Readable {
  if (!request.is(type)) throw new UnsupportedMediaTypeException(`a body of type ${type}`);
  if (Number(request.headers['content-length'] ?? 0) > maxBytes)
    throw new PayloadTooLargeException(`at most ${maxBytes.toLocaleString('en-GB')} bytes`);
  return request;
}
