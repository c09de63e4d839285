import { useState, type ReactNode } from 'react';

/** Folded away until it is wanted; what must be seen inside opens it, and mending that does not close it again. */
export function Unfolding({
  summary,
  needed,
  className,
  children,
}: {
  summary: ReactNode;
  needed: boolean;
  className: string;
  children: ReactNode;
}) {
  const [open, setOpen] = useState(false);
  return (
    <details className={className} open={open || needed} onToggle={(e) => setOpen(e.currentTarget.open)}>
      {summary}
      {children}
    </details>
  );
}
