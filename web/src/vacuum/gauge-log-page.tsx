// One page for five kinds of log that differ in a field or two: longer than other files.
import {
  blankOffHeldToPa,
  GAUGE_KINDS,
  goodPullDownS,
  LOGS_OF,
  pumpUltimatePa,
  setTargetPa,
  type Entry,
  type GaugeKind,
  type LogOf,
  type Subject,
  type VacuumSeriesOf,
} from '@winter-jar/core';
import { Link, useSearchParams } from 'react-router';
import { useVacuumRecordQuery } from '../api/house-api.js';
import { useEffect } from 'react';
import { complaintOf } from '../diagnosis/case-form.js';
import type { EntryDraft } from '../entry/deed.js';
import { EntryScreen, WithPump, type EntryPageProps } from '../entry/entry-page.js';
import { useEntryForm } from '../entry/use-entry-form.js';
import { useKept } from '../device/use-kept.js';
import { useUnits } from '../device/use-units.js';
import { useWide } from '../device/use-wide.js';
import { Remark } from '../forms/remark.js';
import { Chips } from '../ui/chips.js';
import { TextField } from '../ui/field.js';
import { Hatches } from '../ui/hatches.js';
import { foundWords } from '../words/diagnosis-words.js';
import { GAUGE_WORDS, LOG_ISSUE_WORDS, LOG_OF_WORDS, verdictOfLog } from '../words/vacuum-words.js';
import { LogFigures } from './log-figures.js';
import { LogFileField } from './log-file-field.js';
import {
  askedOf,
  isSmallLeak,
  lackOf,
  litresOf,
  logFieldsOf,
  noLog,
  opensCase,
  readLog,
  type LogValues,
} from './log-form.js';
import { QuantityField } from '../ui/quantity-field.js';
import { RecordSeries } from './record-series.js';
import { HowToLog } from './how-to-log.js';
import { LogWaiting } from './log-waiting.js';
import { PressureChart } from './pressure-chart.js';
import { Understood } from './understood.js';
import { useLogJudge } from './use-judged-log.js';

/** A log of a gauge, read and judged: a rise of pressure or a pump-down, and what it means here. */
export function GaugeLogPage() {
  return <WithPump needsOil>{(props) => <GaugeLog {...props} />}</WithPump>;
}

function GaugeLog(props: EntryPageProps) {
  const { page, correctId, words } = props;
  const { zone, pumpId } = page.row;
  const unit = useUnits().pressure;
  const wide = useWide();
  const { done, readShare, stopped, ask, stop } = useLogJudge();
  const open = page.state.case?.status === 'open' ? page.state.case.caseId : null;
  const back = { path: `/pumps/${pumpId}/what-is-wrong`, words: 'What is wrong?' };
  const { pumpingSpeedM3h } = page.setUp.model;
  /** What a leak is held against. */
  const { goodPa } = page.state;
  const heldTo = { pumpingSpeedM3h, targetPa: setTargetPa(goodPa, page.setUp) };
  const { equipmentId } = page.setUp.pump;
  const { data: known } = useVacuumRecordQuery(equipmentId);
  const pullDowns = known?.record.series.find((s) => s.of === 'pullDown')?.points ?? [];
  const ultimatePa = pumpUltimatePa(goodPa, page.setUp);
  const ofSet = {
    pumpingSpeedM3h,
    ultimatePa,
    blankOffLimitPa: blankOffHeldToPa(goodPa, page.setUp),
    inlet: page.setUp.equipment.inlet ?? [],
    // A test that is corrected is not held against itself.
    goodPullDownS: goodPullDownS(pullDowns.filter((p) => p.entryId !== correctId)),
  };
  const keyOf = (v: LogValues): string =>
    JSON.stringify([v.logId, v.said, v.of, v.volume, v.gauge, v.bagLimit, v.setPressure, ofSet]);

  const [search] = useSearchParams();
  const recorded = recordedIn(search);
  const form = useEntryForm<'test', LogValues>({
    kind: 'test',
    page,
    draft: recorded ? `gauge-log/${recorded.logId}` : 'gauge-log',
    defaults: { ...noLog(page.setUp.equipment.chamberVolumeL ?? null, zone, unit), ...recorded },
    read: (v, idFor) => {
      const judged = done?.key === keyOf(v) ? done.judged : null;
      const smallLeak = judged?.ok === true && isSmallLeak(judged.by, heldTo);
      const read = readLog(v, judged, { nowMs: Date.now(), unit, smallLeak });
      if (!read.ok || correctId) return read;
      const { body } = read.deed.main;
      // How its pressure rises belongs to the chamber's own record, whichever pump stands at it.
      const equipment: Subject = { type: 'equipment', id: equipmentId };
      const aboutIt = { ...read.deed.main, alsoAbout: [equipment] };
      if (open) return withCase(aboutIt, open);
      if (!body.log || !opensCase(body.log, smallLeak)) return { ok: true, deed: { main: aboutIt } };
      const [first] = body.findings;
      const complaint = complaintOf(page.row, words, first ? foundWords(first.id, first.state) : null);
      const main = { ...aboutIt, alsoAbout: [equipment, { type: 'case', id: idFor('case') } as const] };
      const opening: EntryDraft = { ...main, kind: 'caseOpened', body: { complaint } };
      return { ok: true, deed: { before: [opening], main } };

      function withCase(main: typeof aboutIt, caseId: string) {
        return {
          ok: true as const,
          deed: { main: { ...main, alsoAbout: [equipment, { type: 'case', id: caseId } as const] } },
        };
      }
    },
    fill: (entry: Extract<Entry, { kind: 'test' }>) => logFieldsOf(entry, unit),
    savedWords: () => `Saved on ${page.row.name}`,
    correctId,
    then: back.path,
  });
  const { values, set, error } = form;
  const key = keyOf(values);
  const asked = askedOf(values, ofSet, unit);
  const job = useKept(`${key}${String(asked === null)}`, () => ({
    key,
    logId: values.logId,
    said: values.said,
    asked,
  }));
  useEffect(() => {
    if (job.logId && job.asked) ask({ ...job, asked: job.asked });
  }, [job, ask]);
  const judged = done?.key === key ? done.judged : undefined;
  const read = judged?.ok ? judged : null;
  const of = (values.of || read?.by.of) ?? null;
  const ownSeries = SERIES_OF_LOG[of ?? 'rise'];
  const series = known?.record.series.find((s) => s.of === ownSeries);
  const small = read !== null && isSmallLeak(read.by, heldTo);

  const figures = read ? (
    <LogFigures by={read.by} print={words.print} pumpingSpeedM3h={pumpingSpeedM3h} gauge={values.gauge} small={small} />
  ) : (
    <HowToLog />
  );

  return (
    <EntryScreen
      title="Gauge log"
      props={props}
      form={form}
      backTo={back}
      saveWords="Keep it as evidence"
      foot={<></>}
      {...(wide ? { right: () => figures } : {})}
    >
      <Hatches />
      {read && (
        <div>
          <p className="text-[14px] text-ink-2">
            {page.row.name} · {page.row.equipmentName} · {LOG_OF_WORDS[read.by.of]}
            {(read.by.of === 'rise' || read.by.of === 'pumpDown') && `, ${values.volume} L`}
          </p>
          <h2 className="mt-1 text-[24px] leading-tight" aria-live="polite">
            {verdictOfLog(read.by.of, read.by.judged.verdict, small)}
          </h2>
          <div className="mt-3">
            <PressureChart
              read={read}
              unit={unit}
              label={`Pressure over time: ${verdictOfLog(read.by.of, read.by.judged.verdict, small)}`}
            />
          </div>
        </div>
      )}
      {!wide && figures}
      {read && series && known && (
        <section>
          <RecordSeries series={series} mended={known.record.mended} house={known.house} words={words} />
          <Link
            to={`/equipment/${equipmentId}/vacuum`}
            className="inline-flex min-h-11 items-center text-[15px] text-ink underline decoration-edge underline-offset-4"
          >
            The whole vacuum record of {page.row.equipmentName}
          </Link>
        </section>
      )}
      {values.logId && judged === undefined && (
        <LogWaiting
          isStopped={stopped === key}
          readShare={readShare}
          lack={asked ? null : (lackOf(values, unit)?.right ?? '')}
          onStop={() => stop(key)}
          onAgain={() => {
            if (asked) ask({ key, logId: values.logId, said: values.said, asked });
          }}
        />
      )}
      {judged === null && (
        <p role="alert" className="font-semibold text-stop">
          The log could not be fetched: the server does not answer. What you said of it stays.
        </p>
      )}
      {judged?.ok === false && (
        <p role="alert" className="border-l-4 border-before-next-run pl-3 font-semibold">
          {LOG_ISSUE_WORDS[judged.issue.code]}
        </p>
      )}
      <Chips
        label="What was done"
        value={of}
        onChange={set('of')}
        chips={LOGS_OF.map((value) => ({ value, words: LOG_OF_WORDS[value] }))}
      />
      <div className="grid grid-cols-1 gap-4 sm:grid-cols-2">
        {HAS_VOLUME[of ?? 'rise'] && (
          <TextField
            label={HAS_VOLUME[of ?? 'rise'] ?? ''}
            value={values.volume}
            onText={set('volume')}
            inputMode="decimal"
            error={
              error('volume') ??
              (litresOf(values.volume) === null && values.volume ? 'Right would be litres, such as 62.' : undefined)
            }
            hint="The chamber, with the trap and the pipes up to the valve."
          />
        )}
        {of === 'bagDrop' && (
          <QuantityField
            label="It may rise in ten minutes by"
            dimension="pressure"
            text={values.bagLimit}
            onText={set('bagLimit')}
            error={error('bagLimit')}
          />
        )}
        {of === 'cycles' && (
          <QuantityField
            label="The set pressure"
            dimension="pressure"
            text={values.setPressure}
            onText={set('setPressure')}
            error={error('setPressure')}
            hint="Seconds are taken from the start of the fall down to it."
          />
        )}
      </div>
      {of === 'ultimate' && (
        <Chips
          label="The oil"
          value={values.oil}
          onChange={set('oil')}
          chips={[
            { value: 'asIs', words: 'as it is' },
            { value: 'fresh', words: 'fresh, warm' },
          ]}
        />
      )}
      {(of === null || of === 'rise' || of === 'pumpDown') && (
        <Chips
          label="The gauge"
          value={values.gauge}
          onChange={set('gauge')}
          chips={GAUGE_KINDS.map((value) => ({ value, words: GAUGE_WORDS[value] }))}
        />
      )}
      <LogFileField
        name={values.name}
        error={error('logId')}
        onLog={({ logId, name }) => {
          set('logId')(logId);
          set('name')(name);
          // What was said of another file is not said of this one.
          set('said')({ zone });
        }}
      />
      {judged && (judged.ok || judged.layout) && (
        <Understood
          key={values.logId}
          layout={judged.ok ? judged.understood : judged.layout!}
          whole={judged.ok ? judged.understood : null}
          startedAt={judged.ok ? judged.startedAt : null}
          said={values.said}
          zone={zone}
          onSaid={set('said')}
        />
      )}
      <Remark form={form} />
    </EntryScreen>
  );
}

/** What its field for litres is called; a pump by itself and a bag have none. */
const HAS_VOLUME: Readonly<Record<LogOf, string | null>> = {
  rise: 'What is closed off, in litres',
  pumpDown: 'What is pumped out, in litres',
  ultimate: null,
  bagDrop: null,
  cycles: 'What is pumped out, in litres (may stay empty)',
};

/** What of the set's record stands beside a log. */
const SERIES_OF_LOG: Readonly<Record<LogOf, VacuumSeriesOf>> = {
  rise: 'leak',
  pumpDown: 'speed',
  ultimate: 'blankOff',
  bagDrop: 'bagRise',
  cycles: 'pullDown',
};

/** A log that was recorded from an instrument, as its page names it; null where none is named. */
function recordedIn(search: URLSearchParams): Pick<LogValues, 'logId' | 'name' | 'gauge'> | null {
  const [logId, name, gauge] = ['log', 'name', 'gauge'].map((key) => search.get(key));
  if (!logId || !/^[0-9a-f]{64}$/.test(logId)) return null;
  return {
    logId,
    name: (name ?? '').slice(0, 200),
    gauge: GAUGE_KINDS.find((g): g is GaugeKind => g === gauge) ?? 'capacitance',
  };
}
