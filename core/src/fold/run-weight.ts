import type { RunBody } from '../journal/index.js';
import type { Equipment, Material, Process } from '../set-up/index.js';

/** docs/trade.md 5: what each rating point adds to the material factor, and the bounds of the hours factor. */
export const WEIGHT_DEFAULTS = {
  perPoint: { moisture: 0.15, fat: 0.3, fines: 0.2, solvent: 0.35, acid: 0.2 },
  hoursFactor: { min: 0.5, max: 2 },
  cyclesPerRun: 2000,
  /** Aborted and side-job sessions weigh at least this for each day begun. */
  sessionMinimumPerDay: 0.5,
} as const;

/**
 * Material factor = 1 + 0.15 moisture + 0.30 fat + 0.20 fines + 0.35 solvent + 0.20 acid (docs/trade.md 5).
 * Ratings 0-3, no unit. Example: moisture 3, fines 1 → 1.65.
 * @throws RangeError on a rating outside 0-3
 */
export function materialFactor(material: Pick<Material, 'moisture' | 'fat' | 'fines' | 'solvent' | 'acid'>): number {
  let factor = 1;
  for (const [key, perPoint] of Object.entries(WEIGHT_DEFAULTS.perPoint)) {
    const rating = material[key as keyof typeof WEIGHT_DEFAULTS.perPoint];
    if (!(rating >= 0 && rating <= 3)) throw new RangeError(`${key}: ${rating} is not a rating from 0 to 3`);
    factor += perPoint * rating;
  }
  return factor;
}

/** Minutes of a run: as logged, else cycles x cycle time, else none. */
export function runMinutes(
  body: Pick<RunBody, 'minutes' | 'cycles'>,
  equipment: Pick<Equipment, 'cycleTimeS'>,
): number {
  if (body.minutes !== null && body.minutes !== undefined) return body.minutes;
  return Math.round(((body.cycles ?? 0) * (equipment.cycleTimeS ?? 0)) / 60);
}

/**
 * Weight of a run in thousandths: hours factor x material factor; n / cycles-per-run x material factor where cycles were
 * counted (docs/trade.md 5). 1000 = one plain run of the equipment's reference hours.
 * Example: 30 h of wet paper (1.65) where 20 h are a plain run → 1.5 x 1.65 = 2475.
 */
export function runWeightMilli(input: {
  body: Pick<RunBody, 'minutes' | 'cycles' | 'session'>;
  material: Material;
  equipment: Pick<Equipment, 'referenceHours' | 'cyclesPerRun' | 'cycleTimeS'>;
}): number {
  const { body, material, equipment } = input;
  const hours = runMinutes(body, equipment) / 60;
  const { min, max } = WEIGHT_DEFAULTS.hoursFactor;
  const size =
    body.cycles !== null && body.cycles !== undefined
      ? body.cycles / (equipment.cyclesPerRun ?? WEIGHT_DEFAULTS.cyclesPerRun)
      : Math.min(max, Math.max(min, hours / equipment.referenceHours));
  const weight = size * materialFactor(material);
  const floor = body.session === 'run' ? 0 : WEIGHT_DEFAULTS.sessionMinimumPerDay * Math.max(1, Math.ceil(hours / 24));
  return Math.round(Math.max(weight, floor) * 1000);
}

/** Rated the most in everything: what may have gone in where the set-up has no material. */
const WORST: Material = { name: '', process: 'industrial', moisture: 3, fat: 3, fines: 3, solvent: 3, acid: 3 };

/**
 * What a run counts as while nobody has said what went in: the material of the heaviest factor that the house has for such an
 * equipment, else of all that it has.
 */
export function heaviestMaterial(materials: readonly Material[], process: Process): Material {
  const usual = materials.filter((m) => m.process === process);
  return (
    (usual.length > 0 ? usual : materials).reduce<Material | null>(
      (worst, m) => (worst === null || materialFactor(m) > materialFactor(worst) ? m : worst),
      null,
    ) ?? WORST
  );
}

/**
 * What a run put into the oil, for its bar: the heaviest rating decides, water last among equals since it is in nearly all.
 * `unlogged` is running time that only the hour meter knows, `notTold` a run of which nobody has said what went in.
 */
export type Load = 'wet' | 'fatty' | 'dusty' | 'fumes' | 'clean' | 'unlogged' | 'notTold';

export function loadOf(material: Material): Load {
  const { perPoint } = WEIGHT_DEFAULTS;
  const parts: [Load, number][] = [
    ['fumes', perPoint.solvent * material.solvent],
    ['fatty', perPoint.fat * material.fat],
    ['dusty', perPoint.fines * material.fines],
    ['wet', perPoint.moisture * material.moisture],
  ];
  const heaviest = parts.reduce((best, part) => (part[1] > best[1] ? part : best));
  return heaviest[1] === 0 ? 'clean' : heaviest[0];
}
