import type { PumpPage } from '@winter-jar/contracts';
import { proceduresAt, serviceAt } from '@winter-jar/core';
import { ChevronRight } from 'lucide-react';
import { Link } from 'react-router';
import { PageHead } from '../ui/page-head.js';
import { PageTitle } from '../ui/page-title.js';
import { OfPump } from './of-pump.js';
import { lastsWords, SKILL_WORDS } from './service-words.js';

/** The procedures that a pump has as it stands now; each opens as a card for paper. */
export function JobCardsPage() {
  return <OfPump>{(page) => <JobCards page={page} />}</OfPump>;
}

function JobCards({ page: { row, state, setUp } }: { page: PumpPage }) {
  const services = proceduresAt(state, setUp).map((id) => serviceAt(id, state, setUp));
  return (
    <main className="mx-auto w-full max-w-[760px] px-4 pb-10 pt-4">
      <PageTitle title={`Job cards of ${row.name}`} />
      <PageHead back={`/pumps/${row.pumpId}`} above={row.name}>
        Job cards
      </PageHead>
      <p className="mt-2 max-w-[64ch] text-ink-2">
        Steps, cautions, volumes and boxes to fill in, for this pump with the oil that is in it today. What was done is
        logged afterwards, on the pump’s page.
      </p>
      <ul className="mt-4">
        {services.map(({ id, procedure, ...lasts }) => (
          <li key={id}>
            <Link
              to={`/pumps/${row.pumpId}/job-cards/${id}`}
              className="flex min-h-14 items-center gap-4 border-b border-rule-soft py-2 text-ink no-underline hover:bg-sheet"
            >
              <span className="min-w-0 flex-1">
                <span className="block font-semibold">{procedure.name}</span>
                <span className="block text-[14px] text-ink-2">
                  {lastsWords(lasts)} · {SKILL_WORDS[procedure.skill]}
                </span>
              </span>
              <ChevronRight size={18} aria-hidden="true" />
            </Link>
          </li>
        ))}
      </ul>
    </main>
  );
}
