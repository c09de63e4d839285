import { Button } from './button.js';

/** Long work on the server: how far it is, what it means meanwhile, and a way to stop it. */
export function UnderWay({
  title,
  progress,
  words,
  stop,
  busy = false,
  onStop,
}: {
  title: string;
  /** From 0 to 1. */
  progress: number;
  words: string;
  stop: string;
  busy?: boolean;
  onStop: () => void;
}) {
  const percent = Math.floor(progress * 100);
  return (
    <section>
      <h2 className="text-[20px]">{title}</h2>
      <div
        role="progressbar"
        aria-label={title}
        aria-valuemin={0}
        aria-valuemax={100}
        aria-valuenow={percent}
        className="mt-3 h-3 max-w-[480px] border border-rule bg-sheet"
      >
        <div className="h-full bg-oil" style={{ width: `${percent}%` }} />
      </div>
      <p className="mt-2">
        <span className="figure">{percent} %.</span> {words}
      </p>
      <Button className="mt-3" disabled={busy} onClick={onStop}>
        {stop}
      </Button>
    </section>
  );
}
