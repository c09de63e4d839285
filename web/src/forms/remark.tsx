import { Field, inputClass } from '../ui/field.js';
import type { Remarked } from './remark-of.js';
import type { FormFields } from './use-drafted-form.js';

export function Remark<V extends Remarked>({ form }: { form: FormFields<V> }) {
  const set = form.set as (name: keyof Remarked) => (value: string) => void;
  return (
    <Field label="Anything odd" error={form.error('remark')}>
      {({ id, describedBy, invalid }) => (
        <textarea
          id={id}
          rows={2}
          maxLength={500}
          className={`${inputClass(invalid)} field-sizing-content min-h-20 py-3`}
          value={form.values.remark}
          onChange={(e) => set('remark')(e.target.value)}
          aria-describedby={describedBy}
          aria-invalid={invalid}
        />
      )}
    </Field>
  );
}
