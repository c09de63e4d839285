import type { RunRuler as Ruler } from '@winter-jar/core';
import { hatchOf } from './hatches.js';
import { layOutRuler } from './ruler-layout.js';

interface RunRulerProps {
  readonly ruler: Ruler;
  readonly width: number;
  readonly label: string;
  /** Words for a bar, for its name and its hint. */
  readonly wordsOf: (bar: Ruler['bars'][number]) => string;
  readonly flagText?: string | null;
  readonly faded?: boolean;
  readonly large?: boolean;
  readonly selectedId?: string | null;
  /** Makes the bars choosable, one by one. */
  readonly onSelect?: (entryId: string) => void;
}

/** Width of a character of the flag's text. */
const TEXT_PX = 7;
const DROP = 'M0 -5 C2.5 -1.5 4 0.5 4 2.4 A4 4 0 0 1 -4 2.4 C-4 0.5 -2.5 -1.5 0 -5 Z';

/** The axis is runs, not dates: the oil change, one bar per run, what is expected, and the limit that comes first. */
export function RunRuler({
  ruler,
  width,
  label,
  wordsOf,
  flagText,
  faded,
  large,
  selectedId,
  onSelect,
}: RunRulerProps) {
  const layout = layOutRuler(ruler, width, flagText ? flagText.length * TEXT_PX : 0);
  const barHeight = large ? 20 : 16;
  const height = large ? 84 : 60;
  const middle = large ? 40 : 31;
  const top = middle - barHeight / 2;
  return (
    <svg
      width={width}
      height={height}
      role={onSelect ? 'group' : 'img'}
      aria-label={label}
      opacity={faded ? 0.75 : 1}
      className="block max-w-full"
    >
      <line x1={0} x2={layout.end + 20} y1={middle} y2={middle} stroke="var(--rule)" strokeWidth={2} />
      {layout.ticks.map((x) => (
        <line key={x} x1={x} x2={x} y1={middle - 5} y2={middle + 5} stroke="var(--rule)" strokeWidth={1.5} />
      ))}
      <rect x={0} y={middle - barHeight / 2 - 5} width={5} height={barHeight + 10} fill="var(--oil)" />
      {layout.collapsed && (
        <g>
          <rect
            x={layout.collapsed.x}
            y={top}
            width={layout.collapsed.width}
            height={barHeight}
            rx={4}
            fill="var(--sheet)"
            stroke="var(--ink)"
          />
          <text
            x={layout.collapsed.x + layout.collapsed.width / 2}
            y={middle + 4.5}
            textAnchor="middle"
            fontSize={12.5}
            fill="var(--ink)"
            className="figure"
          >
            {layout.collapsed.label}
          </text>
        </g>
      )}
      {layout.bars.map(({ bar, x, width: w }) => {
        const centre = x + w / 2;
        const words = wordsOf(bar);
        const choose = onSelect && (() => onSelect(bar.entryId));
        return (
          <g
            key={bar.entryId}
            {...(choose && {
              tabIndex: 0,
              role: 'button',
              'aria-label': words,
              'aria-pressed': selectedId === bar.entryId,
              onFocus: choose,
              onClick: choose,
              onMouseEnter: choose,
              className: 'cursor-pointer',
            })}
          >
            <title>{words}</title>
            {onSelect && <rect x={x} y={0} width={w} height={height} fill="transparent" />}
            <rect
              x={x}
              y={top}
              width={w}
              height={barHeight}
              rx={Math.min(barHeight / 2, w / 2)}
              fill={hatchOf(bar.load)}
              stroke="var(--ink)"
              strokeWidth={selectedId === bar.entryId ? 3 : 1.25}
            />
            {bar.carriedOver && (
              <g>
                <path
                  d={`M${centre - 6} ${top - 0.5} L${centre} ${top + 7} L${centre + 6} ${top - 0.5} Z`}
                  fill="var(--sheet)"
                  stroke="var(--ink)"
                  strokeWidth={1.25}
                />
                <path
                  transform={`translate(${centre + (bar.bled ? 9 : 0)}, ${middle + barHeight / 2 + 11})`}
                  d="M-6 3 A6 5 0 0 1 4 1 M5 -4 L4.6 1.6 L-1 1.2"
                  fill="none"
                  stroke="var(--stop)"
                  strokeWidth={2}
                />
              </g>
            )}
            {bar.looked && (
              <circle
                cx={centre}
                cy={top - (bar.carriedOver ? 9 : 8)}
                r={3.5}
                fill="var(--sheet)"
                stroke="var(--ink)"
                strokeWidth={2}
              />
            )}
            {bar.bled && (
              <path
                transform={`translate(${centre - (bar.carriedOver ? 6 : 0)}, ${middle + barHeight / 2 + 11})`}
                d={DROP}
                fill="var(--water)"
                stroke="var(--ink)"
                strokeWidth={0.75}
              />
            )}
          </g>
        );
      })}
      {layout.expected.map(({ x, width: w }) => (
        <rect
          key={x}
          x={x}
          y={top + 1}
          width={w}
          height={barHeight - 2}
          rx={Math.min(barHeight / 2, w / 2)}
          fill="none"
          stroke="var(--edge)"
          strokeWidth={1.5}
          strokeDasharray="3 3"
        />
      ))}
      {layout.flag && (
        <g>
          {layout.flag.beyond && (
            <path
              d={`M${layout.end + 4} ${middle + 6} l4 -12 M${layout.end + 9} ${middle + 6} l4 -12`}
              stroke="var(--ink)"
              strokeWidth={1.5}
            />
          )}
          <path
            d={`M${layout.flag.x} ${middle + barHeight / 2 + 5} V3 h15 l-4 4.5 l4 4.5 h-15`}
            fill="var(--ink)"
            stroke="var(--ink)"
            strokeWidth={2}
            strokeLinejoin="round"
          />
          {flagText && (
            <text x={layout.flag.x + 19} y={13} fontSize={12.5} fill="var(--ink-2)">
              {flagText}
            </text>
          )}
        </g>
      )}
    </svg>
  );
}
