import { heaviestMaterial } from '../fold/index.js';
import type { Material, PumpSetUp } from '../set-up/index.js';
import { ballastFlowM3h } from '../water/index.js';
import { NO_LOAD, type Build, type Load } from './pump.js';

const ROOM_C = 21;
/** By a material's rating of 0 to 3, per hour of running. */
const FAT = [0, 0.002, 0.005, 0.01] as const;
/** Sublimed under deep vacuum it comes over far more of it. */
const FAT_SUBLIMED = [0, 0.05, 0.12, 0.25] as const;
const FINES = [0, 0.006, 0.012, 0.018] as const;
const ACID = [0, 0.01, 0.03, 0.06] as const;
const SOLVENT_ML = [0, 0.01, 0.05, 0.15] as const;
const WATER_G = [0, 5, 20, 60] as const;
const FROZEN_G = [300, 1500, 3000, 4500] as const;
const rated = (of: readonly number[], rating: number): number => of[Math.min(of.length - 1, Math.round(rating))] ?? 0;

/** A pump and its set as the set-up describes them; what it does not say is as usual. */
export function buildOfSetUp({ model, product, equipment }: PumpSetUp, more: Partial<Build>): Build {
  const speedM3S = model.pumpingSpeedM3h / 3600;
  const oil = model.sumps.find((s) => s.key === 'oil');
  const chargeMl = oil?.chargeMl ?? 1000;
  const ultimatePa = model.ultimatePa ?? 0.5;
  return {
    speedM3S,
    lineM3S: speedM3S * 4,
    chamberM3: (equipment.chamberVolumeL ?? 250) / 1000,
    ultimatePa,
    ballastPa: model.ultimateBallastPa ?? ultimatePa * 6,
    ballastM3S: ballastFlowM3h(model) / 3600,
    outgasPaM3S: 0.006,
    boosterTimes: 1,
    chargeMl,
    marksMl: oil?.betweenMarksMl ?? chargeMl * 0.2,
    v40: product?.viscosity40Mm2s ?? 68,
    riseK: model.operatingOilTempC - ROOM_C,
    roomC: ROOM_C,
    humidity: 0.5,
    trapC: equipment.coldTrap ? -50 : null,
    trapHoldsG: (equipment.trapHoldsKg ?? 6) * 1000,
    ...more,
  };
}

/** What a material gives off, by its ratings. */
export function loadOfMaterial(material: Material | undefined, { equipment, house, model }: PumpSetUp): Load {
  const of = material ?? heaviestMaterial(Object.values(house.material), equipment.process);
  return {
    ...NO_LOAD,
    waterG: rated(equipment.coldTrap ? FROZEN_G : WATER_G, of.moisture),
    fat: rated(equipment.coldTrap ? FAT_SUBLIMED : FAT, of.fat),
    fines: rated(FINES, of.fines),
    acid: rated(ACID, of.acid),
    solventMl: rated(SOLVENT_ML, of.solvent),
    cyclesM3S: equipment.process === 'packaging' ? (model.pumpingSpeedM3h / 3600) * 0.15 : 0,
  };
}
