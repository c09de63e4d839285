import { pumpIdsOf, type HouseSetUp } from '@winter-jar/core';
import { ChevronLeft } from 'lucide-react';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { useSetUpQuery } from '../api/house-api.js';
import { useAppDispatch, useAppSelector } from '../device/store.js';
import { usePrint } from '../device/use-print.js';
import { lastAsking, type Asking } from '../held/answers.js';
import type { Waiting } from '../held/device-store.js';
import { onAnotherPump, outbox } from '../held/outbox.js';
import { storageOfDevice, type StorageOfDevice } from '../held/storage.js';
import { isFor, sendWaiting, shownAnew } from '../sending/send-waiting.js';
import { useWaiting } from '../sending/use-waiting.js';
import { Button, LinkButton } from '../ui/button.js';
import { Empty } from '../ui/page-state.js';
import { PageTitle } from '../ui/page-title.js';
import { hereZone, momentWords } from '../words/dates.js';
import { entryWords } from '../words/entry-words.js';
import { KIND_WORDS } from '../words/kind-words.js';
import { correctPath } from '../words/pump-actions.js';
import type { Words } from '../words/words.js';
import { issueAt } from './unsettled-words.js';

/** What was written on this device and has not reached the server: what it waits for, and what ends it. */
export function WaitingPage() {
  const waiting = useWaiting();
  const { data } = useSetUpQuery();
  const isLost = useAppSelector((s) => s.connection.isLost);
  const dispatch = useAppDispatch();
  const print = usePrint();
  const [asking, setAsking] = useState<Asking | null>(null);
  useEffect(() => void lastAsking().then(setAsking), [waiting]);
  const words = { print, zone: hereZone(), now: new Date().toISOString() };
  return (
    <main className="mx-auto w-full max-w-[760px] px-4 pb-10 pt-4">
      <PageTitle title="Waits on this device" />
      <div className="flex items-center gap-3">
        <Link to="/" aria-label="Back to the Round" className="flex size-11 items-center justify-center text-ink">
          <ChevronLeft aria-hidden="true" />
        </Link>
        <h1 className="text-[26px]">Waits on this device</h1>
      </div>
      {waiting.length === 0 ? (
        <Empty inside title="Nothing waits">
          Everything that was written here has reached the server.
        </Empty>
      ) : (
        <p className="mt-1 text-[15px]">
          {isLost
            ? 'It is sent in this order as soon as the server answers. Until then it is on this device alone: do not clear this browser’s data.'
            : 'It is sent in this order.'}
        </p>
      )}
      <ul className="mt-3">
        {waiting.map((item) => (
          <Item key={item.key} item={item} house={data?.house ?? null} words={words} asking={asking} />
        ))}
      </ul>
      {waiting.length > 0 && !isLost && (
        <Button className="mt-4" onClick={() => void sendWaiting(dispatch)}>
          Send it now
        </Button>
      )}
      <RoomOnTheDevice />
    </main>
  );
}

function Item({
  item,
  house,
  words,
  asking,
}: {
  item: Waiting;
  house: HouseSetUp | null;
  words: Words;
  asking: Asking | null;
}) {
  const [first] = item.entries;
  if (!first) return null;
  const [pumpId] = pumpIdsOf(first);
  const name = pumpId === undefined ? 'No pump' : (house?.pump[pumpId]?.name ?? pumpId);
  const told = first.kind === 'correction' ? 'Correction' : KIND_WORDS[first.kind];
  return (
    <li className="border-b border-rule-soft py-4">
      <h2 className="text-[18px] wrap-anywhere">
        {name} · {told} of {momentWords(first.happenedAt, words.zone, words.now)}
      </h2>
      {item.entries.map((entry) => (
        <p key={entry.id} className="text-[15px] wrap-anywhere">
          {house && entry.kind !== 'correction'
            ? entryWords(entry, house, words)
            : entry.kind === 'correction' &&
              (entry.body.action === 'void' ? 'takes an entry back' : 'corrects an entry')}
        </p>
      ))}
      {item.state === 'refused' ? (
        <Refused item={item} house={house} />
      ) : (
        <p className="mt-1 text-[14px] text-ink-2">{waitsFor(item, house, asking)}</p>
      )}
    </li>
  );
}

function waitsFor(item: Waiting, house: HouseSetUp | null, asking: Asking | null): string {
  if (isFor(item, asking)) return 'Waits for a connection.';
  if (asking === null) return 'Waits for a connection.';
  if (item.house !== null && item.house !== asking.house)
    return 'It was written for another data folder than the one that answers here now, and waits for that.';
  const who = item.who === null ? 'its writer' : (house?.person[item.who]?.name ?? 'its writer');
  return `It is sent as ${who}, who has to be signed in here.`;
}

/** The server did not take it: it is put right, put on another pump, or given up, by hand. */
function Refused({ item, house }: { item: Waiting; house: HouseSetUp | null }) {
  const dispatch = useAppDispatch();
  const [isGivingUp, setGivingUp] = useState(false);
  const [first, ...more] = item.entries;
  const [pumpId] = first ? pumpIdsOf(first) : [];
  const pumps = Object.entries(house?.pump ?? {}).sort(([, a], [, b]) => (a.name < b.name ? -1 : 1));
  const again = async (entries: Waiting['entries']) => {
    await outbox.put({ ...item, entries, state: 'waiting', issues: [] });
    await sendWaiting(dispatch);
  };
  const giveUp = async () => {
    await outbox.remove(item);
    shownAnew(dispatch);
  };
  return (
    <>
      <p className="mt-2 font-semibold text-stop">
        {item.issues.length > 0
          ? 'The server did not take it:'
          : 'The server has another entry under its id: what stands there was written first.'}
      </p>
      <ul className="list-disc pl-5 text-[15px]">
        {item.issues.map((issue) => (
          <li key={issue.field} className="wrap-anywhere">
            {issueAt(issue)}
          </li>
        ))}
      </ul>
      <div className="mt-3 flex flex-wrap items-center gap-3">
        {more.length === 0 && first && first.kind !== 'correction' && pumpId !== undefined && (
          <LinkButton to={correctPath(pumpId, first)} look="solid">
            Put it right
          </LinkButton>
        )}
        <Button onClick={() => void again(item.entries)}>Send it again</Button>
        {pumpId !== undefined && first?.kind !== 'correction' && (
          <label className="flex items-center gap-2 text-[15px]">
            Put it on
            <select
              className="h-11 rounded-[6px] border border-edge bg-sheet px-2"
              value=""
              onChange={(e) => void again(onAnotherPump(item.entries, e.target.value))}
            >
              <option value="" disabled>
                another pump …
              </option>
              {pumps
                .filter(([id]) => id !== pumpId)
                .map(([id, pump]) => (
                  <option key={id} value={id}>
                    {pump.name}
                  </option>
                ))}
            </select>
          </label>
        )}
        {isGivingUp ? (
          <>
            <Button look="solid" onClick={() => void giveUp()}>
              Yes, forget what I wrote
            </Button>
            <Button onClick={() => setGivingUp(false)}>Keep it</Button>
          </>
        ) : (
          <Button look="plain" onClick={() => setGivingUp(true)}>
            Give it up …
          </Button>
        )}
      </div>
    </>
  );
}

/** Whether this browser promises to keep what waits, and has room for it. */
function RoomOnTheDevice() {
  const [storage, setStorage] = useState<StorageOfDevice | null>(null);
  useEffect(() => void storageOfDevice().then(setStorage), []);
  if (!storage || (storage.isKept && !storage.isNearlyFull)) return null;
  return (
    <p className="mt-6 border-l-4 border-before-next-run pl-3 text-[15px]">
      {storage.isNearlyFull
        ? 'This browser has hardly any room left: make some before you write without a connection.'
        : 'This browser does not promise to keep what waits when it runs short of room. Putting Winter Jar on the home screen usually makes it do so.'}
    </p>
  );
}
