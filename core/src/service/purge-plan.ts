import type { PumpState } from '../fold/index.js';
import type { PumpSetUp } from '../set-up/index.js';
import { ballastAdvice } from '../water/index.js';

/** How long a purge is run, and for what. */
export interface PurgePlan {
  readonly minutes: number;
  /** What is in the oil by what the runs brought, less what was drawn; null where nothing is known of any. */
  readonly waterMl: number | null;
  readonly oilTempC: number;
  /** By the formula; else it is the hour of the trade. */
  readonly isReckoned: boolean;
}

/** The hour of the trade (docs/trade.md 8-F), where nothing can be reckoned. */
const USUAL_MINUTES = 60;
/** Less says nothing before the oil has been round; more than that is bled off, or changed. */
const [LEAST_MINUTES, MOST_MINUTES] = [20, 240];
const STEP_MINUTES = 5;

/** Water that should be in the oil of the main sump: what the runs brought, less what was bled and sampled. mL, 0 or more. */
export function waterInOilMl({ sumps }: Pick<PumpState, 'sumps'>): number {
  const charge = sumps.find((s) => s.key === 'oil')?.charge;
  return charge ? Math.max(0, charge.expectedWaterUl - charge.bledWaterUl - charge.sampledWaterUl) / 1000 : 0;
}

/**
 * Minutes of a purge with warm oil, by what the ballast's gas can carry at 10 % (docs/trade.md 5), in steps of five. Nitrogen, where
 * solvent bars air, comes dry.
 * @param oilTempC as it was read; the model's own where nobody did
 */
export function purgePlan(
  state: PumpState,
  { model }: Pick<PumpSetUp, 'model'>,
  { oilTempC, solvent }: { readonly oilTempC: number | null; readonly solvent: boolean },
): PurgePlan {
  const tempC = oilTempC ?? model.operatingOilTempC;
  const waterMl = waterInOilMl(state);
  const gas = solvent ? { airHumidity: 0 } : {};
  const hours = ballastAdvice({ model, oilTempC: tempC, waterMl, solvent, ...gas })?.purgeHours ?? null;
  const reckoned = hours === null ? null : Math.ceil((hours * 60) / STEP_MINUTES) * STEP_MINUTES;
  const isReckoned = reckoned !== null && reckoned <= MOST_MINUTES;
  return {
    minutes: isReckoned ? Math.max(LEAST_MINUTES, reckoned) : USUAL_MINUTES,
    waterMl: waterMl > 0 ? waterMl : null,
    oilTempC: tempC,
    isReckoned,
  };
}
