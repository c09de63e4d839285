import type { PumpPage } from '@winter-jar/contracts';
import { GAUGE_KINDS, LOGS_OF, type Entry, type Subject } from '@winter-jar/core';
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
import { askedOf, isSmallLeak, isWell, logFieldsOf, noLog, readLog, type LogValues } from './log-form.js';
import { PressureChart } from './pressure-chart.js';
import { Understood } from './understood.js';
import { useLogJudge } from './use-judged-log.js';

/** A log of a gauge, read and judged: a rise of pressure or a pump-down, and what it means here. */
export function GaugeLogPage() {
  return <WithPump needsOil>{(props) => <GaugeLog {...props} />}</WithPump>;
}

/** Of a pump of one stage where nobody says better. */
const ONE_STAGE_PA = 50;

/** What the pump comes to when it is well: its own good tests before the plate. */
function ultimateOf({ state, setUp }: PumpPage): number | null {
  const sorted = [...state.goodPa].sort((a, b) => a - b);
  return sorted[sorted.length >> 1] ?? setUp.model.ultimatePa ?? (setUp.model.stages === 1 ? ONE_STAGE_PA : null);
}

function GaugeLog(props: EntryPageProps) {
  const { page, correctId, words } = props;
  const { zone, pumpId } = page.row;
  const unit = useUnits().pressure;
  const wide = useWide();
  const { done, ask } = useLogJudge();
  const open = page.state.case?.status === 'open' ? page.state.case.caseId : null;
  const back = { path: `/pumps/${pumpId}/what-is-wrong`, words: 'What is wrong?' };
  const { pumpingSpeedM3h } = page.setUp.model;
  /** What a leak is held against. */
  const heldTo = {
    pumpingSpeedM3h,
    ultimatePa: ultimateOf(page),
    targetPa: page.setUp.equipment.targetUltimatePa ?? null,
  };
  const keyOf = (v: LogValues): string => JSON.stringify([v.logId, v.said, v.of, v.volume, v.gauge]);

  const form = useEntryForm<'test', LogValues>({
    kind: 'test',
    page,
    draft: 'gauge-log',
    defaults: noLog(page.setUp.equipment.chamberVolumeL ?? null, zone),
    read: (v, idFor) => {
      const judged = done?.key === keyOf(v) ? done.judged : null;
      const smallLeak = judged?.ok === true && isSmallLeak(judged.by, heldTo);
      const read = readLog(v, judged, { nowMs: Date.now(), smallLeak });
      if (!read.ok || correctId) return read;
      const { body } = read.deed.main;
      // How its pressure rises belongs to the chamber's own record, whichever pump stands at it.
      const equipment: Subject = { type: 'equipment', id: page.setUp.pump.equipmentId };
      const aboutIt = { ...read.deed.main, alsoAbout: [equipment] };
      if (open) return withCase(aboutIt, open);
      if (isWell(body.log?.verdict ?? 'undecided', smallLeak)) return { ok: true, deed: { main: aboutIt } };
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
    fill: (entry: Extract<Entry, { kind: 'test' }>) => logFieldsOf(entry),
    savedWords: () => `Saved on ${page.row.name}`,
    correctId,
    then: back.path,
  });
  const { values, set, error } = form;
  const key = keyOf(values);
  const asked = askedOf(values, { pumpingSpeedM3h, ultimatePa: ultimateOf(page) });
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
  const small = read !== null && isSmallLeak(read.by, heldTo);

  const figures = read ? (
    <LogFigures by={read.by} print={words.print} pumpingSpeedM3h={pumpingSpeedM3h} gauge={values.gauge} small={small} />
  ) : (
    <HowTo />
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
            {page.row.name} · {page.row.equipmentName} · {LOG_OF_WORDS[read.by.of]}, {values.volume} L
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
      {values.logId && judged === undefined && (
        <p aria-live="polite" className={asked ? '' : 'border-l-4 border-look-sooner pl-3 font-semibold'}>
          {asked ? 'Reading it …' : 'Say below how many litres are closed off: then it is judged.'}
        </p>
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
      <div className="grid grid-cols-1 gap-4 sm:grid-cols-2">
        <TextField
          label="What is closed off, in litres"
          value={values.volume}
          onText={set('volume')}
          inputMode="decimal"
          error={
            error('volume') ?? (asked === null && values.volume ? 'Right would be litres, such as 62.' : undefined)
          }
          hint="The chamber, with the trap and the pipes up to the valve."
        />
      </div>
      <Chips
        label="What was done"
        value={(read?.by.of ?? values.of) || null}
        onChange={set('of')}
        chips={LOGS_OF.map((value) => ({ value, words: LOG_OF_WORDS[value] }))}
      />
      <Chips
        label="The gauge"
        value={values.gauge}
        onChange={set('gauge')}
        chips={GAUGE_KINDS.map((value) => ({ value, words: GAUGE_WORDS[value] }))}
      />
      <Remark form={form} />
    </EntryScreen>
  );
}

/** Before a file is there. */
function HowTo() {
  return (
    <div className="flex flex-col gap-3 text-[15px] leading-6">
      <h2 className="text-[18px]">How to log it</h2>
      <p>
        <strong>Rise of pressure:</strong> pump the empty, dry chamber down, close its valve with the trap shut off, and
        log the gauge for a quarter to half an hour. A leak goes on straight; moisture rises and flattens.
      </p>
      <p>
        <strong>Pump-down:</strong> log from the moment the pump starts, at the air’s own pressure, until the gauge
        hardly falls any more. Ballast closed, oil warm.
      </p>
      <p className="text-ink-2">Site rules and the maker’s manual come first.</p>
    </div>
  );
}
