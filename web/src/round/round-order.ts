import { uncapital } from '../ui/number.js';
import type { RoundRow } from '@winter-jar/contracts';

export const ORDERS = ['site', 'runs', 'day'] as const;
export type RoundOrder = (typeof ORDERS)[number];

export interface RoundGroup {
  readonly key: string;
  readonly title: string;
  readonly note: string | null;
  readonly rows: readonly RoundRow[];
}

const FIRST: readonly { readonly title: string; readonly has: (row: RoundRow) => boolean }[] = [
  { title: 'Needs hands', has: ({ verdict }) => verdict === 'stop' || verdict === 'beforeNextRun' },
  { title: 'Wants a look', has: ({ verdict }) => verdict === 'lookSooner' },
  { title: 'Service overdue', has: ({ verdict, overdue }) => verdict === 'runOn' && overdue.length > 0 },
];
const dueInDays = (row: RoundRow): number =>
  row.nextTask?.status === 'reached' || row.nextTask?.status === 'now'
    ? 0
    : (row.nextTask?.forecast?.p50Days ?? Infinity);

const DAY_GROUPS: readonly { readonly title: string; readonly withinDays: number }[] = [
  { title: 'Due now', withinDays: 0 },
  { title: 'Within a week', withinDays: 7 },
  { title: 'Within a month', withinDays: 31 },
  { title: 'Later', withinDays: Infinity },
];

function bySite(rows: readonly RoundRow[]): RoundGroup[] {
  const groups = new Map<string, RoundRow[]>();
  for (const row of rows) groups.set(row.siteId, [...(groups.get(row.siteId) ?? []), row]);
  return [...groups].map(([key, members]) => ({
    key,
    title: members[0]?.siteName ?? key,
    note: members[0]?.siteNote ?? null,
    rows: members,
  }));
}

function byDay(rows: readonly RoundRow[]): RoundGroup[] {
  const sorted = [...rows].sort((a, b) => dueInDays(a) - dueInDays(b));
  return DAY_GROUPS.map(({ title, withinDays }, i) => {
    const after = DAY_GROUPS[i - 1]?.withinDays ?? -1;
    return {
      key: title,
      title,
      note: null,
      rows: sorted.filter((r) => dueInDays(r) > after && dueInDays(r) <= withinDays),
    };
  }).filter((g) => g.rows.length > 0);
}

/** The Round begins with the groups that its heading counts; the rest follows by site, by runs left or by day. Rows come in the order of need. */
export function roundGroups(rows: readonly RoundRow[], order: RoundOrder): RoundGroup[] {
  const first = FIRST.map(({ title, has }) => ({ key: title, title, note: null, rows: rows.filter(has) }));
  const rest = rows.filter((r) => !FIRST.some(({ has }) => has(r)));
  const groups: Readonly<Record<RoundOrder, () => RoundGroup[]>> = {
    site: () => bySite(rest),
    runs: () => [
      {
        key: 'runs',
        title: 'By runs left',
        note: null,
        rows: [...rest].sort((a, b) => (a.runsLeft ?? Infinity) - (b.runsLeft ?? Infinity)),
      },
    ],
    day: () => byDay(rest),
  };
  return [...first, ...groups[order]()].filter((g) => g.rows.length > 0);
}

const COUNT_WORDS = [
  'No',
  'One',
  'Two',
  'Three',
  'Four',
  'Five',
  'Six',
  'Seven',
  'Eight',
  'Nine',
  'Ten',
  'Eleven',
  'Twelve',
];

const countWords = (count: number): string => COUNT_WORDS[count] ?? String(count);

/** Pumps that want a look before their time, and nothing harder. */
export const looksOf = (rows: readonly Pick<RoundRow, 'verdict'>[]): number =>
  rows.filter((r) => r.verdict === 'lookSooner').length;

/** The sentence of the day: Stop and before next run, then those that want a look. */
export function sentenceOfTheDay(needHands: number, looks: number): string {
  const look = looks === 0 ? '' : `, ${uncapital(countWords(looks))} want${looks === 1 ? 's' : ''} a look`;
  if (needHands === 0)
    return looks === 0 ? 'No pump needs hands today' : `No pump must be stopped or changed today${look}`;
  return `${countWords(needHands)} pump${needHands === 1 ? ' needs' : 's need'} hands today${look}`;
}

/** The second sentence: service that is overdue is no verdict on the oil. Empty where nothing is. */
export function sentenceOfService(overdue: number, needHands: number): string {
  if (overdue === 0) return '';
  const count = countWords(overdue) + (needHands > 0 ? ' more' : '');
  return `${count} ha${overdue === 1 ? 's' : 've'} service overdue.`;
}
