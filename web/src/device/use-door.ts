import type { DoorAnswer } from '@winter-jar/contracts';
import { useDoorQuery } from '../api/house-api.js';
import { useAppSelector } from './store.js';

/** How the door stands; undefined until it is known. */
export const useDoor = (): DoorAnswer | undefined => useDoorQuery().data;

/** Id of the person whom entries bear: whoever is signed in, else who was chosen on this device. */
export function useWriterId(): string | null {
  const chosen = useAppSelector((s) => s.prefs.who);
  const door = useDoor();
  // A tablet that is shared remembers nobody.
  return door?.who?.personId ?? (door?.tablet ? null : chosen);
}
