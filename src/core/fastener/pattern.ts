import { boltsOf, type JointId } from './joints';
import { CROSS } from './rounds';
import { SIDES, type Side } from '../vehicle/side';

/** A set of fasteners that is drawn up together, in the order of the cross, with where each lies: x from front (−1) to rear (1), y from the wheel's side (−1) to the frame's (1). */
export interface Pattern {
  joint: JointId;
  side: Side | null;
  /** Which set it is, where a step has more than one. */
  name: string;
  bolts: readonly { bolt: string; says: string; x: -1 | 1; y: -1 | 1 }[];
  /** With the wheels hanging only the first round is gone. */
  weightOn: boolean;
  /** Thread and gap are read at each as well. */
  ends: boolean;
}

const LEGS = CROSS.map((leg) => ({
  ...{ leg, x: leg.startsWith('front') ? -1 : 1, y: leg.includes('outer') ? -1 : 1 },
})) as readonly { leg: string; x: -1 | 1; y: -1 | 1 }[];

/** Four corners crosswise: front of one side, rear of the other, and back. */
const CORNERS = [
  [-1, -1],
  [1, 1],
  [-1, 1],
  [1, -1],
] as const;

const legs = (joint: JointId, side: Side, name: string, before: string): Pattern => ({
  ...{ joint, side, name, weightOn: true, ends: true },
  bolts: LEGS.map(({ leg, x, y }) => ({ bolt: `${before}, ${leg}`, says: leg, x, y })),
});

/** Bolts of a joint that are drawn up crosswise in rounds; empty where they are not. @param side null for what lies in the middle */
export function patternsOf(joint: JointId, side: Side | null): Pattern[] {
  switch (joint) {
    case 'uBolts':
      return side ? [legs(joint, side, '', side)] : [];
    case 'pairUBolts':
      return side ? ['front', 'rear'].map((axle) => legs(joint, side, `${axle} axle`, `${side}, ${axle} axle`)) : [];
    case 'crossClamp': {
      const at = (end: string, of: Side) => `${end} pair, ${of}`;
      return side
        ? []
        : [
            {
              ...{ joint, side, name: '', weightOn: false, ends: false },
              bolts: CORNERS.map(([x, y]) => {
                const bolt = at(x < 0 ? 'front' : 'rear', y < 0 ? SIDES[0]! : SIDES[1]!);
                return { bolt, says: bolt, x, y };
              }),
            },
          ];
    }
    case 'shearBolts':
      return side
        ? ['frame', 'carrier'].map((on) => ({
            ...{ joint, side, name: `${on}’s side`, weightOn: false, ends: false },
            bolts: CORNERS.map(([x, y], k) => ({ bolt: `${side}, ${on} side ${k + 1}`, says: `bolt ${k + 1}`, x, y })),
          }))
        : [];
    default:
      return [];
  }
}

/** Legs of U-bolts at which thread and gap are read. */
export const LEG_NAMES: readonly string[] = [...boltsOf('uBolts'), ...boltsOf('pairUBolts')];
