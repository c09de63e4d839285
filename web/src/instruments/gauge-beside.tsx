import type { InstrumentNow, ReadingsAnswer } from '@winter-jar/contracts';
import {
  compareGauges,
  pressureChannelOf,
  type GaugesCompared,
  type InstrumentChannel,
  type WatchedReading,
} from '@winter-jar/core';
import { useState } from 'react';
import { usePrint } from '../device/use-print.js';
import { Button, LinkButton } from '../ui/button.js';
import { number } from '../ui/number.js';
import { COMPARED_WORDS, NOT_COMPARED_WORDS } from '../words/instrument-words.js';

/** Another gauge at the same equipment; null for none. */
export function besideOf(instruments: readonly InstrumentNow[], id: string): Beside | null {
  const here = instruments.find((i) => i.id === id)?.instrument.equipmentId;
  for (const other of instruments) {
    const channel = pressureChannelOf(other.instrument);
    if (other.id !== id && other.instrument.equipmentId === here && channel) return { other, otherChannel: channel };
  }
  return null;
}
export interface Beside {
  readonly other: InstrumentNow;
  readonly otherChannel: InstrumentChannel;
}

async function readingsOf(id: string, key: string, fromMs: number, toMs: number): Promise<WatchedReading[] | null> {
  const query = `fromMs=${Math.round(fromMs)}&toMs=${Math.round(toMs)}`;
  const response = await fetch(`/api/instruments/${id}/readings/${key}?${query}`).catch(() => null);
  if (!response?.ok) return null;
  const { atMs, value } = (await response.json()) as ReadingsAnswer;
  return atMs.map((ms, i) => ({ atMs: ms, pa: value[i] ?? 0 }));
}

/** A second gauge at the same place, held against this one over what is shown. */
export function GaugeBeside({
  id,
  channel,
  other,
  otherChannel,
  pumpId,
  fromMs,
  toMs,
  words,
}: {
  id: string;
  channel: InstrumentChannel;
  other: InstrumentNow;
  otherChannel: InstrumentChannel;
  pumpId: string | null;
  fromMs: number;
  toMs: number;
  /** How long that is. */
  words: string;
}) {
  const print = usePrint();
  const [found, setFound] = useState<GaugesCompared | 'failed' | null>(null);
  const value = other.status.channels.find((c) => c.key === otherChannel.key)?.value ?? null;
  async function compare() {
    const [first, second] = await Promise.all([
      readingsOf(id, channel.key, fromMs, toMs),
      readingsOf(other.id, otherChannel.key, fromMs, toMs),
    ]);
    setFound(
      first && second
        ? compareGauges({ first, second, firstKind: channel.gauge, secondKind: otherChannel.gauge })
        : 'failed',
    );
  }
  const told = found !== null && found !== 'failed' && found.ok ? found : null;
  const times = told && `${number(told.timesAtFirst, 2)} times at first, ${number(told.timesAtLast, 2)} times at last.`;
  const query =
    told &&
    new URLSearchParams({
      ...{ check: 'secondGauge', state: told.state },
      remark: `${other.instrument.name} shows ${times ?? ''}`,
    });
  return (
    <section aria-label="The gauge beside it" className="mt-5 border-t border-rule pt-4">
      <h2 className="text-[18px]">
        Beside it: {other.instrument.name}{' '}
        <span className="figure">{value === null ? '–' : print.pressure(value)}</span>
      </h2>
      <p className="text-[15px] text-ink-2">
        Both at one port, in dry gas and warm: they should go together. A gap that closes late in drying is vapour.
      </p>
      <div className="mt-3 flex flex-wrap items-center gap-3">
        <Button onClick={() => void compare()}>Hold both together over these {words}</Button>
        {query && pumpId && (
          <LinkButton look="solid" to={`/pumps/${pumpId}/test?${query.toString()}`}>
            Keep it as evidence
          </LinkButton>
        )}
      </div>
      <p className="mt-2 text-[16px]" aria-live="polite">
        {told && (
          <>
            <strong>{COMPARED_WORDS[told.state]}</strong> It shows {times}
          </>
        )}
        {found === 'failed' && 'The readings could not be fetched: the server does not answer. Try again.'}
        {found !== null && found !== 'failed' && !found.ok && NOT_COMPARED_WORDS[found.code]}
      </p>
    </section>
  );
}
