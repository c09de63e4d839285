import type { PumpPage } from '@winter-jar/contracts';
import { CAUTIONS, cautionsAt, type Deed } from '@winter-jar/core';
import { Caution } from '../ui/caution.js';

/** What to mind at this deed at this pump as it stands now, beside how it is done. */
export function DeedCautions({ page, deed, how }: { page: PumpPage; deed: Deed; how?: string }) {
  const cautions = cautionsAt(deed, page.state, page.setUp);
  return (
    <Caution>
      {how && <p className="pb-2">{how}</p>}
      <ul className="flex list-disc flex-col gap-1 pl-5">
        {cautions.map((id) => (
          <li key={id}>{CAUTIONS[id]}</li>
        ))}
      </ul>
      <p className="pt-2 text-[14px] text-ink-2">The site’s rules, local codes and the maker’s manual come first.</p>
    </Caution>
  );
}
