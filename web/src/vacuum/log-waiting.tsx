import { Button } from '../ui/button.js';

/** A log that is not judged yet: what is missing, how far it is, or that it was stopped. */
export function LogWaiting({
  isStopped,
  readShare,
  lack,
  onStop,
  onAgain,
}: {
  isStopped: boolean;
  readShare: number;
  lack: string | null;
  onStop: () => void;
  onAgain: () => void;
}) {
  if (lack !== null)
    return (
      <p aria-live="polite" className="border-l-4 border-look-sooner pl-3 font-semibold">
        {lack} Then it is judged.
      </p>
    );
  if (isStopped)
    return (
      <div className="flex flex-wrap items-center gap-3">
        <p>Stopped before it was judged.</p>
        <Button onClick={onAgain}>Judge it</Button>
      </div>
    );
  return (
    <div className="flex flex-wrap items-center gap-3">
      <p aria-live="polite">{readShare < 1 ? 'Reading it …' : 'Fitting it …'}</p>
      <progress aria-label="How much of the log was read" max={1} value={readShare} className="h-2 min-w-0 flex-1" />
      <Button onClick={onStop}>Stop</Button>
    </div>
  );
}
