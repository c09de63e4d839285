import type { LookBody } from '../journal/index.js';
import type { OilProduct } from '../set-up/index.js';
import { capacityMl, jarHeightMm, shelfJar, type JarShape } from '../limits/index.js';
import { kinematicViscosityMm2s, parallelV100Mm2s } from './viscosity.js';

const GRAVITY_MS2 = 9.80665;
const WATER_KG_M3 = 998;
/** A VG 68 mineral oil, where the product's own values are not known. */
const ASSUMED = { v40: 68, v100: 8.7, oilDensityKgM3: 870 } as const;
/** Thinner than any pump oil: a slip of the pen. */
const LEAST_V40 = 8;

/** When a look counts as settled (docs/trade.md 6; the sight glass: overnight, section 8-A). */
export const SETTLING = { dropletUm: 50, leastHours: 2, sightGlassHours: 8, roomTempC: 20 } as const;

/**
 * How fast a water droplet falls in oil.
 * Source: Stokes (1851), v = Δρ g d² / 18 μ, with μ = ν ρ_oil and ν from ASTM D341; valid while the droplet's Reynolds number
 * is far below 1, which droplets under 500 µm in these oils are. Water falls in lighter oil: a denser oil is refused.
 * @param diameterUm µm, above 0 to 500
 * @param tempC °C, -30 to 100
 * @returns mm/h, downwards
 * @throws RangeError outside, naming the key. Example: 50 µm at 20 °C in a VG 68 oil → 3.36 mm/h.
 */
export function stokesSettlingMmPerH(input: {
  diameterUm: number;
  tempC: number;
  v40?: number;
  v100?: number;
  oilDensityKgM3?: number;
}): number {
  const { diameterUm, tempC, v40 = ASSUMED.v40, v100 = ASSUMED.v100, oilDensityKgM3 = ASSUMED.oilDensityKgM3 } = input;
  if (!(diameterUm > 0 && diameterUm <= 500)) throw new RangeError(`diameterUm: ${diameterUm} is not within 0 to 500`);
  if (!(tempC <= 100)) throw new RangeError(`tempC: ${tempC} °C is not within -30 to 100`);
  if (!(oilDensityKgM3 > 500 && oilDensityKgM3 < WATER_KG_M3))
    throw new RangeError(`oilDensityKgM3: ${oilDensityKgM3} is not within 500 to ${WATER_KG_M3}`);
  const viscosityPaS = kinematicViscosityMm2s({ v40, v100, tempC }) * 1e-6 * oilDensityKgM3;
  const speedMS = ((WATER_KG_M3 - oilDensityKgM3) * GRAVITY_MS2 * (diameterUm * 1e-6) ** 2) / (18 * viscosityPaS);
  return speedMS * 3_600_000;
}

export type SettlingProduct = Pick<OilProduct, 'waterBehaviour' | 'densityKgM3'> &
  Partial<Pick<OilProduct, 'viscosity40Mm2s' | 'viscosity100Mm2s'>>;

export interface Settling {
  /** Hours after which the oil counts as settled. */
  readonly neededHours: number;
  /** What the hours follow from: the oil's own droplets, the least that is asked, or the housing overnight. */
  readonly basis: 'droplets' | 'least' | 'sightGlass';
  readonly settled: boolean;
}

export const isDenserThanWater = ({ densityKgM3 }: Pick<OilProduct, 'densityKgM3'>): boolean =>
  densityKgM3 >= WATER_KG_M3;

/**
 * How long this oil has to stand until the water in it shows, and whether it has.
 * A detergent oil keeps water in suspension and a denser oil lets it float: for both nothing can be estimated.
 */
export function settlingOf(input: {
  look: Pick<LookBody, 'source' | 'hoursStood' | 'lookedAtMl' | 'jarTempC'>;
  product: SettlingProduct;
  shape?: JarShape | null;
}): Settling {
  const { look, product } = input;
  const ready = (basis: Settling['basis'], neededHours: number): Settling => ({
    basis,
    neededHours,
    settled: look.hoursStood >= neededHours,
  });
  if (look.source === 'sightGlass') return ready('sightGlass', SETTLING.sightGlassHours);
  if (product.waterBehaviour === 'detergent' || isDenserThanWater(product) || !look.lookedAtMl)
    return ready('least', SETTLING.leastHours);
  const fits = input.shape && capacityMl(input.shape) >= look.lookedAtMl;
  const shape = fits ? input.shape! : shelfJar(look.lookedAtMl);
  const speed = stokesSettlingMmPerH({
    diameterUm: SETTLING.dropletUm,
    tempC: look.jarTempC ?? SETTLING.roomTempC,
    oilDensityKgM3: product.densityKgM3,
    ...viscositiesOf(product),
  });
  const hours = jarHeightMm({ shape, ml: look.lookedAtMl }) / speed;
  return hours > SETTLING.leastHours ? ready('droplets', hours) : ready('least', SETTLING.leastHours);
}

/** With one viscosity only, the line of ASTM D341 is drawn parallel to that of the assumed oil. */
function viscositiesOf({ viscosity40Mm2s: v40, viscosity100Mm2s: v100 }: SettlingProduct): {
  v40: number;
  v100: number;
} {
  if (!v40 || v40 < LEAST_V40) return ASSUMED;
  return v100 && v100 >= 2 && v40 > v100 ? { v40, v100 } : { v40, v100: parallelV100Mm2s({ v40, like: ASSUMED }) };
}
