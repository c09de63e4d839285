import type { ReactNode } from 'react';
import { Button } from '../ui/button.js';

/** A value of a step, and a way past it where it may stay unsaid. */
export function AnswerForm({
  busy,
  unsaid,
  onNext,
  onUnsaid,
  children,
}: {
  busy: boolean;
  /** What leaves it unsaid; none where it is wanted. */
  unsaid: string | null;
  onNext: () => void;
  onUnsaid: () => void;
  children: ReactNode;
}) {
  return (
    <form
      className="flex flex-col gap-4"
      onSubmit={(event) => {
        event.preventDefault();
        onNext();
      }}
    >
      {children}
      <div className="flex flex-wrap gap-3">
        <Button type="submit" size="field" look="solid" disabled={busy} className="min-w-40 justify-center">
          Next
        </Button>
        {unsaid && (
          <Button size="field" disabled={busy} onClick={onUnsaid}>
            {unsaid}
          </Button>
        )}
      </div>
    </form>
  );
}
