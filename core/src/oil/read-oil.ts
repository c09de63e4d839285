import type { LookBody } from '../journal/index.js';
import { outlivesChange } from './answering.js';
import { isLevelTask, type Act, type OilFinding } from './finding.js';
import { VERDICT_LEVELS, worstLevel, type VerdictLevel, type JarShape, type OilLimits } from '../limits/index.js';
import { judgeClarity, judgeCream, judgeCreamThroughout, judgeFoam } from './judge-clarity.js';
import { judgeColour, judgeDarkAgain } from './judge-colour.js';
import { judgeLevel, judgeThrownOil } from './judge-level.js';
import { judgeSmell } from './judge-smell.js';
import { judgeParticles, judgeSludge } from './judge-solids.js';
import { judgeLevelFromWater, judgeUnexpectedWater, judgeWater, judgeWaterAtPickUp } from './judge-water.js';
import type { ChargeSeen, Judge, JudgedProduct } from './judge.js';
import { settlingOf, type Settling } from './settling.js';

/** Every reading that is judged. A new one is one more entry here. */
const JUDGES: readonly Judge[] = [
  judgeWater,
  judgeUnexpectedWater,
  judgeWaterAtPickUp,
  judgeLevelFromWater,
  judgeCream,
  judgeCreamThroughout,
  judgeClarity,
  judgeColour,
  judgeDarkAgain,
  judgeSludge,
  judgeParticles,
  judgeSmell,
  judgeFoam,
  judgeLevel,
  judgeThrownOil,
];

export interface LookInContext {
  readonly look: LookBody;
  readonly product: JudgedProduct;
  /** Nobody has said which oil it is; the strictest of the common ones is taken. */
  readonly productUnknown?: boolean;
  readonly charge: ChargeSeen;
  readonly limits: OilLimits;
  /** The jar it stands in; null takes a straight one off the shelf. */
  readonly shape?: JarShape | null;
}

export interface OilReading {
  readonly level: VerdictLevel;
  /** Of the worst finding; null when nothing is wanted. */
  readonly act: Act | null;
  /** All that speak, worst first. */
  readonly findings: readonly OilFinding[];
  readonly settling: Settling;
  /** It judges the charge that went out with the last change. */
  readonly ofGoneCharge: boolean;
}

const rank = (f: Pick<OilFinding, 'level' | 'act'>): number =>
  VERDICT_LEVELS.indexOf(f.level) * 2 + (f.act === 'change' ? 1 : 0);

/** A jar drained at a change: one that names it, or one that is read before the new oil has run. */
export const isOfGoneCharge = ({
  look: { source, drawnId },
  charge: { gone, runs, openedBy },
}: {
  look: Pick<LookBody, 'source' | 'drawnId'>;
  charge: Pick<ChargeSeen, 'gone' | 'runs' | 'openedBy'>;
}): boolean => source === 'drained' && gone !== null && (runs === 0 || (Boolean(drawnId) && drawnId === openedBy));

/**
 * What one look says about the oil: the table of house defaults and its special rules (docs/trade.md 6).
 * Pure; amounts in mL, per charge. The worst finding decides, all that speak are listed.
 */
export function readOil(input: LookInContext): OilReading {
  const { look, product, limits } = input;
  const settling = settlingOf(input);
  const ofGoneCharge = isOfGoneCharge(input);
  const charge =
    ofGoneCharge && input.charge.gone ? { ...input.charge, ...input.charge.gone, gone: null } : input.charge;
  const running = look.source === 'sightGlass' && look.hoursStood === 0;
  const judged = { look, product, charge, limits, settled: settling.settled, running };
  const found = JUDGES.map((judge) => judge(judged)).filter((f) => f !== null);
  return { ...worstFirst(ofGoneCharge ? onNewCharge(found) : found), settling, ofGoneCharge };
}

/** The worst finding decides, all that speak are listed. */
export function worstFirst(found: readonly OilFinding[]): Pick<OilReading, 'level' | 'act' | 'findings'> {
  const findings = [...found].sort((a, b) => rank(b) - rank(a));
  return { level: worstLevel(findings.map((f) => f.level)), act: findings[0]?.act ?? null, findings };
}

/** What the jar, or the lab report, of a finished charge leaves for the new charge: at most Look sooner, but for what fresh oil does not answer. */
export function onNewCharge(found: readonly OilFinding[]): OilFinding[] {
  const oil = found.filter((f) => !isLevelTask(f));
  const stays = oil.filter(outlivesChange);
  const cause = oil.filter((f) => !outlivesChange(f) && f.level !== 'lookSooner').sort((a, b) => rank(b) - rank(a))[0];
  if (!cause) return stays;
  return [...stays, { code: 'goneCharge', cause: cause.code, level: 'lookSooner', act: 'look', answeredBy: 'look' }];
}
