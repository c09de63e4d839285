import { Inject, Injectable } from '@nestjs/common';
import type { EntriesEffect, PumpEffect, RoundRow, SetUpEffect } from '@winter-jar/contracts';
import { initialState, type PumpState, type SetUpVersion } from '@winter-jar/core';
import { CLOCK, isoNow, type Clock } from '../clock/clock.js';
import { ofAnyVersion } from '../database/reading.js';
import type { Actor } from '../journal/actor.js';
import { JournalWriter } from '../journal/journal-writer.js';
import { onTheRound, rowOf } from '../round/round-row.js';
import { SetUpStore } from '../journal/set-up-store.js';

interface Side {
  readonly row: RoundRow | null;
  readonly state: PumpState;
}

/** What a write would change, seen by doing it and taking it back. */
@Injectable()
export class EffectService {
  constructor(
    @Inject(CLOCK) private readonly clock: Clock,
    private readonly store: SetUpStore,
    private readonly writer: JournalWriter,
  ) {}

  ofEntries(actor: Actor, raw: readonly unknown[]): EntriesEffect {
    const named = raw.flatMap(pumpIdsNamed);
    return this.writer.rehearse(
      () => {
        const before = this.sides(this.writer.states(named), named);
        return { before, answers: this.writer.write(actor, raw) };
      },
      ({ before, answers }) => ({ answers, effects: differing(before, this.sides(this.writer.states(named), named)) }),
    );
  }

  ofSetUp(actor: Actor, versions: readonly SetUpVersion[], seenTag: number | null): SetUpEffect {
    return this.writer.rehearse(
      () => {
        const before = this.sides(this.writer.states());
        return { before, issues: this.writer.writeSetUp(actor, versions, seenTag) };
      },
      ({ before, issues }) => ({ issues, effects: differing(before, this.sides(this.writer.states())) }),
    );
  }

  /** Pumps as they stand; one that is not on the Round has no row. */
  private sides(states: ReadonlyMap<string, PumpState>, wanted?: readonly string[]): Map<string, Side> {
    const now = isoNow(this.clock);
    const sides = new Map<string, Side>();
    const unsettledOf = this.writer.unsettledByPump();
    for (const pumpId of Object.keys(this.store.book.at(now).pump)) {
      if (wanted && !wanted.includes(pumpId)) continue;
      const state = states.get(pumpId) ?? initialState(pumpId);
      const setUp = this.store.book.pumpAt({ pumpId, instant: now });
      const stands = setUp !== null && onTheRound(setUp.pump);
      const unsettled = unsettledOf.get(pumpId) ?? 0;
      const row = stands ? ofAnyVersion(pumpId, state, (read) => rowOf({ setUp, state: read, now, unsettled })) : null;
      sides.set(pumpId, { row, state });
    }
    return sides;
  }
}

/** Pumps that an entry, still unchecked, says it is about. */
function pumpIdsNamed(raw: unknown): string[] {
  const { subjects } = (raw ?? {}) as { subjects?: unknown };
  if (!Array.isArray(subjects)) return [];
  return (subjects as { id?: unknown }[]).flatMap((s) => (typeof s?.id === 'string' ? [s.id] : []));
}

function differing(sidesBefore: Map<string, Side>, sidesAfter: Map<string, Side>): PumpEffect[] {
  return [...new Set([...sidesBefore.keys(), ...sidesAfter.keys()])].flatMap((pumpId): PumpEffect[] => {
    const [was, is] = [sidesBefore.get(pumpId), sidesAfter.get(pumpId)];
    if (JSON.stringify([was?.row, was?.state.totals]) === JSON.stringify([is?.row, is?.state.totals])) return [];
    const { totals: before } = was?.state ?? initialState(pumpId);
    const { totals } = is?.state ?? initialState(pumpId);
    return [
      {
        pumpId,
        name: (is?.row ?? was?.row)?.name ?? pumpId,
        before: was?.row ?? null,
        after: is?.row ?? null,
        runsBefore: before.runs,
        runsAfter: totals.runs,
        hoursBefore: before.minutes / 60,
        hoursAfter: totals.minutes / 60,
        weightBefore: before.weightMilli / 1000,
        weightAfter: totals.weightMilli / 1000,
      },
    ];
  });
}
