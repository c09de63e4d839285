import { Chips } from '../ui/chips.js';
import { Field, inputClass } from '../ui/field.js';
import { FilePicker } from '../ui/file-picker.js';
import { QuantityField } from '../ui/quantity-field.js';
import { Unfolding } from '../ui/unfolding.js';
import { OIL_TEMP_BOUNDS, PRESSURE_BOUNDS, type RunValues } from './run-form.js';
import type { EntryForm } from '../entry/use-entry-form.js';
import { boundTo } from '../forms/bound-to.js';

export const YES_NO_CHIPS = [
  { value: 'yes', words: 'yes' },
  { value: 'no', words: 'no' },
  { value: 'unknown', words: 'don’t know' },
] as const;

const FOLDED = ['loadKg', 'oilTempC', 'firstPressurePa', 'trapProfile'] as const;

/** What says where water comes from, beyond the short form: folded away, so that a run like the last one stays five taps. */
export function MoreOfTheRun({
  form,
  coldTrap,
  vane,
}: {
  form: EntryForm<RunValues>;
  coldTrap: boolean;
  vane: boolean;
}) {
  const { values, set, error } = form;
  return (
    <Unfolding
      className="border-y border-rule"
      needed={FOLDED.some((f) => error(f))}
      summary={
        <summary className="flex min-h-14 cursor-pointer items-center font-semibold">
          More: load, {vane && 'oil’s warmth, '}
          {coldTrap && 'defrost, drain, trap over time, '}filter, first pressure
        </summary>
      }
    >
      <div className="flex flex-col gap-6 pb-5">
        <div className="grid grid-cols-2 gap-4">
          <QuantityField label="Load" dimension="mass" {...boundTo(form, 'loadKg')} min={0} />
          {vane && (
            <QuantityField
              label="Oil, running"
              dimension="temperature"
              {...boundTo(form, 'oilTempC')}
              {...OIL_TEMP_BOUNDS}
            />
          )}
          <QuantityField
            label="After the first minutes"
            dimension="pressure"
            {...boundTo(form, 'firstPressurePa')}
            {...PRESSURE_BOUNDS}
          />
        </div>
        {coldTrap && (
          <>
            <Chips
              label="Trap defrosted before?"
              chips={YES_NO_CHIPS}
              value={values.defrostedBefore}
              onChange={set('defrostedBefore')}
            />
            <Chips
              label="Drain closed at the start?"
              chips={YES_NO_CHIPS}
              value={values.drainClosed}
              onChange={set('drainClosed')}
            />
            <TrapProfileField form={form} />
          </>
        )}
        <Chips
          label="In-line filter fitted?"
          chips={YES_NO_CHIPS}
          value={values.inLineFilter}
          onChange={set('inLineFilter')}
        />
      </div>
    </Unfolding>
  );
}

const LINES = 5;

function TrapProfileField({ form }: { form: EntryForm<RunValues> }) {
  const { values, set, error } = form;
  return (
    <div className="flex flex-col gap-3">
      <Field
        label="Trap over time"
        error={error('trapProfile')}
        hint="one reading a line: minutes after the start, then °C; it takes the place of the coldest value"
      >
        {({ id, describedBy, invalid }) => (
          <textarea
            id={id}
            rows={LINES}
            className={`${inputClass(invalid)} figure py-3`}
            value={values.trapProfile}
            onChange={(e) => set('trapProfile')(e.target.value)}
            aria-describedby={describedBy}
            aria-invalid={invalid}
            placeholder={'0 -52\n600 -44'}
          />
        )}
      </Field>
      <div>
        <FilePicker
          accept=".csv,.txt,text/csv,text/plain"
          look="outline"
          onFile={(file) => void file.text().then(set('trapProfile'))}
        >
          From a CSV file …
        </FilePicker>
      </div>
    </div>
  );
}
