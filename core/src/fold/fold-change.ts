import type { ChangeBody, Level, OilWent, TopUpBody } from '../journal/index.js';
import {
  afterChange,
  filledUp,
  levelFinding,
  levelNotTold,
  mixedWith,
  oilLost,
  settlingOf,
  toUl,
  type Finding,
  type GoneCharge,
} from '../oil/index.js';
import { afterNewOil } from '../machine/index.js';
import type { PumpSetUp } from '../set-up/index.js';
import { newCharge } from './first-state.js';
import { done, onSump, originOf, sinceNow, type Context } from './fold-context.js';
import { expectedMl, isWaterAnswered, productOf, raise, UNKNOWN_PRODUCT } from './judge-look.js';
import { jarOf, keepJar } from './kept-jars.js';
import { useAfterChange, useAfterTopUp } from './oil-use.js';
import { KEPT, type PumpState, type SumpState } from './state.js';
import { fitted, newStretch } from './trap-known.js';

/** Filled to the marks or below them: a level above them later has come by itself. */
const isLevelKnown = (level: Level | null | undefined): boolean => (level ?? 'high') !== 'high';
const distinct = (ids: readonly (string | null)[]): string[] =>
  [...new Set(ids.filter((id) => id !== null))].slice(-KEPT.products);

interface Filled {
  readonly levelAfter?: Level | null;
  readonly oilWent?: OilWent | null;
}

/** The level as a service left it, and where the oil went that was missing. @param newOil nothing of the level before counts */
function levelsAfter({ levelAfter, oilWent }: Filled, sump: SumpState, context: Context, newOil: boolean): Finding[] {
  const stood = sump.findings.find((f) => f.code === 'level');
  const none = stood?.code === 'level' && stood.found === 'none' ? stood : null;
  if (none && !oilWent) return [filledUp(none)];
  const left = levelAfter ? levelFinding(levelAfter) : levelNotTold(newOil || none ? undefined : stood);
  return [left, oilWent ? oilLost(oilWent) : null]
    .filter((f) => f !== null)
    .map((f) => ({ ...f, ...originOf(context) }));
}

/** Another product came to what was in it; what is harder and not answered yet stands. */
function withOtherProduct(sump: SumpState, beforeId: string, afterId: string, context: Context): SumpState {
  const { oilProduct } = context.setUp.house;
  const follows = mixedWith(oilProduct[beforeId] ?? null, oilProduct[afterId] ?? null);
  return raise(sump, [{ code: 'otherProduct', beforeId, afterId, ...follows }], originOf(context));
}

export function foldTopUp(state: PumpState, context: Context, body: TopUpBody): PumpState {
  const { sump: key, addedMl, levelAfter, productId } = body;
  const toppedUp = onSump(state, key, (s) => {
    const { charge } = s;
    const others = s.findings.filter((f) => f.code !== 'level' && f.code !== 'oilLost');
    const filled = { ...s, findings: [...others, ...levelsAfter(body, s, context, false)] };
    const own = charge.productId;
    const isOther = own !== null && own !== productId;
    return {
      ...(isOther ? withOtherProduct(filled, own, productId, context) : filled),
      charge: {
        ...charge,
        toppedUpUl: charge.toppedUpUl + toUl(addedMl),
        levelKnown: isLevelKnown(levelAfter),
        others: isOther ? distinct([...charge.others, productId]) : charge.others,
      },
    };
  });
  const used = useAfterTopUp(toppedUp, context, body);
  return key === 'sealCup' ? done(used, context, 'sealCup') : used;
}

export function foldChange(state: PumpState, context: Context, body: ChangeBody): PumpState {
  const { sump: key, productId, inMl, outMl, levelAfter } = body;
  const main = key === 'oil';
  const counted = main ? withChange(state) : state;
  const since = sinceNow(counted, context);
  const changed = onSump({ ...counted, drained: null }, key, (sump): SumpState => {
    const { charge: before, cleaned } = sump;
    const stripped = cleaned?.by === 'stripClean';
    const opened = newCharge({
      number: before.number + 1,
      since,
      productId,
      filledUl: toUl(inMl),
      levelKnown: isLevelKnown(levelAfter),
      gone: goneCharge(counted, sump, context.setUp),
    });
    const goneStretch = { stretch: before.stretch, foundUl: before.bledWaterUl + before.sampledWaterUl };
    const charge = { ...opened, stretch: newStretch(0), goneStretch };
    const isOther = before.productId && before.productId !== productId && !cleaned;
    const findings = [
      ...sump.findings.map((f) => afterChange(f, since.at)).filter((f) => f !== null),
      ...levelsAfter(body, sump, context, true),
    ];
    const filled: SumpState = {
      key,
      charge,
      findings,
      traces: stripped ? [] : distinct([...sump.traces, before.productId, ...before.others]),
      cleaned: null,
      oxygenAt: stripped ? null : sump.oxygenAt,
    };
    return isOther ? withOtherProduct(filled, before.productId, productId, context) : filled;
  });
  const measured = (outMl ?? null) !== null;
  const jarred = measured ? keepJar(changed, jarOf(context, { source: 'change', oilUl: toUl(outMl) })) : changed;
  if (!main) return jarred;
  return {
    ...useAfterChange(done(jarred, context, 'look', 'bleed'), levelAfter),
    toRead: body.jarKept ? jarToRead(state, context, body) : null,
    machine: afterNewOil(jarred.machine, since.at),
    traps: fitted(jarred.traps),
    bars: [],
    notTold: [],
    collapsed: { runs: 0, weightMilli: 0, minutes: 0 },
  };
}

/** A jar is a litre at most, and half of one where nobody measured what came out. */
const JAR_ML = { most: 1000, usual: 500 } as const;
const HOUR_MS = 3_600_000;

/** What came out stands in the room until the water in it shows. */
function jarToRead(before: PumpState, context: Context, { outMl }: ChangeBody): PumpState['toRead'] {
  const { entryId, at } = originOf(context);
  const held = before.sumps.find((s) => s.key === 'oil')?.charge.productId ?? null;
  const product = productOf(held, context.setUp) ?? UNKNOWN_PRODUCT;
  const lookedAtMl = Math.min(outMl || JAR_ML.usual, JAR_ML.most);
  const look = { source: 'drained', hoursStood: 0, lookedAtMl, jarTempC: null } as const;
  const { neededHours } = settlingOf({ look, product });
  return { entryId, at, fromAt: new Date(Date.parse(at) + neededHours * HOUR_MS).toISOString() };
}

/** One change more. What fills a pump that was just flushed is the flush's own last fill: the next flush is counted from there. */
function withChange(state: PumpState): PumpState {
  const totals = { ...state.totals, changes: state.totals.changes + 1 };
  const { flush } = state.tasks;
  const isOfFlush = flush?.counts.changes === state.totals.changes && flush.counts.runs === state.totals.runs;
  return isOfFlush
    ? { ...state, totals, tasks: { ...state.tasks, flush: { ...flush, counts: totals } } }
    : { ...state, totals };
}

/** What the jar of this change will be held against. */
function goneCharge(state: PumpState, { key, charge, findings }: SumpState, { model }: PumpSetUp): GoneCharge {
  return {
    number: charge.number,
    runs: state.totals.runs - charge.since.counts.runs,
    startColour: charge.startColour,
    chargeMl: (charge.filledUl ?? toUl(model.sumps.find((s) => s.key === key)?.chargeMl)) / 1000,
    waterTakenOutMl: (charge.bledWaterUl + charge.sampledWaterUl - charge.answeredWaterUl) / 1000,
    expectedWaterMl: expectedMl(charge),
    ...(isWaterAnswered(charge) ? { waterAnswered: true } : {}),
    answered: findings.filter((f) => f.half?.done === 'pump').map((f) => f.code),
  };
}
