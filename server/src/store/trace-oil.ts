import type { TraceAnswer, TracedStay } from '@winter-jar/contracts';
import {
  bookEntry,
  firstAccount,
  storeProjection,
  subjectKey,
  subjectsIn,
  totalUL,
  traceBack,
  traceOn,
  type AccountState,
  type Entry,
  type Move,
  type SetUpBook,
} from '@winter-jar/core';
import type { ReadingStatements } from '../database/statements.js';
import { SetUpStore } from '../journal/set-up-store.js';
import type { Job, JobTools } from '../work/job.js';
import { spanOf } from '../journal/reuse-facts.js';

/** Where the oil of a container came from, and where what it came from went besides. */
export const TRACE_JOB: Job<{ readonly containerId: string }, TraceAnswer> = {
  name: 'trace',
  lane: 'screen',
  run: traceOf,
};

/** All movements of the house, booked once in the order of the journal. */
export function allMoves(
  sql: Pick<ReadingStatements, 'storeEntries'>,
  book: SetUpBook,
): { moves: Move[]; states: ReadonlyMap<string, AccountState>; entries: Entry[] } {
  const entries: Entry[] = [];
  const states = new Map<string, AccountState>();
  const moves: Move[] = [];
  for (const { content } of sql.storeEntries.iterate()) {
    const entry = JSON.parse(content) as Entry;
    entries.push(entry);
    const named = new Map(
      subjectsIn(storeProjection, entry).map((subject): [string, AccountState] => {
        const key = subjectKey(subject);
        return [key, states.get(key) ?? firstAccount(subject)];
      }),
    );
    const booked = bookEntry(named, entry, book);
    for (const [key, state] of booked.states) states.set(key, state);
    for (const move of booked.moves) moves.push(move);
  }
  return { moves, states, entries };
}

function traceOf({ sql }: JobTools, { containerId }: { readonly containerId: string }): TraceAnswer {
  const store = new SetUpStore();
  store.reload(sql);
  const { moves, states } = allMoves(sql, store.book);
  const place = subjectKey({ type: 'container', id: containerId });
  const state = states.get(place);
  const held: Record<string, number> = {};
  for (const { phase } of state?.parts ?? []) held[phase] = totalUL(state?.parts ?? [], phase);
  const back = traceBack({ moves, place, held });
  // Every lot that is in it, followed on: where else it is today.
  const lots = [...new Set((state?.parts ?? []).flatMap(({ lot }) => lot ?? []))];
  const on = lots.map((lot) => traceOn({ moves, start: { lot } }));
  const ends = new Map<string, number>();
  for (const end of on.flatMap((t) => t.ends)) ends.set(end.place, (ends.get(end.place) ?? 0) + end.uL);
  return {
    place,
    back,
    stays: staysOf(sql, state, back.moves),
    on: {
      moves: on.flatMap((t) => t.moves),
      ends: [...ends]
        .map(([at, uL]) => ({ place: at, uL }))
        .sort((a, b) => b.uL - a.uL || (a.place < b.place ? -1 : 1)),
    },
  };
}

/** Each time in a pump, with how much of the traced oil came out of it then, and what ran. */
function staysOf(
  sql: Pick<ReadingStatements, 'materialsBetween' | 'changeBefore'>,
  state: AccountState | undefined,
  moves: TraceAnswer['back']['moves'],
): TracedStay[] {
  return (state?.marks.stays ?? []).map((stay): TracedStay => {
    const ran = sql.materialsBetween.all(spanOf(sql, stay));
    const out = moves.filter((m) => m.at === stay.until && m.from.startsWith(`sump:${stay.pumpId}/`));
    return {
      ...stay,
      uL: out.reduce((sum, m) => sum + m.uL, 0),
      runs: ran.reduce((sum, r) => sum + r.runs, 0),
      materialIds: ran.flatMap(({ materialId }) => materialId ?? []).sort(),
    };
  });
}
