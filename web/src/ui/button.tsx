import type { ButtonHTMLAttributes, ReactNode } from 'react';
import { Link, type LinkProps } from 'react-router';
import { useMayDo, useMayOpen, type Needed } from './may.js';

type Look = 'solid' | 'outline' | 'plain';
type Size = 'desk' | 'field';

const LOOKS: Readonly<Record<Look, string>> = {
  solid: 'bg-ink text-on-ink border-ink hover:opacity-90 disabled:opacity-60',
  outline: 'bg-sheet text-ink border-ink hover:bg-ground disabled:text-ink-2 disabled:border-rule',
  plain: 'border-transparent text-ink underline decoration-edge underline-offset-4 hover:decoration-ink',
};
const SIZES: Readonly<Record<Size, string>> = { desk: 'min-h-10 px-4 text-[15px]', field: 'min-h-14 px-5 text-[17px]' };

export const buttonClass = (look: Look = 'outline', size: Size = 'desk'): string =>
  `inline-flex items-center gap-2 rounded-[6px] border font-semibold no-underline ${SIZES[size]} ${LOOKS[look]}`;

interface Shared {
  look?: Look;
  size?: Size;
  /** The letter that does the same. */
  letter?: string;
  children: ReactNode;
}

function Letter({ letter }: { letter?: string | undefined }) {
  if (!letter) return null;
  return (
    <kbd className="figure ml-auto hidden rounded-[4px] border border-current px-1.5 text-[12.5px] font-normal wide:inline">
      {letter}
    </kbd>
  );
}

/** @param needs without which it is not there */
export function Button({
  look,
  size,
  letter,
  children,
  needs,
  className = '',
  ...rest
}: Shared & { needs?: Needed } & ButtonHTMLAttributes<HTMLButtonElement>) {
  const mayDo = useMayDo();
  if (needs && !mayDo(needs)) return null;
  return (
    <button type="button" {...rest} className={`${buttonClass(look, size)} ${className}`}>
      {children}
      <Letter letter={letter} />
    </button>
  );
}

/** Not there for whoever may not open its page. */
export function LinkButton({ look, size, letter, children, className = '', ...rest }: Shared & LinkProps) {
  const mayOpen = useMayOpen();
  if (!mayOpen(rest.to)) return null;
  return (
    <Link {...rest} className={`${buttonClass(look, size)} ${className}`}>
      {children}
      <Letter letter={letter} />
    </Link>
  );
}
