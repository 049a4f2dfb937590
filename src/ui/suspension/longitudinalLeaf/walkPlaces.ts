import { type RuleId } from '@/core/inspection/rules';
import { hungEye, type Elevation } from '@/core/suspension/longitudinalLeaf/elevation';
import { type SpotPlace } from '../../inspect/walk';

/** Front to rear, as one goes along the spring. */
export const LEAF_WALK: readonly RuleId[] = [
  ...(['pivotBolt', 'hanger', 'bush', 'tips', 'leafBroken', 'clips', 'gap', 'centreBolt', 'uBolts'] as const),
  ...([
    'uBoltEven',
    'bumpStop',
    'square',
    'witness',
    'sag',
    'shock',
    'pitting',
    'order',
    'shackle',
    'swayBar',
  ] as const),
];

/** A share of the way along a leaf, from its front tip. */
const along = ({ points }: Elevation['leaves'][number], share: number) =>
  points[Math.round(share * (points.length - 1))]!;

/** Where each spot is on the drawing of a spring. */
export function placesOf(drawing: Elevation): Partial<Record<RuleId, SpotPlace>> {
  const { frontEye, leaves, seat, hub, stack, seatLength, pivot } = drawing;
  const main = leaves[0]!;
  const second = leaves[Math.min(1, leaves.length - 1)]!;
  const last = leaves.at(-1)!;
  const hung = hungEye(drawing);
  const half = seatLength / 2;
  const up = stack.arrangement === 'over' ? 1 : -1;
  const top = Math.max(seat.y + stack.main, hub.y + up * stack.tubeDiameter) + 20;
  const above = (p: { x: number; y: number }): SpotPlace => ({ x: p.x, y: p.y, row: 'above' });
  const below = (p: { x: number; y: number }): SpotPlace => ({ x: p.x, y: p.y, row: 'below' });
  const held = drawing.turned ? drawing.rearEye : frontEye;
  return {
    hanger: above({ x: held.x, y: held.y + 40 }),
    pivotBolt: below(held),
    bush: below({ x: held.x + (drawing.turned ? -14 : 14), y: held.y - 6 }),
    tips: below(along(second, 0)),
    leafBroken: above(along(main, 0.25)),
    clips: above(along(main, 0.36)),
    gap: below(along(last, 0.2)),
    centreBolt: above(seat),
    uBolts: above({ x: hub.x - half, y: top }),
    uBoltEven: below({ x: hub.x - half, y: hub.y - up * (stack.tubeDiameter / 2 + 14) }),
    bumpStop: above({ x: hub.x + half, y: top + 30 }),
    square: below(hub),
    witness: below(along(last, 0.8)),
    sag: above(along(main, 0.66)),
    shock: below({ x: hub.x + half + 40, y: hub.y }),
    pitting: below(along(second, 0.86)),
    order: above(along(main, 0.8)),
    shackle: above(pivot ? { x: (pivot.x + hung.x) / 2, y: (pivot.y + hung.y) / 2 } : hung),
    swayBar: below({ x: hub.x + half + 90, y: hub.y + 10 }),
  };
}
