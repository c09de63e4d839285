import type { StoreContainer } from '@winter-jar/contracts';
import { typedQuantity } from '../ui/typed-number.js';
import {
  capacityMl,
  JAR_SHAPES,
  jarShapeOf,
  productIn,
  settlingOf,
  shelfJar,
  type Clarity,
  type Draw,
  type DrawnHow,
  type Dimension,
  type Entry,
  type Foam,
  type JarShape,
  type Level,
  type LookSource,
  type OilWent,
  type ParticleAmount,
  type ParticleKind,
  type PumpSetUp,
  type PumpState,
  type Settling,
  type Smell,
  type SumpKey,
} from '@winter-jar/core';
import { exactly, type FormAnswer } from '../entry/deed.js';
import { fieldReader } from '../forms/read-quantity.js';
import { remarkOf } from '../forms/remark-of.js';
import { happenedAt, happensNow, WHEN_WRONG, whenOf, type When } from '../forms/when-field.js';
import { quantityText } from '../ui/quantity-text.js';
import { NO_LAYERS, surplusMl, type JarLayers } from './jar-volumes.js';

const JAR_TEMP = { min: -20, max: 90 } as const;

export type Stood = 'running' | '0.17' | '2' | '20' | '48' | 'other';
export type Odd = 'waterAtPickUp' | 'thrownFromExhaust';
type Units = Readonly<Record<Dimension, string>>;

/** The fields of a reading as they stand on the screen. Layers are mL; clear oil is what is left of the jar. */
export interface ReadJarValues extends When {
  sump: SumpKey;
  source: LookSource;
  /** The jar that is read again; empty where nobody has picked one. */
  drawnId: string;
  /** Of the oil store, where it stands on the shelf. A draft of before may not have it. */
  containerId?: string;
  /** Of a jar that was not read before. */
  ownJarId: string;
  drawn: DrawnHow | '';
  stood: Stood | '';
  hoursStood: string;
  jarTempC: string;
  /** Empty takes a straight jar that fits. */
  jarShapeId: string;
  lookedAtMl: string;
  layers: JarLayers;
  /** Seen in the sight glass. */
  freeWaterMl: string;
  level: Level | '';
  clarity: Clarity | '';
  colour: number | null;
  particles: ParticleAmount | '';
  particleKinds: ParticleKind[];
  smell: Smell | '';
  foam: Foam | '';
  odd: Odd[];
  /** A draft of before may not have it. */
  oilWent?: OilWent | '';
  photoId: string;
  remark: string;
}

export const STOOD_JAR: readonly { readonly value: Stood; readonly words: string }[] = [
  { value: '0.17', words: '10 min' },
  { value: '2', words: '2 h' },
  { value: '20', words: '20 h' },
  { value: '48', words: '2 days' },
  { value: 'other', words: 'other …' },
];
export const STOOD_GLASS = [{ value: 'running', words: 'pump running' } as const, ...STOOD_JAR];

/** A running pump's oil has stood for no time. */
const hoursOf = (stood: Exclude<Stood, 'other'> | ''): number => (stood === 'running' ? 0 : Number(stood));
const stoodOf = (hours: number): Stood =>
  hours === 0 ? 'running' : (STOOD_JAR.find((s) => Number(s.value) === hours)?.value ?? 'other');

export function initialValues(input: { sump: SumpKey; zone: string; lookedAtMl: string }): ReadJarValues {
  return {
    sump: input.sump,
    source: 'sightGlass',
    drawnId: '',
    containerId: '',
    ownJarId: crypto.randomUUID(),
    drawn: '',
    stood: '',
    hoursStood: '',
    jarTempC: '',
    jarShapeId: '',
    lookedAtMl: input.lookedAtMl,
    layers: NO_LAYERS,
    freeWaterMl: '',
    level: '',
    clarity: '',
    colour: null,
    particles: '',
    particleKinds: [],
    smell: '',
    foam: '',
    odd: [],
    oilWent: '',
    photoId: '',
    remark: '',
    ...happensNow(input.zone),
  };
}

export function valuesOfLook(entry: Extract<Entry, { kind: 'look' }>, zone: string, units: Units): ReadJarValues {
  const { body } = entry;
  const glass = body.source === 'sightGlass';
  return {
    ...initialValues({ sump: body.sump, zone, lookedAtMl: quantityText(body.lookedAtMl, units.volume) }),
    source: body.source,
    drawnId: body.drawnId ?? '',
    containerId: body.containerId ?? '',
    drawn: body.drawn ?? '',
    stood: stoodOf(body.hoursStood),
    hoursStood: quantityText(body.hoursStood * 60, 'h'),
    jarTempC: quantityText(body.jarTempC, units.temperature),
    jarShapeId: body.jarShapeId ?? '',
    layers: glass
      ? NO_LAYERS
      : {
          sludgeMl: body.sludgeMl ?? 0,
          waterMl: body.freeWaterMl ?? 0,
          creamMl: body.creamMl ?? 0,
          hazyMl: body.hazyMl ?? 0,
        },
    freeWaterMl: glass ? quantityText(body.freeWaterMl, units.volume) : '',
    level: body.level ?? '',
    clarity: body.clarity ?? '',
    colour: body.colour ?? null,
    particles: body.particles ?? '',
    particleKinds: [...(body.particleKinds ?? [])],
    smell: body.smell ?? '',
    foam: body.foam ?? '',
    odd: (['waterAtPickUp', 'thrownFromExhaust'] as const).filter((o) => body[o]),
    oilWent: body.oilWent ?? '',
    photoId: body.photoId ?? '',
    remark: body.remark ?? '',
    ...happenedAt(entry.happenedAt, zone),
  };
}

const HOUR_MS = 3_600_000;

/** A jar on the shelf that a pump was drained into, with what the shelf knows of it. */
export function jarStood(
  { id, state, shelf, container }: StoreContainer,
  units: { volume: string; temperature: string },
  nowMs: number,
): Partial<ReadJarValues> {
  const stay = state.marks.stays.at(-1);
  const minutes = Math.max(0, Math.round((nowMs - Date.parse(state.filledAt ?? '')) / 60_000)) || 0;
  return {
    source: stay?.by === 'bleed' ? 'bleed' : 'drained',
    drawnId: stay?.outId ?? '',
    containerId: id,
    stood: 'other',
    hoursStood: quantityText(minutes, 'h'),
    lookedAtMl: quantityText(Math.round(shelf.heldMl), units.volume),
    jarTempC: quantityText(container.tempC ?? null, units.temperature),
    jarShapeId: container.jarShapeId ?? '',
  };
}

/** Where the jar of the last change stands on the shelf; null where it was kept apart, and the rest went to waste. */
export const jarOnShelf = (containers: readonly StoreContainer[], toRead: PumpState['toRead']): StoreContainer | null =>
  containers.find(
    ({ state, container }) =>
      toRead !== null &&
      !container.wasteKind &&
      state.reading === null &&
      state.marks.stays.at(-1)?.outId === toRead.entryId,
  ) ?? null;

/** The jar of the last change, once it can be read: what the page begins with then. */
export function jarWaiting({ toRead }: PumpState, nowMs: number): Partial<ReadJarValues> {
  if (!toRead) return {};
  const hours = Math.round((nowMs - Date.parse(toRead.at)) / HOUR_MS);
  return { source: 'drained', drawnId: toRead.entryId, stood: 'other', hoursStood: quantityText(hours * 60, 'h') };
}

/** Jars of this oil that may be read again, the last drawn first. */
export const jarsDrawn = (state: PumpState, v: Pick<ReadJarValues, 'sump' | 'source'>): readonly Draw[] =>
  (state.sumps.find((s) => s.key === v.sump)?.charge.draws ?? []).filter((d) => d.source === v.source).reverse();

/** mL in the jar as typed; 0 while nothing can be understood. */
export function totalMlOf(values: Pick<ReadJarValues, 'lookedAtMl'>, units: Units): number {
  const parsed = typedQuantity({
    text: values.lookedAtMl,
    dimension: 'volume',
    defaultUnit: units.volume,
  });
  return parsed.ok ? parsed.value : 0;
}

/** The jar it stands in: the one that was chosen if it holds that much, else a straight one off the shelf. */
export function jarOf(shapeId: string, totalMl: number, setUp: PumpSetUp): JarShape {
  const chosen = jarShapeOf({ id: shapeId, own: setUp.house.jarShape });
  return chosen && capacityMl(chosen) >= totalMl ? chosen : shelfJar(Math.max(totalMl, 1));
}

export const jarChoices = (setUp: PumpSetUp): { value: string; words: string; group: string }[] => [
  ...Object.entries(setUp.house.jarShape).map(([value, s]) => ({ value, words: s.name, group: 'Your own' })),
  ...Object.entries<JarShape>(JAR_SHAPES).map(([value, s]) => ({ value, words: s.name, group: 'Common' })),
];

/** How long this oil needs in this jar, said before anything else is: it tells how long to wait. Null while the jar is not described. */
export function settlingOfFields(v: ReadJarValues, units: Units, state: PumpState, setUp: PumpSetUp): Settling | null {
  const product = productIn(state, setUp, v.sump);
  const lookedAtMl = totalMlOf(v, units);
  if (!product || (v.source !== 'sightGlass' && lookedAtMl === 0)) return null;
  const read = (text: string, dimension: Dimension) => {
    const parsed = typedQuantity({ text, dimension, defaultUnit: units[dimension] });
    return parsed.ok ? parsed.value : null;
  };
  const warmth = read(v.jarTempC, 'temperature');
  const jarTempC = warmth !== null && warmth >= JAR_TEMP.min && warmth <= JAR_TEMP.max ? warmth : null;
  const hoursStood = v.stood === 'other' ? (read(v.hoursStood, 'duration') ?? 0) / 60 : hoursOf(v.stood);
  const look = { source: v.source, lookedAtMl, jarTempC, hoursStood };
  return settlingOf({ look, product, shape: jarOf(v.jarShapeId, lookedAtMl, setUp) });
}

const NOTHING_SAID = 'Say at least one thing that you saw: level, clarity, colour, water, particles or smell.';

/** What the fields say, or what is wrong with them, field by field. */
export function readJar(v: ReadJarValues, units: Units, zone: string, nowMs: number): FormAnswer<'look'> {
  const fields = fieldReader(units);
  const inJar = v.source !== 'sightGlass';
  const stood = inJar && v.stood === 'running' ? '' : v.stood;
  if (stood === '')
    fields.refuse('stood', 'Say how long the oil has stood: ten minutes and two days say different things.');
  const hoursStood =
    stood === 'other'
      ? fields.wanted('hoursStood', v.hoursStood, 'duration', { min: 0, max: 60_000 }) / 60
      : hoursOf(stood);
  const lookedAtMl = inJar ? fields.wanted('lookedAtMl', v.lookedAtMl, 'volume', { min: 1, max: 200_000 }) : null;
  const jarTempC = inJar ? fields.optional('jarTempC', v.jarTempC, 'temperature', JAR_TEMP) : null;
  const glassWater = inJar ? null : fields.optional('freeWaterMl', v.freeWaterMl, 'volume', { min: 0 });
  if (lookedAtMl !== null && lookedAtMl > 0 && surplusMl(v.layers, lookedAtMl) > 0.5)
    fields.refuse(
      'lookedAtMl',
      `The layers are ${quantityText(Math.round(surplusMl(v.layers, lookedAtMl)), 'mL')} more than that. Right would be all of the jar, its layers together.`,
    );
  if (v.particles === 'none' && v.particleKinds.length > 0)
    fields.refuse('particles', 'None, and yet of a kind? Right would be few or many.');
  const at = whenOf(v, zone, nowMs);
  if (!at) fields.refuse('at', WHEN_WRONG);
  const said = [v.level, v.clarity, v.colour, v.particles, v.smell, v.foam, glassWater, v.odd[0], v.oilWent];
  if (!inJar && said.every((s) => s === '' || s === null || s === undefined)) fields.refuse('clarity', NOTHING_SAID);
  if (fields.hasIssues() || !at) return { ok: false, issues: fields.issues };
  const jar = {
    lookedAtMl,
    sludgeMl: v.layers.sludgeMl,
    freeWaterMl: v.layers.waterMl,
    creamMl: v.layers.creamMl,
    hazyMl: v.layers.hazyMl,
    ...(v.drawnId ? { drawnId: v.drawnId } : {}),
    ...(v.containerId ? { containerId: v.containerId } : {}),
    ...(v.source === 'sample' && v.drawn ? { drawn: v.drawn } : {}),
    ...(jarTempC === null ? {} : { jarTempC }),
    ...(v.jarShapeId ? { jarShapeId: v.jarShapeId } : {}),
  };
  return exactly('look', at, {
    sump: v.sump,
    source: v.source,
    hoursStood,
    ...(inJar ? jar : {}),
    ...(glassWater === null ? {} : { freeWaterMl: glassWater }),
    ...(v.level ? { level: v.level } : {}),
    ...(v.clarity ? { clarity: v.clarity } : {}),
    ...(v.colour === null ? {} : { colour: v.colour }),
    ...(v.particles ? { particles: v.particles } : {}),
    ...(v.particleKinds.length > 0 ? { particleKinds: v.particleKinds } : {}),
    ...(v.smell ? { smell: v.smell } : {}),
    ...(v.foam ? { foam: v.foam } : {}),
    ...Object.fromEntries(v.odd.filter((o) => o === 'thrownFromExhaust' || !inJar).map((o) => [o, true])),
    ...(v.oilWent ? { oilWent: v.oilWent } : {}),
    ...(v.photoId ? { photoId: v.photoId } : {}),
    ...remarkOf(v),
  });
}
