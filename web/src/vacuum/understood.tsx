import {
  LOG_UNIT_NAMES,
  PRESSURE_REFERENCES,
  readNumber,
  type LogLayout,
  type LogSettings,
  type LogUnit,
  type PressureReference,
  type Understood as Whole,
} from '@winter-jar/core';
import { useState } from 'react';
import { fromLocalField, toLocalField } from '../words/dates.js';
import { DOUBT_WORDS, LEFT_OUT_WORDS, REFERENCE_WORDS, SEPARATOR_WORDS, UNIT_WORDS } from '../words/vacuum-words.js';
import { TextField } from '../ui/field.js';
import { countOf, number } from '../ui/number.js';
import { SelectField } from '../ui/select-field.js';
import { Unfolding } from '../ui/unfolding.js';

interface UnderstoodProps {
  readonly layout: LogLayout;
  readonly whole: Whole | null;
  readonly startedAt: string | null;
  readonly said: LogSettings;
  readonly zone: string;
  readonly onSaid: (said: LogSettings) => void;
}

/** What was understood of a log in one line, what is taken for granted, and every part of it to be changed. */
export function Understood({ layout, whole, startedAt, said, zone, onSaid }: UnderstoodProps) {
  const column = (c: number): string => layout.columns[c] || `column ${c + 1}`;
  const set = <K extends keyof LogSettings>(key: K, value: LogSettings[K] | undefined) => {
    const { [key]: _, ...rest } = said;
    onSaid(value === undefined ? rest : { ...rest, [key]: value });
  };
  const days = layout.time?.form === 'dayAndClock' || layout.time?.form === 'dayThenClock';
  const line = [
    SEPARATOR_WORDS[layout.separator],
    layout.decimal === ',' ? 'decimal comma' : 'decimal point',
    ...(days ? [layout.time?.dayOrder === 'monthFirst' ? 'month first' : 'day first'] : []),
    ...(layout.time?.form === 'elapsed' ? [`time in ${layout.time.elapsedUnit}`] : []),
    layout.unit ? UNIT_WORDS[layout.unit] : 'no unit',
    ...(layout.reference === 'absolute' ? [] : [REFERENCE_WORDS[layout.reference]]),
  ];
  const left = Object.entries(whole?.leftOut ?? {}) as [keyof typeof LEFT_OUT_WORDS, number][];
  const doubts = (whole?.doubts ?? layout.doubts).filter((d) => !(d === 'start' && said.startedAt));
  const oneOf = (values: readonly string[], words: Readonly<Record<string, string>>) =>
    values.map((value) => ({ value, words: words[value] ?? value }));
  return (
    <section className="flex flex-col gap-2 text-[15px]">
      <h2 className="text-[18px]">What was understood</h2>
      <p>
        {line.join(' · ')}
        {whole && ` · ${countOf(whole.points, 'reading')} of ${number(whole.rows)} rows`}
      </p>
      {doubts.length > 0 && (
        <p className="border-l-4 border-look-sooner pl-3">
          Taken for granted, as nothing says it: {doubts.map((d) => DOUBT_WORDS[d]).join('; ')}.
        </p>
      )}
      {left.length > 0 && (
        <p className="text-ink-2">
          Left out: {left.map(([why, n]) => `${number(n)} ${LEFT_OUT_WORDS[why]}`).join(', ')}
          {whole?.leftOutRows[0] && `; the first in line ${number(whole.leftOutRows[0].line)}`}.
        </p>
      )}
      {(whole?.gaps.length ?? 0) > 0 && (
        <p className="text-ink-2">{countOf(whole?.gaps.length ?? 0, 'gap')} without readings.</p>
      )}
      <Unfolding
        className="no-print"
        needed={layout.unit === null || layout.time === null}
        summary={<summary className="min-h-11 cursor-pointer py-2 font-semibold">Change it</summary>}
      >
        <div className="grid grid-cols-1 gap-4 pt-2 sm:grid-cols-2">
          <SelectField
            label="Column of the pressure"
            value={String(layout.pressureColumn)}
            onChange={(c) => set('pressureColumn', Number(c))}
            options={layout.pressureColumns.map((c) => ({ value: String(c), words: column(c) }))}
          />
          <SelectField
            label="Unit"
            value={layout.unit ?? ''}
            onChange={(unit) => set('unit', (unit || undefined) as LogUnit | undefined)}
            options={oneOf(LOG_UNIT_NAMES, UNIT_WORDS)}
            empty="choose …"
          />
          <SelectField
            label="A reading is"
            value={layout.reference}
            onChange={(reference) => set('reference', reference as PressureReference)}
            options={oneOf(PRESSURE_REFERENCES, REFERENCE_WORDS)}
          />
          {days && (
            <SelectField
              label="Dates"
              value={layout.time?.dayOrder ?? 'dayFirst'}
              onChange={(order) => set('dayOrder', order as LogSettings['dayOrder'])}
              options={[
                { value: 'dayFirst', words: 'day first' },
                { value: 'monthFirst', words: 'month first' },
              ]}
            />
          )}
          {layout.time?.form === 'elapsed' && (
            <SelectField
              label="Time in"
              value={layout.time.elapsedUnit}
              onChange={(unit) => set('elapsedUnit', unit as LogSettings['elapsedUnit'])}
              options={['ms', 's', 'min', 'h', 'd'].map((value) => ({ value, words: value }))}
            />
          )}
          <SelectField
            label="Numbers"
            value={layout.decimal}
            onChange={(mark) => set('decimal', mark as LogSettings['decimal'])}
            options={[
              { value: '.', words: 'with a point: 0.5' },
              { value: ',', words: 'with a comma: 0,5' },
            ]}
          />
          {layout.time === null && (
            <NumberField
              label="Seconds between two rows"
              value={said.stepS}
              onNumber={(stepS) => set('stepS', stepS)}
              min={0.001}
              max={86_400}
            />
          )}
          {layout.reference !== 'absolute' && (
            <NumberField
              label="Air around, hPa"
              value={said.ambientPa === undefined ? undefined : said.ambientPa / 100}
              onNumber={(hPa) => set('ambientPa', hPa === undefined ? undefined : hPa * 100)}
              min={300}
              max={1200}
              hint="1013 where nothing is said; a barometer beside it is better."
            />
          )}
          {layout.reference !== 'absolute' && said.ambientPa === undefined && (
            <NumberField
              label="or where it stands, metres above the sea"
              value={said.altitudeM}
              onNumber={(metres) => set('altitudeM', metres)}
              min={-500}
              max={9000}
            />
          )}
          {hasClock(layout) && (
            <SelectField
              label="Its clock is of"
              value={said.zone ?? zone}
              onChange={(its) => set('zone', its)}
              options={zonesOf(zone, said.zone)}
              hint="Where its stamps do not say it themselves."
            />
          )}
          {startedOpen(layout) && (
            <TextField
              label="When it began"
              type="datetime-local"
              value={startedAt ? toLocalField(startedAt, zone) : ''}
              onText={(text) => set('startedAt', fromLocalField(text, zone) ?? undefined)}
            />
          )}
        </div>
      </Unfolding>
    </section>
  );
}

/** A plain number that counts once it lies within its bounds. */
function NumberField({
  label,
  value,
  onNumber,
  min,
  max,
  hint,
}: {
  label: string;
  value: number | undefined;
  onNumber: (value: number | undefined) => void;
  min: number;
  max: number;
  hint?: string;
}) {
  const [text, setText] = useState(value === undefined ? '' : String(value));
  const read = readNumber(text);
  const isRight = text.trim() === '' || (read.kind === 'number' && read.value >= min && read.value <= max);
  return (
    <TextField
      label={label}
      value={text}
      inputMode="decimal"
      error={isRight ? undefined : `Right would be ${min} to ${number(max)}.`}
      {...(hint ? { hint } : {})}
      onText={(typed) => {
        setText(typed);
        const now = readNumber(typed);
        onNumber(now.kind === 'number' && now.value >= min && now.value <= max ? now.value : undefined);
      }}
    />
  );
}

/** Its rows tell a time of day. */
const hasClock = ({ time }: LogLayout): boolean => time !== null && time.form !== 'elapsed';

/** The site's, the device's, none that shifts, and the one that was said. */
function zonesOf(site: string, said: string | undefined) {
  const device = new Intl.DateTimeFormat().resolvedOptions().timeZone;
  const words: Readonly<Record<string, string>> = {
    [device]: `${device}, this device`,
    UTC: 'UTC',
    [site]: `${site}, the site`,
  };
  return [...new Set([site, device, 'UTC', ...(said ? [said] : [])])].map((value) => ({
    value,
    words: words[value] ?? value,
  }));
}

/** Its rows say no day. */
const startedOpen = ({ time }: LogLayout): boolean => time === null || time.form === 'elapsed' || time.form === 'clock';
