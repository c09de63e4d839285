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
}

const hasOthers = (dimension: Dimension): boolean => UNITS.filter((u) => u.dimension === dimension).length > 1;

/** One field for every quantity: any unit typed with its symbol, and what was understood beneath. */
export function QuantityField({ label, dimension, text, onText, error, min, max, hint }: QuantityFieldProps) {
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
  return (
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
}
