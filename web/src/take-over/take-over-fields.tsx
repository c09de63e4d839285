import { Chips } from '../ui/chips.js';
import { TextField } from '../ui/field.js';
import { QuantityField } from '../ui/quantity-field.js';
import { METER_BOUNDS } from '../forms/meter-text.js';
import type { TakeOverValues } from './take-over-form.js';
import { boundTo } from '../forms/bound-to.js';

const CHANGED = [
  { value: 'day', words: 'on a day' },
  { value: 'unknown', words: 'nobody knows' },
] as const;

/** What is known of the oil that is in the pump now. */
export function TakeOverFields({
  values,
  set,
  error,
  hasOil,
}: {
  values: TakeOverValues;
  set: <K extends keyof TakeOverValues>(name: K) => (value: TakeOverValues[K]) => void;
  error: (name: keyof TakeOverValues) => string | undefined;
  hasOil: boolean;
}) {
  const fields = { values, set, error };
  return (
    <>
      {hasOil && (
        <>
          <Chips label="Oil changed" chips={CHANGED} value={values.changed} onChange={set('changed')} />
          {values.changed === 'day' && (
            <TextField
              label="Day of the change"
              type="date"
              value={values.changedDay}
              onText={set('changedDay')}
              error={error('changedDay')}
            />
          )}
          <div className="grid gap-4 sm:grid-cols-2">
            <TextField
              label="Runs since"
              inputMode="numeric"
              value={values.runsSince}
              onText={set('runsSince')}
              error={error('runsSince')}
              hint="empty: nobody knows"
            />
            <QuantityField
              label="Hours since"
              dimension="duration"
              {...boundTo(fields, 'hoursSince')}
              hint="empty: calculated from the runs"
              {...METER_BOUNDS}
            />
          </div>
        </>
      )}
      <QuantityField
        label="Hour meter now"
        dimension="duration"
        {...boundTo(fields, 'meter')}
        hint="empty: none, or not read"
        {...METER_BOUNDS}
      />
    </>
  );
}
