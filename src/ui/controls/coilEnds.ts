import { type CoilEnds } from '@/core/mechanics/coil/coil';

/** How the ends of a coil are called. */
export const COIL_END_NAMES: Record<CoilEnds, string> = {
  closedGround: 'closed and ground flat',
  closed: 'closed, not ground',
  open: 'open',
  pigtail: 'drawn in',
};
