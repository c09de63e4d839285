/// <reference types="vite-plugin-pwa/client" />
import { registerSW } from 'virtual:pwa-register';
import type { Store } from '../device/store.js';
import { outbox } from '../held/outbox.js';

/** A newer version is looked for, where a page stays open for days. */
const LOOK_EVERY_MS = 30 * 60_000;
/** Nobody has typed anything yet. */
const JUST_OPENED_MS = 10_000;

/**
 * The service worker that keeps the app on this device: begun after the first view. A newer version takes over when nothing waits and
 * nobody is in the middle of something; until then the one of before goes on. By plain http from another machine browsers allow none.
 */
export function beginOwnWorker(store: Store): void {
  if (!('serviceWorker' in navigator)) return;
  let isNewer = false;
  const takeOver = () => {
    if (!isNewer || outbox.all().length > 0 || store.getState().connection.isLost) return;
    if (document.visibilityState === 'hidden' || performance.now() < JUST_OPENED_MS) void renew(true);
  };
  const renew = registerSW({
    onNeedRefresh() {
      isNewer = true;
      takeOver();
    },
    onRegisteredSW(_url, registration) {
      if (registration) setInterval(() => void registration.update().catch(() => undefined), LOOK_EVERY_MS);
    },
  });
  document.addEventListener('visibilitychange', takeOver);
  outbox.subscribe(takeOver);
}
