import type { TraceAnswer } from '@winter-jar/contracts';
import type { TracedMove, TracedPlace } from '@winter-jar/core';
import { Download } from 'lucide-react';
import { useParams } from 'react-router';
import { useTraceOilQuery } from '../api/house-api.js';
import { Button } from '../ui/button.js';
import { countOf } from '../ui/number.js';
import { Empty, Loading, NotFetched } from '../ui/page-state.js';
import { PageHead } from '../ui/page-head.js';
import { PageTitle } from '../ui/page-title.js';
import { dayWords, momentWords } from '../words/dates.js';
import { placeName } from '../words/store-words.js';
import { materialName } from '../words/material-words.js';
import type { Print } from '../device/use-print.js';
import { wordsAt } from './container-facts.js';
import { saveCsv } from './save-csv.js';
import { WithStore, type StoreProps } from './store-screen.js';

/** What a person reads of it; the file has all. */
const SEEN_UL = 1000;

/** Where an oil came from, and where else its lots are: for the day when a bad lot or an allergen is found. */
export function TracePage() {
  const { containerId = '' } = useParams();
  const { data, isError, error, refetch } = useTraceOilQuery(containerId);
  if (isError && !data)
    return (
      <NotFetched
        what="container"
        error={error}
        none={`No container has the id “${containerId}”. Choose one in the oil store.`}
        onRetry={() => void refetch()}
      />
    );
  if (!data) return <Loading what="where it came from" />;
  return (
    <WithStore>
      {(props) => (
        <main className="mx-auto w-full max-w-[960px] px-4 pb-10 pt-4 wide:px-6">
          <PageTitle title="Where it came from and went" />
          <div className="flex flex-wrap items-center justify-between gap-3">
            <PageHead back={`/store?at=${containerId}`} above={placeName(data.place, props.house)}>
              Where it came from and went
            </PageHead>
            <Button onClick={() => save(data, props)}>
              <Download size={18} aria-hidden="true" /> As CSV
            </Button>
          </div>
          <Told trace={data} {...props} />
        </main>
      )}
    </WithStore>
  );
}

function Told({ trace, house, store, ...given }: StoreProps & { trace: TraceAnswer }) {
  const { containerId = '' } = useParams();
  const { back, stays, on } = trace;
  const siteId = store.containers.find((c) => c.id === containerId)?.container.siteId ?? '';
  const words = wordsAt(siteId, house, given.words);
  const { print } = words;
  const moment = (at: string) => momentWords(at, words.zone, words.now);
  if (back.moves.length === 0 && stays.length === 0)
    return <Empty title="Nothing is in it">What was in it before stands in its journal.</Empty>;
  // What only stayed behind from charges before is a trace.
  const came = stays.filter(({ uL }) => uL >= SEEN_UL);
  const traces = stays.length - came.length;
  const seen = back.moves.filter(({ uL }) => uL >= SEEN_UL);
  const now = on.ends
    .filter(({ place }) => place.startsWith('sump:') || place.startsWith('container:'))
    .filter(({ uL }) => uL >= SEEN_UL);
  return (
    <>
      {stays.length > 0 && (
        <section className="mt-5">
          <h2 className="text-[20px]">Pumps it was in</h2>
          <ul className="mt-1">
            {came.toReversed().map((stay) => (
              <li key={`${stay.pumpId}/${stay.until}`} className="border-b border-rule-soft py-2 text-[15px]">
                <span className="figure font-semibold">{house.pump[stay.pumpId]?.name ?? stay.pumpId}</span>
                {', '}
                {stay.from ? `from ${dayWords(stay.from, words.zone, words.now)} to ` : 'until '}
                {dayWords(stay.until, words.zone, words.now)}: {print.volume(Math.round(stay.uL / 1000))} of this oil
                came out; {countOf(stay.runs, 'run')}
                {stay.materialIds.length > 0 && `: ${stay.materialIds.map((id) => materialName(id, house)).join(', ')}`}
              </li>
            ))}
          </ul>
          {traces > 0 && (
            <p className="mt-2 text-[14px] text-ink-2">
              And what had stayed behind in them of {countOf(traces, 'charge')} before.
            </p>
          )}
        </section>
      )}
      <Places
        title="It once came from"
        places={back.ends.filter(({ uL }) => uL >= SEEN_UL)}
        house={house}
        print={print}
      />
      <Places title="Its lots are now in" places={now} house={house} print={print} />
      <section className="mt-6">
        <h2 className="text-[20px]">On its way here</h2>
        <ul className="mt-1">
          {seen.map((move, i) => (
            <li
              key={`${move.entryId}/${i}`}
              className="grid grid-cols-[minmax(0,1fr)_auto] gap-x-4 border-b border-rule-soft py-2 text-[15px]"
            >
              <span className="wrap-anywhere">
                {placeName(move.from, house)} → {placeName(move.to, house)}
                <span className="ml-2 text-[13px] text-ink-2">{moment(move.at)}</span>
              </span>
              <span className="figure">{print.volume(Math.round(move.uL / 1000))}</span>
            </li>
          ))}
        </ul>
        {seen.length < back.moves.length && (
          <p className="mt-2 text-[14px] text-ink-2">Traces under {print.volume(1)} are in the CSV.</p>
        )}
      </section>
    </>
  );
}

function Places({
  title,
  places,
  house,
  print,
}: {
  title: string;
  places: readonly TracedPlace[];
  house: StoreProps['house'];
  print: Print;
}) {
  if (places.length === 0) return null;
  return (
    <section className="mt-6">
      <h2 className="text-[20px]">{title}</h2>
      <ul className="mt-1">
        {places.map(({ place, uL }) => (
          <li
            key={place}
            className="grid grid-cols-[minmax(0,1fr)_auto] gap-x-4 border-b border-rule-soft py-2 text-[15px]"
          >
            <span className="wrap-anywhere">{placeName(place, house)}</span>
            <span className="figure">{print.volume(Math.round(uL / 1000))}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Both ways in one table. */
function save(trace: TraceAnswer, { house }: StoreProps): void {
  const rows = (way: string, moves: readonly TracedMove[]) =>
    moves.map((m) => ({
      way,
      at: m.at,
      from: placeName(m.from, house),
      to: placeName(m.to, house),
      mL: m.uL / 1000,
      entry: m.entryId,
    }));
  const place = trace.place.replace(':', '-');
  saveCsv([...rows('here', trace.back.moves), ...rows('on', trace.on.moves)], `trace-${place}.csv`);
}
