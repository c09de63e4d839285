import { lookRunning } from './checks/look-running.js';
import { ballastPosition } from './checks/ballast-position.js';
import { trapLook } from './checks/trap-look.js';
import { standingSample } from './checks/standing-sample.js';
import { particleLook } from './checks/particle-look.js';
import { crackleTest } from './checks/crackle-test.js';
import { heatAndNoise } from './checks/heat-and-noise.js';
import { filterPatch } from './checks/filter-patch.js';
import { warmPurge } from './checks/warm-purge.js';
import { jointsLook } from './checks/joints-look.js';
import { turnValves } from './checks/turn-valves.js';
import { stopperValve } from './checks/stopper-valve.js';
import { blankOffAsIs } from './checks/blank-off-as-is.js';
import { ballastBothWays } from './checks/ballast-both-ways.js';
import { blankOffPump } from './checks/blank-off-pump.js';
import { blankOffPort } from './checks/blank-off-port.js';
import { rateOfRiseCheck } from './checks/rate-of-rise.js';
import { bubbleCheck } from './checks/bubble-check.js';
import { secondGauge } from './checks/second-gauge.js';
import { sensorResistance } from './checks/sensor-resistance.js';
import { backPressureCheck } from './checks/back-pressure.js';
import { exhaustLook } from './checks/exhaust-look.js';
import { screenOut } from './checks/screen-out.js';
import { suckbackOut } from './checks/suckback-out.js';
import { shortLine } from './checks/short-line.js';
import { boosterCheck } from './checks/booster-check.js';
import { aroundThePump } from './checks/around-the-pump.js';
import { warmAndWatch } from './checks/warm-and-watch.js';
import { emptyRunCheck } from './checks/empty-run.js';
import { suspectRunCheck } from './checks/suspect-run.js';
import { labSample } from './checks/lab-sample.js';
import { benchCheck } from './checks/bench.js';
import type { Check } from './check.js';

/** Every test that is known. A new one is one more file in checks/ and one more line here. */
export const CHECKS = {
  lookRunning,
  ballastPosition,
  trapLook,
  standingSample,
  particleLook,
  crackleTest,
  heatAndNoise,
  filterPatch,
  warmPurge,
  jointsLook,
  turnValves,
  stopperValve,
  blankOffAsIs,
  ballastBothWays,
  blankOffPump,
  blankOffPort,
  rateOfRise: rateOfRiseCheck,
  bubbleCheck,
  secondGauge,
  sensorResistance,
  backPressure: backPressureCheck,
  exhaustLook,
  screenOut,
  suckbackOut,
  shortLine,
  boosterCheck,
  aroundThePump,
  warmAndWatch,
  emptyRun: emptyRunCheck,
  suspectRun: suspectRunCheck,
  labSample,
  bench: benchCheck,
} as const satisfies Readonly<Record<string, Check>>;

export type CheckId = keyof typeof CHECKS;
