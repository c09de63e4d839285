/** What somebody may be in a house, from the one who may everything to the one who only looks. */
export const ROLES = ['owner', 'technician', 'operator', 'reader'] as const;
export type Role = (typeof ROLES)[number];

/**
 * What may be asked for: look · log what ran and what was seen · write anything in the journal · change the set-up of pumps · say who may
 * what, what the house's rules are, and whom the server calls · hold the whole data in one's hands.
 */
export const RIGHTS = ['read', 'log', 'write', 'setUp', 'house', 'keep'] as const;
export type Right = (typeof RIGHTS)[number];

export const RIGHTS_OF_ROLE: Readonly<Record<Role, readonly Right[]>> = {
  owner: RIGHTS,
  technician: ['read', 'log', 'write', 'setUp'],
  operator: ['read', 'log'],
  reader: ['read'],
};
