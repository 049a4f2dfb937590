import { cardOf, type Card, type OrientedPart } from '@/core/procedure/orientation';
import { SIDES, type Side } from '@/core/vehicle/side';
import { type AxleView } from './job';
import { type ChangeRow } from './plan';

/** What of a plan can go in the wrong way round, with what its drawing is made from. */
function partOf(view: AxleView, change: ChangeRow): OrientedPart | null {
  switch (change.kind) {
    case 'addLeaf':
      return { kind: 'leaf', front: change.front, rear: change.rear };
    case 'pack':
      return { kind: 'pack', leaves: change.leaves };
    case 'wedge':
      return { kind: 'wedge', height: change.height, angle: change.angle, thick: change.thick };
    case 'block':
    case 'riser':
      return change.height === 0
        ? null
        : { kind: 'block', height: change.height, pinDown: view.axle.arrangement !== 'under' };
    case 'overAxle':
      return change.height === 0 ? null : { kind: 'block', height: change.height, pinDown: true };
    case 'shackle':
      return { kind: 'shackle', length: change.length };
    case 'coil':
      return { kind: 'coil', wire: change.wire, outside: change.outside, free: change.free };
    case 'rocker':
      return { kind: 'rocker', front: change.front, rear: change.rear };
    case 'slipper':
      return { kind: 'slipper' };
    case 'shearBlock':
      return { kind: 'shear', thick: change.thick, offset: change.offset };
    case 'perch':
      return { kind: 'perch', left: change.left, right: change.right, pitch: change.pitch };
    case 'spindles':
      return { kind: 'spindle', left: change.left, right: change.right };
    default:
      return null;
  }
}

/** Which way round the planned parts go in, a card for each side. @param size a length as it is read */
export const orientationCards = (view: AxleView, size: (mm: number) => string): Card[] =>
  view.plan.changes.flatMap((change) => {
    const part = partOf(view, change);
    return part ? SIDES.map((side) => cardOf(part, side, size)) : [];
  });

/** Those of a step; what has no side is shown for both. */
export const cardsAt = (cards: readonly Card[], { id, side }: { id: string; side: Side | null }): Card[] =>
  cards.filter((card) => card.step.includes(id.split('.')[0]!) && (side === null || card.side === side));
