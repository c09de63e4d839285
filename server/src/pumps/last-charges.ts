import { initialState, type Entry, type OrderKey, type PumpState } from '@winter-jar/core';
import type { Reading } from '../database/reading.js';

/** The entries of a pump's last so many ended charges and of the present one, and the state before them. */
export async function lastCharges(
  { sql, records }: Reading,
  pumpId: string,
  charges: number,
): Promise<{ from: PumpState; key: OrderKey; entries: Entry[] }> {
  const ended = await records.endedCharges<PumpState>(pumpId, charges + 1);
  const from = ended[charges] ?? initialState(pumpId);
  const key = from.last ?? { happenedAt: '', recordedAt: '', id: '' };
  const { id: entryId, ...moment } = key;
  const rows = sql.countedFrom.all({ subjectType: 'pump', subjectId: pumpId, ...moment, entryId });
  return { from, key, entries: rows.map((r) => JSON.parse(r.content) as Entry) };
}
