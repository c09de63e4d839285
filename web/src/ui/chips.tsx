import { Check } from 'lucide-react';
import { ToggleGroup } from 'radix-ui';

export interface Chip<V extends string> {
  readonly value: V;
  readonly words: string;
}

/** One of a few, by one tap. The chosen chip carries a tick as well as a thick edge. */
export function Chips<V extends string>({
  label,
  chips,
  value,
  onChange,
  error,
  hint,
  hideLabel,
}: {
  label: string;
  chips: readonly Chip<V>[];
  value: V | null;
  /** Also with the chip that is chosen already: whoever taps it says so. */
  onChange: (value: V) => void;
  error?: string | undefined;
  hint?: string;
  hideLabel?: boolean;
}) {
  return (
    <div role="group" aria-label={label} className="flex flex-col gap-2">
      {!hideLabel && (
        <span aria-hidden="true" className="font-semibold">
          {label}
        </span>
      )}
      <ToggleGroup.Root
        type="single"
        value={value ?? ''}
        onValueChange={(next) => {
          const said = next || value;
          if (said) onChange(said as V);
        }}
        className="flex flex-wrap gap-3"
      >
        {chips.map((chip) => (
          <ToggleGroup.Item
            key={chip.value}
            value={chip.value}
            className="inline-flex min-h-14 items-center gap-2 rounded-[6px] border border-edge bg-sheet px-4 text-[16px] data-[state=on]:border-2 data-[state=on]:border-ink data-[state=on]:font-semibold"
          >
            {value === chip.value && <Check size={16} aria-hidden="true" />}
            {chip.words}
          </ToggleGroup.Item>
        ))}
      </ToggleGroup.Root>
      {hint && <p className="text-[14px] text-ink-2">{hint}</p>}
      {error && (
        <p role="alert" className="text-[14px] font-semibold text-stop">
          {error}
        </p>
      )}
    </div>
  );
}
