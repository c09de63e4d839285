import { v7 as newId } from 'uuid';
import { takeRecalled } from '../api/base-api.js';
import { houseApi } from '../api/house-api.js';
import type { Store } from '../device/store.js';
import { toastsSlice } from '../device/toasts-slice.js';
import { outbox } from '../held/outbox.js';
import { carryAlong } from './carry-along.js';
import { sendWaiting } from './send-waiting.js';

/** Another try, where nothing says that the connection is back. */
const AGAIN_MS = 20_000;
/** The first view comes first. */
const CARRY_AFTER_MS = 5000;
/** What others write comes in bursts. */
const CARRY_AGAIN_MS = 4000;

const sentWords = (sent: number): string =>
  sent === 1 ? 'The entry that waited has been sent' : `${sent} entries that waited have been sent`;

type Again = { initiate(arg: unknown, how: { forceRefetch: true; subscribe: false }): never };

/** What is shown from memory bears no mark of it once the server answers: it is asked for at once, whatever else is under way. */
function readAnew({ dispatch }: Store): void {
  for (const { endpoint, arg } of takeRecalled()) {
    const again = (houseApi.endpoints as Readonly<Record<string, unknown>>)[endpoint] as Again;
    dispatch(again.initiate(arg, { forceRefetch: true, subscribe: false }));
  }
}

/**
 * Sends what waits on this device as soon as there is a connection, and keeps at hand what is needed without one.
 * @returns to be told when something was changed by whomever
 */
export async function keepSending(store: Store): Promise<{ changed: () => void }> {
  await outbox.opened();
  const trySending = async () => {
    if (!outbox.all().some(({ state }) => state === 'waiting')) return;
    const { sent } = await sendWaiting(store.dispatch);
    if (sent > 0) store.dispatch(toastsSlice.actions.shown({ id: newId(), words: sentWords(sent), undo: null }));
  };
  let before = store.getState().connection;
  let carrying: ReturnType<typeof setTimeout> | undefined;
  const carrySoon = (afterMs: number) => {
    clearTimeout(carrying);
    carrying = setTimeout(() => void carryAlong(store), afterMs);
  };
  store.subscribe(() => {
    const { connection } = store.getState();
    const isBack = before.isLost && !connection.isLost;
    before = connection;
    if (!isBack) return;
    readAnew(store);
    void trySending();
    carrySoon(CARRY_AGAIN_MS);
  });
  window.addEventListener('online', () => void trySending());
  setInterval(() => void trySending(), AGAIN_MS);
  void trySending();
  carrySoon(CARRY_AFTER_MS);
  return { changed: () => carrySoon(CARRY_AGAIN_MS) };
}
