import type { PumpPage } from '@winter-jar/contracts';
import { isHarder } from '@winter-jar/core';
import { reasonKey, reasonWords, verdictWords } from '../words/messages.js';
import type { Words } from '../words/words.js';
import type { Preview } from '../entry/use-preview.js';
import { Verdict, VerdictShape } from '../ui/verdict.js';
import { confidenceWords, nextLookWords, verdictChangeWords } from './reading-words.js';
import type { LookReading } from './use-reading.js';

/** The verdict as it would stand with this look: why, how sure, what to look at next, and what would change it. */
export function ReadingVerdict({
  page,
  preview,
  read,
  words,
}: {
  page: PumpPage;
  preview: Preview;
  read: LookReading | null;
  words: Words;
}) {
  if (preview.kind === 'effects')
    return (
      <p className="text-[15px] text-ink-2">
        This look is not the last word on this charge: what it changes stands by the save button.
      </p>
    );
  if (preview.kind === 'none' || !read)
    return (
      <p className="text-[15px] text-ink-2">
        {page.row.name} now: {verdictWords(page.row.verdict, page.row.act)}. The verdict of this look shows here, live,
        once you have said how long the oil has stood and what you see.
      </p>
    );
  const { after } = preview;
  const spoken = after.reasons.filter((r) => r.level !== 'runOn');
  return (
    <div className="flex flex-col gap-5">
      <div aria-live="polite">
        <Verdict level={after.verdict} words={verdictWords(after.verdict, after.act)} size="large" />
      </div>
      {read.reading.ofGoneCharge && (
        <p className="border-l-4 border-edge pl-3 text-[15px]">
          This jar is of the charge that went out with the last change: it says little about the new oil.
        </p>
      )}
      {spoken.length > 0 ? (
        <ul className="border-t border-rule">
          {spoken.map((r) => (
            <li key={reasonKey(r)} className="flex gap-2 border-b border-rule py-2 text-[15px]">
              <span className="pt-0.5">
                <VerdictShape level={r.level} />
              </span>
              <span>{reasonWords(r, words).full}</span>
            </li>
          ))}
        </ul>
      ) : (
        <p className="text-[15px]">Nothing that was seen or counted speaks against running on.</p>
      )}
      <dl className="grid grid-cols-[112px_minmax(0,1fr)] gap-x-3 gap-y-2 text-[15px]">
        <dt className="text-ink-2">How sure</dt>
        <dd>{confidenceWords(read)}</dd>
        <dt className="text-ink-2">Next look</dt>
        <dd>{nextLookWords(read.next)}</dd>
      </dl>
      <WhatWouldChange read={read} words={words} />
    </div>
  );
}

function WhatWouldChange({ read, words }: { read: LookReading; words: Words }) {
  const { changes, reading } = read;
  return (
    <section>
      <h2 className="mb-1 text-[18px]">What would change this look’s verdict</h2>
      {changes.length === 0 ? (
        <p className="text-[14px] text-ink-2">No single reading would.</p>
      ) : (
        <ul className="text-[14px] leading-6">
          {changes.map((tip) => (
            <li key={`${tip.reading}${tip.to}`} className="flex items-baseline gap-2">
              <span aria-hidden="true">{isHarder(tip.level, reading.level) ? '↑' : '↓'}</span>
              <span>
                <span className="sr-only">{isHarder(tip.level, reading.level) ? 'Harder: ' : 'Milder: '}</span>
                {verdictChangeWords(tip, words.print)}
              </span>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
