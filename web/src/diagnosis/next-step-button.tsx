import type { ReactNode } from 'react';
import { Button, LinkButton } from '../ui/button.js';

/** The step that the evidence proposes; it waits while the evidence is fetched anew, else it could propose what was just done. */
export function NextStepButton({
  to,
  fetching,
  className = '',
  children,
}: {
  to: string;
  fetching: boolean;
  className?: string;
  children: ReactNode;
}) {
  return fetching ? (
    <Button look="solid" size="field" className={className} disabled>
      Reading what was saved …
    </Button>
  ) : (
    <LinkButton look="solid" size="field" className={className} to={to}>
      {children}
    </LinkButton>
  );
}
