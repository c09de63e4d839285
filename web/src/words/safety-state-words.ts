import type { PumpLeft } from '@winter-jar/core';

/** What a service has left a pump in that nobody may start so. */
export const NOT_WHOLE_WORDS: Readonly<Record<Exclude<PumpLeft, 'closed'>, string>> = {
  open: 'It stands open',
  capped: 'Inlet and exhaust are capped',
};
