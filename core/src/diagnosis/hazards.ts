import { productIn, type PumpState } from '../fold/index.js';
import type { PumpSetUp } from '../set-up/index.js';
import { isAirBarred } from '../standing/index.js';
import type { Hazard } from './check.js';

/** What a test at this pump has to reckon with. */
export function hazardsOf(state: PumpState, setUp: PumpSetUp): Hazard[] {
  const { service } = setUp;
  const oil = productIn(state, setUp, 'oil');
  const here: Readonly<Record<Hazard, boolean>> = {
    solvent: isAirBarred(state, setUp),
    toxic: service.includes('toxic'),
    biological: service.includes('biological'),
    pfpe: oil?.base === 'pfpe',
  };
  return (Object.keys(here) as Hazard[]).filter((hazard) => here[hazard]);
}
