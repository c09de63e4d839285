import { orNothing } from './device-store.js';

/** What the browser says of the room that it gives. */
export interface StorageOfDevice {
  /** It promised not to clear it by itself. */
  readonly isKept: boolean;
  readonly isNearlyFull: boolean;
}
const NEARLY = 0.9;

/** Asks that what is kept here is not cleared by itself; browsers decide by how the app is used. Null where it cannot be asked. */
export async function storageOfDevice(): Promise<StorageOfDevice | null> {
  // Browsers have it on https and on this machine alone.
  const storage = navigator.storage as StorageManager | undefined;
  if (!storage) return null;
  const isKept = (await orNothing(storage.persist())) ?? false;
  const { usage = 0, quota = Infinity } = (await orNothing(storage.estimate())) ?? {};
  return { isKept, isNearlyFull: usage > quota * NEARLY };
}
