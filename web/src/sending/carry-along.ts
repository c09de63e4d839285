import type { ChangesAnswer, JournalPage, PumpPage } from '@winter-jar/contracts';
import { houseApi } from '../api/house-api.js';
import type { Store } from '../device/store.js';
import { carriedUntil, keepAnswer, keepCarried, type Stand } from '../held/answers.js';
import { TOLD_KINDS } from '../words/kind-words.js';

/** Entries of each pump that are at hand without a connection. */
const ENTRIES = 200;
/** The server works out what is wrong with a pump for whoever asks now; pumps in need of hands are few. */
const DIAGNOSES = 20;
/** Between two pumps, so that whoever works at the page does not feel it. */
const PAUSE_MS = 40;
const pause = () => new Promise((resolve) => setTimeout(resolve, PAUSE_MS));

const BRIEF = { forceRefetch: true, subscribe: false } as const;

/** What a pump's pages and forms are drawn of. */
async function carryPump({ dispatch }: Store, pumpId: string): Promise<PumpPage | undefined> {
  const { data: page } = await dispatch(houseApi.endpoints.pump.initiate(pumpId, BRIEF));
  if (!page) return undefined;
  const { jobId } = page.state.job ?? {};
  if (jobId !== undefined) await dispatch(houseApi.endpoints.job.initiate({ pumpId, jobId }, BRIEF));
  const asked = { pumpId, kinds: TOLD_KINDS.join(',') };
  await dispatch(houseApi.endpoints.water.initiate(pumpId, BRIEF));
  await dispatch(houseApi.endpoints.oilStory.initiate(pumpId, BRIEF));
  const lines: JournalPage['lines'][number][] = [];
  let before: string | null | undefined;
  while (before !== null && lines.length < ENTRIES) {
    const more = before === undefined ? asked : { ...asked, before };
    const { data } = await dispatch(houseApi.endpoints.journal.initiate(more, BRIEF));
    if (!data) return undefined;
    lines.push(...data.lines);
    before = data.before;
  }
  await keepAnswer('journal', `journal(${JSON.stringify(keysSorted(asked))})`, { lines, before: null });
  return page;
}

/** As the endpoints' keys have them. */
const keysSorted = (arg: Readonly<Record<string, string>>) =>
  Object.fromEntries(Object.entries(arg).sort(([a], [b]) => (a < b ? -1 : 1)));

/** What changed since all of it was carried. */
async function changedSince({ dispatch }: Store, stand: Stand | null): Promise<ChangesAnswer | null> {
  const asked = stand ? { since: stand.seq, epoch: stand.epoch } : { since: 0 };
  const { data } = await dispatch(houseApi.endpoints.changes.initiate(asked, BRIEF));
  return data ?? null;
}

let isCarrying = false;

/**
 * Fetches what a day without a connection needs, after the first view and whenever something changed: the Round, the set-up, and of
 * each pump its page, its last entries and the service that is under way. Only pumps that changed are fetched again.
 */
export async function carryAlong(store: Store): Promise<void> {
  if (isCarrying || store.getState().connection.isLost || store.getState().door.isShut) return;
  isCarrying = true;
  try {
    await carry(store);
  } finally {
    isCarrying = false;
  }
}

async function carry(store: Store): Promise<void> {
  const { dispatch } = store;
  const stand = await carriedUntil();
  const changes = await changedSince(store, stand);
  if (!changes) return;
  const isAll = stand === null || changes.startOver || changes.pumpIds === null || changes.kinds.includes('setUp');
  if (!isAll && changes.seq === stand.seq) return;
  const { setUp, store: shelf, unsettled, untold, serviceTimes, round } = houseApi.endpoints;
  const { data: house } = await dispatch(setUp.initiate(undefined, BRIEF));
  await Promise.all([
    dispatch(shelf.initiate(undefined, BRIEF)),
    dispatch(unsettled.initiate(undefined, BRIEF)),
    dispatch(untold.initiate(undefined, BRIEF)),
    dispatch(serviceTimes.initiate(undefined, BRIEF)),
  ]);
  const { data: all } = await dispatch(round.initiate(undefined, BRIEF));
  if (!house || !all) return;
  // Those in need of hands first: the rest may not be through when the connection goes.
  const order = [...new Set([...all.rows.map((row) => row.pumpId), ...Object.keys(house.house.pump)])];
  let diagnosed = 0;
  for (const pumpId of order.filter((id) => isAll || changes.pumpIds?.includes(id))) {
    if (store.getState().connection.isLost) return;
    const page = await carryPump(store, pumpId);
    if (!page) return;
    if (page.standing.verdict !== 'runOn' && diagnosed < DIAGNOSES) {
      diagnosed += 1;
      await dispatch(houseApi.endpoints.diagnosis.initiate({ pumpId }, BRIEF));
    }
    await pause();
  }
  await keepCarried({ epoch: changes.epoch, seq: changes.seq });
}
