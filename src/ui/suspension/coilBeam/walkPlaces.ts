import { type RuleId } from '@/core/inspection/rules';
import { type SpotPlace } from '../../inspect/walk';

/** From the frame down, then along the axle. */
export const COIL_WALK: readonly RuleId[] = [
  ...(['coilSeat', 'coilBroken', 'coilSag', 'coilClash', 'coilPitting', 'bumpStop', 'shock'] as const),
  ...(['links', 'bush', 'square'] as const),
];

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
    square: { x: 0, y: -length - 23, row: 'below' },
  };
}
