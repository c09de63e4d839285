import type { PumpPage } from '@winter-jar/contracts';
import type { SumpKey } from '@winter-jar/core';
import { useSearchParams } from 'react-router';
import { SUMP_WORDS } from '../words/sump-words.js';
import { Chips } from '../ui/chips.js';

/** Which sump, where the pump has several. */
export function SumpField({
  page,
  value,
  onChange,
}: {
  page: PumpPage;
  value: SumpKey;
  onChange: (key: SumpKey) => void;
}) {
  const { sumps } = page.setUp.model;
  if (sumps.length < 2) return null;
  return (
    <Chips
      label="Where"
      chips={sumps.map((s) => ({ value: s.key, words: SUMP_WORDS[s.key] }))}
      value={value}
      onChange={onChange}
    />
  );
}

/** The sump that the address asks for, as the button of a verdict does; null where it asks for none that the pump has. */
export function useAskedSump(page: PumpPage): SumpKey | null {
  const [search] = useSearchParams();
  return page.setUp.model.sumps.find((s) => s.key === search.get('sump'))?.key ?? null;
}

export const firstSump = (page: PumpPage): SumpKey => page.setUp.model.sumps[0]?.key ?? 'oil';
export const chargeMlOf = (page: PumpPage, key: SumpKey): number =>
  page.setUp.model.sumps.find((s) => s.key === key)?.chargeMl ?? 0;
