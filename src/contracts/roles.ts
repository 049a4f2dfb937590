export const ROLES = ['owner', 'mechanic', 'apprentice'] as const;
export type Role = (typeof ROLES)[number];

/** What a route or page asks of who comes: nothing; to be of the shop; to note what is seen; to decide; to answer for it, asked again; to own the shop. */
export const NEEDS = ['open', 'read', 'note', 'work', 'vouch', 'own'] as const;
export type Need = (typeof NEEDS)[number];
