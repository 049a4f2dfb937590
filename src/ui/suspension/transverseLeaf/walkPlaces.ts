import { type RuleId } from '@/core/inspection/rules';
import { type CrossFigures } from '@/core/suspension/transverseLeaf/sideModel';
import { type Side } from '@/core/vehicle/side';
import { type SpotPlace } from '../../inspect/walk';
import { sign } from './side';

/** From the clamp outwards, then the wheel. */
export const CROSS_WALK: readonly RuleId[] = [
  ...(['crossClamp', 'centreBolt', 'leafBroken', 'order', 'pitting', 'sag'] as const),
  ...(['crossEye', 'bush', 'kingpin', 'tieRod', 'shock', 'square'] as const),
];

export function placesOf({ leaves, eye }: CrossFigures, side: Side): Partial<Record<RuleId, SpotPlace>> {
  const main = leaves[0]!;
  const on = (share: number) => {
    const k = Math.round(share * (main.x.length - 1));
    return { x: sign(side) * main.x[k]!, y: main.y[k]! };
  };
  const above = (p: { x: number; y: number }): SpotPlace => ({ ...p, row: 'above' });
  const below = (p: { x: number; y: number }): SpotPlace => ({ ...p, row: 'below' });
  const at = (x: number, y: number) => ({ x: sign(side) * x, y });
  return {
    crossClamp: below(at(40, main.y[0]! - 8)),
    centreBolt: below(at(-30, main.y[0]! - 8)),
    leafBroken: above(on(0.3)),
    order: above(on(0.45)),
    pitting: below(on(0.5)),
    sag: above(on(0.7)),
    crossEye: below(at(eye.x, eye.y)),
    bush: above(at(eye.x, eye.y)),
    kingpin: above(at(eye.x + 30, eye.y)),
    tieRod: below(at(eye.x + 30, eye.y)),
    shock: below(at(eye.x * 0.8, eye.y)),
    square: below(at(eye.x + 58, eye.y)),
  };
}
