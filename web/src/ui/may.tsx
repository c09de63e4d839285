import type { Right } from '@winter-jar/core';
import { createContext, useContext } from 'react';
import { Link, type LinkProps, type To } from 'react-router';

/** One right, or several that are all needed. */
export type Needed = Right | readonly Right[];

/** What whoever is signed in may: what they may not is not offered to them. */
export interface WhatOneMay {
  readonly open: (path: string) => boolean;
  readonly do: (needed: Needed) => boolean;
}
export const May = createContext<WhatOneMay>({ open: () => true, do: () => true });

export const useMayDo = (): WhatOneMay['do'] => useContext(May).do;

export function useMayOpen(): (to: To) => boolean {
  const { open } = useContext(May);
  return (to) => open((typeof to === 'string' ? to : (to.pathname ?? '')).split(/[?#]/)[0] ?? '');
}

/** A link in a list or a line, not there for whoever may not open its page. */
export function LinkIfMay(props: LinkProps) {
  const mayOpen = useMayOpen();
  return mayOpen(props.to) ? <Link {...props} /> : null;
}
