import { subjectKey, type Projection } from '../fold/index.js';
import { orderKeyOf, type Entry, type OrderKey } from '../journal/index.js';
import { at } from './small-yard.js';

/** Oil that is poured between containers and a sump: the smallest projection whose subjects are tied to one another. */
export interface PouredOil {
  readonly foldVersion: number;
  readonly place: string;
  readonly entries: number;
  readonly last: OrderKey | null;
  /** µL by where the oil once came from. */
  readonly lots: Readonly<Record<string, number>>;
}

interface Poured {
  /** Null: bought, and `lot` names it. */
  readonly from: string | null;
  readonly to: string;
  readonly ul: number;
  readonly lot?: string;
}

const place = (name: string) => ({ type: name.startsWith('sump') ? 'sump' : 'container', id: name });
const sum = (lots: PouredOil['lots']) => Object.values(lots).reduce((a, b) => a + b, 0);

let made = 0;
/** So much oil poured from one place into another, or bought into one. */
export function pourAt(hours: number, body: Poured): Entry {
  made += 1;
  const id = `30000000-0000-4000-8000-${String(made).padStart(12, '0')}`;
  const subjects = [...(body.from ? [place(body.from)] : []), place(body.to)];
  return {
    id,
    actId: id,
    kind: 'pour',
    body,
    subjects,
    happenedAt: at(hours),
    recordedAt: at(hours),
  } as unknown as Entry;
}

/** Shares of an amount by its lots, whole µL; what is left of rounding goes to the first. */
function shareOf(lots: PouredOil['lots'], ul: number): Record<string, number> {
  const all = sum(lots);
  const shares = Object.fromEntries(Object.entries(lots).map(([lot, has]) => [lot, Math.floor((has * ul) / all)]));
  const [first] = Object.keys(shares);
  if (first !== undefined) shares[first] = (shares[first] ?? 0) + ul - sum(shares);
  return shares;
}

const added = (lots: PouredOil['lots'], more: PouredOil['lots'], sign: 1 | -1) =>
  Object.fromEntries(
    [...new Set([...Object.keys(lots), ...Object.keys(more)])]
      .sort()
      .map((lot) => [lot, (lots[lot] ?? 0) + sign * (more[lot] ?? 0)]),
  );

export const pouredOil: Projection<PouredOil> = {
  types: ['container', 'sump'],
  version: 1,
  together: true,
  first: ({ id }) => ({ foldVersion: 1, place: id, entries: 0, last: null, lots: {} }),
  step(states, entry) {
    const { from, to, ul, lot } = entry.body as unknown as Poured;
    const source = from ? states.get(subjectKey(place(from))) : null;
    const moved = source ? shareOf(source.lots, Math.min(ul, sum(source.lots))) : { [lot ?? 'bought']: ul };
    const next = new Map<string, PouredOil>();
    for (const [key, state] of states) {
      const lots = added(state.lots, moved, state.place === to ? 1 : -1);
      next.set(key, { ...state, lots, entries: state.entries + 1, last: orderKeyOf(entry) });
    }
    return next;
  },
  periodEndedBy: () => null,
};
