import type { Entry } from '../journal/index.js';
import { runLimit } from '../machine/index.js';
import { equipmentOfRun, type Equipment, type Material, type PumpSetUp } from '../set-up/index.js';
import { effectiveTrapTempC } from '../water/index.js';
import type { FindingId } from './all-findings.js';
import { observed, type Observation } from './evidence.js';

type Run = Extract<Entry, { kind: 'run' }>;

/** The last runs that speak for how it is used. */
const LAST_RUNS = 4;
/** A trap this much warmer than it usually is lets nearly twice as much past (docs/trade.md 5). */
const WARM_TRAP_K = 5;
const RATED_HIGH = 2;
/** Oil that wet loads should find, and oil that ages fast (docs/trade.md 4 and 5). */
const [WARM_C, HOT_C] = [60, 90];

/** What the runs say: how the pump was used, what was in it, what pressures it reached. */
export function evidenceOfRuns(entries: readonly Entry[], setUp: PumpSetUp): Observation[] {
  const runs = entries.filter((e): e is Run => e.kind === 'run' && !e.body.stillRunning);
  const recent = runs.slice(-LAST_RUNS);
  return [
    ...recent.flatMap((run) => ofOneRun(run, runs, setUp)),
    ...trapOf(runs),
    ...loadsOf(recent, setUp),
    ...bledOf(entries, recent),
  ];
}

function ofOneRun(run: Run, runs: readonly Run[], setUp: PumpSetUp): Observation[] {
  const { ballast, defrostedBefore, drainClosed, inLineFilter, ventedBeforeStop } = run.body;
  const { equipmentId, equipment } = equipmentOfRun(run, setUp);
  const said: Observation[] = [];
  if (ballast !== 'unknown') said.push(observed(run, 'ballast', ballast));
  if (defrostedBefore && defrostedBefore !== 'unknown') said.push(observed(run, 'defrosted', defrostedBefore));
  if (drainClosed && drainClosed !== 'unknown')
    said.push(observed(run, 'drain', drainClosed === 'yes' ? 'closed' : 'open'));
  if (inLineFilter && inLineFilter !== 'unknown')
    said.push(observed(run, 'inLineFilter', inLineFilter === 'yes' ? 'fitted' : 'none'));
  if (ventedBeforeStop !== 'unknown')
    said.push(observed(run, 'stoppedUnderVacuum', ventedBeforeStop === 'yes' ? 'no' : 'yes'));
  const oilTempC = run.body.oilTempC ?? null;
  if (oilTempC !== null) {
    said.push(observed(run, 'pumpTemp', oilTempC >= WARM_C ? 'warm' : 'cold'));
    said.push(observed(run, 'ranHot', oilTempC > HOT_C ? 'yes' : 'no'));
  }
  const earlier = runs.slice(0, runs.indexOf(run)).filter((r) => equipmentOfRun(r, setUp).equipmentId === equipmentId);
  return [...said, ...pressuresOf(run, equipment, earlier)];
}

/** Against the targets of its own set; where it has none, against what earlier runs on it have reached. */
function pressuresOf(run: Run, { targetFirstPa, targetUltimatePa }: Equipment, earlier: readonly Run[]): Observation[] {
  const { firstPressurePa, lowestPressurePa } = run.body;
  const lowestLimit = runLimit(
    targetUltimatePa,
    earlier.map((r) => (r.body.session === 'run' ? r.body.lowestPressurePa : null)),
  );
  const firstLimit = runLimit(
    targetFirstPa,
    earlier.map((r) => r.body.firstPressurePa),
  );
  const said: Observation[] = [];
  if (lowestLimit && lowestPressurePa && run.body.session === 'run') {
    const { limitPa, farPa } = lowestLimit;
    const state = lowestPressurePa <= limitPa ? 'good' : lowestPressurePa < farPa ? 'poor' : 'farAbove';
    said.push(observed(run, 'chamberPressure', state));
  }
  if (firstLimit && firstPressurePa)
    said.push(observed(run, 'pumpDown', firstPressurePa > firstLimit.limitPa ? 'slow' : 'usual'));
  return said;
}

const trapTempOf = ({ body }: Run): number | null =>
  body.trapProfile && body.trapProfile.length > 0 ? effectiveTrapTempC(body.trapProfile) : (body.trapTempC ?? null);

/** The last run's trap against what it usually is on this pump. */
function trapOf(runs: readonly Run[]): Observation[] {
  const known = runs.flatMap((run) => {
    const tempC = trapTempOf(run);
    return tempC === null ? [] : [{ run, tempC }];
  });
  const last = known.at(-1);
  if (!last || known.length < 3) return [];
  const sorted = known.map((k) => k.tempC).sort((a, b) => a - b);
  const usualC = sorted[Math.floor(sorted.length / 2)] ?? last.tempC;
  return [observed(last.run, 'trap', last.tempC > usualC + WARM_TRAP_K ? 'warm' : 'cold')];
}

/** What was in it, by the ratings of its materials: yes when any of the last runs was rated high. */
function loadsOf(recent: readonly Run[], setUp: PumpSetUp): Observation[] {
  const loads = recent.flatMap((run) => {
    const material = setUp.house.material[run.body.materialId ?? ''];
    return material ? [{ run, material }] : [];
  });
  const last = loads.at(-1);
  if (!last) return [];
  const of = (id: 'wetLoads' | FindingId, rating: (m: Material) => number): Observation => {
    const high = loads.filter((l) => rating(l.material) >= RATED_HIGH).at(-1);
    return { ...observed(last.run, 'wetLoads', high ? 'yes' : 'no'), id };
  };
  const { process } = last.material;
  const both = process === 'composites' || process === 'industrial';
  return [
    ...trapLoadOf(loads, setUp),
    of('wetLoads', (m) => m.moisture),
    of('fattyLoads', (m) => m.fat),
    of('dustyLoads', (m) => m.fines),
    of('solventLoads', (m) => m.solvent),
    // One rating speaks of solvent and of resin, styrene and varnish; where things are dried or packed it is solvent.
    ...(both ? [of('resinLoads', (m) => m.solvent)] : []),
    of('acidLoads', (m) => m.acid),
  ];
}

/** Water in a load by its material's moisture rating, as a share of its mass: a default of ours. */
const WATER_SHARE = [0.05, 0.3, 0.6, 0.85] as const;

/** The wettest of the last loads against the ice that the trap holds. */
function trapLoadOf(loads: readonly { run: Run; material: Material }[], { equipment }: PumpSetUp): Observation[] {
  const { trapHoldsKg = null, coldTrap } = equipment;
  const weighed = loads.filter(({ run }) => (run.body.loadKg ?? null) !== null);
  const last = weighed.at(-1);
  if (!coldTrap || trapHoldsKg === null || !last) return [];
  const waterKg = ({ run, material }: (typeof loads)[number]) =>
    (run.body.loadKg ?? 0) * (WATER_SHARE[material.moisture as 0 | 1 | 2 | 3] ?? 1);
  const over = weighed.some((load) => waterKg(load) > trapHoldsKg);
  return [observed(last.run, 'trapLoad', over ? 'over' : 'within')];
}

/** Bled before most of the last runs, or before none of them. */
function bledOf(entries: readonly Entry[], recent: readonly Run[]): Observation[] {
  const [first, last] = [recent[0], recent.at(-1)];
  if (!first || !last || recent.length < 3) return [];
  const bleeds = entries.filter((e) => e.kind === 'bleed' && e.happenedAt >= first.happenedAt).length;
  if (bleeds === 0) return [observed(last, 'bled', 'no')];
  return bleeds >= recent.length / 2 ? [observed(last, 'bled', 'yes')] : [];
}
