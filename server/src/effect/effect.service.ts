import { Inject, Injectable } from '@nestjs/common';
import type { EntriesEffect } from '@winter-jar/contracts';
import { houseSeen, initialState } from '@winter-jar/core';
import { CLOCK, isoNow, type Clock } from '../clock/clock.js';
import { sightOf, type Actor } from '../journal/actor.js';
import { JournalWriter } from '../journal/journal-writer.js';
import { SetUpStore } from '../journal/set-up-store.js';
import { differing, sideOf, type Side } from './differing.js';

/** What entries would change, seen by writing them and taking it back. */
@Injectable()
export class EffectService {
  constructor(
    @Inject(CLOCK) private readonly clock: Clock,
    private readonly store: SetUpStore,
    private readonly writer: JournalWriter,
  ) {}

  ofEntries(actor: Actor, raw: readonly unknown[]): EntriesEffect {
    const house = houseSeen(sightOf(actor), this.store.book.at(isoNow(this.clock)));
    const named = [...new Set(raw.flatMap(pumpIdsNamed))].filter((id) => house.pump[id]);
    return this.writer.rehearse(
      () => ({ before: this.sides(named), answers: this.writer.write(actor, raw) }),
      ({ before, answers }) => {
        const after = this.sides(named);
        const effects = named.flatMap((id) => differing(id, before.get(id), after.get(id)) ?? []);
        return { answers, effects };
      },
    );
  }

  private sides(pumpIds: readonly string[]): Map<string, Side> {
    const now = isoNow(this.clock);
    const states = this.writer.states(pumpIds);
    const unsettledOf = this.writer.unsettledByPump();
    return new Map(
      pumpIds.map((pumpId) => {
        const state = states.get(pumpId) ?? initialState(pumpId);
        return [pumpId, sideOf(this.store, { pumpId, state, unsettled: unsettledOf.get(pumpId) ?? 0, now })];
      }),
    );
  }
}

/** Pumps that an entry, still unchecked, says it is about. */
function pumpIdsNamed(raw: unknown): string[] {
  const { subjects } = (raw ?? {}) as { subjects?: unknown };
  if (!Array.isArray(subjects)) return [];
  return (subjects as { id?: unknown }[]).flatMap((s) => (typeof s?.id === 'string' ? [s.id] : []));
}
