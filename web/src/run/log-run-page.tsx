import { countOf } from '../ui/number.js';
import { equipmentOf } from '@winter-jar/core';
import { Chips } from '../ui/chips.js';
import { TextField } from '../ui/field.js';
import { QuantityField } from '../ui/quantity-field.js';
import { EquipmentField } from './equipment-field.js';
import { EntryScreen, WithPump, type EntryPageProps } from '../entry/entry-page.js';
import { MaterialField } from './material-field.js';
import { Remark } from '../forms/remark.js';
import {
  countedBefore,
  lastReadings,
  LENGTH_BOUNDS,
  PRESSURE_BOUNDS,
  readRun,
  runDefaults,
  runValuesOf,
  startIn,
  TRAP_BOUNDS,
  type RunValues,
} from './run-form.js';
import { PressuresHeld } from './pressures-held.js';
import { MoreOfTheRun, YES_NO_CHIPS } from './more-of-the-run.js';
import { useEntryForm } from '../entry/use-entry-form.js';
import { useUnits } from '../device/use-units.js';
import { dayWords } from '../words/dates.js';
import { takeOverQuestion } from '../words/issue-words.js';
import { boundTo } from '../forms/bound-to.js';

const MODES = [
  { value: 'endedNow', words: 'ended now' },
  { value: 'times', words: 'from – to' },
  { value: 'day', words: 'about a day' },
  { value: 'started', words: 'still running' },
] as const;
const BALLAST = [
  { value: 'closed', words: 'closed' },
  { value: 'open', words: 'open' },
  { value: 'purge', words: 'open to purge' },
  { value: 'unknown', words: 'don’t know' },
] as const;
const TAKE_OVER = [
  { value: 'among', words: 'yes, counted' },
  { value: 'onTop', words: 'no, on top' },
] as const;
const SESSIONS = [
  { value: 'run', words: 'a run' },
  { value: 'sideJob', words: 'a side job' },
  { value: 'aborted', words: 'aborted' },
] as const;

export function LogRunPage() {
  return <WithPump needsOil={false}>{(props) => <LogRun {...props} />}</WithPump>;
}

function LogRun(props: EntryPageProps) {
  const { page, correctId } = props;
  const units = useUnits();
  const form = useEntryForm<'run', RunValues>({
    kind: 'run',
    page,
    defaults: runDefaults({ page, nowMs: Date.now() }),
    fieldOf: { minutes: 'duration' },
    read: (values) => readRun(values, { page, units, nowMs: Date.now() }),
    fill: (entry) => runValuesOf(entry, { zone: page.row.zone, units, nowMs: Date.now() }),
    savedWords: (v) => (v.mode === 'started' ? `Run started on ${page.row.name}` : `Run logged on ${page.row.name}`),
    correctId,
  });
  const { values, set, error } = form;
  const equipment = equipmentOf(values.equipmentId, page.setUp);
  const countsCycles = Boolean(equipment.cyclesPerRun);
  const running = values.mode === 'started';
  const counted = form.ready ? countedBefore(values, { page, units, nowMs: Date.now() }) : null;
  const { takenOver } = page.state;
  const last = lastReadings({ page, units });

  return (
    <EntryScreen title="Log a run" props={props} form={form} saveWords={running ? 'Start the run' : 'Save the run'}>
      <MaterialField page={page} value={values.materialId} onChange={set('materialId')} error={error('materialId')} />
      {!correctId && <EquipmentField page={page} value={values.equipmentId} onChange={set('equipmentId')} />}
      <Chips
        label="When"
        chips={MODES}
        value={values.mode}
        onChange={(mode) => {
          set('start')(startIn(mode, values, { page, nowMs: Date.now() }));
          set('mode')(mode);
        }}
      />
      {running && (
        <TextField
          label="Started"
          type="datetime-local"
          value={values.start}
          onText={set('start')}
          error={error('start')}
          hint="It shows as running until you end it."
        />
      )}
      {values.mode === 'times' && (
        <div className="grid gap-4 sm:grid-cols-2">
          <TextField
            label="From"
            type="datetime-local"
            value={values.start}
            onText={set('start')}
            error={error('start')}
          />
          <TextField label="To" type="datetime-local" value={values.end} onText={set('end')} error={error('end')} />
        </div>
      )}
      {(values.mode === 'endedNow' || values.mode === 'day') && (
        <div className="grid gap-4 sm:grid-cols-2">
          {values.mode === 'day' && (
            <TextField label="Day" type="date" value={values.day} onText={set('day')} error={error('day')} />
          )}
          <QuantityField
            label={countsCycles ? 'Hours (else from the cycles)' : 'How long'}
            dimension="duration"
            {...boundTo(form, 'duration')}
            {...LENGTH_BOUNDS}
          />
        </div>
      )}
      {counted !== null && takenOver && (
        <Chips
          label={takeOverQuestion(counted, dayWords(takenOver.at, page.row.zone, props.words.now))}
          chips={TAKE_OVER}
          value={values.takeOver}
          onChange={set('takeOver')}
          error={error('takeOver')}
        />
      )}
      {countsCycles && !running && (
        <TextField
          label="Cycles"
          inputMode="numeric"
          value={values.cycles}
          onText={set('cycles')}
          error={error('cycles')}
          hint={`${countOf(equipment.cyclesPerRun ?? 0, 'cycle')} count as one run`}
        />
      )}
      {page.row.kind === 'vane' && (
        <Chips label="Gas ballast" chips={BALLAST} value={values.ballast} onChange={set('ballast')} />
      )}
      {!running && (
        <>
          <div className="grid grid-cols-2 gap-4">
            {equipment.coldTrap && (
              <QuantityField
                label="Trap, coldest"
                dimension="temperature"
                {...boundTo(form, 'trapTempC')}
                offer={last.trapTempC}
                {...TRAP_BOUNDS}
              />
            )}
            <QuantityField
              label="Lowest pressure"
              dimension="pressure"
              {...boundTo(form, 'lowestPressurePa')}
              offer={last.lowestPressurePa}
              {...PRESSURE_BOUNDS}
            />
          </div>
          <PressuresHeld values={values} page={page} print={props.words.print} />
          <Chips
            label="Vented before the pump stopped?"
            chips={YES_NO_CHIPS}
            value={values.ventedBeforeStop}
            onChange={set('ventedBeforeStop')}
          />
          <MoreOfTheRun form={form} coldTrap={equipment.coldTrap} vane={page.row.kind === 'vane'} />
          <Chips label="It was" chips={SESSIONS} value={values.session} onChange={set('session')} />
        </>
      )}
      <Remark form={form} />
    </EntryScreen>
  );
}
