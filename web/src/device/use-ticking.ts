import { useEffect, useState } from 'react';

/** The device's moment, second by second, while something waits for it. */
export function useTicking(isWaited: boolean): number {
  const [nowMs, setNowMs] = useState(() => Date.now());
  useEffect(() => {
    if (!isWaited) return undefined;
    setNowMs(Date.now());
    const timer = setInterval(() => setNowMs(Date.now()), 1000);
    return () => clearInterval(timer);
  }, [isWaited]);
  return nowMs;
}
