import type { VacuumAnswer } from '@winter-jar/contracts';
import { Navigate, useParams } from 'react-router';
import { useVacuumRecordQuery } from '../api/house-api.js';
import { useNow } from '../device/use-now.js';
import { usePrint } from '../device/use-print.js';
import { WithPump } from '../entry/entry-page.js';
import { LinkButton } from '../ui/button.js';
import { PageHead } from '../ui/page-head.js';
import { Empty, Loading, NotFetched } from '../ui/page-state.js';
import { PageTitle } from '../ui/page-title.js';
import { dayWords } from '../words/dates.js';
import { PROCESS_WORDS } from '../words/process-words.js';
import { PUMP_ACTIONS } from '../words/pump-actions.js';
import { recordThen, recordWords } from '../words/vacuum-record-words.js';
import type { Words } from '../words/words.js';
import { RecordSeries } from './record-series.js';

/** The vacuum record of a set: all its tests over the years, against its limits. */
export function VacuumRecordPage() {
  const { equipmentId = '' } = useParams();
  const { data, isError, error, refetch } = useVacuumRecordQuery(equipmentId);
  const print = usePrint();
  const now = useNow();
  if (isError && !data)
    return (
      <NotFetched
        what="vacuum record"
        error={error}
        none={`No equipment has the id “${equipmentId}”. Choose one in the set-up.`}
        onRetry={() => void refetch()}
      />
    );
  if (!data) return <Loading what="the vacuum record" />;
  return <Sheet answer={data} words={{ print, zone: data.site.zone, now }} />;
}

/** The record of the set that a pump stands at. */
export function RecordOfItsSetPage() {
  return (
    <WithPump needsOil={false}>
      {({ page }) => <Navigate to={`/equipment/${page.setUp.pump.equipmentId}/vacuum`} replace />}
    </WithPump>
  );
}

function Sheet({ answer, words }: { answer: VacuumAnswer; words: Words }) {
  const { equipment, equipmentId, site, pumpId, record, house } = answer;
  const { series, mended } = record;
  const then = recordThen(series);
  const kind = house.pumpModel[house.pump[pumpId ?? '']?.modelId ?? '']?.kind;
  return (
    <main className="mx-auto w-full max-w-[1120px] px-4 pb-10 pt-4 wide:px-6">
      <PageTitle title={`Vacuum record: ${equipment.name}`} />
      <PageHead
        back={`/equipment/${equipmentId}`}
        backWords={`Back to ${equipment.name}`}
        above={`Vacuum record · ${site.name} · ${PROCESS_WORDS[equipment.process]}`}
      >
        {equipment.name}
      </PageHead>
      {series.length === 0 ? (
        <Empty title="No test with a figure yet">
          A log of a rise or a pump-down, the pump blanked off, or a pressure read at the chamber puts a point here.
        </Empty>
      ) : (
        <div className="mt-3">
          <p className="text-[20px] font-semibold">{recordWords(series)}</p>
          {then && <p className="mt-1 max-w-[72ch] text-[16px]">{then}</p>}
        </div>
      )}
      {pumpId && kind === 'vane' && (
        <div className="no-print mt-4 flex flex-wrap gap-3">
          {(['gaugeLog', 'blankOff', 'leakHunt', 'inlet'] as const).map((id) => (
            <LinkButton key={id} to={`/pumps/${pumpId}/${PUMP_ACTIONS[id].path}`}>
              {PUMP_ACTIONS[id].words}
            </LinkButton>
          ))}
        </div>
      )}
      <div className="mt-6 grid gap-x-10 gap-y-8 wide:grid-cols-2">
        {series.map((one) => (
          <RecordSeries key={one.of} series={one} mended={mended} house={house} words={words} />
        ))}
      </div>
      {mended.length > 0 && (
        <section className="mt-8">
          <h2 className="text-[18px]">Mended</h2>
          <p className="text-[14px] text-ink-2">
            Dotted in the drawings. What creeps is reckoned from the last one on.
          </p>
          <ul className="mt-1 text-[15px]">
            {mended.toReversed().map((m) => (
              <li key={m.entryId} className="border-b border-rule-soft py-1 wrap-anywhere">
                <span className="figure mr-3">{dayWords(m.at, words.zone, words.now)}</span>
                {m.remedy}
              </li>
            ))}
          </ul>
        </section>
      )}
    </main>
  );
}
