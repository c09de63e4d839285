import { bodyOfNoKind, checkEntry, type Checked, type FieldIssue } from '@winter-jar/contracts';
import { effectiveEntry, type Correction, type Entry, type JournalEntry } from '@winter-jar/core';
import type { Clock } from '../clock/clock.js';
import type { WritingStatements } from '../database/statements.js';
import { hasFile } from '../files/kept-files.js';
import { caseIssues } from './case-rules.js';
import { citedLog, citedPhoto } from './cited-files.js';
import { sampleIssues, setUpIssues } from './entry-rules.js';
import { jobIssues } from './job-rules.js';
import type { SetUpStore } from './set-up-store.js';

const parse = <T>(text: string): T => JSON.parse(text) as T;

/** What has to be true of an entry before it counts. */
export class EntryChecks {
  constructor(
    private readonly folder: string,
    private readonly sql: WritingStatements,
    private readonly store: SetUpStore,
    private readonly clock: Clock,
  ) {}

  /** Shape and times, and that a file which is cited was kept before. */
  ofSent(sent: unknown): Checked<JournalEntry> {
    const checked = checkEntry(sent, this.clock.nowMs());
    if (!checked.ok) return checked;
    const missing = (field: string, value: string, what: string): Checked<JournalEntry> => ({
      ok: false,
      issues: [{ field, value, code: 'unknownId', right: `${what} that was kept here before` }],
    });
    const photoId = citedPhoto(checked.value);
    if (photoId !== null && !hasFile(this.folder, 'photo', photoId))
      return missing('body.photoId', photoId, 'a photograph');
    const logId = citedLog(checked.value);
    if (logId !== null && !hasFile(this.folder, 'gaugeLog', logId))
      return missing('body.log.logId', logId, 'a gauge log');
    return checked;
  }

  /** What a correction names; null while it is not here. */
  originalOf(correction: Correction): { readonly entry: JournalEntry; readonly seq: number } | null {
    const row = this.sql.entryById.get(correction.body.targetId);
    return row ? { entry: parse<JournalEntry>(row.content), seq: row.seq } : null;
  }

  /** An entry among the records that it names. */
  ofEntry(sent: Entry): FieldIssue[] {
    const entry = effectiveEntry(sent, []) ?? sent;
    const issues = [
      ...setUpIssues(entry, this.store.book),
      ...sampleIssues(entry, this.sql),
      ...caseIssues(entry, this.sql),
    ];
    return issues.length > 0 ? issues : jobIssues(entry, this.sql);
  }

  /** All that can be known of a correction while its entry is not here: that its body is one of some kind. */
  ofEarly({ body }: Correction): readonly FieldIssue[] {
    return body.action === 'replace' && body.body ? bodyOfNoKind(body.body) : [];
  }

  /** A correction of an entry that is here. @param together what is said with it: a deed is taken back whole */
  ofCorrection(correction: Correction, original: JournalEntry, together: readonly JournalEntry[]): FieldIssue[] {
    const { targetId, action } = correction.body;
    if (original.kind === 'correction') {
      const right = 'the id of the original entry, not of a correction';
      return [{ field: 'body.targetId', value: targetId, code: 'namesACorrection', right }];
    }
    if (action === 'void') {
      // A step of a job is taken back by itself, and answered again.
      if (original.kind === 'jobStep') return [];
      const voided = together.flatMap((e) =>
        e.kind === 'correction' && e.body.action === 'void' ? [e.body.targetId] : [],
      );
      const rest = this.sql.actMembers.all(original.actId).filter((m) => !voided.includes(m.id));
      if (rest.length === 0) return [];
      const right = `the other entries of this deed undone with it: ${rest.map((r) => r.id).join(', ')}`;
      return [{ field: 'body.targetId', value: targetId, code: 'restOfAct', right }];
    }
    const corrected = effectiveEntry(original, [correction]);
    if (!corrected) return [];
    const checked = checkEntry(corrected, this.clock.nowMs());
    const issues = checked.ok ? this.ofEntry(corrected) : checked.issues;
    return issues.map((i) => ({ ...i, field: `body.${i.field}` }));
  }

  /** Only what does not count is set aside; what counts is corrected. */
  ofSetAside({ body }: Correction): FieldIssue[] {
    const saw = body.saw ?? [];
    const wrong = saw.findIndex((id) => {
      const row = this.sql.entryById.get(id);
      return row !== undefined && (row.targetId !== body.targetId || row.unsettled === null);
    });
    const right = 'corrections of this entry that do not count';
    return wrong < 0 ? [] : [{ field: `body.saw.${wrong}`, value: saw[wrong], code: 'counts', right }];
  }
}
