import { HttpException } from '@nestjs/common';

/** Whoever asks is to come back later. */
export class TooMany extends HttpException {
  constructor(readonly retryAfterS: number) {
    super(`to ask again in ${retryAfterS} s: this costs the server too much to be asked so often`, 429);
  }
}
