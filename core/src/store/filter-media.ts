import { kinematicViscosityMm2s } from '../oil/index.js';
import type { Container, FilterMedia, HouseSetUp } from '../set-up/index.js';
import type { MediaState } from './account-state.js';
import { totalUL } from './part.js';

/** Media that lie about in a workshop; a house's own are records of the set-up. */
export const FILTER_MEDIA = {
  'paper-gravity': {
    name: 'Gravity paper',
    kind: 'paper',
    holdUpMl: 180,
    rateMlPerH: 120,
    lifeL: 10,
    lifeSludgeMl: 60,
  },
  'spin-on': { name: 'Spin-on element', kind: 'spinOn', holdUpMl: 450, rateMlPerH: 900, lifeL: 60, lifeSludgeMl: 150 },
  'depth-cartridge': {
    ...{ name: 'Depth cartridge', kind: 'depth', holdUpMl: 700 },
    ...{ rateMlPerH: 400, lifeL: 80, lifeSludgeMl: 400 },
  },
  adsorber: { name: 'Adsorber bed', kind: 'adsorber', holdUpMl: 900, rateMlPerH: 150, lifeL: 25, lifeSludgeMl: 40 },
  desiccant: { name: 'Desiccant bed', kind: 'desiccant', holdUpMl: 600, rateMlPerH: 200, lifeL: 20, lifeSludgeMl: 40 },
} as const satisfies Record<string, FilterMedia>;

export type FilterMediaId = keyof typeof FILTER_MEDIA;

/** Media by its id: one's own first, then the library. Null when there is none. */
export function filterMediaOf(input: {
  id: string | null | undefined;
  own: Readonly<Record<string, FilterMedia>>;
}): FilterMedia | null {
  const id = input.id ?? '';
  if (Object.hasOwn(input.own, id)) return input.own[id] ?? null;
  return Object.hasOwn(FILTER_MEDIA, id) ? FILTER_MEDIA[id as FilterMediaId] : null;
}

/** VG 68 at 20 °C, where an oil's own viscosities are not known. */
const USUAL_MM2S = 215;
const ROOM_C = 20;

/**
 * What a filter does with so much oil, as it stands: by the media in it, the product, the warmth of its place, and how fast it was
 * where somebody timed it.
 * @returns null for one without media
 */
export function filterAsItStands(input: {
  container: Pick<Container, 'tempC'>;
  state: { readonly media: MediaState | null };
  productId: string | null;
  house: Pick<HouseSetUp, 'oilProduct' | 'filterMedia'>;
  ml: number;
}): FilterForecast | null {
  const { container, state, productId, house, ml } = input;
  const media = filterMediaOf({ id: state.media?.mediaId, own: house.filterMedia });
  if (!media) return null;
  const tempC = container.tempC ?? ROOM_C;
  const viscosityMm2sOf = (id: string | null): number => {
    const { viscosity40Mm2s: v40, viscosity100Mm2s: v100 } = house.oilProduct[id ?? ''] ?? {};
    return v40 && v100 ? kinematicViscosityMm2s({ v40, v100, tempC }) : USUAL_MM2S;
  };
  const passes = (state.media?.timed ?? []).map(({ hours, pouredUL, heldUL, sludgeUL, productId: id }) => {
    const ran = { media, heldUL, sludgeUL, viscosityMm2s: viscosityMm2sOf(id) };
    return { hours, expectedHours: pouredUL / 1000 / rateMlPerH(ran) };
  });
  const viscosityMm2s = viscosityMm2sOf(productId);
  return filterForecast({ media, state: state.media, ml, viscosityMm2s, ownRateShare: ownRateShare(passes) });
}

/** What a filter was timed at is taken for its own within an eighth and eight times of the estimate. */
const FARTHEST = 8;

/**
 * How fast a filter is against the estimate: the geometric mean of what was timed, with one pass as estimated among them, so that a
 * single odd one moves it by its square root.
 * @returns 1 where nobody timed it. Example: one that took twice as long as expected → 0.71; three of them → 0.59.
 */
export function ownRateShare(passes: readonly { readonly hours: number; readonly expectedHours: number }[]): number {
  const logs = passes.flatMap(({ hours, expectedHours }) =>
    hours > 0 && expectedHours > 0 ? [Math.log(expectedHours / hours)] : [],
  );
  const share = Math.exp(logs.reduce((sum, l) => sum + l, 0) / (logs.length + 1));
  return Math.min(FARTHEST, Math.max(1 / FARTHEST, share));
}

/** The viscosity at which a media's rate is said. */
const RATE_MM2S = 100;
/** Dry media takes its first oil at so much of its rate: a gravity paper overnight (docs/trade.md 9). */
const DRY_SHARE = 0.3;
/** Half of its life's solids halve the rate (cake and pores: rate = clean · (1 - load)). */
const LEAST_RATE_SHARE = 0.05;

/**
 * @param input.heldUL soaked up by the media before
 * @param input.sludgeUL strained by it before
 */
function rateMlPerH(input: { media: FilterMedia; heldUL: number; sludgeUL: number; viscosityMm2s: number }): number {
  const { media, heldUL, sludgeUL, viscosityMm2s } = input;
  const solids = media.lifeSludgeMl ? Math.min(1, sludgeUL / 1000 / media.lifeSludgeMl) : 0;
  const clean = media.rateMlPerH * (RATE_MM2S / viscosityMm2s);
  return clean * Math.max(LEAST_RATE_SHARE, 1 - solids) * (isWet(media, heldUL) ? 1 : DRY_SHARE);
}

const isWet = (media: FilterMedia, heldUL: number): boolean => heldUL / 1000 >= media.holdUpMl / 2;

export interface FilterForecast {
  readonly wet: boolean;
  /** What the media still drinks before any comes through. */
  readonly drinksMl: number;
  /** Of what is poured in now. */
  readonly throughMl: number;
  readonly hours: number;
  /** Of its life that is used, by litres or solids, whichever is more: 1 and more means renew. */
  readonly load: number;
  /** Litres until it is renewed, by litres and by the solids that came with each so far. */
  readonly litresLeft: number;
}

/**
 * What pouring a volume into a filter does: its media drinks until it is full, the rest comes through at its rate.
 * Rate: by viscosity in inverse proportion (Darcy 1856, laminar), falling straight with the load of solids; dry media at 0.3 of it.
 * @param input.viscosityMm2s of the oil at the filter's temperature, above 0
 * @param input.ownRateShare what this filter was timed at, as a share of this estimate; 1 where nobody timed it
 * @throws RangeError for a viscosity or a volume that is none. Example: 500 mL of 200 mm²/s onto a dry gravity paper (180 mL, 120 mL/h)
 *   → 320 mL through, dry: 500 / (120 · 0.5 · 0.3) = 27.8 h.
 */
export function filterForecast(input: {
  media: FilterMedia;
  state: Pick<MediaState, 'held' | 'passedUL' | 'sludgeUL'> | null;
  ml: number;
  viscosityMm2s: number;
  ownRateShare?: number;
}): FilterForecast {
  const { media, state, ml, viscosityMm2s, ownRateShare: ownShare = 1 } = input;
  if (!(viscosityMm2s > 0)) throw new RangeError(`viscosityMm2s: ${viscosityMm2s} is not above 0`);
  if (!(ml >= 0)) throw new RangeError(`ml: ${ml} is not at least 0`);
  const heldUL = totalUL(state?.held ?? []);
  const sludgeUL = state?.sludgeUL ?? 0;
  const drinksMl = Math.max(0, media.holdUpMl - heldUL / 1000);
  const passedL = (state?.passedUL ?? 0) / 1e6;
  const solids = media.lifeSludgeMl ? sludgeUL / 1000 / media.lifeSludgeMl : 0;
  const bySolids = solids > 0 && passedL > 0 ? (passedL / solids) * Math.max(0, 1 - solids) : Infinity;
  return {
    wet: isWet(media, heldUL),
    drinksMl,
    throughMl: Math.max(0, ml - drinksMl),
    hours: ml / (rateMlPerH({ media, heldUL, sludgeUL, viscosityMm2s }) * ownShare),
    load: Math.max(passedL / media.lifeL, solids),
    litresLeft: Math.max(0, Math.min(media.lifeL - passedL, bySolids)),
  };
}
