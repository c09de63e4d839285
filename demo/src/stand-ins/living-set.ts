import type { Inputs, SimulatedPump } from '@winter-jar/core';

/** A stretch in the life of a set. */
export interface Phase {
  readonly seconds: number;
  readonly inputs: Inputs;
  /** The chamber is opened to the room before it. */
  readonly vents?: true;
  /** Wet things were laid in. */
  readonly waterG?: number;
  /** A cycle of a packaging machine begins. */
  readonly cycle?: true;
}

const STEP_S = 1;

/** A simulated set that lives on with the clock: phase after phase, and from the beginning again. */
export class LivingSet {
  private place = 0;
  private left: number;
  private lastMs: number | null = null;
  /** Cycles begun so far. */
  cycles = 0;

  constructor(
    readonly pump: SimulatedPump,
    private readonly phases: readonly Phase[],
  ) {
    this.left = 0;
    this.place = -1;
    this.next();
  }

  get phase(): Phase {
    return this.phases[this.place] ?? { seconds: 60, inputs: { running: false, inlet: 'shut', ballast: 'closed' } };
  }

  get runs(): boolean {
    return this.phase.inputs.running;
  }

  /** On to a moment; what lies before the last one changes nothing. */
  to(nowMs: number): void {
    let seconds = Math.max(0, (nowMs - (this.lastMs ?? nowMs)) / 1000);
    this.lastMs = nowMs;
    while (seconds > 0) {
      const step = Math.min(seconds, this.left, STEP_S);
      this.pump.advance(step, this.phase.inputs);
      seconds -= step;
      this.left -= step;
      if (this.left <= 1e-9) this.next();
    }
  }

  private next(): void {
    this.place = (this.place + 1) % this.phases.length;
    this.left = this.phase.seconds;
    if (this.phase.vents) {
      this.pump.stop(true);
      this.pump.begin(this.pump.load);
    }
    if (this.phase.cycle) this.cycles += 1;
    this.pump.chamberWaterG += this.phase.waterG ?? 0;
  }
}
