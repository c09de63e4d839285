import type { RecordHistory } from '@winter-jar/contracts';
import { hereZone, momentWords } from '../words/dates.js';
import type { SetUpResult } from './use-write-set-up.js';

/** Why a record was not saved. */
export function TroubleLine({ trouble }: { trouble: Exclude<SetUpResult, { kind: 'written' }> }) {
  const sentences = {
    changedMeanwhile: 'Not saved: someone else changed this record since you opened it. What you typed is still here.',
    refused: 'Not saved: see the fields above.',
    unreachable:
      'Not saved: the server does not answer. What you typed is kept on this device; save again when it is back.',
  };
  return (
    <p role="alert" className="border-l-4 border-stop pl-3 font-semibold text-stop">
      {sentences[trouble.kind]}
    </p>
  );
}

/** What a record said before, and from when. */
export function Versions({ history, now }: { history: RecordHistory; now: string }) {
  return (
    <section className="mt-8">
      <h2 className="text-[18px]">Versions</h2>
      <ol className="mt-1">
        {[...history.versions].reverse().map((v) => (
          <li key={v.id} className="border-b border-rule-soft py-2 text-[15px]">
            Valid from {momentWords(v.validFrom, hereZone(), now)}
            <span className="text-ink-2">, written {momentWords(v.recordedAt, hereZone(), now)}</span>
            {v.id === history.inForceId && <span className="ml-2 font-semibold">in force</span>}
          </li>
        ))}
      </ol>
    </section>
  );
}
