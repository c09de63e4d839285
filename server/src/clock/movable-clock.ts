import type { Clock } from './clock.js';

/** A clock that goes on from wherever a test puts it. */
export class MovableClock implements Clock {
  private aheadMs = 0;

  constructor(private readonly under: Clock) {}

  nowMs(): number {
    return this.under.nowMs() + this.aheadMs;
  }

  moveTo(nowMs: number): void {
    this.aheadMs = nowMs - this.under.nowMs();
  }
}
