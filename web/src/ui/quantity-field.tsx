import { printQuantity, UNITS, type Dimension } from '@winter-jar/core';
import { typedQuantity } from './typed-number.js';
import { Field, inputClass } from './field.js';
import { useUnits } from '../device/use-units.js';
import { quantityIssueWords } from './quantity-text.js';

interface QuantityFieldProps {
  readonly label: string;
  readonly dimension: Dimension;
  readonly text: string;
  readonly onText: (text: string) => void;
  readonly error?: string | undefined;
  readonly min?: number;
  readonly max?: number;
  readonly hint?: string;
  /** What it was last time: taken over by a tap, never by itself. */
  readonly offer?: string;
}

const hasOthers = (dimension: Dimension): boolean => UNITS.filter((u) => u.dimension === dimension).length > 1;

/** One field for every quantity: any unit typed with its symbol, and what was understood beneath. */
export function QuantityField({ label, dimension, text, onText, error, min, max, hint, offer }: QuantityFieldProps) {
  const unit = useUnits()[dimension];
  const parsed = typedQuantity({
    text,
    dimension,
    defaultUnit: unit,
    ...(min === undefined ? {} : { min }),
    ...(max === undefined ? {} : { max }),
  });
  const empty = text.trim() === '';
  const wrong = parsed.ok || empty ? undefined : quantityIssueWords(parsed.issue, unit);
  const echo = parsed.ok
    ? `= ${printQuantity({ value: parsed.value, unit })}`
    : (hint ?? `in ${unit}${hasOthers(dimension) ? ', or with another unit' : ''}`);
  const field = (
    <Field label={label} error={wrong ?? error} hint={echo}>
      {({ id, describedBy, invalid }) => (
        <input
          id={id}
          className={`${inputClass(invalid)} figure`}
          inputMode="text"
          autoComplete="off"
          value={text}
          onChange={(e) => onText(e.target.value)}
          aria-describedby={describedBy}
          aria-invalid={invalid}
          placeholder={unit}
        />
      )}
    </Field>
  );
  if (!offer || !empty) return field;
  return (
    <div>
      {field}
      <button
        type="button"
        className="min-h-11 text-left text-[14px] underline underline-offset-4"
        onClick={() => onText(offer)}
      >
        as last time: {offer}
      </button>
    </div>
  );
}
