import type { PumpPage } from '@winter-jar/contracts';
import {
  BODY_VERSION,
  isAirBarred,
  runWater,
  withKnownTrap,
  type BallastUse,
  type Entry,
  type RunBody,
  type RunWater,
  type Standing,
} from '@winter-jar/core';
import { previewOfLast } from '../entry/use-preview.js';

/** The next run, were it run like this. */
export interface WhatIf {
  readonly trapTempC: number;
  readonly ballast: BallastUse;
  readonly oilTempC: number;
  readonly hours: number;
}

export interface WhatIfAnswer {
  readonly water: RunWater;
  readonly weight: number;
  readonly after: Standing | null;
}

const FALLBACK_TRAP_C = -45;

/** Like the last run. */
export function likeTheLast({ state, setUp }: Pick<PumpPage, 'state' | 'setUp'>): WhatIf {
  const { lastRun } = state;
  return {
    trapTempC: lastRun?.trapTempC ?? FALLBACK_TRAP_C,
    // Where solvent is in the oil, air is not what is tried first.
    ballast: isAirBarred(state, setUp) ? 'closed' : (lastRun?.ballast ?? 'closed'),
    oilTempC: setUp.model.operatingOilTempC,
    hours: Math.max(1, Math.round((lastRun?.minutes ?? setUp.equipment.referenceHours * 60) / 60)),
  };
}

/** Its water, its weight, and where the pump would stand after it; null where no run was logged to take the material from. */
export function whatIf(page: PumpPage, input: WhatIf, now: string): WhatIfAnswer | null {
  const { state, setUp } = page;
  const { lastRun } = state;
  if (!lastRun) return null;
  const { equipment, model, site } = setUp;
  const minutes = input.hours * 60;
  const perMinute = lastRun.cycles !== null && lastRun.minutes > 0 ? lastRun.cycles / lastRun.minutes : null;
  const body: RunBody = {
    materialId: lastRun.materialId,
    minutes,
    ...(perMinute === null ? {} : { cycles: Math.round(perMinute * minutes) }),
    session: 'run',
    ballast: input.ballast,
    ...(equipment.coldTrap ? { trapTempC: input.trapTempC } : {}),
    oilTempC: input.oilTempC,
    lowestPressurePa: lastRun.lowestPressurePa,
    ventedBeforeStop: 'yes',
  };
  const entry: Entry = {
    id: 'what-if',
    actId: 'what-if',
    kind: 'run',
    subjects: [
      { type: 'pump', id: page.row.pumpId },
      { type: 'equipment', id: setUp.pump.equipmentId },
    ],
    happenedAt: now,
    recordedAt: now,
    zone: site.zone,
    precision: 'exact',
    acknowledged: [],
    bodyVersion: BODY_VERSION,
    body,
  };
  const preview = previewOfLast(page, entry, now);
  return {
    water: runWater(withKnownTrap({ body, minutes, equipment, model }, state.traps, setUp.pump.equipmentId)),
    weight: preview.kind === 'shown' ? (preview.state.totals.weightMilli - state.totals.weightMilli) / 1000 : 0,
    after: preview.kind === 'shown' ? preview.after : null,
  };
}
