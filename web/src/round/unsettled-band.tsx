import { pumpIdsOf } from '@winter-jar/core';
import { Link } from 'react-router';
import { useUnsettledQuery } from '../api/house-api.js';
import { issueAt } from '../journal/unsettled-words.js';

/** Above the Round: something was written that does not count, why, and where it is decided. */
export function UnsettledBand({ nameOf }: { nameOf: (pumpId: string) => string }) {
  const { data } = useUnsettledQuery();
  const first = data?.lines.find((l) => l.unsettled.state === 'toSettle') ?? data?.lines[0];
  if (!data || !first) return null;
  const [pumpId] = pumpIdsOf(first.correction);
  const [issue] = first.unsettled.state === 'toSettle' ? first.unsettled.issues : [];
  const words = data.total === 1 ? 'One correction does not count yet' : `${data.total} corrections do not count yet`;
  return (
    <p role="status" className="no-print my-2 border-l-4 border-before-next-run pl-3 text-[15px] wrap-anywhere">
      <span className="font-semibold">{words}.</span> {pumpId !== undefined && `${nameOf(pumpId)}: `}
      {issue ? issueAt(issue) : 'the entry that it corrects has not come.'}{' '}
      <Link to="/unsettled" className="font-semibold text-ink underline underline-offset-4">
        Settle
      </Link>
    </p>
  );
}
