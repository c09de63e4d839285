/** What stands at a site; all else of the set-up is the house's. */
const AT_A_SITE = ['pump', 'equipment', 'container'] as const;
export type AtASite = (typeof AT_A_SITE)[number];

export const standsAtSite = (kind: string): kind is AtASite => AT_A_SITE.some((known) => known === kind);
