import type { RoundRow } from '@winter-jar/contracts';
import { momentWords } from '../words/dates.js';
import { headline } from '../words/messages.js';
import type { Words } from '../words/words.js';
import { LinkButton } from '../ui/button.js';

/** Runs that go on, and the way to end them; one that has gone on too long is asked about. */
export function Running({ row, words }: { row: Pick<RoundRow, 'pumpId' | 'running'>; words: Words }) {
  return row.running.map((run) => (
    <div key={run.entryId} className="flex flex-wrap items-center gap-x-4 gap-y-2 border-l-4 border-look-sooner pl-3">
      <p className="min-w-0 flex-1 text-[15px]">
        <span className="font-semibold">Running since {momentWords(run.at, words.zone, words.now)}</span> on{' '}
        <span className="wrap-anywhere">{run.equipmentName}</span>
        {run.overlong && '. That is long: did it end, and was its end forgotten?'}
      </p>
      <LinkButton to={`/pumps/${row.pumpId}/run?correct=${run.entryId}`} look="solid" className="no-print min-h-11">
        End the run
      </LinkButton>
    </div>
  ));
}

/** One line for a row of the Round: that it runs, or what is wanted first and that it runs besides. */
export function rowLine(row: RoundRow, words: Words): string {
  const [run] = row.running;
  if (!run) return headline(row, words);
  const asks = run.overlong ? ': did it end?' : '';
  if (row.verdict === 'runOn') return `Running since ${momentWords(run.at, words.zone, words.now)}${asks}`;
  return `${headline(row, words)} · running${asks}`;
}
