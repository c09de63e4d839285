import type { HouseSetUp, SetUpKind } from '@winter-jar/core';
import { useUnits } from '../device/use-units.js';
import { derivedValues } from './derived-fields.js';
import { useId } from 'react';
import { ManyChips } from '../ui/many-chips.js';
import { Chips } from '../ui/chips.js';
import { Field, inputClass, TextField } from '../ui/field.js';
import { QuantityField } from '../ui/quantity-field.js';
import { echoOf } from '../ui/typed-number.js';
import { SelectField } from '../ui/select-field.js';
import { nameOf, type FieldSpec, type RecordValues } from './field-specs.js';
import { fieldsOf, notAssumed } from './record-form.js';
import { recordName } from './record-words.js';

const RATINGS = ['0', '1', '2', '3'].map((value) => ({ value, words: value }));
const YES_NO = [
  { value: 'yes', words: 'yes' },
  { value: 'no', words: 'no' },
];
const ZONES: readonly string[] = Intl.supportedValuesOf('timeZone');

export interface RecordFormProps {
  readonly values: RecordValues;
  readonly set: (name: string) => (value: string) => void;
  readonly error: (name: string) => string | undefined;
  readonly house: HouseSetUp;
}

interface Grouped {
  readonly title: string | null;
  readonly specs: readonly FieldSpec[];
}

function grouped(specs: readonly FieldSpec[]): Grouped[] {
  const groups: { title: string | null; specs: FieldSpec[] }[] = [];
  for (const spec of specs) {
    if (spec.section !== undefined || groups.length === 0) groups.push({ title: spec.section ?? null, specs: [] });
    groups.at(-1)?.specs.push(spec);
  }
  return groups;
}

/** Beside a field that holds a default of ours. */
const ASSUMED = 'assumed, until you say';
const NOT_FROM_MANUAL = 'assumed, not from the manual';
const MANUAL_KINDS: readonly SetUpKind[] = ['pumpModel', 'oilProduct'];

const WIDE: readonly FieldSpec['type'][] = ['choice', 'many', 'heights'];

/** All fields of one kind of record, in the order of its list. */
export function RecordFields({
  kind,
  skip = [],
  ...form
}: RecordFormProps & { kind: SetUpKind; skip?: readonly string[] }) {
  const shown = fieldsOf(kind, form.values).filter((spec) => !skip.includes(spec.path));
  return grouped(shown).map(({ title, specs }) => (
    <section key={title ?? ''} className="flex flex-col gap-4">
      {title && <h2 className="border-b border-rule pb-1 text-[18px]">{title}</h2>}
      <div className="grid items-start gap-x-5 gap-y-5 sm:grid-cols-2">
        {specs.map((spec) => (
          <div key={spec.path} className={WIDE.includes(spec.type) ? 'sm:col-span-2' : ''}>
            <RecordField spec={spec} kind={kind} {...form} />
          </div>
        ))}
      </div>
    </section>
  ));
}

function RecordField({
  spec,
  kind,
  values,
  set,
  error,
  house,
}: RecordFormProps & { spec: FieldSpec; kind: SetUpKind }) {
  const name = nameOf(spec.path);
  const zones = useId();
  const value = values[name] ?? '';
  const ours = (values.assumed ?? '').split(' ').includes(spec.path);
  const units = useUnits();
  const onText = (text: string) => {
    set(name)(text);
    if (spec.type === 'quantity')
      for (const [other, said] of Object.entries(
        derivedValues(spec.path, text, { values, units, dimension: spec.dimension }),
      ))
        set(other)(said);
    if (ours) set('assumed')(notAssumed(values, name));
  };
  const mark = MANUAL_KINDS.includes(kind) ? NOT_FROM_MANUAL : ASSUMED;
  const echo = spec.type === 'number' ? echoOf(value) : null;
  const hint = [echo, ours && mark, spec.hint].filter(Boolean).join(' · ');
  const shared = { label: spec.label, error: error(name), ...(hint ? { hint } : {}) };
  switch (spec.type) {
    case 'text':
      return <TextField {...shared} value={value} onText={onText} />;
    case 'day':
      return <TextField {...shared} type="date" value={value} onText={onText} />;
    case 'choice':
      return <Chips {...shared} chips={spec.chips} value={value} onChange={onText} />;
    case 'many':
      return (
        <div className="flex flex-col gap-2">
          <ManyChips
            label={spec.label}
            chips={spec.chips}
            values={value.split(' ').filter(Boolean)}
            onChange={(chosen) => onText(chosen.join(' '))}
          />
          {hint && <p className="text-[14px] text-ink-2">{hint}</p>}
        </div>
      );
    case 'rating':
      return <Chips {...shared} chips={RATINGS} value={value} onChange={onText} />;
    case 'flag':
      return <Chips {...shared} chips={YES_NO} value={value} onChange={onText} />;
    case 'reference':
      return (
        <SelectField
          {...shared}
          value={value}
          onChange={onText}
          {...(spec.wanted ? {} : { empty: 'none' })}
          options={Object.keys(house[spec.to]).map((id) => ({ value: id, words: recordName(house, spec.to, id) }))}
        />
      );
    case 'heights':
      return (
        <Field {...shared}>
          {({ id, describedBy, invalid }) => (
            <textarea
              id={id}
              rows={8}
              className={`${inputClass(invalid)} figure !h-auto py-2`}
              value={value}
              onChange={(e) => onText(e.target.value)}
              aria-describedby={describedBy}
              aria-invalid={invalid}
            />
          )}
        </Field>
      );
    case 'quantity':
      return <QuantityField {...shared} dimension={spec.dimension} text={value} onText={onText} />;
    case 'number':
      return (
        <TextField
          {...shared}
          label={spec.unit ? `${spec.label} (${spec.unit})` : spec.label}
          value={value}
          onText={onText}
        />
      );
    case 'zone':
      return (
        <Field {...shared}>
          {({ id, describedBy, invalid }) => (
            <>
              <input
                id={id}
                list={zones}
                className={inputClass(invalid)}
                value={value}
                onChange={(e) => onText(e.target.value)}
                aria-describedby={describedBy}
                aria-invalid={invalid}
              />
              <datalist id={zones}>
                {ZONES.map((zone) => (
                  <option key={zone} value={zone} />
                ))}
              </datalist>
            </>
          )}
        </Field>
      );
  }
}
