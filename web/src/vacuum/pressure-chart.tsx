import { inUnit } from '@winter-jar/core';
import { Area, CartesianGrid, ComposedChart, Line, ResponsiveContainer, Scatter, XAxis, YAxis } from 'recharts';
import { number } from '../ui/number.js';
import { hatchOf } from '../ui/hatches.js';
import { LINES_WORDS } from '../words/vacuum-words.js';
import type { LogJudged } from './judge-log.js';

type Read = Extract<LogJudged, { ok: true }>;

const TICK = { fill: 'var(--ink-2)', fontSize: 13 };

/** Readings, what was fitted to them, and its parts: straight a leak, what flattens moisture. A pump-down on a log axis. */
export function PressureChart({ read, unit, label }: { read: Read; unit: string; label: string }) {
  const { by, points, leftOut, model, fromS, toS } = read;
  const lastS = Math.max(points.at(-1)?.s ?? 0, toS);
  const scale = lastS > 7200 ? { per: 3600, word: 'h' } : { per: 60, word: 'min' };
  const of = ({ s, pa }: { s: number; pa: number }) => ({ t: s / scale.per, p: inUnit({ value: pa, unit }) });
  const dots = points.map(of);
  const curve = model.map((m) => ({
    ...of(m),
    band: [inUnit({ value: m.againstPa, unit }), of(m).p],
    against: inUnit({ value: m.againstPa, unit }),
  }));
  const rise = by.of === 'rise';
  const linear = rise || by.of === 'bagDrop';
  const { fitted, against } = LINES_WORDS[by.of];
  const ps = dots.map((d) => d.p);
  const within = points.filter((d) => d.s >= fromS && d.s <= toS).map((d) => of(d).p);
  const top = Math.max(...(linear ? within : ps), ...curve.flatMap((c) => [c.p, c.against]));
  const ticks = linear ? roundTicks(top * 1.05) : decades(Math.min(...ps), Math.max(...ps));
  return (
    <figure className="m-0 min-w-0">
      <div className="h-[300px] wide:h-[360px]" role="img" aria-label={label}>
        <ResponsiveContainer width="100%" height="100%">
          <ComposedChart data={curve} margin={{ top: 8, right: 16, bottom: 4, left: 0 }} accessibilityLayer={false}>
            <CartesianGrid stroke="var(--rule-soft)" vertical={false} />
            <XAxis
              type="number"
              dataKey="t"
              domain={[0, lastS / scale.per]}
              tickCount={6}
              tickFormatter={(t: number) => `${number(t, t < 3 ? 1 : 0)} ${scale.word}`}
              tick={TICK}
              stroke="var(--edge)"
              allowDataOverflow
            />
            <YAxis
              type="number"
              scale={linear ? 'linear' : 'log'}
              domain={[
                linear ? 0 : Math.min(ticks[0] ?? 1, Math.min(...ps) * 0.8),
                Math.max(ticks.at(-1) ?? 1, linear ? 0 : top * 1.2),
              ]}
              ticks={ticks}
              tickFormatter={(p: number) => String(Number(p.toPrecision(2)))}
              tick={TICK}
              stroke="var(--edge)"
              width={64}
              allowDataOverflow
            />
            {rise && (
              <Area dataKey="band" fill={hatchOf('wet')} fillOpacity={0.55} stroke="none" isAnimationActive={false} />
            )}
            <Scatter data={dots} dataKey="p" fill="var(--ink-2)" shape={Dot} isAnimationActive={false} />
            {leftOut.length > 0 && (
              <Scatter data={leftOut.map(of)} dataKey="p" shape={LeftOutDot} isAnimationActive={false} />
            )}
            <Line
              dataKey="against"
              stroke="var(--before-next-run)"
              strokeWidth={2}
              strokeDasharray="7 5"
              dot={false}
              isAnimationActive={false}
            />
            {fitted && <Line dataKey="p" stroke="var(--ink)" strokeWidth={2} dot={false} isAnimationActive={false} />}
          </ComposedChart>
        </ResponsiveContainer>
      </div>
      <figcaption className="mt-1 flex flex-wrap gap-x-5 gap-y-1 text-[14px] text-ink-2">
        <span>{unit}</span>
        <span>● measured, {number(read.understood.points)} readings</span>
        {leftOut.length > 0 && <span>○ left out, {number(read.spikes)}</span>}
        {curve.length > 0 && fitted && <span>━ {fitted}</span>}
        {curve.length > 0 && <span>┅ {against}</span>}
        {rise && curve.length > 0 && <span>▨ what flattens: moisture</span>}
      </figcaption>
    </figure>
  );
}

const MOST_TICKS = 5;

/** From nothing to above a pressure, in steps of 1, 2 or 5. */
function roundTicks(top: number): number[] {
  const rough = top / MOST_TICKS;
  const size = 10 ** Math.floor(Math.log10(rough));
  const step = ([1, 2, 5, 10].find((f) => f * size >= rough) ?? 10) * size;
  return Array.from({ length: Math.ceil(top / step) + 1 }, (_, i) => Number((i * step).toPrecision(6)));
}

function decades(low: number, high: number): number[] {
  const [from, to] = [Math.floor(Math.log10(low)), Math.ceil(Math.log10(high) - 0.1)];
  return Array.from({ length: to - from + 1 }, (_, i) => Number((10 ** (from + i)).toPrecision(3)));
}

const Dot = ({ cx, cy }: { cx?: number; cy?: number }) => (
  <circle cx={cx} cy={cy} r="1.5" fill="var(--ink-2)" opacity="0.7" />
);
const LeftOutDot = ({ cx, cy }: { cx?: number; cy?: number }) => (
  <circle cx={cx} cy={cy} r="4" fill="var(--sheet)" stroke="var(--stop)" strokeWidth="2" />
);
