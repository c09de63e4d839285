import type { PumpPage } from '@winter-jar/contracts';
import {
  countsOfIso4406,
  LAB_COUNTS,
  LAB_FIGURES,
  type Dimension,
  type Entry,
  type LabResultBody,
  type SampleDrawn,
  type WearSign,
} from '@winter-jar/core';
import { exactly, type FormAnswer } from '../entry/deed.js';
import { fieldReader } from '../forms/read-quantity.js';
import { remarkOf } from '../forms/remark-of.js';
import { happenedAt, happensNow, WHEN_WRONG, whenOf, type When } from '../forms/when-field.js';
import { quantityText } from '../ui/quantity-text.js';
import { FIGURE_WORDS, type LabFigure } from '../words/lab-words.js';

export interface LabResultValues extends When, Record<LabFigure, string> {
  sampleId: string;
  /** The particle code of a report that has no counts, "19/17/14". */
  isoCode: string;
  wearSigns: WearSign[];
  remark: string;
}

type Units = Readonly<Record<Dimension, string>>;

/** The sample that a report most likely is of: the oldest that has none yet, else the last. */
export function awaitedSample(samples: readonly SampleDrawn[]): SampleDrawn | null {
  return samples.find((s) => s.measured.length === 0) ?? samples.at(-1) ?? null;
}

const figures = (of: (figure: LabFigure) => string): Record<LabFigure, string> =>
  Object.fromEntries(LAB_FIGURES.map((f) => [f, of(f)])) as Record<LabFigure, string>;

export function labResultDefaults({ row, state }: Pick<PumpPage, 'row' | 'state'>): LabResultValues {
  return {
    sampleId: awaitedSample(state.samples)?.entryId ?? '',
    ...figures(() => ''),
    isoCode: '',
    wearSigns: [],
    remark: '',
    ...happensNow(row.zone),
  };
}

export function labResultValuesOf(
  { body, happenedAt: instant }: Extract<Entry, { kind: 'labResult' }>,
  zone: string,
  units: Units,
): LabResultValues {
  return {
    sampleId: body.sampleId,
    ...figures((f) => quantityText(body[f], units[FIGURE_WORDS[f].dimension])),
    isoCode: '',
    wearSigns: [...(body.wearSigns ?? [])],
    remark: body.remark ?? '',
    ...happenedAt(instant, zone),
  };
}

/** The counts that a code stands for at most; counts that are typed beside it must make the same code. */
function readCode(v: LabResultValues, fields: ReturnType<typeof fieldReader>): Partial<Record<LabFigure, number>> {
  const counts = countsOfIso4406(v.isoCode);
  if (!counts) {
    fields.refuse('isoCode', `“${v.isoCode}” is no code of ISO 4406. Right would be three classes, such as 19/17/14.`);
    return {};
  }
  if (LAB_COUNTS.some((figure) => v[figure].trim() !== '')) {
    fields.refuse(
      'isoCode',
      'Both were typed. Right would be the counts or the code: the code follows from the counts.',
    );
    return {};
  }
  return Object.fromEntries(LAB_COUNTS.map((figure, i) => [figure, counts[i]]));
}

export function readLabResult(v: LabResultValues, units: Units, zone: string, nowMs: number): FormAnswer<'labResult'> {
  const fields = fieldReader(units);
  const values: { -readonly [F in LabFigure]?: number } = {};
  for (const figure of LAB_FIGURES) {
    const value = fields.optional(figure, v[figure], FIGURE_WORDS[figure].dimension, { min: 0 });
    if (value !== null) values[figure] = value;
  }
  if (v.isoCode.trim() !== '') Object.assign(values, readCode(v, fields));
  if (!v.sampleId) fields.refuse('sampleId', 'Say which sample the report is of.');
  if ([...LAB_FIGURES.map((f) => v[f]), v.isoCode].every((text) => text.trim() === ''))
    fields.refuse('viscosity40Mm2s', 'Say at least one figure.');
  const at = whenOf(v, zone, nowMs);
  if (!at) fields.refuse('at', WHEN_WRONG);
  if (fields.hasIssues() || !at) return { ok: false, issues: fields.issues };
  const body: LabResultBody = {
    sampleId: v.sampleId,
    ...values,
    ...(v.wearSigns.length > 0 ? { wearSigns: v.wearSigns } : {}),
    ...remarkOf(v),
  };
  return exactly('labResult', at, body);
}
