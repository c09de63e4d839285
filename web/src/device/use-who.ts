import { useSetUpQuery } from '../api/house-api.js';
import { useAppSelector } from './store.js';

/** Name of the person who writes on this device; null while nobody is chosen. */
export function useWho(): string | null {
  const who = useAppSelector((s) => s.prefs.who);
  const { data } = useSetUpQuery(undefined, { skip: who === null });
  return who === null ? null : (data?.house.person[who]?.name ?? null);
}
