import { useEffect, useState } from 'react';

/**
 * Keeps the screen awake while a page that stands beside wet hands is open. Browsers allow it over https and on localhost alone.
 * @returns whether this browser can
 */
export function useWakeLock(): boolean {
  const [can, setCan] = useState('wakeLock' in navigator);
  useEffect(() => {
    if (!('wakeLock' in navigator)) return undefined;
    let lock: WakeLockSentinel | null = null;
    let isGone = false;
    const take = () => {
      if (document.visibilityState !== 'visible') return;
      navigator.wakeLock
        .request('screen')
        .then((taken) => {
          if (isGone) void taken.release();
          else lock = taken;
        })
        // Refused, as with an empty battery.
        .catch(() => setCan(false));
    };
    take();
    // A page that was hidden has lost it.
    document.addEventListener('visibilitychange', take);
    return () => {
      isGone = true;
      document.removeEventListener('visibilitychange', take);
      void lock?.release();
    };
  }, []);
  return can;
}
