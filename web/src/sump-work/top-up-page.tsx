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
import { firstSump, SumpField } from '../entry/sump-field.js';
import type { Said } from '../entry/entry-said.js';
import { useEntryForm } from '../entry/use-entry-form.js';
import { useUnits } from '../device/use-units.js';
import { happenedAt, happensNow, WHEN_WRONG, WhenField, whenOf, type When } from '../forms/when-field.js';

interface TopUpValues extends When {
  sump: SumpKey;
  productId: string;
  addedMl: string;
  levelAfter: Level;
  remark: string;
}

export function TopUpPage() {
  return <WithPump needsOil>{(props) => <TopUp {...props} />}</WithPump>;
}

function TopUp(props: EntryPageProps) {
  const { page, correctId } = props;
  const units = useUnits();
  const { zone } = page.row;
  const sump = page.row.kind === 'booster' ? 'sealCup' : firstSump(page);

  function read(v: TopUpValues): Said<'topUp'> {
    const fields = fieldReader(units);
    const addedMl = fields.wanted('addedMl', v.addedMl, 'volume', { min: 0.1 });
    if (!v.productId) fields.refuse('productId', 'Say which oil was filled.');
    const at = whenOf(v, zone, Date.now());
    if (!at) fields.refuse('at', WHEN_WRONG);
    if (fields.hasIssues() || !at) return { ok: false, issues: fields.issues };
    return {
      ok: true,
      happenedAt: at,
      precision: 'exact',
      body: {
        sump: v.sump,
        productId: v.productId,
        addedMl,
        levelAfter: v.levelAfter,
        ...remarkOf(v),
      },
    };
  }
  const defaults: TopUpValues = {
    sump,
    productId: productOf(page, sump) ?? '',
    addedMl: '',
    levelAfter: 'right',
    remark: '',
    ...happensNow(zone),
  };
  const fill = ({ body, happenedAt: instant }: Extract<Entry, { kind: 'topUp' }>): TopUpValues => ({
    sump: body.sump,
    productId: body.productId,
    addedMl: quantityText(body.addedMl, units.volume),
    levelAfter: body.levelAfter,
    remark: body.remark ?? '',
    ...happenedAt(instant, zone),
  });
  const form = useEntryForm<'topUp', TopUpValues>({
    kind: 'topUp',
    page,
    defaults,
    read,
    fill,
    savedWords: () => `Top-up saved on ${page.row.name}`,
    correctId,
  });
  const { values, set, error } = form;

  return (
    <EntryScreen title="Top up" props={props} form={form} saveWords="Save the top-up">
      <Caution>
        Never with the pump running. Fill slowly near the mark: it rises late, and too much oil is as wrong as too
        little.
      </Caution>
      <SumpField page={page} value={values.sump} onChange={set('sump')} />
      <ProductField
        page={page}
        value={values.productId}
        before={productOf(page, values.sump)}
        onChange={set('productId')}
        error={error('productId')}
      />
      <QuantityField
        label="Filled in"
        dimension="volume"
        text={values.addedMl}
        onText={set('addedMl')}
        error={error('addedMl')}
        min={0.1}
      />
      <Chips label="Level after" chips={LEVEL_AFTER_CHIPS} value={values.levelAfter} onChange={set('levelAfter')} />
      <WhenField form={form} />
      <Remark form={form} />
    </EntryScreen>
  );
}
