import type { JournalEntry } from '@winter-jar/core';
import { v4 as newId } from 'uuid';
import { deviceStore, orNothing } from './device-store.js';

/** Looks like the id of a photograph, so that an entry can cite it; the server never has one of these. */
const ownId = (): string => `${newId()}${newId()}`.replaceAll('-', '');

/** Keeps a photograph until there is a connection. @throws where this browser keeps nothing, or has no room */
export async function holdPhoto(blob: Blob): Promise<string> {
  const id = ownId();
  await deviceStore().then((db) => db.put('photos', { blob, photoId: null }, id));
  return id;
}

/** An address under which a photograph of this device can be shown; null for one that the server has. The caller revokes it. */
export async function heldPhotoUrl(id: string): Promise<string | null> {
  const held = await orNothing(deviceStore().then((db) => db.get('photos', id)));
  return held ? URL.createObjectURL(held.blob) : null;
}

type Sent = { readonly ok: true; readonly photoId: string } | { readonly ok: false };

/**
 * Sends the photographs of this device that an entry cites, and names them as the server does.
 * @returns null where one of them could not be sent
 */
export async function withPhotosSent(
  entry: JournalEntry,
  send: (blob: Blob) => Promise<Sent>,
): Promise<JournalEntry | null> {
  const text = JSON.stringify(entry);
  if (!text.includes('"photoId":"')) return entry;
  const db = await deviceStore();
  let named = text;
  for (const [, id = ''] of text.matchAll(/"photoId":"([0-9a-f]{64})"/g)) {
    const held = await db.get('photos', id);
    if (!held) continue;
    const sent: Sent = held.photoId === null ? await send(held.blob) : { ok: true, photoId: held.photoId };
    if (!sent.ok) return null;
    await db.put('photos', { ...held, photoId: sent.photoId }, id);
    named = named.replaceAll(`"${id}"`, `"${sent.photoId}"`);
  }
  return JSON.parse(named) as JournalEntry;
}
