import { type RuleId } from '@/core/inspection/rules';
import { type ShearFigures } from '@/core/suspension/rubberShear/sideModel';
import { type SpotPlace } from '../../inspect/walk';
import { DRAWN, shearSpots } from './shearSpots';

/** From the block forwards along the leaf, then the axle. */
export const SHEAR_WALK: readonly RuleId[] = [
  ...([
    'shearTear',
    'shearBond',
    'shearHoles',
    'carrierNose',
    'leafBroken',
    'pitting',
    'centreBolt',
    'uBolts',
  ] as const),
  ...(['hanger', 'bush', 'bumpStop', 'shock', 'swayBar', 'square'] as const),
];

export function placesOf(figures: ShearFigures): Partial<Record<RuleId, SpotPlace>> {
  const { eye, seat, nose, hub, carrier, frame } = shearSpots(figures, 2 * figures.thick);
  const above = (x: number, y: number): SpotPlace => ({ x, y, row: 'above' });
  const below = (x: number, y: number): SpotPlace => ({ x, y, row: 'below' });
  return {
    shearTear: below((carrier.x + frame.x) / 2, carrier.y - figures.thick / 2),
    shearBond: above(frame.x, frame.y + figures.thick / 2),
    shearHoles: above(carrier.x - DRAWN.plate, carrier.y + figures.thick / 2),
    carrierNose: below(nose.x, nose.y),
    leafBroken: above((seat.x + nose.x) / 2, (seat.y + nose.y) / 2),
    pitting: below((seat.x + nose.x) / 2, (seat.y + nose.y) / 2),
    centreBolt: above(seat.x, seat.y),
    uBolts: below(seat.x, seat.y - 14),
    hanger: above(eye.x - 20, eye.y + 60),
    bush: below(eye.x, eye.y),
    bumpStop: above(seat.x - 90, DRAWN.rail),
    shock: below(hub.x - 110, hub.y + 20),
    swayBar: above(seat.x + 110, seat.y),
    square: below(hub.x + 90, hub.y),
  };
}
