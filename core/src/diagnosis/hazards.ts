import { productIn, type PumpState } from '../fold/index.js';
import { smellHarms, type PumpSetUp } from '../set-up/index.js';
import { isAirBarred } from '../standing/index.js';
import type { Hazard, SetPart } from './check.js';

/** What a test at this pump has to reckon with. */
export function hazardsOf(state: PumpState, setUp: PumpSetUp): Hazard[] {
  const { service } = setUp;
  const oil = productIn(state, setUp, 'oil');
  const here: Readonly<Record<Hazard, boolean>> = {
    solvent: isAirBarred(state, setUp),
    toxic: service.includes('toxic'),
    biological: service.includes('biological'),
    pfpe: oil?.base === 'pfpe',
    harmfulSmell: smellHarms(setUp),
  };
  return (Object.keys(here) as Hazard[]).filter((hazard) => here[hazard]);
}

/** What this set does not have, so that no test is about it. */
export function lackedBy({ model, pump, equipment, house }: PumpSetUp): SetPart[] {
  const boosters = Object.values(house.pump).filter(
    (p) => p.equipmentId === pump.equipmentId && house.pumpModel[p.modelId]?.kind === 'booster',
  );
  const has: Readonly<Record<SetPart, boolean>> = {
    trap: equipment.coldTrap,
    booster: boosters.length > 0,
    ballast: model.ballastRule !== 'none',
  };
  return (Object.keys(has) as SetPart[]).filter((part) => !has[part]);
}
