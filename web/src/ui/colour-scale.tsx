import { RadioGroup } from 'radix-ui';
import { D1500_STEPS, oilColourWord, oilTint } from './oil-colour.js';

/** All sixteen half steps of ASTM D1500, numbered, with "lighter / same / darker than last time". */
export function ColourScale({
  value,
  last,
  onChange,
}: {
  value: number | null;
  last: number | null;
  onChange: (colour: number) => void;
}) {
  const shift = (by: number) => last !== null && onChange(Math.min(8, Math.max(0.5, last + by)));
  return (
    <div className="flex flex-col gap-3">
      <span className="font-semibold">
        Colour of the oil{' '}
        <span className="font-normal text-ink-2">
          ASTM D1500{value === null ? '' : `: ${value}, ${oilColourWord(value)}`}
        </span>
      </span>
      {last !== null && (
        <div className="flex flex-wrap gap-3">
          {(
            [
              ['lighter', -0.5],
              ['same as last time', 0],
              ['darker', 0.5],
            ] as const
          ).map(([word, by]) => (
            <button
              key={word}
              type="button"
              onClick={() => shift(by)}
              className="min-h-14 rounded-[6px] border border-edge bg-sheet px-4 text-[16px]"
            >
              {word} <span className="text-ink-2">({Math.min(8, Math.max(0.5, last + by))})</span>
            </button>
          ))}
        </div>
      )}
      <RadioGroup.Root
        value={value === null ? '' : String(value)}
        onValueChange={(v) => onChange(Number(v))}
        aria-label="Colour, ASTM D1500"
        className="grid grid-cols-4 gap-3 sm:grid-cols-8"
      >
        {D1500_STEPS.map((step) => (
          <RadioGroup.Item
            key={step}
            value={String(step)}
            aria-label={`${step}, ${oilColourWord(step)}`}
            className="flex min-h-14 flex-col items-stretch rounded-[6px] border border-edge bg-sheet text-[13px] data-[state=checked]:border-[3px] data-[state=checked]:border-ink data-[state=checked]:font-bold"
          >
            <span className="block h-9 rounded-t-[4px]" style={{ background: oilTint(step) }} />
            <span className="figure block text-center">{step}</span>
          </RadioGroup.Item>
        ))}
      </RadioGroup.Root>
      <p className="text-[14px] text-ink-2">
        A memory aid: screens are not calibrated. Hold the jar beside the last one.
      </p>
    </div>
  );
}
