import type { Readable } from 'node:stream';
import { PayloadTooLargeException, UnsupportedMediaTypeException } from '@nestjs/common';
import type { Request } from 'express';

/**
 * The body as a stream, of a type that is read here.
 * @throws UnsupportedMediaTypeException, PayloadTooLargeException where its length is announced
 */
export function uploadOf(request: Request, types: readonly string[], maxBytes: number): Readable {
  if (!request.is([...types])) throw new UnsupportedMediaTypeException(`a body of type ${types.join(', ')}`);
  if (Number(request.headers['content-length'] ?? 0) > maxBytes)
    throw new PayloadTooLargeException(`at most ${maxBytes.toLocaleString('en-GB')} bytes`);
  return request;
}
