import { lazy, Suspense, useSyncExternalStore } from 'react';
import { useAboutQuery } from '../api/house-api.js';
import { useDoor } from '../device/use-door.js';
import { wholeDayWords } from '../words/dates.js';
import { ROLE_WORDS } from '../words/door-words.js';

const WhoWrites = lazy(() => import('../people/who-writes.js'));

const useOnline = (): boolean =>
  useSyncExternalStore(
    (changed) => {
      window.addEventListener('online', changed);
      window.addEventListener('offline', changed);
      return () => {
        window.removeEventListener('online', changed);
        window.removeEventListener('offline', changed);
      };
    },
    () => navigator.onLine,
  );

/** Quiet lines above the page: whose data this is, who can reach it, and whether the server answers. */
export function Banners() {
  const { data: about, isError } = useAboutQuery(undefined, { pollingInterval: 60_000 });
  const door = useDoor();
  const online = useOnline();
  return (
    <section aria-label="About this data" className="no-print">
      {(!online || isError) && (
        <p role="status" className="border-b-2 border-stop bg-sheet px-4 py-2 font-semibold wide:px-5">
          No connection to the server. What you see may be old; what you type is kept on this device until it can be
          saved.
        </p>
      )}
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
