import type { EntryBodies, Level, OilFlushed, PartUsed, SumpKey } from '../journal/index.js';
import type { PumpModel } from '../set-up/index.js';
import { chosenAt } from './guide.js';
import type { GuideStep } from './service-at.js';

/** An entry that a job leaves in the record. `name` tells it from others of its kind in the same job. */
export type RecordLine = {
  [K in 'bleed' | 'topUp' | 'change' | 'done' | 'look' | 'test']: {
    readonly kind: K;
    readonly name: string;
    readonly happenedAt: string;
    readonly body: EntryBodies[K];
  };
}['bleed' | 'topUp' | 'change' | 'done' | 'look' | 'test'];

/** What a job moved in and out of one sump. mL; null where it was not measured. */
interface SumpWork {
  /** A jar of what came out was filled. */
  jarKept: boolean;
  outMl: number | null;
  filledMl: number | null;
  filledAt: string | null;
  addedMl: number;
  addedAt: string | null;
  takenOffMl: number;
  /** Where it was said: another oil than its own, or nobody knew of one. */
  productId: string | null;
  /** Of the oil store, where one was said. */
  fromContainerId: string | null;
  intoContainerId: string | null;
  /** Fills that were let out again, in their order. */
  flushed: OilFlushed[];
  /** Of the fill that is in it, where it came out again. */
  flushOut: Pick<OilFlushed, 'outMl' | 'intoContainerId'> | null;
}
const nothing = (): SumpWork => ({
  jarKept: false,
  ...{ outMl: null, filledMl: null, filledAt: null },
  ...{ addedMl: 0, addedAt: null, takenOffMl: 0, productId: null },
  ...{ fromContainerId: null, intoContainerId: null, flushed: [], flushOut: null },
});

/** The answer where no jar was filled. */
export const NO_JAR = 'none';

interface Bleed {
  drawnMl: number | null;
  waterMl: number | null;
  at: string | null;
  intoContainerId: string | null;
}

const MAIN: readonly SumpKey[] = ['oil'];

/**
 * What the steps of a job, done or given up, leave in the record: a change of each sump that was filled, with what came out first and
 * the last fill and its corrections; tasks that were done; a bleed with what was filled up; looks in the glass; pressures.
 * @param productOf the oil of a sump, where a fill names no other
 */
export function recordOf(steps: readonly GuideStep[], productOf: (sump: SumpKey) => string | null): RecordLine[] {
  const lines: RecordLine[] = [];
  const work = new Map<SumpKey, SumpWork>();
  const on = (sump: SumpKey): SumpWork => {
    const known = work.get(sump) ?? nothing();
    work.set(sump, known);
    return known;
  };
  const bleed: Bleed = { drawnMl: null, waterMl: null, at: null, intoContainerId: null };
  let level: Level | null = null;
  /** As it stood before anything was done for it. */
  let found: Level | null = null;
  for (const at of steps) {
    const { said, visit } = at;
    const { step } = at.shown;
    if (!said) continue;
    const happenedAt = said.at;
    const name = `${step.id}/${visit}`;
    for (const task of step.does ?? [])
      // A flush of several fills is one.
      if (!lines.some((line) => line.kind === 'done' && line.body.task === task))
        lines.push({ kind: 'done', name: `${name}/${task}`, happenedAt, body: { task } });
    const chosen = chosenAt(at);
    level = chosen?.level ?? level;
    found ??= chosen?.level ?? null;
    if (chosen?.finds)
      lines.push({
        ...{ kind: 'test', name: `${name}/found`, happenedAt },
        body: { findings: [{ ...chosen.finds, certainty: 1 }] },
      });
    if (step.kind === 'look' && step.at === 'glass' && said.choice) {
      const clarity = said.choice as EntryBodies['look']['clarity'];
      lines.push({
        ...{ kind: 'look', name, happenedAt },
        body: { sump: 'oil', source: 'sightGlass', hoursStood: step.hoursStood ?? 0, clarity: clarity ?? null },
      });
    }
    if (step.kind === 'look' && step.at === 'jar' && said.choice !== NO_JAR) on('oil').jarKept = true;
    if (step.kind === 'choose' && step.leakStep && said.choice)
      lines.push({
        ...{ kind: 'test', name, happenedAt },
        body: { leakStep: step.leakStep, passed: said.choice === step.choices[0]?.id, findings: [] },
      });
    if (step.kind !== 'measure' || !step.goes) continue;
    const { value } = said;
    const sumps = step.sumps ?? MAIN;
    const each = value === null ? null : value / sumps.length;
    for (const sump of sumps)
      switch (step.goes) {
        case 'out':
          on(sump).outMl ??= each;
          on(sump).intoContainerId ??= said.containerId ?? null;
          break;
        case 'in':
          letOut(on(sump));
          Object.assign(on(sump), {
            filledMl: each,
            filledAt: happenedAt,
            addedMl: 0,
            takenOffMl: 0,
            productId: said.choice,
            fromContainerId: said.containerId ?? null,
          });
          break;
        case 'added':
          on(sump).addedMl += each ?? 0;
          on(sump).productId ??= said.choice;
          on(sump).fromContainerId ??= said.containerId ?? null;
          on(sump).addedAt = happenedAt;
          break;
        case 'flushed':
          if (each) on(sump).flushed.push({ inMl: each, fromContainerId: said.containerId ?? null });
          break;
        case 'flushOut':
          on(sump).flushOut = { outMl: each, intoContainerId: said.containerId ?? null };
          break;
        case 'takenOff':
          on(sump).takenOffMl += each ?? 0;
          break;
        case 'drawn':
          Object.assign(bleed, { drawnMl: value, at: happenedAt, intoContainerId: said.containerId ?? null });
          break;
        case 'water':
          bleed.waterMl = value;
          break;
        case 'exhaustPa':
        case 'blankOffPa':
          if (value !== null) lines.push({ kind: 'test', name, happenedAt, body: pressure(step.goes, value) });
      }
  }
  if (bleed.at)
    lines.push({
      ...{ kind: 'bleed', name: 'oil', happenedAt: bleed.at },
      body: {
        ...{ sump: 'oil', drawnMl: bleed.drawnMl, waterMl: bleed.waterMl, levelAfter: level },
        ...(bleed.intoContainerId ? { intoContainerId: bleed.intoContainerId } : {}),
      },
    });
  for (const [sump, done] of work) {
    const line = filled(sump, done, done.productId ?? productOf(sump), sump === 'oil' ? level : null);
    if (line) lines.push(line);
  }
  // Whoever looked in the glass has seen its level too.
  const seen = lines.map((line) =>
    line.kind === 'look' && found ? { ...line, body: { ...line.body, level: found } } : line,
  );
  return seen.sort((a, b) => (a.happenedAt < b.happenedAt ? -1 : a.happenedAt > b.happenedAt ? 1 : 0));
}

/** A fill on another was a flush. */
function letOut(work: SumpWork): void {
  const inMl = (work.filledMl ?? 0) + work.addedMl - work.takenOffMl;
  if (work.filledAt && inMl > 0) work.flushed.push({ inMl, fromContainerId: work.fromContainerId, ...work.flushOut });
  work.flushOut = null;
}

/** Parts that were fitted in steps that were answered, each once. */
export function partsUsed(steps: readonly GuideStep[], { service }: Pick<PumpModel, 'service'>): PartUsed[] {
  const places = steps.flatMap(({ shown, said }) => (said ? (shown.step.uses ?? []) : []));
  return [...new Set(places)].map((place) => ({ place, part: service?.[place] ?? null }));
}

function pressure(goes: 'exhaustPa' | 'blankOffPa', pa: number): EntryBodies['test'] {
  const where = goes === 'exhaustPa' ? 'exhaust' : 'pump';
  return { findings: [], measured: [{ pa, where }] };
}

/** A sump that was filled was changed; one that something was only added to was topped up. */
function filled(sump: SumpKey, work: SumpWork, productId: string | null, levelAfter: Level | null): RecordLine | null {
  if (productId === null) return null;
  const { jarKept, outMl, filledMl, filledAt, addedMl, addedAt, takenOffMl, fromContainerId, intoContainerId } = work;
  const flushed = work.flushed.length > 0 ? { flushed: work.flushed } : {};
  const from = fromContainerId ? { fromContainerId } : {};
  const into = intoContainerId ? { intoContainerId } : {};
  const inMl = (filledMl ?? 0) + addedMl - takenOffMl;
  if (filledAt)
    return inMl > 0
      ? {
          kind: 'change',
          name: sump,
          happenedAt: filledAt,
          body: {
            sump,
            productId,
            outMl,
            inMl,
            levelAfter,
            ...(jarKept ? { jarKept } : {}),
            ...from,
            ...into,
            ...flushed,
          },
        }
      : null;
  return addedAt && addedMl > 0
    ? { kind: 'topUp', name: sump, happenedAt: addedAt, body: { sump, productId, addedMl, levelAfter, ...from } }
    : null;
}
