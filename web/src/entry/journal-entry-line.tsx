import type { JournalLine } from '@winter-jar/contracts';
import { pumpIdsOf, type HouseSetUp } from '@winter-jar/core';
import { Button, LinkButton } from '../ui/button.js';
import { momentWords } from '../words/dates.js';
import { entryWords } from '../words/entry-words.js';
import { KIND_WORDS } from '../words/kind-words.js';
import type { Words } from '../words/words.js';
import { useUndo } from './use-undo.js';

/** An entry about it alone is taken back here; one of a pump is mended at its pump. */
export function JournalEntryLine({
  line: { entry, correctionId },
  house,
  words,
}: {
  line: JournalLine;
  house: HouseSetUp;
  words: Words;
}) {
  const { undo } = useUndo();
  const [pumpId] = pumpIdsOf(entry);
  const moment = momentWords(entry.happenedAt, words.zone, words.now);
  const named = `${KIND_WORDS[entry.kind]} of ${moment}`;
  return (
    <li className="grid grid-cols-[minmax(0,1fr)_auto] items-start gap-x-3 border-b border-rule-soft py-2 wide:grid-cols-[152px_104px_minmax(0,1fr)_auto]">
      <span className="figure text-[14px] text-ink-2">{moment}</span>
      <span className="col-start-1 font-semibold wide:col-start-auto">{KIND_WORDS[entry.kind]}</span>
      <span className="col-start-1 text-[15px] wrap-anywhere wide:col-start-auto">
        {entryWords(entry, house, words)}
        {pumpId && (
          <span className="ml-2 text-[13px] whitespace-nowrap text-ink-2">{house.pump[pumpId]?.name ?? pumpId}</span>
        )}
        {entry.who && <span className="ml-2 text-[13px] text-ink-2">{house.person[entry.who]?.name ?? entry.who}</span>}
        {correctionId && <span className="ml-2 text-[13px] text-ink-2">corrected</span>}
      </span>
      <span className="no-print col-start-2 row-span-3 row-start-1 wide:col-start-4 wide:row-span-1">
        {pumpId ? (
          <LinkButton
            look="plain"
            to={`/pumps/${pumpId}/entries/${entry.id}`}
            className="!px-1 !text-[14px]"
            aria-label={`History: ${named}`}
          >
            History
          </LinkButton>
        ) : (
          <Button
            look="plain"
            className="!px-1 !text-[14px]"
            aria-label={`Take back: ${named}`}
            onClick={() => void undo({ entryIds: [entry.id] })}
          >
            Take back
          </Button>
        )}
      </span>
    </li>
  );
}
