import type { Clock } from '../clock/clock.js';

/** Whoever steps away is not written for by the next one who comes. */
const IDLE_MS = 600_000;

/** Who writes at each shared tablet. Kept in memory alone: after a start everybody says who they are again. */
export class TabletWriters {
  private readonly bySession = new Map<string, { readonly personId: string; readonly untilMs: number }>();

  constructor(private readonly clock: Clock) {}

  /** @param personId null: nobody, until somebody says so */
  say(sessionId: string, personId: string | null): void {
    if (personId === null) this.bySession.delete(sessionId);
    else this.bySession.set(sessionId, { personId, untilMs: this.clock.nowMs() + IDLE_MS });
  }

  /** @returns null while nobody has said so */
  at(sessionId: string): string | null {
    const writer = this.bySession.get(sessionId);
    if (writer && writer.untilMs > this.clock.nowMs()) return writer.personId;
    this.bySession.delete(sessionId);
    return null;
  }

  /** They have done something there. */
  goesOn(sessionId: string): void {
    const personId = this.at(sessionId);
    if (personId !== null) this.say(sessionId, personId);
  }
}
