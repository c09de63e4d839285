/**
 * Who acts, and from where: everything that is written and every route that is asked has one. Until people have accounts a browser
 * is a device that may do everything; what comes in as a file is an import, and the server itself puts its house in order.
 */
export type Actor =
  | { readonly kind: 'person'; readonly personId: string; readonly from: string }
  | { readonly kind: 'device'; readonly from: string }
  | { readonly kind: 'instrument'; readonly instrumentId: string; readonly from: string }
  | { readonly kind: 'import'; readonly importId: string; readonly by: Actor }
  | { readonly kind: 'server' };

export const SERVER: Actor = { kind: 'server' };

/** What a route may ask for: look, write in the journal, change the set-up, hold the whole data in one's hands. */
export const RIGHTS = ['read', 'write', 'setUp', 'keep'] as const;
export type Right = (typeof RIGHTS)[number];

const RIGHTS_OF: Readonly<Record<Actor['kind'], readonly Right[]>> = {
  person: RIGHTS,
  device: RIGHTS,
  instrument: ['write'],
  import: ['write'],
  server: RIGHTS,
};

export const mayDo = (actor: Actor, right: Right): boolean => RIGHTS_OF[actor.kind].includes(right);
