import type { SetUpVersion } from '@winter-jar/core';
import { at, START } from '@winter-jar/core/testing';
import { JournalWriter } from '../journal/journal-writer.js';
import { SERVER } from '../journal/actor.js';
import type { ServedHouse } from './served-house.js';

/** Stands in whatever belongs to the other site, and nowhere else. */
export const ELSEWHERE = 'Elsewhere';

/** When p1 came from the other site to its own. */
export const MOVED_AT = at(10);

/** A site beside the small yard's, with a pump at its line, a jar and a gauge; a jar and a gauge of the small yard's; and p1 came from there. */
export function addOtherSite(served: ServedHouse): void {
  const { book } = served.house.store;
  const { pump } = book.at(START);
  const jar = { vessel: 'jar', holdsMl: 2000 };
  const gauge = {
    talks: 'lines',
    host: '127.0.0.1',
    port: 1,
    channels: [{ key: 'p', means: 'pressure', pattern: '{value}' }],
  };
  const records: [SetUpVersion['kind'], string, object, string?][] = [
    ['site', 'north', { name: `${ELSEWHERE} hall`, process: 'packaging', zone: 'Europe/Lisbon' }],
    ['equipment', 'n-line', { ...book.at(START).equipment.line, name: `${ELSEWHERE} line`, siteId: 'north' }],
    ['pump', 'n1', { ...pump.p1, name: `${ELSEWHERE} N-1`, siteId: 'north', equipmentId: 'n-line' }],
    ['pump', 'p1', { ...pump.p1, siteId: 'north', equipmentId: 'n-line' }],
    ['pump', 'p1', pump.p1 as object, MOVED_AT],
    ['container', 'n-jar', { ...jar, name: `${ELSEWHERE} jar`, siteId: 'north' }],
    ['container', 'own-jar', { ...jar, name: 'Own jar', siteId: 'site' }],
    ['instrument', 'n-gauge', { ...gauge, name: `${ELSEWHERE} gauge`, equipmentId: 'n-line', pumpId: 'n1' }],
    ['instrument', 'own-gauge', { ...gauge, name: 'Own gauge', equipmentId: 'chamber', pumpId: 'p1' }],
  ];
  const versions = records.map(([kind, subjectId, body, validFrom = START], i) => {
    const id = `20000000-0000-4000-8000-${String(i).padStart(12, '0')}`;
    return { id, kind, subjectId, validFrom, recordedAt: at(20 + i), body } as SetUpVersion;
  });
  const [issue] = served.app.get(JournalWriter).writeSetUp(SERVER, versions);
  if (issue) throw new Error(`${issue.field}: ${issue.right}`);
}
