import type { Entry } from '@winter-jar/core';
import { useUnits } from '../device/use-units.js';
import { dayWords } from '../words/dates.js';
import { Chips } from '../ui/chips.js';
import { QuantityField } from '../ui/quantity-field.js';
import { EntryScreen, WithPump, type EntryPageProps } from '../entry/entry-page.js';
import { exactly, type FormAnswer } from '../entry/deed.js';
import { meterWords } from '../words/entry-words.js';
import { METER_BOUNDS, meterText } from '../forms/meter-text.js';
import { fieldReader } from '../forms/read-quantity.js';
import { remarkOf } from '../forms/remark-of.js';
import { Remark } from '../forms/remark.js';
import { useEntryForm } from '../entry/use-entry-form.js';
import { happenedAt, happensNow, WHEN_WRONG, WhenField, whenOf, type When } from '../forms/when-field.js';
import { boundTo } from '../forms/bound-to.js';

interface MeterValues extends When {
  action: 'read' | 'replaced';
  minutes: string;
  newMinutes: string;
  remark: string;
}

const ACTIONS = [
  { value: 'read', words: 'read' },
  { value: 'replaced', words: 'replaced' },
] as const;
export function MeterPage() {
  return <WithPump needsOil={false}>{(props) => <Meter {...props} />}</WithPump>;
}

function Meter(props: EntryPageProps) {
  const { page, words, correctId } = props;
  const units = useUnits();
  const { zone } = page.row;
  const last = page.state.meter;

  function read(v: MeterValues): FormAnswer<'meter'> {
    const fields = fieldReader(units);
    const minutes = Math.round(fields.wanted('minutes', v.minutes, 'duration', METER_BOUNDS));
    const replaced = v.action === 'replaced';
    const newMinutes = replaced
      ? Math.round(fields.wanted('newMinutes', v.newMinutes, 'duration', METER_BOUNDS))
      : null;
    const at = whenOf(v, zone, Date.now());
    if (!at) fields.refuse('at', WHEN_WRONG);
    if (fields.hasIssues() || !at) return { ok: false, issues: fields.issues };
    return exactly('meter', at, {
      action: v.action,
      minutes,
      ...(newMinutes === null ? {} : { newMinutes }),
      ...remarkOf(v),
    });
  }
  const form = useEntryForm<'meter', MeterValues>({
    kind: 'meter',
    page,
    defaults: { action: 'read', minutes: '', newMinutes: '0', remark: '', ...happensNow(zone) },
    read,
    fill: ({ body, happenedAt: instant }: Extract<Entry, { kind: 'meter' }>) => ({
      action: body.action,
      minutes: meterText(body.minutes),
      newMinutes: meterText(body.newMinutes ?? 0),
      remark: body.remark ?? '',
      ...happenedAt(instant, zone),
    }),
    savedWords: () => `Hour meter saved on ${page.row.name}`,
    correctId,
  });
  const { values, set } = form;

  return (
    <EntryScreen title="Hour meter" props={props} form={form} saveWords="Save the reading">
      <p>
        {last
          ? `Last reading ${meterWords(last.minutes)}, ${dayWords(last.at, zone, words.now)}. Hours beyond the logged runs count on the oil as unlogged.`
          : 'The first reading is where the count begins. Later hours beyond the logged runs count on the oil as unlogged.'}
      </p>
      <Chips label="The meter was" chips={ACTIONS} value={values.action} onChange={set('action')} />
      <div className="grid gap-4 sm:grid-cols-2">
        <QuantityField
          label={values.action === 'replaced' ? 'The old one showed at last' : 'It shows'}
          dimension="duration"
          {...boundTo(form, 'minutes')}
          {...METER_BOUNDS}
        />
        {values.action === 'replaced' && (
          <QuantityField
            label="The new one shows"
            dimension="duration"
            {...boundTo(form, 'newMinutes')}
            {...METER_BOUNDS}
          />
        )}
      </div>
      <WhenField form={form} />
      <Remark form={form} />
    </EntryScreen>
  );
}
