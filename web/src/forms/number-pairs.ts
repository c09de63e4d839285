import { typedNumber } from '../ui/typed-number.js';

/** Two numbers on each line, as people type or paste them; a first line without numbers is a heading. */
export type Pairs =
  | { readonly ok: true; readonly pairs: readonly (readonly [number, number])[] }
  | { readonly ok: false; readonly line: number; readonly text: string };

function numberOf(part: string): number {
  const read = typedNumber(part);
  return read.ok ? read.value : NaN;
}

/** Parts of a line: by semicolon, tab, colon, equals sign or blanks; by a comma where nothing else parts them. */
function partsOf(line: string): string[] {
  const parts = line.split(/[\s;:=]+/).filter(Boolean);
  return parts.length === 1 ? line.split(',') : parts.map((part) => part.replace(/,$/, ''));
}

export function readNumberPairs(text: string): Pairs {
  const pairs: [number, number][] = [];
  for (const [i, raw] of text.replace(/−/g, '-').split(/\r?\n/).entries()) {
    const line = raw.trim();
    if (line === '' || (i === 0 && !/\d/.test(line))) continue;
    const [a = NaN, b = NaN, ...more] = partsOf(line).map(numberOf);
    if (more.length > 0 || !Number.isFinite(a) || !Number.isFinite(b)) return { ok: false, line: i + 1, text: line };
    pairs.push([a, b]);
  }
  return { ok: true, pairs };
}
