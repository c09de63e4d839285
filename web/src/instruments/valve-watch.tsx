import { pressureChannelOf, valveMoved, type ValveWatched, type WatchedReading } from '@winter-jar/core';
import { useRef, useState } from 'react';
import { useSetUpQuery } from '../api/house-api.js';
import { usePrint, type Print } from '../device/use-print.js';
import { Button } from '../ui/button.js';
import { TextField } from '../ui/field.js';
import { statusWords } from '../words/instrument-words.js';
import { StateSign } from './state-sign.js';
import { useLive } from './use-live.js';

const WATCHED_MS = 10_000;
const KEPT_MS = 40_000;

/** A valve that was turned, and what the gauge did. */
export interface TurnedValve {
  readonly valve: string;
  readonly found: ValveWatched;
}

/** Valve by valve beside the live gauge: each is named and turned, and the gauge says itself whether it moved. Nothing without a gauge here. */
export function ValveWatch({
  equipmentId,
  zone,
  onTurned,
}: {
  equipmentId: string;
  zone: string;
  /** All that were turned so far, and what they say in words. */
  onTurned: (turned: readonly TurnedValve[], words: string) => void;
}) {
  const { data } = useSetUpQuery();
  for (const [id, instrument] of Object.entries(data?.house.instrument ?? {})) {
    const channel = pressureChannelOf(instrument);
    if (instrument.equipmentId === equipmentId && channel)
      return <Watch {...{ id, zone, onTurned }} channelKey={channel.key} />;
  }
  return null;
}

function Watch({
  id,
  channelKey,
  zone,
  onTurned,
}: {
  id: string;
  channelKey: string;
  zone: string;
  onTurned: (turned: readonly TurnedValve[], words: string) => void;
}) {
  const print = usePrint();
  const readings = useRef<readonly WatchedReading[]>([]);
  const [valve, setValve] = useState('');
  const [turned, setTurned] = useState<readonly TurnedValve[]>([]);
  const [watching, setWatching] = useState<{ readonly valve: string; readonly turnedMs: number } | null>(null);
  const { answer } = useLive(id, (sent) => {
    const fresh = (sent[channelKey] ?? []).map(([atMs, pa]) => ({ atMs, pa }));
    const lastMs = fresh.at(-1)?.atMs;
    if (lastMs === undefined) return;
    readings.current = [...readings.current.filter((r) => r.atMs > lastMs - KEPT_MS), ...fresh];
    if (watching && lastMs - watching.turnedMs >= WATCHED_MS) done(watching);
  });
  function done({ valve: name, turnedMs }: NonNullable<typeof watching>): void {
    const near = readings.current.filter((r) => Math.abs(r.atMs - turnedMs) <= WATCHED_MS);
    const all = [...turned, { valve: name, found: valveMoved({ readings: near, turnedMs }) }];
    setWatching(null);
    setTurned(all);
    onTurned(all, all.map((t) => turnedWords(t, print)).join(' '));
  }
  const gauge = answer?.instruments.find((i) => i.id === id);
  if (!answer || !gauge || gauge.status.state === 'notConnected') return null;
  const { nowMs } = answer;
  const value = gauge.status.channels.find((c) => c.key === channelKey)?.value ?? null;
  const isLive = gauge.status.state === 'live';
  const name = valve.trim() || `Valve ${turned.length + 1}`;
  return (
    <section aria-label="The gauge beside it" className="flex flex-col gap-3 border-y border-rule py-4">
      <p className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <span className="text-[15px]">
          {gauge.instrument.name}
          {gauge.instrument.simulated && ', simulated'}
        </span>
        <span className="figure text-[26px]">{value === null ? '–' : print.pressure(value)}</span>
      </p>
      <StateSign status={gauge.status} words={statusWords(gauge.status, zone, new Date(nowMs).toISOString())} />
      <div className="grid items-end gap-3 sm:grid-cols-[1fr_auto]">
        <TextField label="Which valve" value={valve} onText={setValve} />
        <Button
          look="solid"
          size="field"
          disabled={!isLive || watching !== null}
          onClick={() => {
            const turnedMs = readings.current.at(-1)?.atMs ?? nowMs;
            setWatching({ valve: name, turnedMs });
            setValve('');
          }}
        >
          {watching ? 'Watching the gauge …' : 'I turn it now'}
        </Button>
      </div>
      <ul className="flex flex-col gap-1 text-[16px]" aria-live="polite">
        {watching && <li className="text-ink-2">{watching.valve}: ten seconds, leave the others alone.</li>}
        {turned.map((t, i) => (
          <li key={i} className={t.found.ok && t.found.moved ? 'font-semibold text-stop' : ''}>
            {turnedWords(t, print)}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** "Drain valve: moved the gauge, from 0.029 to 0.036 hPa." */
function turnedWords({ valve, found }: TurnedValve, print: Print): string {
  if (!found.ok)
    return found.code === 'restless'
      ? `${valve}: the gauge swings too much by itself to tell.`
      : `${valve}: too few readings around it. Turn it once more.`;
  if (!found.moved) return `${valve}: the gauge stayed quiet.`;
  return `${valve}: moved the gauge, from ${print.pressure(found.expectedPa)} to ${print.pressure(found.furthestPa)}.`;
}
