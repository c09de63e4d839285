import type { RoundRow } from '@winter-jar/contracts';

export interface PaletteAction {
  readonly path: string;
  readonly words: string;
}

/** What can be done on a pump from anywhere. */
const ACTIONS: readonly PaletteAction[] = [
  { path: 'run', words: 'log a run' },
  { path: 'look', words: 'look at oil' },
  { path: 'bleed', words: 'bleed' },
  { path: 'change', words: 'change oil' },
  { path: 'top-up', words: 'top up' },
  { path: 'lab-sample', words: 'draw a lab sample' },
  { path: 'lab-report', words: 'enter a lab report' },
  { path: 'what-is-wrong', words: 'find the cause' },
  { path: 'leak-hunt', words: 'hunt a leak' },
  { path: 'meter', words: 'read the hour meter' },
  { path: 'done', words: 'task done' },
  { path: 'label', words: 'cart label' },
];
const NEEDS_OIL: readonly string[] = [
  'look',
  'bleed',
  'change',
  'top-up',
  'lab-sample',
  'lab-report',
  'what-is-wrong',
  'leak-hunt',
];
const MAX_PUMPS = 20;
const MAX_ACTIONS = 12;

type Row = Pick<RoundRow, 'pumpId' | 'name' | 'kind' | 'siteName' | 'equipmentName'>;
const textOf = (row: Row): string => `${row.name} ${row.siteName} ${row.equipmentName}`.toLowerCase();

/** Pumps and deeds that hold every word typed; deeds only once something is typed. Names that begin with it come first. */
export function paletteMatches(
  rows: readonly Row[],
  search: string,
): { pumps: Row[]; deeds: { row: Row; action: PaletteAction }[] } {
  const tokens = search.toLowerCase().split(/\s+/).filter(Boolean);
  const holds = (text: string) => tokens.every((t) => text.includes(t));
  const begins = (row: Row) => Number(row.name.toLowerCase().startsWith(tokens[0] ?? ''));
  const sorted = tokens.length > 0 ? [...rows].sort((a, b) => begins(b) - begins(a)) : rows;
  const deeds =
    tokens.length === 0
      ? []
      : sorted.flatMap((row) =>
          ACTIONS.filter((a) => row.kind !== 'dry' || !NEEDS_OIL.includes(a.path)).map((action) => ({ row, action })),
        );
  return {
    pumps: sorted.filter((row) => holds(textOf(row))).slice(0, MAX_PUMPS),
    deeds: deeds.filter(({ row, action }) => holds(`${textOf(row)} ${action.words}`)).slice(0, MAX_ACTIONS),
  };
}
