import { RIGHTS, RIGHTS_OF_ROLE, type Right, type Role, type Sight } from '@winter-jar/core';

/**
 * Who acts, and from where: everything that is written and every route that is asked has one. Where nobody needs to sign in a browser
 * is a device that may do everything; what comes in as a file is an import, and the server itself puts its house in order.
 */
export type Actor =
  | PersonActing
  | TabletActing
  | { readonly kind: 'device'; readonly from: string }
  | { readonly kind: 'instrument'; readonly instrumentId: string; readonly from: string }
  | { readonly kind: 'import'; readonly importId: string; readonly by: Actor }
  | { readonly kind: 'server' };

export interface PersonActing {
  readonly kind: 'person';
  readonly personId: string;
  readonly role: Role;
  readonly sight: Sight;
  readonly sessionId: string;
  readonly from: string;
  /** At a tablet that others use too: what is theirs alone is not done there. */
  readonly isShared: boolean;
}

/** A tablet that everybody of a site shares, while nobody has said who they are. */
export interface TabletActing {
  readonly kind: 'tablet';
  readonly siteId: string;
  readonly sessionId: string;
  readonly from: string;
}

/** Whoever is at a device of their own. */
export const isThemselves = (actor: Actor | null): actor is PersonActing => actor?.kind === 'person' && !actor.isShared;

export const SERVER: Actor = { kind: 'server' };

const RIGHTS_OF: Readonly<Record<Exclude<Actor['kind'], 'person'>, readonly Right[]>> = {
  device: RIGHTS,
  tablet: ['read'],
  instrument: ['log', 'write'],
  import: ['log', 'write'],
  server: RIGHTS,
};

/** What a PIN of few figures opens at most. */
const AT_A_TABLET: readonly Right[] = ['read', 'log', 'write'];

export function rightsOf(actor: Actor): readonly Right[] {
  if (actor.kind !== 'person') return RIGHTS_OF[actor.kind];
  const ofRole = RIGHTS_OF_ROLE[actor.role].filter((right) => !actor.isShared || AT_A_TABLET.includes(right));
  return actor.sight === null ? ofRole : ofRole.filter((right) => right !== 'everySite');
}

/** Sites that somebody is shown, and writes of. */
export const sightOf = (actor: Actor): Sight =>
  actor.kind === 'person' ? actor.sight : actor.kind === 'tablet' ? [actor.siteId] : null;

export const mayDo = (actor: Actor, right: Right): boolean => rightsOf(actor).includes(right);
