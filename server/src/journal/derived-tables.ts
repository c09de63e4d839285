// Longer than other files: all that follows from the journal is written here, in one order, and nowhere else.
import {
  compareOrder,
  correctionsConflict,
  effectiveEntry,
  refold,
  refoldTogether,
  subjectKey,
  subjectsIn,
  subjectsOf,
  winningCorrection,
  type Checkpoint,
  type Correction,
  type Entry,
  type Folded,
  type FoldSource,
  type OrderKey,
  type Projection,
  type SubjectRef,
} from '@winter-jar/core';
import type { Counted, SubjectKeyRow, WritingStatements } from '../database/statements.js';
import { endOfRun } from './entry-questions.js';
import { KeptStates } from './kept-states.js';
import type { SetUpStore } from './set-up-store.js';
import { BEFORE_ALL, Touched, type TouchedSubject } from './touched.js';

/** Entries that a turn folds at most: of one subject, or of those that are tied. */
const FOLDED_PER_TURN = 400;
const parse = <T>(text: string): T => JSON.parse(text) as T;
const named = ({ type, id }: SubjectRef) => ({ subjectType: type, subjectId: id });
const at = (subject: SubjectRef, key: OrderKey): SubjectKeyRow => ({
  subjectType: subject.type,
  subjectId: subject.id,
  happenedAt: key.happenedAt,
  recordedAt: key.recordedAt,
  entryId: key.id,
});
const keyIn = ({ happenedAt, recordedAt, entryId }: SubjectKeyRow): OrderKey => ({
  happenedAt,
  recordedAt,
  id: entryId,
});
const subjectIn = ({ subjectType, subjectId }: SubjectKeyRow): SubjectRef => ({ type: subjectType, id: subjectId });

/** An original entry with its number in the journal. */
export interface Original {
  readonly entry: Entry;
  readonly seq: number;
}

/** What follows from the journal: counted entries, states, checkpoints. Called inside the writer's transaction. */
export class DerivedTables {
  private readonly kept = new KeptStates();

  constructor(
    private readonly sql: WritingStatements,
    private readonly store: SetUpStore,
    private readonly projections: readonly Projection[],
  ) {}

  /** Puts an entry that is new as it counts in place. @returns the earliest key that changed, for each subject */
  count({ entry: original, seq }: Original): Touched {
    const corrections = this.sql.correctionsOf.all(original.id).map((r) => parse<Correction>(r.content));
    const touched = new Touched();
    const entry = effectiveEntry(original, corrections);
    if (!entry) return touched;
    const { id: entryId, happenedAt, recordedAt, kind } = entry;
    const correctionId = winningCorrection(corrections)?.id ?? null;
    this.sql.insertCounted.run({
      seq,
      entryId,
      kind,
      happenedAt,
      recordedAt,
      endedAt: this.endOf(entry),
      correctionId,
      contradicted: correctionsConflict(corrections) ? 1 : 0,
      content: entry === original ? null : JSON.stringify(entry),
    });
    for (const subject of subjectsOf(entry)) {
      // Written out: spreading costs as much here as the insert.
      const { type: subjectType, id: subjectId } = subject;
      this.sql.insertSubject.run({ subjectType, subjectId, happenedAt, recordedAt, entryId, kind, seq });
      touched.add(subject, entry, [entry]);
    }
    return touched;
  }

  /** Puts an entry anew as it counts in place, after a word on it. @returns the earliest key that changed, for each subject */
  countAnew(original: Original): Touched {
    return this.uncount(original.seq).addAll(this.count(original));
  }

  /** Takes an entry out of what counts. @returns the key where it stood, for each subject */
  uncount(seq: number): Touched {
    const touched = new Touched();
    const counted: Counted | undefined = this.sql.countedBySeq.get(seq);
    if (!counted) return touched;
    const entry = parse<Entry>(counted.content);
    for (const subject of subjectsOf(entry)) {
      this.sql.deleteSubject.run(at(subject, entry));
      touched.add(subject, entry);
    }
    this.sql.deleteCounted.run(seq);
    return touched;
  }

  /** Folds each subject, and whatever was fed from it since, from the last state before its key. */
  fold(touched: Touched): void {
    for (const projection of this.projections) {
      const changed = touched.ofTypes(projection.types);
      if (changed.length === 0) continue;
      if (projection.together) this.foldTogether(projection, changed);
      else for (const one of changed) this.foldOne(projection, one);
    }
  }

  /**
   * Entries came or went in bulk: until {@link catchUp} is through, the subjects' states are those of before, and what is written
   * meanwhile is folded in then.
   */
  fallBehind(touched: Touched): void {
    for (const projection of this.projections)
      for (const { subject, key } of touched.ofTypes(projection.types)) {
        const lag = this.sql.lagging.get(named(subject));
        if (!lag || compareOrder(key, keyIn(lag)) < 0) this.sql.saveLag.run(at(subject, key));
      }
  }

  /** How many entries folding it anew reads, counted no further than asked. */
  weigh(touched: Touched, limit: number): number {
    let entries = 0;
    for (const { subject, key } of touched.all) {
      if (entries > limit) break;
      entries += this.sql.countedAtMost.get({ ...at(subject, key), limit: limit + 1 })?.n ?? 0;
    }
    return entries;
  }

  /** Folds some of what a lagging subject has yet to take in, so that no turn is long. @returns null when nothing lags */
  catchUp(): { readonly folded: number; readonly caughtUp: readonly SubjectRef[] } | null {
    const lag = this.sql.anyLagging.get();
    const projection = lag && this.projections.find((p) => p.types.includes(lag.subjectType));
    if (!lag || !projection) return null;
    return projection.together && this.isTied(projection, lag)
      ? this.catchUpTogether(projection)
      : this.catchUpOne(projection, lag);
  }

  /** Whether what it has yet to take in ties it to others: a sump that nothing was poured into from the shelf stands by itself. */
  private isTied(projection: Projection, lag: SubjectKeyRow): boolean {
    // A house without a shelf has nothing that ties.
    if (!this.sql.anyContainer.get()) return false;
    const subject = subjectIn(lag);
    const { last } = this.keptBefore(projection, subject, keyIn(lag));
    for (const { content } of this.sql.countedFrom.iterate(at(subject, last ?? BEFORE_ALL)))
      if (subjectsIn(projection, parse<Entry>(content)).length > 1) return true;
    return false;
  }

  /** Subjects with a state of another version than its projection's lag from their first entry on. */
  lagWhereOutdated(): void {
    for (const { types, version } of this.projections)
      for (const type of types)
        this.lagFromStart(this.sql.outdatedStates.all(type, version).map(({ subjectId: id }) => ({ type, id })));
  }

  /** Nothing of them is folded yet. */
  lagFromStart(subjects: Iterable<SubjectRef>): void {
    const folded = new Set(this.projections.flatMap(({ types }) => types));
    for (const subject of subjects) if (folded.has(subject.type)) this.sql.saveLag.run(at(subject, BEFORE_ALL));
  }

  /** Ends of runs follow from their equipment's cycle time where only cycles were counted. */
  endRunsAnew(pumpId: string, from: string): void {
    for (const { seq, endedAt, content } of this.sql.runsFrom.all({ pumpId, from })) {
      const end = this.endOf(parse<Entry>(content));
      if (end !== endedAt) this.sql.setEnd.run({ seq, endedAt: end });
    }
  }

  private endOf(entry: Entry): string | null {
    const pumpId = entry.subjects.find((s) => s.type === 'pump')?.id;
    const pump = pumpId === undefined ? null : this.store.book.pumpAt({ pumpId, instant: entry.happenedAt });
    return pump ? endOfRun(entry, pump) : null;
  }

  /** From the present state for what comes last, from a checkpoint for what comes late. */
  private foldOne(projection: Projection, { subject, key, counted }: TouchedSubject): void {
    if (this.sql.lagging.get(named(subject))) return this.fallBehind(new Touched().add(subject, key));
    const present = this.presentState(projection, subject);
    if (present?.last && compareOrder(present.last, key) < 0) {
      // All before it is folded in, so nothing else than what is at hand comes after that state.
      const later = counted?.toSorted(compareOrder) ?? this.entriesAfter(subject, present.last);
      this.saveState(subject, this.foldOn(projection, subject, present, later));
      return;
    }
    const from = this.keptBefore(projection, subject, key);
    this.forgetCheckpointsAfter(subject, from);
    this.saveState(subject, this.foldOn(projection, subject, from, this.entriesAfter(subject, from.last)));
  }

  private foldTogether(
    projection: Projection,
    changed: readonly { readonly subject: SubjectRef; readonly key: OrderKey }[],
  ): void {
    // Whatever lags may feed what changed: it is folded when that has caught up.
    if (projection.types.some((type) => this.sql.laggingOfType.all(type).length > 0)) {
      const touched = new Touched();
      for (const { subject, key } of changed) touched.add(subject, key);
      return this.fallBehind(touched);
    }
    const source: FoldSource<Folded> = {
      stateBefore: (subject, key) => {
        const present = this.presentState(projection, subject);
        return present?.last && compareOrder(present.last, key) < 0
          ? present
          : this.keptBefore(projection, subject, key);
      },
      entriesAfter: (subject, key) => this.entriesAfter(subject, key),
    };
    const { book } = this.store;
    const folded = refoldTogether({ projection, touched: changed, source, book });
    for (const { subject, state } of folded.starts) this.forgetCheckpointsAfter(subject, state);
    for (const checkpoint of folded.checkpoints) this.saveCheckpoint(checkpoint);
    for (const { subject, state } of folded.starts)
      this.saveState(subject, folded.states.get(subjectKey(subject)) ?? state);
  }

  private catchUpOne(projection: Projection, lag: SubjectKeyRow) {
    const subject = subjectIn(lag);
    const from = this.keptBefore(projection, subject, keyIn(lag));
    this.forgetCheckpointsAfter(subject, from);
    const limit = FOLDED_PER_TURN + 1;
    const rows = this.sql.countedNext.all({ ...at(subject, from.last ?? BEFORE_ALL), limit });
    const entries = rows.map((row) => parse<Entry>(row.content));
    const next = entries[FOLDED_PER_TURN];
    const state = this.foldOn(projection, subject, from, entries.slice(0, FOLDED_PER_TURN));
    if (next && state.last) {
      this.saveCheckpoint({ subject, key: state.last, endedPeriod: null, state });
      this.sql.saveLag.run(at(subject, next));
      return { folded: FOLDED_PER_TURN, caughtUp: [] };
    }
    this.saveState(subject, state);
    this.sql.deleteLag.run(named(subject));
    return { folded: entries.length, caughtUp: [subject] };
  }

  /** Subjects that are tied to one another cannot stand at different places: those that lag from one place go on to the next. */
  private catchUpTogether(projection: Projection) {
    const lagging = projection.types.flatMap((type) => this.sql.laggingOfType.all(type));
    if (this.goOnTogether(projection, lagging)) return { folded: FOLDED_PER_TURN, caughtUp: [] };
    for (const lag of lagging) this.sql.deleteLag.run(named(subjectIn(lag)));
    this.foldTogether(
      projection,
      lagging.map((lag) => ({ subject: subjectIn(lag), key: keyIn(lag) })),
    );
    return { folded: lagging.length, caughtUp: lagging.map(subjectIn) };
  }

  /**
   * One turn of those that lag the farthest back, all from the same place.
   * @returns false where a turn does not do: little is left, or they are tied to others
   */
  private goOnTogether(projection: Projection, lagging: readonly SubjectKeyRow[]): boolean {
    const sorted = lagging.toSorted((a, b) => compareOrder(keyIn(a), keyIn(b)));
    const [farthest] = sorted;
    if (!farthest) return false;
    const place = keyIn(farthest);
    const abreast = sorted.filter((lag) => compareOrder(keyIn(lag), place) === 0);
    const later = sorted[abreast.length];
    const limit = FOLDED_PER_TURN + 1;
    const { happenedAt, recordedAt, entryId } = farthest;
    const rows = this.sql.storeEntriesFrom.all({ happenedAt, recordedAt, entryId, limit });
    const entries = rows.map(({ content }) => parse<Entry>(content));
    const taken = entries.slice(0, FOLDED_PER_TURN).filter((entry) => !later || compareOrder(entry, keyIn(later)) < 0);
    const next = entries[taken.length] ?? (later && keyIn(later));
    if (!next) return false;
    const before = new Map<string, Folded>();
    for (const lag of abreast) {
      const subject = subjectIn(lag);
      const state = this.keptBefore(projection, subject, place);
      const [first] = this.sql.countedNext.all({ ...at(subject, state.last ?? BEFORE_ALL), limit: 1 });
      // It was kept earlier than that: what lies between may tie it to others.
      if (first && compareOrder(parse<Entry>(first.content), place) < 0) return false;
      before.set(subjectKey(subject), state);
    }
    const isAbreast = (subject: SubjectRef) => before.has(subjectKey(subject));
    const theirs = taken.filter((entry) => subjectsIn(projection, entry).some(isAbreast));
    if (!theirs.every((entry) => subjectsIn(projection, entry).every(isAbreast))) return false;
    const { states, checkpoints } = refold({ projection, from: before, entries: theirs, book: this.store.book });
    for (const lag of abreast) {
      const subject = subjectIn(lag);
      const was = before.get(subjectKey(subject));
      if (was) this.forgetCheckpointsAfter(subject, was);
      this.sql.saveLag.run(at(subject, next));
    }
    for (const checkpoint of checkpoints) this.saveCheckpoint(checkpoint);
    for (const lag of abreast) {
      const subject = subjectIn(lag);
      const state = states.get(subjectKey(subject));
      if (state?.last && state !== before.get(subjectKey(subject)))
        this.saveCheckpoint({ subject, key: state.last, endedPeriod: null, state });
    }
    return true;
  }

  private foldOn(projection: Projection, subject: SubjectRef, from: Folded, entries: readonly Entry[]): Folded {
    const key = subjectKey(subject);
    const { states, checkpoints } = refold({
      projection,
      from: new Map([[key, from]]),
      entries,
      book: this.store.book,
    });
    for (const checkpoint of checkpoints) this.saveCheckpoint(checkpoint);
    return states.get(key) ?? from;
  }

  private entriesAfter(subject: SubjectRef, key: OrderKey | null): Entry[] {
    return this.sql.countedFrom.all(at(subject, key ?? BEFORE_ALL)).map((row) => parse<Entry>(row.content));
  }

  private saveCheckpoint({ subject, key, endedPeriod, state }: Checkpoint<Folded>): void {
    this.sql.insertCheckpoint.run({ ...at(subject, key), endedPeriod, state: JSON.stringify(state) });
  }

  private saveState(subject: SubjectRef, state: Folded): void {
    if (state.entries === 0) {
      this.sql.deleteState.run(named(subject));
      return;
    }
    const text = JSON.stringify(state);
    this.sql.saveState.run({ ...named(subject), foldVersion: state.foldVersion, state: text });
    this.kept.keep(subject, text, state);
  }

  /** What was folded on from a state does not hold any more; nor, it may be, that its period ended there. */
  private forgetCheckpointsAfter(subject: SubjectRef, { last }: Folded): void {
    this.sql.deleteCheckpointsAfter.run(at(subject, last ?? BEFORE_ALL));
    if (last) this.sql.unmarkCheckpoint.run(at(subject, last));
  }

  private presentState(projection: Projection, subject: SubjectRef): Folded | null {
    const stored = this.sql.subjectState.get(named(subject));
    return stored?.foldVersion === projection.version ? this.kept.read(subject, stored.state) : null;
  }

  private keptBefore(projection: Projection, subject: SubjectRef, key: OrderKey): Folded {
    const checkpoint = this.sql.checkpointBefore.get(at(subject, key));
    const state = checkpoint ? parse<Folded>(checkpoint.state) : null;
    return state?.foldVersion === projection.version ? state : projection.first(subject);
  }
}
