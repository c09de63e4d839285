import { createHash } from 'node:crypto';
import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible';
import { TooMany } from '../problems/too-many.js';

const QUARTER_S = 900;
const limiter = (points: number) => new RateLimiterMemory({ points, duration: QUARTER_S });
const short = (text: string): string => createHash('sha256').update(text).digest('base64url');

/**
 * Slows down whoever guesses: a try is counted before it is looked at, and given back when it was right, so that many at once gain
 * nothing. Whether there is such a name makes no difference.
 */
export class Tries {
  /** Of one name from one address, of one name from anywhere, and of one address at all. */
  private readonly limits: readonly {
    readonly of: RateLimiterMemory;
    readonly key: (n: string, a: string) => string;
  }[] = [
    { of: limiter(5), key: (name, address) => `${short(name)} ${address}` },
    { of: limiter(100), key: (name) => short(name) },
    { of: limiter(50), key: (_name, address) => address },
  ];

  /** @param name what is guessed at: a name to sign in with, or 'a code' @throws TooMany */
  async take(name: string, address: string): Promise<void> {
    for (const { of, key } of this.limits) {
      try {
        await of.consume(key(name, address));
      } catch (error) {
        if (!(error instanceof RateLimiterRes)) throw error;
        throw new TooMany(Math.max(1, Math.ceil(error.msBeforeNext / 1000)));
      }
    }
  }

  async wasRight(name: string, address: string): Promise<void> {
    await this.limits[0]?.of.delete(`${short(name)} ${address}`);
    for (const { of, key } of this.limits.slice(1)) await of.reward(key(name, address));
  }
}
