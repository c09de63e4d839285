import type { FieldIssue, PumpEffect } from '@winter-jar/contracts';
import {
  FOLD_VERSION,
  pumpProjection,
  refold,
  subjectKey,
  type Entry,
  type OrderKey,
  type PumpState,
  type SetUpVersion,
} from '@winter-jar/core';
import { pumpStateIn } from '../database/pump-state-in.js';
import type { ReadingStatements } from '../database/statements.js';
import { bearingOf, freshIn } from '../journal/set-up-bearing.js';
import { SetUpStore } from '../journal/set-up-store.js';
import type { Job, JobTools } from '../work/job.js';
import { differing, sideOf } from './differing.js';

interface Asked {
  readonly versions: readonly SetUpVersion[];
  readonly now: string;
}

const subjectOf = (pumpId: string) => ({ subjectType: 'pump', subjectId: pumpId });
const after = (pumpId: string, { happenedAt, recordedAt, id }: OrderKey) => ({
  ...subjectOf(pumpId),
  happenedAt,
  recordedAt,
  entryId: id,
});

/** A pump's state as it would be folded with another set-up, from the last state before a key that still holds. */
function foldedAnew(sql: ReadingStatements, store: SetUpStore, pumpId: string, key: OrderKey): PumpState {
  const subject = { type: 'pump', id: pumpId } as const;
  const kept = sql.checkpointBefore.get(after(pumpId, key));
  const read = kept ? (JSON.parse(kept.state) as PumpState) : null;
  const from = read?.foldVersion === FOLD_VERSION ? read : pumpProjection.first(subject);
  function* entries(): Generator<Entry> {
    const last = from.last ?? { happenedAt: '', recordedAt: '', id: '' };
    for (const { content } of sql.countedFrom.iterate(after(pumpId, last))) yield JSON.parse(content) as Entry;
  }
  const { states } = refold({
    projection: pumpProjection,
    from: new Map([[subjectKey(subject), from]]),
    entries: entries(),
    book: store.book,
  });
  return states.get(subjectKey(subject)) ?? from;
}

/** The clock of the device that changes something may be ahead of this one: its change is looked at when it counts. */
const whenInForce = (versions: readonly SetUpVersion[], now: string): string =>
  versions.reduce((latest, { validFrom }) => (validFrom > latest ? validFrom : latest), now);

/** Looks at pump after pump, on one state of the data, and says of each what it finds. */
function effectOf(
  { db, sql, progress }: JobTools<PumpEffect>,
  { versions, now }: Asked,
): { issues: readonly FieldIssue[]; effects: readonly PumpEffect[] } {
  return db.transaction(() => {
    const present = new SetUpStore();
    present.reload(sql);
    const { fresh, issues } = freshIn(present, versions, null);
    const store = present.with(fresh);
    const wrong = [...issues, ...store.brokenReferences()];
    if (wrong.length > 0) return { issues: wrong, effects: [] };
    const { touched } = bearingOf(sql, store, fresh);
    const keys = new Map(touched.ofTypes(['pump']).map(({ subject, key }) => [subject.id, key]));
    const unsettledOf = new Map(sql.unsettledByPump.all().map(({ pumpId, n }) => [pumpId, n]));
    const at = whenInForce(versions, now);
    const [wasThere, isThere] = [present.book.at(at).pump, store.book.at(at).pump];
    const pumpIds = Object.keys({ ...wasThere, ...isThere });
    const effects = pumpIds.flatMap((pumpId, i) => {
      const stored = pumpStateIn(pumpId, sql.subjectState.get(subjectOf(pumpId)));
      const key = keys.get(pumpId);
      const state = key ? foldedAnew(sql, store, pumpId, key) : stored;
      const about = { pumpId, unsettled: unsettledOf.get(pumpId) ?? 0, now: at };
      const was = wasThere[pumpId] && sideOf(present, { ...about, state: stored });
      const is = isThere[pumpId] && sideOf(store, { ...about, state });
      const effect = differing(pumpId, was, is);
      progress((i + 1) / pumpIds.length, effect ?? undefined);
      return effect ?? [];
    });
    return { issues: [], effects };
  })();
}

/** What versions of the set-up would change, without writing them. */
export const SET_UP_EFFECT_JOB: Job<Asked, ReturnType<typeof effectOf>, PumpEffect> = {
  name: 'effect of a set-up',
  lane: 'screen',
  run: effectOf,
};
