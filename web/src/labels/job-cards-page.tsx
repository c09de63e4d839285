import { mayNot, proceduresAt, serviceAt, type ProcedureId } from '@winter-jar/core';
import { useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { Button, LinkButton } from '../ui/button.js';
import { PageHead } from '../ui/page-head.js';
import { PageTitle } from '../ui/page-title.js';
import { WithPump, type EntryPageProps } from '../entry/entry-page.js';
import { useAppSelector } from '../device/store.js';
import { useServiceTimesQuery } from '../api/house-api.js';
import { lastsWords, MAY_NOT_WORDS, ownWords, SKILL_WORDS } from '../service/step-words.js';
import { Told } from '../service/told.js';
import { Running } from '../round/running.js';
import { useJob } from '../service/use-job.js';
import { procedureName } from '../words/procedure-words.js';

/** The procedures that a pump has as it stands now; each is started here, or printed as a card. */
export function JobCardsPage() {
  return <WithPump needsOil={false}>{(props) => <JobCards {...props} />}</WithPump>;
}

function JobCards({ page, words }: EntryPageProps) {
  const { row, state, setUp } = page;
  const navigate = useNavigate();
  const { start, busy, told } = useJob(page);
  const who = useAppSelector((s) => s.prefs.who);
  const services = proceduresAt(state, setUp).map((id) => {
    const service = serviceAt(id, state, setUp);
    return { ...service, barred: mayNot(service.procedure, setUp.house, who) };
  });
  // What was asked for comes first.
  const [search] = useSearchParams();
  const asksFor = search.get('task');
  const isAsked = ({ procedure }: (typeof services)[number]) => procedure.tasks.some((task) => task === asksFor);
  services.sort((a, b) => Number(isAsked(b)) - Number(isAsked(a)));
  const { data: times } = useServiceTimesQuery();
  const toJob = `/pumps/${row.pumpId}/job`;
  const [asked, setAsked] = useState<ProcedureId | null>(null);
  async function begin(id: ProcedureId, codes: readonly string[] = []) {
    setAsked(id);
    if (await start(id, codes)) await navigate(toJob);
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
            {procedureName(state.job.procedure)} is under way: one job at a time on a pump.
          </span>
          <LinkButton look="solid" to={toJob}>
            Go on with it
          </LinkButton>
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
      {told && asked && (
        <div className="mt-4">
          <Told result={told} done={[]} page={page} words={words} onAgain={(codes) => void begin(asked, codes)} />
        </div>
      )}
      <ul className="mt-4">
        {services.map(({ id, procedure, barred, ...lasts }, i) => (
          <li key={id} className="flex items-center gap-4 border-b border-rule-soft py-2">
            <span className="min-w-0 flex-1">
              <span className="block font-semibold">{procedure.name}</span>
              <span className="block text-[14px] text-ink-2">
                {lastsWords(lasts)}
                {ownWords(
                  times?.times.find((t) => t.procedure === id && t.modelId === setUp.pump.modelId)?.minutes,
                )} · {SKILL_WORDS[procedure.skill]}
              </span>
              <Link
                to={`/pumps/${row.pumpId}/job-cards/${id}`}
                aria-label={`Card: ${procedure.name}`}
                className="inline-flex min-h-11 items-center text-[15px] underline underline-offset-4"
              >
                Card on paper
              </Link>
            </span>
            {barred ? (
              <span className="max-w-32 text-[14px] sm:max-w-56 text-ink-2">{MAY_NOT_WORDS[barred]}</span>
            ) : (
              <Button
                size="field"
                look={asksFor && i === 0 ? 'solid' : 'outline'}
                disabled={busy || state.job !== null}
                aria-label={`Start: ${procedure.name}`}
                onClick={() => void begin(id)}
              >
                Start
              </Button>
            )}
          </li>
        ))}
      </ul>
    </main>
  );
}
