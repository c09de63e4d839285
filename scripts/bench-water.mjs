// How soon meltwater is noticed, and how often clean oil is suspected: simulated dryers whose trap nobody has described.

const YARDS = 60;
const WEEKS = 40;
const MELTWATER = { fromRun: 60, ml: 20 };
const WITHIN_RUNS = 2;
const LIMITS = { noticed: 0.9, falseAlarms: 0.05 };

/** @returns shares of the yards in which meltwater was noticed, and of clean charges that were suspected */
export function benchWater({ core, at, bookOf }) {
  const book = bookOf();
  let [noticed, charges, suspected] = [0, 0, 0];
  for (let seed = 1; seed <= YARDS; seed++) {
    const efficiency = 0.4 + (0.6 * (seed % 13)) / 12;
    const life = (meltwater) =>
      core.simulatePump({
        profile: { ...DRYER, trap: { efficiency, ...(meltwater ? { meltwater } : {}) } },
        book,
        from: at(0),
        until: at(WEEKS * 7 * 24),
        random: core.seededRandom(seed),
      });
    const says = (entries) =>
      core.waterStory({ pumpId: 'p1', entries, book, now: entries.at(-1).happenedAt })?.budget.says === 'more';
    const wet = life(MELTWATER);
    const runs = wet.flatMap((e, i) => (e.kind === 'run' ? [i] : []));
    const from = runs[MELTWATER.fromRun];
    const until = runs[MELTWATER.fromRun + WITHIN_RUNS] ?? wet.length;
    const finds = (entries, low, high) =>
      entries.flatMap((e, i) => (i >= low && i < high && (e.kind === 'bleed' || e.kind === 'look') ? [i] : []));
    if (finds(wet, from, until).some((i) => says(wet.slice(0, i + 1)))) noticed += 1;

    const clean = life(null);
    const changes = clean.flatMap((e, i) => (e.kind === 'change' ? [i] : []));
    for (const [n, start] of changes.entries()) {
      const end = changes[n + 1] ?? clean.length;
      charges += 1;
      if (finds(clean, start, end).some((i) => says(clean.slice(0, i + 1)))) suspected += 1;
    }
  }
  return { noticed: noticed / YARDS, falseAlarms: suspected / charges, yards: YARDS, charges, limits: LIMITS };
}

const DRYER = {
  pumpId: 'p1',
  runsPerWeek: 2.5,
  intervalCv: 0.4,
  hours: { mean: 30, cv: 0.2 },
  materials: ['fd-paper-wet', 'fd-paper-damp'],
  ballast: 'closed',
  trapTempC: [-48, -38],
  pressurePa: [3, 40],
  waterMlPerRun: 0,
  darkeningPerRun: 0.05,
  diligence: 0.95,
  looksEveryRuns: 2,
};
