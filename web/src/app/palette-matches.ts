import type { RoundRow } from '@winter-jar/contracts';
import {
  CAUSES,
  CHECKS,
  SPOKEN_OF_CAUSES,
  SPOKEN_OF_CHECKS,
  SPOKEN_WORDS,
  type CauseId,
  type CheckId,
} from '@winter-jar/core';
import Fuse from 'fuse.js';
import { actionPath, actionsOffered } from '../words/pump-actions.js';

const MAX_PUMPS = 20;
const MAX_ACTIONS = 12;

type Row = Pick<RoundRow, 'pumpId' | 'name' | 'kind' | 'siteName' | 'equipmentName'> & { readonly bleeds?: boolean };

/** Something to do on a pump. */
export interface PaletteDeed {
  readonly row: Row;
  readonly path: string;
  readonly words: string;
}

/** As it is typed: small letters, the plain apostrophe. */
const plain = (text: string): string => text.toLowerCase().replaceAll('’', "'");
const textOf = (row: Row): string => plain(`${row.name} ${row.siteName} ${row.equipmentName}`);

/** Whoever types a complaint or a cause wants to find what is wrong. */
const COMPLAINTS = spokenOf([
  ...Object.values(SPOKEN_WORDS).flat(),
  ...(Object.keys(CAUSES) as CauseId[]).flatMap((id) => [CAUSES[id].name, ...SPOKEN_OF_CAUSES[id]]),
]);

/** Words that are found by how they begin: “log” is not in “clogged”. */
function spokenOf(words: readonly string[]): string {
  return ` ${plain(words.join(' ')).replace(/[^\p{L}\p{N}']+/gu, ' ')}`;
}

interface Known {
  readonly deed: PaletteDeed;
  /** Under which it is found. */
  readonly text: string;
  /** What people call it. */
  readonly spoken: string;
  readonly isTest: boolean;
}

function deedsOf(row: Row): Known[] {
  const actions = actionsOffered(row, 'search').map(({ id, words }): Known => {
    return {
      deed: { row, path: actionPath(row.pumpId, { action: id }), words: words.toLowerCase() },
      text: `${textOf(row)} ${plain(words)}`,
      spoken: id === 'findCause' ? COMPLAINTS : '',
      isTest: false,
    };
  });
  if (row.kind !== 'vane') return actions;
  const checks = (Object.keys(CHECKS) as CheckId[]).map((id): Known => {
    const { name } = CHECKS[id];
    return {
      deed: { row, path: `${actionPath(row.pumpId, { action: 'test' })}?check=${id}`, words: `test: ${name}` },
      text: textOf(row),
      spoken: spokenOf(['test', name, ...SPOKEN_OF_CHECKS[id]]),
      isTest: true,
    };
  });
  return [...actions, ...checks];
}

/** Under words of four letters nothing is nearly right. */
const NEARLY = { threshold: 0.3, ignoreLocation: true, minMatchCharLength: 4 } as const;

/**
 * Pumps and deeds that hold every word typed, else those that nearly do; deeds only once something is typed. Names that begin with
 * it come first.
 */
export function paletteMatches(
  rows: readonly Row[],
  search: string,
): { pumps: readonly Row[]; deeds: readonly PaletteDeed[] } {
  const typed = plain(search).trim();
  const tokens = typed.split(/\s+/).filter(Boolean);
  if (tokens.length === 0) return { pumps: rows.slice(0, MAX_PUMPS), deeds: [] };
  const holds = (text: string, spoken = '') => tokens.every((t) => text.includes(t) || spoken.includes(` ${t}`));
  const begins = (row: Row) => Number(row.name.toLowerCase().startsWith(tokens[0] ?? ''));
  const sorted = [...rows].sort((a, b) => begins(b) - begins(a));
  const pumps = sorted.filter((row) => holds(textOf(row))).slice(0, MAX_PUMPS);
  const deeds: PaletteDeed[] = [];
  for (const row of sorted) {
    if (deeds.length >= MAX_ACTIONS) break;
    // Where the pump alone is typed, what is done on it; its tests are asked for.
    const isNamed = holds(textOf(row));
    const known = deedsOf(row).filter(({ text, spoken, isTest }) => holds(text, spoken) && !(isTest && isNamed));
    deeds.push(...known.map(({ deed }) => deed));
  }
  if (pumps.length + deeds.length > 0) return { pumps, deeds: deeds.slice(0, MAX_ACTIONS) };
  return nearly(rows, typed);
}

/** The pumps that are nearly called so; else what is nearly called so on the first of them. */
function nearly(rows: readonly Row[], typed: string): { pumps: readonly Row[]; deeds: readonly PaletteDeed[] } {
  const named = new Fuse(rows, { keys: ['name', 'siteName', 'equipmentName'], ...NEARLY });
  const pumps = named.search(typed, { limit: MAX_PUMPS }).map(({ item }) => item);
  const [first] = rows;
  if (pumps.length > 0 || !first) return { pumps, deeds: [] };
  const known = new Fuse(deedsOf(first), { keys: ['text', 'spoken'], ...NEARLY });
  return { pumps: [], deeds: known.search(typed, { limit: MAX_ACTIONS }).map(({ item }) => item.deed) };
}

/** Containers of the oil store whose name or place holds every word typed. */
export function containerMatches<
  T extends { readonly name: string; readonly place?: string | null; readonly gone?: boolean | null },
>(containers: Readonly<Record<string, T>>, search: string): readonly (readonly [id: string, container: T])[] {
  const tokens = plain(search).trim().split(/\s+/).filter(Boolean);
  if (tokens.length === 0) return [];
  const holds = ({ name, place, gone }: T) => !gone && tokens.every((t) => plain(`${name} ${place ?? ''}`).includes(t));
  return Object.entries(containers)
    .filter(([, container]) => holds(container))
    .slice(0, MAX_ACTIONS);
}
