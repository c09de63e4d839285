import { useWide } from '../device/use-wide.js';
import { hatchOf, LOADS } from '../ui/hatches.js';

/** What the ruler's signs mean; folded away where room is short. */
export function Legend() {
  const wide = useWide();
  if (wide) return <Signs />;
  return (
    <details className="px-2">
      <summary className="flex min-h-11 cursor-pointer items-center text-[14px] text-ink-2 underline">
        What the signs mean
      </summary>
      <Signs />
    </details>
  );
}

function Signs() {
  return (
    <ul
      aria-label="Signs on the ruler"
      className="flex flex-wrap items-center gap-x-5 gap-y-2 px-2 py-3 text-[14px] text-ink-2"
    >
      {LOADS.map(({ load, word }) => (
        <li key={load} className="flex items-center gap-2">
          <svg width="26" height="14" aria-hidden="true">
            <rect
              x="1"
              y="1"
              width="24"
              height="12"
              rx="6"
              fill={hatchOf(load)}
              stroke="var(--ink)"
              strokeWidth="1.25"
            />
          </svg>
          {word}
        </li>
      ))}
      <li className="flex items-center gap-2">
        <svg width="12" height="12" aria-hidden="true">
          <circle cx="6" cy="6" r="4" fill="var(--sheet)" stroke="var(--ink)" strokeWidth="2" />
        </svg>
        looked
      </li>
      <li className="flex items-center gap-2">
        <svg width="12" height="14" aria-hidden="true">
          <path
            transform="translate(6,6.5)"
            d="M0 -5 C2.5 -1.5 4 0.5 4 2.4 A4 4 0 0 1 -4 2.4 C-4 0.5 -2.5 -1.5 0 -5 Z"
            fill="var(--water)"
          />
        </svg>
        bled
      </li>
      <li className="flex items-center gap-2">
        <svg width="16" height="12" aria-hidden="true">
          <path
            transform="translate(8,6)"
            d="M-6 3 A6 5 0 0 1 4 1 M5 -4 L4.6 1.6 L-1 1.2"
            fill="none"
            stroke="var(--stop)"
            strokeWidth="2"
          />
        </svg>
        oil carried over
      </li>
    </ul>
  );
}
