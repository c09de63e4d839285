import { lazy, Suspense, useEffect } from 'react';
import { Link } from 'react-router';
import type { Waiting } from '../held/device-store.js';
import { useAppSelector } from '../device/store.js';
import { useAboutQuery } from '../api/house-api.js';
import { useDoor } from '../device/use-door.js';
import { useWaiting } from '../sending/use-waiting.js';
import { hereZone, momentWords, wholeDayWords } from '../words/dates.js';
import { ROLE_WORDS } from '../words/door-words.js';

const WhoWrites = lazy(() => import('../people/who-writes.js'));

/** Asked again so often, to see whether it is back. */
const LOST_MS = 5000;

/** What has not arrived at the server yet, and where it is looked through. */
function WaitingLine({ waiting }: { waiting: readonly Waiting[] }) {
  if (waiting.length === 0) return null;
  const refused = waiting.filter(({ state }) => state === 'refused').length;
  const words = waiting.length === 1 ? 'One deed waits on this device' : `${waiting.length} deeds wait on this device`;
  return (
    <p role="status" className="border-b border-rule bg-sheet px-4 py-2 text-[15px] wide:px-5">
      <span className="font-semibold">{words}</span>
      {refused > 0 && <span className="font-semibold text-stop"> · {refused} refused</span>}{' '}
      <Link to="/waiting" className="font-semibold text-ink underline underline-offset-4">
        {refused > 0 ? 'See why' : 'See what'}
      </Link>
    </p>
  );
}

/** Quiet lines above the page: whose data this is, who can reach it, and whether the server answers. */
export function Banners() {
  const { isLost, asOf } = useAppSelector((s) => s.connection);
  const { data: about, refetch } = useAboutQuery(undefined, { pollingInterval: isLost ? LOST_MS : 60_000 });
  const door = useDoor();
  // A machine without a network still reaches a server of its own: only asking tells.
  useEffect(() => {
    const ask = () => void refetch();
    window.addEventListener('offline', ask);
    return () => window.removeEventListener('offline', ask);
  }, [refetch]);
  const waiting = useWaiting();
  return (
    <section aria-label="About this data" className="no-print">
      {isLost && (
        <p role="status" className="border-b-2 border-stop bg-sheet px-4 py-2 font-semibold wide:px-5">
          No connection to the server.
          {asOf && ` As of ${momentWords(asOf, hereZone(), new Date().toISOString())}.`} What you write is kept on this
          device.
        </p>
      )}
      <WaitingLine waiting={waiting} />
      {door?.tablet && (
        <Suspense fallback={null}>
          <WhoWrites tablet={door.tablet} who={door.who} />
        </Suspense>
      )}
      {about?.openToNetwork && door?.state === 'open' && (
        <p className="border-b border-rule bg-sheet px-4 py-1.5 text-[14px] wide:px-5">
          The door is open: everyone on this network can read and write here, and nobody is asked who they are.
        </p>
      )}
      {about?.demoDay && (
        <p className="border-b border-rule px-4 py-1.5 text-[14px] text-ink-2 wide:px-5">
          Demo yard of {wholeDayWords(about.demoDay)}: made-up pumps and people, simulated history, an open door.
          {door?.who && ` You are ${door.who.name} here, ${ROLE_WORDS[door.who.role]}.`}
        </p>
      )}
    </section>
  );
}
