import type { ReactNode } from 'react';

/** A short caution at the step where it matters. */
export function Caution({ children }: { children: ReactNode }) {
  return <div className="border-l-4 border-oil bg-sheet p-3 text-[15px]">{children}</div>;
}
