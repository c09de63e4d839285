import { localTime, type InstrumentChannel } from '@winter-jar/core';
import { Flag } from 'lucide-react';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useRecordReadingsMutation } from '../api/house-api.js';
import { useUnits } from '../device/use-units.js';
import { Button } from '../ui/button.js';
import { Chips } from '../ui/chips.js';
import { number } from '../ui/number.js';
import { GaugeBeside, type Beside } from './gauge-beside.js';
import { LiveChart, type Stretch } from './live-chart.js';
import { pointsIn, type Trace } from './trace.js';

const MINUTE_MS = 60_000;
const DAY_MIN = 1440;
const WINDOWS = [
  { value: '2', words: '2 min' },
  { value: '10', words: '10 min' },
  { value: '30', words: '30 min' },
  { value: '120', words: '2 h' },
  { value: '480', words: '8 h' },
  { value: '1440', words: '1 day' },
  { value: '10080', words: '7 days' },
] as const;
const FEWEST = 20;
interface ShownOf {
  readonly id: string;
  readonly name: string;
  readonly channel: InstrumentChannel;
  readonly trace: Trace;
  readonly minutes: string;
  readonly setMinutes: (minutes: string) => void;
  readonly markMs: number | null;
  readonly setMarkMs: (ms: number | null) => void;
  readonly zone: string;
  readonly pumpId: string | null;
  /** Logs are judged for vane pumps alone. */
  readonly isVane: boolean;
  readonly serverMs: { readonly current: { readonly nowMs: number; readonly hereMs: number } };
  readonly fetched: string | null;
  readonly beside: Beside | null;
}

/** The trace, and what of it is kept. */
export function ShownTrace({
  id,
  name,
  channel,
  trace,
  minutes,
  setMinutes,
  markMs,
  setMarkMs,
  zone,
  pumpId,
  isVane,
  serverMs,
  fetched,
  beside,
}: ShownOf) {
  const unit = useUnits().pressure;
  const judgedFor = isVane ? pumpId : null;
  const navigate = useNavigate();
  const [record, { isLoading }] = useRecordReadingsMutation();
  const [trouble, setTrouble] = useState('');
  const [chosen, setChosen] = useState<Stretch | null>(null);
  const lastMs = trace.atMs.at(-1) ?? serverMs.current.nowMs;
  const toMs = Math.max(lastMs, serverMs.current.nowMs);
  const fromMs = toMs - Number(minutes) * MINUTE_MS;
  const points = pointsIn(trace, { fromMs, toMs: toMs + 1 });
  const words = WINDOWS.find((w) => w.value === minutes)?.words ?? '';
  const clock = (ms: number) => {
    const at = new Date(ms).toISOString();
    return `${localTime({ at, zone })}:${at.slice(17, 19)}`;
  };
  async function keep(from: number, until = toMs) {
    setTrouble('');
    const answer = await record({
      id,
      readingsRecord: { key: channel.key, fromMs: Math.round(from), toMs: Math.round(until) },
    });
    if ('error' in answer)
      return setTrouble('Nothing was kept: the server does not answer, or nothing came in that time. Try again.');
    const { logId, name: logName } = answer.data;
    const query = new URLSearchParams({ log: logId, name: logName, gauge: channel.gauge ?? 'capacitance' });
    void navigate(`/pumps/${pumpId}/gauge-log?${query.toString()}`);
  }
  const isDay = Number(minutes) <= DAY_MIN;
  return (
    <section className="mt-4">
      {points.length === 0 ? (
        <p className="border-y border-rule py-6 text-ink-2">
          {fetched === null ? 'Fetching what it sent …' : fetched || `Nothing came in the last ${words}.`}
        </p>
      ) : (
        <LiveChart
          {...{ points, fromMs, toMs, markMs, unit, zone, chosen }}
          onChosen={setChosen}
          label={`Pressure of ${name} in the last ${words}, ${number(points.length)} points`}
        />
      )}
      <p className="text-[14px] text-ink-2">{unit}</p>
      <div className="desk mt-3">
        <Chips label="What is shown" hideLabel value={minutes} onChange={setMinutes} chips={WINDOWS} />
      </div>
      {judgedFor === null ? (
        <p className="mt-4 text-ink-2">
          No vane pump stands at its equipment: there is nobody’s record to keep a check in.
        </p>
      ) : (
        <div className="mt-5 flex flex-wrap items-center gap-3 border-t border-rule pt-4">
          {chosen && (
            <>
              <Button
                needs="write"
                size="field"
                look="solid"
                disabled={isLoading}
                onClick={() => void keep(chosen.fromMs, chosen.toMs)}
              >
                Judge {clock(chosen.fromMs)} to {clock(chosen.toMs)}
              </Button>
              <Button size="field" look="plain" onClick={() => setChosen(null)}>
                Take the choice away
              </Button>
            </>
          )}
          {chosen ? null : markMs === null ? (
            <Button needs="write" size="field" onClick={() => setMarkMs(toMs)}>
              <Flag size={18} aria-hidden="true" /> A check begins now
            </Button>
          ) : (
            <>
              <Button needs="write" size="field" look="solid" disabled={isLoading} onClick={() => void keep(markMs)}>
                Judge it since {clock(markMs)}
              </Button>
              <Button size="field" look="plain" onClick={() => setMarkMs(null)}>
                Take the mark away
              </Button>
            </>
          )}
          {!chosen && markMs === null && isDay && (
            <Button
              needs="write"
              size="field"
              look="solid"
              disabled={isLoading || points.length < FEWEST}
              onClick={() => void keep(fromMs)}
            >
              Judge these {words}
            </Button>
          )}
          <p className="basis-full text-[15px] text-ink-2">
            Draw over a part of the trace to judge that part. What is judged is kept as a gauge log. What is not is gone
            after seven days.
          </p>
          {trouble && (
            <p role="alert" className="basis-full font-semibold text-stop">
              {trouble}
            </p>
          )}
        </div>
      )}
      {beside && <GaugeBeside {...{ id, channel, pumpId: judgedFor, fromMs, toMs, words }} {...beside} />}
    </section>
  );
}
