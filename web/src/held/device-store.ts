import type { JournalEntry } from '@winter-jar/core';
import type { FieldIssue } from '@winter-jar/contracts';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

/** An answer of the server as it came, kept for when there is no connection. */
export interface HeldAnswer {
  readonly at: string;
  readonly data: unknown;
}

/** What was written on this device and has not reached the server. */
export interface Waiting {
  /** In the order in which it was written. */
  readonly key: number;
  /** Whose house it was written for; null where no house has answered yet. */
  readonly house: string | null;
  /** Who wrote it; it is sent as nobody else. */
  readonly who: string | null;
  readonly entries: readonly JournalEntry[];
  /** By this device's clock. */
  readonly savedAt: string;
  /**
   * `sending`: whoever wrote it stands before the screen and hears what becomes of it. `waiting`: for a connection. `refused`: the
   * server did not take it; somebody has to decide.
   */
  readonly state: 'sending' | 'waiting' | 'refused';
  /** Its times were held against the server's clock. What was sent once is never changed: the server knows it by then. */
  readonly isTimed: boolean;
  /** Why it was refused; empty where its id says something else at the server. */
  readonly issues: readonly FieldIssue[];
}

/** A photograph that was taken without a connection, under an id of this device. */
export interface HeldPhoto {
  readonly blob: Blob;
  /** Its id once the server has it. */
  readonly photoId: string | null;
}

interface DeviceSchema extends DBSchema {
  answers: { key: string; value: HeldAnswer };
  waiting: { key: number; value: Omit<Waiting, 'key'> };
  photos: { key: string; value: HeldPhoto };
  facts: { key: string; value: unknown };
}
export type DeviceStore = IDBPDatabase<DeviceSchema>;

let opened: Promise<DeviceStore> | null = null;

/** What this device keeps. @throws where a browser keeps nothing, as in some private windows */
export function deviceStore(): Promise<DeviceStore> {
  opened ??= openDB<DeviceSchema>('winter-jar', 1, {
    upgrade(db) {
      db.createObjectStore('answers');
      db.createObjectStore('waiting', { autoIncrement: true });
      db.createObjectStore('photos');
      db.createObjectStore('facts');
    },
    terminated: () => (opened = null),
  });
  opened.catch(() => (opened = null));
  return opened;
}

/** What does not have to be kept: where it cannot be, the rest goes on. */
export async function orNothing<T>(wanted: Promise<T>): Promise<T | undefined> {
  try {
    return await wanted;
  } catch {
    return undefined;
  }
}
