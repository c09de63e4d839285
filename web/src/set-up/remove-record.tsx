import { number } from '../ui/number.js';
import type { ApiProblem } from '@winter-jar/contracts';
import { rightsOfRecord, type SetUpKind } from '@winter-jar/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { v7 as newId } from 'uuid';
import { useRemoveSetUpMutation } from '../api/house-api.js';
import { useAppDispatch } from '../device/store.js';
import { toastsSlice } from '../device/toasts-slice.js';
import { Button } from '../ui/button.js';

/** A record goes as long as nothing names it; else it says what does, and what to do instead. */
export function RemoveRecord({ kind, id, name, back }: { kind: SetUpKind; id: string; name: string; back: string }) {
  const [asked, setAsked] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [remove, { isLoading }] = useRemoveSetUpMutation();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();

  async function go() {
    setTrouble(null);
    const { error } = await remove({ records: [{ kind, id }] });
    if (!error) {
      dispatch(toastsSlice.actions.shown({ id: newId(), words: `${name} deleted`, undo: null }));
      return void navigate(back, { replace: true });
    }
    const problem = (error as { data?: ApiProblem }).data;
    setTrouble(problem ? whyWords(problem, kind) : 'The server does not answer. Nothing was deleted; try again.');
  }

  if (!asked)
    return (
      <Button needs={rightsOfRecord(kind)} look="plain" className="mt-6 !px-0" onClick={() => setAsked(true)}>
        Delete it …
      </Button>
    );
  return (
    <section aria-label="Delete it" className="mt-6 flex flex-col gap-3 border-l-4 border-stop pl-4">
      {trouble ? (
        <p role="alert">{trouble}</p>
      ) : (
        <p>
          {name} and all that was ever set up of it go for good{kind === 'pump' && ', with its take-over'}. Nothing else
          changes: what an entry or another record names cannot be deleted.
        </p>
      )}
      <div className="flex gap-3">
        {!trouble && (
          <Button disabled={isLoading} onClick={() => void go()}>
            Delete {name}
          </Button>
        )}
        <Button look="solid" onClick={() => setAsked(false)}>
          Leave it
        </Button>
      </div>
    </section>
  );
}

function whyWords({ issues }: ApiProblem, kind: SetUpKind): string {
  const [issue] = issues;
  const instead = kind === 'pump' ? ' Retire it instead: choose “retired” above.' : '';
  if (typeof issue?.value === 'number')
    return `It cannot be deleted: ${issue.value === 1 ? 'an entry' : `${number(Number(issue.value))} entries`} of the journal name it, taken back or not.${instead}`;
  if (typeof issue?.value === 'string') return `It cannot be deleted: ${issue.value} names it, or did.${instead}`;
  return `It cannot be deleted. Right would be ${issue?.right ?? 'another record'}.`;
}
