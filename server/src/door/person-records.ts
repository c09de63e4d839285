import { Inject, Injectable } from '@nestjs/common';
import { v7 as newId } from 'uuid';
import { CLOCK, isoNow, type Clock } from '../clock/clock.js';
import { SERVER } from '../journal/actor.js';
import { JournalWriter } from '../journal/journal-writer.js';
import { SetUpStore } from '../journal/set-up-store.js';
import { foldedName } from '../people/accounts.js';

/** People as the set-up knows them: entries bear their ids, whether they can sign in or not. */
@Injectable()
export class PersonRecords {
  constructor(
    @Inject(CLOCK) private readonly clock: Clock,
    @Inject(SetUpStore) private readonly store: SetUpStore,
    @Inject(JournalWriter) private readonly writer: JournalWriter,
  ) {}

  /** Names by id. */
  get all(): ReadonlyMap<string, string> {
    return new Map(Object.entries(this.store.book.at(isoNow(this.clock)).person).map(([id, { name }]) => [id, name]));
  }

  named(name: string): string | null {
    return [...this.all].find(([, other]) => foldedName(other) === foldedName(name))?.[0] ?? null;
  }

  /** @param subjectId of one that the set-up does not know any more, as after a restore of older data */
  add(name: string, subjectId: string = newId()): string {
    const now = isoNow(this.clock);
    const version = { id: newId(), kind: 'person', subjectId, validFrom: now, recordedAt: now } as const;
    const [issue] = this.writer.writeSetUp(SERVER, [{ ...version, body: { name } }]);
    if (issue) throw new Error(`a person could not be added: ${issue.right}`);
    return subjectId;
  }
}
