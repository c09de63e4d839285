import { FileUp } from 'lucide-react';
import type { ReactNode } from 'react';
import { FilePicker } from './file-picker.js';
import { useMayDo, type Needed } from './may.js';

/** A page's way out to a file and in from one: export, choose, what is going on, and what came of it. */
export function FileExchange({
  needs,
  wayOut,
  accept,
  onFile,
  reading,
  trouble,
  beside,
  children,
}: {
  /** Without which nothing comes in here. */
  needs: Needed;
  /** The way out, with the way in beside it. */
  wayOut: (wayIn: ReactNode) => ReactNode;
  accept: string;
  onFile: (file: File) => void;
  /** Name of the file that is being read now. */
  reading: string | null;
  trouble: string | null;
  /** Another way in. */
  beside?: ReactNode;
  children: ReactNode;
}) {
  const mayDo = useMayDo();
  if (!mayDo(needs)) return <div className="mt-5">{wayOut(null)}</div>;
  return (
    <>
      <div className="mt-5">
        {wayOut(
          <FilePicker accept={accept} onFile={onFile}>
            <FileUp size={18} aria-hidden="true" /> Choose a file to import
          </FilePicker>,
        )}
      </div>
      {beside}
      <div aria-live="polite" className="mt-6">
        {reading && <p>Reading {reading} …</p>}
        {trouble && (
          <p role="alert" className="border-l-4 border-stop pl-3 font-semibold text-stop">
            {trouble}
          </p>
        )}
        {children}
      </div>
    </>
  );
}
