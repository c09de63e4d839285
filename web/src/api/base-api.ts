import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react';
import { doorSlice } from './door-slice.js';

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

/** Whatever is asked for, the server may want to know first who asks. */
const askAtTheDoor: typeof ask = async (...question) => {
  const answer = await ask(...question);
  if (answer.error?.status === 401) question[1].dispatch(doorSlice.actions.shut());
  return answer;
};

/** The one API slice; its endpoints are generated from the server's OpenAPI document. */
export const baseApi = createApi({
  reducerPath: 'api',
  baseQuery: askAtTheDoor,
  tagTypes: TAG_TYPES,
  refetchOnReconnect: true,
  refetchOnFocus: true,
  endpoints: () => ({}),
});
