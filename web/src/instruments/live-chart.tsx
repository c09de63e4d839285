import { inUnit, localTime } from '@winter-jar/core';
import { memo } from 'react';
import { CartesianGrid, Line, LineChart, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { shortDayWords } from '../words/dates.js';

const TICK = { fill: 'var(--ink-2)', fontSize: 13 };

interface Drawn {
  readonly points: readonly { readonly ms: number; readonly value: number | null }[];
  readonly fromMs: number;
  readonly toMs: number;
  readonly markMs: number | null;
  readonly unit: string;
  readonly zone: string;
  readonly label: string;
}

/** Pressure over time on a log axis, as it comes. */
export const LiveChart = memo(function LiveChart({ points, fromMs, toMs, markMs, unit, zone, label }: Drawn) {
  const data = points.map(({ ms, value }) => ({ ms, p: value === null ? null : inUnit({ value, unit }) }));
  const ps = data.flatMap(({ p }) => (p === null ? [] : [p]));
  const ticks = decades(Math.min(...ps), Math.max(...ps));
  return (
    <div className="h-[280px] wide:h-[320px]" role="img" aria-label={label}>
      <ResponsiveContainer width="100%" height="100%">
        <LineChart data={data} margin={{ top: 8, right: 16, bottom: 4, left: 0 }} accessibilityLayer={false}>
          <CartesianGrid stroke="var(--rule-soft)" vertical={false} />
          <XAxis
            type="number"
            dataKey="ms"
            domain={[fromMs, toMs]}
            ticks={roundMoments(fromMs, toMs)}
            tickFormatter={(ms: number) => clockWords(ms, zone, toMs - fromMs)}
            tick={TICK}
            stroke="var(--edge)"
            allowDataOverflow
          />
          <YAxis
            type="number"
            scale="log"
            domain={[ticks[0] ?? 1, Math.max(ticks.at(-1) ?? 10, ...ps.map((p) => p * 1.2))]}
            ticks={ticks}
            tickFormatter={(p: number) => String(Number(p.toPrecision(2)))}
            tick={TICK}
            stroke="var(--edge)"
            width={64}
            allowDataOverflow
          />
          {markMs !== null && <ReferenceLine x={markMs} stroke="var(--ink)" strokeWidth={2} strokeDasharray="4 4" />}
          <Line dataKey="p" stroke="var(--ink)" strokeWidth={2} dot={false} isAnimationActive={false} />
        </LineChart>
      </ResponsiveContainer>
    </div>
  );
});

/** So few, and steps within them are marked as well. */
const FEW_DECADES = 2;

/** Whole decades around what is shown; at least one. */
function decades(low: number, high: number): number[] {
  if (!(low > 0)) return [0.1, 1, 10];
  const from = Math.floor(Math.log10(low) + 1e-9);
  const to = Math.max(from + 1, Math.ceil(Math.log10(high) - 0.1));
  const ticks = Array.from({ length: to - from + 1 }, (_, i) => 10 ** (from + i));
  const all = to - from <= FEW_DECADES ? ticks.flatMap((p, i) => (i === to - from ? [p] : [p, 2 * p, 5 * p])) : ticks;
  return all.map((p) => Number(p.toPrecision(3)));
}

/** With the day where more than one is shown, with seconds where it is a few minutes. */
function clockWords(ms: number, zone: string, windowMs: number): string {
  const at = new Date(ms).toISOString();
  if (windowMs > DAY_MS) return `${shortDayWords(at, zone)} ${localTime({ at, zone })}`;
  return windowMs < 240_000 ? `${localTime({ at, zone })}:${at.slice(17, 19)}` : localTime({ at, zone });
}

const DAY_MS = 86_400_000;
const STEPS_MIN = [0.5, 1, 2, 5, 10, 15, 30, 60, 120, 240, 480, 1440];

/** Some five moments of the clock. */
function roundMoments(fromMs: number, toMs: number): number[] {
  const stepMs = (STEPS_MIN.find((m) => (toMs - fromMs) / (m * 60_000) <= 6) ?? 1440) * 60_000;
  const first = Math.ceil(fromMs / stepMs) * stepMs;
  return Array.from({ length: Math.floor((toMs - first) / stepMs) + 1 }, (_, i) => first + i * stepMs);
}
