import { useEffect, useState } from 'react';

/** The device's moment, second by second, while something waits for it. */
export function useTicking(isWaited: boolean): number {
  const [nowMs, setNowMs] = useState(() => Date.now());
  useEffect(() => {
    if (!isWaited) return undefined;
    const tick = () => setNowMs(Date.now());
    tick();
    const timer = setInterval(tick, 1000);
    // A screen that wakes shows the moment at once: its timers slept.
    document.addEventListener('visibilitychange', tick);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', tick);
    };
  }, [isWaited]);
  return nowMs;
}
