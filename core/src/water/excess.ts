import { airBrings, airVapourPressurePa } from './ballast.js';
import { WATER_G_PER_ML, waterUlOfG } from './constants.js';
import { ballastFlowM3h, runWater, type RunWaterInput } from './run-water.js';
import { leakToExplain } from './trap.js';
import { airCarriesG } from './water-left.js';

/** What an excess may be, each with the number that speaks for or against it. */
export type ExcessHint =
  /** Runs right after a defrost, or with the drain open. */
  | { readonly code: 'meltwater'; readonly runs: number }
  /** Ballast open into oil that was not warm. */
  | { readonly code: 'coldBallast'; readonly runs: number }
  /** So much warmer the trap would have had to be, all the time. */
  | { readonly code: 'warmTrap'; readonly warmerK: number }
  | {
      readonly code: 'leak';
      readonly leakHpaLPerS: number;
      readonly chamberHpa: number;
      /** The best pressure logged; null where none was. */
      readonly reachedHpa: number | null;
      readonly excluded: boolean;
    }
  /** More at once than vapour brings in a run. */
  | { readonly code: 'liquid' };

/** A leak that explains less than half of the pressure reached is none (docs/trade.md 7). */
const EXPLAINS_AT_LEAST = 0.5;
const WARMEST_K = 30;
/** A run that was as wet as this at once took in water, not vapour. */
const LIQUID_FROM_ML = 15;

function warmerToExplain(runs: readonly RunWaterInput[], foundMl: number): number | null {
  const leftAt = (warmerK: number): number =>
    runs.reduce((sum, run) => {
      const { trapTempC = null, trapProfile = null } = run.body;
      const body = {
        ...run.body,
        trapTempC: trapTempC === null ? null : trapTempC + warmerK,
        trapProfile: trapProfile?.map((r) => ({ ...r, tempC: r.tempC + warmerK })) ?? null,
      };
      const water = runWater({ ...run, body });
      return sum + (water.ok ? waterUlOfG(water.leftG) / 1000 : 0);
    }, 0);
  if (!runs.some((r) => r.equipment.coldTrap) || leftAt(WARMEST_K) < foundMl) return null;
  let [low, high] = [0, WARMEST_K];
  for (let i = 0; i < 30; i++) {
    const middle = (low + high) / 2;
    if (leftAt(middle) < foundMl) low = middle;
    else high = middle;
  }
  return high;
}

/** Open ballast whose air brings more than it can carry out of oil as cold as that: a balance, and no threshold (docs/trade.md 5). */
function ballastAddsWater({ body, minutes, model }: RunWaterInput): boolean {
  if (body.ballast !== 'open') return false;
  const { waterG, dryAirMol } = airBrings({ volumeM3: ballastFlowM3h(model) * (minutes / 60) });
  return waterG > airCarriesG({ dryAirMol, oilTempC: body.oilTempC ?? model.operatingOilTempC });
}

/** What more water than expected usually means, likeliest first by what the runs say, with the numbers that exclude others. */
export function excessHints(input: {
  runs: readonly RunWaterInput[];
  excessMl: number;
  foundMl: number;
}): ExcessHint[] {
  const { runs, excessMl, foundMl } = input;
  const [first] = runs;
  if (!first || excessMl <= 0) return [];
  const melted = runs.filter(({ body }) => body.defrostedBefore === 'yes' || body.drainClosed === 'no').length;
  const cold = runs.filter(ballastAddsWater).length;
  const hours = runs.reduce((sum, r) => sum + r.minutes, 0) / 60;
  const reached = runs.map((r) => r.body.lowestPressurePa ?? null).filter((p) => p !== null);
  const reachedHpa = reached.length > 0 ? Math.min(...reached) / 100 : null;
  const leak = leakToExplain({
    waterG: excessMl * WATER_G_PER_ML,
    hours,
    pumpingSpeedM3h: first.model.pumpingSpeedM3h,
    humidWaterPa: airVapourPressurePa({}),
  });
  const warmerK = warmerToExplain(runs, foundMl);
  const hints: (ExcessHint | null)[] = [
    melted > 0 ? { code: 'meltwater', runs: melted } : null,
    cold > 0 ? { code: 'coldBallast', runs: cold } : null,
    excessMl >= LIQUID_FROM_ML && melted === 0 ? { code: 'liquid' } : null,
    warmerK === null ? null : { code: 'warmTrap', warmerK },
    {
      code: 'leak',
      ...leak,
      reachedHpa,
      excluded: reachedHpa !== null && reachedHpa < EXPLAINS_AT_LEAST * leak.chamberHpa,
    },
  ];
  return hints.filter((h) => h !== null);
}
