import { ChevronLeft } from 'lucide-react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';

/** The way back, and the title of a page. */
export function PageHead({
  back,
  backWords = 'Back',
  above,
  children,
}: {
  back: string;
  backWords?: string;
  /** What it is of, in small letters. */
  above?: ReactNode;
  children: ReactNode;
}) {
  return (
    <div className="flex items-center gap-3">
      <Link to={back} aria-label={backWords} className="flex size-11 shrink-0 items-center justify-center text-ink">
        <ChevronLeft aria-hidden="true" />
      </Link>
      <div className="min-w-0">
        {above && <p className="text-[14px] text-ink-2 wrap-anywhere">{above}</p>}
        <h1 dir="auto" className="text-[24px] wrap-anywhere">
          {children}
        </h1>
      </div>
    </div>
  );
}
