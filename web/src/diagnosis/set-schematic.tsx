import { SET_PARTS, type Process, type SetPart } from '@winter-jar/core';
import type { ReactNode } from 'react';

const PART_WORDS: Readonly<Record<SetPart, string>> = {
  chamber: 'chamber',
  door: 'door gasket',
  drain: 'drain',
  trap: 'cold trap',
  port: 'port',
  valve: 'valves',
  hose: 'hose',
  joints: 'connections',
  gauge: 'gauge',
  pump: 'pump',
};

/** What the same place is called on another process. */
const OTHER_WORDS: Readonly<Partial<Record<Process, Partial<Record<SetPart, string>>>>> = {
  packaging: { door: 'lid gasket' },
  composites: { chamber: 'bag', door: 'bag seal', drain: 'catch pot' },
};
const partWords = (part: SetPart, process: Process): string => OTHER_WORDS[process]?.[part] ?? PART_WORDS[part];

interface Drawing {
  readonly shape: ReactNode;
  readonly label: { readonly x: number; readonly y: number; readonly anchor?: 'middle' | 'end' };
}

/** Each part once: its outline, filled in by how it stands, and where its name goes. */
const DRAWINGS: Readonly<Record<SetPart, Drawing>> = {
  chamber: { shape: <rect x="18" y="40" width="126" height="112" rx="8" />, label: { x: 28, y: 62 } },
  door: { shape: <rect x="8" y="48" width="10" height="96" rx="3" />, label: { x: 6, y: 30 } },
  trap: {
    shape: (
      <>
        <circle cx="102" cy="104" r="26" />
        <path d="M86 96h32M86 104h32M86 112h32" fill="none" />
      </>
    ),
    label: { x: 102, y: 146, anchor: 'middle' },
  },
  drain: { shape: <path d="M44 152h12v28h6v10H38v-10h6z" />, label: { x: 50, y: 208, anchor: 'middle' } },
  port: { shape: <rect x="144" y="92" width="14" height="24" rx="2" />, label: { x: 150, y: 142 } },
  valve: { shape: <path d="M164 92l28 24V92l-28 24z" />, label: { x: 198, y: 92 } },
  gauge: {
    shape: (
      <>
        <path d="M178 54v44" fill="none" />
        <circle cx="178" cy="38" r="17" />
        <path d="M178 38l8-8" fill="none" />
      </>
    ),
    label: { x: 204, y: 36 },
  },
  hose: {
    shape: <path d="M202 99c46 0 10 92 54 92v10c-56 0-20-92-54-92z" />,
    label: { x: 206, y: 172, anchor: 'end' },
  },
  joints: {
    shape: (
      <>
        <circle cx="200" cy="104" r="6" />
        <circle cx="258" cy="196" r="6" />
      </>
    ),
    label: { x: 246, y: 124 },
  },
  pump: {
    shape: (
      <>
        <circle cx="304" cy="196" r="36" />
        <path d="M282 168l57 20M282 224l57-20" fill="none" />
      </>
    ),
    label: { x: 304, y: 248, anchor: 'middle' },
  },
};

/** The set from the product to the exhaust: what is proven tight is filled in, what failed is crossed through. */
export function SetSchematic({
  proven,
  suspect,
  hasTrap,
  process,
}: {
  proven: readonly SetPart[];
  /** Parts of the step that failed. */
  suspect: readonly SetPart[];
  hasTrap: boolean;
  process: Process;
}) {
  const parts = SET_PARTS.filter((p) => hasTrap || p !== 'trap');
  const standing = (part: SetPart) => (suspect.includes(part) ? 'suspect' : proven.includes(part) ? 'proven' : 'open');
  const named = (what: readonly SetPart[]) => what.map((p) => partWords(p, process)).join(', ') || 'nothing yet';
  return (
    <figure>
      <svg
        viewBox="0 0 360 256"
        className="w-full max-w-[520px]"
        role="img"
        aria-label={`The set. Proven tight: ${named(proven)}.${suspect.length > 0 ? ` Failed: ${named(suspect)}.` : ''}`}
      >
        {parts.map((part) => (
          <g
            key={part}
            data-part={part}
            data-standing={standing(part)}
            strokeWidth={standing(part) === 'open' ? 1.5 : 2.5}
            className={
              standing(part) === 'proven'
                ? 'fill-[color-mix(in_srgb,var(--run-on)_30%,var(--sheet))] stroke-run-on'
                : standing(part) === 'suspect'
                  ? 'fill-[color-mix(in_srgb,var(--stop)_25%,var(--sheet))] stroke-stop'
                  : 'fill-sheet stroke-edge'
            }
          >
            {DRAWINGS[part].shape}
          </g>
        ))}
        {parts.map((part) => (
          <text
            key={part}
            x={DRAWINGS[part].label.x}
            y={DRAWINGS[part].label.y}
            textAnchor={DRAWINGS[part].label.anchor ?? 'start'}
            className="fill-ink text-[13px]"
            aria-hidden="true"
          >
            {standing(part) === 'proven' ? '✓ ' : standing(part) === 'suspect' ? '✗ ' : ''}
            {partWords(part, process)}
          </text>
        ))}
      </svg>
      <figcaption className="text-[14px] text-ink-2">✓ proven tight · ✗ failed · the rest is not proven yet</figcaption>
    </figure>
  );
}
