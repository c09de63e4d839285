// Made-up gauge logs, judged and held against what they were made of; reading and fitting beside a control.
import { spawnSync } from 'node:child_process';

const LOGS = 500;
const LINES = 1_200_000;
const PIECE = 65_536;
const FITTED = 20_000;

/** @returns shares over 500 rises: right of those decided, undecided of those that can be told, and the leak within its interval */
export function judgedRises({ core, made, seed }) {
  const uniform = core.seededRandom(seed).next;
  let [decided, right, told, undecided, held] = [0, 0, 0, 0, 0];
  for (let i = 0; i < LOGS; i += 1) {
    const one = made.madeRise(uniform);
    const { verdict, leakPaM3PerS: leak } = core.judgeRise(one);
    decided += verdict === 'undecided' ? 0 : 1;
    right += verdict === one.truth ? 1 : 0;
    told += one.canBeTold ? 1 : 0;
    undecided += one.canBeTold && verdict === 'undecided' ? 1 : 0;
    held += one.leakPaM3PerS >= leak.p10 && one.leakPaM3PerS <= leak.p90 ? 1 : 0;
  }
  return { right: right / decided, undecided: undecided / told, held: held / LOGS };
}

/** @returns the share of 500 pump-downs whose verdict is what they were made with */
export function judgedPumpDowns({ core, made, seed }) {
  const uniform = core.seededRandom(seed).next;
  let right = 0;
  for (let i = 0; i < LOGS; i += 1) {
    const one = made.madePumpDown(uniform);
    right += core.judgePumpDown({ ...one, pumpingSpeedM3h: one.ratedM3h }).verdict === one.truth ? 1 : 0;
  }
  return right / LOGS;
}

/** @returns how long a log of some 40 MB is read, and how long its lines are split into cells */
export function benchReader({ core, timed, median }) {
  const start = Date.UTC(2031, 2, 9, 7, 30);
  const lines = Array.from(
    { length: LINES },
    (_, i) => `${new Date(start + i * 1000).toISOString()},${(2 + Math.sin(i / 1e4)).toFixed(6)}`,
  );
  const text = `time,pressure_hPa\n${lines.join('\n')}`;
  let cells = 0;
  const splitMs = median(
    timed(3, () => {
      cells = 0;
      for (const line of text.split('\n')) cells += line.split(',').length;
    }),
  );
  let points = 0;
  const before = process.memoryUsage().arrayBuffers;
  let columnsMb = 0;
  const readMs = median(
    timed(3, () => {
      const reader = core.gaugeLogReader({ zone: 'UTC' });
      for (let at = 0; at < text.length; at += PIECE) reader.push(text.slice(at, at + PIECE));
      const read = reader.end();
      points = read.ok ? read.s.length : 0;
      columnsMb = (process.memoryUsage().arrayBuffers - before) / 1e6;
    }),
  );
  if (points !== LINES || cells !== 2 * (LINES + 1)) throw new Error(`${points} points of ${LINES}`);
  return { readMs, splitMs, mb: text.length / 1e6, columnsMb };
}

const SCIPY = `
import json, sys, time
import numpy as np
from scipy.optimize import curve_fit
s, pa = np.array(json.load(sys.stdin))
f = lambda t, p0, q, m, tau: p0 + q * t + m * (1 - np.exp(-t / tau))
start = time.time()
v, _ = curve_fit(f, s, pa, p0=[pa[0], (pa[-1] - pa[0]) / s[-1] / 2, (pa[-1] - pa[0]) / 2, s[-1] / 5], sigma=0.01 * pa, maxfev=20000)
print(json.dumps({"ms": (time.time() - start) * 1000, "leak": v[1], "flattens": v[2], "tau": v[3]}))
`;

/** @returns a rise of 20,000 readings judged here, and its parameters and time by scipy's curve_fit; null for that where there is none */
export function benchFit({ core, timed, median }) {
  const random = core.seededRandom(5);
  const points = Array.from({ length: FITTED }, (_, i) => {
    const s = (i * 1800) / FITTED;
    return { s, pa: (3 + 0.0026 * s - 21 * Math.expm1(-s / 260)) * (1 + 0.01 * random.normal()) };
  });
  let judged;
  const [ms] = [median(timed(3, () => (judged = core.judgeRise({ points, volumeL: 62 }))))];
  const input = JSON.stringify([points.map((p) => p.s), points.map((p) => p.pa)]);
  const { status, stdout } = spawnSync('python3', ['-c', SCIPY], { input, encoding: 'utf8', maxBuffer: 1e8 });
  const scipy = status === 0 ? JSON.parse(stdout) : null;
  const leak = judged.leakPaM3PerS.p50 / 0.062;
  return { ms, leak, flattens: judged.levelsOffPa, tau: judged.tauS, scipy };
}
