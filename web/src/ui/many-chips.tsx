import { Check } from 'lucide-react';
import { ToggleGroup } from 'radix-ui';
import type { Chip } from './chips.js';

/** Any of a few, each by one tap; a second tap takes it back. */
export function ManyChips<V extends string>({
  label,
  chips,
  values,
  onChange,
}: {
  label: string;
  chips: readonly Chip<V>[];
  values: readonly V[];
  onChange: (values: V[]) => void;
}) {
  return (
    <div role="group" aria-label={label} className="flex flex-col gap-2">
      <span aria-hidden="true" className="font-semibold">
        {label}
      </span>
      <ToggleGroup.Root
        type="multiple"
        value={[...values]}
        onValueChange={(next) => onChange(next as V[])}
        className="flex flex-wrap gap-3"
      >
        {chips.map((chip) => (
          <ToggleGroup.Item
            key={chip.value}
            value={chip.value}
            className="inline-flex min-h-14 items-center gap-2 rounded-[6px] border border-edge bg-sheet px-4 text-[16px] data-[state=on]:border-2 data-[state=on]:border-ink data-[state=on]:font-semibold"
          >
            {values.includes(chip.value) && <Check size={16} aria-hidden="true" />}
            {chip.words}
          </ToggleGroup.Item>
        ))}
      </ToggleGroup.Root>
    </div>
  );
}
