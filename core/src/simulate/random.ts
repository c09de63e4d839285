/** A stream of random numbers from a seed, the same on every machine. */
export interface Random {
  /** Uniform in [0, 1). */
  next(): number;
  between(range: readonly [low: number, high: number]): number;
  chance(probability: number): boolean;
  pick<T>(items: readonly [T, ...T[]]): T;
  normal(): number;
  uuid(atMs: number): string;
}

/** Source: mulberry32 for the stream (public domain), Box & Muller (1958). */
export function seededRandom(seed: number): Random {
  let a = seed >>> 0;
  function next(): number {
    a = (a + 0x6d2b79f5) >>> 0;
    let t = Math.imul(a ^ (a >>> 15), a | 1);
    t = (t + Math.imul(t ^ (t >>> 7), t | 61)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  }
  const normal = () => Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next());
  const hex = (digits: number) => Array.from({ length: digits }, () => Math.floor(next() * 16).toString(16)).join('');
  return {
    next,
    normal,
    between: ([low, high]) => low + (high - low) * next(),
    chance: (probability) => next() < probability,
    pick: (items) => items[Math.floor(next() * items.length)] ?? items[0],
    /** UUID v7 (RFC 9562, 5.7): milliseconds, then random digits. */
    uuid(atMs) {
      const time = Math.floor(atMs).toString(16).padStart(12, '0');
      return `${time.slice(0, 8)}-${time.slice(8)}-7${hex(3)}-${'89ab'[Math.floor(next() * 4)]}${hex(3)}-${hex(12)}`;
    },
  };
}
