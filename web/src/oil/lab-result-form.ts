import type { PumpPage } from '@winter-jar/contracts';
import {
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
    wearSigns: [...(body.wearSigns ?? [])],
    remark: body.remark ?? '',
    ...happenedAt(instant, zone),
  };
}

export function readLabResult(v: LabResultValues, units: Units, zone: string, nowMs: number): FormAnswer<'labResult'> {
  const fields = fieldReader(units);
  const values: { -readonly [F in LabFigure]?: number } = {};
  for (const figure of LAB_FIGURES) {
    const value = fields.optional(figure, v[figure], FIGURE_WORDS[figure].dimension, { min: 0 });
    if (value !== null) values[figure] = value;
  }
  if (!v.sampleId) fields.refuse('sampleId', 'Say which sample the report is of.');
  if (LAB_FIGURES.every((f) => v[f].trim() === '')) fields.refuse('viscosity40Mm2s', 'Type at least one figure.');
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
