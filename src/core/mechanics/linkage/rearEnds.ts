/** What holds the rear end, as it is seen: a shackle with its eye below or above the pivot, or nothing but a pad it slides under. */
export const REAR_ENDS = ['below', 'above', 'pad'] as const;
export type RearEnd = (typeof REAR_ENDS)[number];
