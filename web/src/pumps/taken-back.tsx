import { useState } from 'react';
import { useTakenBackQuery } from '../api/house-api.js';
import { LinkButton } from '../ui/button.js';
import { Loading } from '../ui/page-state.js';
import type { PumpPage } from '@winter-jar/contracts';
import { momentWords } from '../words/dates.js';
import { entryWords } from '../words/entry-words.js';
import { KIND_WORDS } from '../words/kind-words.js';
import type { Words } from '../words/words.js';

/** What was taken back, folded away: it stays to be seen, and can count again. */
export function TakenBack({ page, words }: { page: PumpPage; words: Words }) {
  const [open, setOpen] = useState(false);
  return (
    <details className="no-print mt-4" onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary className="flex min-h-11 cursor-pointer items-center underline">What was taken back</summary>
      {open && <Lines page={page} words={words} />}
    </details>
  );
}

function Lines({ page, words }: { page: PumpPage; words: Words }) {
  const { pumpId } = page.row;
  const { house } = page.setUp;
  const { data, isError } = useTakenBackQuery(pumpId);
  if (isError && !data) return <p role="alert">The server does not answer.</p>;
  if (!data) return <Loading what="what was taken back" />;
  if (data.lines.length === 0) return <p className="text-[15px] text-ink-2">Nothing was taken back.</p>;
  return (
    <ol>
      {data.lines.map(({ entry, takenBackAt, takenBackBy }) => (
        <li
          key={entry.id}
          className="flex flex-wrap items-baseline justify-between gap-x-4 border-b border-rule-soft py-2 text-[15px]"
        >
          <span className="min-w-0 text-ink-2 wrap-anywhere">
            <s>
              <span className="figure text-[14px]">{momentWords(entry.happenedAt, words.zone, words.now)}</span>{' '}
              {KIND_WORDS[entry.kind]}: {entryWords(entry, house, words)}
            </s>{' '}
            taken back {momentWords(takenBackAt, words.zone, words.now)}
            {takenBackBy && ` by ${house.person[takenBackBy]?.name ?? takenBackBy}`}
          </span>
          <LinkButton look="plain" to={`/pumps/${pumpId}/entries/${entry.id}`} className="!px-1 !text-[14px]">
            Bring it back …
          </LinkButton>
        </li>
      ))}
    </ol>
  );
}
