import type { Subject } from '@winter-jar/core';
import { useDraftedForm } from '../forms/use-drafted-form.js';
import { Button } from '../ui/button.js';
import { Field, inputClass } from '../ui/field.js';
import { useQuickEntry } from './use-quick-entry.js';

const NOTHING = { text: '' };

/** A line for a note about a pump or an equipment, written as it stands. */
export function NoteField({ subject, zone }: { subject: Subject; zone: string }) {
  const drafted = useDraftedForm(
    `note-line/${subject.type === 'pump' ? subject.id : `${subject.type}/${subject.id}`}`,
    NOTHING,
  );
  const { text } = drafted.values;
  const { write, busy } = useQuickEntry({ subject, zone });
  const clear = () => {
    drafted.form.reset(NOTHING);
    void drafted.drop();
  };
  return (
    <form
      className="no-print flex items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (text.trim()) void write('note', { text: text.trim() }, 'Note saved').then((stored) => stored && clear());
      }}
    >
      <div className="flex-1">
        <Field label="Note">
          {({ id }) => (
            <input
              id={id}
              className={`${inputClass(false)} !min-h-11 !text-[15px]`}
              maxLength={2000}
              value={text ?? ''}
              disabled={!drafted.ready}
              onChange={(e) => drafted.set('text')(e.target.value)}
            />
          )}
        </Field>
      </div>
      <Button type="submit" className="!min-h-11" disabled={busy || text.trim() === ''}>
        Write
      </Button>
    </form>
  );
}
