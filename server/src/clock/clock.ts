/** The one clock of the server; tests and screenshots fix it. */
export interface Clock {
  nowMs(): number;
}

export const CLOCK = Symbol('clock');
export const systemClock: Clock = { nowMs: () => Date.now() };
export const isoNow = (clock: Clock): string => new Date(clock.nowMs()).toISOString();
