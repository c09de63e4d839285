import { megabytes } from '../ui/number.js';
import type { DownloadName } from '@winter-jar/contracts';
import { Download } from 'lucide-react';
import type { ReactNode } from 'react';
import { Button } from '../ui/button.js';
import { UnderWay } from '../ui/under-way.js';
import { useDownload } from './use-download.js';

/** A way out to a file. Large data take a while: it shows how far it is, and can be stopped. */
export function DownloadButton({
  what,
  making,
  look = 'outline',
  beside,
  children,
}: {
  what: DownloadName;
  /** Said while it is made, such as "Making the backup". */
  making: string;
  look?: 'solid' | 'outline';
  /** What stands beside the button. */
  beside?: ReactNode;
  children: ReactNode;
}) {
  const { busy, progress, handedOver, trouble, ask, stop } = useDownload(what);
  return (
    <>
      <div className="flex flex-wrap gap-3">
        <Button look={look} disabled={busy} onClick={() => void ask()}>
          <Download size={18} aria-hidden="true" /> {children}
        </Button>
        {beside}
      </div>
      <div aria-live="polite">
        {progress !== null && (
          <div className="mt-4">
            <UnderWay
              title={making}
              progress={progress}
              words="You and others can go on working; stay on this page until the browser has the file."
              stop="Stop"
              onStop={stop}
            />
          </div>
        )}
        {handedOver && (
          <p className="mt-3 border-l-4 border-run-on pl-4">
            <span className="font-semibold">Given to the browser:</span>{' '}
            <span className="figure wrap-anywhere">{handedOver.fileName}</span>, {megabytes(handedOver.bytes ?? 0)}.
          </p>
        )}
        {trouble && (
          <p role="alert" className="mt-3 border-l-4 border-stop pl-3 font-semibold text-stop">
            {trouble}
          </p>
        )}
      </div>
    </>
  );
}
