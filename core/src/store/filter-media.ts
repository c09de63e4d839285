import { kinematicViscosityMm2s } from '../oil/index.js';
import type { Container, FilterMedia, OilProduct } from '../set-up/index.js';
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
 * What a filter does with so much oil, as it stands: by the media in it, the product and the warmth of its place.
 * @returns null for one without media
 */
export function filterAsItStands(input: {
  container: Pick<Container, 'tempC'>;
  state: { readonly media: MediaState | null };
  product: OilProduct | null;
  own: Readonly<Record<string, FilterMedia>>;
  ml: number;
}): FilterForecast | null {
  const { container, state, product, own, ml } = input;
  const media = filterMediaOf({ id: state.media?.mediaId, own });
  if (!media) return null;
  const [v40, v100] = [product?.viscosity40Mm2s, product?.viscosity100Mm2s];
  const tempC = container.tempC ?? ROOM_C;
  const viscosityMm2s = v40 && v100 ? kinematicViscosityMm2s({ v40, v100, tempC }) : USUAL_MM2S;
  return filterForecast({ media, state: state.media, ml, viscosityMm2s });
}

/** The viscosity at which a media's rate is said. */
const RATE_MM2S = 100;
/** Dry media takes its first oil at so much of its rate: a gravity paper overnight (docs/trade.md 9). */
const DRY_SHARE = 0.3;
/** Half of its life's solids halve the rate (cake and pores: rate = clean · (1 - load)). */
const LEAST_RATE_SHARE = 0.05;

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
  const { media, state, ml, viscosityMm2s, ownRateShare = 1 } = input;
  if (!(viscosityMm2s > 0)) throw new RangeError(`viscosityMm2s: ${viscosityMm2s} is not above 0`);
  if (!(ml >= 0)) throw new RangeError(`ml: ${ml} is not at least 0`);
  const heldMl = state ? totalUL(state.held) / 1000 : 0;
  const drinksMl = Math.max(0, media.holdUpMl - heldMl);
  const wet = drinksMl <= media.holdUpMl / 2;
  const passedL = (state?.passedUL ?? 0) / 1e6;
  const sludgeMl = (state?.sludgeUL ?? 0) / 1000;
  const solids = media.lifeSludgeMl ? sludgeMl / media.lifeSludgeMl : 0;
  const load = Math.max(passedL / media.lifeL, solids);
  const clean = media.rateMlPerH * (RATE_MM2S / viscosityMm2s) * ownRateShare;
  const rate = clean * Math.max(LEAST_RATE_SHARE, 1 - Math.min(1, solids)) * (wet ? 1 : DRY_SHARE);
  const bySolids = solids > 0 && passedL > 0 ? (passedL / solids) * Math.max(0, 1 - solids) : Infinity;
  return {
    wet,
    drinksMl,
    throughMl: Math.max(0, ml - drinksMl),
    hours: ml / rate,
    load,
    litresLeft: Math.max(0, Math.min(media.lifeL - passedL, bySolids)),
  };
}
