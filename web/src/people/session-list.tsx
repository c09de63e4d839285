import type { OpenSession } from '@winter-jar/contracts';
import { useEndSessionMutation } from '../api/house-api.js';
import { Button } from '../ui/button.js';
import { hereZone, momentWords } from '../words/dates.js';

/** Browsers and devices that somebody is signed in at, each to be taken off. */
export function SessionList({ title, sessions }: { title: string; sessions: readonly OpenSession[] }) {
  const [end, { isLoading }] = useEndSessionMutation();
  const zone = hereZone();
  return (
    <section>
      <h3 className="font-semibold">{title}</h3>
      <ul>
        {sessions.map((s) => (
          <li key={s.id} className="flex flex-wrap items-center justify-between gap-3 border-b border-rule-soft py-2">
            <span className="min-w-0">
              <span dir="auto" className="block wrap-anywhere">
                {s.name}
                {s.isThis && <span className="font-semibold"> · this one</span>}
              </span>
              <span className="block text-[14px] text-ink-2">
                {s.kind === 'browser' ? 'signed in' : 'paired'} {momentWords(s.since, zone)}, last used{' '}
                {momentWords(s.lastUsedAt, zone)}, from {s.address}
              </span>
            </span>
            {!s.isThis && (
              <Button disabled={isLoading} aria-label={`Take off: ${s.name}`} onClick={() => void end(s.id)}>
                Take it off
              </Button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
