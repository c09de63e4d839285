import { fromLocalField, toLocalField } from '../words/dates.js';
import { Chips } from '../ui/chips.js';
import { TextField } from '../ui/field.js';
import type { FormFields } from './use-drafted-form.js';

const MODES = [
  { value: 'now', words: 'now' },
  { value: 'earlier', words: 'earlier' },
] as const;

export interface When {
  whenMode: 'now' | 'earlier';
  at: string;
}

/** The fields of an entry that happens now, and of one that is corrected. */
export const happensNow = (zone: string): When => ({
  whenMode: 'now',
  at: toLocalField(new Date().toISOString(), zone),
});
export const happenedAt = (instant: string, zone: string): When => ({
  whenMode: 'earlier',
  at: toLocalField(instant, zone),
});

/** When it happened; null when the field does not name a moment that has passed. */
/** The minute that an instant is in, as times are typed: what is typed to happen in the same minute does not come before it. */
export const ofMinute = (instant: string): string =>
  new Date(Math.floor(Date.parse(instant) / 60_000) * 60_000).toISOString();

export function whenOf(values: When, zone: string, nowMs: number): string | null {
  if (values.whenMode === 'now') return new Date(nowMs).toISOString();
  const at = fromLocalField(values.at, zone);
  return at && Date.parse(at) <= nowMs + 600_000 ? at : null;
}

export const WHEN_WRONG = 'Say a moment that has passed.';

export function WhenField<V extends When>({ form }: { form: FormFields<V> }) {
  const { values } = form;
  const set = form.set as (name: keyof When) => (value: string) => void;
  return (
    <div className="flex flex-col gap-3">
      <Chips label="When" chips={MODES} value={values.whenMode} onChange={set('whenMode')} />
      {values.whenMode === 'earlier' && (
        <TextField label="At" type="datetime-local" value={values.at} onText={set('at')} error={form.error('at')} />
      )}
    </div>
  );
}
