import { localDay, orderKeyOf, pumpIdsOf, type Entry, type LookBody, type SumpKey } from '../journal/index.js';
import { afterMachineWork } from '../machine/index.js';
import { afterDraining, afterWork, toUl, waterUlOf } from '../oil/index.js';
import { withOilIn, type PumpSetUp } from '../set-up/index.js';
import { purgeRemovesG, waterUlOfG } from '../water/index.js';
import { done, onSump, originOf, withNotTold, type Context } from './fold-context.js';
import { foldCase } from './fold-case.js';
import { foldJob } from './fold-job.js';
import { foldChange, foldTopUp } from './fold-change.js';
import { foldLabResult, foldLabSample } from './fold-lab.js';
import { foldTest } from './fold-machine.js';
import { foldMeter } from './fold-meter.js';
import { foldOpenRun, foldRun } from './fold-run.js';
import { foldTakeOver } from './fold-take-over.js';
import { foundOn, judgeBleed, judgeLook } from './judge-look.js';
import { useAfterDraw, useAfterLook } from './oil-use.js';
import { newStretch, withStretch } from './trap-known.js';
import { drawOf, foundUlOf, saysWater, withStaleDraws } from './water-found.js';
import { jarOf, keepJar } from './kept-jars.js';
import type { Charge, NotTold, PumpState, SumpState } from './state.js';
import { startState } from './first-state.js';
import type { TaskId } from '../limits/index.js';

/**
 * Folds one entry into a pump's state. Pure: the same entries in the same order give the same state, bit for bit.
 * @param setUp the set-up in force when the entry happened
 * @throws RangeError when the entry does not name this pump
 */
export function step(state: PumpState, entry: Entry, setUp: PumpSetUp): PumpState {
  if (!pumpIdsOf(entry).includes(state.pumpId))
    throw new RangeError(`subjects: entry ${entry.id} does not name pump ${state.pumpId}`);
  const { happenedAt } = entry;
  const started = withOverhaul(startState(state, { at: happenedAt, zone: setUp.site.zone, setUp }), setUp, happenedAt);
  const oilIn = started.sumps[0]?.charge.productId ?? null;
  const context = {
    setUp: withOilIn(setUp, oilIn),
    entry,
    day: localDay({ at: entry.happenedAt, zone: setUp.site.zone }),
  };
  const folded = fold(started, context);
  return { ...folded, entries: state.entries + 1, last: orderKeyOf(entry) };
}

/** Remembers how long the pump had run when it was overhauled: metal is expected in its first hours. */
function withOverhaul(state: PumpState, { pump }: PumpSetUp, now: string): PumpState {
  // Of an overhaul that was yet to come nothing was new by then.
  const at = pump.overhauledAt && pump.overhauledAt <= now ? pump.overhauledAt : null;
  if (at === (state.overhaul?.at ?? null)) return state;
  return { ...state, goodPa: [], overhaul: at === null ? null : { at, minutes: state.totals.minutes } };
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
      const judging = { state, setUp: context.setUp, origin: originOf(context), body: entry.body };
      const bled = onSump(state, sump, (s) => judgeBleed({ ...judging, sump: s }));
      const read = (waterMl ?? null) !== null;
      const oilUl = Math.max(0, toUl(drawnMl) - toUl(waterMl));
      const jarred = read
        ? keepJar(bled, jarOf(context, { source: 'bleed', oilUl, waterUl: toUl(waterMl), waterRead: true }))
        : bled;
      const told = read || sump !== 'oil' ? jarred : notTold(jarred, { ...originOf(context), kind: 'bleed' });
      const marked = withWaterSeen(markLastBar(done(told, context, 'bleed'), 'bled'), sump);
      return sump === 'oil'
        ? useAfterDraw(marked, context, { oilUl, levelAfter: entry.body.levelAfter ?? null })
        : marked;
    }
    case 'topUp':
      return foldTopUp(state, context, entry.body);
    case 'change':
      return foldChange(state, context, entry.body);
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
    case 'jobStarted':
    case 'jobStep':
    case 'jobMoved':
    case 'jobEnded':
      return foldJob(state, entry);
    case 'test':
      return foldTest(state, context, entry.body);
    case 'note':
    case 'transfer':
    case 'stocktake':
    case 'opened':
    case 'mediaChange':
      return state;
  }
}

/** A purge by itself lasts about an hour. */
const PURGE_HOURS = 1;

const notTold = (state: PumpState, one: NotTold): PumpState => ({
  ...state,
  notTold: withNotTold(state.notTold, one),
});

/** The jar of the last bleed is read now: that says its water. Of one before it nothing is known still. */
const withoutLastBleed = (state: PumpState): PumpState => ({
  ...state,
  notTold: state.notTold.filter((n) => n.entryId !== state.tasks.bleed?.entryId),
});

function markLastBar(state: PumpState, mark: 'bled' | 'looked'): PumpState {
  const last = state.bars.at(-1);
  return last ? { ...state, bars: [...state.bars.slice(0, -1), { ...last, [mark]: true }] } : state;
}

function foldLook(state: PumpState, context: Context, look: LookBody): PumpState {
  const read = onSump(state, look.sump, (sump) =>
    judgeLook({ state, sump, look, setUp: context.setUp, origin: originOf(context) }),
  );
  const judged = look.sump === 'oil' ? withTrapSeen(read, look) : read;
  const layers = {
    sludgeUl: toUl(look.sludgeMl),
    waterUl: toUl(look.freeWaterMl),
    creamUl: toUl(look.creamMl),
  };
  const jar = jarOf(context, {
    source: look.source,
    oilUl: Math.max(0, toUl(look.lookedAtMl) - layers.sludgeUl - layers.waterUl - layers.creamUl),
    ...layers,
    waterRead: saysWater(look),
    hazyUl: toUl(look.hazyMl),
    colour: look.colour ?? null,
    clarity: look.clarity ?? null,
    level: look.level ?? null,
    hoursStood: look.hoursStood,
    photoId: look.photoId ?? null,
  });
  const told = look.source === 'bleed' ? withoutLastBleed(judged) : judged;
  const kept = { ...keepJar(told, jar), toRead: stillToRead(state, look, originOf(context).at) };
  // The jar of a charge that is gone says nothing of the oil that runs now.
  if (isOfJarKept(state, look) && !isFresh(state)) return kept;
  const looked = markLastBar(done(kept, context, 'look'), 'looked');
  const seen = look.sump === 'oil' ? withUse(looked, context, look) : looked;
  // The jar of a bleed that nobody wrote down speaks for the bleed too.
  const draws = state.sumps.find((s) => s.key === look.sump)?.charge.draws ?? [];
  const unwritten = look.source === 'bleed' && drawOf(draws, look, originOf(context)) === null;
  return unwritten ? markLastBar(done(seen, context, 'bleed'), 'bled') : seen;
}

/** No run since the main oil was changed. */
const isFresh = ({ sumps, totals }: PumpState): boolean =>
  sumps.find((s) => s.key === 'oil')?.charge.since.counts.runs === totals.runs;
/** Of what came out at the last change. */
const isOfJarKept = ({ sumps }: PumpState, { source, drawnId }: LookBody): boolean =>
  source === 'drained' && Boolean(drawnId) && sumps.find((s) => s.key === 'oil')?.charge.since.entryId === drawnId;

/** The jar of the last change waits until it is read after its time; one that names no jar is taken for it. */
function stillToRead({ toRead }: PumpState, { source, drawnId, sump }: LookBody, at: string): PumpState['toRead'] {
  const isIt = source === 'drained' && sump === 'oil' && (drawnId ?? toRead?.entryId) === toRead?.entryId;
  return toRead && isIt && at >= toRead.fromAt ? null : toRead;
}

/** So far its water is known now, and what was expected of its runs. */
const withWaterSeen = (state: PumpState, key: SumpKey): PumpState =>
  onSump(state, key, (s) => {
    const { number, unestimatedRuns, expectedWaterUl, since } = s.charge;
    const expectedUl = number === 0 || unestimatedRuns > 0 ? null : expectedWaterUl;
    return { ...s, charge: { ...s.charge, waterSeen: { runs: state.totals.runs - since.counts.runs, expectedUl } } };
  });

/** What a look for water tells of the trap. A bleed leaves some behind, so it ends no stretch. */
function withTrapSeen(state: PumpState, look: LookBody): PumpState {
  const charge = state.sumps.find((s) => s.key === 'oil')?.charge;
  if (!charge) return state;
  const onCharge = (change: Partial<Charge>) =>
    onSump(state, 'oil', (s) => ({ ...s, charge: { ...charge, ...change } }));
  if (look.source === 'drained' && charge.goneStretch && (isFresh(state) || isOfJarKept(state, look))) {
    const { stretch, foundUl } = charge.goneStretch;
    const traps = withStretch(state.traps, stretch, foundUl + waterUlOf(look));
    return { ...onCharge({ goneStretch: null }), traps };
  }
  if (!saysWater(look)) return state;
  const foundUl = foundUlOf(foundOn(charge));
  const seen = withWaterSeen(look.source === 'bleed' ? state : onCharge({ stretch: newStretch(foundUl) }), 'oil');
  return look.source === 'bleed' ? seen : { ...seen, traps: withStretch(state.traps, charge.stretch, foundUl) };
}

/** A jar that was drawn for it takes oil out, read the first time; the level in the glass says what is left. */
function withUse(state: PumpState, context: Context, look: LookBody): PumpState {
  const isOwnJar = look.source === 'sample' && (look.drawnId ?? context.entry.id) === context.entry.id;
  const oilUl = toUl(look.lookedAtMl) - toUl(look.freeWaterMl);
  const drawn = isOwnJar ? useAfterDraw(state, context, { oilUl: Math.max(0, oilUl) }) : state;
  return useAfterLook(drawn, context, look);
}

/** An hour of warm ballast carries expected water away, but not what has been found already. */
function afterPurge({ charge, findings }: SumpState, { model }: PumpSetUp): Charge {
  const { expectedWaterUl, bledWaterUl, sampledWaterUl } = charge;
  const removedG = purgeRemovesG({ model, oilTempC: model.operatingOilTempC, hours: PURGE_HOURS });
  const found = Math.min(expectedWaterUl, bledWaterUl + sampledWaterUl);
  return {
    ...withStaleDraws(charge),
    // What a purge took out cannot be found: until somebody looks again, the trap cannot be told from it.
    stretch: null,
    bledSinceWaterSeen: true,
    expectedWaterUl: Math.max(found, expectedWaterUl - waterUlOfG(Math.max(0, removedG))),
    purgedSinceSeen: findings.some((f) => f.code === 'cream' || f.code === 'clarity'),
  };
}

/** The housing is empty then: what is filled next is the first of a clean pump. */
const CLEANS = ['housingClean', 'stripClean'] as const;

function foldDone(state: PumpState, context: Context, task: TaskId): PumpState {
  const { happenedAt: at } = context.entry;
  const machine = afterMachineWork(state.machine, task, at);
  const ticked = { ...done(state, context, task), machine };
  const cleaning = CLEANS.find((c) => c === task);
  return onSump(ticked, 'oil', (s) => {
    const findings = s.findings.map((f) => afterWork(f, task, at)).filter((f) => f !== null);
    if (task === 'purge')
      return { ...s, charge: afterPurge(s, context.setUp), findings: findings.map((f) => afterDraining(f, at)) };
    if (!cleaning) return { ...s, findings };
    // Cleaned and filled in one deed: the charge that is in it is of the clean pump.
    if (s.charge.since.at === at && s.charge.number > 0)
      return { ...s, findings, ...(cleaning === 'stripClean' ? { traces: [], oxygenAt: null } : {}) };
    return { ...s, findings, cleaned: s.cleaned?.by === 'stripClean' ? s.cleaned : { by: cleaning, at } };
  });
}
