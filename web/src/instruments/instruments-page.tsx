import { Plus } from 'lucide-react';
import { Link } from 'react-router';
import { useSetUpQuery } from '../api/house-api.js';
import { usePrint } from '../device/use-print.js';
import { LinkButton } from '../ui/button.js';
import { PageTitle } from '../ui/page-title.js';
import { Empty, Loading } from '../ui/page-state.js';
import { CHANNEL_WORDS, statusWords, valueWords } from '../words/instrument-words.js';
import { StateSign } from './state-sign.js';
import { useLive } from './use-live.js';

/** All instruments, and how each stands. */
export function InstrumentsPage() {
  const { answer, broken } = useLive(null);
  const { data } = useSetUpQuery();
  const print = usePrint();
  if (!answer || !data) return <Loading what="the instruments" />;
  const { house } = data;
  const at = new Date(answer.nowMs).toISOString();
  const zoneOf = (equipmentId: string) => house.site[house.equipment[equipmentId]?.siteId ?? '']?.zone ?? 'UTC';
  return (
    <main className="mx-auto w-full max-w-[960px] px-4 pb-10 pt-5 wide:px-6">
      <PageTitle title="Instruments" />
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-[28px]">Instruments</h1>
        <span className="flex flex-wrap gap-3">
          <LinkButton to="/untold">What went in?</LinkButton>
          <LinkButton to="/set-up/instrument/new?back=/instruments" look="solid">
            <Plus size={18} aria-hidden="true" /> New instrument
          </LinkButton>
        </span>
      </div>
      {broken && (
        <p role="alert" className="mt-3 font-semibold text-stop">
          The server does not answer. This is how they stood last.
        </p>
      )}
      {answer.instruments.length === 0 && (
        <Empty inside title="No instrument yet">
          A gauge or a monitor on your network: its address, and what it sends. Nothing is called before you say so.
        </Empty>
      )}
      <ul className="mt-3">
        {answer.instruments.map(({ id, instrument, status }) => (
          <li key={id} className="border-b border-rule-soft">
            <Link
              to={`/instruments/${id}`}
              className="flex min-h-16 flex-wrap items-center justify-between gap-x-6 gap-y-1 py-3 text-ink no-underline hover:bg-sheet"
            >
              <span className="min-w-0">
                <span className="text-[17px] font-semibold">{instrument.name}</span>
                <span className="block text-[14px] text-ink-2">
                  {[
                    house.equipment[instrument.equipmentId]?.name,
                    instrument.pumpId ? house.pump[instrument.pumpId]?.name : null,
                    instrument.simulated ? 'simulated' : null,
                  ]
                    .filter(Boolean)
                    .join(' · ')}
                </span>
              </span>
              <span className="flex flex-wrap items-center gap-x-6 gap-y-1">
                {(instrument.channels ?? []).map((channel) => {
                  const value = status.channels.find((c) => c.key === channel.key)?.value ?? null;
                  return (
                    value !== null && (
                      <span key={channel.key} className="text-[15px]">
                        <span className="text-ink-2">{CHANNEL_WORDS[channel.means]}</span>{' '}
                        <span className="figure">{valueWords(channel, value, print)}</span>
                      </span>
                    )
                  );
                })}
                <StateSign status={status} words={statusWords(status, zoneOf(instrument.equipmentId), at)} />
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </main>
  );
}
