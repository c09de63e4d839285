import type { PhotoKept } from '@winter-jar/contracts';
import { effectiveEntry, type JournalEntry } from '@winter-jar/core';
import { houseApi } from '../api/house-api.js';
import type { Store } from '../device/store.js';
import { lastAsking, type Asking } from '../held/answers.js';
import { clockAheadS, timedRight } from '../held/clock.js';
import type { Waiting } from '../held/device-store.js';
import { withPhotosSent } from '../held/held-photos.js';
import { outbox } from '../held/outbox.js';
import { writeResult, type WriteResult } from './write-result.js';

type Dispatch = Store['dispatch'];
const LOCK = 'winter-jar-sending';

/** One page of a browser sends at a time. Where there are no locks each sends by itself: an id is written once. */
const alone = <T>(work: () => Promise<T>): Promise<T> =>
  'locks' in navigator ? navigator.locks.request(LOCK, work) : work();

/** Whether it may be sent by whoever is at the device now: to its own house, and as its own writer. */
export function isFor(item: Waiting, asking: Asking | null): boolean {
  if (asking === null || (item.house !== null && item.house !== asking.house)) return false;
  return asking.who === null || item.who === null || item.who === asking.who;
}

async function sendPhoto(blob: Blob) {
  try {
    const response = await fetch('/api/photos', { method: 'POST', headers: { 'content-type': blob.type }, body: blob });
    if (!response.ok) return { ok: false } as const;
    return { ok: true, photoId: ((await response.json()) as PhotoKept).photoId } as const;
  } catch {
    return { ok: false } as const;
  }
}

/** Puts the times of all that waits right, before anything of it is sent and only then: what was sent is never changed. */
async function timeAll(): Promise<void> {
  const aheadS = clockAheadS();
  if (aheadS === null) return;
  const waiting = outbox.all().filter((item) => item.state === 'waiting' && !item.isTimed);
  const own = new Set(waiting.flatMap(({ entries }) => entries.map(({ id }) => id)));
  for (const item of waiting) {
    const entries = item.entries.map((entry) => timedRight(entry, aheadS, (id) => own.has(id)));
    await outbox.put({ ...item, entries, isTimed: true });
  }
}

/** Sends what stands in an item, its photographs first. @param waited nobody is there to be asked */
async function send(
  item: Waiting,
  dispatch: Dispatch,
  waited: boolean,
): Promise<{ item: Waiting; result: WriteResult }> {
  const entries: JournalEntry[] = [];
  for (const entry of item.entries) {
    const named = await withPhotosSent(entry, sendPhoto);
    if (!named) return { item, result: { kind: 'unreachable' } };
    entries.push(named);
  }
  const named = { ...item, entries };
  // Before it is sent: a second try says the same.
  if (JSON.stringify(entries) !== JSON.stringify(item.entries)) await outbox.put(named);
  const asked = dispatch(houseApi.endpoints.postEntries.initiate({ entries, ...(waited ? { waited } : {}) }));
  return { item: named, result: writeResult(await asked) };
}

/** An entry that the server did not take, put right by its form: it is written anew as it says now, and the old one goes. */
function puttingRight(entries: readonly JournalEntry[]): { old: Waiting; entries: readonly JournalEntry[] } | null {
  const [only, ...more] = entries;
  if (!only || only.kind !== 'correction' || more.length > 0) return null;
  const old = outbox.all().find((i) => i.state === 'refused' && i.entries[0]?.id === only.body.targetId);
  const [original, ...others] = old?.entries ?? [];
  if (!old || !original || original.kind === 'correction' || others.length > 0) return null;
  const right = effectiveEntry(original, [only]);
  return { old, entries: right ? [{ ...right, id: only.id, acknowledged: only.acknowledged }] : [] };
}

/** What somebody at the screen writes: kept on the device first, then sent. */
export async function writeNow(
  entries: readonly JournalEntry[],
  of: Pick<Waiting, 'house' | 'who'>,
  dispatch: Dispatch,
): Promise<WriteResult> {
  const right = puttingRight(entries);
  if (!right) return writeOne(entries, of, dispatch);
  const result: WriteResult =
    right.entries.length > 0 ? await writeOne(right.entries, of, dispatch) : { kind: 'written' };
  if (result.kind === 'written') {
    await outbox.remove(right.old);
    shownAnew(dispatch);
  }
  return result;
}

async function writeOne(
  entries: readonly JournalEntry[],
  of: Pick<Waiting, 'house' | 'who'>,
  dispatch: Dispatch,
): Promise<WriteResult> {
  let item: Waiting;
  try {
    item = await outbox.add(entries, of);
  } catch {
    // This browser keeps nothing: whoever writes has to wait for the answer.
    return writeResult(await dispatch(houseApi.endpoints.postEntries.initiate({ entries })));
  }
  // What was written before goes before it.
  const isBehind = outbox.all().some((one) => one.state === 'waiting') && !(await sendWaiting(dispatch)).isThrough;
  if (isBehind) return waits(item, dispatch);
  const { item: sent, result } = await send(item, dispatch, false);
  if (result.kind === 'unreachable') return waits(sent, dispatch);
  await outbox.remove(item);
  return result;
}

/** What waits is laid over what is shown: both are read anew. */
export const shownAnew = (dispatch: Dispatch): void =>
  void dispatch(houseApi.util.invalidateTags(['Round', 'Pump', 'Entry', 'Equipment']));

async function waits(item: Waiting, dispatch: Dispatch): Promise<WriteResult> {
  await outbox.wait(item);
  shownAnew(dispatch);
  return { kind: 'written', waits: true };
}

/** What became of sending all that waits. */
export interface SentAll {
  readonly sent: number;
  /** Nothing waits any more that whoever is here could send. */
  readonly isThrough: boolean;
}

/** Sends what waits, in its order, as whoever wrote it. Stops where there is no connection; what is refused stays with its reason. */
export function sendWaiting(dispatch: Dispatch): Promise<SentAll> {
  return alone(async () => {
    await timeAll();
    let sent = 0;
    for (const item of outbox.all().filter(({ state }) => state === 'waiting')) {
      if (!isFor(item, await lastAsking())) continue;
      const { item: named, result } = await send(item, dispatch, true);
      if (result.kind === 'written') {
        await outbox.remove(named);
        sent += named.entries.length;
      } else if (result.kind === 'refused' || result.kind === 'conflict') {
        await outbox.refuse(named, result.kind === 'refused' ? result.issues : []);
        shownAnew(dispatch);
      } else return { sent, isThrough: false };
    }
    return { sent, isThrough: true };
  });
}
