import { type RuleId } from '@/core/inspection/rules';
import { rockerSpots, springLine, type PairShape } from '@/core/suspension/tandem/elevation';
import { type SpotPlace } from '../../inspect/walk';

/** Front hanger to rear hanger, the joint of the two in the middle. */
export const TANDEM_WALK: readonly RuleId[] = [
  ...(['hanger', 'pivotBolt', 'leafBroken', 'pitting', 'tips', 'centreBolt', 'uBolts', 'uBoltEven'] as const),
  ...(['shackle', 'rocker', 'slipper', 'bush', 'sag', 'gap', 'clips', 'order', 'witness', 'shock', 'square'] as const),
];

export function placesOf(shape: PairShape): Partial<Record<RuleId, SpotPlace>> {
  const [front, rear] = [springLine(shape, 'front'), springLine(shape, 'rear')];
  const pivot = rockerSpots(shape)?.pivot ?? { x: 0, y: 0 };
  const on = (line: { x: number; y: number }[], share: number) => line[Math.round(share * (line.length - 1))]!;
  const above = (p: { x: number; y: number }): SpotPlace => ({ x: p.x, y: p.y, row: 'above' });
  const below = (p: { x: number; y: number }): SpotPlace => ({ x: p.x, y: p.y, row: 'below' });
  return {
    hanger: above({ x: front.eye.x, y: front.eye.y + 30 }),
    pivotBolt: below(front.eye),
    leafBroken: above(on(front.line, 0.25)),
    pitting: below(on(front.line, 0.4)),
    centreBolt: above(on(front.line, 0.5)),
    uBolts: below(front.hub),
    uBoltEven: below({ x: front.hub.x + 40, y: front.hub.y }),
    tips: below(on(front.line, 0.75)),
    shackle: below(front.inner),
    rocker: above(pivot),
    slipper: above(front.inner),
    bush: below(rear.inner),
    sag: above(on(rear.line, 0.3)),
    gap: below(on(rear.line, 0.4)),
    clips: above(on(rear.line, 0.7)),
    order: above(on(rear.line, 0.85)),
    witness: below(on(rear.line, 0.7)),
    shock: below({ x: rear.hub.x + 60, y: rear.hub.y }),
    square: below(rear.hub),
  };
}
