import type { ReactNode } from 'react';
import { Field, inputClass } from './field.js';

export interface Option {
  readonly value: string;
  readonly words: string;
  /** Heading under which it stands. */
  readonly group?: string;
}

/** One of many, from a list. */
export function SelectField({
  label,
  value,
  onChange,
  options,
  empty,
  error,
  hint,
}: {
  label: string;
  value: string;
  onChange: (value: string) => void;
  options: readonly Option[];
  /** Words of the choice of nothing; without them something must be chosen. */
  empty?: string;
  error?: string | undefined;
  hint?: ReactNode;
}) {
  const groups = [...new Set(options.map((o) => o.group))];
  const listed = (group: string | undefined) =>
    options
      .filter((o) => o.group === group)
      .map((o) => (
        <option key={o.value} value={o.value}>
          {o.words}
        </option>
      ));
  return (
    <Field label={label} error={error} hint={hint}>
      {({ id, describedBy, invalid }) => (
        <select
          id={id}
          className={inputClass(invalid)}
          value={value}
          onChange={(e) => onChange(e.target.value)}
          aria-describedby={describedBy}
          aria-invalid={invalid}
        >
          {(empty !== undefined || !options.some((o) => o.value === value)) && (
            <option value="">{empty ?? 'choose …'}</option>
          )}
          {groups.map((group) =>
            group === undefined ? (
              listed(group)
            ) : (
              <optgroup key={group} label={group}>
                {listed(group)}
              </optgroup>
            ),
          )}
        </select>
      )}
    </Field>
  );
}
