import type { FoundSaid, TestBody } from '../journal/index.js';
import type { VerdictLevel } from '../limits/index.js';
import type { Act, FindingOrigin } from '../oil/index.js';
import type { MachineAnswer, MachineCode, MachineFinding } from './machine-finding.js';

interface Says {
  readonly code: Exclude<
    MachineCode,
    'poorVacuum' | 'overGood' | 'backPressure' | 'runsHot' | 'toppedUpOften' | 'sealCupLeak' | 'oilUse' | 'levelHolds'
  >;
  readonly level: Exclude<VerdictLevel, 'runOn'>;
  readonly act: Act;
  readonly answeredBy: MachineAnswer;
}

/** What is found by hand, ear or eye at the pump, and what follows (docs/trade.md 6: the pump itself). By finding and state. */
const SAYS: Readonly<Record<string, Says>> = {
  'current/higher': { code: 'moreCurrent', level: 'lookSooner', act: 'findCause', answeredBy: 'usualOrCause' },
  'caseTemp/hotter': { code: 'hotterCase', level: 'lookSooner', act: 'findCause', answeredBy: 'usualOrCause' },
  'noise/louder': { code: 'louder', level: 'lookSooner', act: 'findCause', answeredBy: 'usualOrCause' },
  'noise/grinding': { code: 'grinding', level: 'stop', act: 'inspect', answeredBy: 'inspect' },
  'starts/slow': { code: 'slowStart', level: 'lookSooner', act: 'findCause', answeredBy: 'usualOrCause' },
  'starts/trips': { code: 'trips', level: 'stop', act: 'findCause', answeredBy: 'cause' },
  'starts/stiff': { code: 'stiff', level: 'stop', act: 'inspect', answeredBy: 'inspect' },
  'thickness/gels': { code: 'resinInOil', level: 'stop', act: 'flush', answeredBy: 'flushAndFill' },
  'swallowed/yes': { code: 'swallowed', level: 'beforeNextRun', act: 'flush', answeredBy: 'flushAndFill' },
};

/** Over ambient, Pa: look at the exhaust filter, and renew it before the next run (docs/trade.md 8-H, built-in). */
export const BACK_PRESSURE = { lookPa: 30_000, renewPa: 60_000 } as const;
/** Oil hotter than that stops the pump (docs/trade.md 2). */
export const TOO_HOT_C = 100;

const backPressure = (overPa: number | null, blocked: boolean, origin: FindingOrigin): MachineFinding => ({
  code: 'backPressure',
  overPa,
  blocked,
  level: blocked ? 'stop' : overPa !== null && overPa >= BACK_PRESSURE.renewPa ? 'beforeNextRun' : 'lookSooner',
  act: 'exhaustFilter',
  answeredBy: 'exhaustFilter',
  ...origin,
});

function said({ id, state }: FoundSaid, origin: FindingOrigin): MachineFinding[] {
  if (id === 'backPressure') return state === 'low' ? [] : [backPressure(null, state === 'blocked', origin)];
  const says = SAYS[`${id}/${state}`];
  if (!says) return [];
  const { code } = says;
  if (code === 'resinInOil' || code === 'swallowed')
    return [{ ...says, code, flushedAt: null, filledAt: null, ...origin }];
  return [{ ...says, code, ...origin }];
}

/** What a test or a thing seen says of the pump itself, pressures apart. */
export function saidByTest(body: TestBody, origin: FindingOrigin): MachineFinding[] {
  const measured = (body.measured ?? []).filter((m) => m.where === 'exhaust' && m.pa >= BACK_PRESSURE.lookPa);
  return [
    ...body.findings.flatMap((found) => said(found, origin)),
    ...measured.map((m) => backPressure(m.pa, false, origin)),
  ];
}

/** Oil hotter than any makes allows for. */
export const saidByRun = (oilTempC: number | null | undefined, origin: FindingOrigin): MachineFinding[] =>
  (oilTempC ?? 0) > TOO_HOT_C
    ? [{ code: 'runsHot', oilTempC: oilTempC ?? 0, level: 'stop', act: 'findCause', answeredBy: 'cause', ...origin }]
    : [];
