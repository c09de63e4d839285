import type { RoundAnswer, RoundParts, RoundRow } from '@winter-jar/contracts';

/** Questions may be under way at once: each answer is laid over the one that it was asked with. */
const HELD = 4;

/** Rows of the last answers, by their tags. A row that was not sent again stays the same object. */
const held = new Map<string, ReadonlyMap<string, RoundRow>>();

/** Tag of the last answer, to be asked with. */
export const lastHeld = (): string | undefined => [...held.keys()].at(-1);

/** The Round made whole. @throws Error when it was laid over rows that are not held any more: the next question asks for all */
export function madeWhole({ tag, over, order, ...round }: RoundParts): RoundAnswer {
  const before = over === null ? undefined : held.get(over);
  const rows = new Map([...(before ?? []), ...round.rows.map((row) => [row.pumpId, row] as const)]);
  const whole = order.map((pumpId) => rows.get(pumpId));
  held.delete(tag);
  if (whole.includes(undefined)) {
    held.clear();
    throw new Error('the rows that this Round is laid over are not here any more');
  }
  const kept = whole as RoundRow[];
  held.set(tag, new Map(kept.map((row) => [row.pumpId, row])));
  const [oldest] = held.keys();
  if (held.size > HELD && oldest !== undefined) held.delete(oldest);
  return { ...round, rows: kept };
}
