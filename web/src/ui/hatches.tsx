import type { Load } from '@winter-jar/core';

export const LOADS: readonly { readonly load: Load; readonly word: string }[] = [
  { load: 'wet', word: 'wet' },
  { load: 'fatty', word: 'fatty' },
  { load: 'dusty', word: 'dusty' },
  { load: 'fumes', word: 'fumes' },
  { load: 'clean', word: 'clean' },
  { load: 'unlogged', word: 'meter only' },
  { load: 'notTold', word: 'not told' },
];

export const hatchOf = (load: Load): string => `url(#load-${load})`;

/** Fills of the ruler and the jar: each kind of load has a pattern besides its colour. Drawn once per page. */
export function Hatches() {
  return (
    <svg width="0" height="0" className="absolute" aria-hidden="true">
      <defs>
        <pattern id="load-wet" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(30)">
          <rect width="8" height="8" fill="var(--water)" />
          <rect width="2" height="8" fill="var(--hatch)" opacity="0.75" />
        </pattern>
        <pattern id="load-fatty" width="7" height="7" patternUnits="userSpaceOnUse">
          <rect width="7" height="7" fill="var(--oil)" />
          <circle cx="3.5" cy="3.5" r="1.6" fill="var(--hatch)" />
        </pattern>
        <pattern id="load-dusty" width="5" height="5" patternUnits="userSpaceOnUse">
          <rect width="5" height="5" fill="var(--solids)" />
          <circle cx="1.2" cy="1.2" r="0.8" fill="var(--hatch)" />
          <circle cx="3.7" cy="3.7" r="0.8" fill="var(--hatch)" />
        </pattern>
        <pattern id="load-fumes" width="10" height="7" patternUnits="userSpaceOnUse">
          <rect width="10" height="7" fill="var(--fumes)" />
          <path d="M0 4 Q2.5 1 5 4 T10 4" stroke="var(--hatch)" strokeWidth="1.4" fill="none" />
        </pattern>
        <pattern id="load-clean" width="4" height="4" patternUnits="userSpaceOnUse">
          <rect width="4" height="4" fill="var(--sheet)" />
        </pattern>
        <pattern id="load-unlogged" width="6" height="6" patternUnits="userSpaceOnUse">
          <rect width="6" height="6" fill="var(--sheet)" />
          <path d="M0 6 L6 0" stroke="var(--ink-2)" strokeWidth="1" />
        </pattern>
        <pattern id="load-notTold" width="8" height="8" patternUnits="userSpaceOnUse">
          <rect width="8" height="8" fill="var(--sheet)" />
          <path d="M1 4 H5" stroke="var(--ink-2)" strokeWidth="1.5" />
        </pattern>
        <pattern id="haze" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="6" height="6" fill="var(--cream-fill)" opacity="0.35" />
          <rect width="1.5" height="6" fill="var(--cream-fill)" opacity="0.9" />
        </pattern>
        <pattern id="cream" width="14" height="10" patternUnits="userSpaceOnUse">
          <circle cx="4" cy="3" r="2" fill="var(--hatch)" stroke="var(--edge)" strokeWidth="0.5" />
          <circle cx="10.5" cy="7" r="1.5" fill="var(--hatch)" stroke="var(--edge)" strokeWidth="0.5" />
        </pattern>
      </defs>
    </svg>
  );
}
