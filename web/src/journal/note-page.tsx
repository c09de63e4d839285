import { Field, inputClass } from '../ui/field.js';
import { EntryScreen, WithPump, type EntryPageProps } from '../entry/entry-page.js';
import { exactly, type FormAnswer } from '../entry/deed.js';
import { useEntryForm } from '../entry/use-entry-form.js';
import { happenedAt, happensNow, WHEN_WRONG, WhenField, whenOf, type When } from '../forms/when-field.js';

interface NoteValues extends When {
  text: string;
}

export function NotePage() {
  return <WithPump needsOil={false}>{(props) => <Note {...props} />}</WithPump>;
}

function Note(props: EntryPageProps) {
  const { page, correctId } = props;
  const { zone } = page.row;

  function read(v: NoteValues): FormAnswer<'note'> {
    const at = whenOf(v, zone, Date.now());
    const text = v.text.trim();
    const issues = {
      ...(text ? {} : { text: 'Say something, in 2,000 characters at most.' }),
      ...(at ? {} : { at: WHEN_WRONG }),
    };
    return at && text ? exactly('note', at, { text }) : { ok: false, issues };
  }
  const form = useEntryForm<'note', NoteValues>({
    kind: 'note',
    page,
    defaults: { text: '', ...happensNow(zone) },
    read,
    fill: (entry) => ({ text: entry.body.text, ...happenedAt(entry.happenedAt, zone) }),
    savedWords: () => 'Note saved',
    correctId,
  });
  const { values, set, error } = form;

  return (
    <EntryScreen title="Note" props={props} form={form} saveWords="Save the note">
      <Field label="Note" error={error('text')}>
        {({ id, describedBy, invalid }) => (
          <textarea
            id={id}
            rows={4}
            maxLength={2000}
            className={`${inputClass(invalid)} py-3`}
            value={values.text}
            onChange={(e) => set('text')(e.target.value)}
            aria-describedby={describedBy}
            aria-invalid={invalid}
          />
        )}
      </Field>
      <WhenField form={form} />
    </EntryScreen>
  );
}
