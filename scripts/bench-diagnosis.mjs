// Finding hidden faults: simulated pumps that share no strengths with what is known about causes.

const PUMPS = 200;
const TESTS = 5;
/** Sure enough to stop testing. */
const SURE = 0.8;
/** What a usual look and the journal say before any test, beside what somebody has noticed. */
const AT_FIRST = ['water', 'level', 'levelTrend', 'darkening', 'darkAfterChange', 'chamberPressure'];

const msOf = (work) => {
  const start = process.hrtime.bigint();
  const value = work();
  return { value, ms: Number(process.hrtime.bigint() - start) / 1e6 };
};

const atFirst = (pump) => [
  ...pump.log,
  ...[...new Set([...AT_FIRST, pump.complaint.id])].map((id) => ({ id, state: pump.observe(id) })),
];

/** Tests one after another until a cause is sure, or `most` are done. */
function hunt({ core, pump, most, next }) {
  const findings = atFirst(pump);
  const done = new Set();
  let [minutes, ranking] = [0, core.rank({ process: pump.process, findings })];
  const first = ranking;
  while (done.size < most && ranking.causes[0].probability < SURE) {
    const id = next({ process: pump.process, findings }, done);
    if (!id) break;
    const check = core.CHECKS[id];
    done.add(id);
    minutes += core.effortOf(check, 1);
    for (const finding of check.settles)
      if (!findings.some((f) => f.id === finding)) findings.push({ id: finding, state: pump.observe(finding) });
    ranking = core.rank({ process: pump.process, findings });
  }
  return { minutes, tests: done.size, found: ranking.causes[0].id === pump.fault, first, ranking };
}

/** Share predicted against share seen, in ten steps, and their mean distance. */
function calibration(predictions) {
  const bins = Array.from({ length: 10 }, () => ({ n: 0, said: 0, was: 0 }));
  for (const { share, was } of predictions) {
    const bin = bins[Math.min(9, Math.floor(share * 10))];
    bin.n += 1;
    bin.said += share;
    bin.was += was ? 1 : 0;
  }
  const filled = bins.filter((b) => b.n > 0).map((b) => ({ n: b.n, said: b.said / b.n, was: b.was / b.n }));
  const error = filled.reduce((sum, b) => sum + (b.n / predictions.length) * Math.abs(b.said - b.was), 0);
  return { bins: filled, error };
}

const mean = (numbers) => numbers.reduce((sum, n) => sum + n, 0) / numbers.length;

/** Median time of a ranking and of a next test with so many unsure findings, ms. */
function growth(core) {
  const ids = Object.keys(core.FINDINGS);
  const medianOf = (work) => {
    const times = Array.from({ length: 9 }, () => msOf(work).ms).sort((a, b) => a - b);
    return times[4];
  };
  return [5, 10, 20, 40].map((count) => {
    const findings = ids
      .slice(0, count)
      .map((id) => ({ id, state: Object.keys(core.FINDINGS[id].states)[0], certainty: 0.9 }));
    const asked = { process: 'freezeDrying', findings };
    return { count, rank: medianOf(() => core.rank(asked)), next: medianOf(() => core.nextChecks(asked)) };
  });
}

/** Sets of at most three of so many causes: what every sign is weighed with. */
const setsOf = (causes) => 1 + causes + (causes * (causes - 1)) / 2 + (causes * (causes - 1) * (causes - 2)) / 6;

/** @returns how often the fault is found, what it takes against a fixed order, and how far shares can be trusted */
export function benchDiagnosis({ core, seeds = PUMPS, from = 1 }) {
  const cheapToDear = Object.entries(core.CHECKS)
    .sort(([, a], [, b]) => core.effortOf(a, 1) - core.effortOf(b, 1))
    .map(([id]) => id);
  const pumps = Array.from({ length: seeds }, (_, i) => core.ailingPump(from + i));
  const best = pumps.map((pump) =>
    hunt({ core, pump, most: TESTS, next: (asked, done) => core.nextChecks(asked).find((c) => !done.has(c.id))?.id }),
  );
  const fixed = pumps.map((pump) =>
    hunt({ core, pump, most: Infinity, next: (_, done) => cheapToDear.find((id) => !done.has(id)) }),
  );
  const rankings = pumps.flatMap((pump, i) => [best[i].first, best[i].ranking].map((ranking) => ({ pump, ranking })));
  const predictions = rankings.flatMap(({ pump, ranking }) =>
    ranking.causes
      .filter((c) => c.probability >= 0.01)
      .map((c) => ({ share: c.probability, was: c.id === pump.fault })),
  );
  const tops = rankings.map(({ pump, ranking }) => ({
    share: ranking.causes[0].probability,
    was: ranking.causes[0].id === pump.fault,
  }));
  const asked = { process: pumps[0].process, findings: best[0].ranking ? pumps[0].log : [] };
  core.nextChecks(asked);
  const times = pumps.slice(0, 40).map((pump) => {
    const findings = atFirst(pump);
    const ranked = msOf(() => core.rank({ process: pump.process, findings })).ms;
    return {
      findings: findings.length,
      ms: ranked + msOf(() => core.nextChecks({ process: pump.process, findings })).ms,
    };
  });
  const failed = pumps.flatMap((pump, i) => (best[i].found ? [] : [`${pump.fault} > ${best[i].ranking.causes[0].id}`]));
  return {
    pumps: seeds,
    found: mean(best.map((b) => (b.found ? 1 : 0))),
    foundFixed: mean(fixed.map((b) => (b.found ? 1 : 0))),
    tests: mean(best.map((b) => b.tests)),
    minutes: mean(best.map((b) => b.minutes)),
    minutesFixed: mean(fixed.map((b) => b.minutes)),
    calibration: calibration(predictions),
    ofTop: calibration(tops),
    ms: mean(times.map((t) => t.ms)),
    findings: mean(times.map((t) => t.findings)),
    failed,
    growth: growth(core),
    sets: [35, 50, 70].map((causes) => ({ causes, sets: setsOf(causes) })),
  };
}
