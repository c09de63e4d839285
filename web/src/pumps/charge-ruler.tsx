import type { PumpPage as Page } from '@winter-jar/contracts';
import { useState } from 'react';
import { Legend } from '../round/legend.js';
import { RunRuler } from '../ui/run-ruler.js';
import { useWidth } from '../ui/use-width.js';
import { barWords, flagWords, rulerWords } from '../words/bar-words.js';
import { dayWords } from '../words/dates.js';
import type { Words } from '../words/words.js';

/** The present charge, large: each run can be chosen and is named beneath. */
export function ChargeRuler({ page, words }: { page: Page; words: Words }) {
  const { row, standing } = page;
  const [ref, width] = useWidth<HTMLDivElement>(800);
  const [chosen, setChosen] = useState<string | null>(null);
  const bar = row.ruler.bars.find((b) => b.entryId === chosen) ?? row.ruler.bars.at(-1);
  const sinceAt = standing.tasks.find((t) => t.task === 'oilChange' || t.task === 'boosterOil')?.sinceAt;
  const named = (b: (typeof row.ruler.bars)[number]) => barWords(b, row.materialNames, words);
  return (
    <section className="mt-4">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <h2 className="text-[20px]">
          {row.kind === 'dry' ? 'Runs' : 'This charge'}{' '}
          <span className="font-sans text-[14px] font-normal text-ink-2">
            {sinceAt ? `since ${dayWords(sinceAt, words.zone, words.now)}` : ''}
          </span>
        </h2>
        <span className="text-[14px] text-ink-2">one tick = one plain run</span>
      </div>
      <div ref={ref} className="min-w-0 overflow-hidden">
        <RunRuler
          ruler={row.ruler}
          width={width}
          label={rulerWords(row.name, row.ruler)}
          wordsOf={named}
          flagText={flagWords(row.ruler)}
          large
          selectedId={bar?.entryId ?? null}
          onSelect={setChosen}
        />
      </div>
      <p className="min-h-6 text-[14px]">{bar ? named(bar) : 'No run since the oil change yet.'}</p>
      <div className="-mx-2">
        <Legend />
      </div>
    </section>
  );
}
