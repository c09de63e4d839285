import type { FoundSaid, TestBody } from '../journal/index.js';
import type { VerdictLevel } from '../limits/index.js';
import type { Act, FindingOrigin } from '../oil/index.js';
import type { PumpModel } from '../set-up/index.js';
import type { BackPressures, MachineAnswer, MachineCode, MachineFinding } from './machine-finding.js';

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
const BACK_PRESSURE = { lookPa: 30_000, renewPa: 60_000 } as const;

/** Those of a model, where its manual or its house says others; of one that is said alone the other follows it. Over ambient, Pa. */
export function backPressuresOf({
  exhaustLookPa,
  exhaustRenewPa,
}: Pick<PumpModel, 'exhaustLookPa' | 'exhaustRenewPa'>): BackPressures {
  const lookPa = exhaustLookPa ?? Math.min(BACK_PRESSURE.lookPa, exhaustRenewPa ?? Infinity);
  return { lookPa, renewPa: exhaustRenewPa ?? Math.max(BACK_PRESSURE.renewPa, lookPa) };
}
/** Oil hotter than that stops the pump (docs/trade.md 2). */
export const TOO_HOT_C = 100;

const backPressure = (
  { overPa, blocked }: { overPa: number | null; blocked: boolean },
  from: BackPressures,
  origin: FindingOrigin,
): MachineFinding => ({
  code: 'backPressure',
  overPa,
  blocked,
  ...from,
  level: blocked ? 'stop' : overPa !== null && overPa >= from.renewPa ? 'beforeNextRun' : 'lookSooner',
  act: 'exhaustFilter',
  answeredBy: 'exhaustFilter',
  ...origin,
});

function said({ id, state }: FoundSaid, from: BackPressures, origin: FindingOrigin): MachineFinding[] {
  if (id === 'backPressure')
    return state === 'low' ? [] : [backPressure({ overPa: null, blocked: state === 'blocked' }, from, origin)];
  const says = SAYS[`${id}/${state}`];
  if (!says) return [];
  const { code } = says;
  if (code === 'resinInOil' || code === 'swallowed')
    return [{ ...says, code, flushedAt: null, filledAt: null, ...origin }];
  return [{ ...says, code, ...origin }];
}

/** What a test or a thing seen says of the pump itself, pressures apart. */
export function saidByTest(body: TestBody, from: BackPressures, origin: FindingOrigin): MachineFinding[] {
  const measured = (body.measured ?? []).filter((m) => m.where === 'exhaust' && m.pa >= from.lookPa);
  return [
    ...body.findings.flatMap((found) => said(found, from, origin)),
    ...measured.map((m) => backPressure({ overPa: m.pa, blocked: false }, from, origin)),
  ];
}

/** Oil hotter than any makes allows for. */
export const saidByRun = (oilTempC: number | null | undefined, origin: FindingOrigin): MachineFinding[] =>
  (oilTempC ?? 0) > TOO_HOT_C
    ? [{ code: 'runsHot', oilTempC: oilTempC ?? 0, level: 'stop', act: 'findCause', answeredBy: 'cause', ...origin }]
    : [];
