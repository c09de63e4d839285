import { uncapital } from '../words/number.js';
import { SCHOOL_WORDS } from '../words/school-words.js';
import { SCHOOLS, type SchoolId } from '@winter-jar/core';

/** Which school of oil care the pump follows, why people do, and what it costs. */
export function SchoolNote({ school }: { school: SchoolId }) {
  const { why, cost } = SCHOOLS[school];
  return (
    <p className="mt-3 border-l-4 border-rule pl-3 text-[14px] text-ink-2">
      <span className="font-semibold text-ink">{SCHOOL_WORDS[school]}.</span> {why} What it costs: {uncapital(cost)}
    </p>
  );
}
