import { inUnit, localTime } from '@winter-jar/core';
import { useEffect, useRef } from 'react';
import uPlot from 'uplot';
import 'uplot/dist/uPlot.min.css';
import { shortDayWords } from '../words/dates.js';

/** A part of the trace that somebody drew over. */
export interface Stretch {
  readonly fromMs: number;
  readonly toMs: number;
}

interface Drawn {
  readonly points: readonly { readonly ms: number; readonly value: number | null }[];
  readonly fromMs: number;
  readonly toMs: number;
  readonly markMs: number | null;
  readonly unit: string;
  readonly zone: string;
  readonly label: string;
  readonly chosen: Stretch | null;
  readonly onChosen: (stretch: Stretch) => void;
}

const HEIGHT = 300;
const LEAST_DRAWN_PX = 8;

/**
 * Pressure over time on a log axis, as it comes. On a canvas, other than the charts that stand still: ten times a second a chart of
 * elements took a frame in eight.
 */
export function LiveChart({ points, fromMs, toMs, markMs, unit, zone, label, chosen, onChosen }: Drawn) {
  const place = useRef<HTMLDivElement>(null);
  const chart = useRef<uPlot | null>(null);
  /** What the axes and the mark are drawn by. */
  const shown = useRef({ fromMs, toMs, markMs, zone, chosen, onChosen });
  useEffect(() => {
    shown.current = { fromMs, toMs, markMs, zone, chosen, onChosen };
  });
  useEffect(() => {
    const at = place.current;
    if (!at) return;
    const plot = new uPlot(optionsOf(at, shown), [[], []], at);
    chart.current = plot;
    const sized = new ResizeObserver(() => plot.setSize({ width: at.clientWidth, height: HEIGHT }));
    sized.observe(at);
    return () => {
      sized.disconnect();
      plot.destroy();
      chart.current = null;
    };
  }, []);
  useEffect(() => {
    const plot = chart.current;
    if (!plot) return;
    const ps = points.map(({ value }) => (value === null ? null : inUnit({ value, unit })));
    plot.batch(() => {
      plot.setData([points.map(({ ms }) => ms), ps], false);
      plot.setScale('x', { min: fromMs, max: toMs });
      const known = ps.filter((p) => p !== null);
      const [low, high] = [Math.min(...known), Math.max(...known)];
      if (low > 0) plot.setScale('p', { min: 10 ** Math.floor(Math.log10(low) + 1e-9), max: topOf(low, high) });
    });
  }, [points, fromMs, toMs, markMs, chosen, unit]);
  return <div ref={place} className="w-full" style={{ height: HEIGHT }} role="img" aria-label={label} />;
}

/** The decade above, or a little more than the highest where that would leave the most of the chart empty. */
const topOf = (low: number, high: number): number =>
  Math.max(10 ** Math.ceil(Math.log10(high) - 0.1), high * 1.2, 10 ** (Math.floor(Math.log10(low) + 1e-9) + 1));

function optionsOf(
  at: HTMLElement,
  shown: { readonly current: Pick<Drawn, 'fromMs' | 'toMs' | 'markMs' | 'zone' | 'chosen' | 'onChosen'> },
): uPlot.Options {
  const ink = (name: string): string => getComputedStyle(at).getPropertyValue(name).trim();
  const axis = {
    stroke: ink('--ink-2'),
    font: `13px ${ink('--font-mono')}`,
    ticks: { stroke: ink('--edge'), size: 6 },
  };
  return {
    width: at.clientWidth,
    height: HEIGHT,
    legend: { show: false },
    cursor: { x: false, y: false, points: { show: false }, drag: { x: true, y: false, setScale: false } },
    scales: { x: { time: false, auto: false }, p: { distr: 3, auto: false } },
    axes: [
      {
        ...axis,
        splits: () => roundMoments(shown.current.fromMs, shown.current.toMs),
        values: (_plot, splits) =>
          splits.map((ms) => clockWords(ms, shown.current.zone, shown.current.toMs - shown.current.fromMs)),
        grid: { show: false },
      },
      {
        ...axis,
        scale: 'p',
        size: 64,
        splits: (_plot, _axis, min, max) => ticksBetween(min, max),
        values: (_plot, splits) => splits.map((p) => String(Number(p.toPrecision(2)))),
        grid: { stroke: ink('--rule-soft'), width: 1 },
      },
    ],
    series: [{}, { scale: 'p', stroke: ink('--ink'), width: 2, points: { show: false }, spanGaps: false }],
    hooks: {
      draw: [
        (plot) => {
          const { markMs, chosen } = shown.current;
          const { ctx, bbox } = plot;
          const at = (ms: number): number => plot.valToPos(ms, 'x', true);
          ctx.save();
          if (chosen) {
            ctx.fillStyle = ink('--oil');
            ctx.globalAlpha = 0.25;
            ctx.fillRect(at(chosen.fromMs), bbox.top, at(chosen.toMs) - at(chosen.fromMs), bbox.height);
            ctx.globalAlpha = 1;
          }
          if (markMs === null) return ctx.restore();
          const x = at(markMs);
          ctx.strokeStyle = ink('--ink');
          ctx.lineWidth = 2;
          ctx.setLineDash([4, 4]);
          ctx.beginPath();
          ctx.moveTo(x, bbox.top);
          ctx.lineTo(x, bbox.top + bbox.height);
          ctx.stroke();
          ctx.restore();
        },
      ],
      // What was drawn over lies at moments, not at places: the trace moves on beneath it.
      setSelect: [
        (plot) => {
          const { left, width } = plot.select;
          if (width < LEAST_DRAWN_PX) return;
          shown.current.onChosen({ fromMs: plot.posToVal(left, 'x'), toMs: plot.posToVal(left + width, 'x') });
          plot.setSelect({ left: 0, top: 0, width: 0, height: 0 }, false);
        },
      ],
    },
  };
}

/** So few decades, and steps within them are marked as well. */
const FEW_DECADES = 2;

/** Whole decades, with 2 and 5 where they are few. */
function ticksBetween(min: number, max: number): number[] {
  if (!(min > 0)) return [];
  const [from, to] = [Math.floor(Math.log10(min) + 1e-9), Math.floor(Math.log10(max) + 1e-9)];
  const decades = Array.from({ length: to - from + 1 }, (_, i) => 10 ** (from + i));
  const all = to - from <= FEW_DECADES ? decades.flatMap((p) => [p, 2 * p, 5 * p]) : decades;
  return all.filter((p) => p >= min * 0.999 && p <= max * 1.001);
}

const DAY_MS = 86_400_000;
const STEPS_MIN = [0.5, 1, 2, 5, 10, 15, 30, 60, 120, 240, 480, 1440];

/** With the day where more than one is shown, with seconds where it is a few minutes. */
function clockWords(ms: number, zone: string, windowMs: number): string {
  const at = new Date(ms).toISOString();
  if (windowMs > DAY_MS) return shortDayWords(at, zone);
  return windowMs < 240_000 ? `${localTime({ at, zone })}:${at.slice(17, 19)}` : localTime({ at, zone });
}

/** Some five moments of the clock. */
function roundMoments(fromMs: number, toMs: number): number[] {
  const stepMs = (STEPS_MIN.find((m) => (toMs - fromMs) / (m * 60_000) <= 6) ?? 1440) * 60_000;
  const first = Math.ceil(fromMs / stepMs) * stepMs;
  return Array.from({ length: Math.max(0, Math.floor((toMs - first) / stepMs) + 1) }, (_, i) => first + i * stepMs);
}
