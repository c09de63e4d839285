import { useId, type ReactNode } from 'react';
import { typedDayWords } from './typed-day.js';

export interface FieldNames {
  readonly id: string;
  readonly describedBy: string | undefined;
  readonly invalid: boolean;
}

/** A labelled control with its echo or its error beneath. */
export function Field({
  label,
  error,
  hint,
  children,
}: {
  label: string;
  error?: string | undefined;
  hint?: ReactNode;
  children: (names: FieldNames) => ReactNode;
}) {
  const id = useId();
  const below = error ?? hint;
  return (
    <div className="flex min-w-0 flex-col gap-2">
      <label htmlFor={id} className="font-semibold">
        {label}
      </label>
      {children({ id, describedBy: below ? `${id}-below` : undefined, invalid: Boolean(error) })}
      {below && (
        <p
          id={`${id}-below`}
          className={`text-[14px] ${error ? 'font-semibold text-stop' : 'text-ink-2'}`}
          {...(error ? { role: 'alert' } : {})}
        >
          {error ?? hint}
        </p>
      )}
    </div>
  );
}

export const inputClass = (invalid: boolean): string =>
  `min-h-14 w-full min-w-0 rounded-[6px] border bg-sheet px-4 text-[17px] ${invalid ? 'border-2 border-stop' : 'border-edge'}`;

/** A labelled input of one line, for what is not a quantity. */
export function TextField({
  label,
  value,
  onText,
  type = 'text',
  error,
  hint,
  inputMode,
  autoComplete,
}: {
  label: string;
  value: string;
  onText: (text: string) => void;
  type?: 'text' | 'password' | 'date' | 'datetime-local';
  error?: string | undefined;
  hint?: string;
  inputMode?: 'numeric' | 'decimal';
  /** What a browser or a keeper of passwords may fill in, as HTML names it. */
  autoComplete?: string;
}) {
  const said = type === 'text' || type === 'password' ? null : typedDayWords(value);
  return (
    <Field label={label} error={error} hint={[said, hint].filter(Boolean).join(' · ') || undefined}>
      {({ id, describedBy, invalid }) => (
        <input
          id={id}
          type={type}
          className={inputClass(invalid)}
          value={value}
          onChange={(e) => onText(e.target.value)}
          aria-describedby={describedBy}
          aria-invalid={invalid}
          {...(inputMode ? { inputMode } : {})}
          {...(autoComplete ? { autoComplete } : {})}
        />
      )}
    </Field>
  );
}
