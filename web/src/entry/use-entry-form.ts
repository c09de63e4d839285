import { checkEntry, type EntryHistory, type FieldIssue, type PumpPage, type Question } from '@winter-jar/contracts';
import { effectiveEntry, type Entry, type EntryKind, type JournalEntry } from '@winter-jar/core';
import { useRef, useState } from 'react';
import type { FieldValues } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { v7 as newId } from 'uuid';
import { useEntryQuery } from '../api/house-api.js';
import { useAppDispatch } from '../device/store.js';
import { useKept } from '../device/use-kept.js';
import { toastsSlice, type Undoable } from '../device/toasts-slice.js';
import type { IdFor } from '../forms/draft-ids.js';
import { useDraftedForm, type DraftedForm } from '../forms/use-drafted-form.js';
import { entriesOf, type Deed, type FormAnswer } from './deed.js';
import { isStillRunning } from './still-running.js';
import { issueWords } from '../words/issue-words.js';
import { useEnvelope } from './use-envelope.js';
import { correctionOf } from './use-undo.js';
import { useWriteEntries } from './use-write-entries.js';
import type { WriteResult } from '../sending/write-result.js';

export interface EntryFormSpec<K extends EntryKind, V extends FieldValues> {
  readonly kind: K;
  readonly page: PumpPage;
  readonly defaults: V;
  /** Form field of each body field, where the names differ. */
  readonly fieldOf?: Readonly<Record<string, string>>;
  /** @param idFor ids of what the deed makes besides entries, such as a case */
  readonly read: (values: V, idFor: IdFor) => FormAnswer<K>;
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
  const counts = (history && saidBy(history)) as Extract<Entry, { kind: K }> | null | undefined;
  const [defaults] = useState(spec.defaults);
  const [start, setStart] = useState<V | null>(correctId ? null : defaults);
  if (start === null && counts) setStart(spec.fill(counts));
  const drafted = useDraftedForm<V>([kind, correctId ?? spec.draft, pumpId].filter(Boolean).join('/'), start);
  const { form, values, ready, ids, show } = drafted;
  const [outcome, setOutcome] = useState<WriteResult | null>(null);
  const { write, busy: saving } = useWriteEntries();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const ending = isStillRunning(counts ?? null);
  const shared = useEnvelope();
  /** When the same fields are sent again (a lost answer, a question said yes to), "now" is still the first time. */
  const firstSent = useRef<{ fields: string; deed: Deed<K> } | null>(null);

  function toWrite(
    deed: Deed<K>,
    acknowledged: readonly string[],
  ): { main: JournalEntry; all: readonly JournalEntry[] } {
    const now = new Date().toISOString();
    if (correctId && counts && history) {
      const input = { actId: ids.idFor('deed'), now, shared: { ...shared, acknowledged } };
      const { body, happenedAt } = deed.main;
      const correction = correctionOf(history, { action: 'replace', body, happenedAt }, input);
      const main = { ...correction, id: ids.idFor('correction') };
      return { main, all: [main] };
    }
    const subject = { type: 'pump', id: pumpId } as const;
    const writing = { subject, zone: page.row.zone, now, idFor: ids.idFor, shared: { ...shared, acknowledged } };
    return entriesOf(deed, writing);
  }

  // "Now" moves on, but the same fields that say the same on the same page mean the same: the fold beneath the verdict runs once.
  const answer = ready ? spec.read(values, ids.idFor) : null;
  const meant = answer?.ok ? answer.deed : null;
  const key = JSON.stringify([values, meant, page.standing.at, correctId, counts?.id ?? null, shared], timeless);
  const pending = useKept(key, () => (answer?.ok ? pendingOf(answer.deed) : null));

  function pendingOf(deed: Deed<K>): Pending | null {
    const makeEntries = () => toWrite(deed, []).all;
    const { main } = toWrite(deed, []);
    // As it would count: a new entry, or the original with its correction laid over.
    const { body, happenedAt } = deed.main;
    const entry = main.kind !== 'correction' ? main : counts && ({ ...counts, happenedAt, body } as Entry);
    return entry ? { entry, correcting: correctId !== null, makeEntries, key } : null;
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
    const answer = spec.read(form.getValues(), ids.idFor);
    if (!answer.ok) return show(answer.issues);
    const fields = JSON.stringify(form.getValues());
    if (firstSent.current?.fields !== fields) firstSent.current = { fields, deed: answer.deed };
    const { main, all } = toWrite(firstSent.current.deed, acknowledged);
    const issues = all.flatMap((e) => {
      const checked = checkEntry(e, Date.now());
      return checked.ok ? [] : checked.issues;
    });
    if (issues.length > 0) return showIssues(issues);
    const result = await write(all);
    setOutcome(result);
    if (result.kind === 'refused') showIssues(result.issues);
    if (result.kind === 'conflict') await drafted.drop();
    if (result.kind !== 'written') return;
    await drafted.drop();
    dispatch(
      toastsSlice.actions.shown({
        id: newId(),
        words: wordsOnceSaved(),
        undo: undoOf(main, counts ?? null),
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

/** The entry as it counts, or as it would once it is settled. */
const saidBy = ({ original, corrections, counts, asks }: EntryHistory): Entry | null =>
  counts ?? (asks.length > 0 ? effectiveEntry(original, corrections) : null);

/** Leaves out when a draft happened. */
const timeless = (name: string, value: unknown): unknown => (name === 'happenedAt' ? null : value);

const undoOf = (written: JournalEntry, before: Entry | null): Undoable =>
  written.kind === 'correction' ? { correction: written, before } : { entryIds: [written.id] };
