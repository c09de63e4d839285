import { PRESETS, type PresetId } from '@winter-jar/core';
import { SCHOOL_WORDS } from '../care/school-words.js';

/** Which school of oil care the pump follows, why people do, and what it costs. */
export function SchoolNote({ preset }: { preset: PresetId }) {
  const { why, cost } = PRESETS[preset];
  return (
    <p className="mt-3 border-l-4 border-rule pl-3 text-[14px] text-ink-2">
      <span className="font-semibold text-ink">{SCHOOL_WORDS[preset]}.</span> {why} What it costs:{' '}
      {cost.charAt(0).toLowerCase() + cost.slice(1)}
    </p>
  );
}
