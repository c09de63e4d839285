import { holdsDenserOil, type Entry, type EntryBodies, type SumpKey } from '@winter-jar/core';
import { useUnits } from '../device/use-units.js';
import { ContainerField } from '../entry/container-field.js';
import { DeedCautions } from '../entry/deed-cautions.js';
import { EntryScreen, WithPump, type EntryPageProps } from '../entry/entry-page.js';
import { exactly, type EntryDraft, type FormAnswer } from '../entry/deed.js';
import { OilWentField } from '../entry/oil-went-field.js';
import { ProductField, productOf } from '../entry/product-field.js';
import { SumpField, useAskedSump } from '../entry/sump-field.js';
import { useEntryForm } from '../entry/use-entry-form.js';
import { LEVEL_AFTER_CHIPS, LEVEL_NOT_SAID } from '../forms/level-chips.js';
import { fieldReader } from '../forms/read-quantity.js';
import { Remark } from '../forms/remark.js';
import { happenedAt, happensNow, WHEN_WRONG, WhenField, whenOf } from '../forms/when-field.js';
import { Chips } from '../ui/chips.js';
import { QuantityField } from '../ui/quantity-field.js';
import { quantityText } from '../ui/quantity-text.js';
import { Tick } from '../ui/tick.js';
import { bodyOf, DENSER_CAUTION, SUMP_WORK, type SumpWorkKind, type SumpWorkValues, type Volume } from './sump-work.js';

const FILTER = [
  { value: 'yes', words: 'changed too' },
  { value: 'no', words: 'stayed in' },
] as const;
/** What any of the three may hold. */
type AllBodies = EntryBodies['bleed'] & EntryBodies['change'] & EntryBodies['topUp'];
/** Of oil that is drained. */
const WARMTH = { min: -30, max: 150 } as const;
const NO_VOLUMES = { drawnMl: '', waterMl: '', outMl: '', inMl: '', addedMl: '' } as const;

const pageOf = (kind: SumpWorkKind) =>
  function SumpWorkPage() {
    return <WithPump needsOil>{(props) => <SumpWorkForm key={kind} kind={kind} props={props} />}</WithPump>;
  };
export const BleedPage = pageOf('bleed');
export const ChangePage = pageOf('change');
export const TopUpPage = pageOf('topUp');

function SumpWorkForm<K extends SumpWorkKind>({ kind, props }: { kind: K; props: EntryPageProps }) {
  const { page, correctId } = props;
  const work = SUMP_WORK[kind];
  const units = useUnits();
  const { zone } = page.row;
  const asked = useAskedSump(page);
  const text = (ml: number | null | undefined) => quantityText(ml, units.volume);
  const begun = (sump: SumpKey) =>
    Object.fromEntries(Object.entries(work.begins?.(page, sump) ?? {}).map(([name, ml]) => [name, text(ml)]));

  function read(v: SumpWorkValues): FormAnswer<K> {
    const fields = fieldReader(units);
    const volumesMl = Object.fromEntries(
      work.volumes.map(({ name, min }) => [
        name,
        v.unmeasured?.includes(name) ? null : fields.wanted(name, v[name], 'volume', { min }),
      ]),
    );
    const outTempC = kind === 'change' ? fields.optional('outTempC', v.outTempC ?? '', 'temperature', WARMTH) : null;
    if (v.levelAfter === '') fields.refuse('levelAfter', LEVEL_NOT_SAID);
    if (work.fills && !v.productId) fields.refuse('productId', 'Say which oil was filled.');
    const at = whenOf(v, zone, Date.now());
    if (!at) fields.refuse('at', WHEN_WRONG);
    if (fields.hasIssues() || !at) return { ok: false, issues: fields.issues };
    const warm = outTempC === null ? {} : { outTempC };
    const answer = exactly(kind, at, { ...bodyOf(kind, v, volumesMl), ...warm });
    const filterToo = work.drains && page.setUp.model.hasOilFilter && v.oilFilter === 'yes' && !correctId;
    if (!filterToo) return answer;
    const filter: EntryDraft = { kind: 'done', body: { task: 'oilFilter' }, happenedAt: at, precision: 'exact' };
    return { ok: true, deed: { ...answer.deed, after: [filter] } };
  }
  const sump = asked ?? work.sump(page);
  const defaults: SumpWorkValues = {
    sump,
    productId: productOf(page, sump) ?? '',
    ...NO_VOLUMES,
    ...begun(sump),
    levelAfter: work.fills ? '' : 'notRead',
    oilWent: '',
    unmeasured: [],
    oilFilter: 'no',
    jarKept: false,
    fromContainerId: '',
    intoContainerId: '',
    outTempC: '',
    flushed: [],
    remark: '',
    ...happensNow(zone),
  };
  function fill(entry: Extract<Entry, { kind: K }>): SumpWorkValues {
    const { body, happenedAt: at } = entry as Pick<Entry, 'happenedAt'> & { body: Partial<AllBodies> };
    const volumes = Object.fromEntries(work.volumes.map(({ name }) => [name, text(body[name])]));
    return {
      ...defaults,
      ...volumes,
      sump: body.sump ?? sump,
      productId: body.productId ?? '',
      levelAfter: body.levelAfter ?? 'notRead',
      oilWent: body.oilWent ?? '',
      jarKept: body.jarKept ?? false,
      fromContainerId: body.fromContainerId ?? '',
      intoContainerId: body.intoContainerId ?? '',
      flushed: body.flushed ?? [],
      outTempC: quantityText(body.outTempC, units.temperature),
      unmeasured: work.volumes.flatMap(({ name }) => ((body[name] ?? null) === null ? [name] : [])),
      remark: body.remark ?? '',
      ...happenedAt(at, zone),
    };
  }
  const savedWords = () => work.savedWords(page.row.name);
  const form = useEntryForm<K, SumpWorkValues>({ kind, page, defaults, read, fill, savedWords, correctId });
  const { values, set, error } = form;
  const floats = kind === 'bleed' && holdsDenserOil(page.state, page.setUp, values.sump);

  /** What is typed is known, what is ticked is not. */
  function tick(name: Volume, unmeasured: boolean): void {
    const others = (values.unmeasured ?? []).filter((n) => n !== name);
    set('unmeasured')(unmeasured ? [...others, name] : others);
    if (unmeasured) set(name)('');
  }

  function choose(key: SumpKey): void {
    set('sump')(key);
    for (const [name, ml] of Object.entries(begun(key))) set(name as 'inMl')(ml);
  }

  return (
    <EntryScreen title={work.title} props={props} form={form} saveWords={work.saveWords}>
      <DeedCautions page={page} deed={kind} how={floats ? DENSER_CAUTION : work.how} />
      <SumpField page={page} value={values.sump} onChange={choose} />
      {work.fills && (
        <ProductField
          page={page}
          value={values.productId}
          before={productOf(page, values.sump)}
          onChange={set('productId')}
          error={error('productId')}
        />
      )}
      <div className={work.volumes.length > 1 ? 'grid grid-cols-2 gap-4' : ''}>
        {work.volumes.map(({ name, label, min, unknown }) => (
          <div key={name}>
            <QuantityField
              label={label}
              dimension="volume"
              text={values[name]}
              onText={(typed) => {
                set(name)(typed);
                tick(name, false);
              }}
              error={error(name)}
              min={min}
            />
            {unknown && (
              <Tick
                label={unknown}
                ticked={values.unmeasured?.includes(name) ?? false}
                onTick={(on) => tick(name, on)}
              />
            )}
          </div>
        ))}
      </div>
      {work.fills && (
        <ContainerField
          page={page}
          way="from"
          productId={values.productId}
          value={values.fromContainerId ?? ''}
          onChange={set('fromContainerId')}
        />
      )}
      {kind !== 'topUp' && (
        <ContainerField
          page={page}
          way="into"
          productId={productOf(page, values.sump)}
          value={values.intoContainerId ?? ''}
          onChange={set('intoContainerId')}
        />
      )}
      {kind === 'change' && values.intoContainerId && (
        <QuantityField
          label="How warm it was when it was measured"
          dimension="temperature"
          text={values.outTempC ?? ''}
          onText={set('outTempC')}
          error={error('outTempC')}
          hint="empty: 20 °C; warm oil takes more room"
        />
      )}
      <Chips
        label={work.levelLabel}
        chips={LEVEL_AFTER_CHIPS}
        value={values.levelAfter || null}
        onChange={set('levelAfter')}
        error={error('levelAfter')}
      />
      {work.fills && (
        <OilWentField page={page} sump={values.sump} value={values.oilWent ?? ''} onChange={set('oilWent')} />
      )}
      {work.drains && page.setUp.model.hasOilFilter && !correctId && (
        <Chips label="Oil filter" chips={FILTER} value={values.oilFilter} onChange={set('oilFilter')} />
      )}
      {work.drains && values.sump === 'oil' && (
        <Tick
          label="A jar of the old oil is kept, to be read"
          ticked={values.jarKept ?? false}
          onTick={set('jarKept')}
        />
      )}
      <WhenField form={form} />
      <Remark form={form} />
    </EntryScreen>
  );
}
