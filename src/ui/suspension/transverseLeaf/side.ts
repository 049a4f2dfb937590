import { type Side } from '@/core/vehicle/side';

/** Seen from behind the left side lies on the left: −1, the right one 1. */
export const sign = (side: Side): number => (side === 'left' ? -1 : 1);
