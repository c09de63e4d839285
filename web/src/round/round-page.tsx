import { lazy, Suspense, useCallback, useLayoutEffect, useMemo, useRef } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { useRoundQuery } from '../api/house-api.js';
import { PageTitle } from '../ui/page-title.js';
import { useLetters } from '../device/use-letters.js';
import { usePrint, type Print } from '../device/use-print.js';
import { useWide } from '../device/use-wide.js';
import { actionPath, letterKeys } from '../words/pump-actions.js';
import type { Words } from '../words/words.js';
import { LinkButton } from '../ui/button.js';
import { Empty, Loading, Trouble } from '../ui/page-state.js';
import { Legend } from './legend.js';
import { ORDERS, roundGroups, sentenceOfService, looksOf, sentenceOfTheDay, type RoundOrder } from './round-order.js';
import { linesOf, RoundList } from './round-list.js';

/** Beside the list, where there is room for it. */
const PumpSheet = lazy(async () => ({ default: (await import('./pump-sheet.js')).PumpSheet }));
/** Seldom seen: nearly everything counts. */
const UnsettledBand = lazy(async () => ({ default: (await import('./unsettled-band.js')).UnsettledBand }));
/** Seen once, by who has no pump yet. */
const FirstScreen = lazy(async () => ({ default: (await import('./first-screen.js')).FirstScreen }));

const ORDER_WORDS: Readonly<Record<RoundOrder, string>> = { site: 'by site', runs: 'by runs left', day: 'by day' };
/** The same words for each pump of a zone. */
function wordsByZone(print: Print, now: string): (zone: string) => Words {
  const known = new Map<string, Words>();
  return (zone) => {
    const words = known.get(zone) ?? { print, zone, now };
    known.set(zone, words);
    return words;
  };
}

/** Pumps there are, but all of them are spares or retired. */
function AllAway() {
  return (
    <main>
      <PageTitle title="Round" />
      <Empty title="No pump is in service">
        All pumps are spares or retired. <Link to="/set-up/pump">Put one in service in the set-up.</Link>
      </Empty>
    </main>
  );
}

/** Home: what needs hands today, in one sentence, then the pumps. */
export function RoundPage() {
  const { data, isError, refetch } = useRoundQuery(undefined, { pollingInterval: 120_000 });
  const [search, setSearch] = useSearchParams();
  const navigate = useNavigate();
  const wide = useWide();
  const print = usePrint();
  const order = ORDERS.find((o) => o === search.get('by')) ?? 'site';
  const lines = useMemo(() => linesOf(roundGroups(data?.rows ?? [], order)), [data, order]);
  const rows = lines.flatMap((l) => (l.kind === 'row' ? [l.row] : []));
  const selected = rows.find((r) => r.pumpId === search.get('pump')) ?? rows[0];

  const change = (key: string, value: string) =>
    setSearch(
      (old) => {
        old.set(key, value);
        return old;
      },
      { replace: true, preventScrollReset: true },
    );

  // Rows are drawn anew only when what they show changes: not for each step of a scroll.
  const latest = useRef(change);
  useLayoutEffect(() => {
    latest.current = change;
  });
  const select = useCallback((pumpId: string) => latest.current('pump', pumpId), []);
  const wordsFor = useMemo(() => wordsByZone(print, data?.at ?? ''), [print, data?.at]);

  function move(by: number) {
    const next = rows[Math.min(rows.length - 1, Math.max(0, (selected ? rows.indexOf(selected) : -1) + by))];
    if (!next) return;
    change('pump', next.pumpId);
    requestAnimationFrame(() => document.getElementById(`row-${next.pumpId}`)?.focus());
  }
  useLetters({
    ArrowDown: () => move(1),
    ArrowUp: () => move(-1),
    ...letterKeys((action) => selected && void navigate(actionPath(selected.pumpId, { action }))),
  });

  if (isError && !data) {
    return (
      <main>
        <Trouble title="The Round could not be fetched" onRetry={() => void refetch()}>
          The server does not answer. Start it with “npm start”, then try again.
        </Trouble>
      </main>
    );
  }
  if (!data) return <Loading what="the Round" />;
  if (data.rows.length === 0 && data.pumps > 0) return <AllAway />;
  if (data.rows.length === 0)
    return (
      <Suspense fallback={<Loading what="the first page" />}>
        <FirstScreen />
      </Suspense>
    );
  return (
    <div className="flex flex-1 items-stretch">
      <main className="min-w-0 flex-1 px-3 pb-10 wide:px-5">
        <PageTitle title="Round" />
        <div className="flex flex-wrap items-baseline justify-between gap-x-4 gap-y-2 py-3 wide:pb-1">
          <h1 className="text-[22px] wide:text-[28px]">
            {sentenceOfTheDay(data.needHands, looksOf(data.rows))}{' '}
            <span className="font-sans text-[15px] font-normal text-ink-2">of {data.rows.length}</span>
            {data.overdue > 0 && (
              <span className="block font-sans text-[15px] font-normal text-ink-2">
                {sentenceOfService(data.overdue, data.needHands)}
              </span>
            )}
          </h1>
          <div
            role="group"
            aria-label="Then in which order"
            className="flex flex-wrap items-center gap-1 text-[14px] text-ink-2"
          >
            then
            {ORDERS.map((o) => (
              <button
                key={o}
                aria-pressed={o === order}
                onClick={() => change('by', o)}
                className={`min-h-10 px-1.5 ${o === order ? 'font-semibold text-ink underline decoration-2 underline-offset-4' : 'hover:text-ink'}`}
              >
                {ORDER_WORDS[o]}
              </button>
            ))}
            <LinkButton to="/start" look="plain" className="no-print ml-2 !px-2 !text-[14px]">
              Start runs
            </LinkButton>
            <LinkButton to="/round/print" look="plain" className="no-print !hidden !px-2 !text-[14px] sm:!inline-flex">
              On paper
            </LinkButton>
          </div>
        </div>
        {data.unsettled > 0 && (
          <Suspense>
            <UnsettledBand nameOf={(id) => data.rows.find((r) => r.pumpId === id)?.name ?? id} />
          </Suspense>
        )}
        <RoundList lines={lines} selected={selected ?? null} wide={wide} wordsFor={wordsFor} onSelect={select} />
        <Legend />
      </main>
      {wide && selected && (
        <aside className="w-[408px] shrink-0 border-l border-rule bg-sheet">
          <div className="sticky top-0 max-h-dvh overflow-auto">
            <Suspense>
              <PumpSheet row={selected} words={wordsFor(selected.zone)} />
            </Suspense>
          </div>
        </aside>
      )}
    </div>
  );
}
