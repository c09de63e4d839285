import type { RoundRow } from '@winter-jar/contracts';
import { actionsOffered, type PumpActionId } from '../words/pump-actions.js';

const MAX_PUMPS = 20;
const MAX_ACTIONS = 12;

type Row = Pick<RoundRow, 'pumpId' | 'name' | 'kind' | 'siteName' | 'equipmentName'> & { readonly bleeds?: boolean };
const textOf = (row: Row): string => `${row.name} ${row.siteName} ${row.equipmentName}`.toLowerCase();

/** Pumps and deeds that hold every word typed; deeds only once something is typed. Names that begin with it come first. */
export function paletteMatches(
  rows: readonly Row[],
  search: string,
): { pumps: Row[]; deeds: { row: Row; action: PumpActionId; words: string }[] } {
  const tokens = search.toLowerCase().split(/\s+/).filter(Boolean);
  const holds = (text: string) => tokens.every((t) => text.includes(t));
  const begins = (row: Row) => Number(row.name.toLowerCase().startsWith(tokens[0] ?? ''));
  const sorted = tokens.length > 0 ? [...rows].sort((a, b) => begins(b) - begins(a)) : rows;
  const deeds =
    tokens.length === 0
      ? []
      : sorted.flatMap((row) =>
          actionsOffered(row, 'search').map(({ id, words }) => ({ row, action: id, words: words.toLowerCase() })),
        );
  return {
    pumps: sorted.filter((row) => holds(textOf(row))).slice(0, MAX_PUMPS),
    deeds: deeds.filter(({ row, words }) => holds(`${textOf(row)} ${words}`)).slice(0, MAX_ACTIONS),
  };
}
