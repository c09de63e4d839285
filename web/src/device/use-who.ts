import { useSetUpQuery } from '../api/house-api.js';
import { useDoor, useWriterId } from './use-door.js';

/** Name of the person who writes on this device; null while nobody is chosen. */
export function useWho(): string | null {
  const signedIn = useDoor()?.who?.name;
  const who = useWriterId();
  const { data } = useSetUpQuery(undefined, { skip: who === null || signedIn !== undefined });
  return signedIn ?? (who === null ? null : (data?.house.person[who]?.name ?? null));
}
