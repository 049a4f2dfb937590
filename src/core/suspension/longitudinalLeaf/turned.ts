import { type Estimate } from '../../estimate/estimate';
import { draw } from '../../estimate/tree';
import { type DrawnChange, type DrawnInput, type LeafAxleInput } from './input';

type DrawnPack = NonNullable<DrawnInput['pack']>;

const swapped = <T extends { front: number; rear: number }>(leaf: T): T => ({
  ...leaf,
  front: leaf.rear,
  rear: leaf.front,
});

const OPPOSITE = { front: 'rear', rear: 'front', both: 'both' } as const;

function turnedPack({ eyeOffsetRear, eyesUnseen, ...pack }: DrawnPack): DrawnPack {
  return {
    ...pack,
    leaves: pack.leaves.map(({ clips, ...leaf }) => ({
      ...swapped(leaf),
      ...(clips && {
        clips: {
          ...(clips.rear !== undefined && { front: clips.rear }),
          ...(clips.front !== undefined && { rear: clips.front }),
        },
      }),
    })),
    ...(eyeOffsetRear !== undefined && { eyeOffset: eyeOffsetRear, eyeOffsetRear: pack.eyeOffset }),
    ...(eyesUnseen && { eyesUnseen: OPPOSITE[eyesUnseen] }),
  };
}

function turnedChange(change: DrawnChange): DrawnChange {
  switch (change.kind) {
    case 'addLeaf':
      return swapped(change);
    case 'pack':
      return { ...change, leaves: change.leaves.map(swapped) };
    case 'wedge':
      return { ...change, thick: OPPOSITE[change.thick] };
    default:
      return change;
  }
}

/** Whether the spring hangs on its shackle at the front. */
export const isTurned = ({ shackle }: Pick<DrawnInput, 'shackle'>): boolean => shackle?.at === 'front';

/**
 * An axle as its model reads it: from the fixed eye, there called the front one, to the shackled one. What hangs on a shackle at its
 * front is turned end for end with everything that lies on it; heights stay, and whatever turns or points along the frame is turned
 * back where it is told (`inVehicle`, `noseUp`).
 */
export function fromFixedEye(drawn: DrawnInput): DrawnInput {
  if (!isTurned(drawn)) return drawn;
  const { left, right } = drawn.sides;
  const side = (of: typeof left): typeof left =>
    of.spring?.broken
      ? { ...of, spring: { ...of.spring, broken: { ...of.spring.broken, end: OPPOSITE[of.spring.broken.end] } } }
      : of;
  return {
    ...drawn,
    pack: drawn.pack && turnedPack(drawn.pack),
    ...(drawn.own && { own: { ...drawn.own, pack: drawn.own.pack && turnedPack(drawn.own.pack) } }),
    sides: { left: side(left), right: side(right) },
    changes: drawn.changes.map(turnedChange),
  };
}

/** A number for every estimate of an axle, as its model reads it. */
export const drawLeafAxle = (input: LeafAxleInput, pick: (estimate: Estimate, path: string) => number): DrawnInput =>
  fromFixedEye(draw(input, pick));
