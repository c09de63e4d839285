/** What a place in a pattern takes. `any`: whatever stands there. */
type Place = 'value' | 'unit' | 'time' | 'any';
type Token = { readonly text: string } | { readonly place: Place } | { readonly blanks: true };

export type LinePattern = readonly Token[];
export type PatternIssueCode = 'noValue' | 'twoValues' | 'unknownPlace' | 'twoInOne';
export type PatternRead =
  | { readonly ok: true; readonly pattern: LinePattern }
  | { readonly ok: false; readonly issue: { readonly code: PatternIssueCode; readonly found: string } };

const PLACES: Readonly<Record<string, Place>> = {
  '{value}': 'value',
  '{unit}': 'unit',
  '{time}': 'time',
  '{*}': 'any',
};

/**
 * A pattern of lines as a person writes it: `P1 {value} {unit}`. Words stand for themselves, places in braces for what differs,
 * blanks for any number of blanks. It is read from left to right once, so that no line can make it try for long.
 */
export function readPattern(text: string): PatternRead {
  const tokens: Token[] = [];
  const refuse = (code: PatternIssueCode, found: string): PatternRead => ({ ok: false, issue: { code, found } });
  for (const [part] of text.trim().matchAll(/\{[^{}]*\}|\s+|[^{\s]+|\{/g)) {
    const last = tokens.at(-1);
    if (part.startsWith('{')) {
      const place = PLACES[part];
      if (!place) return refuse('unknownPlace', part);
      if (last && 'place' in last && last.place === 'any' && place !== 'value') return refuse('twoInOne', part);
      tokens.push({ place });
    } else if (part.trim() === '') tokens.push({ blanks: true });
    else tokens.push({ text: part });
  }
  const values = tokens.filter((t) => 'place' in t && t.place === 'value').length;
  if (values === 0) return refuse('noValue', text);
  if (values > 1) return refuse('twoValues', '{value}');
  return { ok: true, pattern: tokens };
}

export interface LineFound {
  readonly value: string;
  readonly unit: string | null;
  readonly time: string | null;
}

/** A number as gauges write it; anything else up to the next blank, comma or semicolon is a word such as OVER. */
const NUMBER = /[+-]?(?:\d+(?:[.,]\d+)?|[.,]\d+)(?:[eE][+-]?\d+)?/y;
const WORD = /[^\s;,]+/y;
const UNIT = /[^\s\d;,=]+/y;
const TIME = /[\dTZ:.+-]+(?: \d[\d:.]*)?/y;
const BLANKS = /\s*/y;

const at = (form: RegExp, line: string, from: number): string | null => {
  form.lastIndex = from;
  return form.exec(line)?.[0] ?? null;
};

/** What a line says where it looks like the pattern; null where it looks otherwise. What stands behind its end does not count. */
export function matchLine(pattern: LinePattern, line: string): LineFound | null {
  const found: { value: string | null; unit: string | null; time: string | null } = {
    value: null,
    unit: null,
    time: null,
  };
  let here = at(BLANKS, line, 0)?.length ?? 0;
  let skips = false;
  for (const token of pattern) {
    if ('blanks' in token) {
      here += at(BLANKS, line, here)?.length ?? 0;
      continue;
    }
    if ('text' in token) {
      const there = skips ? line.indexOf(token.text, here) : line.startsWith(token.text, here) ? here : -1;
      if (there < 0) return null;
      here = there + token.text.length;
      skips = false;
      continue;
    }
    if (token.place === 'any') {
      skips = true;
      continue;
    }
    if (skips) {
      // Up to where a figure begins, behind what is left out.
      const next = line.slice(here).search(/(?<![\w.])[+-]?[.,]?\d/);
      if (next < 0) return null;
      here += next;
      skips = false;
    }
    const taken =
      token.place === 'value'
        ? (at(NUMBER, line, here) ?? at(WORD, line, here))
        : at(token.place === 'unit' ? UNIT : TIME, line, here);
    if (taken === null) return null;
    found[token.place] = taken;
    here += taken.length;
  }
  return found.value === null ? null : { ...found, value: found.value };
}
