import type { WaterStory } from '@winter-jar/core';
import type { Print } from '../device/use-print.js';
import { useWidth } from '../ui/use-width.js';

const ROW = 28;
const GAP = 12;
const LABEL = 92;
const ROOM_FOR_VALUE = 76;
const TOP = 4;

/** Expected, with how far it may be off, above what was found: bled, in samples, and standing in the glass. */
export function WaterBars({ story, print }: { story: WaterStory; print: Print }) {
  const [ref, width] = useWidth<HTMLDivElement>(520);
  const { expectedMl, expectedLowMl, expectedHighMl, foundMl } = story.budget;
  if (expectedMl === null || expectedLowMl === null || expectedHighMl === null) return null;
  const most = Math.max(1, expectedHighMl, foundMl);
  const scale = (ml: number) => (ml / most) * Math.max(80, Math.min(width, 760) - LABEL - ROOM_FOR_VALUE);
  const parts = [
    { words: 'bled', ml: story.found.bledUl / 1000 },
    { words: 'in samples', ml: story.found.sampledUl / 1000 },
    { words: 'standing', ml: story.found.standingUl / 1000 },
  ].filter((p) => p.ml > 0);
  const foundY = TOP + ROW + GAP;
  const whole = (ml: number) => print.volume(Math.round(ml));
  const said = parts.map((p) => `${p.words} ${whole(p.ml)}`).join(', ');
  let x = LABEL;
  return (
    <div ref={ref}>
      <svg
        width="100%"
        height={foundY + ROW + 4}
        role="img"
        aria-label={`Expected in the oil ${whole(expectedMl)}, from ${whole(expectedLowMl)} to ${whole(expectedHighMl)}. Found ${whole(foundMl)}${said ? `: ${said}` : ''}.`}
        className="block text-[14px]"
      >
        <text x={0} y={TOP + ROW / 2 + 5} fill="var(--ink)">
          Expected
        </text>
        <rect
          x={LABEL}
          y={TOP}
          width={Math.max(2, scale(expectedMl))}
          height={ROW}
          fill="none"
          stroke="var(--water)"
          strokeWidth={2}
          strokeDasharray="5 4"
        />
        <path
          d={`M${LABEL + scale(expectedLowMl)} ${TOP + 8}v${ROW - 16}M${LABEL + scale(expectedLowMl)} ${TOP + ROW / 2}H${LABEL + scale(expectedHighMl)}M${LABEL + scale(expectedHighMl)} ${TOP + 8}v${ROW - 16}`}
          stroke="var(--ink)"
          strokeWidth={1.5}
        />
        <text x={LABEL + scale(expectedHighMl) + 8} y={TOP + ROW / 2 + 5} className="figure" fill="var(--ink)">
          {whole(expectedMl)}
        </text>
        <text x={0} y={foundY + ROW / 2 + 5} fill="var(--ink)">
          Found
        </text>
        {parts.map((part) => {
          const from = x;
          const wide = Math.max(2, scale(part.ml));
          x += wide;
          return (
            <rect
              key={part.words}
              x={from}
              y={foundY}
              width={wide}
              height={ROW}
              fill="var(--water)"
              stroke="var(--ink)"
              strokeWidth={1}
            />
          );
        })}
        <text x={x + 8} y={foundY + ROW / 2 + 5} className="figure" fill="var(--ink)">
          {whole(foundMl)}
        </text>
      </svg>
      {said && (
        <p className="text-[14px] text-ink-2" style={{ paddingLeft: LABEL }}>
          {said}
        </p>
      )}
    </div>
  );
}
