import Fuse from 'fuse.js';
import type { DiagnosisAnswer } from '@winter-jar/contracts';
import {
  CHECKS,
  FINDINGS,
  SPOKEN_WORDS,
  rank,
  type Check,
  type MeasuredPressure,
  type CheckId,
  type Dimension,
  type Entry,
  type FindingId,
  type FoundSaid,
  type RankedCause,
} from '@winter-jar/core';
import { exactly, type FormAnswer } from '../entry/deed.js';
import { quantityText } from '../ui/quantity-text.js';
import { fieldReader } from '../forms/read-quantity.js';
import { remarkOf } from '../forms/remark-of.js';
import { happensNow, WHEN_WRONG, whenOf, type When } from '../forms/when-field.js';
import { leakStepOf, SURENESS, surenessOf, type Sureness } from '../words/diagnosis-words.js';

type Units = Readonly<Record<Dimension, string>>;

/** Chosen where nobody looked: it says nothing. */
export const NOT_LOOKED = 'notLooked';

export interface TestValues extends When {
  checkId: string;
  leakStep: string;
  passed: '' | 'yes' | 'no';
  /** State by finding. */
  found: Readonly<Record<string, string>>;
  sureness: Sureness;
  /** What the gauge showed, how warm the oil was, and which gauge: of tests that measure. */
  pressure: string;
  oilTemp: string;
  gauge: string;
  photoId: string;
  remark: string;
}

/** The fields before anything is said, now. */
export const nothingFound = (zone: string): TestValues => ({
  checkId: '',
  leakStep: '',
  passed: '',
  found: {},
  sureness: 'sure',
  pressure: '',
  oilTemp: '',
  gauge: '',
  photoId: '',
  remark: '',
  ...happensNow(zone),
});

/** What the test settles, or what was picked from the list; no smell where smelling harms. */
export function findingsAskedFor(
  { checkId, found }: Pick<TestValues, 'checkId' | 'found'>,
  { smellHarms }: { smellHarms: boolean },
): string[] {
  const all: readonly string[] = CHECKS[checkId as CheckId]?.settles ?? [];
  const settles = smellHarms ? all.filter((id) => id !== 'smell') : all;
  return [...settles, ...Object.keys(found).filter((id) => !settles.includes(id))];
}

function stepFindings({ leakStep, passed }: TestValues): { id: string; state: string }[] {
  const step = leakStepOf(leakStep);
  if (!step || passed === '') return [];
  return [...(passed === 'yes' ? step.passed : step.failed).findings];
}

/** What a gauge showed in a test that measures, and how the pump stood. */
function measuredOf(v: TestValues, fields: ReturnType<typeof fieldReader>): MeasuredPressure[] {
  const measures = measuresOf(v);
  const pa = measures ? fields.optional('pressure', v.pressure, 'pressure', { min: 1e-6, max: 1_000_000 }) : null;
  const oilTempC = measures ? fields.optional('oilTemp', v.oilTemp, 'temperature', { min: -40, max: 200 }) : null;
  if (!measures || pa === null) return [];
  const gauge = v.gauge.trim();
  return [{ pa, ...measures, ...(oilTempC === null ? {} : { oilTempC }), ...(gauge ? { gauge } : {}) }];
}

/** The pressure that the test reads, and how the pump stands for it; null for a test without a gauge. */
export const measuresOf = ({ checkId }: Pick<TestValues, 'checkId'>): Check['measures'] | null =>
  (CHECKS[checkId as CheckId] as Check | undefined)?.measures ?? null;

export function readTest(v: TestValues, units: Units, zone: string, nowMs: number): FormAnswer<'test'> {
  const fields = fieldReader(units);
  const measured = measuredOf(v, fields);
  const at = whenOf(v, zone, nowMs);
  const stated = Object.entries(v.found).filter(([, state]) => state !== '' && state !== NOT_LOOKED);
  const found = v.leakStep ? stepFindings(v) : stated.map(([id, state]) => ({ id, state }));
  const silent = found.length === 0 && measured.length === 0 && !v.photoId && !v.remark.trim();
  const issues = {
    ...fields.issues,
    ...(at ? {} : { at: WHEN_WRONG }),
    ...(v.leakStep && v.passed === '' ? { passed: 'Say whether the step passed.' } : {}),
    ...(!v.leakStep && silent ? { found: 'Say at least one thing that was found.' } : {}),
  };
  if (!at || Object.keys(issues).length > 0) return { ok: false, issues };
  const certainty = SURENESS.find((s) => s.value === v.sureness)?.certainty ?? 1;
  return exactly('test', at, {
    ...(v.checkId ? { checkId: v.checkId } : {}),
    ...(v.leakStep ? { leakStep: v.leakStep, passed: v.passed === 'yes' } : {}),
    findings: found.map((f) => ({ ...f, certainty })),
    ...(measured.length > 0 ? { measured } : {}),
    ...(v.photoId ? { photoId: v.photoId } : {}),
    ...remarkOf(v),
  });
}

/** The fields of an entry that is corrected. */
export function fieldsOf({ body }: Extract<Entry, { kind: 'test' }>, units: Units): Omit<TestValues, keyof When> {
  const [one] = body.measured ?? [];
  return {
    pressure: quantityText(one?.pa, units.pressure),
    oilTemp: quantityText(one?.oilTempC, units.temperature),
    gauge: one?.gauge ?? '',
    checkId: body.checkId ?? '',
    leakStep: body.leakStep ?? '',
    passed: body.passed === true ? 'yes' : body.passed === false ? 'no' : '',
    found: Object.fromEntries(body.findings.map((f) => [f.id, f.state])),
    sureness: surenessOf(body.findings[0]?.certainty ?? 1),
    photoId: body.photoId ?? '',
    remark: body.remark ?? '',
  };
}

const wordsOf = (id: FindingId): string =>
  [FINDINGS[id].name, ...Object.values(FINDINGS[id].states), ...(SPOKEN_WORDS[id] ?? [])].join(' ').toLowerCase();

/** For words that are nearly right: “mayonaise”, “knoking”. */
const nearly = new Fuse(
  (Object.keys(FINDINGS) as FindingId[]).map((id) => ({
    id,
    words: [FINDINGS[id].name, ...Object.values(FINDINGS[id].states), ...(SPOKEN_WORDS[id] ?? [])],
  })),
  { keys: ['words'], threshold: 0.25, ignoreLocation: true, minMatchCharLength: 4 },
);

/**
 * Findings whose name, states or spoken words hold every word typed, else those that nearly do; `first` ones come first, and where
 * people call one so comes before where the word stands in a sentence.
 */
export function matchingFindings(search: string, first: readonly string[]): FindingId[] {
  const text = search.trim().toLowerCase().replaceAll("'", '’');
  const tokens = text.split(/\s+/).filter(Boolean);
  const ids = Object.keys(FINDINGS) as FindingId[];
  const place = (id: string) => (first.includes(id) ? first.indexOf(id) : first.length);
  const called = (id: FindingId) => Number(SPOKEN_WORDS[id]?.includes(text) ?? false);
  const held = ids.filter((id) => tokens.every((t) => wordsOf(id).includes(t)));
  const found = held.length > 0 ? held : nearly.search(text).map(({ item }) => item.id);
  if (held.length === 0) return found;
  return found.sort((a, b) => called(b) - called(a) || place(a) - place(b) || ids.indexOf(a) - ids.indexOf(b));
}

/** The cause that would stand on top with what is said, in place of older words on the same findings. */
export function topWith(
  answer: Pick<DiagnosisAnswer, 'process' | 'priors' | 'evidence'>,
  said: readonly FoundSaid[],
): Pick<RankedCause, 'id' | 'probability'> | null {
  const kept = answer.evidence.filter((e) => !said.some((f) => f.id === e.id));
  const findings = [...kept, ...said].map(({ id, state, certainty }) => ({ id: id as FindingId, state, certainty }));
  return rank({ process: answer.process, priors: answer.priors, findings }).causes[0] ?? null;
}
