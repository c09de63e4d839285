import type { PumpState } from '../fold/index.js';
import { equipmentOf, isWetWork, type PumpSetUp } from '../set-up/index.js';
import type { Usage } from './due-forecast.js';

/** A pump that stands: for so long that nobody knows when it will run, or for days with wet or acid oil in it. */
export interface LayUp {
  readonly why: 'idle' | 'wetOil' | 'acidOil';
  readonly days: number;
}

/** Rust and growth begin within days where water, juice or acid is in the oil (docs/trade.md 4). */
const WET_OIL_DAYS = 3;
const MINUTE_MS = 60_000;
const DAY_MS = 86_400_000;

/** Advice to lay a pump up; null for one that runs, or that stands on new oil. Never a verdict. */
export function layUpOf(of: { state: PumpState; setUp: PumpSetUp; usage: Usage; now: string }): LayUp | null {
  const { state, setUp, usage, now } = of;
  if (usage.idleDays !== null) return { why: 'idle', days: usage.idleDays };
  const { lastRun, bars, running } = state;
  if (lastRun === null || bars.length === 0 || running.length > 0) return null;
  const days = (Date.parse(now) - Date.parse(lastRun.happenedAt) - lastRun.minutes * MINUTE_MS) / DAY_MS;
  if (days < WET_OIL_DAYS) return null;
  if (isWetWork(equipmentOf(lastRun.equipmentId, setUp))) return { why: 'wetOil', days };
  const { material } = setUp.house;
  const acid = bars.some((b) => b.materialId !== null && (material[b.materialId]?.acid ?? 0) > 0);
  return acid || setUp.service.includes('corrosive') ? { why: 'acidOil', days } : null;
}
