import type { InstrumentNow } from '@winter-jar/contracts';
import { pressureChannelOf, type HouseSetUp } from '@winter-jar/core';
import { Settings2 } from 'lucide-react';
import { useCallback, useEffect, useRef, useState } from 'react';
import { useParams } from 'react-router';
import { useSetUpQuery } from '../api/house-api.js';
import { usePrint } from '../device/use-print.js';
import { LinkButton } from '../ui/button.js';
import { PageHead } from '../ui/page-head.js';
import { PageTitle } from '../ui/page-title.js';
import { Empty, Loading, Trouble } from '../ui/page-state.js';
import {
  CHANNEL_WORDS,
  READING_ISSUE_WORDS,
  statusWords,
  TROUBLE_WORDS,
  valueWords,
} from '../words/instrument-words.js';
import { besideOf } from './gauge-beside.js';
import { ShownTrace } from './shown-trace.js';
import { StateSign } from './state-sign.js';
import { NO_TRACE, withReadings, type Trace } from './trace.js';
import { useLive } from './use-live.js';

const MINUTE_MS = 60_000;
/** A reading so old was sent late. */
const LATE_MS = 5000;
const LATE_FETCHED_MS = 3000;

/** One instrument as it shows now, and what of it is kept as a check. */
export function InstrumentPage() {
  const { instrumentId = '' } = useParams();
  const { data } = useSetUpQuery();
  const instrument = data?.house.instrument[instrumentId];
  if (!data) return <Loading what="the instrument" />;
  if (!instrument)
    return <Trouble title="There is no such instrument">Choose one under “Instruments” in the set-up.</Trouble>;
  return <Live key={instrumentId} id={instrumentId} house={data.house} />;
}

function Live({ id, house }: { id: string; house: HouseSetUp }) {
  const [trace, setTrace] = useState<Trace>(NO_TRACE);
  const [minutes, setMinutes] = useState<string>('10');
  const [markMs, setMarkMs] = useState<number | null>(null);
  const instrument = house.instrument[id]!;
  const channel = pressureChannelOf(instrument);
  const key = channel?.key ?? null;
  const windowMs = Number(minutes) * MINUTE_MS;
  const serverMs = useRef({ nowMs: 0, hereMs: 0 });
  /** What was sent late is fetched, some at a time. */
  const lateTimer = useRef<ReturnType<typeof setTimeout> | null>(null);
  const { answer, broken } = useLive(id, (readings) => {
    const fresh = key === null ? undefined : readings[key];
    if (!fresh) return;
    setTrace((known) => withReadings(known, fresh));
    const [firstMs = Infinity] = fresh.map(([ms]) => ms);
    if (serverMs.current.nowMs - firstMs > LATE_MS && lateTimer.current === null)
      lateTimer.current = setTimeout(() => {
        lateTimer.current = null;
        void fetchBefore();
      }, LATE_FETCHED_MS);
  });
  const known = answer !== null;
  useEffect(() => {
    if (answer) serverMs.current = { nowMs: answer.nowMs, hereMs: Date.now() };
  }, [answer]);

  // What came before this page was opened, or is left out of what is held at its full fineness.
  const [fetched, setFetched] = useState<string | null>(null);
  const fetchBefore = useCallback(async () => {
    if (key === null) return;
    const toMs = serverMs.current.nowMs + 1000;
    const query = `fromMs=${Math.round(toMs - windowMs)}&toMs=${Math.round(toMs)}`;
    const response = await fetch(`/api/instruments/${id}/readings/${key}?${query}`).catch(() => null);
    if (!response?.ok) return setFetched('The readings of before could not be fetched.');
    const before = (await response.json()) as Trace;
    setTrace(({ atMs, value }) => {
      const lastMs = before.atMs.at(-1) ?? -Infinity;
      const since = atMs.findIndex((ms) => ms > lastMs);
      const behind = since < 0 ? atMs.length : since;
      return { atMs: [...before.atMs, ...atMs.slice(behind)], value: [...before.value, ...value.slice(behind)] };
    });
    setFetched('');
  }, [id, key, windowMs]);
  useEffect(() => {
    // Also what came while the server was not heard.
    if (known && !broken) void fetchBefore();
  }, [known, broken, fetchBefore]);

  const now = answer?.instruments.find((i) => i.id === id) ?? null;
  const site = house.site[house.equipment[instrument.equipmentId]?.siteId ?? ''];
  const zone = site?.zone ?? 'UTC';
  const pumpId = instrument.pumpId ?? pumpAt(house, instrument.equipmentId);
  const above = [
    house.equipment[instrument.equipmentId]?.name,
    pumpId ? house.pump[pumpId]?.name : null,
    instrument.simulated ? 'simulated' : null,
  ].filter(Boolean);
  return (
    <main className="mx-auto w-full max-w-[1120px] px-4 pb-10 pt-4 wide:px-6">
      <PageTitle title={instrument.name} />
      <div className="flex flex-wrap items-center justify-between gap-3">
        <PageHead back="/instruments" backWords="Back to the instruments" above={above.join(' · ')}>
          {instrument.name}
        </PageHead>
        <LinkButton to={`/instruments/${id}/channels`}>
          <Settings2 size={18} aria-hidden="true" /> What it sends
        </LinkButton>
      </div>
      {broken && (
        <p role="alert" className="mt-3 font-semibold text-stop">
          The server does not answer. What it hears meanwhile is fetched when it is back.
        </p>
      )}
      {answer && now && (
        <Stands now={now} zone={zone} at={new Date(answer.nowMs).toISOString()} silent={now.status.state !== 'live'} />
      )}
      {channel === null ? (
        <Empty inside title="It tells no pressure yet">
          Say what it sends, and what of it is the pressure.
        </Empty>
      ) : (
        <ShownTrace
          {...{ id, channel, trace, minutes, setMinutes, markMs, setMarkMs, zone, pumpId, serverMs, fetched }}
          name={instrument.name}
          isVane={house.pumpModel[house.pump[pumpId ?? '']?.modelId ?? '']?.kind === 'vane'}
          beside={besideOf(answer?.instruments ?? [], id)}
        />
      )}
    </main>
  );
}

/** The pump that stands at an equipment. */
const pumpAt = (house: HouseSetUp, equipmentId: string): string | null =>
  Object.entries(house.pump).find(
    ([, p]) => p.equipmentId === equipmentId && (p.place === null || p.place === undefined || p.place === 'inService'),
  )?.[0] ?? null;

/** Its state, and each channel’s last value. */
function Stands({ now, zone, at, silent }: { now: InstrumentNow; zone: string; at: string; silent: boolean }) {
  const print = usePrint();
  const { status, instrument, id } = now;
  return (
    <>
      <div className="mt-4 flex flex-wrap items-baseline gap-x-8 gap-y-2">
        {(instrument.channels ?? []).map((channel) => {
          const of = status.channels.find((c) => c.key === channel.key);
          const large = channel.means === 'pressure';
          return (
            <p key={channel.key} className="min-w-0">
              <span className="text-[14px] text-ink-2">{CHANNEL_WORDS[channel.means]}</span>{' '}
              <span className={`figure ${large ? 'text-[34px]' : 'text-[20px]'} ${silent ? 'text-ink-2' : ''}`}>
                {of?.value === null || of?.value === undefined ? '–' : valueWords(channel, of.value, print)}
              </span>
              {of?.issue && (
                <span className="block text-[14px] font-semibold text-stop">
                  {READING_ISSUE_WORDS[of.issue.code](of.issue.found)}
                </span>
              )}
            </p>
          );
        })}
        <StateSign status={status} words={statusWords(status, zone, at)} />
      </div>
      {status.trouble && Date.parse(at) - status.trouble.atMs < MINUTE_MS && (
        <p className="mt-2 border-l-4 border-before-next-run pl-3 text-[15px]">
          {TROUBLE_WORDS[status.trouble.code](status.trouble.found)}
        </p>
      )}
      {status.state === 'notConnected' && (
        <p className="mt-3">
          <LinkButton to={`/instruments/${id}/channels`} look="solid">
            Listen to it
          </LinkButton>
        </p>
      )}
    </>
  );
}
