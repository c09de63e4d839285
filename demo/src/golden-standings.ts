import { createHash } from 'node:crypto';
import {
  FOLD_VERSION,
  initialState,
  setUpBook,
  standingAt,
  step,
  type Entry,
  type PumpState,
  type SetUpVersion,
  type Standing,
} from '@winter-jar/core';

/** What one pump's entries come to, short enough to be kept and exact enough to show any difference. */
export interface GoldenPump {
  /** Of its present state and of those on the way to it. */
  readonly states: string;
  readonly verdict: string;
  /** Each reason of the verdict with its level and act. */
  readonly reasons: readonly string[];
  /** Each task with its status and the day on which it is expected. */
  readonly tasks: readonly string[];
}

export interface GoldenYard {
  readonly foldVersion: number;
  readonly pumps: Readonly<Record<string, GoldenPump>>;
}

/** States on the way that are kept: every so many entries. */
const EVERY = 7;
/** The version is told beside the states, not in them. */
const textOf = ({ foldVersion: _, ...state }: PumpState): string => JSON.stringify(state);

/** The standings of a yard at a moment, pump by pump, from its entries in the journal's order. */
export function goldenStandings(input: {
  versions: readonly SetUpVersion[];
  pumpIds: readonly string[];
  entriesOf: (pumpId: string) => readonly Entry[];
  now: string;
}): GoldenYard {
  const book = setUpBook(input.versions);
  const pumps = input.pumpIds.map((pumpId): [string, GoldenPump] => {
    const states = createHash('sha256');
    let state = initialState(pumpId);
    for (const entry of input.entriesOf(pumpId)) {
      const setUp = book.pumpAt({ pumpId, instant: entry.happenedAt });
      if (!setUp) throw new RangeError(`${pumpId} is not in the set-up`);
      state = step(state, entry, setUp);
      if (state.entries % EVERY === 0) states.update(textOf(state));
    }
    const setUp = book.pumpAt({ pumpId, instant: input.now });
    if (!setUp) throw new RangeError(`${pumpId} is not in the set-up`);
    const standing = standingAt({ state, setUp, now: input.now });
    return [pumpId, { states: states.update(textOf(state)).digest('hex').slice(0, 16), ...wordsOf(standing) }];
  });
  return { foldVersion: FOLD_VERSION, pumps: Object.fromEntries(pumps) };
}

function wordsOf(standing: Standing): Pick<GoldenPump, 'verdict' | 'reasons' | 'tasks'> {
  return {
    verdict: [standing.verdict, standing.act].filter(Boolean).join(': '),
    reasons: standing.reasons.map((r) => `${r.code} ${r.level} ${r.act}`),
    tasks: standing.tasks.map((t) =>
      `${t.task} ${t.status} ${t.decides?.measure ?? ''} ${t.forecast ? t.forecast.p50Days.toFixed(2) : ''}`.trimEnd(),
    ),
  };
}
