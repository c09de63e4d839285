import {
  GAUGE_KINDS,
  LOG_UNIT_NAMES,
  PRESSURE_REFERENCES,
  REGISTER_FORMATS,
  REGISTER_TABLES,
  type InstrumentTalk,
} from '@winter-jar/core';
import { Trash2 } from 'lucide-react';
import { Button } from '../ui/button.js';
import { TextField } from '../ui/field.js';
import { QuantityField } from '../ui/quantity-field.js';
import { SelectField } from '../ui/select-field.js';
import { Unfolding } from '../ui/unfolding.js';
import { CHANNEL_WORDS, REGISTER_FORMAT_WORDS, REGISTER_TABLE_WORDS } from '../words/instrument-words.js';
import { GAUGE_WORDS, REFERENCE_WORDS, UNIT_WORDS } from '../words/vacuum-words.js';
import type { ChannelField, ChannelIssues, TypedChannel } from './channel-form.js';

const optionsOf = <V extends string>(values: readonly V[], words: Readonly<Record<V, string>>) =>
  values.map((value) => ({ value, words: words[value] }));

const MORE: readonly ChannelField[] = ['believedFrom', 'believedTo', 'reference', 'onAbove', 'scale', 'offset'];

/** One channel: where in what comes it stands, what it means, and what is believed. */
export function ChannelFields({
  channel,
  talks,
  meaning,
  issues,
  onChange,
  onRemove,
}: {
  channel: TypedChannel;
  talks: InstrumentTalk;
  /** What the last thing that came says by it. */
  meaning: string;
  issues: ChannelIssues;
  onChange: (next: TypedChannel) => void;
  onRemove: () => void;
}) {
  const set = (field: ChannelField) => (value: string) => onChange({ ...channel, [field]: value });
  const field = (name: ChannelField) => ({ value: channel[name], onText: set(name), error: issues[name] });
  const isBit = channel.table === 'coil' || channel.table === 'discrete';
  const isPressure = channel.means === 'pressure';
  return (
    <>
      <div className="flex items-center justify-between gap-3">
        <h3 className="min-w-0 text-[16px]">
          {CHANNEL_WORDS[channel.means]}: <span className="figure">{meaning}</span>
        </h3>
        <Button look="plain" aria-label={`Take off: ${channel.key}`} onClick={onRemove}>
          <Trash2 aria-hidden="true" size={20} />
        </Button>
      </div>
      <div className="mt-2 grid gap-4 sm:grid-cols-2">
        {talks === 'lines' && (
          <div className="sm:col-span-2">
            <TextField
              label="How the line looks"
              {...field('pattern')}
              hint="{value} the figure, {unit} its unit, {time} its time, {*} whatever stands there"
            />
          </div>
        )}
        {talks === 'modbus' && (
          <>
            <SelectField
              label="Table"
              value={channel.table}
              onChange={(v) => set('table')(v)}
              options={optionsOf(REGISTER_TABLES, REGISTER_TABLE_WORDS)}
            />
            <TextField label="Register, counted from 0" inputMode="numeric" {...field('register')} />
            {!isBit && (
              <div className="sm:col-span-2">
                <SelectField
                  label="What stands in it"
                  value={channel.format}
                  onChange={(v) => set('format')(v)}
                  options={optionsOf(
                    REGISTER_FORMATS.filter((f) => f !== 'bit'),
                    REGISTER_FORMAT_WORDS,
                  )}
                />
              </div>
            )}
          </>
        )}
        {talks === 'mqtt' && (
          <>
            <div className="sm:col-span-2">
              <TextField label="Topic" {...field('topic')} hint="+ stands for one level, # for all below" />
            </div>
            <TextField
              label="Where in the message"
              {...field('path')}
              hint="such as inlet.pa; empty: the message itself"
            />
            <TextField label="Where its time stands" {...field('timePath')} hint="empty: when it comes" />
          </>
        )}
        {isPressure && (
          <>
            <SelectField
              label="Unit"
              value={channel.unit}
              onChange={(v) => set('unit')(v)}
              options={optionsOf(LOG_UNIT_NAMES, UNIT_WORDS)}
              empty={talks === 'lines' ? 'as the line says' : 'choose …'}
            />
            <div className="sm:col-span-2">
              <SelectField
                label="The gauge"
                value={channel.gauge}
                onChange={(v) => set('gauge')(v)}
                options={optionsOf(GAUGE_KINDS, GAUGE_WORDS)}
              />
            </div>
          </>
        )}
      </div>
      <div className="mt-3">
        <Unfolding
          className=""
          needed={MORE.some((name) => issues[name])}
          summary={
            <summary className="flex min-h-11 cursor-pointer items-center text-[15px] underline decoration-edge underline-offset-4">
              {isPressure ? 'Limits, and what it counts from' : 'More of it'}
            </summary>
          }
        >
          <div className="grid gap-4 pt-2 sm:grid-cols-2">
            {isPressure && (
              <>
                <QuantityField
                  label="Believed from"
                  dimension="pressure"
                  text={channel.believedFrom}
                  onText={set('believedFrom')}
                  error={issues.believedFrom}
                />
                <QuantityField
                  label="Believed up to"
                  dimension="pressure"
                  text={channel.believedTo}
                  onText={set('believedTo')}
                  error={issues.believedTo}
                />
                <SelectField
                  label="It counts"
                  value={channel.reference}
                  onChange={(v) => set('reference')(v)}
                  options={optionsOf(PRESSURE_REFERENCES, REFERENCE_WORDS)}
                />
              </>
            )}
            {(channel.means === 'running' || channel.means === 'valveOpen') && (
              <TextField
                label="On above"
                inputMode="decimal"
                {...field('onAbove')}
                hint="of a current, say 1.5 A; empty: 0.5"
              />
            )}
            <TextField label="Times" inputMode="decimal" {...field('scale')} hint="empty: as it comes" />
            <TextField label="And added" inputMode="decimal" {...field('offset')} hint="empty: nothing" />
          </div>
        </Unfolding>
      </div>
    </>
  );
}
