// Longer than other files: every way in which oil moves, in one account.
import { type Projection, type States, type SubjectRef } from '../fold/index.js';
import {
  containerIdsOf,
  orderKeyOf,
  PHASES,
  pumpIdsOf,
  sumpId,
  type Entry,
  type EntryBodies,
  type Phase,
  type PhaseVolumes,
} from '../journal/index.js';
import type { PumpSetUp, SetUpBook } from '../set-up/index.js';
import {
  firstAccount,
  marksOfBoth,
  NO_MARKS,
  STORE_FOLD_VERSION,
  type AccountState,
  type Marks,
  type MediaState,
} from './account-state.js';
import { Ledger, mostOf, type End, type Move, type OutsideAccount } from './ledger.js';
import { totalUL, type Part } from './part.js';
import { volumeAt20uL, wholeUL } from './volume-at-20.js';

type Of<K extends keyof EntryBodies> = Extract<Entry, { kind: K }>;

const container = (id: string): SubjectRef => ({ type: 'container', id });
/** A place that somebody named, or the end that nobody did. */
const placeOr = (id: string | null | undefined, otherwise: OutsideAccount): End => (id ? container(id) : otherwise);
const aRoundMore = (p: Part): Part => ({ ...p, rounds: p.rounds + 1, passes: 0 });
const aPassMore = (p: Part): Part => (p.phase === 'oil' ? { ...p, passes: p.passes + 1 } : p);

/** mL as they were read, as the store keeps them: oil at 20 °C, the rest as it is. */
const phasesUL = (v: PhaseVolumes, tempC: number | null): Record<Phase, number> => ({
  oil: volumeAt20uL({ ml: v.oilMl, tempC }),
  water: wholeUL(v.waterMl ?? 0),
  cream: wholeUL(v.creamMl ?? 0),
  sludge: wholeUL(v.sludgeMl ?? 0),
});

/** Containers and sumps: what is poured from one into another ties them. */
export const storeProjection: Projection<AccountState> = {
  types: ['container', 'sump'],
  version: STORE_FOLD_VERSION,
  together: true,
  first: firstAccount,
  step: (states, entry, book) => bookEntry(states, entry, book).states,
  periodEndedBy: () => null,
};

/**
 * Books an entry onto the accounts that it names.
 * @returns their states after it, and each movement that it was
 * @throws RangeError when its pump is not in the set-up
 */
export function bookEntry(
  states: States<AccountState>,
  entry: Entry,
  book: SetUpBook,
): { states: Map<string, AccountState>; moves: readonly Move[] } {
  const ledger = new Ledger(states, entry);
  bookOn(ledger, entry, book);
  for (const key of states.keys()) {
    const state = ledger.states.get(key);
    if (state) ledger.states.set(key, { ...state, entries: state.entries + 1, last: orderKeyOf(entry) });
  }
  return { states: ledger.states, moves: ledger.moves };
}

function bookOn(ledger: Ledger, entry: Entry, book: SetUpBook): void {
  switch (entry.kind) {
    case 'transfer':
      return transfer(ledger, entry);
    case 'stocktake':
      return stocktake(ledger, entry);
    case 'opened':
      for (const id of containerIdsOf(entry)) ledger.set(container(id), { openedAt: entry.happenedAt });
      return;
    case 'mediaChange':
      return mediaChange(ledger, entry);
    case 'look':
      return look(ledger, entry);
    case 'change':
    case 'topUp':
    case 'bleed':
    case 'labSample': {
      const [pumpId = ''] = pumpIdsOf(entry);
      const pump = book.pumpAt({ pumpId, instant: entry.happenedAt });
      if (!pump) throw new RangeError(`subjects: pump ${pumpId} is not in the set-up`);
      return ofPump(ledger, entry, pump);
    }
    default:
      return;
  }
}

/** From a container: out of a filter it has passed once more. */
function leave(ledger: Ledger, input: Parameters<Ledger['move']>[0] & { from: End }): void {
  const { from } = input;
  const media = typeof from === 'string' ? null : ledger.of(from).media;
  if (!media || typeof from === 'string') return ledger.move(input);
  ledger.move({ ...input, becomes: aPassMore });
  if (input.phase === 'oil') ledger.set(from, { media: { ...media, passedUL: media.passedUL + input.uL } });
}

function transfer(ledger: Ledger, entry: Of<'transfer'>): void {
  const { fromId, toId, outside, tempC = null, estimated, productId, throughHours } = entry.body;
  const end = outside ?? 'notSaid';
  const [from, to] = [placeOr(fromId, end), placeOr(toId, end)];
  const uL = phasesUL(entry.body, tempC);
  if (typeof from !== 'string' && throughHours) timePass(ledger, from, throughHours);
  const before = typeof to === 'string' ? null : ledger.of(to);
  for (const phase of PHASES)
    leave(ledger, {
      from,
      to,
      phase,
      uL: uL[phase],
      lot: end === 'bought' ? entry.id : null,
      productId: productId ?? null,
      estimated: estimated ?? false,
    });
  if (typeof to === 'string' || !before?.media) return;
  const { held, sludgeUL } = before.media;
  const running = totalUL(before.parts, 'oil') > 0 ? before.media.pass : null;
  const pass = running ?? { pouredUL: 0, heldUL: totalUL(held), sludgeUL };
  ledger.soak(to);
  setMedia(ledger, to, { pass: { ...pass, pouredUL: pass.pouredUL + uL.oil } });
}

const setMedia = (ledger: Ledger, filter: SubjectRef, change: Partial<MediaState>): void => {
  const { media } = ledger.of(filter);
  if (media) ledger.set(filter, { media: { ...media, ...change } });
};

/** Passes that tell how fast a filter is. */
const PASSES_KEPT = 5;

function timePass(ledger: Ledger, filter: SubjectRef, hours: number): void {
  const { media, parts } = ledger.of(filter);
  if (!media?.pass) return;
  const timed = [...media.timed, { ...media.pass, hours, productId: mostOf(parts) }].slice(-PASSES_KEPT);
  setMedia(ledger, filter, { pass: null, timed });
}

/** The book follows what was measured; the difference has a name. */
function assert(
  ledger: Ledger,
  at: SubjectRef,
  uL: Readonly<Record<Phase, number>>,
  other: Readonly<Record<Phase, OutsideAccount>>,
): void {
  const state = ledger.of(at);
  const { openedAt, heldSince, filledAt } = state;
  for (const phase of PHASES) {
    const more = uL[phase] - totalUL(ledger.of(at).parts, phase);
    if (more > 0) {
      const productId = mostOf(state.parts);
      ledger.move({ from: other[phase], to: at, phase, uL: more, productId: phase === 'water' ? null : productId });
    } else ledger.move({ from: at, to: other[phase], phase, uL: -more });
  }
  // It was measured, not filled: its times are those of before.
  const holds = ledger.of(at).parts.length > 0;
  ledger.set(at, { estimated: false, shortUL: 0, ...(holds && heldSince ? { openedAt, heldSince, filledAt } : {}) });
}

function stocktake(ledger: Ledger, entry: Of<'stocktake'>): void {
  const [id] = containerIdsOf(entry);
  if (id === undefined) return;
  const { hazyMl, clarity = null, colour = null, smell, particleKinds, tempC = null } = entry.body;
  const uL = phasesUL(entry.body, tempC);
  const at = container(id);
  assert(ledger, at, uL, { oil: 'stocktake', water: 'stocktake', cream: 'stocktake', sludge: 'stocktake' });
  seen(ledger, at, entry, { hazyUL: volumeAt20uL({ ml: hazyMl ?? 0, tempC }), clarity, colour, smell, particleKinds });
}

/** A jar that stood: what lies in it as water or sludge came with the load, and is no oil of ours. */
function look(ledger: Ledger, entry: Of<'look'>): void {
  const [id] = containerIdsOf(entry);
  const { lookedAtMl, sludgeMl, freeWaterMl, creamMl, hazyMl, jarTempC = null } = entry.body;
  if (id === undefined || !lookedAtMl) return;
  const rest = lookedAtMl - (sludgeMl ?? 0) - (freeWaterMl ?? 0) - (creamMl ?? 0);
  const volumes = { oilMl: Math.max(0, rest), waterMl: freeWaterMl, creamMl, sludgeMl };
  const at = container(id);
  assert(ledger, at, phasesUL(volumes, jarTempC), {
    oil: 'reading',
    water: 'process',
    cream: 'process',
    sludge: 'process',
  });
  const { clarity = null, colour = null, smell, particleKinds } = entry.body;
  seen(ledger, at, entry, {
    hazyUL: volumeAt20uL({ ml: hazyMl ?? 0, tempC: jarTempC }),
    clarity,
    colour,
    smell,
    particleKinds,
  });
}

function seen(
  ledger: Ledger,
  at: SubjectRef,
  entry: Entry,
  found: {
    hazyUL: number;
    clarity: NonNullable<AccountState['reading']>['clarity'];
    colour: number | null;
    smell?: Of<'look'>['body']['smell'];
    particleKinds?: Of<'look'>['body']['particleKinds'];
  },
): void {
  const { marks } = ledger.of(at);
  const { hazyUL, clarity, colour, smell, particleKinds } = found;
  const more: Marks = {
    ...NO_MARKS,
    smells: smell && smell !== 'none' ? [smell] : [],
    particleKinds: particleKinds ?? [],
  };
  ledger.set(at, {
    marks: marksOfBoth(marks, more),
    reading: { entryId: entry.id, at: entry.happenedAt, hazyUL, clarity, colour },
  });
}

function ofPump(ledger: Ledger, entry: Of<'change' | 'topUp' | 'bleed' | 'labSample'>, pump: PumpSetUp): void {
  const sump: SubjectRef = { type: 'sump', id: sumpId(pump.pumpId, entry.body.sump) };
  if (entry.kind === 'topUp') {
    const { addedMl, fromContainerId, productId } = entry.body;
    const from = placeOr(fromContainerId, 'notSaid');
    return leave(ledger, { from, to: sump, phase: 'oil', uL: wholeUL(addedMl), productId });
  }
  const held = ledger.of(sump);
  const stay: Marks = {
    ...NO_MARKS,
    services: pump.service.toSorted(),
    stays: [{ pumpId: pump.pumpId, from: held.heldSince, until: entry.happenedAt, outId: entry.id, by: entry.kind }],
  };
  const productId = mostOf(held.parts) ?? pump.pump.oilProductId ?? null;
  if (entry.kind === 'labSample')
    return ledger.move({ from: sump, to: 'sample', phase: 'oil', uL: wholeUL(entry.body.drawnMl), productId });
  if (entry.kind === 'bleed') {
    const { drawnMl, waterMl, intoContainerId } = entry.body;
    const to = placeOr(intoContainerId, 'notSaid');
    const water = wholeUL(waterMl ?? 0);
    ledger.move({ from: 'process', to, phase: 'water', uL: water, marks: stay });
    const oil = Math.max(0, wholeUL(drawnMl ?? 0) - water);
    return ledger.move({ from: sump, to, phase: 'oil', uL: oil, productId, becomes: aRoundMore, marks: stay });
  }
  change(ledger, entry, { pump, sump, stay, oldProductId: productId });
}

/** Out as it was measured, the hold-up stays, what else was in it has left with the exhaust; then the fill. */
function change(
  ledger: Ledger,
  entry: Of<'change'>,
  at: { pump: PumpSetUp; sump: SubjectRef; stay: Marks; oldProductId: string | null },
): void {
  const { outMl = null, outTempC = null, inMl, fromContainerId, intoContainerId, productId, flushed } = entry.body;
  const { sump, stay, oldProductId } = at;
  const own = at.pump.model.sumps.find((s) => s.key === entry.body.sump);
  const holdUpUL = wholeUL(own?.holdUpMl ?? 0);
  const into = placeOr(intoContainerId, 'notSaid');
  const inIt = totalUL(ledger.of(sump).parts);
  // Nobody measured it, and nobody knows what was in it: a jar that is named got about what a drain gives.
  const usual = intoContainerId ? Math.max(0, wholeUL(own?.chargeMl ?? 0) - holdUpUL) : 0;
  const guessed = inIt > 0 ? Math.max(0, inIt - holdUpUL) : usual;
  const outUL = outMl === null ? guessed : volumeAt20uL({ ml: outMl, tempC: outTempC });
  const drained = { from: sump, productId: oldProductId, becomes: aRoundMore, marks: stay, estimated: outMl === null };
  const before = ledger.of(sump);
  ledger.move({ ...drained, to: into, phase: 'oil', uL: outUL });
  const left = ledger.of(sump);
  const lost = totalUL(left.parts) - holdUpUL;
  if (lost > 0) ledger.move({ from: sump, to: 'exhaust', phase: 'oil', uL: lost });
  // What stays behind was there during the stay too; the shortage of an unknown past is none.
  ledger.set(sump, {
    marks: totalUL(ledger.of(sump).parts) > 0 ? lastOf(marksOfBoth(left.marks, stay)) : NO_MARKS,
    shortUL: before.shortUL,
    heldSince: entry.happenedAt,
  });
  for (const fill of flushed ?? []) {
    fillFrom(fill.fromContainerId, fill.inMl);
    const all = totalUL(ledger.of(sump).parts);
    ledger.move({
      from: sump,
      to: placeOr(fill.intoContainerId, 'notSaid'),
      phase: 'oil',
      uL: fill.outMl == null ? Math.max(0, all - holdUpUL) : wholeUL(fill.outMl),
      becomes: aRoundMore,
      estimated: fill.outMl == null,
    });
    // What a drain leaves is what stays; the rest left by the exhaust while it ran.
    const over = totalUL(ledger.of(sump).parts) - holdUpUL;
    if (over > 0) ledger.move({ from: sump, to: 'exhaust', phase: 'oil', uL: over });
  }
  fillFrom(fromContainerId, inMl);
  ledger.set(sump, { heldSince: entry.happenedAt, shortUL: before.shortUL });

  function fillFrom(id: string | null | undefined, ml: number): void {
    leave(ledger, { from: placeOr(id, 'notSaid'), to: sump, phase: 'oil', uL: wholeUL(ml), productId });
  }
}

/** Of a hold-up that stays from charge to charge: what is left of older ones is less than a tenth of a tenth of a tenth. */
const STAYS_LEFT = 3;
const lastOf = (marks: Marks): Marks => ({ ...marks, stays: marks.stays.slice(-STAYS_LEFT) });

function mediaChange(ledger: Ledger, entry: Of<'mediaChange'>): void {
  const { mediaId, holdUpMl, recoveredMl, recoveredIntoId } = entry.body;
  const filter = entry.subjects.find((s) => s.type === 'container');
  if (!filter) return;
  const old = ledger.of(filter).media;
  // Wrung out first, the rest goes with the paper.
  ledger.wring(filter, wholeUL(recoveredMl ?? 0), placeOr(recoveredIntoId, 'notSaid'));
  ledger.set(filter, {
    media: mediaId
      ? {
          mediaId,
          since: entry.happenedAt,
          holdUpUL: wholeUL(holdUpMl),
          held: [],
          passedUL: 0,
          sludgeUL: 0,
          waterUL: 0,
          pass: null,
          timed: old?.mediaId === mediaId ? old.timed : [],
        }
      : null,
  });
}
