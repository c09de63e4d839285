import type { PumpPage } from '@winter-jar/contracts';
import { OIL_WENT, type OilWent, type SumpKey } from '@winter-jar/core';
import { Chips } from '../ui/chips.js';
import { OIL_WENT_WORDS } from '../words/look-words.js';

const CHIPS = OIL_WENT.map((value) => ({ value, words: OIL_WENT_WORDS[value] }));

/** Asked where no oil stood in the glass: until it is said, filling it up does not end the Stop. */
export function OilWentField({
  page,
  sump,
  value,
  onChange,
}: {
  page: PumpPage;
  sump: SumpKey;
  value: OilWent | '';
  onChange: (where: OilWent) => void;
}) {
  const findings = page.state.sumps.find((s) => s.key === sump)?.findings ?? [];
  const isMissing = findings.some((f) => f.code === 'level' && f.found === 'none');
  if (!isMissing && value === '') return null;
  return (
    <Chips label="No oil stood in the glass: it had gone" chips={CHIPS} value={value || null} onChange={onChange} />
  );
}
