import type { RunBody } from '../journal/index.js';
import type { Equipment, PumpModel } from '../set-up/index.js';
import { airBrings, ballastRemovalGPerH } from './ballast.js';
import { WATER_DEFAULTS } from './constants.js';
import { cycleWater } from './cycle-water.js';
import { effectiveTrapTempC, trapCarryoverG } from './trap.js';
import { airCarriesG, leftOfG } from './water-left.js';

/** What is assumed about a run because nobody said it. */
export type Assumed = 'oilTemp' | 'ballast' | 'ballastFlow' | 'trapEfficiency' | 'productAir';
/** Why a run's water cannot be estimated. */
export type NotEstimated = 'trapTempMissing' | 'chamberVolumeMissing' | 'noSource';

export type RunWater =
  | {
      readonly ok: true;
      /** Taken in, by where it comes from, g. */
      readonly takenIn: {
        readonly trapG: number;
        readonly chamberG: number;
        readonly flashG: number;
        readonly ballastG: number;
      };
      readonly takenInG: number;
      readonly dryAirMol: number;
      readonly oilTempC: number;
      /** What the air that passes could carry out, g. */
      readonly canCarryG: number;
      /** Expected to stay in the oil, g. */
      readonly leftG: number;
      readonly assumed: readonly Assumed[];
    }
  | { readonly ok: false; readonly why: NotEstimated };

/** A purge at a run's end lasts about so long. */
const PURGE_HOURS = 0.5;
/** More than any run brings: oil that boils water off has no end, but JSON has no infinity. */
const NO_END_G = 1e9;
/** Ballast flow of a pump whose record does not say it, as a share of its speed: common on small pumps (docs/trade.md 2). */
const USUAL_BALLAST_SHARE = 0.1;
/** Air that a packing chamber holds over a cool, wet product. */
const PRODUCT_AIR = { tempC: 15, humidity: 1 } as const;

export interface RunWaterInput {
  readonly body: RunBody;
  readonly minutes: number;
  readonly equipment: Equipment;
  readonly model: PumpModel;
  /** Takes the place of the equipment's own. */
  readonly trapEfficiency?: number;
}

/** What is done with the ballast, where nobody said it by the pump's own rule, and for how many hours its air flows. */
function ballastOf({ body, minutes, model }: RunWaterInput): {
  use: RunBody['ballast'] | 'none';
  hours: number;
  assumed: boolean;
} {
  const assumed = body.ballast === 'unknown';
  const use = assumed ? model.ballastRule : body.ballast;
  const hours = minutes / 60;
  return { use, hours: use === 'open' ? hours : use === 'purge' ? Math.min(hours, PURGE_HOURS) : 0, assumed };
}

export const ballastFlowM3h = (model: Pick<PumpModel, 'ballastFlowM3h' | 'pumpingSpeedM3h'>): number =>
  model.ballastFlowM3h ?? model.pumpingSpeedM3h * USUAL_BALLAST_SHARE;

/** Near 100 °C the formula has no end. */
const HOTTEST_PURGE_C = 95;

/** Water that a purge with room air takes out of the oil, g; below 0 it brings some. Real oil gives its water up slowly. */
export function purgeRemovesG(of: {
  model: Pick<PumpModel, 'ballastFlowM3h' | 'pumpingSpeedM3h'>;
  oilTempC: number;
  hours: number;
}): number {
  const perHour = ballastRemovalGPerH({
    ballastFlowM3h: ballastFlowM3h(of.model),
    oilTempC: Math.min(of.oilTempC, HOTTEST_PURGE_C),
    efficiency: WATER_DEFAULTS.purgeEfficiency,
  });
  return perHour * of.hours;
}

function fromTrap({ body, minutes, equipment, model, trapEfficiency }: RunWaterInput): number | null {
  if (!equipment.coldTrap) return 0;
  const profile = body.trapProfile ?? [];
  const trapTempC = profile.length > 0 ? effectiveTrapTempC(profile) : (body.trapTempC ?? null);
  if (trapTempC === null) return null;
  const efficiency = trapEfficiency ?? equipment.trapEfficiency ?? WATER_DEFAULTS.trapEfficiency;
  return trapCarryoverG({ trapTempC, pumpingSpeedM3h: model.pumpingSpeedM3h, hours: minutes / 60, efficiency });
}

/**
 * The chamber's own air where cycles are counted. That of one pump-down is gone in minutes: it carries out nothing of what comes
 * over hours, and its vapour freezes on the trap.
 */
function fromChamber({ body, equipment }: RunWaterInput): ReturnType<typeof cycleWater> | null {
  const { chamberVolumeL = null } = equipment;
  const cycles = body.cycles ?? null;
  if (cycles === null) return { chamberG: 0, flashG: 0, dryAirMol: 0 };
  if (!chamberVolumeL) return null;
  return cycleWater({
    cycles,
    chamberVolumeL,
    productTempC: equipment.productTempC ?? PRODUCT_AIR.tempC,
    humidity: equipment.productHumidity ?? PRODUCT_AIR.humidity,
    flashGPerCycle: equipment.flashGPerCycle ?? 0,
    endPressurePa: body.lowestPressurePa ?? null,
  });
}

/**
 * The ballast's air: through the whole run it brings water and carries some out beside the vapour; as a purge at its end it takes
 * out what an idle pump's purge of so many hours would, or brings water where the oil is cold.
 */
function fromBallast(run: RunWaterInput, oilTempC: number): { waterG: number; dryAirMol: number; purgeG: number } {
  const { use, hours } = ballastOf(run);
  const flow = ballastFlowM3h(run.model);
  if (use === 'open') return { ...airBrings({ volumeM3: flow * hours }), purgeG: 0 };
  if (use !== 'purge') return { waterG: 0, dryAirMol: 0, purgeG: 0 };
  const removedG = purgeRemovesG({ model: run.model, oilTempC, hours });
  return { waterG: Math.max(0, -removedG), dryAirMol: 0, purgeG: Math.max(0, removedG) };
}

function assumptions(run: RunWaterInput, ballastAssumed: boolean): Assumed[] {
  const { body, equipment, model } = run;
  const list: [Assumed, boolean][] = [
    ['oilTemp', (body.oilTempC ?? null) === null],
    ['ballast', ballastAssumed && model.ballastRule !== 'none'],
    ['ballastFlow', (model.ballastFlowM3h ?? null) === null && model.ballastRule !== 'none'],
    ['trapEfficiency', equipment.coldTrap && (run.trapEfficiency ?? equipment.trapEfficiency ?? null) === null],
    ['productAir', (body.cycles ?? null) !== null && (equipment.productTempC ?? null) === null],
  ];
  return list.filter(([, holds]) => holds).map(([name]) => name);
}

/** Expected to stay with a trap so many times as good as the one that the run was estimated with, g. */
export function leftWithTrapG(water: Extract<RunWater, { ok: true }>, timesAsGood: number): number {
  const { trapG, chamberG, flashG, ballastG } = water.takenIn;
  const { canCarryG } = water;
  return leftOfG({ processWaterG: trapG / timesAsGood + flashG, airWaterG: chamberG + ballastG, canCarryG });
}

/**
 * Water that one run brings, and what of it is expected to stay in the oil (docs/trade.md 5): taken in past the trap or with
 * the cycles, with ballast and chamber air; carried out again by the dry air that passes warm oil.
 * Runs on equipment with neither a cold trap nor counted cycles have no source that can be estimated.
 */
export function runWater(run: RunWaterInput): RunWater {
  const { body, equipment, model } = run;
  if (!equipment.coldTrap && (body.cycles ?? null) === null) return { ok: false, why: 'noSource' };
  const trapG = fromTrap(run);
  if (trapG === null) return { ok: false, why: 'trapTempMissing' };
  const chamber = fromChamber(run);
  if (chamber === null) return { ok: false, why: 'chamberVolumeMissing' };
  const oilTempC = body.oilTempC ?? model.operatingOilTempC;
  const ballast = fromBallast(run, oilTempC);
  const dryAirMol = chamber.dryAirMol + ballast.dryAirMol;
  const processWaterG = trapG + chamber.flashG;
  const airWaterG = chamber.chamberG + ballast.waterG;
  const canCarryG = Math.min(NO_END_G, airCarriesG({ dryAirMol, oilTempC }) + ballast.purgeG);
  return {
    ok: true,
    takenIn: { trapG, chamberG: chamber.chamberG, flashG: chamber.flashG, ballastG: ballast.waterG },
    takenInG: processWaterG + airWaterG,
    dryAirMol,
    oilTempC,
    canCarryG,
    leftG: leftOfG({ processWaterG, airWaterG, canCarryG }),
    assumed: assumptions(run, ballastOf(run).assumed),
  };
}
