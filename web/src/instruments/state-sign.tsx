import type { InstrumentStatus } from '@winter-jar/contracts';
import { Circle, CircleDashed, CircleDot, CircleOff } from 'lucide-react';

const SIGNS = {
  notConnected: { Icon: Circle, ink: 'text-ink-2' },
  connecting: { Icon: CircleDashed, ink: 'text-ink-2' },
  live: { Icon: CircleDot, ink: 'text-ink' },
  silent: { Icon: CircleDashed, ink: 'text-before-next-run' },
  lost: { Icon: CircleOff, ink: 'text-stop' },
} as const;

/** How it stands, in a shape and in words. */
export function StateSign({ status, words }: { status: Pick<InstrumentStatus, 'state'>; words: string }) {
  const { Icon, ink } = SIGNS[status.state];
  return (
    <p className={`inline-flex items-center gap-2 text-[15px] font-semibold ${ink}`}>
      <Icon size={18} aria-hidden="true" />
      {words}
    </p>
  );
}
