import {
  inUnit,
  type Dimension,
  type VacuumMended,
  type VacuumPoint,
  type VacuumSeries,
  type VacuumSeriesOf,
} from '@winter-jar/core';
import {
  CartesianGrid,
  ErrorBar,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  ScatterChart,
  XAxis,
  YAxis,
} from 'recharts';
import { useUnits } from '../device/use-units.js';
import { dayWords } from '../words/dates.js';
import { limitWords } from '../words/vacuum-record-words.js';
import type { Words } from '../words/words.js';

const TICK = { fill: 'var(--ink-2)', fontSize: 13 };
const DAY_MS = 86_400_000;
/** Below that share from the lowest to the highest an axis goes in round steps, above it in decades. */
const DECADES_FROM = 30;

interface Dot {
  readonly at: number;
  readonly value: number;
  readonly atMost: boolean;
  /** What error bars take: how far down and up. */
  readonly ends: readonly [number, number];
  readonly last: boolean;
}

/** A series of a set's record over time, on a log axis; its limit dashed, and when it was mended. */
export function RecordChart({
  series,
  mended,
  words,
  label,
}: {
  series: VacuumSeries;
  mended: readonly VacuumMended[];
  words: Words;
  label: string;
}) {
  const units = useUnits();
  const { of, points, limit } = series;
  // A leak in the person's unit of pressure times litres: 1 Pa·m³/s is 1000 Pa·L/s.
  const shown = (value: number): number => {
    if (of === 'pullDown') return value;
    if (of === 'speed') return inUnit({ value, unit: units.flow });
    return inUnit({ value: of === 'leak' ? value * 1000 : value, unit: units.pressure });
  };
  const dots = points.map((p, i): Dot => dotOf(p, shown, i === points.length - 1));
  const heights = [
    ...dots.flatMap((d) => [d.value - d.ends[0], d.value + d.ends[1]]),
    ...(limit ? [shown(limit)] : []),
  ];
  const [low, high] = [Math.min(...heights.filter((v) => v > 0)), Math.max(...heights)];
  const ticks = logTicks(low, high);
  const [from, to] = [dots[0]!.at, dots.at(-1)!.at];
  const beside = Math.max((to - from) * 0.05, DAY_MS);
  const unit = UNITS[of]?.(units) ?? units.pressure;
  return (
    <figure className="m-0 min-w-0">
      <figcaption className="mt-2 text-[14px] text-ink-2">{unit}</figcaption>
      <div className="h-[200px]" role="img" aria-label={label}>
        <ResponsiveContainer width="100%" height="100%">
          <ScatterChart margin={{ top: 8, right: 32, bottom: 0, left: 0 }} accessibilityLayer={false}>
            <CartesianGrid stroke="var(--rule-soft)" vertical={false} />
            <XAxis
              type="number"
              dataKey="at"
              domain={[from - beside, to + beside]}
              ticks={from === to ? [from] : [from, to]}
              tickFormatter={(at: number) => dayWords(new Date(at).toISOString(), words.zone, words.now)}
              tick={TICK}
              stroke="var(--edge)"
              interval={0}
            />
            <YAxis
              type="number"
              dataKey="value"
              scale="log"
              domain={[Math.min(low, ticks[0]!) * 0.9, Math.max(high, ticks.at(-1)!) * 1.1]}
              ticks={ticks}
              tickFormatter={(v: number) => String(Number(v.toPrecision(3)))}
              tick={TICK}
              stroke="var(--edge)"
              width={72}
              allowDataOverflow
            />
            {limit !== null && (
              <ReferenceLine
                y={shown(limit)}
                stroke="var(--before-next-run)"
                strokeDasharray="5 4"
                label={{
                  value: limitWords(series, words.print),
                  position: 'insideTopRight',
                  fill: 'var(--ink-2)',
                  fontSize: 13,
                }}
              />
            )}
            {mended
              .filter((m) => Date.parse(m.at) > from - beside && Date.parse(m.at) < to + beside)
              .map((m) => (
                <ReferenceLine key={m.entryId} x={Date.parse(m.at)} stroke="var(--ink-2)" strokeDasharray="2 3" />
              ))}
            <Scatter data={dots} shape={RecordDot} isAnimationActive={false}>
              <ErrorBar dataKey="ends" direction="y" width={0} stroke="var(--ink-2)" strokeWidth={1.5} />
            </Scatter>
          </ScatterChart>
        </ResponsiveContainer>
      </div>
    </figure>
  );
}

const dotOf = ({ at, value, range, atMost }: VacuumPoint, shown: (v: number) => number, last: boolean): Dot => {
  const middle = shown(value);
  const down = range && !atMost && range.p10 > 0 ? middle - shown(range.p10) : 0;
  const up = range && !atMost ? shown(range.p90) - middle : 0;
  return { at: Date.parse(at), value: middle, atMost, ends: [Math.max(0, down), Math.max(0, up)], last };
};

const UNITS: Readonly<Partial<Record<VacuumSeriesOf, (units: Readonly<Record<Dimension, string>>) => string>>> = {
  leak: (units) => `${units.pressure}·L/s`,
  speed: (units) => units.flow,
  bagRise: (units) => `${units.pressure} in 10 min`,
  pullDown: () => 's',
};

/** Decades, or 1, 2, 5 of each where they are few. */
function logTicks(low: number, high: number): number[] {
  const [from, to] = [Math.floor(Math.log10(low)), Math.ceil(Math.log10(high))];
  const steps = high / low > DECADES_FROM ? [1] : [1, 2, 5];
  const all = Array.from({ length: to - from + 1 }, (_, i) => steps.map((s) => s * 10 ** (from + i))).flat();
  const within = all.filter((_, i) => (all[i + 1] ?? Infinity) > low && (all[i - 1] ?? 0) < high);
  return within.map((t) => Number(t.toPrecision(3)));
}

/** What was only bounded points downwards; the last one is filled. */
function RecordDot({ cx = 0, cy = 0, payload }: { cx?: number; cy?: number; payload?: Dot }) {
  const look = {
    fill: payload?.last ? 'var(--ink)' : 'var(--sheet)',
    stroke: 'var(--ink)',
    strokeWidth: 2,
  };
  if (payload?.atMost) return <path d={`M${cx - 5} ${cy - 4} h10 l-5 8 z`} {...look} />;
  return <circle cx={cx} cy={cy} r={payload?.last ? 6 : 5} {...look} />;
}
