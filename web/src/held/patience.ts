import { isHeld } from './answers.js';

/** Where a network is there and nothing comes through, a browser waits for minutes: what is held is shown before. */
const PATIENCE_MS = 10_000;
/** Nothing came just now. */
const LOST_PATIENCE_MS = 2000;
/** Given up once: the next time it is waited for, since it may be the server that is slow. */
const slow = new Set<string>();

/**
 * How long an answer is waited for: no longer than this where an older one is held.
 * @param of `signal`: whoever asks gives up; `isLost`: nothing came just now; `mayBeSlow`: given up once, it is waited for
 * @returns `signal` that ends the asking, and `over` for once it was answered
 */
export function patienceWith(
  key: string,
  of: { readonly signal: AbortSignal; readonly isLost: boolean; readonly mayBeSlow: boolean },
): { readonly signal: AbortSignal; over(): void } {
  const giving = new AbortController();
  const giveUp = () => giving.abort();
  of.signal.addEventListener('abort', giveUp);
  let isOver = false;
  let timer: ReturnType<typeof setTimeout> | undefined;
  if (!slow.delete(key))
    void isHeld(key).then((held) => {
      if (!held || isOver) return;
      timer = setTimeout(
        () => {
          if (of.mayBeSlow) slow.add(key);
          giveUp();
        },
        of.isLost ? LOST_PATIENCE_MS : PATIENCE_MS,
      );
    });
  return {
    signal: giving.signal,
    over() {
      isOver = true;
      clearTimeout(timer);
      of.signal.removeEventListener('abort', giveUp);
    },
  };
}
