/** What somebody may be in a house, from the one who may everything to the one who only looks. */
export const ROLES = ['owner', 'technician', 'operator', 'reader'] as const;
export type Role = (typeof ROLES)[number];

/**
 * What may be asked for: look · see every site · log what ran and what was seen · write anything in the journal · change the set-up of
 * pumps · say who may what, what the house's rules are, and whom the server calls · hold the whole data in one's hands.
 */
export const RIGHTS = ['read', 'everySite', 'log', 'write', 'setUp', 'house', 'keep'] as const;
export type Right = (typeof RIGHTS)[number];

/** Whoever is bound to some sites has all of these but `everySite`. */
export const RIGHTS_OF_ROLE: Readonly<Record<Role, readonly Right[]>> = {
  owner: RIGHTS,
  technician: ['read', 'everySite', 'log', 'write', 'setUp'],
  operator: ['read', 'everySite', 'log'],
  reader: ['read', 'everySite'],
};
