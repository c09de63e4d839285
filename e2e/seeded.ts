import { fileURLToPath } from 'node:url';

export const SEEDED = fileURLToPath(new URL('../.cache/e2e-yard', import.meta.url));

/** What a browser says of a server that was stopped on purpose: it asks for the stream of changes again and again. */
export const WHILE_STOPPED = /net::ERR_/;

/** Most tests go without a service worker, see the configuration. */
export const NO_WORKER = /Service Worker registration blocked/;
