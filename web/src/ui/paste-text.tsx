import { useState, type ReactNode } from 'react';
import { Button } from './button.js';
import { Field, inputClass } from './field.js';

const LINES = 6;

/** Rows straight from a spreadsheet or a note, folded away until they are wanted. */
export function PasteText({
  label,
  hint,
  button,
  onText,
}: {
  label: string;
  hint: ReactNode;
  button: string;
  onText: (text: string) => void;
}) {
  const [text, setText] = useState('');
  return (
    <details className="mt-4">
      <summary className="flex min-h-11 cursor-pointer items-center underline">Or paste rows</summary>
      <div className="flex flex-col gap-3">
        <Field label={label} hint={hint}>
          {({ id, describedBy }) => (
            <textarea
              id={id}
              rows={LINES}
              className={`${inputClass(false)} figure py-3 text-[15px]`}
              value={text}
              onChange={(e) => setText(e.target.value)}
              aria-describedby={describedBy}
            />
          )}
        </Field>
        <div>
          <Button disabled={text.trim() === ''} onClick={() => onText(text)}>
            {button}
          </Button>
        </div>
      </div>
    </details>
  );
}
