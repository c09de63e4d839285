import type { ReactNode } from 'react';
import { Button } from './button.js';

/** Loading, error and empty: each says what is going on and what to do. */
export function Loading({ what }: { what: string }) {
  return (
    <p role="status" className="p-6 text-ink-2">
      Fetching {what} …
    </p>
  );
}

interface State {
  readonly title: string;
  readonly children: ReactNode;
  /** It stands within a page that has its heading; without it this is all that the page says. */
  readonly inside?: boolean;
}

function Heading({ title, inside }: Omit<State, 'children'>) {
  const Level = inside ? 'h2' : 'h1';
  return <Level className="text-[18px]">{title}</Level>;
}

export function Trouble({ title, children, inside, onRetry }: State & { onRetry?: () => void }) {
  return (
    <div role="alert" className="m-4 border-l-4 border-stop bg-sheet p-4">
      <Heading title={title} inside={inside} />
      <p className="mt-1">{children}</p>
      {onRetry && (
        <Button className="mt-4" onClick={onRetry}>
          Try again
        </Button>
      )}
    </div>
  );
}

/** What an address names could not be had: there is none, or the server does not answer. */
export function NotFetched({
  what,
  error,
  none,
  onRetry,
}: {
  /** As in "There is no such pump". */
  what: string;
  error: object | undefined;
  /** What to do where there is none. */
  none: string;
  onRetry: () => void;
}) {
  const missing = error !== undefined && 'status' in error && error.status === 404;
  return (
    <main>
      <Trouble title={missing ? `There is no such ${what}` : `The ${what} could not be fetched`} onRetry={onRetry}>
        {missing ? none : 'The server does not answer.'}
      </Trouble>
    </main>
  );
}

export function Empty({ title, children, inside }: State) {
  return (
    <div className="m-4 border-l-4 border-rule p-4">
      <Heading title={title} inside={inside} />
      <p className="mt-1 text-ink-2">{children}</p>
    </div>
  );
}
