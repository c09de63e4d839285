import type { PumpPage } from '@winter-jar/contracts';
import type { SumpKey } from '@winter-jar/core';
import { Chips } from '../ui/chips.js';

const SUMP_WORDS: Readonly<Record<SumpKey, string>> = {
  oil: 'oil case',
  gearA: 'gear end A',
  gearB: 'gear end B',
  sealCup: 'seal cup',
};

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

export const firstSump = (page: PumpPage): SumpKey => page.setUp.model.sumps[0]?.key ?? 'oil';
export const chargeMlOf = (page: PumpPage, key: SumpKey): number =>
  page.setUp.model.sumps.find((s) => s.key === key)?.chargeMl ?? 0;
