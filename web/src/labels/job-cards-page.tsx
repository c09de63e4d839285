import { PROCEDURES, proceduresAt, type ProcedureId, type TaskId } from '@winter-jar/core';
import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { LinkButton } from '../ui/button.js';
import { PageHead } from '../ui/page-head.js';
import { PageTitle } from '../ui/page-title.js';
import { WithPump, type EntryPageProps } from '../entry/entry-page.js';
import { ridersWanted, ServiceRow, wantedOf } from '../service/service-row.js';
import { Told } from '../service/told.js';
import { Running } from '../round/running.js';
import { useJob } from '../service/use-job.js';
import { momentWords } from '../words/dates.js';
import { NOT_WHOLE_WORDS } from '../words/safety-state-words.js';
import { jobName } from '../words/procedure-words.js';

/** The procedures that a pump has as it stands now; each is started here, or printed as a card. */
export function JobCardsPage() {
  return <WithPump needsOil={false}>{(props) => <JobCards {...props} />}</WithPump>;
}

/** What closes or frees a pump that nobody may start as it stands. */
const CLOSES: readonly ProcedureId[] = ['closeUp', 'backToWork'];
/** And one whose oil is out. */
const FILLS: readonly ProcedureId[] = ['oilChange', 'oilAndFilter', 'boosterOil'];

function JobCards({ page, words }: EntryPageProps) {
  const { row, state, setUp } = page;
  const navigate = useNavigate();
  const { start, busy, told } = useJob(page);
  // What was asked for comes first, most of all where it goes with other work that is wanted too.
  const [search] = useSearchParams();
  const asksFor = search.get('task') as TaskId | null;
  const rank = (id: ProcedureId): number => {
    if (CLOSES.includes(id)) return Infinity;
    if (state.drained && FILLS.includes(id)) return Number.MAX_VALUE;
    const does = [id, ...ridersWanted(id, page)].flatMap((one) => PROCEDURES[one].tasks);
    const asked = asksFor !== null && does.includes(asksFor);
    const isWanted = PROCEDURES[id].tasks.includes(asksFor as TaskId) || wantedOf(PROCEDURES[id].tasks, page);
    return asked && isWanted ? 1 + ridersWanted(id, page).length : 0;
  };
  const ids = proceduresAt(state, setUp).sort((a, b) => rank(b) - rank(a));
  const toJob = `/pumps/${row.pumpId}/job`;
  const [asked, setAsked] = useState<readonly ProcedureId[]>([]);
  async function begin(ids: readonly ProcedureId[], codes: readonly string[] = []) {
    const [id, ...others] = ids;
    setAsked(ids);
    if (id && (await start(id, others, codes))) await navigate(toJob);
  }
  return (
    <main className="mx-auto w-full max-w-[760px] px-4 pb-10 pt-4">
      <PageTitle title={`Service of ${row.name}`} />
      <PageHead back={`/pumps/${row.pumpId}`} above={row.name}>
        Service
      </PageHead>
      <p className="mt-2 max-w-[64ch] text-ink-2">
        One step after another with its caution, beside the pump; what was done writes itself. Or as a card on paper.
      </p>
      {state.job && (
        <p className="mt-4 flex flex-wrap items-center gap-4 border-l-4 border-oil bg-sheet p-3">
          <span className="flex-1">
            {jobName(state.job.procedure, state.job.with)} is under way: one job at a time on a pump.
          </span>
          <LinkButton look="solid" to={toJob}>
            Go on with it
          </LinkButton>
        </p>
      )}
      {state.notWhole && !state.job && (
        <p role="status" className="mt-4 border-l-4 border-stop bg-sheet p-3">
          <span className="font-semibold">{NOT_WHOLE_WORDS[state.notWhole.how]}</span> since{' '}
          {momentWords(state.notWhole.at, row.zone, words.now)}: close and free it first, then its other services.
        </p>
      )}
      {state.drained && !state.job && (
        <p role="status" className="mt-4 border-l-4 border-stop bg-sheet p-3">
          <span className="font-semibold">No oil in it</span> since {momentWords(state.drained.at, row.zone, words.now)}
          : fill it first; what runs it comes back then.
        </p>
      )}
      {row.running.length > 0 && (
        <div className="mt-4 flex flex-col gap-2">
          <p className="font-semibold">
            A run is going on: what is opened stands still and is locked. End the run first.
          </p>
          <Running row={row} words={words} />
        </div>
      )}
      {told && asked.length > 0 && (
        <div className="mt-4">
          <Told result={told} done={[]} page={page} words={words} onAgain={(codes) => void begin(asked, codes)} />
        </div>
      )}
      <ul className="mt-4">
        {ids.map((id, i) => (
          <ServiceRow
            key={id}
            id={id}
            page={page}
            words={words}
            first={i === 0 && rank(id) > 0}
            busy={busy || state.job !== null}
            onStart={(others) => void begin([id, ...others])}
          />
        ))}
      </ul>
    </main>
  );
}
