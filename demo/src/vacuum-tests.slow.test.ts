import { judgeBag, judgeCycles, judgePumpDown, judgeRise, judgeUltimate, readGaugeLog } from '@winter-jar/core';
import { vacuumTests } from './vacuum-tests.js';

const made = vacuumTests(Date.parse('2031-02-11T09:30:00.000Z'));
const tests = made.entries.filter((e) => e.kind === 'test');

/** Of each kind and verdict one: what the log of a test says by itself. */
const one = tests.filter(
  (t, i) =>
    tests.findIndex((u) => u.body.log?.of === t.body.log?.of && u.body.log?.verdict === t.body.log?.verdict) === i,
);

test.each(one.map((t) => [`${t.body.log!.of} ${t.body.log!.verdict}`, t] as const))(
  '%s is what its log says',
  (_, entry) => {
    const log = entry.body.log!;
    const read = readGaugeLog({ text: made.logs[tests.indexOf(entry)]! });
    if (!read.ok) throw new Error(read.issue.code);
    const { points } = read;
    const volumeL = log.volumeL ?? 0;
    if (log.of === 'rise') {
      const judged = judgeRise({ points, volumeL });
      expect(judged.verdict).toBe(log.verdict);
      expect(judged.leakPaM3PerS.p50 / log.leakPaM3PerS!.p50).toBeCloseTo(1, 1);
    } else if (log.of === 'bagDrop') {
      const judged = judgeBag({ points, limitPa: log.limitPa! });
      expect(judged.verdict).toBe(log.verdict);
      expect(judged.rise10MinPa.p50 / log.rise10MinPa!.p50).toBeCloseTo(1, 1);
    } else if (log.of === 'cycles') {
      const judged = judgeCycles({ points, toPa: log.toPa!, usualS: log.pullDownS!.p50 });
      expect(judged.verdict).toBe(log.verdict);
      expect(judged.pullDownS.p50 / log.pullDownS!.p50).toBeCloseTo(1, 1);
    } else if (log.of === 'ultimate') {
      const judged = judgeUltimate({ points, limitPa: log.limitPa! });
      expect(judged.verdict).toBe(log.verdict);
      expect(judged.ultimatePa.p50 / log.ultimatePa!.p50).toBeCloseTo(1, 1);
    } else {
      const judged = judgePumpDown({ points, volumeL, pumpingSpeedM3h: 25, ultimatePa: 0.6 });
      expect(judged.verdict).toBe(log.verdict);
      expect(judged.speedM3h.p50 / log.speedM3h!.p50).toBeCloseTo(1, 1);
    }
  },
);
