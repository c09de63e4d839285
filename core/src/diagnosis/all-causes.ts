import { condensation } from './causes/condensation.js';
import { warmTrap } from './causes/warm-trap.js';
import { meltwater } from './causes/meltwater.js';
import { ballastAir } from './causes/ballast-air.js';
import { exhaustCondensate } from './causes/exhaust-condensate.js';
import { humidLeak } from './causes/humid-leak.js';
import { waterNeverBled } from './causes/water-never-bled.js';
import { liquidCarryOver } from './causes/liquid-carry-over.js';
import { productFines } from './causes/product-fines.js';
import { growth } from './causes/growth.js';
import { wearDebris } from './causes/wear-debris.js';
import { rustFromAcid } from './causes/rust-from-acid.js';
import { shedFibres } from './causes/shed-fibres.js';
import { oldDeposits } from './causes/old-deposits.js';
import { externalDust } from './causes/external-dust.js';
import { fatVapour } from './causes/fat-vapour.js';
import { resinVapour } from './causes/resin-vapour.js';
import { solventDilution } from './causes/solvent-dilution.js';
import { acidVapour } from './causes/acid-vapour.js';
import { overheatedOil } from './causes/overheated-oil.js';
import { wrongOil } from './causes/wrong-oil.js';
import { leakAtChamber } from './causes/leak-at-chamber.js';
import { leakAtPump } from './causes/leak-at-pump.js';
import { gaugeFault } from './causes/gauge-fault.js';
import { wornVanes } from './causes/worn-vanes.js';
import { cloggedScreen } from './causes/clogged-screen.js';
import { suckback } from './causes/suckback.js';
import { blockedExhaust } from './causes/blocked-exhaust.js';
import { levelLow } from './causes/level-low.js';
import { levelHigh } from './causes/level-high.js';
import { oilLost } from './causes/oil-lost.js';
import { ballastLeak } from './causes/ballast-leak.js';
import { coldOil } from './causes/cold-oil.js';
import { boosterBypass } from './causes/booster-bypass.js';
import { restriction } from './causes/restriction.js';
import { wetLoad } from './causes/wet-load.js';
import { coolingLost } from './causes/cooling-lost.js';
import { motorFault } from './causes/motor-fault.js';
import { siliconeCarryOver } from './causes/silicone-carry-over.js';
import type { Cause } from './cause.js';

/** Every cause that is known. A new one is one more file in causes/ and one more line here. */
export const CAUSES = {
  condensation,
  warmTrap,
  meltwater,
  ballastAir,
  exhaustCondensate,
  humidLeak,
  waterNeverBled,
  liquidCarryOver,
  productFines,
  growth,
  wearDebris,
  rustFromAcid,
  shedFibres,
  oldDeposits,
  externalDust,
  fatVapour,
  resinVapour,
  solventDilution,
  acidVapour,
  overheatedOil,
  wrongOil,
  siliconeCarryOver,
  leakAtChamber,
  leakAtPump,
  gaugeFault,
  wornVanes,
  cloggedScreen,
  suckback,
  blockedExhaust,
  levelLow,
  levelHigh,
  oilLost,
  ballastLeak,
  coldOil,
  boosterBypass,
  restriction,
  wetLoad,
  coolingLost,
  motorFault,
} as const satisfies Readonly<Record<string, Cause>>;

export type CauseId = keyof typeof CAUSES;
