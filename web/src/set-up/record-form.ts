import { checkRecord, SUMPS_OF } from '@winter-jar/contracts';
import { inUnit, type Dimension, type JarShape, type PumpKind, type SetUpKind } from '@winter-jar/core';
import { readNumberPairs } from '../forms/number-pairs.js';
import { typedNumber, typedText } from '../ui/typed-number.js';
import { fieldReader } from '../forms/read-quantity.js';
import { issueWords } from '../words/issue-words.js';
import { FIELD_SPECS, nameOf, type FieldSpec, type RecordValues } from './field-specs.js';
import { limitValues, readLimits } from './limit-values.js';
import { oilLimitValues, readOilLimits } from './oil-limit-values.js';

export type Units = Readonly<Record<Dimension, string>>;
type Body = Record<string, unknown>;

/** Fields that a page of their own writes. */
const SAID_ELSEWHERE: Readonly<Partial<Record<SetUpKind, readonly string[]>>> = {
  pumpModel: ['ownSteps'],
  equipment: ['inlet'],
  instrument: ['channels'],
};

/** Fields that a kind of record shows now. */
export const fieldsOf = (kind: SetUpKind, values: RecordValues): FieldSpec[] =>
  FIELD_SPECS[kind].filter((spec) => spec.when?.(values) ?? true);

export const hasLimits = (kind: SetUpKind): boolean =>
  kind === 'pumpModel' || kind === 'pump' || kind === 'oilProduct' || kind === 'houseRules';

export const hasOilLimits = (kind: SetUpKind): boolean =>
  kind === 'pump' || kind === 'oilProduct' || kind === 'houseRules';

/** The value at a path such as `sumps.0.chargeMl`. */
function valueAt(body: Body, path: string): unknown {
  return path.split('.').reduce<unknown>((at, key) => (at as Body | undefined)?.[key], body);
}

const plain = (value: number): string => typedText(Number(value.toPrecision(8)));

function textOf(spec: FieldSpec, value: unknown, units: Units): string {
  if (value === null || value === undefined) return spec.type === 'choice' ? (spec.initial ?? '') : '';
  if (spec.type === 'flag') return value ? 'yes' : 'no';
  if (spec.type === 'many') return (value as string[]).join(' ');
  if (spec.type === 'day') return (value as string).slice(0, 10);
  if (spec.type === 'quantity')
    return plain(inUnit({ value: (value as number) / spec.perBase, unit: units[spec.dimension] }));
  if (spec.type === 'heights')
    return (value as JarShape['points']).map((p) => `${plain(p.heightMm)} ${plain(p.ml)}`).join('\n');
  return typeof value === 'number' ? plain(value) : (value as string);
}

/** The fields of a record as they are typed. */
export function valuesOf(kind: SetUpKind, body: Body, units: Units): RecordValues {
  const fields = FIELD_SPECS[kind].map((spec): [string, string] => [
    nameOf(spec.path),
    textOf(spec, valueAt(body, spec.path), units),
  ]);
  const assumed = Array.isArray(body.assumed) ? (body.assumed as string[]).join(' ') : '';
  return {
    ...Object.fromEntries(fields),
    assumed,
    ...(hasLimits(kind) ? limitValues(body.limits ?? {}) : {}),
    ...(hasOilLimits(kind) ? oilLimitValues(body.oilLimits ?? {}) : {}),
  };
}

/** The fields of a new record. */
export function initialValues(kind: SetUpKind, known: RecordValues = {}): RecordValues {
  const fields = FIELD_SPECS[kind].map((spec): [string, string] => [nameOf(spec.path), spec.initial ?? '']);
  const assumed = FIELD_SPECS[kind].filter((spec) => spec.initial && !spec.unmarked && !known[nameOf(spec.path)]);
  return {
    ...Object.fromEntries(fields),
    assumed: assumed.map(({ path }) => path).join(' '),
    ...(hasLimits(kind) ? limitValues({}) : {}),
    ...(hasOilLimits(kind) ? oilLimitValues({}) : {}),
    ...known,
  };
}

function put(body: Body, path: string, value: unknown): void {
  const keys = path.split('.');
  const last = keys.pop() ?? path;
  let at: Body = body;
  for (const key of keys) at = (at[key] ??= {}) as Body;
  at[last] = value;
}

type Read =
  | { readonly ok: true; readonly body: object }
  | { readonly ok: false; readonly issues: Readonly<Record<string, string>> };

/** A record as it was when its fields were filled. */
export interface Origin {
  readonly body: Body;
  readonly values: RecordValues;
}

/**
 * What the fields say as a record's body, or the issues by field.
 * @param origin where a field still reads as it was filled, its stored value stays, whatever the unit it is shown in
 */
export function readRecord(kind: SetUpKind, values: RecordValues, units: Units, origin: Origin | null = null): Read {
  const reader = fieldReader(units);
  const body: Body = {};
  const shown = fieldsOf(kind, values);
  for (const spec of FIELD_SPECS[kind]) {
    const name = nameOf(spec.path);
    const untouched = origin !== null && values[name] === origin.values[name];
    if (!shown.includes(spec)) {
      // A question that does not arise is answered with no.
      if (spec.type === 'flag' && valueAt(body, spec.path) === undefined) put(body, spec.path, false);
      continue;
    }
    const value = untouched ? valueAt(origin.body, spec.path) : readField(spec, values[name] ?? '', reader);
    if (value !== null && value !== undefined) put(body, spec.path, value);
  }
  // What is said elsewhere of the same record stays.
  for (const path of SAID_ELSEWHERE[kind] ?? []) if (origin?.body[path]) body[path] = origin.body[path];
  // What another way of speaking sends is found otherwise.
  if (kind === 'instrument' && origin?.body.talks !== body.talks) delete body.channels;
  if (kind === 'pumpModel') body.sumps = sumpsOf(values.kind as PumpKind, (body.sumps ?? {}) as Body);
  const assumed = (values.assumed ?? '').split(' ').filter((path) => shown.some((spec) => spec.path === path));
  if (assumed.length > 0) body.assumed = assumed;
  if (hasLimits(kind)) {
    const limits = readLimits(values);
    if (limits.ok) body.limits = limits.limits;
    else for (const [name, words] of Object.entries(limits.issues)) reader.refuse(name, words);
  }
  if (hasOilLimits(kind)) {
    const limits = readOilLimits(values);
    if (!limits.ok) for (const [name, words] of Object.entries(limits.issues)) reader.refuse(name, words);
    else if (Object.keys(limits.limits).length > 0) body.oilLimits = limits.limits;
  }
  if (reader.hasIssues()) return { ok: false, issues: reader.issues };
  const checked = checkRecord(kind, body);
  if (checked.ok) return { ok: true, body };
  return { ok: false, issues: Object.fromEntries(checked.issues.map((i) => [nameOf(i.field), issueWords(i)])) };
}

/** Of a field that has to be said. */
const EMPTY = 'Say this: it cannot stay empty.';

function readField(spec: FieldSpec, text: string, reader: ReturnType<typeof fieldReader>): unknown {
  const name = nameOf(spec.path);
  const trimmed = text.trim();
  if (trimmed === '' && spec.type !== 'flag') {
    if (spec.wanted) reader.refuse(name, EMPTY);
    return null;
  }
  switch (spec.type) {
    case 'text':
    case 'choice':
    case 'reference':
    case 'zone':
      return trimmed;
    case 'flag':
      return trimmed === 'yes';
    case 'many':
      return trimmed.split(' ').filter(Boolean);
    case 'day':
      return /^\d{4}-\d\d-\d\d$/.test(trimmed) ? `${trimmed}T06:00:00.000Z` : trimmed;
    case 'heights':
      return readHeights(name, trimmed, reader);
    case 'quantity': {
      const value = reader.optional(name, trimmed, spec.dimension);
      return value === null ? null : Number((value * spec.perBase).toPrecision(10));
    }
    case 'rating':
    case 'number': {
      const read = typedNumber(trimmed);
      if (read.ok) return read.value;
      reader.refuse(name, read.twoWays ?? `“${trimmed}” is not a number. Right would be a number, such as 12.5.`);
      return null;
    }
  }
}

/** Pairs of numbers, one on each line; a line that is none is refused by its number. */
function readHeights(name: string, text: string, reader: ReturnType<typeof fieldReader>): JarShape['points'] | null {
  const read = readNumberPairs(text);
  if (read.ok) return read.pairs.map(([heightMm, ml]) => ({ heightMm, ml }));
  reader.refuse(name, `Line ${read.line}: “${read.text}” is not a height and a volume. Right would be “55 250”.`);
  return null;
}

/** The sumps that a pump of this kind has, in order. */
function sumpsOf(kind: PumpKind, said: Body): object[] {
  return (SUMPS_OF[kind] ?? []).map((key, i) => ({ key, ...(said[String(i)] as object | undefined) }));
}

/** A value that a person types is no default of ours any more. */
export const notAssumed = (values: RecordValues, name: string): string =>
  (values.assumed ?? '')
    .split(' ')
    .filter((path) => nameOf(path) !== name)
    .join(' ');
