import type { LookBody } from '../journal/index.js';
import { drawnUlOf, inOilUlOf, leftInOilUlOf, toUl, waterUlOf } from '../oil/index.js';

/** Water of a charge by where it was found, µL. */
export interface WaterFound {
  readonly bledUl: number;
  /** Drawn with samples. */
  readonly sampledUl: number;
  /** Seen standing in the glass since: free water and half the cream. */
  readonly standingUl: number;
}

/** A jar of oil that was drawn, and what it held by its last reading. */
export interface Draw {
  /** Of the bleed, or of the first look at a sample. */
  readonly id: string;
  readonly source: 'bleed' | 'sample';
  readonly waterUl: number;
  /** When it was drawn, as far as its reading tells. */
  readonly filledAt: string;
  /** Hours that it had stood when its jar was read last; null where nobody has read it. */
  readonly stood: number | null;
  /** The oil was bled or purged since: it says nothing of what is in it now. */
  readonly stale: boolean;
}

/** The count of it as it goes on. */
export interface WaterCount extends WaterFound {
  /** The last of them. */
  readonly draws: readonly Draw[];
}

/** A jar stands about for some days; by then there are others. */
const DRAWS_KEPT = 8;
export const NOTHING_FOUND: WaterCount = { bledUl: 0, sampledUl: 0, standingUl: 0, draws: [] };

/** All that was found: out of the oil, and in it. */
export const foundUlOf = ({ bledUl, sampledUl, standingUl }: WaterFound): number => bledUl + sampledUl + standingUl;

interface Origin {
  readonly entryId: string;
  readonly at: string;
}

const asStale = (draws: readonly Draw[]): Draw[] => draws.map((d) => (d.stale ? d : { ...d, stale: true }));

/** Bled or purged: what was drawn before tells of the oil as it was. */
export const withStaleDraws = <T extends { readonly draws: readonly Draw[] }>(of: T): T => ({
  ...of,
  draws: asStale(of.draws),
});

/** A bleed takes out what stood in the oil; how much of it was water may not have been read yet. */
export function afterBleed(found: WaterCount, waterMl: number | null | undefined, origin: Origin): WaterCount {
  const waterUl = toUl(waterMl);
  const draw: Draw = {
    id: origin.entryId,
    source: 'bleed',
    waterUl,
    filledAt: origin.at,
    stood: null,
    stale: false,
  };
  const draws = [...asStale(found.draws), draw].slice(-DRAWS_KEPT);
  return { ...found, bledUl: found.bledUl + waterUl, standingUl: 0, draws };
}

const HOUR_MS = 3_600_000;
/** When a reading says that its jar was filled. */
const filledMs = (look: LookBody, { at }: Origin): number => Date.parse(at) - look.hoursStood * HOUR_MS;
/** So exactly people say how long a jar stood. */
const SAME_JAR = { hours: 2, share: 0.1 } as const;

/** Whether people's hours can mean the same moment. */
const isSameMoment = (apartMs: number, { hoursStood }: LookBody): boolean =>
  Math.abs(apartMs) / HOUR_MS <= Math.max(SAME_JAR.hours, SAME_JAR.share * hoursStood);

/**
 * The jar that a look reads, where it was read or drawn before. A look that names none reads the bleed that nobody has read yet, or
 * the last jar of its kind that was filled when this one says it was.
 */
export function drawOf(draws: readonly Draw[], look: LookBody, origin: Origin): Draw | null {
  const { drawnId = null, source } = look;
  const alike = draws.filter((d) => d.source === source);
  if (drawnId !== null) return alike.find((d) => d.id === drawnId) ?? null;
  const last = alike.at(-1);
  if (!last) return null;
  if (source === 'bleed' && last.stood === null) return last;
  return isSameMoment(filledMs(look, origin) - Date.parse(last.filledAt), look) ? last : null;
}

/** A reading before the last one of a jar says less of it. */
export const isEarlier = (draw: Draw | null, { hoursStood }: LookBody): boolean =>
  draw !== null && hoursStood < (draw.stood ?? 0);

/** A look at the oil of the charge that goes on; a reading of a jar takes the place of what was said of it before. */
export function afterLook(
  found: WaterCount,
  look: LookBody,
  origin: Origin,
  { chargeMl, settled }: { readonly chargeMl: number; readonly settled: boolean },
): WaterCount {
  const { source } = look;
  const judged = { look, charge: { chargeMl }, settled };
  if (source === 'sightGlass') return saysWater(look) ? { ...found, standingUl: inOilUlOf(judged) } : found;
  if (source === 'drained') return { ...found, sampledUl: found.sampledUl + waterUlOf(look) };
  const known = drawOf(found.draws, look, origin);
  if (isEarlier(known, look)) return found;
  const waterUl = drawnUlOf(judged);
  const draw: Draw = {
    id: known?.id ?? look.drawnId ?? origin.entryId,
    source,
    waterUl,
    filledAt: known?.filledAt ?? new Date(filledMs(look, origin)).toISOString(),
    stood: look.hoursStood,
    stale: known?.stale ?? false,
  };
  const draws = known ? found.draws.map((d) => (d === known ? draw : d)) : [...found.draws, draw].slice(-DRAWS_KEPT);
  const more = waterUl - (known?.waterUl ?? 0);
  if (source === 'bleed') return { ...found, bledUl: found.bledUl + more, draws };
  const inOil = !draw.stale && saysWater(look) ? leftInOilUlOf(judged) : found.standingUl;
  return { ...found, sampledUl: found.sampledUl + more, standingUl: inOil, draws };
}

/** Did somebody look for water? Cream is water too. */
export const saysWater = ({ freeWaterMl, creamMl }: Pick<LookBody, 'freeWaterMl' | 'creamMl'>): boolean =>
  (freeWaterMl ?? null) !== null || Boolean(creamMl);
