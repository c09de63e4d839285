import type { PumpPage } from '@winter-jar/contracts';
import type { Dimension, Entry, TakeOverBody } from '@winter-jar/core';
import { toLocalField } from '../words/dates.js';
import { meterText, METER_BOUNDS } from '../forms/meter-text.js';
import { typedNumber } from '../ui/typed-number.js';
import { fieldReader } from '../forms/read-quantity.js';
import { timeOfDayRun } from '../forms/run-time.js';

/** What is known of a pump when its record begins, as it is typed. An empty field means that nobody knows. */
export interface TakeOverValues {
  changed: 'day' | 'unknown';
  changedDay: string;
  runsSince: string;
  hoursSince: string;
  meter: string;
}

export const nothingKnown = (): TakeOverValues => ({
  changed: 'day',
  changedDay: '',
  runsSince: '',
  hoursSince: '',
  meter: '',
});

type TakeOver =
  | { readonly ok: true; readonly body: TakeOverBody }
  | { readonly ok: false; readonly issues: Readonly<Record<string, string>> };

/** @param hasOil a dry pump has a meter, and no oil to be of any age */
export function readTakeOver(
  v: TakeOverValues,
  input: { units: Readonly<Record<Dimension, string>>; zone: string; nowMs: number; hasOil: boolean },
): TakeOver {
  const fields = fieldReader(input.units);
  const meterMinutes = fields.optional('meter', v.meter, 'duration', METER_BOUNDS);
  const minutesSince = input.hasOil ? fields.optional('hoursSince', v.hoursSince, 'duration', METER_BOUNDS) : null;
  const typed = input.hasOil && v.runsSince.trim() !== '' ? typedNumber(v.runsSince, { min: 0, max: 100_000 }) : null;
  const runs = typed?.ok ? typed.value : null;
  if (typed && !(runs !== null && Number.isInteger(runs)))
    fields.refuse('runsSince', `“${v.runsSince}” is not a number of runs. Right would be a whole number, such as 3.`);
  let oilChangedAt: string | null = null;
  if (input.hasOil && v.changed === 'day') {
    oilChangedAt = timeOfDayRun(v.changedDay, input.zone);
    if (!oilChangedAt) fields.refuse('changedDay', 'Say on which day, or choose “nobody knows”.');
    else if (Date.parse(oilChangedAt) > input.nowMs)
      fields.refuse('changedDay', 'This day has not come yet. Right would be today or earlier.');
  }
  if (fields.hasIssues()) return { ok: false, issues: fields.issues };
  const whole = (minutes: number | null) => (minutes === null ? null : Math.round(minutes));
  return {
    ok: true,
    body: { oilChangedAt, runsSince: runs, minutesSince: whole(minutesSince), meterMinutes: whole(meterMinutes) },
  };
}

export function takeOverValuesOf({ body }: Extract<Entry, { kind: 'takeOver' }>, { row }: PumpPage): TakeOverValues {
  return {
    changed: body.oilChangedAt ? 'day' : 'unknown',
    changedDay: body.oilChangedAt ? toLocalField(body.oilChangedAt, row.zone).slice(0, 10) : '',
    runsSince: body.runsSince === null || body.runsSince === undefined ? '' : String(body.runsSince),
    hoursSince: meterText(body.minutesSince),
    meter: meterText(body.meterMinutes),
  };
}
