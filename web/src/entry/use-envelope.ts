import { BODY_VERSION, type Envelope } from '@winter-jar/core';
import { useWriterId } from '../device/use-door.js';

type Shared = Pick<Envelope, 'who' | 'device' | 'acknowledged' | 'bodyVersion'>;

/** What every entry of this device carries: who writes, and that nothing was asked yet. */
export function useEnvelope(): Shared {
  const who = useWriterId();
  return { who, device: 'browser', acknowledged: [], bodyVersion: BODY_VERSION };
}
