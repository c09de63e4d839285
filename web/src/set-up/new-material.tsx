import type { HouseSetUp, Process, SetUpBodies } from '@winter-jar/core';
import { useState } from 'react';
import { v7 as newId } from 'uuid';
import { useUnits } from '../device/use-units.js';
import { useDraftedForm } from '../forms/use-drafted-form.js';
import { Button } from '../ui/button.js';
import { firstVersion, recordId } from './new-version.js';
import { RecordFields } from './record-fields.js';
import { initialValues, readRecord } from './record-form.js';
import { weightOf } from './record-words.js';
import { useWriteSetUp } from './use-write-set-up.js';

/** A material that is not in the house yet, made beside the run that needs it. */
export function NewMaterial({
  house,
  process,
  onAdded,
  onLeave,
}: {
  house: HouseSetUp;
  process: Process;
  onAdded: (id: string) => void;
  onLeave: () => void;
}) {
  const units = useUnits();
  const [start] = useState(() => initialValues('material', { process }));
  const drafted = useDraftedForm<Record<string, string>>('set-up/material/beside-a-run', start);
  const { values, ids, set, error, show, form } = drafted;
  const { write, busy } = useWriteSetUp();
  const [failed, setFailed] = useState(false);
  const read = readRecord('material', values, units);

  async function add() {
    form.clearErrors();
    setFailed(false);
    if (!read.ok) return show(read.issues);
    const subjectId = recordId(values.name ?? '', ids.idFor('record'));
    const body = read.body as SetUpBodies['material'];
    const at = new Date().toISOString();
    const result = await write([firstVersion('material', { id: newId(), subjectId, at, body })], null);
    if (result.kind !== 'written') return setFailed(true);
    await drafted.drop();
    onAdded(subjectId);
  }
  return (
    <section aria-label="New material" className="flex flex-col gap-5 border-l-4 border-oil bg-sheet p-4">
      <RecordFields kind="material" values={values} set={set} error={error} house={house} />
      {read.ok && (
        <p>
          A plain run with it weighs <span className="figure font-semibold">{weightOf(read.body as never)}</span>.
        </p>
      )}
      {failed && (
        <p role="alert" className="font-semibold text-stop">
          Not saved: the server does not answer. What you typed is kept; try again.
        </p>
      )}
      <div className="flex flex-wrap gap-3">
        <Button look="solid" size="field" disabled={busy} onClick={() => void add()}>
          Add and use it
        </Button>
        <Button size="field" onClick={onLeave}>
          Leave it
        </Button>
      </div>
    </section>
  );
}
