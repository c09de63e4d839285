import type { PumpPage } from '@winter-jar/contracts';
import { CAUTIONS, cautionsAt, type CautionId, type Deed } from '@winter-jar/core';
import { Link } from 'react-router';
import { Caution } from '../ui/caution.js';

/** As many as are read before hands are on the pump; the gravest are first. */
const READ_AT_ONCE = 3;

/** How it is done, and what to mind at this pump as it stands now: the gravest at once, the rest one tap away. */
export function DeedCautions({ page, deed, how }: { page: PumpPage; deed: Deed; how?: string | undefined }) {
  const cautions = cautionsAt(deed, page.state, page.setUp);
  const rest = cautions.slice(READ_AT_ONCE);
  return (
    <div className="flex flex-col gap-3">
      {how && <p className="text-[15px] text-ink-2">{how}</p>}
      <Link
        to={`/pumps/${page.row.pumpId}/job-cards`}
        className="inline-flex min-h-11 items-center self-start text-[15px] underline underline-offset-4"
      >
        Be guided through it, step by step
      </Link>
      <Caution>
        <Lines cautions={cautions.slice(0, READ_AT_ONCE)} />
        {rest.length > 0 && (
          <details>
            <summary className="min-h-11 cursor-pointer py-2 font-semibold">{rest.length} more to mind</summary>
            <Lines cautions={rest} />
          </details>
        )}
        <p className="pt-2 text-[14px] text-ink-2">The site’s rules, local codes and the maker’s manual come first.</p>
      </Caution>
    </div>
  );
}

function Lines({ cautions }: { cautions: readonly CautionId[] }) {
  return (
    <ul className="flex list-disc flex-col gap-1 pl-5">
      {cautions.map((id) => (
        <li key={id}>{CAUTIONS[id]}</li>
      ))}
    </ul>
  );
}
