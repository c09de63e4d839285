import type { EntryBodies, EntryKind } from './entry.js';

type Body = EntryBodies[EntryKind];

/** Lifts a body from one version to the next; bodies of kinds that did not change pass as they are. */
export type BodyUpgrade = (kind: EntryKind, body: Body) => Body;

/**
 * The first lifts version 1 to 2. A step comes with each change by which an older body would be read wrongly, and is never taken
 * away: entries stay in the journal as they were accepted. `FOLD_VERSION` is raised with it, so that what follows is made anew.
 */
export const BODY_UPGRADES: readonly BodyUpgrade[] = [];

/** Version of the bodies that are written now. */
export const BODY_VERSION = BODY_UPGRADES.length + 1;

/** A body as it is read now. @param version at which it was written, from 1 */
export function upgradedBody(
  kind: EntryKind,
  { body, bodyVersion }: { readonly body: Body; readonly bodyVersion: number },
  steps: readonly BodyUpgrade[] = BODY_UPGRADES,
): Body {
  return steps.slice(bodyVersion - 1).reduce((lifted, step) => step(kind, lifted), body);
}
