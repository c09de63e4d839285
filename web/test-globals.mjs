// What jsdom lacks and the interface uses.
import { TextDecoder, TextEncoder } from 'node:util';

globalThis.TextEncoder ??= TextEncoder;
globalThis.TextDecoder ??= TextDecoder;
globalThis.matchMedia ??= (media) => ({ media, matches: false, addEventListener() {}, removeEventListener() {} });
globalThis.fetch ??= () => Promise.reject(new TypeError('no network in unit tests'));
// A channel to other tabs keeps the process of a test alive.
globalThis.BroadcastChannel = undefined;
