import type { Entry, Level, SumpKey } from '@winter-jar/core';
import { Caution } from '../ui/caution.js';
import { Chips } from '../ui/chips.js';
import { QuantityField } from '../ui/quantity-field.js';
import { quantityText } from '../ui/quantity-text.js';
import { EntryScreen, WithPump, type EntryPageProps } from '../entry/entry-page.js';
import { LEVEL_AFTER_CHIPS } from '../forms/level-chips.js';
import { ProductField, productOf } from '../entry/product-field.js';
import { fieldReader } from '../forms/read-quantity.js';
import { remarkOf } from '../forms/remark-of.js';
import { Remark } from '../forms/remark.js';
import { chargeMlOf, firstSump, SumpField } from '../entry/sump-field.js';
import type { Said } from '../entry/entry-said.js';
import { useEntryForm } from '../entry/use-entry-form.js';
import { useUnits } from '../device/use-units.js';
import { happenedAt, happensNow, WHEN_WRONG, WhenField, whenOf, type When } from '../forms/when-field.js';

interface ChangeValues extends When {
  sump: SumpKey;
  productId: string;
  outMl: string;
  inMl: string;
  levelAfter: Level;
  oilFilter: 'yes' | 'no';
  remark: string;
}

const YES_NO = [
  { value: 'yes', words: 'changed too' },
  { value: 'no', words: 'stayed in' },
] as const;

export function ChangePage() {
  return <WithPump needsOil>{(props) => <Change {...props} />}</WithPump>;
}

function Change(props: EntryPageProps) {
  const { page, correctId } = props;
  const units = useUnits();
  const { zone } = page.row;
  const sump = firstSump(page);

  function read(v: ChangeValues): Said<'change'> {
    const fields = fieldReader(units);
    const outMl = fields.wanted('outMl', v.outMl, 'volume', { min: 0 });
    const inMl = fields.wanted('inMl', v.inMl, 'volume', { min: 1 });
    if (!v.productId) fields.refuse('productId', 'Say which oil was filled.');
    const at = whenOf(v, zone, Date.now());
    if (!at) fields.refuse('at', WHEN_WRONG);
    if (fields.hasIssues() || !at) return { ok: false, issues: fields.issues };
    return {
      ok: true,
      happenedAt: at,
      precision: 'exact',
      alsoDone: page.setUp.model.hasOilFilter && v.oilFilter === 'yes' ? ['oilFilter'] : [],
      body: {
        sump: v.sump,
        productId: v.productId,
        outMl,
        inMl,
        levelAfter: v.levelAfter,
        ...remarkOf(v),
      },
    };
  }
  const defaults: ChangeValues = {
    sump,
    productId: productOf(page, sump) ?? '',
    outMl: '',
    inMl: quantityText(chargeMlOf(page, sump), units.volume),
    levelAfter: 'right',
    oilFilter: 'no',
    remark: '',
    ...happensNow(zone),
  };
  const fill = ({ body, happenedAt: instant }: Extract<Entry, { kind: 'change' }>): ChangeValues => ({
    sump: body.sump,
    productId: body.productId,
    outMl: quantityText(body.outMl, units.volume),
    inMl: quantityText(body.inMl, units.volume),
    levelAfter: body.levelAfter,
    oilFilter: 'no',
    remark: body.remark ?? '',
    ...happenedAt(instant, zone),
  });
  const form = useEntryForm<'change', ChangeValues>({
    kind: 'change',
    page,
    defaults,
    read,
    fill,
    savedWords: () => `Oil changed on ${page.row.name}`,
    correctId,
  });
  const { values, set, error } = form;

  return (
    <EntryScreen title="Change oil" props={props} form={form} saveWords="Save the oil change">
      <Caution>
        Pump off, isolated, locked out and vented; drain warm (40–60 °C), not hot. Hot oil and housing burn. Used oil is
        regulated waste. The site’s rules and the maker’s manual win.
      </Caution>
      <SumpField
        page={page}
        value={values.sump}
        onChange={(key) => {
          set('sump')(key);
          set('inMl')(quantityText(chargeMlOf(page, key), units.volume));
        }}
      />
      <ProductField
        page={page}
        value={values.productId}
        before={productOf(page, values.sump)}
        onChange={set('productId')}
        error={error('productId')}
      />
      <div className="grid grid-cols-2 gap-4">
        <QuantityField
          label="Came out"
          dimension="volume"
          text={values.outMl}
          onText={set('outMl')}
          error={error('outMl')}
          min={0}
        />
        <QuantityField
          label="Filled in"
          dimension="volume"
          text={values.inMl}
          onText={set('inMl')}
          error={error('inMl')}
          min={1}
        />
      </div>
      <Chips
        label="Level after a minute’s run and a wait"
        chips={LEVEL_AFTER_CHIPS}
        value={values.levelAfter}
        onChange={set('levelAfter')}
      />
      {page.setUp.model.hasOilFilter && !correctId && (
        <Chips label="Oil filter" chips={YES_NO} value={values.oilFilter} onChange={set('oilFilter')} />
      )}
      <WhenField form={form} />
      <Remark form={form} />
    </EntryScreen>
  );
}
