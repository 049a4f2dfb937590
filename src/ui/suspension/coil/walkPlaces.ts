import { type RuleId } from '@/core/inspection/rules';
import { type Side } from '@/core/vehicle/side';
import { type SpotPlace } from '../../inspect/walk';
import { spotsOf, type SwingPlace } from './swingSpots';

/** From the frame down, then along the axle. */
export const COIL_WALK: readonly RuleId[] = [
  ...(['coilSeat', 'coilBroken', 'coilSag', 'coilClash', 'coilPitting', 'bumpStop', 'shock'] as const),
  ...(['links', 'bush', 'swayBar', 'square'] as const),
];

/** The same of beams that swing, and of a coil over its damper. */
export const TWIN_WALK: readonly RuleId[] = [
  ...([
    'pivotBush',
    'links',
    'coilSeat',
    'coilBroken',
    'coilSag',
    'coilClash',
    'coilPitting',
    'bumpStop',
    'shock',
  ] as const),
  ...(['kingpin', 'tieRod', 'swayBar', 'square'] as const),
];
export const TRAIL_WALK: readonly RuleId[] = [
  ...([
    'pivotBush',
    'links',
    'coilSeat',
    'coilBroken',
    'coilSag',
    'coilClash',
    'coilPitting',
    'bumpStop',
    'shock',
  ] as const),
  'square',
];
export const UNIT_WALK: readonly RuleId[] = [
  ...([
    'unitTop',
    'coilSeat',
    'coilBroken',
    'coilSag',
    'coilClash',
    'coilPitting',
    'shock',
    'cams',
    'bush',
    'links',
    'swayBar',
  ] as const),
  'square',
];

/** Spots on a beam: its pivot, its coil, its wheel. @param length of the coil @param half of its outside, mm */
export function placesOnBeam(
  place: SwingPlace,
  side: Side,
  slope: number,
  length: number,
  half: number,
): Partial<Record<RuleId, SpotPlace>> {
  const { pivot, hub, foot } = spotsOf(place, side, slope);
  const out = hub.x < pivot.x ? -1 : 1;
  const above = (x: number, y: number): SpotPlace => ({ x, y, row: 'above' });
  const below = (x: number, y: number): SpotPlace => ({ x, y, row: 'below' });
  return {
    pivotBush: above(pivot.x, pivot.y),
    links: below((pivot.x + foot.x) / 2, (pivot.y + foot.y) / 2),
    coilSeat: above(foot.x - out * half * 0.6, foot.y + length),
    coilBroken: above(foot.x - out * half * 0.2, foot.y + length * 0.85),
    coilSag: above(foot.x + out * half * 0.3, foot.y + length * 0.6),
    coilClash: above(foot.x + out * half * 0.8, foot.y + length * 0.4),
    coilPitting: below(foot.x, foot.y + length * 0.1),
    bumpStop: above(foot.x + out * half * 1.4, foot.y + length),
    shock: below(foot.x + out * half * 1.3, foot.y),
    kingpin: above(hub.x - out * 20, hub.y + 20),
    tieRod: below(hub.x - out * 30, hub.y - 10),
    swayBar: below((foot.x + hub.x) / 2, (foot.y + hub.y) / 2),
    square: below(hub.x, hub.y),
  };
}

/** @param half of the coil's outside @param length seat to seat with its spacers, mm */
export function placesOf(half: number, length: number): Partial<Record<RuleId, SpotPlace>> {
  return {
    coilSeat: { x: -half * 0.6, y: 0, row: 'above' },
    coilBroken: { x: -half * 0.8, y: -length * 0.15, row: 'above' },
    coilSag: { x: half * 0.9, y: -length * 0.3, row: 'above' },
    coilClash: { x: half * 0.9, y: -length * 0.55, row: 'above' },
    bumpStop: { x: half * 1.3, y: -10, row: 'above' },
    coilPitting: { x: -half * 0.8, y: -length * 0.85, row: 'below' },
    shock: { x: half * 1.4, y: -length, row: 'below' },
    links: { x: -half * 1.3, y: -length - 20, row: 'below' },
    bush: { x: -half * 1.7, y: -length - 20, row: 'below' },
    unitTop: { x: 0, y: 12, row: 'above' },
    swayBar: { x: half * 1.8, y: -length - 10, row: 'below' },
    cams: { x: half * 0.6, y: -length - 23, row: 'below' },
    square: { x: 0, y: -length - 23, row: 'below' },
  };
}
