import { useUnits } from '../device/use-units.js';
import { EntryScreen, WithPump, type EntryPageProps } from '../entry/entry-page.js';
import { exactly, type FormAnswer } from '../entry/deed.js';
import { remarkOf } from '../forms/remark-of.js';
import { Remark } from '../forms/remark.js';
import { nothingKnown, readTakeOver, takeOverValuesOf, type TakeOverValues } from './take-over-form.js';
import { TakeOverFields } from './take-over-fields.js';
import { useEntryForm } from '../entry/use-entry-form.js';
import { happenedAt, happensNow, ofMinute, WHEN_WRONG, WhenField, whenOf, type When } from '../forms/when-field.js';

type Values = TakeOverValues & When & { remark: string };

export function TakeOverPage() {
  return <WithPump needsOil={false}>{(props) => <TakeOver {...props} />}</WithPump>;
}

/** A pump's record begins: what is known of its oil and its meter. */
function TakeOver(props: EntryPageProps) {
  const { page, correctId } = props;
  const units = useUnits();
  const { zone } = page.row;
  const hasOil = page.setUp.model.sumps.length > 0;

  function read(v: Values): FormAnswer<'takeOver'> {
    const at = whenOf(v, zone, Date.now());
    const answer = readTakeOver(v, { units, zone, nowMs: at ? Date.parse(at) : Date.now(), hasOil });
    if (!at) return { ok: false, issues: { ...(answer.ok ? {} : answer.issues), at: WHEN_WRONG } };
    if (!answer.ok) return answer;
    return exactly('takeOver', ofMinute(at), { ...answer.body, ...remarkOf(v) });
  }
  const form = useEntryForm<'takeOver', Values>({
    kind: 'takeOver',
    page,
    defaults: { ...nothingKnown(), remark: '', ...happensNow(zone) },
    fieldOf: { oilChangedAt: 'changedDay', minutesSince: 'hoursSince', meterMinutes: 'meter' },
    read,
    fill: (entry) => ({
      ...takeOverValuesOf(entry, page),
      remark: entry.body.remark ?? '',
      ...happenedAt(entry.happenedAt, zone),
    }),
    savedWords: () => `${page.row.name} taken over`,
    correctId,
  });
  const { values, set, error } = form;

  return (
    <EntryScreen title="Take over" props={props} form={form} saveWords="Take it over">
      <p>What is in the pump now counts from what you know of it. What nobody knows is said so, and asks for a look.</p>
      <TakeOverFields
        values={values}
        set={set as <K extends keyof TakeOverValues>(name: K) => (value: TakeOverValues[K]) => void}
        error={error}
        hasOil={hasOil}
      />
      <WhenField form={form} />
      <Remark form={form} />
    </EntryScreen>
  );
}
