import { printQuantity, UNITS, type Dimension } from '@winter-jar/core';
import { useRef, useState, type RefObject } from 'react';
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

/** What is typed with digits and a mark alone: no minus, no colon, no fraction. */
const ON_THE_PAD: readonly Dimension[] = [
  'volume',
  'pressure',
  'mass',
  'flow',
  'share',
  'viscosity',
  'acidNumber',
  'count',
];

/** The unit of a bare number, at the end of its field; a tap brings the letters for another one. */
function UnitBeside({
  unit,
  others,
  onOther,
  input,
}: {
  unit: string;
  others: boolean;
  onOther: () => void;
  input: RefObject<HTMLInputElement | null>;
}) {
  const place = 'absolute inset-y-0 right-0 flex items-center px-4 text-[15px] text-ink-2';
  if (!others) return <span className={`${place} pointer-events-none`}>{unit}</span>;
  return (
    <button
      type="button"
      // The keyboard has letters anyway.
      tabIndex={-1}
      aria-label={`in ${unit}, or type another unit`}
      className={`${place} min-w-11 justify-end`}
      onClick={() => {
        onOther();
        input.current?.focus();
      }}
    >
      {unit}
    </button>
  );
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
  const input = useRef<HTMLInputElement>(null);
  const [pad, setPad] = useState(true);
  const onPad = pad && ON_THE_PAD.includes(dimension);
  const empty = text.trim() === '';
  const wrong = parsed.ok || empty ? undefined : quantityIssueWords(parsed.issue, unit);
  const echo = parsed.ok
    ? `= ${printQuantity({ value: parsed.value, unit })}`
    : (hint ?? `in ${unit}${hasOthers(dimension) ? ', or with another unit' : ''}`);
  const field = (
    <Field label={label} error={wrong ?? error} hint={echo}>
      {({ id, describedBy, invalid }) => (
        <span className="relative block">
          <input
            ref={input}
            id={id}
            className={`${inputClass(invalid)} figure !pr-20`}
            inputMode={onPad ? 'decimal' : 'text'}
            autoComplete="off"
            value={text}
            onChange={(e) => onText(e.target.value)}
            aria-describedby={describedBy}
            aria-invalid={invalid}
          />
          {!/\p{L}|[%°]/u.test(text) && (
            <UnitBeside
              unit={unit}
              others={onPad && hasOthers(dimension)}
              onOther={() => setPad(false)}
              input={input}
            />
          )}
        </span>
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
