import { compareOrder, subjectKey, type Entry, type OrderKey, type SubjectRef } from '@winter-jar/core';

/** Before every entry. */
export const BEFORE_ALL: OrderKey = { happenedAt: '', recordedAt: '', id: '' };

/** What changed at a subject. */
export interface TouchedSubject {
  readonly subject: SubjectRef;
  /** The earliest key that changed. */
  readonly key: OrderKey;
  /** All that changed, where it is nothing but entries that count at it from now on. */
  readonly counted: readonly Entry[] | null;
}

/** Subjects that something changed at, each once. */
export class Touched {
  private readonly subjects = new Map<string, TouchedSubject>();

  /** @param counted entries that count from now on; null where one went away, or the set-up changed */
  add(subject: SubjectRef, key: OrderKey, counted: readonly Entry[] | null = null): this {
    const name = subjectKey(subject);
    const known = this.subjects.get(name);
    if (!known) this.subjects.set(name, { subject, key, counted });
    else
      this.subjects.set(name, {
        subject,
        key: compareOrder(key, known.key) < 0 ? key : known.key,
        counted: known.counted && counted && [...known.counted, ...counted],
      });
    return this;
  }

  addAll(others: Touched): this {
    for (const { subject, key, counted } of others.subjects.values()) this.add(subject, key, counted);
    return this;
  }

  get all(): readonly TouchedSubject[] {
    return [...this.subjects.values()];
  }

  ofTypes(types: readonly string[]): readonly TouchedSubject[] {
    return this.all.filter(({ subject }) => types.includes(subject.type));
  }

  get pumpIds(): string[] {
    return this.ofTypes(['pump']).map(({ subject }) => subject.id);
  }
}
