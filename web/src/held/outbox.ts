import type { FieldIssue } from '@winter-jar/contracts';
import type { JournalEntry } from '@winter-jar/core';
import { v7 as newId } from 'uuid';
import { deviceStore, orNothing, type Waiting } from './device-store.js';

const CHANNEL = 'winter-jar-outbox';

let items: readonly Waiting[] = [];
const hearers = new Set<() => void>();
const others = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(CHANNEL);
if (others) others.onmessage = () => void load();

function nowAre(next: readonly Waiting[]): void {
  items = next;
  for (const hear of hearers) hear();
}

async function load(): Promise<void> {
  const db = await deviceStore();
  const [keys, values] = await Promise.all([db.getAllKeys('waiting'), db.getAll('waiting')]);
  nowAre(values.map((value, i) => ({ ...value, key: keys[i] ?? 0 })));
}

async function put(item: Waiting): Promise<void> {
  const { key, ...value } = item;
  await deviceStore().then((db) => db.put('waiting', value, key));
  nowAre(items.map((one) => (one.key === key ? item : one)));
  others?.postMessage(null);
}

/** Opened anew: whoever stood before the screen is gone, and what was under way may not have arrived. */
const asLeft = (item: Waiting): Waiting => (item.state === 'sending' ? { ...item, state: 'waiting' } : item);

/** What was written on this device and has not reached the server, in its order. Nothing is ever dropped but by hand. */
export const outbox = {
  /** Once, when the page opens. */
  opened: async (): Promise<void> =>
    void (await orNothing(
      load().then(() => Promise.all(items.filter((i) => i.state === 'sending').map((i) => put(asLeft(i))))),
    )),
  all: (): readonly Waiting[] => items,
  subscribe: (hear: () => void): (() => void) => {
    hearers.add(hear);
    return () => hearers.delete(hear);
  },
  /** Kept before anything is sent. @throws where this browser keeps nothing */
  async add(entries: readonly JournalEntry[], of: Pick<Waiting, 'house' | 'who'>): Promise<Waiting> {
    const value = {
      ...of,
      entries,
      savedAt: new Date().toISOString(),
      state: 'sending',
      isTimed: false,
      issues: [],
    } as const;
    const key = await deviceStore().then((db) => db.add('waiting', value));
    const item = { ...value, key };
    items = [...items, item];
    return item;
  },
  put,
  wait: (item: Waiting): Promise<void> => put({ ...item, state: 'waiting' }),
  refuse: (item: Waiting, issues: readonly FieldIssue[]): Promise<void> => put({ ...item, state: 'refused', issues }),
  /** It arrived. Not shown any more at once: what the server answers from now on holds it. */
  async remove({ key }: Waiting): Promise<void> {
    nowAre(items.filter((one) => one.key !== key));
    await deviceStore().then((db) => db.delete('waiting', key));
    others?.postMessage(null);
  },
};

/** An entry of this device, written anew about another pump. */
export const onAnotherPump = (entries: readonly JournalEntry[], pumpId: string): readonly JournalEntry[] => {
  const actIds = new Map(entries.map((e) => [e.actId, newId()]));
  return entries.map((entry) => ({
    ...entry,
    id: newId(),
    actId: actIds.get(entry.actId) ?? newId(),
    subjects: entry.subjects.map((s) => (s.type === 'pump' ? { type: 'pump', id: pumpId } : s)),
  }));
};
