import { uncapital } from '../words/number.js';
import { SCHOOL_WORDS } from '../words/school-words.js';
import { PRESETS, type PresetId } from '@winter-jar/core';

/** Which school of oil care the pump follows, why people do, and what it costs. */
export function SchoolNote({ preset }: { preset: PresetId }) {
  const { why, cost } = PRESETS[preset];
  return (
    <p className="mt-3 border-l-4 border-rule pl-3 text-[14px] text-ink-2">
      <span className="font-semibold text-ink">{SCHOOL_WORDS[preset]}.</span> {why} What it costs: {uncapital(cost)}
    </p>
  );
}
