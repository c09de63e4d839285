import { RIGHTS, RIGHTS_OF_ROLE, type Right, type Role, type Sight } from '@winter-jar/core';

/**
 * Who acts, and from where: everything that is written and every route that is asked has one. Where nobody needs to sign in a browser
 * is a device that may do everything; what comes in as a file is an import, and the server itself puts its house in order.
 */
export type Actor =
  | PersonActing
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
}

export const SERVER: Actor = { kind: 'server' };

const RIGHTS_OF: Readonly<Record<Exclude<Actor['kind'], 'person'>, readonly Right[]>> = {
  device: RIGHTS,
  instrument: ['log', 'write'],
  import: ['log', 'write'],
  server: RIGHTS,
};

export function rightsOf(actor: Actor): readonly Right[] {
  if (actor.kind !== 'person') return RIGHTS_OF[actor.kind];
  const ofRole = RIGHTS_OF_ROLE[actor.role];
  return actor.sight === null ? ofRole : ofRole.filter((right) => right !== 'everySite');
}

/** Sites that somebody is shown, and writes of. */
export const sightOf = (actor: Actor): Sight => (actor.kind === 'person' ? actor.sight : null);

export const mayDo = (actor: Actor, right: Right): boolean => rightsOf(actor).includes(right);
