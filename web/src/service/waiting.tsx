import { localTime, type Step, type WaitBegun } from '@winter-jar/core';
import { useEffect, useRef } from 'react';
import { ring } from '../device/ring.js';
import { usePrint } from '../device/use-print.js';
import { useTicking } from '../device/use-ticking.js';
import { Button } from '../ui/button.js';
import { clock } from '../ui/number.js';
import { capital } from '../ui/number.js';

/** A wait: its end as a clock time, kept on the server. It rings once on the device that was there when it began. */
export function Waiting({
  step,
  begun,
  zone,
  busy,
  onDone,
}: {
  step: Extract<Step, { kind: 'wait' }>;
  begun: WaitBegun | null;
  zone: string;
  busy: boolean;
  onDone: () => void;
}) {
  const print = usePrint();
  const endMs = begun?.until ? Date.parse(begun.until) : null;
  const nowMs = useTicking(endMs !== null);
  const leftMs = endMs === null ? 0 : Math.max(0, endMs - nowMs);
  const isOver = leftMs === 0;
  const wasOver = useRef(isOver);
  useEffect(() => {
    if (isOver && !wasOver.current) ring();
    wasOver.current = isOver;
  }, [isOver]);
  const end = begun?.until ? localTime({ at: begun.until, zone }) : null;
  // What it is waited for is seen, not timed.
  const isSeen = step.until !== undefined;
  return (
    <div className="flex flex-col gap-4">
      {end && (
        <p>
          <span className="block text-[15px] text-ink-2">{isSeen ? 'Usually by' : 'Until'}</span>
          <time dateTime={begun?.until ?? ''} className="figure block text-[44px] leading-none">
            {end}
          </time>
          <span className="mt-1 block text-[15px] text-ink-2" aria-live="polite">
            {isOver ? 'The time is over.' : <span className="figure">{clock(leftMs / 1000)}</span>}
          </span>
        </p>
      )}
      {!end && <p className="text-ink-2">About {print.duration(step.minutes)}.</p>}
      <Button
        size="field"
        look="solid"
        disabled={busy || !(isSeen || isOver)}
        onClick={onDone}
        className="justify-center"
      >
        {isSeen ? `${capital(step.until ?? '')}` : isOver ? 'Go on' : `Go on, from ${end}`}
      </Button>
    </div>
  );
}
