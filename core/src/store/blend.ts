import { blendViscosityMm2s, isHydrocarbon } from '../oil/index.js';
import { colourAbsorbance, colourOfAbsorbance } from '../service/index.js';
import type { OilProduct } from '../set-up/index.js';
import { totalUL, type Part } from './part.js';

/** What oils that are poured together are. */
export interface Blend {
  readonly oilMl: number;
  /** Products in it, the most first; a trace under a thousandth is none. */
  readonly productIds: readonly string[];
  /** Of the main product, 0-1. */
  readonly purity: number;
  readonly meanRounds: number;
  readonly worstRounds: number;
  /** New oil in it, 0-1. */
  readonly newShare: number;
  /** mm²/s at 40 °C; null where a product's is not known. */
  readonly viscosity40Mm2s: number | null;
  /** ASTM D1500 to the nearest half step; null where nobody read it. */
  readonly colour: number | null;
}

const TRACE = 0.001;

/**
 * @param input.colours of what goes in, by volume, where they were read
 */
export function blendOf(input: {
  parts: readonly Part[];
  products: Readonly<Record<string, OilProduct>>;
  colours?: readonly { readonly uL: number; readonly colour: number | null }[];
}): Blend {
  const { parts, products, colours = [] } = input;
  const oil = parts.filter((p) => p.phase === 'oil');
  const all = totalUL(oil);
  const byProduct = new Map<string, number>();
  for (const { productId, uL } of oil)
    if (productId !== null) byProduct.set(productId, (byProduct.get(productId) ?? 0) + uL);
  const sorted = [...byProduct].sort(([a, x], [b, y]) => y - x || (a < b ? -1 : 1));
  const viscosities = sorted.map(([id, uL]) => ({ ml: uL, viscosityMm2s: products[id]?.viscosity40Mm2s ?? null }));
  const known = viscosities.flatMap(({ ml, viscosityMm2s: v }) =>
    v !== null && v >= 2 ? [{ ml, viscosityMm2s: v }] : [],
  );
  return {
    oilMl: all / 1000,
    productIds: sorted.filter(([, uL]) => uL >= all * TRACE).map(([id]) => id),
    purity: all > 0 ? (sorted[0]?.[1] ?? 0) / all : 0,
    meanRounds: all > 0 ? oil.reduce((sum, p) => sum + p.rounds * p.uL, 0) / all : 0,
    worstRounds: Math.max(0, ...oil.map((p) => p.rounds)),
    newShare: all > 0 ? totalUL(oil.filter((p) => p.rounds === 0)) / all : 0,
    viscosity40Mm2s: known.length > 0 && known.length === viscosities.length ? blendViscosityMm2s(known) : null,
    colour: blendColour(colours),
  };
}

/** Absorbances add up by volume (Beer and Lambert). */
function blendColour(colours: readonly { readonly uL: number; readonly colour: number | null }[]): number | null {
  const all = colours.reduce((sum, c) => sum + c.uL, 0);
  if (all === 0 || colours.some((c) => c.colour === null && c.uL > 0)) return null;
  const mean = colours.reduce((sum, c) => sum + (c.uL / all) * colourAbsorbance(c.colour ?? 0), 0);
  return colourOfAbsorbance(mean);
}

/** Why two oils are not poured together; null where they may be. */
export function notTogether(
  productIds: readonly string[],
  products: Readonly<Record<string, OilProduct>>,
): 'immiscible' | 'otherAdditives' | null {
  if (productIds.length < 2) return null;
  const burns = new Set(productIds.map((id) => isHydrocarbon(products[id] ?? null)));
  return burns.size > 1 ? 'immiscible' : 'otherAdditives';
}
