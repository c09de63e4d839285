import { subjectKey, type Folded, type SubjectRef } from '@winter-jar/core';

/** Subjects whose last state is kept opened; a busy house writes about a few at a time. */
const MOST = 96;

/**
 * States as they were stored last, opened. Reading one again costs nothing as long as the stored text is the same: after a write
 * that was taken back, or under another file, it is another, and is read anew.
 */
export class KeptStates {
  private readonly kept = new Map<string, { readonly text: string; readonly state: Folded }>();

  read(subject: SubjectRef, text: string): Folded {
    const known = this.kept.get(subjectKey(subject));
    if (known?.text === text) return known.state;
    return this.keep(subject, text, JSON.parse(text) as Folded);
  }

  /** @param text the state as it is stored */
  keep(subject: SubjectRef, text: string, state: Folded): Folded {
    const key = subjectKey(subject);
    this.kept.delete(key);
    this.kept.set(key, { text, state });
    const oldest = this.kept.size > MOST ? this.kept.keys().next().value : undefined;
    if (oldest !== undefined) this.kept.delete(oldest);
    return state;
  }
}
