import { initialState, type Entry, type OrderKey, type PumpState } from '@winter-jar/core';
import type { ReadingStatements } from '../database/statements.js';

/** The entries of a pump's last so many ended charges and of the present one, and the state before them. */
export function lastCharges(
  sql: ReadingStatements,
  pumpId: string,
  charges: number,
): { from: PumpState; key: OrderKey; entries: Entry[] } {
  const before = sql.endedCharges.all(pumpId, charges + 1);
  const text = before.length > charges ? before.at(-1)?.state : undefined;
  const from = text ? (JSON.parse(text) as PumpState) : initialState(pumpId);
  const key = from.last ?? { happenedAt: '', recordedAt: '', id: '' };
  const { id: entryId, ...moment } = key;
  const rows = sql.countedFrom.all({ subjectType: 'pump', subjectId: pumpId, ...moment, entryId });
  return { from, key, entries: rows.map((r) => JSON.parse(r.content) as Entry) };
}
