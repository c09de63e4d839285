import type { About, DoorAnswer, RoundParts } from '@winter-jar/contracts';
import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react';
import { askedAs, forgetAnswers, heldAnswer, keepAnswer } from '../held/answers.js';
import { heldAgainst } from '../held/clock.js';
import { patienceWith } from '../held/patience.js';
import { connectionSlice, type Connection } from './connection-slice.js';
import { doorSlice } from './door-slice.js';
import { madeWhole } from './held-round.js';

/** What is read, as far as it goes stale by itself: the pages of one pump, those of equipments, the lists of all, the set-up, and what has no other. */
export const TAG_TYPES = [
  'Pump',
  'Equipment',
  'Round',
  'Entry',
  'Cases',
  'SetUp',
  'Import',
  'About',
  'Store',
  'People',
] as const;

/** Bodies that are not JSON, and one that is empty: the server takes no write without a type. */
const BODY_TYPES: Readonly<Record<string, string>> = {
  beginLogImport: 'text/csv',
  cancelLogImport: 'application/json',
  checkBackup: 'application/gzip',
  disconnectInstrument: 'application/json',
  endOtherSessions: 'application/json',
  endSession: 'application/json',
  importJournal: 'application/x-ndjson',
  openDemoYard: 'application/json',
  signOut: 'application/json',
  stopDownload: 'application/json',
  takeAccount: 'application/json',
  undoLogImport: 'application/json',
};

const ask = fetchBaseQuery({
  baseUrl: '/',
  // A long file may take a while to be taken in.
  timeout: 300_000,
  prepareHeaders: (headers, { endpoint }) => {
    const type = BODY_TYPES[endpoint];
    if (type) headers.set('content-type', type);
  },
});

/** Somebody waits before the screen, and what is not answered is kept on the device. */
const ENTRIES_MS = 15_000;

/** The server did not answer, or somebody between did in its place. @param status of the error */
export const isUnreachable = (status: number | string | undefined): boolean =>
  typeof status === 'string' ? status !== 'CUSTOM_ERROR' : status !== undefined && [502, 503, 504].includes(status);

/** Whatever is asked for, the server may want to know first who asks. */
const askAtTheDoor: typeof ask = async (args, api, extra) => {
  const { dispatch } = api;
  const answer = await ask(args, api, extra);
  const isLost = answer.error !== undefined && isUnreachable(answer.error.status);
  dispatch(isLost ? connectionSlice.actions.lost() : connectionSlice.actions.answered());
  if (answer.error?.status === 401) {
    dispatch(doorSlice.actions.shut());
    await forgetAnswers();
  }
  return answer;
};

/** What an answer tells besides: whose house it is, and what time it is there. */
function noteOf(endpoint: string, data: unknown, askedMs: number): void {
  if (endpoint === 'about') heldAgainst((data as About).now, askedMs, Date.now());
  if (endpoint === 'door') {
    const { house, who, tablet } = data as DoorAnswer;
    const personId = who?.personId ?? null;
    void askedAs({ house, who: personId, sees: tablet ? `tablet at ${tablet.siteName}` : String(personId) });
  }
}

/** Answers that are not asked for again without a connection: they are of the moment, or not for this device to keep. */
const NOT_KEPT: readonly string[] = [
  'changes',
  'download',
  'restoreProgress',
  'logImport',
  'logImportEffect',
  'people',
  'doorRecord',
  'ownSessions',
];

/** What is shown from memory, by its key. */
const recalled = new Map<string, { readonly endpoint: string; readonly arg: unknown }>();

/** What was answered from memory since it was last said. */
export function takeRecalled(): readonly { readonly endpoint: string; readonly arg: unknown }[] {
  const all = [...recalled.values()];
  recalled.clear();
  return all;
}

/** What was asked for, kept for when there is no connection; then it is answered from memory, with what waits on this device. */
const askOrRecall: typeof ask = async (args, api, extra) => {
  const { endpoint, type, queryCacheKey: key } = api;
  const within = (timeout: number) => ({ ...(typeof args === 'string' ? { url: args } : args), timeout });
  if (endpoint === 'postEntries') return askAtTheDoor(within(ENTRIES_MS), api, extra);
  if (type !== 'query' || key === undefined || NOT_KEPT.includes(endpoint)) return askAtTheDoor(args, api, extra);
  const askedMs = Date.now();
  const { isLost: isLostBefore } = (api.getState() as { connection: Connection }).connection;
  // It is what tells that there is a connection again: never waited for long.
  const patience = patienceWith(key, { signal: api.signal, isLost: isLostBefore, mayBeSlow: endpoint !== 'about' });
  const answer = await askAtTheDoor(args, { ...api, signal: patience.signal }, extra);
  patience.over();
  if (answer.error === undefined) {
    const data = endpoint === 'round' ? madeWhole(answer.data as RoundParts) : answer.data;
    noteOf(endpoint, data, askedMs);
    void keepAnswer(endpoint, key, data);
    recalled.delete(key);
    return { ...answer, data };
  }
  const isLost = isUnreachable(answer.error.status);
  if (!isLost && !(endpoint === 'entry' && answer.error.status === 404)) return answer;
  const { fromOthers, withWaiting } = await import('../held/with-waiting.js');
  const held = isLost ? await heldAnswer(key) : null;
  const arg = argOf(key);
  const data = held?.data ?? (await fromOthers(endpoint, arg));
  if (data === null || data === undefined) return answer;
  recalled.set(key, { endpoint, arg });
  if (held) api.dispatch(connectionSlice.actions.recalled(held.at));
  return { data: await withWaiting(endpoint, arg, data, new Date().toISOString()) };
};

/** What an endpoint was asked with, as its key says it: `pump("lf-01")`. */
const argOf = (key: string): unknown => {
  const text = key.slice(key.indexOf('(') + 1, -1);
  return text === 'undefined' || text === '' ? undefined : JSON.parse(text);
};

/** The one API slice; its endpoints are generated from the server's OpenAPI document. */
export const baseApi = createApi({
  reducerPath: 'api',
  baseQuery: askOrRecall,
  tagTypes: TAG_TYPES,
  refetchOnReconnect: true,
  refetchOnFocus: true,
  endpoints: () => ({}),
});
