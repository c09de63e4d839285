import type { InstrumentsAnswer, ReadingsSent } from '@winter-jar/contracts';
import { useEffect, useRef, useState } from 'react';

const AGAIN_MS = 3000;

/**
 * How all instruments stand, once a second, and the readings of one as they come.
 * @param of the instrument whose readings are heard; null for none
 * @param onReadings told what came, some ten times a second; it may be another function at each drawing
 * @returns null before the first answer; `broken` while the server does not answer
 */
export function useLive(
  of: string | null,
  onReadings: (readings: ReadingsSent['readings']) => void = () => undefined,
): { readonly answer: InstrumentsAnswer | null; readonly broken: boolean } {
  const [answer, setAnswer] = useState<InstrumentsAnswer | null>(null);
  const [broken, setBroken] = useState(false);
  const hear = useRef(onReadings);
  useEffect(() => {
    hear.current = onReadings;
  });
  useEffect(() => {
    let stream: EventSource;
    let again: ReturnType<typeof setTimeout> | null = null;
    const listen = () => {
      stream = new EventSource(`/api/instruments/stream${of === null ? '' : `?of=${encodeURIComponent(of)}`}`);
      stream.addEventListener('instruments', ({ data }: MessageEvent<string>) => {
        setBroken(false);
        setAnswer(JSON.parse(data) as InstrumentsAnswer);
      });
      stream.addEventListener('readings', ({ data }: MessageEvent<string>) =>
        hear.current((JSON.parse(data) as ReadingsSent).readings),
      );
      stream.onerror = () => {
        setBroken(true);
        // A broken connection is mended by the browser itself; one that was refused is not.
        if (stream.readyState === EventSource.CLOSED) again = setTimeout(listen, AGAIN_MS);
      };
    };
    listen();
    return () => {
      stream.close();
      if (again) clearTimeout(again);
    };
  }, [of]);
  return { answer, broken };
}
