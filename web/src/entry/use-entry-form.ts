import { checkEntry, type FieldIssue, type PumpPage, type Question } from '@winter-jar/contracts';
import type { Entry, EntryKind, JournalEntry, Subject } from '@winter-jar/core';
import { useRef, useState } from 'react';
import type { FieldValues } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { v7 as newId } from 'uuid';
import { useEntryQuery } from '../api/yard-api.js';
import { useAppDispatch } from '../device/store.js';
import { useKept } from '../device/use-kept.js';
import { toastsSlice, type Undoable } from '../device/toasts-slice.js';
import { useDraftedForm, type DraftedForm } from '../forms/use-drafted-form.js';
import type { Said } from './entry-said.js';
import { isStillRunning } from './still-running.js';
import { issueWords } from '../words/issue-words.js';
import { useEnvelope } from './use-envelope.js';
import { correctionOf } from './use-undo.js';
import { useWriteEntries } from './use-write-entries.js';
import type { WriteResult } from './write-result.js';

export interface EntryFormSpec<K extends EntryKind, V extends FieldValues> {
  readonly kind: K;
  readonly page: PumpPage;
  readonly defaults: V;
  /** Form field of each body field, where the names differ. */
  readonly fieldOf?: Readonly<Record<string, string>>;
  readonly read: (values: V) => Said<K>;
  /** Fills the fields from an entry, for a correction. */
  readonly fill: (entry: Extract<Entry, { kind: K }>) => V;
  readonly savedWords: (values: V) => string;
  /** Id of the entry to correct; null writes a new one. */
  readonly correctId: string | null;
  /** What tells drafts of one kind apart. */
  readonly draft?: string;
  /** Where saving leads; the pump's page when left out. */
  readonly then?: string;
}

/** What would be written now. */
export interface Pending {
  /** The entry as it would count. */
  readonly entry: Entry;
  readonly correcting: boolean;
  readonly makeEntries: () => readonly JournalEntry[];
  /** Other fields, other key. */
  readonly key: string;
}

export interface EntryForm<V extends FieldValues> extends Pick<
  DraftedForm<V>,
  'form' | 'values' | 'ready' | 'error' | 'set'
> {
  /** Null while a field is not right. */
  readonly pending: Pending | null;
  readonly outcome: WriteResult | null;
  readonly questions: readonly Question[];
  readonly saving: boolean;
  readonly correcting: boolean;
  /** A run that goes on is ended: its correction says the whole run. */
  readonly ending: boolean;
  save(acknowledged?: readonly string[]): Promise<void>;
}

/** One form for every kind of entry: draft kept on the device, checked by the shared rules, written, undone from the toast. */
export function useEntryForm<K extends EntryKind, V extends FieldValues>(spec: EntryFormSpec<K, V>): EntryForm<V> {
  const { kind, page, correctId } = spec;
  const pumpId = page.row.pumpId;
  const { data: history } = useEntryQuery(correctId ?? '', { skip: !correctId });
  const counts = history?.counts as Extract<Entry, { kind: K }> | null | undefined;
  const [defaults] = useState(spec.defaults);
  const [start, setStart] = useState<V | null>(correctId ? null : defaults);
  if (start === null && counts) setStart(spec.fill(counts));
  const drafted = useDraftedForm<V>([kind, correctId ?? spec.draft, pumpId].filter(Boolean).join('/'), start);
  const { form, values, ready, ids, show } = drafted;
  const id = ids[0] ?? '';
  const actId = ids[1] ?? id;
  const [outcome, setOutcome] = useState<WriteResult | null>(null);
  const { write, busy: saving } = useWriteEntries();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const ending = isStillRunning(counts ?? null);
  const shared = useEnvelope();
  /** When the same fields are sent again (a lost answer, a question said yes to), "now" is still the first time. */
  const firstSent = useRef<{ fields: string; happenedAt: string } | null>(null);

  function entriesOf(answer: Extract<Said<K>, { ok: true }>, acknowledged: readonly string[]): JournalEntry[] {
    const recordedAt = new Date().toISOString();
    const every = { ...shared, actId, zone: page.row.zone, recordedAt, acknowledged };
    const pumps = [pumpId, ...(answer.alsoPumps ?? [])].map((id) => ({ type: 'pump' as const, id }));
    const caseId = answer.opensCase || kind === 'caseOpened' ? ids.at(-1) : answer.caseId;
    const subjects: Subject[] = [
      ...pumps,
      ...(answer.equipmentId ? [{ type: 'equipment' as const, id: answer.equipmentId }] : []),
      ...(caseId ? [{ type: 'case' as const, id: caseId }] : []),
    ];
    if (correctId && counts && history) {
      const body = { action: 'replace', body: answer.body, happenedAt: answer.happenedAt } as const;
      const input = { actId, now: recordedAt, shared: { ...shared, acknowledged } };
      return [{ ...correctionOf(history, body, input), id }];
    }
    const main = {
      ...every,
      id,
      kind,
      subjects,
      happenedAt: answer.happenedAt,
      precision: answer.precision,
      body: answer.body,
    } as unknown as Entry;
    const also = (answer.alsoDone ?? []).map((task, i): Entry => ({
      ...every,
      id: ids[i + 2] ?? newId(),
      kind: 'done',
      subjects: [{ type: 'pump', id: pumpId }],
      happenedAt: answer.happenedAt,
      precision: answer.precision,
      body: { task },
    }));
    return [...(answer.opensCase ? [opening(answer.opensCase)] : []), main, ...also];

    function opening(complaint: string): Entry {
      const { happenedAt, precision } = answer;
      return {
        ...every,
        id: ids.at(-2) ?? newId(),
        kind: 'caseOpened',
        subjects,
        happenedAt,
        precision,
        body: { complaint },
      };
    }
  }
  const mainOf = (entries: readonly JournalEntry[]) => entries.find((e) => e.id === id);

  // "Now" moves on, but the same fields that say the same on the same page mean the same: the fold beneath the verdict runs once.
  const said = ready ? spec.read(values) : null;
  const meant = said?.ok ? { ...said, happenedAt: null } : null;
  const key = JSON.stringify([values, meant, page.standing.at, correctId, counts?.id ?? null, shared]);
  const pending = useKept(key, () => (said?.ok ? pendingOf(said) : null));

  function pendingOf(answer: Extract<Said<K>, { ok: true }>): Pending | null {
    const makeEntries = () => entriesOf(answer, []);
    const entry = asEntry(mainOf(makeEntries()), counts ?? null, answer);
    return entry && { entry, correcting: correctId !== null, makeEntries, key };
  }

  function showIssues(issues: readonly FieldIssue[]): void {
    for (const issue of issues) {
      const bodyField = issue.field.replace(/^body\.(body\.)?/, '');
      show({ [spec.fieldOf?.[bodyField] ?? bodyField]: issueWords(issue) });
    }
  }

  async function save(acknowledged: readonly string[] = []): Promise<void> {
    form.clearErrors();
    setOutcome(null);
    const answer = spec.read(form.getValues());
    if (!answer.ok) return show(answer.issues);
    const fields = JSON.stringify(form.getValues());
    if (firstSent.current?.fields !== fields) firstSent.current = { fields, happenedAt: answer.happenedAt };
    const entries = entriesOf({ ...answer, happenedAt: firstSent.current.happenedAt }, acknowledged);
    const issues = entries.flatMap((e) => {
      const checked = checkEntry(e, Date.now());
      return checked.ok ? [] : checked.issues;
    });
    if (issues.length > 0) return showIssues(issues);
    const result = await write(entries);
    setOutcome(result);
    if (result.kind === 'refused') showIssues(result.issues);
    if (result.kind === 'conflict') await drafted.drop();
    if (result.kind !== 'written') return;
    await drafted.drop();
    dispatch(
      toastsSlice.actions.shown({
        id: newId(),
        words: wordsOnceSaved(),
        undo: undoOf(mainOf(entries), counts ?? null),
      }),
    );
    void navigate(spec.then ?? `/pumps/${pumpId}`, { replace: true });
  }

  function wordsOnceSaved(): string {
    if (ending) return `Run ended on ${page.row.name}`;
    return correctId ? 'Correction saved' : spec.savedWords(form.getValues());
  }

  return {
    form,
    values,
    pending,
    outcome,
    questions: outcome?.kind === 'asked' ? outcome.questions : [],
    saving,
    ready,
    correcting: correctId !== null,
    ending,
    error: drafted.error,
    set: drafted.set,
    save,
  };
}

const undoOf = (written: JournalEntry | undefined, before: Entry | null): Undoable | null => {
  if (!written) return null;
  return written.kind === 'correction' ? { correction: written, before } : { entryIds: [written.id] };
};

/** The entry that would count: a new one, or the original with its correction laid over. */
function asEntry<K extends EntryKind>(
  first: JournalEntry | undefined,
  original: Entry | null,
  said: Extract<Said<K>, { ok: true }>,
): Entry | null {
  if (!first) return null;
  if (first.kind !== 'correction') return first;
  return original ? ({ ...original, happenedAt: said.happenedAt, body: said.body } as Entry) : null;
}
