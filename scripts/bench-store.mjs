// A trace over a hundred thousand movements, held against one pass over them that carries every purchase along.

const MOVES = 100_000;
const CONTAINERS = 60;

/** @returns how long a trace takes beside one pass in time order, and by how much the two differ at most, µL */
export function benchTrace({ core, timed, median }) {
  const random = core.seededRandom(31);
  const places = Array.from({ length: CONTAINERS }, (_, i) => `container:c${i}`);
  const held = new Map();
  const moves = [];
  for (let i = 0; i < MOVES; i += 1) {
    const to = random.pick(places);
    const bought = random.chance(0.002);
    const from = bought ? 'bought' : random.pick(places);
    if (from === to) continue;
    const there = held.get(from) ?? 0;
    const uL = bought ? 20_000_000 : Math.floor(there * random.between([0.05, 0.9]));
    if (uL <= 0) continue;
    if (!bought) held.set(from, there - uL);
    const heldAfterUL = (held.get(to) ?? 0) + uL;
    held.set(to, heldAfterUL);
    const part = { phase: 'oil', lot: null, productId: 'a', rounds: 0, passes: 0, uL };
    moves.push({ entryId: `e${i}`, at: String(i).padStart(7, '0'), from, to, parts: [part], heldAfterUL });
  }
  const place = places[0];
  const wanted = { oil: held.get(place) ?? 0 };
  /** One pass in time order: each place with what it holds of the last purchases. */
  const pass = () => {
    const holds = new Map();
    const tags = new Map(places.map((p) => [p, new Map()]));
    for (const { entryId, from, to, parts } of moves) {
      const { uL } = parts[0];
      const there = holds.get(from) ?? 0;
      if (from === 'bought') tags.get(to).set(entryId, (tags.get(to).get(entryId) ?? 0) + uL);
      else {
        const share = uL / there;
        const [mine, theirs] = [tags.get(from), tags.get(to)];
        for (const [lot, has] of mine) {
          const going = has * share;
          if (has - going < 1) mine.delete(lot);
          else mine.set(lot, has - going);
          theirs.set(lot, (theirs.get(lot) ?? 0) + going);
        }
        holds.set(from, there - uL);
      }
      holds.set(to, (holds.get(to) ?? 0) + uL);
    }
    return tags.get(place);
  };
  const trace = () => core.traceBack({ moves, place, held: wanted });
  const slow = pass();
  const found = new Map();
  for (const m of trace().moves) if (m.from === 'bought') found.set(m.entryId, (found.get(m.entryId) ?? 0) + m.uL);
  const apart = Math.max(...[...found].map(([lot, uL]) => Math.abs(uL - (slow.get(lot) ?? 0))));
  return { traceMs: median(timed(5, trace)), passMs: median(timed(3, pass)), apart, moves: moves.length };
}
