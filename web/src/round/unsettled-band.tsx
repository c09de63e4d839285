import type { UnsettledLine } from '@winter-jar/contracts';
import { pumpIdsOf } from '@winter-jar/core';
import { Link } from 'react-router';
import { useUnsettledQuery } from '../api/house-api.js';
import { usePrint } from '../device/use-print.js';
import { issueAt } from '../journal/unsettled-words.js';
import { questionWords } from '../words/issue-words.js';

/** Above the Round: something was written that does not count, why, and where it is decided. */
export function UnsettledBand({ nameOf }: { nameOf: (pumpId: string) => string }) {
  const { data } = useUnsettledQuery();
  const print = usePrint();
  const [asked] = data?.asked ?? [];
  const first = data?.lines.find((l) => l.unsettled.state === 'toSettle') ?? data?.lines[0];
  const entry = asked?.entries[0] ?? first?.correction;
  if (!data || !entry) return null;
  const [pumpId] = pumpIdsOf(entry);
  const words = data.total === 1 ? 'One entry does not count yet' : `${data.total} entries do not count yet`;
  return (
    <p role="status" className="no-print my-2 border-l-4 border-before-next-run pl-3 text-[15px] wrap-anywhere">
      <span className="font-semibold">{words}.</span> {pumpId !== undefined && `${nameOf(pumpId)}: `}
      {asked?.questions[0]
        ? questionWords(asked.questions[0], { print, zone: entry.zone, now: data.at }).question
        : whyOf(first)}{' '}
      <Link to="/unsettled" className="font-semibold text-ink underline underline-offset-4">
        Settle
      </Link>
    </p>
  );
}

const whyOf = (line: UnsettledLine | undefined): string => {
  const [issue] = line?.unsettled.state === 'toSettle' ? line.unsettled.issues : [];
  return issue ? issueAt(issue) : 'the entry that it corrects has not come.';
};
