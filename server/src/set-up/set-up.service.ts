import { Inject, Injectable, NotFoundException } from '@nestjs/common';
import {
  checkRecord,
  checkShape,
  SetUpVersionDto,
  type FieldIssue,
  type RecordHistory,
  type SetUpAnswer,
} from '@winter-jar/contracts';
import { SET_UP_KINDS, type SetUpKind, type SetUpVersion } from '@winter-jar/core';
import { CLOCK, isoNow, type Clock } from '../clock/clock.js';
import { JournalWriter } from '../journal/journal-writer.js';
import { SetUpStore } from '../journal/set-up-store.js';

/** Device clocks may be ahead by so much. */
const TOLERANCE_MS = 10 * 60_000;

@Injectable()
export class SetUpService {
  constructor(
    @Inject(CLOCK) private readonly clock: Clock,
    private readonly store: SetUpStore,
    private readonly writer: JournalWriter,
  ) {}

  inForce(): SetUpAnswer {
    const at = isoNow(this.clock);
    return { at, tag: String(this.store.tag), house: this.store.book.at(at) };
  }

  history(kind: string, subjectId: string): RecordHistory {
    const known = SET_UP_KINDS.find((k) => k === kind);
    const record = { kind: known as SetUpKind, subjectId };
    const inForce = known && this.store.inForce(record, isoNow(this.clock));
    if (!inForce) throw new NotFoundException(`a record of the set-up; there is no ${kind} "${subjectId}"`);
    const versions = this.store
      .versionsOf(record)
      .sort((a, b) => (`${a.validFrom} ${a.recordedAt} ${a.id}` < `${b.validFrom} ${b.recordedAt} ${b.id}` ? -1 : 1));
    return { ...record, versions, inForceId: inForce.id, usedByPumps: this.writer.pumpsTouchedBy(record) };
  }

  /** Versions whose shape and times are right, or all that is wrong with them. */
  check(sent: readonly unknown[]): { versions: SetUpVersion[]; issues: FieldIssue[] } {
    const issues: FieldIssue[] = [];
    const latest = new Date(this.clock.nowMs() + TOLERANCE_MS).toISOString();
    sent.forEach((version, i) => {
      const shape = checkShape(SetUpVersionDto, version, `versions.${i}`);
      if (!shape.ok) return issues.push(...shape.issues);
      for (const field of ['validFrom', 'recordedAt'] as const) {
        const value = shape.value[field];
        const right = 'a time that has passed: is this device’s clock right?';
        if (value > latest) issues.push({ field: `versions.${i}.${field}`, value, code: 'inTheFuture', right });
      }
      const { overhauledAt = null } = shape.value.body as { overhauledAt?: string | null };
      if (shape.value.kind === 'pump' && overhauledAt !== null && overhauledAt > latest) {
        const field = `versions.${i}.body.overhauledAt`;
        issues.push({ field, value: overhauledAt, code: 'inTheFuture', right: 'a day that has passed' });
      }
      const record = checkRecord(shape.value.kind, shape.value.body, `versions.${i}.body`);
      return record.ok ? 0 : issues.push(...record.issues);
    });
    return { versions: issues.length > 0 ? [] : (sent as SetUpVersion[]), issues };
  }
}
