// How soon meltwater is noticed, and how often clean oil is suspected: simulated dryers whose trap nobody has described.

const YARDS = 60;
const WEEKS = 40;
const MELTWATER = { fromRun: 60, ml: 20 };
const WITHIN_RUNS = 2;
const LIMITS = { noticed: 0.95, falseAlarms: 0.05 };

/** @returns shares of the yards in which meltwater was noticed, and of clean charges that were suspected */
export function benchWater({ core, at, bookOf }) {
  const book = bookOf();
  let [noticed, charges, suspected] = [0, 0, 0];
  for (let seed = 1; seed <= YARDS; seed++) {
    const trapWarmerK = (8 * (seed % 13)) / 12;
    const life = (meltwater) =>
      core.simulatePump({
        profile: { ...DRYER, condition: { trapWarmerK }, ...(meltwater ? { meltwater } : {}) },
        book,
        from: at(0),
        until: at(WEEKS * 7 * 24),
        random: core.seededRandom(seed),
      });
    /** By entry, whether more than expected was found on its charge by then; asked where somebody bled or looked. */
    const saidOf = (all) => {
      let state = core.initialState('p1');
      return all.map((entry, i) => {
        const now = entry.happenedAt;
        state = core.step(state, entry, book.pumpAt({ pumpId: 'p1', instant: now }));
        if (entry.kind !== 'bleed' && entry.kind !== 'look') return false;
        const entries = all.slice(0, i + 1);
        return core.waterStory({ pumpId: 'p1', entries, state, book, now })?.budget.says === 'more';
      });
    };
    const wet = life(MELTWATER);
    const runs = wet.flatMap((e, i) => (e.kind === 'run' ? [i] : []));
    const from = runs[MELTWATER.fromRun];
    const until = runs[MELTWATER.fromRun + WITHIN_RUNS] ?? wet.length;
    if (saidOf(wet).slice(from, until).some(Boolean)) noticed += 1;

    const clean = life(null);
    const changes = clean.flatMap((e, i) => (e.kind === 'change' ? [i] : []));
    const said = saidOf(clean);
    for (const [n, start] of changes.entries()) {
      charges += 1;
      if (said.slice(start, changes[n + 1]).some(Boolean)) suspected += 1;
    }
  }
  return { noticed: noticed / YARDS, falseAlarms: suspected / charges, yards: YARDS, charges, limits: LIMITS };
}

const HISTORIES = 400;
const LEAST_STRETCHES = 5;

/** @returns how far from 9 in 10 the share of true factors of a trap, 0.2 to 4, is that its interval holds after five stretches */
export function trapCoverage({ core, trapHistory }) {
  const held = Array.from({ length: HISTORIES }, (_, i) => trapHistory(20_000 + i, undefined, LEAST_STRETCHES)).filter(
    ({ truth, segments }) => {
      const fit = core.fitTrapEfficiency(segments);
      return fit.ok && fit.low <= truth && truth <= fit.high;
    },
  ).length;
  return { held: held / HISTORIES, off: Math.abs(held / HISTORIES - 0.9), limit: 0.05, histories: HISTORIES };
}

const DRYER = {
  pumpId: 'p1',
  runsPerWeek: 2.5,
  shift: [6, 12],
  hours: 30,
  materials: ['fd-paper-wet', 'fd-paper-damp'],
  ballast: 'closed',
  trapTempC: [-48, -38],
  diligence: 0.95,
  looksEveryRuns: 2,
};
