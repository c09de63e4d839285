import type { HouseSetUp } from '@winter-jar/core';
import type { PumpPage } from '@winter-jar/contracts';
import { deviceStore, orNothing, type HeldAnswer } from './device-store.js';

/** Whose answers these are: those of one house to one person are not shown to another. */
export interface Asking {
  readonly house: string;
  /** Who writes now. */
  readonly who: string | null;
  /** What is shown is the same for all of these: a person, or everybody at a tablet that is shared. */
  readonly sees: string;
}
const ASKING = 'asking';

/** The set-up comes with every pump's page; it is kept once. */
interface Slim {
  readonly pumpPage: PumpPage;
}
const slim = (endpoint: string, data: unknown): unknown => {
  if (endpoint !== 'pump') return data;
  const page = data as PumpPage;
  return { pumpPage: { ...page, setUp: { ...page.setUp, house: null } } };
};

/** While it is said whose answers these are, others wait. */
let adopting: Promise<void> = Promise.resolve();

/** Keeps what the server answered. */
export async function keepAnswer(endpoint: string, key: string, data: unknown): Promise<void> {
  const held: HeldAnswer = { at: new Date().toISOString(), data: slim(endpoint, data) };
  await adopting;
  await orNothing(deviceStore().then((db) => db.put('answers', held, key)));
  if (endpoint === 'pump') await keepHouse((data as PumpPage).setUp.house, held.at);
}

/** Whether there is something to answer with. */
export const isHeld = async (key: string): Promise<boolean> =>
  (await orNothing(deviceStore().then((db) => db.getKey('answers', key)))) !== undefined;

/** What the server answered last; null when it was never asked. */
export async function heldAnswer(key: string): Promise<HeldAnswer | null> {
  const held = await orNothing(deviceStore().then((db) => db.get('answers', key)));
  if (!held) return null;
  const { pumpPage } = (typeof held.data === 'object' ? held.data : {}) as Partial<Slim>;
  if (!pumpPage) return held;
  const house = await heldHouse();
  return house && { at: held.at, data: { ...pumpPage, setUp: { ...pumpPage.setUp, house } } };
}

async function heldHouse(): Promise<HouseSetUp | null> {
  const held = await orNothing(deviceStore().then((db) => db.get('answers', HOUSE)));
  return (held?.data as HouseSetUp | undefined) ?? null;
}
/** The set-up of the page that came last is the set-up of all. */
const keepHouse = (house: HouseSetUp, at: string) =>
  orNothing(deviceStore().then((db) => db.put('answers', { at, data: house }, HOUSE)));
const HOUSE = 'house';
/** As the pages of pumps are kept: `pump("lf-01")`. */
export const pumpKey = (pumpId: string): string => `pump(${JSON.stringify(pumpId)})`;
const PUMPS = IDBKeyRangeOf('pump("');

/** The pages of all pumps that were fetched, by their ids. */
export async function heldPages(): Promise<ReadonlyMap<string, PumpPage>> {
  const house = await heldHouse();
  const held = await orNothing(deviceStore().then((db) => db.getAll('answers', PUMPS())));
  if (!house || !held) return new Map();
  return new Map(
    held.flatMap(({ data }) => {
      const { pumpPage: page } = data as Slim;
      return page ? [[page.row.pumpId, { ...page, setUp: { ...page.setUp, house } }] as const] : [];
    }),
  );
}

/** Journals of a pump that were fetched, the newest entries of each. */
export async function heldJournals(pumpId: string): Promise<readonly unknown[]> {
  const db = await orNothing(deviceStore());
  const keys = (await orNothing(db?.getAllKeys('answers', IDBKeyRangeOf('journal(')()) ?? Promise.resolve([]))) ?? [];
  const named = keys.filter((key) => key.includes(`"pumpId":${JSON.stringify(pumpId)}`));
  const held = await Promise.all(named.map((key) => heldAnswer(key)));
  return held.flatMap((one) => one?.data ?? []);
}

/** Made when it is asked for: where a browser has no database, loading this file must not fail. */
function IDBKeyRangeOf(prefix: string): () => IDBKeyRange {
  return () => IDBKeyRange.bound(prefix, `${prefix}\uffff`);
}

/** Another house answers, or another person asks: what was answered before is not shown to them. */
export function askedAs(asking: Asking): Promise<void> {
  adopting = adopt(asking);
  return adopting;
}

async function adopt(asking: Asking): Promise<void> {
  const db = await orNothing(deviceStore());
  if (!db) return;
  const before = (await orNothing(db.get('facts', ASKING))) as Asking | undefined;
  if (before?.house === asking.house && before.who === asking.who) return;
  if (before && (before.house !== asking.house || before.sees !== asking.sees)) await forgetAnswers();
  await orNothing(db.put('facts', asking, ASKING));
}

/** Which house answered last, and to whom; null before any did. */
export const lastAsking = async (): Promise<Asking | null> =>
  adopting.then(
    async () => ((await orNothing(deviceStore().then((db) => db.get('facts', ASKING)))) as Asking | undefined) ?? null,
  );

/** Whoever was signed in is not any more. What waits stays: it is theirs, and is sent when they are back. */
export async function forgetAnswers(): Promise<void> {
  await orNothing(deviceStore().then((db) => db.clear('answers')));
  if ('caches' in globalThis) await orNothing(caches.delete(PHOTOGRAPHS));
}
/** As the service worker keeps them, see vite.config.ts. */
const PHOTOGRAPHS = 'photographs';

/** How far the changes had come when all pumps were fetched. */
export interface Stand {
  readonly epoch: string;
  readonly seq: number;
}
export const carriedUntil = async (): Promise<Stand | null> =>
  ((await heldAnswer('carried'))?.data as Stand | undefined) ?? null;
export const keepCarried = (stand: Stand): Promise<void> => keepAnswer('carried', 'carried', stand);
