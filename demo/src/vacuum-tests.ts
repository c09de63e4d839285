import { createHash } from 'node:crypto';
import { seededRandom, type FigureRead, type JudgedLog, type TestBody } from '@winter-jar/core';
import type { LastEntry } from './last-days.js';

const DAY = 24;
const SEED = 417;
const HOUR_MS = 3_600_000;

/** A reading of the made-up gauges: pressure over seconds since the log began. */
interface MadeLog {
  readonly pumpId: string;
  readonly equipmentId: string;
  readonly hoursBefore: number;
  readonly name: string;
  readonly seconds: number;
  readonly everyS: number;
  readonly pa: (s: number) => number;
  readonly judged: Omit<JudgedLog, 'logId' | 'name' | 'gauge'>;
  readonly findings: TestBody['findings'];
  readonly measured?: TestBody['measured'];
  readonly remark?: string;
}

const found = (id: string, state: string) => ({ id, state, certainty: 0.9 });
const within = (p50: number, share = 0.1): FigureRead => ({ p10: p50 * (1 - share), p50, p90: p50 * (1 + share) });

const CABINET_L = 180;
/** A rise of the map cabinet with its trap isolated: 25 minutes, some moisture beside the leak. */
const rise = (hoursBefore: number, leakPaM3PerS: number, moisturePa: number, remark?: string): MadeLog => ({
  ...{ pumpId: 'lf-03', equipmentId: 'ferry-c', hoursBefore, name: 'map-cabinet-rise.csv' },
  ...{ seconds: 1500, everyS: 10 },
  pa: (s) => 2 + ((leakPaM3PerS * 1000) / CABINET_L) * s + moisturePa * (1 - Math.exp(-s / 200)),
  judged: {
    ...{ of: 'rise', volumeL: CABINET_L, verdict: 'leakAndMoisture' },
    ...{ leakPaM3PerS: within(leakPaM3PerS), moisturePa: within(moisturePa, 0.15) },
  },
  findings: [found('rateOfRise', remark ? 'straight' : 'flattens')],
  ...(remark ? { remark } : {}),
});

/** The set whose record tells a story: a door gasket that failed and was renewed, and a leak that creeps up since. */
const CABINET: readonly MadeLog[] = [
  rise(176 * DAY, 2.6e-4, 6.1),
  rise(162 * DAY, 2.9e-4, 4.4),
  rise(148 * DAY, 2.4e-4, 7.9),
  rise(134 * DAY, 1.3e-3, 5.2, 'After the long map run: the door had to be pushed shut.'),
  ...[4.1, 8.3, 5.6, 6.7, 3.9, 7.1, 4.8, 6].map((moisturePa, i) =>
    rise((116 - 14 * i) * DAY, [2.5e-4, 2.7e-4, 2.9e-4, 3.15e-4, 3.4e-4, 3.7e-4, 4e-4, 4.3e-4][i] ?? 0, moisturePa),
  ),
];

const BENCH_LIMIT_PA = 2000;
/** Bags before infusion, gauge at the far end. */
const BAGS: readonly MadeLog[] = (
  [
    [75, 900],
    [54, 640],
    [33, 2900],
    [32.9, 700],
    [12, 820],
  ] as const
).map(([daysBefore, per10Min]) => ({
  ...{ pumpId: 'rl-02', equipmentId: 'loft-2', hoursBefore: daysBefore * DAY, name: 'bag-drop.csv' },
  ...{ seconds: 900, everyS: 5 },
  pa: (s: number) => 4200 + (per10Min * s) / 600,
  judged: {
    ...{ of: 'bagDrop' as const, verdict: per10Min > BENCH_LIMIT_PA ? ('drops' as const) : ('holds' as const) },
    ...{ rise10MinPa: within(per10Min, 0.03), limitPa: BENCH_LIMIT_PA },
  },
  findings: [found('rateOfRise', per10Min > BENCH_LIMIT_PA ? 'straight' : 'small')],
  ...(per10Min > BENCH_LIMIT_PA ? { remark: 'A pleat at the corner: pressed down, and tested again.' } : {}),
}));

const LINE_TOP_PA = 101_300;
/** Cycles of line 2, empty: pulled for 16 s, open for 6. */
const CYCLES: readonly MadeLog[] = (
  [
    [160, 2.3],
    [130, 2.35],
    [100, 2.28],
    [70, 2.4],
    [40, 2.42],
    [10, 2.45],
  ] as const
).map(([daysBefore, tauS]) => ({
  ...{ pumpId: 'qp-02', equipmentId: 'quay-2', hoursBefore: daysBefore * DAY, name: 'line-2-cycles.csv' },
  ...{ seconds: 110, everyS: 0.25 },
  pa: (s: number) => (s % 22 < 16 ? 60 + LINE_TOP_PA * Math.exp(-(s % 22) / tauS) : LINE_TOP_PA),
  judged: {
    of: 'cycles' as const,
    verdict: 'asGood' as const,
    pullDownS: within(tauS * Math.log(LINE_TOP_PA / 940), 0.03),
    toPa: 1000,
  },
  findings: [found('pumpDown', 'usual')],
}));

const OVEN_L = 400;
/** The drying oven: pumped down empty, and its pump blanked off. */
const OVEN: readonly MadeLog[] = [
  {
    ...{ pumpId: 'cw-02', equipmentId: 'coil-oven', hoursBefore: 50 * DAY, name: 'oven-pump-down.csv' },
    ...{ seconds: 3000, everyS: 10 },
    // 25 m³/h on 400 L: a time constant of 57.6 s, and outgassing that falls with time.
    pa: (s) => 0.9 + LINE_TOP_PA * Math.exp(-s / 60) + 40 / (s + 10),
    judged: {
      ...{ of: 'pumpDown', volumeL: OVEN_L, verdict: 'asGood', leakPaM3PerS: { p10: 0, p50: 0, p90: 8e-3 } },
      ...{ speedM3h: within(24, 0.08), ultimatePa: within(0.9, 0.08) },
    },
    findings: [found('pumpDown', 'usual'), found('chamberPressure', 'good')],
  },
  {
    ...{ pumpId: 'cw-02', equipmentId: 'coil-oven', hoursBefore: 50 * DAY - 3, name: 'oven-pump-blanked-off.csv' },
    ...{ seconds: 1800, everyS: 10 },
    pa: (s) => 0.7 + 60 * Math.exp(-s / 90),
    judged: { of: 'ultimate', verdict: 'asGood', ultimatePa: within(0.7, 0.03), limitPa: 1.8 },
    findings: [found('pumpPressureAsIs', 'good')],
    measured: [{ pa: 0.7, where: 'pump', ballast: 'closed', oil: 'asIs' }],
  },
];

const LOGS: readonly MadeLog[] = [...CABINET, ...BAGS, ...CYCLES, ...OVEN];

/** As the yard's gauge exports it: a stamp and hPa to four digits, with a little scatter. */
function exported({ hoursBefore, seconds, everyS, pa }: MadeLog, nowMs: number, next: () => number): string {
  const startMs = nowMs - hoursBefore * HOUR_MS;
  const rows = Array.from({ length: Math.floor(seconds / everyS) + 1 }, (_, i) => {
    const s = i * everyS;
    const scattered = pa(s) * (1 + 0.008 * (next() + next() - 1));
    return `${new Date(startMs + s * 1000).toISOString()};${(scattered / 100).toPrecision(4)}`;
  });
  return ['# simulated gauge of the yard', 'time;pressure/hPa', ...rows, ''].join('\n');
}

/** The gasket's case: from the rise that showed it to the look whether it held. */
const GASKET: readonly LastEntry[] = [
  {
    ...{ pumpId: 'lf-03', kind: 'caseOpened', hoursBefore: 134 * DAY - 1, name: 'gasket', ofCase: 'gasket' },
    body: { complaint: 'Rises in a straight line, five times as fast as before' },
  },
  {
    ...{ pumpId: 'lf-03', kind: 'caseClosed', hoursBefore: 130 * DAY, ofCase: 'gasket' },
    body: { causeId: 'leakAtChamber', remedy: 'Door gasket renewed, hinge set.', checkAfterRuns: 3 },
  },
  {
    ...{ pumpId: 'lf-03', kind: 'caseChecked', hoursBefore: 115 * DAY, ofCase: 'gasket' },
    body: { held: true },
  },
];

/** Vacuum tests of the yard with the logs that they cite, by the hash of each. */
export function vacuumTests(nowMs: number): {
  readonly entries: readonly LastEntry[];
  readonly logs: readonly string[];
} {
  const random = seededRandom(SEED);
  const made = LOGS.map((log) => ({ log, text: exported(log, nowMs, () => random.next()) }));
  const tests = made.map(
    ({ log: { pumpId, equipmentId, hoursBefore, name, judged, findings, measured, remark }, text }): LastEntry => ({
      ...{ pumpId, equipmentId, hoursBefore, kind: 'test' },
      body: {
        findings,
        ...(measured ? { measured } : {}),
        log: {
          ...{ ...judged, name, gauge: 'capacitance' },
          logId: createHash('sha256').update(text).digest('hex'),
        },
        ...(remark ? { remark } : {}),
      },
    }),
  );
  return { entries: [...tests, ...GASKET], logs: made.map(({ text }) => text) };
}
