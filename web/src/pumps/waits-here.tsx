import type { PumpPage } from '@winter-jar/contracts';
import { Link } from 'react-router';
import type { HeldPage } from '../held/fold-on.js';
import { useWaitingByPump } from '../sending/use-waiting.js';

/** What was written about the pump on this device and has not reached the server, and how far it is in what stands here. */
export function WaitsHere({ page }: { page: PumpPage }) {
  const waiting = useWaitingByPump().get(page.row.pumpId) ?? 0;
  if (waiting === 0) return null;
  const { notComputed = 0 } = page as Partial<HeldPage>;
  const words =
    waiting === 1 ? 'One deed about it waits on this device' : `${waiting} deeds about it wait on this device`;
  return (
    <p role="status" className="mt-2 border-l-4 border-rule pl-3 text-[15px]">
      <Link to="/waiting" className="font-semibold text-ink underline underline-offset-4">
        {words}
      </Link>
      {notComputed > 0 &&
        `. ${notComputed === 1 ? 'One of its entries lies' : `${notComputed} of its entries lie`} before what was known: what that changes is computed when connected.`}
    </p>
  );
}
