import {
  BODY_VERSION,
  seededRandom,
  type Container,
  type Entry,
  type EntryBodies,
  type SetUpVersion,
} from '@winter-jar/core';

/** Apart from the rest of the yard: one more can moves nothing else. */
const SEED = 44;
const HOUR_MS = 3_600_000;

const at = (name: string, vessel: Container['vessel'], holdsMl: number, more: Partial<Container> = {}): Container => ({
  ...{ name, vessel, holdsMl, siteId: 'ferry', place: 'store room' },
  ...more,
});
const COOL = { place: 'cellar shelf', tempC: 14 } as const;
const WARM = { place: 'shelf over the boiler', tempC: 30 } as const;

/** The shelf at Low Ferry. */
export const CONTAINERS: Record<string, Container> = {
  'can-4': at('Can 4', 'can', 20_000),
  'can-5': at('Can 5', 'can', 20_000),
  'bottle-b': at('Bottle B', 'bottle', 2500),
  'filter-2': at('Filter 2', 'filter', 2000, WARM),
  'jar-14': at('Jar 14', 'jar', 1000, WARM),
  'jar-17': at('Jar 17', 'jar', 1000, WARM),
  'jar-18': at('Jar 18', 'jar', 1000, COOL),
  'jar-19': at('Jar 19', 'jar', 1000, COOL),
  'tin-6': at('Tin 6', 'can', 5000, { siteId: 'loft', place: 'resin room' }),
  'drum-w': at('Drum W', 'drum', 60_000, { wasteKind: 'oil', place: 'bunded yard' }),
  'drum-s': at('Drum S', 'drum', 30_000, { wasteKind: 'oilWithSolvent', siteId: 'loft', place: 'bunded yard' }),
};

interface Said<K extends 'transfer' | 'stocktake' | 'opened' | 'mediaChange'> {
  readonly kind: K;
  readonly hoursBefore: number;
  readonly of: string;
  readonly body: EntryBodies[K];
}
type AnySaid = Said<'transfer'> | Said<'stocktake'> | Said<'opened'> | Said<'mediaChange'>;

const bought = (hoursBefore: number, toId: string, oilMl: number, productId: string, batch: string): AnySaid => ({
  ...{ kind: 'transfer', hoursBefore, of: toId },
  body: { toId, outside: 'bought', productId, oilMl, batch },
});
const poured = (hoursBefore: number, fromId: string, toId: string, oilMl: number, more = {}): AnySaid => ({
  ...{ kind: 'transfer', hoursBefore, of: fromId },
  body: { fromId, toId, oilMl, ...more },
});
const read = (hoursBefore: number, of: string, body: EntryBodies['stocktake']): AnySaid => ({
  ...{ kind: 'stocktake', hoursBefore, of },
  body,
});

/** Which change of a pump, counted back from its last one, drew from the shelf and was caught on it. */
const CHANGES: readonly { pumpId: string; back: number; from?: string; into?: string }[] = [
  { pumpId: 'lf-03', back: 5, from: 'can-4', into: 'jar-14' },
  { pumpId: 'lf-03', back: 4, from: 'can-4' },
  { pumpId: 'lf-03', back: 3, from: 'can-4', into: 'jar-14' },
  { pumpId: 'lf-03', back: 2, from: 'bottle-b', into: 'drum-w' },
  { pumpId: 'lf-03', back: 1, from: 'can-4', into: 'jar-17' },
  { pumpId: 'lf-03', back: 0, from: 'can-4', into: 'jar-18' },
  { pumpId: 'lf-01', back: 0, from: 'can-4', into: 'jar-19' },
  { pumpId: 'lf-02', back: 0, from: 'can-4', into: 'drum-w' },
  { pumpId: 'rl-02', back: 0, into: 'tin-6' },
];

const FIRST = { waterMl: 24, creamMl: 6, sludgeMl: 2 } as const;
const HISTORY: readonly AnySaid[] = [
  bought(1500, 'can-4', 20_000, 'linnet-68', 'K-2207'),
  { kind: 'opened', hoursBefore: 1490, of: 'can-4', body: {} },
  bought(300, 'can-5', 20_000, 'linnet-68', 'K-2291'),
  {
    ...{ kind: 'transfer', hoursBefore: 2000, of: 'drum-w' },
    body: { toId: 'drum-w', outside: 'notSaid', productId: 'linnet-68', oilMl: 44_000, estimated: true },
  },
  {
    ...{ kind: 'transfer', hoursBefore: 1900, of: 'drum-w' },
    body: {
      ...{ fromId: 'drum-w', outside: 'carrier', oilMl: 44_000 },
      ...{ carrier: 'Saltway Waste (made up)', noteNumber: '2031-007' },
    },
  },
  { kind: 'mediaChange', hoursBefore: 600, of: 'filter-2', body: { mediaId: 'paper-gravity', holdUpMl: 180 } },
  // Twice the whole way: stood, read, poured off, filtered; the rest to waste.
  read(450, 'jar-14', { oilMl: 878, hazyMl: 20, clarity: 'hazy', colour: 2, smell: 'none', ...FIRST }),
  poured(449, 'jar-14', 'filter-2', 850),
  poured(448, 'jar-14', 'drum-w', 28, FIRST),
  poured(430, 'filter-2', 'bottle-b', 670),
  read(300, 'jar-14', { oilMl: 858, hazyMl: 10, clarity: 'hazy', colour: 2, smell: 'none', ...FIRST }),
  poured(299, 'jar-14', 'filter-2', 840),
  poured(298, 'jar-14', 'drum-w', 18, FIRST),
  poured(285, 'filter-2', 'bottle-b', 840, { throughHours: 12.5 }),
  read(260, 'bottle-b', { oilMl: 1510, clarity: 'bright', colour: 2, smell: 'none' }),
  read(240, 'bottle-b', { oilMl: 505, clarity: 'bright', colour: 2, smell: 'none' }),
  // Half way: it stood, was read, and is to be poured off.
  read(30, 'jar-17', { oilMl: 880, hazyMl: 60, clarity: 'hazy', colour: 2.5, waterMl: 48, creamMl: 12, sludgeMl: 4 }),
];

/** What the oil store adds to the yard: records, entries, and which changes drew from it. */
export function withStore(input: {
  versions: readonly SetUpVersion[];
  entries: readonly Entry[];
  nowMs: number;
  from: string;
}): { versions: SetUpVersion[]; entries: Entry[] } {
  const { versions, entries, nowMs, from } = input;
  const ids = seededRandom(SEED);
  const records = Object.entries(CONTAINERS).map(([subjectId, body]) => ({
    ...{ id: ids.uuid(Date.parse(from)), kind: 'container' as const, subjectId },
    ...{ validFrom: from, recordedAt: from, body },
  }));
  const drawn = new Map<string, EntryBodies['change']>();
  for (const { pumpId, back, from: fromContainerId, into: intoContainerId } of CHANGES) {
    const changes = entries.filter((e) => e.kind === 'change' && e.subjects.some((s) => s.id === pumpId));
    const change = changes.at(-1 - back);
    if (change?.kind !== 'change') continue;
    drawn.set(change.id, {
      ...change.body,
      ...(fromContainerId ? { fromContainerId } : {}),
      ...(intoContainerId ? { intoContainerId } : {}),
    });
  }
  const said = HISTORY.map(({ kind, hoursBefore, of, body }): Entry => {
    const happenedAt = new Date(nowMs - hoursBefore * HOUR_MS).toISOString();
    const id = ids.uuid(Date.parse(happenedAt));
    return {
      ...{ id, actId: id, kind, body, subjects: [{ type: 'container', id: of }] },
      ...{ happenedAt, zone: 'Europe/Lisbon', precision: 'exact', recordedAt: happenedAt },
      ...{ who: 'wren', device: 'yard tablet (simulated)', acknowledged: [], bodyVersion: BODY_VERSION },
    } as Entry;
  });
  return {
    versions: [...versions, ...records],
    entries: [...entries.map((e) => (drawn.has(e.id) ? ({ ...e, body: drawn.get(e.id) } as Entry) : e)), ...said],
  };
}
