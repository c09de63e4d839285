import type { DoorEvent } from '@winter-jar/contracts';
import { useDoorRecordQuery } from '../api/house-api.js';
import { Empty, Loading, Trouble } from '../ui/page-state.js';
import { PageHead } from '../ui/page-head.js';
import { PageTitle } from '../ui/page-title.js';
import { hereZone, momentWords } from '../words/dates.js';
import { EVENT_WORDS } from '../words/door-words.js';

const CODE_FOR: Readonly<Record<string, string>> = {
  pair: 'for a device',
  password: 'for a password',
  tablet: 'for a shared tablet',
};
const detailWords = ({ what, detail }: DoorEvent): string | null =>
  what === 'codeMade' ? (CODE_FOR[detail ?? ''] ?? null) : detail;

/** Who came in, who was refused, whose rights changed, what was carried out: for the owner. */
export function DoorRecordPage() {
  const { data, isError, refetch } = useDoorRecordQuery();
  if (isError && !data)
    return (
      <Trouble title="The record could not be fetched" onRetry={() => void refetch()}>
        The server does not answer, or this is not for you.
      </Trouble>
    );
  if (!data) return <Loading what="the record of the doors" />;
  const zone = hereZone();
  return (
    <main className="mx-auto w-full max-w-[760px] px-4 pb-10 pt-4">
      <PageTitle title="What happened at the doors" />
      <PageHead back="/people" above="People and doors">
        What happened at the doors
      </PageHead>
      <p className="mt-2 max-w-[68ch] text-ink-2">
        The last five hundred, the latest first. Kept apart from the journal, and in no backup.
      </p>
      {data.events.length === 0 ? (
        <Empty inside title="Nothing yet">
          Sign-ins, refusals, changed rights and files that were made will stand here.
        </Empty>
      ) : (
        <ul className="mt-4">
          {data.events.map((event, i) => (
            <li key={i} className="grid gap-x-4 border-b border-rule-soft py-2 sm:grid-cols-[160px_1fr]">
              <span className="text-[14px] text-ink-2">{momentWords(event.at, zone)}</span>
              <span className="min-w-0 wrap-anywhere">
                <span className="font-semibold">{event.by ?? 'Somebody'}</span> {EVENT_WORDS[event.what]}
                {event.about !== null && event.about !== event.by && <>: {event.about}</>}
                <span className="block text-[14px] text-ink-2">
                  {[detailWords(event), `from ${event.address || 'this machine'}`].filter(Boolean).join(' · ')}
                </span>
              </span>
            </li>
          ))}
        </ul>
      )}
    </main>
  );
}
