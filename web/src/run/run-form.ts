import { MAX_RUN_MINUTES, type PumpPage } from '@winter-jar/contracts';
import {
  countedAtTakeOver,
  equipmentIdOf,
  equipmentOf,
  type BallastUse,
  type Dimension,
  type Entry,
  type HouseSetUp,
  type Pump,
  type RunBody,
  type SessionKind,
  type Subject,
  type TrapReading,
  type YesNo,
} from '@winter-jar/core';
import { fromLocalField, toLocalField } from '../words/dates.js';
import { readNumberPairs } from '../forms/number-pairs.js';
import { quantityText } from '../ui/quantity-text.js';
import type { FormAnswer } from '../entry/deed.js';
import { fieldReader } from '../forms/read-quantity.js';
import { typedNumber } from '../ui/typed-number.js';
import { remarkOf } from '../forms/remark-of.js';
import { runTime, type TimeMode } from '../forms/run-time.js';

/** The material that is chosen while nobody knows what went in. */
export const NOT_TOLD = '?';

/** The fields of a run as they are typed. */
export interface RunValues {
  /** Empty until one is chosen, or {@link NOT_TOLD}. */
  materialId: string;
  equipmentId: string;
  mode: TimeMode;
  duration: string;
  start: string;
  end: string;
  day: string;
  cycles: string;
  session: SessionKind;
  ballast: BallastUse;
  trapTempC: string;
  /** Minutes and °C, one reading a line. */
  trapProfile: string;
  loadKg: string;
  oilTempC: string;
  defrostedBefore: YesNo;
  drainClosed: YesNo;
  inLineFilter: YesNo;
  firstPressurePa: string;
  lowestPressurePa: string;
  ventedBeforeStop: YesNo;
  /** Of a run from before the take-over: among those that were counted then, or on top. */
  takeOver: '' | 'among' | 'onTop';
  remark: string;
}

export type Units = Readonly<Record<Dimension, string>>;

const RECENT_MATERIALS = 5;
const DAY_MS = 86_400_000;
export const TRAP_BOUNDS = { min: -120, max: 60 } as const;
export const PRESSURE_BOUNDS = { min: 1e-6, max: 110_000 } as const;
const LOAD_BOUNDS = { min: 0, max: 100_000 } as const;
export const OIL_TEMP_BOUNDS = { min: -20, max: 200 } as const;
export const LENGTH_BOUNDS = { min: 1, max: MAX_RUN_MINUTES } as const;

type House = Pick<HouseSetUp, 'pump' | 'pumpModel'>;

/**
 * Pumps that run together with this one: a booster set counts every run on both. Borrowed to another equipment, a pump runs
 * with the booster there, in the place of the vane pump that it stands in for.
 */
export function runsWith(pumpId: string, equipmentId: string, house: House): string[] {
  const kindOf = (pump: Pump) => house.pumpModel[pump.modelId]?.kind;
  const inUse = ({ place }: Pump) => place !== 'spare' && place !== 'retired';
  const there = Object.entries(house.pump).filter(([, p]) => p.equipmentId === equipmentId && inUse(p));
  if (!there.some(([, p]) => kindOf(p) === 'booster')) return [];
  const own = house.pump[pumpId]?.equipmentId === equipmentId;
  return there.filter(([id, p]) => id !== pumpId && (own || kindOf(p) === 'booster')).map(([id]) => id);
}

/** The materials that this pump had last, the newest first. */
export function recentMaterials({ state }: Pick<PumpPage, 'state'>): string[] {
  const newestFirst = [state.lastRun?.materialId, ...[...state.bars].reverse().map((b) => b.materialId)];
  return [...new Set(newestFirst.filter((m) => typeof m === 'string'))].slice(0, RECENT_MATERIALS);
}

/** NaN when it is none. */
function cyclesOf(text: string): number {
  const read = typedNumber(text, { min: 1, max: 1_000_000 });
  return read.ok ? read.value : NaN;
}

const YES_NO_FIELDS = ['defrostedBefore', 'drainClosed', 'inLineFilter'] as const;

/** What is said beyond the short form; what nobody said is left out. */
function readMore(v: RunValues, fields: ReturnType<typeof fieldReader>, coldTrap: boolean): Partial<RunBody> {
  const loadKg = fields.optional('loadKg', v.loadKg, 'mass', LOAD_BOUNDS);
  const oilTempC = fields.optional('oilTempC', v.oilTempC, 'temperature', OIL_TEMP_BOUNDS);
  const firstPressurePa = fields.optional('firstPressurePa', v.firstPressurePa, 'pressure', PRESSURE_BOUNDS);
  const trapProfile = coldTrap ? readTrapProfile(v.trapProfile, fields) : [];
  const asked = YES_NO_FIELDS.filter((f) => v[f] !== 'unknown' && (coldTrap || f === 'inLineFilter'));
  return {
    ...(loadKg === null ? {} : { loadKg }),
    ...(oilTempC === null ? {} : { oilTempC }),
    ...(firstPressurePa === null ? {} : { firstPressurePa }),
    ...(trapProfile.length === 0 ? {} : { trapProfile }),
    ...Object.fromEntries(asked.map((f) => [f, v[f]])),
  };
}

function readTrapProfile(text: string, fields: ReturnType<typeof fieldReader>): TrapReading[] {
  const read = readNumberPairs(text);
  if (read.ok) return read.pairs.map(([minutes, tempC]) => ({ minutes, tempC }));
  fields.refuse(
    'trapProfile',
    `Line ${read.line}: “${read.text}” is not minutes and a temperature. Right would be “90 -41”.`,
  );
  return [];
}

/** A choice as an entry says it. */
export const toldMaterial = (chosen: string): string | null => (chosen === NOT_TOLD ? null : chosen);

/** What the fields say: the entry's body and times, or the issues by field. */
export function readRun(
  v: RunValues,
  { page, units, nowMs }: { page: PumpPage; units: Units; nowMs: number },
): FormAnswer<'run'> {
  const { house } = page.setUp;
  const equipment = equipmentOf(v.equipmentId, page.setUp);
  const fields = fieldReader(units);
  const running = v.mode === 'started';
  const cycles = !running && equipment.cyclesPerRun && v.cycles.trim() !== '' ? cyclesOf(v.cycles) : null;
  if (cycles !== null && !(Number.isInteger(cycles) && cycles > 0)) {
    fields.refuse('cycles', `“${v.cycles}” is not a number of cycles. Right would be a whole number, such as 1850.`);
  }
  const typed =
    v.mode === 'times' || running
      ? null
      : cycles === null
        ? fields.wanted('duration', v.duration, 'duration', LENGTH_BOUNDS)
        : fields.optional('duration', v.duration, 'duration', LENGTH_BOUNDS);
  const minutes = typed === null ? null : Math.round(typed);
  if (v.materialId !== NOT_TOLD && !house.material[v.materialId])
    fields.refuse('materialId', 'Say what went in, or that you do not know it yet.');
  const trapTempC = equipment.coldTrap ? fields.optional('trapTempC', v.trapTempC, 'temperature', TRAP_BOUNDS) : null;
  const lowestPressurePa = fields.optional('lowestPressurePa', v.lowestPressurePa, 'pressure', PRESSURE_BOUNDS);
  const more = running ? {} : readMore(v, fields, equipment.coldTrap);
  const byCycles = minutes ?? (cycles === null ? null : Math.round((cycles * (equipment.cycleTimeS ?? 0)) / 60));
  const { mode, start, end, day } = v;
  const answer = runTime({ mode, minutes: byCycles, start, end, day, zone: page.row.zone, nowMs });
  if (!answer.ok) fields.refuse(answer.field, answer.words);
  const counted = answer.ok ? countedAtTakeOver(page.state, answer.time.happenedAt) : null;
  if (counted !== null && v.takeOver === '')
    fields.refuse('takeOver', 'Say whether it was counted then: else it counts twice, or not at all.');
  if (fields.hasIssues() || !answer.ok) return { ok: false, issues: fields.issues };
  const length = mode === 'times' ? answer.time.minutes : minutes;
  const { happenedAt, precision } = answer.time;
  const alsoAbout: Subject[] = [
    ...runsWith(page.row.pumpId, v.equipmentId, house).map((id) => ({ type: 'pump' as const, id })),
    { type: 'equipment', id: v.equipmentId },
  ];
  const body: RunBody = {
    materialId: toldMaterial(v.materialId),
    ...(running ? { stillRunning: true } : {}),
    ...(length === null ? {} : { minutes: length }),
    ...(cycles === null ? {} : { cycles }),
    session: v.session,
    ballast: v.ballast,
    ...(trapTempC === null ? {} : { trapTempC }),
    ...(lowestPressurePa === null ? {} : { lowestPressurePa }),
    ...more,
    ventedBeforeStop: v.ventedBeforeStop,
    ...(counted === null ? {} : { beyondTakeOver: v.takeOver === 'onTop' }),
    ...remarkOf(v),
  };
  return { ok: true, deed: { main: { kind: 'run', happenedAt, precision, alsoAbout, body } } };
}

/** How many runs were counted at the take-over, where this run, as its times are typed, may be one of them. */
export function countedBefore(v: RunValues, input: Parameters<typeof readRun>[1]): number | null {
  const read = readRun({ ...v, takeOver: 'among' }, input);
  return read.ok ? countedAtTakeOver(input.page.state, read.deed.main.happenedAt) : null;
}

/** What the last run's readings were: to be taken over by hand where they are the same, never by themselves. */
export function lastReadings({
  page,
  units,
}: {
  page: PumpPage;
  units: Units;
}): Pick<RunValues, 'trapTempC' | 'lowestPressurePa'> {
  const last = page.state.lastRun;
  return {
    trapTempC: quantityText(last?.trapTempC, units.temperature),
    lowestPressurePa: quantityText(last?.lowestPressurePa, units.pressure),
  };
}

/** A run like the last one that ended now; what was read then is no reading of this one. */
export function runDefaults({ page, nowMs }: { page: PumpPage; nowMs: number }): RunValues {
  const last = page.state.lastRun;
  const { zone } = page.row;
  const minutes = last?.minutes ?? page.setUp.equipment.referenceHours * 60;
  const fieldAt = (ms: number) => toLocalField(new Date(ms).toISOString(), zone);
  return {
    materialId: last?.materialId ?? '',
    equipmentId: page.setUp.pump.equipmentId,
    mode: 'endedNow',
    duration: quantityText(minutes, 'h'),
    start: fieldAt(nowMs - minutes * 60_000),
    end: fieldAt(nowMs),
    day: fieldAt(nowMs - DAY_MS).slice(0, 10),
    cycles: last?.cycles ? String(last.cycles) : '',
    session: 'run',
    ballast: last?.ballast ?? 'unknown',
    trapTempC: '',
    trapProfile: '',
    loadKg: '',
    oilTempC: '',
    defrostedBefore: 'unknown',
    drainClosed: 'unknown',
    inLineFilter: 'unknown',
    firstPressurePa: '',
    lowestPressurePa: '',
    ventedBeforeStop: 'unknown',
    takeOver: '',
    remark: '',
  };
}

/**
 * When a run started, as another way of telling its time begins with it: one that goes on starts now, one that is over a length ago;
 * a start that somebody typed stays.
 */
export function startIn(mode: TimeMode, v: RunValues, { page, nowMs }: { page: PumpPage; nowMs: number }): string {
  const { zone } = page.row;
  const fieldAt = (ms: number) => toLocalField(new Date(ms).toISOString(), zone);
  const offered = runDefaults({ page, nowMs }).start;
  const isTyped = v.start !== offered && !isAboutNow(v.start, { zone, nowMs });
  if (isTyped) return v.start;
  return mode === 'started' ? fieldAt(nowMs) : offered;
}

const ABOUT_NOW_MS = 10 * 60_000;
function isAboutNow(start: string, { zone, nowMs }: { zone: string; nowMs: number }): boolean {
  const at = fromLocalField(start, zone);
  return at !== null && Math.abs(Date.parse(at) - nowMs) < ABOUT_NOW_MS;
}

/** The fields of a run that is to be corrected. */
export function runValuesOf(
  entry: Extract<Entry, { kind: 'run' }>,
  { zone, units, nowMs }: { zone: string; units: Units; nowMs: number },
): RunValues {
  const { body, happenedAt } = entry;
  // A run that goes on is to be ended: now, unless its end was forgotten.
  const endedMs = body.stillRunning ? nowMs : Date.parse(happenedAt) + (body.minutes ?? 0) * 60_000;
  const endedAt = new Date(endedMs).toISOString();
  return {
    materialId: body.materialId ?? NOT_TOLD,
    equipmentId: equipmentIdOf(entry) ?? '',
    mode: entry.precision === 'day' ? 'day' : 'times',
    duration: quantityText(body.minutes, 'h'),
    start: toLocalField(happenedAt, zone),
    end: toLocalField(endedAt, zone),
    day: toLocalField(happenedAt, zone).slice(0, 10),
    cycles: body.cycles ? String(body.cycles) : '',
    session: body.session,
    ballast: body.ballast,
    trapTempC: quantityText(body.trapTempC, units.temperature),
    trapProfile: (body.trapProfile ?? []).map((r) => `${r.minutes} ${r.tempC}`).join('\n'),
    loadKg: quantityText(body.loadKg, units.mass),
    oilTempC: quantityText(body.oilTempC, units.temperature),
    defrostedBefore: body.defrostedBefore ?? 'unknown',
    drainClosed: body.drainClosed ?? 'unknown',
    inLineFilter: body.inLineFilter ?? 'unknown',
    firstPressurePa: quantityText(body.firstPressurePa, units.pressure),
    lowestPressurePa: quantityText(body.lowestPressurePa, units.pressure),
    ventedBeforeStop: body.ventedBeforeStop,
    takeOver: body.beyondTakeOver == null ? '' : body.beyondTakeOver ? 'onTop' : 'among',
    remark: body.remark ?? '',
  };
}
