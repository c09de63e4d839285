import type { EquipmentPage as Page } from '@winter-jar/contracts';
import type { PumpPlace } from '@winter-jar/core';
import { ChevronLeft } from 'lucide-react';
import type { ReactNode } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { useEquipmentQuery } from '../api/house-api.js';
import { useNow } from '../device/use-now.js';
import { usePrint } from '../device/use-print.js';
import { JournalEntryLine } from '../entry/journal-entry-line.js';
import { NoteField } from '../entry/note-field.js';
import { LinkButton } from '../ui/button.js';
import { Empty, Loading, NotFetched } from '../ui/page-state.js';
import { PageTitle } from '../ui/page-title.js';
import { dayWords } from '../words/dates.js';
import { materialName } from '../words/material-words.js';
import { stateName } from '../words/diagnosis-words.js';
import { meterWords } from '../words/entry-words.js';
import { PLACE_WORDS } from '../words/place-words.js';
import { PROCESS_WORDS } from '../words/process-words.js';
import type { Words } from '../words/words.js';
import { MeterField } from './meter-field.js';

/** A chamber, line or furnace with its own record, whichever pump stood at it. */
export function EquipmentPage() {
  const { equipmentId = '' } = useParams();
  const [search] = useSearchParams();
  const before = search.get('before');
  const { data, isError, error, refetch } = useEquipmentQuery({ equipmentId, ...(before ? { before } : {}) });
  const print = usePrint();
  const now = useNow();
  if (isError && !data)
    return (
      <NotFetched
        what="equipment"
        error={error}
        none={`No equipment has the id “${equipmentId}”. Choose one in the set-up.`}
        onRetry={() => void refetch()}
      />
    );
  if (!data) return <Loading what="the equipment" />;
  return <Sheet page={data} words={{ print, zone: data.site.zone, now }} older={before !== null} />;
}

function Sheet({ page, words, older }: { page: Page; words: Words; older: boolean }) {
  const { equipment, site, standsHere, house, journal } = page;
  const [first] = standsHere;
  return (
    <main className="mx-auto w-full max-w-[880px] px-4 pb-10 pt-4 wide:px-6">
      <PageTitle title={equipment.name} />
      <div className="flex items-center gap-3">
        <Link
          to={first ? `/pumps/${first}` : '/'}
          aria-label={first ? `Back to ${house.pump[first]?.name ?? first}` : 'Back to the Round'}
          className="no-print -ml-3 flex size-11 shrink-0 items-center justify-center text-ink"
        >
          <ChevronLeft aria-hidden="true" />
        </Link>
        <div className="min-w-0">
          <p className="text-[14px] text-ink-2 wrap-anywhere">
            {site.name} · {PROCESS_WORDS[equipment.process]}
          </p>
          <h1 dir="auto" className="text-[26px] wrap-anywhere">
            {equipment.name}
          </h1>
        </div>
      </div>
      <Known page={page} words={words} />
      <section className="mt-6">
        <h2 className="mb-1 text-[20px]">Pumps at it</h2>
        <Pumps page={page} words={words} />
      </section>
      <section className="mt-6">
        <h2 className="mb-1 text-[20px]">Journal</h2>
        {!older && <NoteField subject={{ type: 'equipment', id: page.equipmentId }} zone={words.zone} />}
        {journal.lines.length === 0 && (
          <Empty inside title="Nothing written yet">
            A run on it, a note about it, or a look at how its pressure rises.
          </Empty>
        )}
        <ol className="mt-2">
          {journal.lines.map((line) => (
            <JournalEntryLine key={line.entry.id} line={line} house={page.house} words={words} />
          ))}
        </ol>
        <div className="no-print mt-3 flex gap-3">
          {journal.before && <LinkButton to={`?before=${journal.before}`}>Older entries</LinkButton>}
          {older && <LinkButton to="?">The newest entries</LinkButton>}
        </div>
      </section>
    </main>
  );
}

/** What its record adds up to. */
function Known({ page, words }: { page: Page; words: Words }) {
  const { state, house } = page;
  const { lastRun, meter, lastRise } = state;
  const instruments = Object.entries(house.instrument).filter(([, i]) => i.equipmentId === page.equipmentId);
  const when = (at: string) => dayWords(at, words.zone, words.now);
  return (
    <dl className="mt-4 grid gap-x-6 gap-y-4 border-y border-rule py-4 wide:grid-cols-4">
      <Fact name="Runs on it">
        {state.runs === 0 ? 'none logged' : `${state.runs} in ${meterWords(state.minutes)}`}
      </Fact>
      <Fact name="Last run">
        {lastRun ? (
          <>
            {materialName(lastRun.materialId, house)}, {when(lastRun.at)}
          </>
        ) : (
          'none logged'
        )}
      </Fact>
      <Fact name="Last rise, closed">
        {lastRise ? `${stateName('rateOfRise', lastRise.state)}, ${when(lastRise.at)}` : 'not looked at yet'}
        <Link
          to="vacuum"
          relative="path"
          className="no-print flex min-h-11 w-fit items-center text-[15px] font-semibold text-ink underline decoration-edge underline-offset-4"
        >
          Vacuum record
        </Link>
      </Fact>
      <Fact name="Its own hour meter">
        {meter ? `${meterWords(meter.minutes)}, ${when(meter.at)}` : 'not read yet'}
        <MeterField equipmentId={page.equipmentId} zone={words.zone} />
      </Fact>
      {instruments.length > 0 && (
        <Fact name="Instruments at it">
          {instruments.map(([id, instrument]) => (
            <Link
              key={id}
              to={`/instruments/${id}`}
              className="no-print flex min-h-11 w-fit items-center font-semibold text-ink underline decoration-edge underline-offset-4"
            >
              {instrument.name}
            </Link>
          ))}
        </Fact>
      )}
    </dl>
  );
}

function Fact({ name, children }: { name: string; children: ReactNode }) {
  return (
    <div className="min-w-0">
      <dt className="text-[14px] text-ink-2">{name}</dt>
      <dd className="text-[16px] wrap-anywhere">{children}</dd>
    </div>
  );
}

function Pumps({ page, words }: { page: Page; words: Words }) {
  const { state, standsHere, house } = page;
  const ran = state.pumps.toReversed();
  const yet = standsHere
    .filter((id) => !ran.some((p) => p.pumpId === id))
    .map((pumpId) => ({ pumpId, runs: 0, minutes: 0, lastAt: null }));
  const all = [...ran, ...yet];
  if (all.length === 0) return <p className="text-[15px] text-ink-2">No pump stands at it, and none ever ran on it.</p>;
  return (
    <table className="w-full text-[15px]">
      <thead>
        <tr className="border-b border-rule text-left text-[14px] text-ink-2">
          <th className="py-1 font-normal">Pump</th>
          <th className="py-1 pr-4 text-right font-normal">Runs</th>
          <th className="py-1 pr-6 text-right font-normal">Hours</th>
          <th className="py-1 font-normal">Last</th>
        </tr>
      </thead>
      <tbody>
        {all.map(({ pumpId, runs, minutes, lastAt }) => (
          <tr key={pumpId} className="border-b border-rule-soft">
            <td className="py-2 wrap-anywhere">
              <Link to={`/pumps/${pumpId}`} className="figure text-ink">
                {house.pump[pumpId]?.name ?? pumpId}
              </Link>
              {standsHere.includes(pumpId) && (
                <span className="block text-[14px] text-ink-2">{standsWords(house.pump[pumpId]?.place)}</span>
              )}
            </td>
            <td className="figure py-2 pr-4 text-right">{runs}</td>
            <td className="figure py-2 pr-6 text-right whitespace-nowrap">{meterWords(minutes)}</td>
            <td className="figure py-2">{lastAt ? dayWords(lastAt, words.zone, words.now) : '–'}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** Whether it works there, or only belongs there. */
const standsWords = (place: PumpPlace | null | undefined): string =>
  !place || place === 'inService' ? 'stands here' : `belongs here, ${PLACE_WORDS[place]}`;
