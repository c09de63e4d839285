import type { InstrumentNow } from '@winter-jar/contracts';
import { CHANNEL_MEANINGS, readRaw, type Instrument } from '@winter-jar/core';
import { useState } from 'react';
import { useParams } from 'react-router';
import { v7 as newId } from 'uuid';
import { useConnectInstrumentMutation, useDisconnectInstrumentMutation, useSetUpQuery } from '../api/house-api.js';
import { usePrint } from '../device/use-print.js';
import { useUnits } from '../device/use-units.js';
import { firstVersion } from '../set-up/new-version.js';
import { useWriteSetUp } from '../set-up/use-write-set-up.js';
import { Button, LinkButton } from '../ui/button.js';
import { Field, inputClass } from '../ui/field.js';
import { PageHead } from '../ui/page-head.js';
import { PageTitle } from '../ui/page-title.js';
import { Loading, Trouble } from '../ui/page-state.js';
import {
  MEANING_WORDS,
  rawWords,
  READING_ISSUE_WORDS,
  statusWords,
  TALK_WORDS,
  TROUBLE_WORDS,
  valueWords,
} from '../words/instrument-words.js';
import { ChannelFields } from './channel-fields.js';
import { channelOf, newChannel, typedChannel, type TypedChannel } from './channel-form.js';
import { StateSign } from './state-sign.js';
import { useLive } from './use-live.js';

/** What an instrument sends, beside what of it is meant: whether it is listened to, and its channels. */
export function ChannelsPage() {
  const { instrumentId = '' } = useParams();
  const { data } = useSetUpQuery();
  const { answer } = useLive(null);
  const instrument = data?.house.instrument[instrumentId];
  if (!data || !answer) return <Loading what="the instrument" />;
  const now = answer.instruments.find((i) => i.id === instrumentId);
  if (!instrument || !now)
    return <Trouble title="There is no such instrument">Choose one under “Instruments” in the set-up.</Trouble>;
  const zone = data.house.site[data.house.equipment[instrument.equipmentId]?.siteId ?? '']?.zone ?? 'UTC';
  const at = new Date(answer.nowMs).toISOString();
  return (
    <main className="mx-auto w-full max-w-[1120px] px-4 pb-10 pt-4 wide:px-6">
      <PageTitle title={`What it sends: ${instrument.name}`} />
      <PageHead
        back={`/instruments/${instrumentId}`}
        backWords={`Back to ${instrument.name}`}
        above={[instrument.name, instrument.simulated ? 'simulated' : null].filter(Boolean).join(' · ')}
      >
        What it sends
      </PageHead>
      <div className="mt-4 grid gap-x-10 gap-y-8 wide:grid-cols-2">
        <Raw now={now} zone={zone} at={at} />
        <Channels key={instrumentId} id={instrumentId} {...{ instrument, now, tag: data.tag }} />
      </div>
    </main>
  );
}

/** Whether it is listened to, and what came last as it came. */
function Raw({ now, zone, at }: { now: InstrumentNow; zone: string; at: string }) {
  const { id, instrument, status, hasPassword } = now;
  const [connect, connecting] = useConnectInstrumentMutation();
  const [disconnect, disconnecting] = useDisconnectInstrumentMutation();
  const [password, setPassword] = useState('');
  const failed = connecting.isError || disconnecting.isError;
  const off = status.state === 'notConnected';
  return (
    <section aria-label="What comes" className="min-w-0">
      <StateSign status={status} words={statusWords(status, zone, at)} />
      <p className="mt-1 text-[15px] text-ink-2 wrap-anywhere">
        {TALK_WORDS[instrument.talks]}, {instrument.host}:{instrument.port}
      </p>
      {instrument.talks === 'mqtt' && instrument.user && (
        <div className="mt-3">
          <Field
            label={`Password of ${instrument.user}`}
            hint={
              hasPassword
                ? 'One is kept on the server; it is in no backup and no file. Type another to change it.'
                : 'It stays on the server, in no backup and no file. It crosses your network as it is.'
            }
          >
            {({ id: field, describedBy }) => (
              <input
                id={field}
                type="password"
                autoComplete="off"
                className={inputClass(false)}
                value={password}
                onChange={(e) => setPassword(e.target.value)}
                aria-describedby={describedBy}
              />
            )}
          </Field>
        </div>
      )}
      <div className="mt-3 flex flex-wrap gap-3">
        <Button
          needs="house"
          look={off ? 'solid' : 'outline'}
          disabled={connecting.isLoading}
          onClick={() => {
            void connect({ id, instrumentConnect: { password: password === '' ? null : password } });
            setPassword('');
          }}
        >
          {off ? 'Listen to it' : 'Call it anew'}
        </Button>
        {!off && (
          <Button needs="house" disabled={disconnecting.isLoading} onClick={() => void disconnect(id)}>
            Listen no longer
          </Button>
        )}
        <LinkButton look="plain" to={`/set-up/instrument/${id}?back=/instruments/${id}/channels`}>
          Name, place and address
        </LinkButton>
      </div>
      {off && (
        <p className="mt-3 text-[15px] text-ink-2">
          Only this address is called, only to read, and only after somebody here has said so. A changed address has to
          be said anew.
        </p>
      )}
      {failed && (
        <p role="alert" className="mt-2 font-semibold text-stop">
          The server does not answer. Try again.
        </p>
      )}
      {status.trouble && (
        <p className="mt-3 border-l-4 border-before-next-run pl-3 text-[15px]">
          {TROUBLE_WORDS[status.trouble.code](status.trouble.found)}
        </p>
      )}
      <h2 className="mt-5 text-[18px]">As it comes</h2>
      {status.raw.length === 0 ? (
        <p className="mt-1 text-[15px] text-ink-2">Nothing has come yet.</p>
      ) : (
        <ol className="figure mt-1 max-h-[340px] overflow-hidden text-[14px]">
          {status.raw.map(({ atMs, raw }, i) => (
            <li key={`${atMs} ${i}`} className="border-b border-rule-soft py-1 wrap-anywhere">
              {rawWords(raw).slice(0, 400)}
            </li>
          ))}
        </ol>
      )}
    </section>
  );
}

function Channels({
  id,
  instrument,
  now,
  tag,
}: {
  id: string;
  instrument: Instrument;
  now: InstrumentNow;
  tag: string;
}) {
  const unit = useUnits().pressure;
  const print = usePrint();
  const { write, busy } = useWriteSetUp();
  const [typed, setTyped] = useState<readonly TypedChannel[]>(() =>
    (instrument.channels ?? []).map((c) => typedChannel(c, unit)),
  );
  const [tried, setTried] = useState(false);
  const [said, setSaid] = useState('');
  const reads = typed.map((t) => channelOf(t, instrument.talks, unit));
  const change = (next: readonly TypedChannel[]) => {
    setSaid('');
    setTyped(next);
  };
  async function keep() {
    setTried(true);
    const channels = reads.flatMap((r) => (r.ok ? [r.channel] : []));
    if (channels.length < reads.length) return setSaid('Nothing was kept: something is missing or not right.');
    const at = new Date().toISOString();
    const version = firstVersion('instrument', { id: newId(), subjectId: id, at, body: { ...instrument, channels } });
    const result = await write([version], tag);
    setSaid(
      result.kind === 'written'
        ? 'Kept, and listened to so.'
        : 'Nothing was kept: somebody changed the set-up meanwhile, or the server does not answer. Try again.',
    );
  }
  /** What the last thing that came says by a channel as it is typed. */
  const meaning = (i: number): string => {
    const read = reads[i];
    if (!read?.ok) return '–';
    const found = now.status.raw
      .flatMap(({ raw }) => readRaw({ raw, channels: [read.channel], altitudeM: instrument.altitudeM }))
      .sort((a, b) => Number(isOtherLine(a)) - Number(isOtherLine(b)))[0];
    if (!found)
      return now.status.raw.length === 0 ? 'nothing has come yet' : 'nothing of it has come since it was kept so';
    return found.ok
      ? valueWords(read.channel, found.value, print)
      : READING_ISSUE_WORDS[found.issue.code](found.issue.found);
  };
  return (
    <section aria-label="What it means" className="min-w-0">
      <h2 className="text-[18px]">What it means</h2>
      <ol>
        {typed.map((channel, i) => {
          const read = reads[i];
          return (
            <li key={channel.key} className="border-b border-rule py-4">
              <ChannelFields
                {...{ channel, talks: instrument.talks, meaning: meaning(i) }}
                issues={tried && read && !read.ok ? read.issues : {}}
                onChange={(next) => change(typed.map((t, k) => (k === i ? next : t)))}
                onRemove={() => change(typed.filter((_, k) => k !== i))}
              />
            </li>
          );
        })}
      </ol>
      <div className="mt-3 flex flex-wrap gap-2">
        {CHANNEL_MEANINGS.map((means) => (
          <Button
            key={means}
            onClick={() => {
              const keys = typed.map((t) => t.key);
              change([...typed, newChannel(means, keys)]);
            }}
          >
            + {MEANING_WORDS[means]}
          </Button>
        ))}
      </div>
      <div className="mt-4">
        <Button look="solid" disabled={busy} onClick={() => void keep()}>
          Keep what it means
        </Button>
        <p className="mt-2 text-[15px]" aria-live="polite">
          {said}
        </p>
      </div>
    </section>
  );
}

const isOtherLine = (read: ReturnType<typeof readRaw>[number]): boolean =>
  !read.ok && read.issue.code === 'notThisLine';
