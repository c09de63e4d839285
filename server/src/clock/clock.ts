/** The one clock of the server; tests and screenshots fix it. */
export interface Clock {
  nowMs(): number;
}

export const CLOCK = Symbol('clock');
export const systemClock: Clock = { nowMs: () => Date.now() };
export const isoNow = (clock: Clock): string => new Date(clock.nowMs()).toISOString();

/** "2031-03-09T14:05:00.000Z" → "20310309-140500": a moment as part of a file name. */
export const stampOf = (instant: string): string => instant.slice(0, 19).replace(/[-:]/g, '').replace('T', '-');
