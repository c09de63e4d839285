import { holdsDenserOil, type Entry, type SumpKey } from '@winter-jar/core';
import { Caution } from '../ui/caution.js';
import { QuantityField } from '../ui/quantity-field.js';
import { quantityText } from '../ui/quantity-text.js';
import { EntryScreen, WithPump, type EntryPageProps } from '../entry/entry-page.js';
import { fieldReader } from '../forms/read-quantity.js';
import { remarkOf } from '../forms/remark-of.js';
import { Remark } from '../forms/remark.js';
import { firstSump, SumpField } from '../entry/sump-field.js';
import type { Said } from '../entry/entry-said.js';
import { useEntryForm } from '../entry/use-entry-form.js';
import { useUnits } from '../device/use-units.js';
import { happenedAt, happensNow, WHEN_WRONG, WhenField, whenOf, type When } from '../forms/when-field.js';

interface BleedValues extends When {
  sump: SumpKey;
  drawnMl: string;
  waterMl: string;
  remark: string;
}

export function BleedPage() {
  return <WithPump needsOil>{(props) => <Bleed {...props} />}</WithPump>;
}

function Bleed(props: EntryPageProps) {
  const { page, correctId } = props;
  const units = useUnits();
  const { zone } = page.row;

  function read(v: BleedValues): Said<'bleed'> {
    const fields = fieldReader(units);
    const drawnMl = fields.wanted('drawnMl', v.drawnMl, 'volume', { min: 0 });
    const waterMl = fields.wanted('waterMl', v.waterMl, 'volume', { min: 0 });
    const at = whenOf(v, zone, Date.now());
    if (!at) fields.refuse('at', WHEN_WRONG);
    if (fields.hasIssues() || !at) return { ok: false, issues: fields.issues };
    return {
      ok: true,
      happenedAt: at,
      precision: 'exact',
      body: { sump: v.sump, drawnMl, waterMl, ...remarkOf(v) },
    };
  }
  const defaults: BleedValues = {
    sump: firstSump(page),
    drawnMl: '',
    waterMl: '',
    remark: '',
    ...happensNow(zone),
  };
  const fill = ({ body, happenedAt: instant }: Extract<Entry, { kind: 'bleed' }>): BleedValues => ({
    sump: body.sump,
    drawnMl: quantityText(body.drawnMl, units.volume),
    waterMl: quantityText(body.waterMl, units.volume),
    remark: body.remark ?? '',
    ...happenedAt(instant, zone),
  });
  const form = useEntryForm<'bleed', BleedValues>({
    kind: 'bleed',
    page,
    defaults,
    read,
    fill,
    savedWords: () => `Bleed saved on ${page.row.name}`,
    correctId,
  });
  const { values, set, error } = form;
  const denser = holdsDenserOil(page.state, page.setUp, values.sump);

  return (
    <EntryScreen title="Bleed settled water" props={props} form={form} saveWords="Save the bleed">
      <Caution>
        {denser
          ? 'This oil is denser than water: the water floats, there is nothing to bleed at the bottom.'
          : 'Pump off, isolated, vented, and standing: 30 min if it was hot, else overnight. Hot oil burns; follow the site’s rules and the maker’s manual.'}
      </Caution>
      <SumpField page={page} value={values.sump} onChange={set('sump')} />
      <div className="grid grid-cols-2 gap-4">
        <QuantityField
          label="Drawn in all"
          dimension="volume"
          text={values.drawnMl}
          onText={set('drawnMl')}
          error={error('drawnMl')}
          min={0}
        />
        <QuantityField
          label="Of it water"
          dimension="volume"
          text={values.waterMl}
          onText={set('waterMl')}
          error={error('waterMl')}
          min={0}
        />
      </div>
      <WhenField form={form} />
      <Remark form={form} />
    </EntryScreen>
  );
}
