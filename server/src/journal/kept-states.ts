import type { PumpState } from '@winter-jar/core';

/** Pumps whose last state is kept opened; a busy house writes about a few at a time. */
const MOST = 64;

/**
 * States as they were stored last, opened. Reading one again costs nothing as long as the stored text is the same: after a write
 * that was taken back, or under another file, it is another, and is read anew.
 */
export class KeptStates {
  private readonly kept = new Map<string, { readonly text: string; readonly state: PumpState }>();

  read(pumpId: string, text: string): PumpState {
    const known = this.kept.get(pumpId);
    if (known?.text === text) return known.state;
    return this.keep(pumpId, text, JSON.parse(text) as PumpState);
  }

  /** @param text the state as it is stored */
  keep(pumpId: string, text: string, state: PumpState): PumpState {
    this.kept.delete(pumpId);
    this.kept.set(pumpId, { text, state });
    const oldest = this.kept.size > MOST ? this.kept.keys().next().value : undefined;
    if (oldest !== undefined) this.kept.delete(oldest);
    return state;
  }
}
