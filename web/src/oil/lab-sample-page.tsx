import type { Entry, Level, SumpKey } from '@winter-jar/core';
import { useUnits } from '../device/use-units.js';
import { DeedCautions } from '../entry/deed-cautions.js';
import { TextField } from '../ui/field.js';
import { QuantityField } from '../ui/quantity-field.js';
import { quantityText } from '../ui/quantity-text.js';
import { EntryScreen, WithPump, type EntryPageProps } from '../entry/entry-page.js';
import { exactly, type FormAnswer } from '../entry/deed.js';
import { fieldReader } from '../forms/read-quantity.js';
import { remarkOf } from '../forms/remark-of.js';
import { Remark } from '../forms/remark.js';
import { firstSump, SumpField } from '../entry/sump-field.js';
import { useEntryForm } from '../entry/use-entry-form.js';
import { happenedAt, happensNow, WHEN_WRONG, WhenField, whenOf, type When } from '../forms/when-field.js';
import { LEVEL_AFTER_CHIPS } from '../forms/level-chips.js';
import { Chips } from '../ui/chips.js';
import { boundTo } from '../forms/bound-to.js';

interface LabSampleValues extends When {
  sump: SumpKey;
  drawnMl: string;
  label: string;
  levelAfter: Level | 'notRead';
  remark: string;
}

export function LabSamplePage() {
  return <WithPump needsOil>{(props) => <LabSample {...props} />}</WithPump>;
}

/** A bottle for the laboratory. */
function LabSample(props: EntryPageProps) {
  const { page, correctId } = props;
  const units = useUnits();
  const { zone } = page.row;

  function read(v: LabSampleValues): FormAnswer<'labSample'> {
    const fields = fieldReader(units);
    const drawnMl = fields.wanted('drawnMl', v.drawnMl, 'volume', { min: 1 });
    const at = whenOf(v, zone, Date.now());
    if (!at) fields.refuse('at', WHEN_WRONG);
    if (fields.hasIssues() || !at) return { ok: false, issues: fields.issues };
    const label = v.label.trim() ? { label: v.label.trim() } : {};
    return exactly('labSample', at, {
      sump: v.sump,
      drawnMl,
      ...label,
      ...(v.levelAfter === 'notRead' ? {} : { levelAfter: v.levelAfter }),
      ...remarkOf(v),
    });
  }
  const form = useEntryForm<'labSample', LabSampleValues>({
    kind: 'labSample',
    page,
    defaults: {
      sump: firstSump(page),
      drawnMl: quantityText(100, units.volume),
      label: '',
      levelAfter: 'notRead',
      remark: '',
      ...happensNow(zone),
    },
    read,
    fill: ({ body, happenedAt: instant }: Extract<Entry, { kind: 'labSample' }>) => ({
      sump: body.sump,
      drawnMl: quantityText(body.drawnMl, units.volume),
      label: body.label ?? '',
      levelAfter: body.levelAfter ?? 'notRead',
      remark: body.remark ?? '',
      ...happenedAt(instant, zone),
    }),
    savedWords: () => `Lab sample saved on ${page.row.name}`,
    correctId,
  });
  const { values, set, error } = form;

  return (
    <EntryScreen title="Lab sample" props={props} form={form} saveWords="Save the sample">
      <DeedCautions
        page={page}
        deed="labSample"
        how="Draw it warm, right after running, from the middle of the oil and not from the bottom, into a clean dry bottle."
      />
      <SumpField page={page} value={values.sump} onChange={set('sump')} />
      <div className="grid grid-cols-2 gap-4">
        <QuantityField label="Drawn" dimension="volume" {...boundTo(form, 'drawnMl')} min={1} />
        <TextField
          label="On the bottle"
          value={values.label}
          onText={set('label')}
          error={error('label')}
          hint="a number or a name, if any"
        />
      </div>
      {values.sump === 'oil' && (
        <Chips label="Level after" chips={LEVEL_AFTER_CHIPS} value={values.levelAfter} onChange={set('levelAfter')} />
      )}
      <WhenField form={form} />
      <Remark form={form} />
    </EntryScreen>
  );
}
