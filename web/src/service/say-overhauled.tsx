import type { PumpPage } from '@winter-jar/contracts';
import { Button } from '../ui/button.js';
import { NotKept } from './not-kept.js';
import { useKeepPump } from './use-keep-record.js';

/** From its overhaul on the first charge of a pump is changed early: said in its set-up, by one tap. */
export function SayOverhauled({ page, since }: { page: PumpPage; since: string }) {
  const { keep, busy, failed } = useKeepPump(page);
  const isSaid = (page.setUp.pump.overhauledAt ?? '') >= since;
  if (isSaid)
    return (
      <p role="status" className="text-[17px] font-semibold">
        It is said: overhauled in this job. Its first charge is changed early.
      </p>
    );
  return (
    <div className="flex flex-col gap-3">
      <Button
        needs="setUp"
        size="field"
        className="justify-center"
        disabled={busy}
        onClick={() => void keep(() => ({ overhauledAt: new Date().toISOString() }))}
      >
        Overhauled now: change its first charge early
      </Button>
      {failed && <NotKept />}
    </div>
  );
}
