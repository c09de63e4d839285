// Longer than other files: what has to be true of every kind of entry by itself, in one view.
import 'reflect-metadata';
import {
  effectiveEntry,
  ENTRY_KINDS,
  LAB_COUNTS,
  LAB_FIGURES,
  type Correction,
  type Entry,
  type EntryKind,
  type JournalEntry,
  type JudgedLog,
  type LogOf,
} from '@winter-jar/core';
import { plainToInstance } from 'class-transformer';
import { validateSync, type ValidationError } from 'class-validator';
import { isAlreadyRight } from './already-right.js';
import { oddJson } from './odd-json.js';
import { BODY_CLASSES } from './bodies.js';
import { CorrectionBodyDto, EntryDto } from './envelope.js';
import { FUTURE_TOLERANCE_MS } from './limits.js';

/** One thing that is wrong: where, what was given, and what would be right. */
export interface FieldIssue {
  readonly field: string;
  readonly value: unknown;
  readonly code: string;
  readonly right: string;
}

export type Checked<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly issues: readonly FieldIssue[] };

function issuesOf(errors: readonly ValidationError[], prefix: string): FieldIssue[] {
  return errors.flatMap((error) => {
    const field = prefix ? `${prefix}.${error.property}` : error.property;
    const own = Object.entries(error.constraints ?? {})
      .slice(0, 1)
      .map(([rule, message]): FieldIssue => {
        const value: unknown = error.value;
        if (rule === 'whitelistValidation')
          return { field, value, code: 'unknownField', right: 'leave this field out: it is not known here' };
        return { field, value: value ?? null, code: value === undefined ? 'missing' : 'notRight', right: message };
      });
    return [...own, ...issuesOf(error.children ?? [], field)];
  });
}

/** Checks a plain object against a DTO class; unknown fields are refused. */
export function checkShape<T extends object>(type: new () => T, raw: unknown, prefix = ''): Checked<T> {
  if (typeof raw !== 'object' || raw === null || Array.isArray(raw)) {
    return {
      ok: false,
      issues: [{ field: prefix || 'body', value: raw ?? null, code: 'notAnObject', right: 'a JSON object' }],
    };
  }
  if (isAlreadyRight(type, raw)) return { ok: true, value: raw as T };
  const odd = oddJson(raw, prefix);
  if (odd) return { ok: false, issues: [bad(odd.field, null, 'notRight', odd.right)] };
  const value = plainToInstance(type, raw);
  const errors = validateSync(value, { whitelist: true, forbidNonWhitelisted: true, forbidUnknownValues: true });
  return errors.length > 0 ? { ok: false, issues: issuesOf(errors, prefix) } : { ok: true, value };
}

const bad = (field: string, value: unknown, code: string, right: string): FieldIssue => ({ field, value, code, right });

/** When it ended: only a run lasts. */
function endOf(entry: Entry): number {
  const minutes = entry.kind === 'run' ? (entry.body.minutes ?? 0) : 0;
  return Date.parse(entry.happenedAt) + minutes * 60_000;
}

const LAYERS = ['sludgeMl', 'freeWaterMl', 'creamMl', 'hazyMl'] as const;

/** What the readings of one look say about one another: layers fit the jar, and no kind of particle where there are none. */
function lookRules(given: Readonly<Record<string, unknown>>): FieldIssue[] {
  const { source, lookedAtMl, particles, particleKinds } = given;
  if (particles === 'none' && Array.isArray(particleKinds) && particleKinds.length > 0)
    return [bad('body.particles', particles, 'contradicted', 'few or many, where a kind was seen')];
  if (source === 'sightGlass') return [];
  if (lookedAtMl === null || lookedAtMl === undefined)
    return [bad('body.lookedAtMl', null, 'missing', 'the mL in the jar')];
  let left = Number(lookedAtMl);
  for (const layer of LAYERS) {
    left -= Number(given[layer] ?? 0);
    if (left < -LAYER_ROUNDING_ML)
      return [
        bad(`body.${layer}`, given[layer], 'moreThanDrawn', `at most what is in the jar, ${Number(lookedAtMl)} mL`),
      ];
  }
  return [];
}

/** Layers typed in ounces add up to the jar but for their rounding. */
const LAYER_ROUNDING_ML = 0.5;

/** Readings of the trap follow one another, within the run. */
function trapIssue({ trapProfile, minutes }: Readonly<Record<string, unknown>>): FieldIssue | null {
  const readings = (trapProfile ?? []) as readonly { minutes: number }[];
  const wrong = readings.findIndex((r, i) => i > 0 && r.minutes <= (readings[i - 1]?.minutes ?? 0));
  if (wrong > 0)
    return bad('body.trapProfile', readings[wrong]?.minutes, 'notRising', 'minutes that rise from reading to reading');
  const last = readings.at(-1)?.minutes ?? 0;
  return typeof minutes === 'number' && last > minutes
    ? bad('body.trapProfile', last, 'afterTheEnd', `readings within the run, up to minute ${minutes}`)
    : null;
}

/** A report says something, and its counts come together and fall with the size. */
function labRules(given: Readonly<Record<string, unknown>>): FieldIssue[] {
  const isGiven = (key: string) => given[key] !== null && given[key] !== undefined;
  if (!LAB_FIGURES.some(isGiven)) return [bad('body.waterPpm', null, 'missing', 'at least one figure of the report')];
  const counts = LAB_COUNTS.filter(isGiven);
  if (counts.length === 0) return [];
  const missing = LAB_COUNTS.find((c) => !isGiven(c));
  if (missing) return [bad(`body.${missing}`, null, 'missing', 'all three counts: the code needs them together')];
  const rising = LAB_COUNTS.find((c, i) => i > 0 && Number(given[c]) > Number(given[LAB_COUNTS[i - 1] ?? c]));
  return rising
    ? [
        bad(
          `body.${rising}`,
          given[rising],
          'contradicted',
          'at most the count of the smaller size: it includes this one',
        ),
      ]
    : [];
}

const VOLUME_NEEDED = { field: 'volumeL', right: 'the volume that was closed off or pumped out, in litres' } as const;
/** What a log of each kind says, since its verdict hangs on it. */
const NEEDED_OF_LOG: Readonly<Record<LogOf, readonly { readonly field: keyof JudgedLog; readonly right: string }[]>> = {
  rise: [VOLUME_NEEDED],
  pumpDown: [VOLUME_NEEDED],
  ultimate: [{ field: 'limitPa', right: 'the pressure that the pump is held to, in Pa' }],
  bagDrop: [{ field: 'limitPa', right: 'what its pressure may rise by in ten minutes, in Pa' }],
  cycles: [{ field: 'toPa', right: 'the set pressure of the cycle, in Pa' }],
};

/** A test says something; a leak step says whether it passed. */
function testRules(given: Readonly<Record<string, unknown>>): FieldIssue[] {
  const findings = given.findings as readonly { id: string }[];
  const twice = findings.findIndex((f, i) => findings.findIndex((g) => g.id === f.id) < i);
  if (twice >= 0) return [bad(`body.findings.${twice}.id`, findings[twice]?.id, 'twice', 'each finding once')];
  if (given.leakStep) {
    const said = given.passed === true || given.passed === false;
    return said ? [] : [bad('body.passed', null, 'missing', 'true or false: whether the step passed')];
  }
  const log = given.log as Partial<JudgedLog> | null | undefined;
  const lacks = log?.of ? NEEDED_OF_LOG[log.of].find(({ field }) => (log[field] ?? null) === null) : undefined;
  if (lacks) return [bad(`body.log.${lacks.field}`, null, 'missing', lacks.right)];
  const measured = (given.measured ?? []) as readonly unknown[];
  const silent = findings.length === 0 && measured.length === 0 && !given.remark && !given.photoId && !given.log;
  return silent
    ? [bad('body.findings', [], 'missing', 'at least one finding, a pressure, a gauge log, a photograph or a remark')]
    : [];
}

/** What is said of a case or a job names it. */
function namedIssue(entry: EntryDto): FieldIssue | null {
  const type = NAMES[entry.kind as EntryKind];
  if (!type || entry.subjects.filter((s) => s.type === type).length === 1) return null;
  const right = type === 'container' ? 'exactly one container' : `exactly one ${type} beside the pump`;
  return bad('subjects', entry.subjects, 'missing', right);
}
const NAMES: { readonly [K in EntryKind]?: 'case' | 'job' | 'container' } = {
  stocktake: 'container',
  opened: 'container',
  mediaChange: 'container',
  caseOpened: 'case',
  caseClosed: 'case',
  caseChecked: 'case',
  jobStarted: 'job',
  jobStep: 'job',
  jobMoved: 'job',
  jobEnded: 'job',
};

/** A wait that begins says its end, and whoever takes a job over has hung their own lock. */
function jobRules(kind: EntryKind, given: Readonly<Record<string, unknown>>): FieldIssue[] {
  if (kind === 'jobStep' && given.phase === 'begun' && !given.until)
    return [bad('body.until', null, 'missing', 'when the wait ends')];
  if (kind === 'jobStep' && given.phase === 'done' && given.until)
    return [bad('body.until', given.until, 'notWhenDone', 'nothing: only a wait that begins has an end')];
  if (kind !== 'jobMoved' || given.how !== 'handedOver') return [];
  if (!given.to) return [bad('body.to', null, 'missing', 'the id of the person who goes on')];
  return given.locksChanged === true
    ? []
    : [bad('body.locksChanged', given.locksChanged, 'missing', 'true: the next lock hung before the first came off')];
}

/** A transfer has two ends, one of them a container of the house. */
function transferRules(given: Readonly<Record<string, unknown>>): FieldIssue[] {
  const { fromId, toId, outside } = given;
  if (!fromId && !toId) return [bad('body.fromId', null, 'missing', 'the container that it came from or went into')];
  if (fromId && fromId === toId)
    return [bad('body.toId', toId, 'twice', 'another container than the one it came from')];
  if (fromId && toId)
    return outside ? [bad('body.outside', outside, 'contradicted', 'nothing between two containers')] : [];
  const outsides = fromId ? ['spill', 'carrier', 'notSaid'] : ['bought', 'notSaid'];
  if (!outsides.includes(String(outside)))
    return [bad('body.outside', outside ?? null, 'notRight', `one of ${outsides.join(', ')}`)];
  if (!fromId && !given.productId) return [bad('body.productId', null, 'missing', 'the oil that came in')];
  return [];
}

/** Something was moved, and no layer is more than its oil. */
function volumeRules(kind: EntryKind, given: Readonly<Record<string, unknown>>): FieldIssue[] {
  const moved = ['oilMl', 'waterMl', 'creamMl', 'sludgeMl'].reduce((sum, key) => sum + Number(given[key] ?? 0), 0);
  if (kind === 'transfer' && moved <= 0) return [bad('body.oilMl', given.oilMl, 'notRight', 'a volume above 0 mL')];
  if (kind === 'stocktake' && Number(given.hazyMl ?? 0) > Number(given.oilMl) + LAYER_ROUNDING_ML)
    return [bad('body.hazyMl', given.hazyMl, 'moreThanDrawn', `at most the oil, ${String(given.oilMl)} mL`)];
  return [];
}

function bodyRules(kind: EntryKind, body: object): FieldIssue[] {
  const given = body as Record<string, unknown>;
  const has = (key: string) => given[key] !== null && given[key] !== undefined;
  if (kind === 'run' && given.stillRunning === true) {
    const said = ['minutes', 'cycles'].find(has);
    return said
      ? [bad(`body.${said}`, given[said], 'notWhileRunning', 'nothing while the run is still going: its end says it')]
      : [];
  }
  const late = kind === 'run' ? trapIssue(given) : null;
  if (late) return [late];
  if (kind === 'run' && !has('minutes') && !has('cycles')) {
    return [bad('body.minutes', null, 'missing', 'minutes, or cycles where cycles are counted')];
  }
  if (kind === 'meter' && given.action === 'replaced' && !has('newMinutes')) {
    return [bad('body.newMinutes', null, 'missing', 'what the new meter shows, 0 where it is new')];
  }
  if (kind === 'meter' && given.action === 'read' && has('newMinutes')) {
    return [bad('body.newMinutes', given.newMinutes, 'notForAReading', 'nothing: only a replaced meter starts anew')];
  }
  if (kind === 'bleed' && has('drawnMl') && Number(given.waterMl) > Number(given.drawnMl)) {
    return [bad('body.waterMl', given.waterMl, 'moreThanDrawn', `at most what was drawn, ${String(given.drawnMl)} mL`)];
  }
  if (kind === 'look') return lookRules(given);
  if (kind === 'transfer') return [...transferRules(given), ...volumeRules(kind, given)];
  if (kind === 'stocktake') return volumeRules(kind, given);
  if (kind === 'labResult') return labRules(given);
  if (kind === 'test') return testRules(given);
  if (kind.startsWith('job')) return jobRules(kind, given);
  return [];
}

function checkBody(kind: EntryKind, raw: unknown): Checked<object> {
  const shape = checkShape<object>(BODY_CLASSES[kind], raw, 'body');
  if (!shape.ok) return shape;
  const issues = bodyRules(kind, shape.value);
  return issues.length > 0 ? { ok: false, issues } : shape;
}

/**
 * A new body whose entry is not here yet: its kind is not known, so it has to be right for one kind at least.
 * @returns what is wrong with it as the kind that it is closest to
 */
export function bodyOfNoKind(body: object): readonly FieldIssue[] {
  let closest: readonly FieldIssue[] | null = null;
  for (const kind of ENTRY_KINDS) {
    const checked = checkBody(kind, body);
    if (checked.ok) return [];
    if (!closest || checked.issues.length < closest.length) closest = checked.issues;
  }
  return (closest ?? []).map((issue) => ({ ...issue, field: `body.${issue.field}` }));
}

/** Shape, body and times of one entry, without looking at what is stored. `nowMs` is the reader's clock. */
export function checkEntry(raw: unknown, nowMs: number): Checked<JournalEntry> {
  const envelope = checkShape(EntryDto, raw);
  if (!envelope.ok) return envelope;
  const plain = envelope.value;
  const { kind } = plain;
  const latest = nowMs + FUTURE_TOLERANCE_MS;

  // A clock far ahead would win every later correction.
  if (Date.parse(plain.recordedAt) > latest + FUTURE_TOLERANCE_MS) {
    return {
      ok: false,
      issues: [
        bad('recordedAt', plain.recordedAt, 'inTheFuture', 'the time of recording: is this device’s clock right?'),
      ],
    };
  }
  if (kind === 'correction') {
    const body = checkShape(CorrectionBodyDto, plain.body, 'body');
    if (!body.ok) return body;
    const { action, happenedAt } = body.value;
    if (action === 'replace' && !body.value.body) {
      return { ok: false, issues: [bad('body.body', null, 'missing', 'the full new body')] };
    }
    if (action === 'setAside' && !body.value.saw?.length) {
      return { ok: false, issues: [bad('body.saw', null, 'missing', 'the ids of the corrections that are left out')] };
    }
    if (happenedAt && Date.parse(happenedAt) > latest) {
      return { ok: false, issues: [bad('body.happenedAt', happenedAt, 'inTheFuture', 'a time that has passed')] };
    }
    return {
      ok: true,
      value: { ...plain, body: { ...body.value, supersedes: body.value.supersedes ?? null } } as Correction,
    };
  }

  const sent = plain as unknown as Entry;
  // It is kept as it was sent, and checked as it will be read.
  const entry = effectiveEntry(sent, []) ?? sent;
  const body = checkBody(kind, entry.body);
  if (!body.ok) return body;
  const named = namedIssue(plain);
  if (named) return { ok: false, issues: [named] };
  if (Date.parse(entry.happenedAt) > latest) {
    return { ok: false, issues: [bad('happenedAt', entry.happenedAt, 'inTheFuture', 'a time that has passed')] };
  }
  if (entry.kind === 'takeOver' && entry.body.oilChangedAt && entry.body.oilChangedAt > entry.happenedAt) {
    const right = 'a day before the take-over; a later change is an oil change of its own';
    return { ok: false, issues: [bad('body.oilChangedAt', entry.body.oilChangedAt, 'afterTakeOver', right)] };
  }
  if (entry.kind === 'run' && entry.precision === 'exact' && endOf(entry) > latest) {
    return {
      ok: false,
      issues: [bad('body.minutes', entry.body.minutes, 'endsInTheFuture', 'a run that has ended: log it when it ends')],
    };
  }
  return { ok: true, value: sent };
}
