import { localDay, orderKeyOf, pumpIdsOf, type Entry, type Level, type LookBody } from '../journal/index.js';
import { levelFinding, levelNotTold, outlivesChange, toUl, type Finding, type GoneCharge } from '../oil/index.js';
import type { PumpSetUp } from '../set-up/index.js';
import { ballastFlowM3h, ballastRemovalGPerH, WATER_DEFAULTS, waterUlOfG } from '../water/index.js';
import { done, onSump, originOf, sinceNow, withNotTold, type Context } from './fold-context.js';
import { foldCase } from './fold-case.js';
import { foldLabResult, foldLabSample } from './fold-lab.js';
import { foldMeter } from './fold-meter.js';
import { foldOpenRun, foldRun } from './fold-run.js';
import { foldTakeOver } from './fold-take-over.js';
import { chargeAfterBleed, expectedMl, judgeLook, withFinding } from './judge-look.js';
import { KEPT, type Charge, type JarSeen, type NotTold, type PumpState, type SumpState } from './state.js';
import { newCharge, startState } from './first-state.js';
import type { TaskId } from '../limits/index.js';

/**
 * Folds one entry into a pump's state. Pure: the same entries in the same order give the same state, bit for bit.
 * @param setUp the set-up in force when the entry happened
 * @throws RangeError when the entry does not name this pump
 */
export function step(state: PumpState, entry: Entry, setUp: PumpSetUp): PumpState {
  if (!pumpIdsOf(entry).includes(state.pumpId))
    throw new RangeError(`subjects: entry ${entry.id} does not name pump ${state.pumpId}`);
  const started = withOverhaul(startState(state, { at: entry.happenedAt, zone: setUp.site.zone, setUp }), setUp);
  const context = { setUp, entry, day: localDay({ at: entry.happenedAt, zone: setUp.site.zone }) };
  const folded = fold(started, context);
  return { ...folded, entries: state.entries + 1, last: orderKeyOf(entry) };
}

/** Remembers how long the pump had run when it was overhauled: metal is expected in its first hours. */
function withOverhaul(state: PumpState, { pump }: PumpSetUp): PumpState {
  const at = pump.overhauledAt ?? null;
  if (at === (state.overhaul?.at ?? null)) return state;
  return { ...state, overhaul: at === null ? null : { at, minutes: state.totals.minutes } };
}

function fold(state: PumpState, context: Context): PumpState {
  const { entry } = context;
  switch (entry.kind) {
    case 'run':
      return entry.body.stillRunning ? foldOpenRun(state, context, entry.body) : foldRun(state, context, entry.body);
    case 'look':
      return foldLook(state, context, entry.body);
    case 'bleed': {
      const { sump, waterMl, drawnMl } = entry.body;
      const bled = onSump(state, sump, (s) => ({
        ...s,
        charge: chargeAfterBleed(s.charge, waterMl),
        findings: s.findings.filter((f) => !(f.code === 'level' && f.found === 'high')),
      }));
      const read = (waterMl ?? null) !== null;
      const oilUl = Math.max(0, toUl(drawnMl) - toUl(waterMl));
      const jarred = read ? keepJar(bled, jarOf(context, { source: 'bleed', oilUl, waterUl: toUl(waterMl) })) : bled;
      const told = read || sump !== 'oil' ? jarred : notTold(jarred, { ...originOf(context), kind: 'bleed' });
      return markLastBar(done(told, context, 'bleed'), 'bled');
    }
    case 'topUp': {
      const { sump, addedMl, levelAfter } = entry.body;
      const toppedUp = onSump(state, sump, (s) => ({
        ...withFinding(s, 'level', leftAtLevel(levelAfter, context, s)),
        charge: {
          ...s.charge,
          toppedUpUl: s.charge.toppedUpUl + toUl(addedMl),
          levelKnown: isLevelKnown(levelAfter),
        },
      }));
      return sump === 'sealCup' ? done(toppedUp, context, 'sealCup') : toppedUp;
    }
    case 'change':
      return foldChange(state, context);
    case 'done':
      return foldDone(state, context, entry.body.task as TaskId);
    case 'labSample':
      return foldLabSample(state, context, entry.body);
    case 'labResult':
      return foldLabResult(state, context, entry.body);
    case 'meter':
      return foldMeter(state, context, entry.body);
    case 'takeOver':
      return foldTakeOver(state, context, entry.body);
    case 'caseOpened':
    case 'caseClosed':
    case 'caseChecked':
      return foldCase(state, entry);
    case 'test':
    case 'note':
      return state;
  }
}

/** A purge lasts about an hour; near 100 °C the formula of its ballast has no end. */
const PURGE = { hours: 1, hottestC: 95 } as const;

/** Filled to the marks or below them: a level above them later has come by itself. */
const isLevelKnown = (level: Level | null | undefined): boolean => (level ?? 'high') !== 'high';

/** The level as a service left it. @param before the sump that was filled up; null where all its oil is new */
function leftAtLevel(level: Level | null | undefined, context: Context, before: SumpState | null): Finding | null {
  const stood = before?.findings.find((f) => f.code === 'level');
  const finding = level ? levelFinding(level) : levelNotTold(stood);
  return finding ? { ...finding, ...originOf(context) } : null;
}

function jarOf(context: Context, seen: Pick<JarSeen, 'source'> & Partial<JarSeen>): JarSeen {
  return {
    oilUl: 0,
    sludgeUl: 0,
    waterUl: 0,
    creamUl: 0,
    hazyUl: 0,
    photoId: null,
    colour: null,
    clarity: null,
    level: null,
    hoursStood: null,
    ...originOf(context),
    ...seen,
  };
}

const notTold = (state: PumpState, one: NotTold): PumpState => ({
  ...state,
  notTold: withNotTold(state.notTold, one),
});

/** The jar of the last bleed is read now: that says its water. Of one before it nothing is known still. */
const withoutLastBleed = (state: PumpState): PumpState => ({
  ...state,
  notTold: state.notTold.filter((n) => n.entryId !== state.tasks.bleed?.entryId),
});

const keepJar = (state: PumpState, jar: JarSeen): PumpState => ({
  ...state,
  jars: [...state.jars, jar].slice(-KEPT.jars),
});

function markLastBar(state: PumpState, mark: 'bled' | 'looked'): PumpState {
  const last = state.bars.at(-1);
  return last ? { ...state, bars: [...state.bars.slice(0, -1), { ...last, [mark]: true }] } : state;
}

function foldLook(state: PumpState, context: Context, look: LookBody): PumpState {
  const judged = onSump(state, look.sump, (sump) =>
    judgeLook({ state, sump, look, setUp: context.setUp, origin: originOf(context) }),
  );
  const layers = {
    sludgeUl: toUl(look.sludgeMl),
    waterUl: toUl(look.freeWaterMl),
    creamUl: toUl(look.creamMl),
  };
  const jar = jarOf(context, {
    source: look.source,
    oilUl: Math.max(0, toUl(look.lookedAtMl) - layers.sludgeUl - layers.waterUl - layers.creamUl),
    ...layers,
    hazyUl: toUl(look.hazyMl),
    colour: look.colour ?? null,
    clarity: look.clarity ?? null,
    level: look.level ?? null,
    hoursStood: look.hoursStood,
    photoId: look.photoId ?? null,
  });
  const read = look.source === 'bleed' ? withoutLastBleed(judged) : judged;
  const seen = markLastBar(done(keepJar(read, jar), context, 'look'), 'looked');
  // The jar of a bleed that nobody wrote down speaks for the bleed too.
  const unwritten =
    look.source === 'bleed' && state.sumps.find((s) => s.key === look.sump)?.charge.unreadBleedUl === null;
  return unwritten ? markLastBar(done(seen, context, 'bleed'), 'bled') : seen;
}

function foldChange(state: PumpState, context: Context): PumpState {
  const { entry } = context;
  if (entry.kind !== 'change') return state;
  const { sump: key, productId, inMl, outMl, levelAfter } = entry.body;
  const origin = originOf(context);
  const main = key === 'oil';
  const counted = main ? { ...state, totals: { ...state.totals, changes: state.totals.changes + 1 } } : state;
  const since = sinceNow(counted, context);
  const changed = onSump(counted, key, (sump) => {
    const before = sump.charge.productId;
    const charge = newCharge({
      number: sump.charge.number + 1,
      since,
      productId,
      filledUl: toUl(inMl),
      levelKnown: isLevelKnown(levelAfter),
      gone: goneCharge(counted, sump, context.setUp),
    });
    const findings: (Finding | null)[] = [
      ...sump.findings.filter(outlivesChange),
      leftAtLevel(levelAfter, context, null),
      before && before !== productId
        ? {
            code: 'otherProduct',
            beforeId: before,
            afterId: productId,
            level: 'lookSooner',
            act: 'flush',
            answeredBy: 'flush',
            ...origin,
          }
        : null,
    ];
    return { key, charge, findings: findings.filter((f) => f !== null) };
  });
  const measured = (outMl ?? null) !== null;
  const jarred = measured ? keepJar(changed, jarOf(context, { source: 'change', oilUl: toUl(outMl) })) : changed;
  if (!main) return jarred;
  return {
    ...done(jarred, context, 'look', 'bleed'),
    bars: [],
    notTold: [],
    collapsed: { runs: 0, weightMilli: 0, minutes: 0 },
  };
}

/** What the jar of this change will be held against. */
function goneCharge(state: PumpState, { key, charge }: SumpState, { model }: PumpSetUp): GoneCharge {
  return {
    number: charge.number,
    runs: state.totals.runs - charge.since.counts.runs,
    startColour: charge.startColour,
    chargeMl: (charge.filledUl ?? toUl(model.sumps.find((s) => s.key === key)?.chargeMl)) / 1000,
    waterTakenOutMl: (charge.bledWaterUl + charge.sampledWaterUl - charge.answeredWaterUl) / 1000,
    expectedWaterMl: expectedMl(charge),
  };
}

/** An hour of warm ballast carries expected water away, but not what has been found already. */
function afterPurge({ expectedWaterUl, bledWaterUl, sampledWaterUl }: Charge, { model }: PumpSetUp): number {
  const removedG = ballastRemovalGPerH({
    ballastFlowM3h: ballastFlowM3h(model),
    oilTempC: Math.min(model.operatingOilTempC, PURGE.hottestC),
    efficiency: WATER_DEFAULTS.purgeEfficiency,
  });
  const found = Math.min(expectedWaterUl, bledWaterUl + sampledWaterUl);
  return Math.max(found, expectedWaterUl - waterUlOfG(Math.max(0, removedG) * PURGE.hours));
}

/** Which findings a service answers besides counting as done. */
const ANSWERS: { readonly [T in TaskId]?: (finding: Finding) => boolean } = {
  flush: (f) => f.answeredBy === 'flush',
  housingClean: (f) => f.answeredBy === 'flush',
  vaneCheck: (f) => f.answeredBy === 'inspect',
  exhaustFilter: (f) => f.code === 'thrownOil',
};

function foldDone(state: PumpState, context: Context, task: TaskId): PumpState {
  const ticked = done(state, context, task);
  if (task === 'purge')
    return onSump(ticked, 'oil', (s) => ({
      ...s,
      charge: {
        ...s.charge,
        bledSinceWaterSeen: true,
        expectedWaterUl: afterPurge(s.charge, context.setUp),
        purgedSinceSeen: s.findings.some((f) => f.code === 'cream' || f.code === 'clarity'),
      },
    }));
  const answered = ANSWERS[task];
  if (!answered) return ticked;
  return onSump(ticked, 'oil', (s) => ({ ...s, findings: s.findings.filter((f) => !answered(f)) }));
}
