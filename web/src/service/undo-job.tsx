import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useUndo } from '../entry/use-undo.js';
import { Button } from '../ui/button.js';

/** Takes a whole job back, with all that it left in the record. */
export function UndoJob({ entryId, back }: { entryId: string; back: string }) {
  const { undo } = useUndo();
  const navigate = useNavigate();
  const [busy, setBusy] = useState(false);
  return (
    <div className="no-print mt-6">
      <Button
        needs="log"
        disabled={busy}
        onClick={() => {
          setBusy(true);
          // Its own page would ask for it once more.
          void Promise.resolve(navigate(back)).then(() => undo({ entryIds: [entryId] }));
        }}
      >
        Undo the whole job
      </Button>
      <p className="mt-2 text-[14px] text-ink-2">
        Takes back its steps and all that it left in the record. A single value is corrected in the pump’s journal.
      </p>
    </div>
  );
}
