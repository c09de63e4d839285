import { weightNumber } from '../ui/number.js';
import type { OilStory, PumpPage } from '@winter-jar/contracts';
import type { ChargeStory as Charge, ChargeTrend, StoryPoint } from '@winter-jar/core';
import { inUnit } from '@winter-jar/core';
import { useState } from 'react';
import { CartesianGrid, Line, LineChart, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { useOilStoryQuery } from '../api/house-api.js';
import { dayWords } from '../words/dates.js';
import { useUnits } from '../device/use-units.js';
import { verdictWords } from '../words/messages.js';
import type { Words } from '../words/words.js';
import { VerdictShape } from '../ui/verdict.js';
import { trendWords } from './story-words.js';

const GHOSTS = 5;

interface Drawn {
  readonly weight: number;
  readonly value: number;
  readonly point: StoryPoint;
}
type ValueOf = (point: StoryPoint) => number | null;

const drawn = (charge: Charge, valueOf: ValueOf): Drawn[] =>
  charge.points.flatMap((point) => {
    const value = valueOf(point);
    return value === null ? [] : [{ weight: point.weightMilli / 1000, value, point }];
  });

/** Colour and water of this charge against its runs, earlier charges as ghosts, and whether they get worse. */
export function ChargeStory({ page, words }: { page: PumpPage; words: Words }) {
  const { data, isError } = useOilStoryQuery(page.row.pumpId);
  const unit = useUnits().volume;
  const story = data;
  if (isError)
    return <p className="text-[15px] text-ink-2">The story could not be fetched: the server does not answer.</p>;
  if (!story) return <p className="text-[15px] text-ink-2">Fetching the story …</p>;
  const looked = story.charges.filter((c) => c.points.length > 0);
  if (looked.length === 0)
    return <p className="text-[15px] text-ink-2">No look at this oil yet. Each look or bleed puts a point here.</p>;
  const trendOf = (measure: ChargeTrend['measure']) => story.trends.find((t) => t.measure === measure) ?? null;
  const inVolume = (ml: number) => inUnit({ value: ml, unit });
  return (
    <div className="flex flex-col gap-4">
      <div className="grid gap-x-8 gap-y-4 wide:grid-cols-2">
        <StoryChart
          title="Colour"
          unit="ASTM D1500"
          charges={story.charges}
          valueOf={(p) => p.colour}
          ink="var(--oil)"
          usual={usualLine(story, trendOf('colourRise'), (v) => v)}
        />
        <StoryChart
          title="Water found"
          unit={unit}
          charges={story.charges}
          valueOf={(p) => (p.waterUl === null ? null : inVolume(p.waterUl / 1000))}
          ink="var(--water)"
          usual={usualLine(story, trendOf('waterMl'), inVolume)}
        />
      </div>
      <p className="text-[14px] text-ink-2">
        Thick: this charge, with the verdict of each look. Thin: the {Math.min(GHOSTS, story.charges.length - 1)}{' '}
        charges before it. Across: weighted runs since the change. Dashed: unusual for this pump, from its own ended
        charges.
      </p>
      <ul className="text-[15px] leading-7">
        {story.trends.filter(isTold).map((trend) => (
          <li key={trend.measure}>{trendWords(trend, words.print)}</li>
        ))}
      </ul>
      <StoryTable charges={looked} words={words} />
    </div>
  );
}

/** Of a measure that only a laboratory has, nothing is said where none was asked. */
const isTold = ({ measure, values }: ChargeTrend): boolean =>
  measure === 'waterMl' || measure === 'colourRise' || values.length > 0;

/** From the charge's start, as steep as is still usual for this pump; null while too few charges have ended. */
function usualLine(story: OilStory, trend: ChargeTrend | null, scale: (value: number) => number) {
  if (!trend?.own) return null;
  const start =
    trend.measure === 'colourRise' ? (story.charges.at(-1)?.startColour ?? story.product?.freshColour ?? 1) : 0;
  return { start, perRun: scale(trend.own.limit) };
}

function StoryChart({
  title,
  unit,
  charges,
  valueOf,
  ink,
  usual,
}: {
  title: string;
  unit: string;
  charges: readonly Charge[];
  valueOf: ValueOf;
  ink: string;
  usual: { readonly start: number; readonly perRun: number } | null;
}) {
  const shown = charges.slice(-GHOSTS - 1);
  const lines = shown.map((charge) => ({ charge, points: drawn(charge, valueOf) }));
  const all = lines.flatMap((l) => l.points);
  const longest = Math.max(1, ...shown.map((c) => c.weightMilli / 1000));
  const highest = Math.max(1, ...all.map((p) => p.value));
  return (
    <figure className="m-0 min-w-0">
      <figcaption className="mb-1 text-[15px] font-semibold">
        {title} <span className="font-normal text-ink-2">{unit}</span>
      </figcaption>
      <div
        className="h-52"
        role="img"
        aria-label={`${title} of ${shown.length} charges; the table beneath says the same`}
      >
        {all.length === 0 ? (
          <p className="pt-8 text-[14px] text-ink-2">Nothing was said about it yet.</p>
        ) : (
          <ResponsiveContainer width="100%" height="100%">
            <LineChart margin={{ top: 8, right: 12, bottom: 4, left: -16 }} accessibilityLayer={false}>
              <CartesianGrid stroke="var(--rule-soft)" vertical={false} />
              <XAxis
                type="number"
                dataKey="weight"
                domain={[0, Math.ceil(longest)]}
                tick={{ fill: 'var(--ink-2)', fontSize: 13 }}
                stroke="var(--edge)"
              />
              <YAxis
                domain={[0, roundTop(highest)]}
                tick={{ fill: 'var(--ink-2)', fontSize: 13 }}
                stroke="var(--edge)"
                width={52}
              />
              {usual && (
                <ReferenceLine
                  segment={[
                    { x: 0, y: usual.start },
                    { x: longest, y: usual.start + usual.perRun * longest },
                  ]}
                  ifOverflow="hidden"
                  stroke="var(--ink-2)"
                  strokeDasharray="6 4"
                />
              )}
              {lines.map(({ charge, points }, i) => {
                const present = i === lines.length - 1;
                return (
                  <Line
                    key={charge.since}
                    data={points}
                    dataKey="value"
                    stroke={present ? ink : 'var(--edge)'}
                    strokeWidth={present ? 3 : 1}
                    isAnimationActive={false}
                    activeDot={false}
                    dot={present ? VerdictDot : { r: 2, fill: 'var(--edge)', strokeWidth: 0 }}
                  />
                );
              })}
            </LineChart>
          </ResponsiveContainer>
        )}
      </div>
    </figure>
  );
}

/** The next round number above: 1, 2, 5 and their tens, so that the ticks are round too. */
function roundTop(value: number): number {
  const size = 10 ** Math.floor(Math.log10(value));
  return ([1, 2, 4, 5, 8, 10].find((f) => f * size >= value) ?? 10) * size;
}

function VerdictDot({ cx, cy, payload, index }: { cx?: number; cy?: number; payload?: Drawn; index?: number }) {
  if (cx === undefined || cy === undefined || !payload) return null;
  return (
    <g key={index} transform={`translate(${cx - 7},${cy - 7})`}>
      <circle cx="7" cy="7" r="8" fill="var(--ground)" />
      <VerdictShape level={payload.point.verdict} size={14} />
    </g>
  );
}

function StoryTable({ charges, words }: { charges: readonly Charge[]; words: Words }) {
  const day = (at: string) => dayWords(at, words.zone, words.now);
  const [open, setOpen] = useState(false);
  return (
    <details onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary className="min-h-11 cursor-pointer py-2 text-[15px] font-semibold">The same as a table</summary>
      {open && (
        <div className="overflow-x-auto">
          <table className="w-full text-left text-[14px]">
            <thead>
              <tr className="border-b border-rule">
                {['Charge since', 'Look', 'Runs', 'Weight', 'Colour', 'Water found', 'Verdict after it'].map((h) => (
                  <th key={h} scope="col" className="py-1 pr-4 font-semibold">
                    {h}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {[...charges].reverse().flatMap((charge) =>
                [...charge.points].reverse().map((p) => (
                  <tr key={p.entryId} className="border-b border-rule-soft">
                    <td className="py-1 pr-4">{day(charge.since)}</td>
                    <td className="pr-4">{day(p.at)}</td>
                    <td className="figure pr-4">{p.runs}</td>
                    <td className="figure pr-4">{weightNumber(p.weightMilli / 1000)}</td>
                    <td className="figure pr-4">{p.colour ?? '–'}</td>
                    <td className="figure pr-4">{p.waterUl === null ? '–' : words.print.volume(p.waterUl / 1000)}</td>
                    <td>{p.verdict === 'beforeNextRun' ? 'Act before next run' : verdictWords(p.verdict, null)}</td>
                  </tr>
                )),
              )}
            </tbody>
          </table>
        </div>
      )}
    </details>
  );
}
