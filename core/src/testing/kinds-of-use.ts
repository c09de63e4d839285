import type { Random } from '../simulate/index.js';

/** When runs begin, in days, by how people use a pump: made without the distributions that the forecast assumes. */
/** A number from 0 to 1, of a stream with a seed. */
type Uniform = Random['next'];
export type KindOfUse = (uniform: Uniform) => number[];

function until(end: number, next: (from: number) => number): number[] {
  const starts: number[] = [];
  for (let at = next(0); at < end; at = next(at)) starts.push(at);
  return starts;
}

export const KINDS_OF_USE: Readonly<Record<string, KindOfUse>> = {
  /** Whenever somebody needs it, every two and a half days. */
  'at any time': (u) => until(400, (at) => at - Math.log(1 - u()) * 2.5),
  /** Every seventh day, give or take three hours. */
  'every week': (u) => until(800, (at) => at + 7).map((at) => at + (u() - 0.5) / 4),
  /** In the morning from Monday to Friday, but for one in ten. */
  'on weekdays': (u) =>
    Array.from({ length: 120 }, (_, day) => day)
      .filter((day) => day % 7 < 5 && u() < 0.9)
      .map((day) => day + 0.375 + (u() - 0.5) / 12),
  /** Three to six runs in a row, then a pause of one to three weeks. */
  'in campaigns': (u) => {
    const starts: number[] = [];
    for (let at = u() * 10; at < 600; at += 7 + u() * 14)
      for (let run = 3 + Math.floor(u() * 4); run > 0; run--) {
        starts.push(at);
        at += 1 + u();
      }
    return starts;
  },
  /** Four times as often in the season. */
  'by the season': (u) =>
    until(900, (at) => at - Math.log(1 - u()) / 0.6).filter(
      (at) => u() < (0.375 + 0.225 * Math.sin((2 * Math.PI * at) / 365)) / 0.6,
    ),
  /** Two shifts on six days, one in five left out, and a holiday of twelve days. */
  'in shifts': (u) =>
    Array.from({ length: 150 }, (_, day) => day)
      .filter((day) => day % 7 < 6 && !(day > 60 && day < 72))
      .flatMap((day) => [day + 0.25, day + 0.58].filter(() => u() < 0.8).map((at) => at + (u() - 0.5) / 20)),
};

/**
 * How often the band of 8 in 10 held what came, asked at moments picked evenly in time, 1, 3 and 8 runs ahead.
 * @param band of the n-th run from now; null where it says nothing
 */
export function coverageOf(input: {
  kind: KindOfUse;
  uniform: Uniform;
  lives: number;
  band: (starts: readonly number[], now: number, runs: number) => readonly [number, number] | null;
}): { asked: number; held: number } {
  const { kind, uniform, lives, band } = input;
  let [asked, held] = [0, 0];
  for (let life = 0; life < lives; life++) {
    const starts = kind(uniform).sort((a, b) => a - b);
    const [from, to] = [starts[21], starts[starts.length - 12]];
    if (from === undefined || to === undefined || to <= from) continue;
    for (let question = 0; question < 8; question++) {
      const now = from + uniform() * (to - from);
      const past = starts.filter((at) => at <= now);
      for (const runs of [1, 3, 8]) {
        const said = band(past.slice(-21), now, runs);
        if (!said) continue;
        const came = (starts[past.length + runs - 1] ?? Infinity) - now;
        asked += 1;
        if (came >= said[0] && came <= said[1]) held += 1;
      }
    }
  }
  return { asked, held };
}
